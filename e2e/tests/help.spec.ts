import { expect, test } from '@playwright/test';
import { IN_GUIDE } from '../../web/src/app/help/guide';
import { axeFindsNothing, signIn } from './school';

test('? says what a page is for, number by number, and closes again', async ({ page }) => {
  await signIn(page, 'morag');
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Day sheet' });
  await expect(help.getByText(/Can we open today/)).toBeVisible();
  const lines = await help.getByRole('listitem').count();
  await expect(page.locator('.ring b')).toHaveText(
    Array.from({ length: lines }, (_, at) => new RegExp(`^${at + 1}$`)).slice(0, await page.locator('.ring').count()),
  );
  expect(await page.locator('.ring').count()).toBeGreaterThan(3);
  await axeFindsNothing(page, 'help');
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();
  await expect(page.locator('.ring')).toHaveCount(0);

  await page.goto('/office/checklist');
  await page.getByRole('button', { name: 'Help for this page' }).click();
  await expect(page.getByRole('dialog', { name: 'Checklist' })).toBeVisible();
  await page.getByRole('link', { name: 'Glossary' }).click();
  await page.getByLabel(/^Find a word/).fill('nuc');
  await expect(page.getByRole('navigation', { name: 'Words' }).getByRole('link').first()).toHaveText('nucleus nuc');
  await axeFindsNothing(page, 'glossary');
});

test('help leads to its place in the guide, and every place is there with its pictures', async ({ page, context }) => {
  await signIn(page, 'morag');
  await page.keyboard.press('?');
  const [guide] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'In the guide' }).click(),
  ]);
  await expect(guide.getByRole('heading', { name: 'On the day' })).toBeInViewport();
  await axeFindsNothing(guide, 'the guide');
  for (const address of new Set(Object.values(IN_GUIDE))) {
    await guide.goto(`/guide/${address}`);
    const [, heading] = address.split('#');
    if (heading !== undefined) await expect(guide.locator(`h2[id="${heading}"]`)).toHaveCount(1);
    const broken = await guide.evaluate(
      () => [...document.images].filter(({ naturalWidth }) => naturalWidth === 0).length,
    );
    expect(broken, address).toBe(0);
  }
});

test('the first round goes through six stops, can be left, and goes on where it was left', async ({ page }) => {
  await signIn(page, 'salma');
  await page.keyboard.press('?');
  await page.getByRole('button', { name: /First round/ }).click();
  const stop = (title: string) => page.getByRole('dialog', { name: title });
  await expect(stop('Three weeks')).toBeVisible();
  for (const title of ['Go or not, and until when', 'Who opens which hive', 'At the hive']) {
    await page.keyboard.press('Enter');
    await expect(stop(title)).toBeVisible();
  }
  await expect(page).toHaveURL(/at-the-hive$/);
  await page.keyboard.press('Escape');
  await expect(stop('At the hive')).toBeHidden();
  await page.getByRole('button', { name: 'Help for this page' }).click();
  await page.getByRole('button', { name: /First round/ }).click();
  await expect(stop('At the hive')).toBeVisible();
  for (const title of ['Afterwards', 'Help']) {
    await page.keyboard.press('Enter');
    await expect(stop(title)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.locator('bc-round-stop')).toHaveCount(0);
});

test('on a phone the places are in a drawer that keys can leave, and a page is announced', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'leilani');
  const menu = page.getByRole('button', { name: 'Places' });
  await menu.click();
  const drawer = page.getByRole('dialog', { name: 'Places' });
  await expect(drawer).toBeVisible();
  await axeFindsNothing(page, 'the drawer');
  await page.keyboard.press('Escape');
  await expect(drawer).toBeHidden();
  await expect(menu).toBeFocused();
  await menu.click();
  await drawer.getByRole('link', { name: 'Yard book' }).click();
  await expect(page.getByRole('heading', { name: 'To be done' })).toBeVisible();
  await expect(page.locator('main')).toBeFocused();
  await expect(page.locator('.cdk-live-announcer-element')).toHaveText('Yard book – Brave Comb');
  await page.goto('/colonies');
  await page.locator('main a[href^="/colonies/"]').first().click();
  await expect(page).toHaveTitle(/^Hive \d+ – Brave Comb$/);
  await page.getByRole('link', { name: 'Back to Colonies' }).click();
  await expect(page).toHaveURL(/\/colonies$/);
});
