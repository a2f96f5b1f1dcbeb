import { expect, test } from '@playwright/test';
import { axeFindsNothing, bigButton, openVisit, signIn, stopHere, turnTo } from './school';

test('axe finds nothing on sign-in, day sheet, visits and review', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await axeFindsNothing(page);
  await signIn(page, 'morag');
  await expect(page.locator('bc-season-strip .day')).toHaveCount(21);
  await axeFindsNothing(page);
  await page.getByRole('button', { name: 'Morag Selkirk, menu' }).click();
  await page.getByRole('menuitem', { name: 'Theme' }).click();
  await page.getByRole('menuitemradio', { name: 'Dark' }).click();
  await page.waitForTimeout(400);
  await axeFindsNothing(page);
  await page.getByRole('link', { name: 'Afterwards' }).click();
  await page
    .getByRole('link', { name: /, hive 4, review$/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  await axeFindsNothing(page);
  await page.getByRole('button', { name: 'Morag Selkirk, menu' }).click();
  await page.getByRole('menuitem', { name: 'Theme' }).click();
  await page.getByRole('menuitemradio', { name: 'Light' }).click();
  await page.waitForTimeout(400);
  await axeFindsNothing(page);
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`axe finds nothing at the hive, ${width} × ${height}`, async ({ page }) => {
    await signIn(page, 'ruth');
    await page.setViewportSize({ width, height });
    await openVisit(page, '6');
    await axeFindsNothing(page);
    await turnTo(page, 1);
    await axeFindsNothing(page);
    await page.getByRole('button', { name: /Emergency/ }).click();
    await expect(page.getByRole('link', { name: 'Call 112' })).toBeVisible();
    await axeFindsNothing(page);
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await stopHere(page);
    await expect(page.getByRole('heading', { name: 'Close in reverse' })).toBeVisible();
    await axeFindsNothing(page);
    await page
      .locator('bc-step-list')
      .getByRole('button', { name: /entrance again/ })
      .click();
    await expect(bigButton(page)).toHaveText(/End the visit/);
    await axeFindsNothing(page);
  });
}

test('every target at the hive is 48 px or more, and nothing runs off a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  await turnTo(page, 1);
  const small = await page.evaluate(() =>
    Array.from(
      document.querySelectorAll<HTMLElement>('bc-at-the-hive button, bc-at-the-hive select, bc-at-the-hive input'),
    )
      .filter((element) => !element.closest('bc-eighths-bar') && element.offsetParent)
      .map((element) => ({ name: element.textContent?.trim() ?? '', height: element.getBoundingClientRect().height }))
      .filter(({ height }) => height < 45.5),
  );
  expect(small).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  // The bar is one row, and the letters lie above it.
  const bar = (await page.locator('footer').boundingBox())!;
  expect(bar.height).toBeLessThan(80);
  const pad = (await page.locator('bc-letter-pad').boundingBox())!;
  expect(pad.y + pad.height).toBeLessThan(bar.y);
  // Mood, smoke and stings come from below; one tap and they are gone.
  await page.getByRole('button', { name: /^Bees, smoke, stings/ }).click();
  const sheet = page.getByRole('dialog', { name: 'Bees, smoke, stings' });
  await expect(sheet).toBeVisible();
  await axeFindsNothing(page);
  await sheet.getByRole('button', { name: 'lively' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('button', { name: /^Bees, smoke, stings: *lively/ })).toBeVisible();
  await page.getByRole('button', { name: /^Go to another/ }).click();
  await axeFindsNothing(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Seen enough\?/ }).click();
  await axeFindsNothing(page);
});

test('axe finds nothing in what opens over a screen or takes its place', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/ahead/day/2026-05-15');
  await expect(page.getByRole('heading', { name: 'No session' })).toBeVisible();
  await axeFindsNothing(page);
  await page.goto('/ahead/dues');
  await page.locator('bc-worded button').first().click();
  await expect(page.getByRole('dialog').getByRole('link', { name: 'Glossary' })).toBeVisible();
  await axeFindsNothing(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goto('/afterwards/debrief');
  await page.getByRole('button', { name: '5-minute talk-through' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'What we found' })).toBeFocused();
  await axeFindsNothing(page);
  await page.goto('/afterwards');
  await page.getByRole('button', { name: 'Hive', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'Hive' })).toHaveAttribute('aria-sort', 'ascending');
  await axeFindsNothing(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/ahead/planner');
  await page.locator('mat-action-list button').first().click();
  await expect(page.getByRole('dialog', { name: /^Why hive/ })).toBeVisible();
  await axeFindsNothing(page);
});

test('day sheet and review fit a screen 320 px wide without running off it', async ({ page }) => {
  await signIn(page, 'morag');
  await page.setViewportSize({ width: 320, height: 640 });
  const width = () => page.evaluate(() => document.documentElement.scrollWidth);
  expect(await width()).toBeLessThanOrEqual(320);
  await page.goto('/afterwards');
  await page
    .getByRole('link', { name: /, hive 4, review$/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  expect(await width()).toBeLessThanOrEqual(320);
});

test('a visit can be worked by keyboard alone', async ({ page }) => {
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  await turnTo(page, 1);
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog', { name: 'Shorthand: letters and keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Frame 11\./ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Frame 11' })).toBeVisible();
});
