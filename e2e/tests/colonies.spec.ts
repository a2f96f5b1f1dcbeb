import { expect, test } from '@playwright/test';
import { signIn, soundOnDeskAndPhone, watchFaults } from './school';

test('colonies: from the list to one story with its forecast, closer by keys, and on to the next hive', async ({
  page,
}) => {
  const faults = watchFaults(page);
  await signIn(page, 'morag');
  await page.getByRole('link', { name: 'Colonies', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Colonies/ })).toBeVisible();
  await soundOnDeskAndPhone(page, 'colonies');
  await page.getByRole('radio', { name: /^Moor edge/ }).click();
  await expect(page.getByRole('link', { name: 'Hive 4', exact: true })).toBeHidden();
  await page.getByRole('radio', { name: /^All/ }).click();
  await page.getByRole('link', { name: 'Hive 4', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Hive 4/, level: 1 })).toBeVisible();
  // Reckoned by a worker of the page itself.
  await expect(page.getByText(/^All room covered within six weeks/)).toBeVisible();
  await expect(page.getByText(/\d+ of \d+ did/)).toBeVisible();
  await soundOnDeskAndPhone(page, 'one colony');
  const days = page.getByRole('slider', { name: 'Days that are shown' });
  const before = await days.getAttribute('aria-valuetext');
  await days.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(days).not.toHaveAttribute('aria-valuetext', before!);
  await page.getByRole('link', { name: /Hive 5/ }).click();
  await expect(page.getByRole('heading', { name: /^Hive 5/, level: 1 })).toBeVisible();
  expect(faults).toEqual([]);
});

test('a trainee reads the story of every hive, and comes from it only into visits of the own group', async ({
  page,
}) => {
  await signIn(page, 'salma');
  await page.goto('/colonies');
  await page.getByRole('link', { name: 'Hive 9', exact: true }).click();
  const visits = page.getByRole('table').getByRole('rowheader');
  await expect(visits).toHaveCount(3);
  const links = await page.getByRole('table').getByRole('link').count();
  expect(links).toBeLessThan(3);
  for (let index = 0; index < links; index += 1) {
    await page.getByRole('table').getByRole('link').nth(index).click();
    await expect(page.getByRole('heading', { name: /^Hive 9/ }).first()).toBeVisible();
    await page.goBack();
    await expect(visits).toHaveCount(3);
  }
});

test('the yard round: a job is put off and the walk gets shorter; a site of its own by a tap', async ({ page }) => {
  const faults = watchFaults(page);
  await signIn(page, 'morag');
  await page.goto('/colonies/round');
  await expect(page.getByRole('heading', { name: /^Yard round Home orchard/ })).toBeVisible();
  await soundOnDeskAndPhone(page, 'yard round');
  const walk = page.getByRole('img', { name: /^The walk/ });
  const before = await walk.getAttribute('aria-label');
  const jobs = page.getByRole('combobox', { name: /, hive 5$/ }).filter({ hasNotText: 'not now' });
  await expect(jobs.first()).toBeVisible();
  for (let left = await jobs.count(); left > 0; left -= 1) {
    await jobs.first().click();
    await page.getByRole('option', { name: 'not now' }).click();
    await expect(jobs).toHaveCount(left - 1);
  }
  await expect(walk).not.toHaveAttribute('aria-label', before!);
  await page.reload();
  await expect(walk).not.toHaveAttribute('aria-label', before!);
  await page.getByRole('radio', { name: 'Moor edge' }).click();
  await expect(page.getByRole('heading', { name: /^Yard round Moor edge/ })).toBeVisible();
  expect(faults).toEqual([]);
});

test('what a hive is kept for leans its advice; a division is worked out, and a trial is begun', async ({ page }) => {
  const faults = watchFaults(page);
  await signIn(page, 'morag');
  await page.goto('/colonies');
  await page.getByRole('link', { name: 'Hive 8', exact: true }).click();
  const card = page.getByRole('region', { name: 'Kept for, and its stock' });
  await card.getByRole('combobox', { name: 'Kept for' }).click();
  await page.getByRole('option', { name: 'more colonies' }).click();
  await expect(page.getByText('Kept for: more colonies')).toBeVisible();
  await page.reload();
  await expect(card.getByRole('combobox', { name: 'Kept for' })).toContainText('more colonies');
  await page.goto('/colonies/increase');
  await expect(page.getByText(/^Disease is suspected in this yard/)).toBeVisible();
  await page.getByRole('combobox', { name: /^Site/ }).selectOption({ label: 'Moor edge' });
  await expect(page.getByText('Graft larvae of half a day to a day from the chosen mother')).toBeVisible();
  await soundOnDeskAndPhone(page, 'increase');
  await page.getByRole('combobox', { name: 'Their queens' }).click();
  await page.getByRole('option', { name: 'bought laying' }).click();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('Hang her in, in her cage')).toBeVisible();
  await page.getByRole('button', { name: 'Begin a trial' }).click();
  await page.getByLabel('What question should it answer?').fill('Candy or syrup?');
  await page.getByLabel('First method').fill('candy');
  await page.getByLabel('Second method').fill('syrup');
  await page.getByRole('button', { name: 'Pair them and begin' }).click();
  await expect(page.getByText(/^Nothing measured yet on/)).toBeVisible();
  expect(faults).toEqual([]);
});
