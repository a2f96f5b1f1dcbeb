import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { choose, controlled, signIn, soundOnDeskAndPhone, type, watchFaults } from './school';

const done = { name: 'Done, show me' } as const;

test('a trainee reads a comb by keys, sees what was there, and finds eggs by touch and by keys', async ({ page }) => {
  const faults = watchFaults(page);
  await signIn(page, 'kwame');
  await page.getByRole('navigation').getByRole('link', { name: 'Practice' }).click();
  // Practice opens on a comb, with the week and what comes next.
  await expect(page.getByRole('heading', { name: 'Brood comb' })).toBeVisible();
  await expect(page.getByText('0 of 7 days')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What comes next' })).toBeVisible();
  const comb = page.locator('canvas');
  await expect(comb).toBeVisible();
  await type(page, '4S1L3H');
  await expect(page.getByText('1L 4S 3H')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/out; with whole eighths the best possible is/)).toBeVisible();
  for (const over of ['off', 'zones and eggs', 'my guess'])
    await page.getByRole('radio', { name: over, exact: true }).click();
  await expect(page.getByRole('cell', { name: 'You said 4 eighths' })).toBeVisible();

  await expect(page.getByText('1 of 7 days')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'All drills' }).click();
  await expect(page.getByRole('row', { name: /^Brood comb/ })).toContainText(/right \d of 1/);
  await page
    .getByRole('row', { name: /^Find the eggs/ })
    .getByRole('link')
    .click();
  await expect(comb).toBeVisible();
  await page.getByRole('button', { name: 'closer' }).click();
  const box = (await comb.boundingBox())!;
  // Dragging moves the comb and touches nothing.
  await page.mouse.move(box.x + 300, box.y + 200);
  await page.mouse.down();
  await page.mouse.move(box.x + 200, box.y + 150, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('0 of 5 touched')).toBeVisible();
  await comb.click({ position: { x: 240, y: 120 } });
  await expect(page.getByText('1 of 5 touched')).toBeVisible();
  await comb.press('ArrowRight');
  await comb.press('Space');
  await expect(page.getByText('2 of 5 touched')).toBeVisible();
  await page.getByRole('button', done).click();
  await expect(page.getByText(/\d of 5 eggs found\./)).toBeVisible();
  // The search is shown again: what was missed is circled, and where was looked.
  await expect(page.getByText(/^also there, \d+$/)).toBeVisible();
  await page.getByRole('radio', { name: 'only my marks' }).click();
  await page.getByRole('slider', { name: /^Moment that is shown/ }).press('Home');
  await expect(page.getByText('found, 0')).toBeVisible();
  expect(faults).toEqual([]);
});

test('weather, order, stopping and what next are answered, and an indoor plan follows', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/practice/weather');
  await page.getByRole('button', { name: 'lid and feeder' }).click();
  await page.getByRole('button', { name: 'cold', exact: true }).click();
  await page.getByRole('button', done).click();
  await expect(page.getByText('With others:')).toBeVisible();

  await page.goto('/practice/order');
  const steps = page.locator('bc-order-entry li > button');
  await expect(steps.first()).toBeVisible();
  const first = await steps.first().textContent();
  await steps.first().press('Alt+ArrowDown');
  await expect(steps.nth(1)).toHaveText(new RegExp(`${first!.replace(/^\s*\d+\s*/, '').trim()}\\s*$`));
  await page.getByRole('button', done).click();
  await expect(page.getByRole('heading', { name: 'In the recommended order' })).toBeVisible();

  for (const [topic, answer] of [
    ['stop', 'go on'],
    ['next', 'Leave it alone'],
  ] as const) {
    await page.goto(`/practice/${topic}`);
    await page.getByRole('button', { name: answer, exact: true }).click();
    await page.getByRole('button', done).click();
    await expect(page.getByText(/^(Right|Partly|Not right)$/)).toBeVisible();
  }
  await page.goto('/practice/indoors');
  await expect(page.getByText(/weakest first/)).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'Stations' }), '2');
  await expect(page.getByText('Together:')).toHaveCount(2);
});

test('practice goes on without signal: answers wait, survive a reload and arrive once', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ baseURL: baseURL!, serviceWorkers: 'allow' });
  const page = await context.newPage();
  await signIn(page, 'thabo');
  await controlled(page);
  await page.goto('/practice/all');
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
  await context.setOffline(true);
  await page.goto('/practice/stop');
  await page.getByRole('button', { name: 'close now', exact: true }).click();
  await page.getByRole('button', done).click();
  await expect(page.getByText(/^(Right|Partly|Not right)$/)).toBeVisible();
  await page.goto('/practice/all');
  const row = page.getByRole('row', { name: /^Stop or go on/ });
  await expect(row).toContainText(/right \d of 1/);
  await context.setOffline(false);
  const results = async () =>
    ((await (await page.request.get('/api/practice')).json()) as { results: { topic: string }[] }).results.filter(
      ({ topic }) => topic === 'stop',
    ).length;
  await page.reload();
  await expect.poll(results).toBe(1);
  await page.reload();
  await expect(row).toContainText(/right \d of 1/);
  expect(await results()).toBe(1);
  await context.close();
});

test('the lead reads a debrief through and signs it', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/afterwards');
  await page.getByRole('navigation').getByRole('link', { name: 'Debrief' }).click();
  await expect(page.getByRole('heading', { name: 'Debrief', exact: true })).toBeVisible();
  const sessions = page.getByRole('combobox', { name: 'Session', exact: true });
  await sessions.click();
  const last = page.getByRole('option').last();
  const day = (await last.textContent())!.trim().split(',')[0]!;
  await last.click();
  await expect(page.locator('bc-debrief header p')).toContainText(day);
  await page.getByRole('button', { name: /5-minute talk-through/ }).click();
  for (const part of ['what we found', 'what went well', 'what to learn from', 'what comes next'])
    await page.getByRole('button', { name: `Next: ${part}` }).click();
  await expect(page.getByText('What would each of you do first next time?')).toBeVisible();
  await page.keyboard.press('Escape');
  const sign = page.getByRole('button', { name: /^Sign/ });
  await expect(sign).toBeDisabled();
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await sign.click();
  await expect(page.getByText(/Signed by Morag Selkirk/)).toBeVisible();
});

test('axe finds nothing in practice and debrief, and nothing runs off', async ({ page }) => {
  await signIn(page, 'morag');
  for (const path of [
    'practice',
    'practice/all',
    'practice/comb-stores',
    'practice/find-queen',
    'practice/order',
    'practice/stop',
    'practice/polls',
    'practice/indoors',
    'practice/own-photos',
    'afterwards/debrief',
  ]) {
    await page.goto(`/${path}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await page.waitForTimeout(400);
    await soundOnDeskAndPhone(page, path);
  }
});

test('a case that the school wrote itself is opened from a file, marked and not scored', async ({ page }) => {
  const faults = watchFaults(page);
  await signIn(page, 'kwame');
  await page.goto('/practice/next');
  const file = page.locator('bc-file input');
  await file.setInputFiles({ name: 'case.json', mimeType: 'application/json', buffer: Buffer.from('{"format":1}') });
  await expect(page.getByRole('alert')).toContainText('This file cannot be judged');
  await file.setInputFiles(join(import.meta.dirname, '../../docs/formats/situation.example.json'));
  await expect(page.getByText(/from a file: not scored/)).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByRole('button', { name: 'Feed', exact: true }).click();
  await page.getByRole('button', done).click();
  await expect(page.getByText(/^(Right|Partly|Not right)$/)).toBeVisible();
  expect(faults).toEqual([]);
});
