import { expect, test } from '@playwright/test';
import { signIn } from './school';

// Publishing mends the sessions of the invented school, today's too: this walk comes after all others.
test('what is published is told to those whose sessions changed, stands in the outbox and on their own page', async ({
  page,
  browser,
}) => {
  await signIn(page, 'morag');
  await page.goto('/ahead/planner');
  const board = page.getByRole('grid', { name: /^Plan: slots across/ });
  await expect(board.getByRole('row', { name: /^Curlew/ })).toBeVisible();
  const told = page.getByRole('button', { name: 'Back to published plan' });
  if (await told.isVisible()) await told.click();
  // The last session of the Dippers: nothing else in these walks rests on it.
  await board.locator('bc-plan-row', { hasText: 'Dipper' }).locator('button.token').last().click();
  const why = page.getByRole('region', { name: /^Why hive/ });
  await expect(why.getByText('Or else')).toBeVisible();
  await why
    .getByRole('button', { name: /, \d\d:\d\d [+−]/ })
    .first()
    .click();
  await expect(page.getByText(/Moved, \d+\.\d points/)).toBeVisible();
  await page.getByRole('button', { name: 'Publish …' }).click();
  await page.getByLabel('Note to everyone affected').fill('the stand is being mended');
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/Version \d+ is published\. (\d+ people were|One person was) told\./)).toBeVisible();
  await page.getByRole('link', { name: 'Versions and messages' }).click();
  await expect(page.getByText('the stand is being mended').first()).toBeVisible();
  const mails = page.locator('section[aria-labelledby="outbox-title"] li');
  await expect(mails.first()).toContainText(/session|sessions/);
  await expect(mails.filter({ hasText: 'Chloe' }).first()).toContainText('Dipper: ');

  const own = await browser.newPage();
  await signIn(own, 'chloe');
  await own.getByRole('link', { name: /new message/ }).click();
  await expect(own.getByRole('heading', { name: 'Messages' })).toBeVisible();
  await own.getByRole('button', { name: 'Read' }).first().click();
  await expect(own.getByRole('link', { name: /new message/ })).toHaveCount(0);
  await own.getByRole('link', { name: 'Sessions', exact: true }).click();
  await expect(own.getByRole('heading', { name: 'Your sessions' })).toBeVisible();
  await expect(own.getByText('You do').first()).toBeVisible();
  await own.close();
});
