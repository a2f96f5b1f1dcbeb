import { expect, test } from '@playwright/test';
import { PASSWORD, signIn } from './school';

test('a trainee sees the own group, the own part, and nothing to start or decide', async ({ page }) => {
  await signIn(page, 'salma');
  await expect(page.locator('bc-group-card')).toHaveCount(1);
  await expect(page.getByRole('heading', { name: 'Your part' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'You can show' })).toBeVisible();
  await expect(page.getByRole('button', { name: /Start|Go on/ })).toHaveCount(0);
  await expect(page.getByText('allergy', { exact: false })).toHaveCount(0);
  // A trainee may keep the record of an open visit, but neither watches all hives nor prints labels.
  await page.getByRole('link', { name: 'At the hive' }).click();
  await expect(page.getByRole('heading', { name: 'At the hive', level: 1 })).toBeVisible();
  for (const name of ['Live', 'Labels']) await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0);
  await page.getByRole('link', { name: 'Afterwards' }).click();
  await page
    .getByRole('link', { name: /, hive 4, review$/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: 'Advice' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Decide' })).toHaveCount(0);
});

test('a supervisor starts visits of the sessions that they supervise', async ({ page }) => {
  await signIn(page, 'leilani');
  await expect(page.locator('bc-group-card')).toHaveCount(3);
  await expect(page.getByRole('button', { name: 'Demo clock, move it forward' })).toHaveCount(0);
});

test('a wrong password is refused in words, and nobody gets past the door', async ({ page }) => {
  await page.goto('/ahead');
  await expect(page).toHaveURL(/sign-in\?back=%2Fahead/);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Type your sign-in name.')).toBeVisible();
  await page.getByLabel('Name').fill('hoa');
  await page.getByLabel('Password', { exact: true }).fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Name or password is wrong' })).toBeVisible();
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/\/ahead$/);
  await page.getByRole('button', { name: /Hoa, menu/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
});
