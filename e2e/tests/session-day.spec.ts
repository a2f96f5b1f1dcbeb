import { type Page, expect, test } from '@playwright/test';
import { ownServer } from './own-server';
import {
  allKept,
  bigButton,
  controlled,
  more,
  openVisit,
  reachFrames,
  signIn,
  soundOnDeskAndPhone,
  stopHere,
  turnTo,
  type,
} from './school';

ownServer(18_391);

interface File {
  readonly visit: { readonly closedAt: string | null };
  readonly entries: readonly { readonly id: string; readonly body: { readonly kind: string } }[];
}
const fileOf = async (page: Page, visit: string) =>
  (await (await page.request.get(`/api/visits/${visit}`)).json()) as File;
const visitOf = (page: Page) => page.url().split('/').at(-1) ?? '';
/** Goes on by the big button until it says something. */
async function until(page: Page, says: string): Promise<void> {
  for (let step = 0; step < 40; step += 1) {
    const now = (await bigButton(page).textContent()) ?? '';
    if (now.includes(says)) return;
    await bigButton(page).click();
    await expect(bigButton(page)).not.toHaveText(now);
  }
}

test('a photo that waits on a device of the version before is sent by this one', async ({ page }) => {
  await page.goto('/manifest.webmanifest');
  const id = '01a20000-0000-7000-8000-00000000f0f0';
  await page.evaluate(async (photo) => {
    const jpeg = new Blob([new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2])], { type: 'image/jpeg' });
    await new Promise<void>((done) => {
      const open = indexedDB.open('brave-comb', 2);
      open.onupgradeneeded = () => {
        const db = open.result;
        for (const name of ['people', 'prepared']) db.createObjectStore(name);
        db.createObjectStore('files', { keyPath: 'visit.id' });
        db.createObjectStore('starts', { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: 'id' }).createIndex('visit', 'visit');
        db.createObjectStore('photos', { keyPath: 'id' });
      };
      open.onsuccess = () => {
        const change = open.result.transaction('photos', 'readwrite');
        change.objectStore('photos').put({ id: photo, visit: photo, takenAt: '2026-05-14T12:00:00Z', jpeg });
        change.oncomplete = () => {
          open.result.close();
          done();
        };
      };
    });
  }, id);
  const sent = page.waitForRequest((request) => request.url().includes(`/api/visits/${id}/attachments`));
  await signIn(page, 'morag');
  await openVisit(page, '4');
  expect((await sent).postDataJSON()).toMatchObject({ id, type: 'image/jpeg' });
});

test('what a visit leaves: a repair, a changed hive, a spoken note; a photo that shows eggs afterwards', async ({
  page,
}) => {
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  const visit = visitOf(page);
  const dialog = page.getByRole('dialog');
  const back = () => dialog.getByRole('button', { name: 'Back to the hive' }).click();

  await more(page, 'Defect or stray comb');
  await dialog.getByRole('button', { name: 'loose joint' }).click();
  await dialog.getByRole('button', { name: 'two weeks' }).click();
  await dialog.getByRole('button', { name: 'Record it' }).click();
  await expect(dialog.getByText('loose joint, brood box: noted')).toBeVisible();
  await back();

  await more(page, 'Change the hive');
  await dialog.getByRole('button', { name: 'empty rim' }).click();
  await expect(dialog.getByText('An empty rim gets filled with comb')).toBeVisible();
  await dialog.getByRole('button', { name: /^empty rim put on/ }).click();
  await back();

  await turnTo(page, 4);
  await type(page, '5S3HB6');
  await more(page, 'Note, spoken or tapped');
  await dialog.getByRole('button', { name: 'Speak a note' }).click();
  await page.waitForTimeout(1200);
  await dialog.getByRole('button', { name: /^Stop and save/ }).click();
  await expect(dialog.getByText(/^Saved, \d s/)).toBeVisible();
  await back();
  await more(page, 'Photo or question');
  await dialog.getByRole('button', { name: 'eggs', exact: true }).click();
  const picture = await page.screenshot({ type: 'png' });
  await dialog.locator('input[type=file]').setInputFiles({ name: 'comb.png', mimeType: 'image/png', buffer: picture });
  await expect(dialog.getByText('The photo is kept on this device')).toBeVisible();
  await back();
  await bigButton(page).click();
  await allKept(page);

  await page.goto(`/afterwards/${visit}`);
  await expect(page.getByText('empty rim put on')).toBeVisible();
  await expect(page.locator('audio')).toBeVisible();
  await expect(page.getByText('queenright')).toHaveCount(0);
  await page
    .getByRole('group', { name: /^Eggs on the photo of brood box, frame 4/ })
    .getByRole('button', { name: 'there', exact: true })
    .click();
  await expect(page.getByText('queenright', { exact: true })).toBeVisible();
  await expect(page.getByText(/^eggs on frame 4 toward 3: there, confirmed afterwards/)).toBeVisible();

  await page.getByLabel('Ask about this frame').fill('Is that too little brood?');
  await page.getByRole('button', { name: 'Send to the lead instructor' }).click();
  await expect(page.getByText('Sent.')).toBeVisible();
  await page.goto('/afterwards/questions');
  await expect(page.getByRole('heading', { name: 'Is that too little brood?' })).toBeVisible();

  await page.goto('/afterwards/yard-book');
  await expect(page.getByText('Repair: loose joint, brood box')).toBeVisible();
  await page.getByRole('button', { name: 'Done: Repair: loose joint, brood box' }).click();
  await expect(page.getByRole('button', { name: 'Not done after all: Repair: loose joint, brood box' })).toBeVisible();
});

test('axe finds nothing in the books and cards, and nothing runs off', async ({ page }) => {
  await signIn(page, 'ruth');
  for (const [path, heading] of [
    ['yard-book', 'To be done'],
    ['predictions', 'Predict, then look'],
    ['questions', 'Questions from the hives'],
    ['combs', 'Combs in store'],
  ] as const) {
    await page.goto(`/afterwards/${path}`);
    await expect(page.getByRole('heading', { name: heading })).toBeVisible();
    await soundOnDeskAndPhone(page, path);
  }
  await page.goto('/ahead');
  await openVisit(page, '6');
  const visit = visitOf(page);
  await turnTo(page, 5);
  for (const card of ['Note, spoken', 'Change the hive', 'Defect or stray comb', 'Measure or test', 'Move this comb']) {
    await more(page, card);
    const dialog = page.getByRole('dialog');
    await expect(dialog).toHaveCount(1);
    if (card.startsWith('Defect')) await dialog.getByRole('button', { name: 'stray comb' }).click();
    if (card.startsWith('Change')) await dialog.getByRole('button', { name: 'escape board' }).click();
    await page.waitForTimeout(300);
    await soundOnDeskAndPhone(page, card);
    await dialog
      .getByRole('button', { name: /Back to the hive|Cancel/ })
      .last()
      .click();
    await expect(dialog).toHaveCount(0);
  }
  await page.getByRole('button', { name: /^Sting/ }).click();
  await page.getByRole('dialog').getByRole('button').first().click();
  await expect(page.locator('bc-sting-watch section').first()).toBeVisible();
  await soundOnDeskAndPhone(page, 'sting watch');
  await page.goto(`/afterwards/${visit}`);
  await expect(page.getByRole('heading', { name: 'How it went' })).toBeVisible();
  await soundOnDeskAndPhone(page, 'review');
});

test('a whole session day from cold without signal: three visits, all of it arrives once', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ baseURL: baseURL!, serviceWorkers: 'allow' });
  const first = await context.newPage();
  await signIn(first, 'morag');
  await controlled(first);
  await expect(first.getByText(/Saved for offline use: hives/)).toBeVisible();
  await context.setOffline(true);
  await first.close();

  const page = await context.newPage();
  const visits: string[] = [];
  for (const hive of ['4', '7', '6']) {
    await page.goto('/ahead');
    await openVisit(page, hive);
    visits.push(visitOf(page));
    await reachFrames(page);
    await type(page, '8HB4');
    await page.keyboard.press('Enter');
    await type(page, '4H2P2CB6');
    await page.keyboard.press('Enter');
    await stopHere(page);
    await until(page, 'End the visit');
    await page.getByRole('button', { name: 'time', exact: true }).click();
    await bigButton(page).click();
    await page.waitForURL(/afterwards/);
  }

  await context.setOffline(false);
  await page.goto('/ahead');
  await expect
    .poll(async () =>
      (await Promise.all(visits.map((visit) => fileOf(page, visit)))).map((file) => file.visit?.closedAt),
    )
    .toEqual(visits.map(() => expect.stringMatching(/^2026-05-14T/) as unknown));
  for (const visit of visits) {
    const { entries } = await fileOf(page, visit);
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
    expect(entries.filter(({ body }) => body.kind === 'visit-closed')).toHaveLength(1);
  }
});
