import { expect, test } from '@playwright/test';
import { PASSWORD, controlled } from './school';

/** Figures in units of the metric way of measuring. */
const METRIC = /.{0,30}\d ?(kg|km\/h|km|mm|cm|L|°C)\b/;

test.use({ serviceWorkers: 'allow' });

test('whoever chooses imperial units reads and enters them everywhere, and nobody else does', async ({ page }) => {
  await page.request.post('/api/people/sign-in', { data: { name: 'leilani', password: PASSWORD } });
  await page.request.post('/api/people/units', { data: { own: null } });
  await page.goto('/ahead');
  await page.getByRole('button', { name: /Leilani/ }).click();
  await page.getByRole('menuitem', { name: 'Units' }).click();
  const card = page.getByRole('dialog', { name: 'Units' });
  await expect(card.getByRole('radio', { name: /Same as the school: Metric/ })).toBeChecked();
  await card.getByRole('radio', { name: /^Imperial/ }).check();
  // The page is opened anew in the units that were chosen.
  await Promise.all([page.waitForEvent('load'), card.getByRole('button', { name: 'Save' }).click()]);
  await expect(page.getByText(/°F/).first()).toBeVisible();
  for (const address of ['/ahead', '/ahead/season', '/ahead/dues', '/ahead/forage', '/ahead/weather', '/afterwards']) {
    await page.goto(address);
    await expect(page.locator('main h1, main h2').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    // What trainees told of themselves stays as they wrote it.
    const text = (await page.locator('body').innerText()).replace('lifts 10 kg', '');
    expect(
      [...text.matchAll(new RegExp(METRIC, 'g'))].map(([found]) => found),
      address,
    ).toEqual([]);
  }
  const limit = page.getByLabel('Full inspection, Least, °F');
  await page.goto('/ahead/weather');
  await expect(limit).toHaveValue('59');
  // Without signal the page opens in the same units.
  await controlled(page);
  await page.context().setOffline(true);
  await page.goto('/at-the-hive');
  await expect(page.locator('main')).not.toContainText(METRIC);
  await page.context().setOffline(false);

  await page.goto('/ahead');
  await page.getByRole('button', { name: /Leilani/ }).click();
  await page.getByRole('menuitem', { name: 'Units' }).click();
  await page.getByRole('radio', { name: /^Same as the school/ }).check();
  await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Save' }).click()]);
  await expect(page.getByText(/°C/).first()).toBeVisible();
});
