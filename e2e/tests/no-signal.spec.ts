import { expect, test } from '@playwright/test';
import { allKept, bigButton, controlled, openVisit, reachFrames, signIn, turnTo, type } from './school';

test.use({ serviceWorkers: 'allow' });

test('without signal a visit is started, recorded, reloaded and goes on; with signal all of it arrives once', async ({
  page,
  context,
}) => {
  await signIn(page, 'leilani');
  await controlled(page);
  await expect(page.getByRole('heading', { name: /Dipper.*Hive 7/ })).toBeVisible();
  await expect(page.getByText(/Saved for offline use/)).toBeVisible();

  await context.setOffline(true);
  await openVisit(page, '7');
  await reachFrames(page);
  await type(page, '4H1P3CB5');
  await page.keyboard.press('Enter');
  await type(page, '3H2P2E1LB6');
  await page.keyboard.press('Enter');
  await type(page, '5S1L');
  await expect(page.getByRole('button', { name: /waiting, no signal/ })).toBeVisible();
  const address = page.url();

  await page.reload();
  await expect(page.getByRole('heading', { name: 'Hive 7', level: 1 })).toBeVisible();
  await expect(page.getByText('2 of 20 sides')).toBeVisible();
  await expect(page.locator('#shorthand')).toHaveValue('1L 5S');
  await page.getByRole('button', { name: /waiting, no signal/ }).click();
  await expect(page.getByRole('dialog').getByText(/entries have been waiting here since/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the hive' }).click();

  await context.setOffline(false);
  await page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
  await allKept(page);
  const visit = address.split('/').at(-1) ?? '';
  const file = (await (await page.request.get(`/api/visits/${visit}`)).json()) as {
    entries: { body: { kind: string } }[];
  };
  expect(file.entries.filter((each) => each.body.kind === 'frame-side-recorded')).toHaveLength(2);
});

test('two readings of one side both stay until somebody settles them', async ({ page, browser }) => {
  await signIn(page, 'morag');
  await openVisit(page, '7');
  const visit = page.url().split('/').at(-1) ?? '';
  const other = await browser.newPage();
  await signIn(other, 'leilani');
  const reading = {
    id: crypto.randomUUID(),
    at: new Date(Date.parse('2026-05-14T12:00:00Z')).toISOString(),
    body: {
      kind: 'frame-side-recorded',
      address: { box: 'brood box', frame: 9, face: 'low' },
      side: { eighths: { H: 8 }, trace: [], bees: 3, queen: false, cells: 0, doubtful: false },
      seen: null,
    },
  };
  // Without a signal this device cannot hear of it in time.
  await page.context().setOffline(true);
  const answer = await other.request.post(`/api/visits/${visit}/entries`, { data: { entries: [reading] } });
  expect(answer.status()).toBe(200);

  await turnTo(page, 9);
  await type(page, '5H3NB3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /waiting, no signal/ })).toBeVisible();
  await page.context().setOffline(false);
  await page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
  await expect(page.getByRole('button', { name: /all saved|1 to settle/ })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: '1 to settle' }).click();
  await page.getByRole('button', { name: 'Settle it' }).click();
  await expect(page.getByRole('heading', { name: 'Two readings of this side' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this one' }).nth(1).click();
  await expect(page.locator('#shorthand')).toHaveValue('3N 5H B3');
  await expect(page.getByRole('button', { name: 'all saved' })).toBeVisible();
});

test('a half-typed side survives a closed tab', async ({ page, context }) => {
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  await turnTo(page, 8);
  await type(page, '2S1D+E');
  await expect(page.locator('#shorthand')).toHaveValue('2S 1D +E');
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.locator('#shorthand')).toHaveValue('2S 1D +E');
  await expect(bigButton(again)).toContainText('Frame 8, side toward 9');
});
