import { type Page, expect, test } from '@playwright/test';
import { choose, signIn, soundOnDeskAndPhone, watchFaults } from './school';

const view = (page: Page, name: string) => page.getByRole('link', { name, exact: true }).click();
const VIEWS = [
  ['planner', 'Not placed, and why'],
  ['season', /Swarm season at Home orchard/],
  ['day/2026-05-14', /Thu 14 May at Home orchard/],
  ['dues', /What is due at Home orchard/],
  ['forage', /Bloom calendar at Home orchard/],
  ['seen', /Season diary, Home orchard/],
  ['weather', /How reliable the forecast is/],
  ['sessions', /^Sessions ahead/],
  ['planner/coverage', /^What each group still needs/],
  ['planner/terms', /^Times and limits/],
  ['planner/outbox', /^Versions and messages/],
] as const;

test('the year: phases with reasons, drawn closer and moved by keys, a day by a click, the same as a table', async ({
  page,
}) => {
  const faults = watchFaults(page);
  await signIn(page, 'morag');
  await view(page, 'Season');
  await expect(page.getByRole('heading', { name: 'Swarm season at Home orchard' })).toBeVisible();
  const chart = page.getByRole('group', { name: /^Year chart/ });
  const ticks = () => chart.locator('.tick').allTextContents();
  const whole = await ticks();
  await chart.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect.poll(ticks).not.toEqual(whole);
  const closer = await ticks();
  await page.keyboard.press('ArrowRight');
  await expect.poll(ticks).not.toEqual(closer);
  await page.keyboard.press('0');
  await expect.poll(ticks).toEqual(whole);
  await page.getByRole('button', { name: 'Weeks from first pollen' }).click();
  await expect.poll(ticks).not.toEqual(whole);
  await page.getByText('The year as a table').click();
  await expect(page.getByRole('row', { name: /making winter bees/ })).toContainText('cold begins');
  await chart.locator('svg').click({ position: { x: 500, y: 200 } });
  await expect(page).toHaveURL(/ahead\/day\/2026/);
  expect(faults).toEqual([]);
});

test('a day hour by hour, in words', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/ahead/day/2026-05-14');
  await expect(page.locator('.best')).toContainText(/\d\d:\d\d–\d\d:\d\d fit for full inspection/);
  await expect(page.getByRole('heading', { name: 'Smoker and fire' })).toBeVisible();
  await page.getByRole('link', { name: 'Day before' }).click();
  await expect(page.getByRole('heading', { name: /Wed 13 May/ })).toBeVisible();
  await expect(page.getByText('as it was').first()).toBeVisible();
});

test('bloom seen today moves the plants behind it, and is taken back', async ({ page }) => {
  await signIn(page, 'leilani');
  await view(page, 'Bloom');
  const clover = page.getByRole('row', { name: /^White clover/ });
  const before = await clover.textContent();
  await page.getByLabel(/First bloom of Hawthorn/).fill('5 May');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^Hawthorn/ })).toContainText('seen 5 May');
  await expect(clover).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'undo first bloom of Hawthorn' }).click();
  await expect(clover).toHaveText(before ?? '');
});

test('what was tapped without signal waits, survives a reload and is sent once there is one', async ({
  page,
  context,
}) => {
  await signIn(page, 'marit');
  await view(page, 'Diary');
  const three = page.getByRole('group', { name: 'Hive 3' });
  await expect(three.getByRole('button', { name: 'alive' })).toHaveAttribute('aria-pressed', 'true');
  await context.route('**/api/**', (route) => route.abort());
  await three.getByRole('button', { name: 'unsure' }).click();
  await expect(page.getByText(/1 entry waits on this device/).first()).toBeVisible();
  await context.unroute('**/api/**');
  await page.reload();
  await expect(three.getByRole('button', { name: 'unsure' })).toHaveAttribute('aria-pressed', 'true');
  await three.getByRole('button', { name: 'alive' }).click();
  await expect(three.getByRole('button', { name: 'alive' })).toHaveAttribute('aria-pressed', 'true');
});

test('an event sets tasks going for every hive; taken back, they go', async ({ page }) => {
  await signIn(page, 'morag');
  await view(page, 'Diary');
  await choose(page.getByRole('combobox', { name: 'Event', exact: true }), 'wasps');
  await expect(page.getByText(/Starts: narrow the entrance/)).toBeVisible();
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/9 tasks/)).toBeVisible();
  await view(page, 'To do');
  await expect(page.getByRole('row', { name: /Narrow the entrance/ })).toHaveCount(9);
  await view(page, 'Diary');
  await page.getByRole('button', { name: /^undo wasps/ }).click();
  await expect(page.getByText(/9 tasks/)).toBeHidden();
});

test('a colony’s calendar: expected state, a treatment by its label, and back', async ({ page }) => {
  await signIn(page, 'morag');
  await view(page, 'To do');
  await page.getByRole('button', { name: 'Hive 5, its calendar' }).first().click();
  await expect(page.getByRole('heading', { name: 'Expect today' })).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'What', exact: true }), 'Treatment given');
  await expect(page.getByText(/label: it, local law and the vet decide/)).toBeVisible();
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('alert')).toContainText('active ingredient');
  await page.getByLabel('Active ingredient, form').fill('thymol gel');
  await page.getByLabel('Out after, days').fill('28');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('alert')).toContainText('Give the withdrawal for honey');
  await page.getByLabel('Withdrawal, days').fill('0');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('row', { name: /thymol gel: take it out/ })).toContainText('11 Jun');
  await page.getByRole('button', { name: /undo thymol gel/ }).click();
  await expect(page.getByRole('row', { name: /thymol gel/ })).toHaveCount(0);
});

test('a measurement takes the place of the forecast, a file of hours is read, and rubbish is told', async ({
  page,
}) => {
  await signIn(page, 'morag');
  await page.getByRole('combobox', { name: 'Site' }).selectOption({ label: 'Moor edge' });
  await view(page, 'Weather');
  await expect(page.getByRole('heading', { name: /at Moor edge/ }).first()).toBeVisible();
  await page.getByLabel('Shade, °C').fill('17.5');
  await page.getByRole('button', { name: 'Save', exact: true }).first().click();
  await expect(page.getByText(/it replaces the forecast/)).toBeVisible();
  const file = (text: string) => ({ name: 'hours.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page
    .locator('bc-file', { hasText: 'Import hours measured here (CSV)' })
    .locator('input')
    .setInputFiles(file('time,temperature\n2026-05-12T12:00Z,18\nyesterday,19\n'));
  await expect(page.getByText('1 hour saved, 12 May to 12 May.')).toBeVisible();
  await expect(page.getByText('One line left out')).toBeVisible();
  await page
    .locator('bc-file', { hasText: 'Import a typical year (EPW)' })
    .locator('input')
    .setInputFiles(file('bees'));
  await expect(page.getByRole('alert')).toContainText('LOCATION');
});

test('the own calendar has a secret address that can be revoked', async ({ page, request }) => {
  await signIn(page, 'tomasz');
  await page.getByRole('button', { name: /, menu$/ }).click();
  await page.getByRole('menuitem', { name: 'My calendar address' }).click();
  await page.getByRole('button', { name: /^Make (one|a new one)$/ }).click();
  const address = await page.getByLabel(/Copy it now/).inputValue();
  const answer = await request.get(address);
  expect(answer.ok()).toBe(true);
  expect(await answer.text()).toContain('BEGIN:VCALENDAR');
  await page.getByRole('button', { name: 'Disable it' }).click();
  await expect(page.getByText('You have none yet.')).toBeVisible();
  expect((await request.get(address)).status()).toBe(404);
});

test('trainees see the season and tell what blooms, but no dues', async ({ page }) => {
  await signIn(page, 'aroha');
  await expect(page.getByRole('link', { name: 'To do', exact: true })).toHaveCount(0);
  await view(page, 'Season');
  await expect(page.getByRole('heading', { name: /Swarm season/ })).toBeVisible();
  await view(page, 'Bloom');
  await expect(page.getByRole('button', { name: /Bloom seen today.*Hawthorn/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Another plant' })).toHaveCount(0);
});

test('axe finds nothing on the views under Ahead, also in the dark, and nothing runs off', async ({ page }) => {
  await signIn(page, 'morag');
  await page.getByRole('button', { name: /, menu$/ }).click();
  await page.getByRole('menuitem', { name: 'Theme' }).click();
  await page.getByRole('menuitemradio', { name: 'Dark' }).click();
  for (const [path, heading] of VIEWS) {
    await page.goto(`/ahead/${path}`);
    await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
    await page.waitForTimeout(300);
    if (path === 'dues') await page.getByRole('button', { name: 'Hive 7, its calendar' }).first().click();
    await soundOnDeskAndPhone(page, path);
  }
});
