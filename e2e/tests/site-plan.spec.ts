import { type Page, expect, test } from '@playwright/test';
import { axeFindsNothing, signIn } from './school';

/** The plan of a site on the invented school. Nothing is saved: other walks read the same ground. */

const toPlan = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: 'Plan of the site' }).first().click();
  await expect(page.getByRole('heading', { name: 'Home orchard' })).toBeVisible();
};
const stand = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^Stand ${name},`) });

test('a lead drags a stand, hears what it means for the bees, and keeps the draft without signal', async ({ page }) => {
  await signIn(page, 'morag');
  await toPlan(page);
  const sign = (await stand(page, 'B').locator('.sign').boundingBox())!;
  await page.mouse.move(sign.x + sign.width / 2, sign.y + sign.height / 2);
  await page.mouse.down();
  await page.mouse.move(sign.x + 20, sign.y + 140, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText(/Hives 4, 5, 6:.* is too far at once/)).toBeVisible();
  await axeFindsNothing(page, 'a plan with a draft');
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('No connection. Nothing is saved yet')).toBeVisible();
  await page.context().setOffline(false);
  // Another page and back: what was drawn is there; undone, it is as it was.
  await page.getByRole('link', { name: 'Hives', exact: true }).first().click();
  await expect(page.getByRole('heading', { name: 'Hives', exact: true })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stand(page, 'B')).toHaveAccessibleName(/7.4 m east, 12 m north/);
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
});

test('a trainee on a phone sees where bees fly and where to stand, and can change nothing', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'salma');
  await toPlan(page);
  await page.getByRole('button', { name: /^Hive 5 on stand B/ }).click();
  await expect(page.getByText('F frames, S smoke, R record, C clock, W watch')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save' })).toHaveCount(0);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Hive 5 on stand B, 7.4 m east/ })).toBeVisible();
  await axeFindsNothing(page, 'a plan on a phone');
});

test('sites come out for a map', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/office/sites');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'For a map (GeoJSON)' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^sites-.*\.geojson$/);
});
