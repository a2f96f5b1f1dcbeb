import { type APIRequestContext, type Browser, type Page, expect, test } from '@playwright/test';
import { ownServer } from './own-server';
import { allKept, bigButton, controlled, more, openVisit, reachFrames, signIn, stopHere, turnTo, type } from './school';

const { base: BASE, killAndStart } = ownServer(18_390);

interface File {
  readonly entries: readonly { readonly id: string; readonly at: string; readonly body: { readonly kind: string } }[];
}
const visitOf = (page: Page) => page.url().split('/').at(-1) ?? '';
const entriesOf = async (request: APIRequestContext, visit: string) =>
  ((await (await request.get(`/api/visits/${visit}`, { maxRetries: 3 })).json()) as File).entries;
const someone = async (browser: Browser, name: string) => {
  const context = await browser.newContext({ baseURL: BASE });
  const page = await context.newPage();
  await signIn(page, name);
  return { context, page };
};

test('what is tapped at the entrance outlives a reload, and becomes one entry with the next step', async ({ page }) => {
  await signIn(page, 'leilani');
  await openVisit(page, '7');
  const visit = visitOf(page);
  const kept = async () => (await entriesOf(page.request, visit)).map(({ body }) => body.kind);
  const looks = async () => (await kept()).filter((kind) => kind === 'outside-seen').length;
  const counts = async () => (await kept()).filter((kind) => kind === 'measured').length;
  const before = [await looks(), await counts()] as const;
  const toEntrance = () =>
    page
      .getByRole('button', { name: /Watch the entrance/ })
      .first()
      .click();
  await toEntrance();
  const steady = page.getByRole('group', { name: /Traffic/ }).getByRole('button', { name: 'steady' });
  await steady.click();
  await page.getByRole('button', { name: 'Wasps a minute, more' }).click();
  await page.reload();
  await expect(steady).toHaveAttribute('aria-pressed', 'true');
  await bigButton(page).click();
  await allKept(page);
  expect([await looks(), await counts()]).toEqual([before[0] + 1, before[1] + 1]);

  await page.reload();
  await toEntrance();
  await bigButton(page).click();
  await allKept(page);
  expect([await looks(), await counts()]).toEqual([before[0] + 1, before[1] + 1]);
});

test('the open hive warns, bars and lists what must be put right before it closes', async ({ page }) => {
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  const veils = page.getByRole('group', { name: 'Veil closed, checked by somebody else' }).getByRole('button');
  const names = await veils.allTextContents();
  for (let index = 0; index < names.length; index += 1) await veils.nth(index).click();
  await veils.first().click();
  await expect(page.getByText('Somebody is standing there with an open veil.')).toBeVisible();

  // While the hive is shut a touch on its map looks at last time, and opens nothing.
  await page.getByRole('button', { name: /^Frame 5\./ }).click();
  await expect(page.getByRole('figure', { name: /Frame 5 toward 4, last time: / })).toBeVisible();
  await expect(page.getByText('Not open yet')).toBeVisible();

  // An open veil bars the lid, a shut one lets it come off.
  const guard = page.getByRole('dialog');
  for (let step = 0; step < 6 && !(await guard.isVisible()); step += 1) {
    const says = (await bigButton(page).textContent()) ?? '';
    await bigButton(page).click();
    if (says.includes('take parts off')) break;
    await expect(bigButton(page)).not.toHaveText(says);
  }
  await expect(guard.getByText('Somebody is standing there with an open veil.')).toBeVisible();
  await expect(guard.getByRole('button', { name: 'Open anyway' })).toHaveCount(0);
  await guard.getByRole('button', { name: 'Put it right first' }).click();
  await veils.first().click();

  await turnTo(page, 5);
  await type(page, '4S1L1E2HQB7');
  await turnTo(page, 6);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'More seen' }).click();
  await page.getByRole('button', { name: 'sunken cappings' }).click();
  await expect(page.getByText(/open one and look; ropiness test/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the comb' }).click();
  await type(page, '5S3H');
  await expect(page.locator('#shorthand')).toHaveValue('5S 3H .sunken-lids !');

  // The queen's frame warns whenever it is lifted again; a doubtful one does not leave the hive.
  await turnTo(page, 5);
  await expect(page.getByRole('alert').filter({ hasText: 'The queen was seen on this frame' })).toBeVisible();
  await turnTo(page, 6);
  await more(page, 'Move this comb');
  const move = page.getByRole('dialog');
  await move.getByRole('button', { name: 'another hive' }).click();
  await move.getByRole('group', { name: 'Hive', exact: true }).getByRole('button').first().click();
  await expect(move.getByText('This frame is doubtful: it stays in this hive')).toBeVisible();
  await expect(move.getByRole('button', { name: 'Move it' })).toBeDisabled();
  await move.getByRole('button', { name: 'Cancel' }).click();

  // What was undone comes again.
  await page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button', { name: 'easy' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: 'easy', pressed: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByRole('button', { name: 'easy', pressed: true })).toBeVisible();

  // Bees that ask for it bring the advice to close.
  await page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button', { name: 'close' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Close now.' })).toBeVisible();
  await page.getByRole('button', { name: 'Close up' }).click();
  await expect(page.getByText('Look again before closing: frame 6 toward 5.')).toBeVisible();
  for (let step = 0; step < 30; step += 1) {
    const says = (await bigButton(page).textContent()) ?? '';
    if (says.includes('End the visit')) break;
    await bigButton(page).click();
    await expect(bigButton(page)).not.toHaveText(says);
  }
  await bigButton(page).click();
  await expect(guard.getByText('Look again before closing')).toBeVisible();
  await guard.getByRole('button', { name: 'Put it right first' }).click();
  // It leads there, where the doubt is looked at again.
  await expect(page.getByRole('heading', { name: 'Doubtful frames again' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Looked again: sound' })).toBeVisible();

  // The second look settles the doubt, the queen is accounted for, and the partial visit ends as one.
  await turnTo(page, 6);
  await page.getByRole('button', { name: 'Side before' }).click();
  await page.getByRole('button', { name: 'Doubtful', exact: true }).click();
  await expect(page.locator('#shorthand')).toHaveValue('5S 3H .sunken-lids -!');
  await stopHere(page);
  await page.getByRole('button', { name: 'on her frame' }).click();
  for (let step = 0; step < 30; step += 1) {
    const says = (await bigButton(page).textContent()) ?? '';
    if (says.includes('End the visit')) break;
    await bigButton(page).click();
    await expect(bigButton(page)).not.toHaveText(says);
  }
  await expect(page.getByText('Partial visit:')).toBeVisible();
  await page.getByRole('button', { name: 'temper' }).click();
  await bigButton(page).click();
  await expect(page).toHaveURL(/\/afterwards\//);
  await expect(page.getByText('Stopped because: temper')).toBeVisible();
});

test('findings, a measurement, a question with a photo: the lead answers it', async ({ page, browser }) => {
  await signIn(page, 'leilani');
  await openVisit(page, '7');
  await reachFrames(page);

  await more(page, 'Looked for …');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Brood and bees: all checked, none found' }).click();
  await dialog.getByRole('button', { name: 'wax moth: found', exact: true }).click();
  await expect(dialog.getByText('Take out ruined comb')).toBeVisible();
  await dialog.getByRole('button', { name: 'Back to the hive' }).click();

  await more(page, 'Measure or test');
  await expect(dialog.getByRole('button', { name: 'Save' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'mites on bees', exact: true }).click();
  await dialog.getByRole('button', { name: 'alcohol wash' }).click();
  await dialog.getByRole('spinbutton', { name: 'Bees in the sample' }).fill('300');
  await dialog.getByRole('spinbutton', { name: 'Mites', exact: true }).fill('9');
  await dialog.getByRole('spinbutton', { name: 'Mites', exact: true }).blur();
  await expect(dialog.getByText(/3 mites on 100 bees \(1\.\d to 5\.\d\)/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText(/^Saved: 3 mites/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Back to the hive' }).click();

  await more(page, 'Photo or question');
  const picture = await page.screenshot({ type: 'png' });
  await dialog.locator('input[type=file]').setInputFiles({ name: 'comb.png', mimeType: 'image/png', buffer: picture });
  await expect(dialog.getByText('The photo is kept on this device')).toBeVisible();
  await dialog.getByLabel('Question, or what you see and cannot identify').fill('What are these white mummies?');
  await dialog.getByRole('button', { name: 'Send to the lead instructor' }).click();
  await allKept(page);

  const { page: lead, context } = await someone(browser, 'morag');
  await lead.goto('/afterwards/questions');
  await expect(lead.getByRole('heading', { name: 'What are these white mummies?' })).toBeVisible();
  await expect(lead.getByRole('img', { name: 'Photo to: What are these white mummies?' })).toBeVisible();
  await lead.getByLabel('Answer to: What are these white mummies?').fill('Chalk brood: dry and ventilate.');
  await lead.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(lead.getByText('Chalk brood: dry and ventilate.')).toBeVisible();
  await context.close();
});

test('a trainee reads first, hidden; guesses before the frame is turned; both are held against the supervisor', async ({
  page,
}) => {
  await signIn(page, 'leilani');
  await openVisit(page, '7');
  await turnTo(page, 3);
  await more(page, 'Predict this side');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^sealed worker/ }).click();
  await dialog.getByRole('button', { name: /^capped honey/ }).click();
  await dialog.getByRole('button', { name: 'Turn the frame' }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await dialog
    .getByRole('group', { name: /Reads this side first/ })
    .getByRole('button', { name: 'Ravi' })
    .click();
  await expect(page.getByText('Ravi reads; hidden until both have read')).toBeVisible();
  await expect(dialog).toHaveCount(0);
  await type(page, '4S2L2H');
  await page.getByRole('button', { name: "Keep Ravi's reading" }).click();
  await expect(page.locator('#shorthand')).toHaveValue('');
  await expect(page.getByText('Ravi: reading kept')).toBeVisible();
  await type(page, '5S1L2H');
  await bigButton(page).click();
  await page.getByRole('button', { name: 'Side before' }).click();
  await expect(page.getByText('Ravi read 2L 4S 2H: 1 of 8 off')).toBeVisible();
  await expect(page.getByText(/guessed SH: 8 in 10/)).toBeVisible();
});

test('the lead sees it live, two devices on one visit hear each other', async ({ browser }) => {
  const { page: supervisor, context: first } = await someone(browser, 'leilani');
  const { page: trainee, context: second } = await someone(browser, 'chloe');
  const { page: lead, context: third } = await someone(browser, 'morag');
  await openVisit(supervisor, '7');
  await turnTo(supervisor, 8);
  const visit = visitOf(supervisor);
  await trainee.goto(`/at-the-hive/visit/${visit}`);
  await turnTo(trainee, 9);
  await expect(trainee.locator('bc-skill-judge')).toHaveCount(0);
  await lead.goto('/at-the-hive/live');
  await expect(lead.getByText('connected', { exact: true })).toBeVisible();

  await type(trainee, '8HB2');
  await trainee.keyboard.press('Enter');
  await allKept(trainee);
  await expect(supervisor.getByRole('button', { name: /^Frame 9\. Toward 8: 8 eighths capped honey/ })).toBeVisible();

  const row = lead.locator('li', { has: lead.getByRole('link', { name: 'Hive 7' }) });
  await supervisor.getByRole('button', { name: /^Sting/ }).click();
  await supervisor.getByRole('dialog').getByRole('button', { name: 'Ravi' }).click();
  await expect(row.locator('dl')).toContainText(/Stings\s*1/);
  for (const context of [first, second, third]) await context.close();
});

test('the label of a hive opens its visit; none is drawn that would lead to this computer only', async ({ page }) => {
  await signIn(page, 'morag');
  await page.goto('/at-the-hive/labels');
  await expect(page.getByRole('alert').filter({ hasText: 'PUBLIC_URL' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Label of hive 7', exact: true })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Print' })).toBeDisabled();
  const { visits } = (await (await page.request.get(`/api/visits`)).json()) as {
    visits: { hive: string; hiveNumber: string; id: string }[];
  };
  const seven = visits.find(({ hiveNumber }) => hiveNumber === '7')!;
  await page.goto(`/at-the-hive/hive/${seven.hive}`);
  await expect(page.getByRole('heading', { name: 'Hive 7', level: 1 })).toBeVisible();
  await expect(page).toHaveURL(new RegExp(seven.id));
});

test('200 entries without signal, a wrong clock and a server killed in the middle: none is lost, none is doubled', async ({
  browser,
}) => {
  const context = await browser.newContext({ baseURL: BASE, serviceWorkers: 'allow' });
  const page = await context.newPage();
  // The device's clock is a day ahead.
  await page.clock.install({ time: Date.now() + 86_400_000 });
  await page.clock.resume();
  await signIn(page, 'morag');
  await controlled(page);
  await openVisit(page, '4');
  await allKept(page);
  const visit = visitOf(page);
  const before = (await entriesOf(page.request, visit)).length;

  await context.setOffline(true);
  await page.reload();
  const moods = page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button');
  await expect(moods.first()).toBeVisible();
  for (let tap = 0; tap < 200; tap += 1) await moods.nth(tap % 4).click();
  await expect(page.getByRole('button', { name: /200 waiting/ })).toBeVisible();

  // The server is killed as soon as the first of them have arrived.
  await context.setOffline(false);
  const heard = async () => {
    const answer = await page.request.get(`/api/live/visits/${visit}/entries?after=${before}`);
    return ((await answer.json()) as { heard: number }).heard;
  };
  void page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
  while ((await heard()) === before);
  await killAndStart();
  await allKept(page);

  const entries = (await entriesOf(page.request, visit)).filter(({ body }) => body.kind === 'mood-noted');
  expect(entries.length).toBeGreaterThanOrEqual(200);
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
  expect((await entriesOf(page.request, visit)).length - before).toBe(200);
  // Entries carry the school's day, not the device's.
  expect(entries.every(({ at }) => at.startsWith('2026-05-14'))).toBe(true);
  await context.close();
});

test('a full device says so, keeps what it has in the page, and sends it', async ({ page }) => {
  await page.addInitScript(() => {
    const full = () => (globalThis as { deviceFull?: boolean }).deviceFull === true;
    const setItem = Reflect.get<Storage, 'setItem'>(Storage.prototype, 'setItem');
    Storage.prototype.setItem = function (key: string, text: string) {
      if (full()) throw new DOMException('no room', 'QuotaExceededError');
      setItem.call(this, key, text);
    };
    const put = Reflect.get<IDBObjectStore, 'put'>(IDBObjectStore.prototype, 'put');
    IDBObjectStore.prototype.put = function (value: unknown, key?: IDBValidKey) {
      if (full()) throw new DOMException('no room', 'QuotaExceededError');
      return key === undefined ? put.call(this, value) : put.call(this, value, key);
    };
  });
  await signIn(page, 'morag');
  await openVisit(page, '4');
  await allKept(page);
  const visit = visitOf(page);
  const before = (await entriesOf(page.request, visit)).length;
  await page.context().setOffline(true);
  await page.evaluate(() => Object.assign(globalThis, { deviceFull: true }));
  await page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button', { name: 'lively' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'This device is full: 1 entries' })).toBeVisible();
  await page.context().setOffline(false);
  await page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
  await allKept(page);
  await expect(page.getByRole('alert').filter({ hasText: 'This device is full' })).toHaveCount(0);
  expect((await entriesOf(page.request, visit)).length).toBe(before + 1);
});

test('an entry that the server will not have stays in sight until somebody settles it', async ({ page }) => {
  await signIn(page, 'morag');
  await openVisit(page, '4');
  await allKept(page);
  const visit = visitOf(page);
  const { person } = (await (await page.request.get('/api/people/me')).json()) as { person: { id: string } };
  await page.evaluate(
    ([id, to, by]) =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open('brave-comb');
        open.onerror = () => fail(new Error('no database'));
        open.onsuccess = () => {
          const body = { kind: 'part-taken-off', part: 'chimney' };
          const entry = { id, at: new Date('2026-05-14T12:00:00Z').toISOString(), by, body };
          const change = open.result.transaction('entries', 'readwrite');
          change.objectStore('entries').put({ id, visit: to, entry, problem: null });
          change.oncomplete = () => done();
        };
      }),
    [crypto.randomUUID(), visit, person.id],
  );
  await page.reload();
  await page.getByRole('button', { name: '1 to settle' }).click();
  await expect(page.getByRole('dialog').getByText(/has no part called chimney/)).toBeVisible();
  await page.getByRole('button', { name: 'Discard it' }).click();
  await page.getByRole('button', { name: 'Back to the hive' }).click();
  await allKept(page);
});
