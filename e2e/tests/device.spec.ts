import { type Page, expect, test } from '@playwright/test';
import { allKept, controlled, more, openVisit, reachFrames, signIn, signInByHand } from './school';

test.use({ serviceWorkers: 'allow' });

const signOut = async (page: Page) => {
  await page.getByRole('button', { name: /, menu$/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
};
const online = async (page: Page) => {
  await page.context().setOffline(false);
  await page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
};
/** All that this device keeps of a school: rows of its database by store, answers in caches. */
const keptOn = (page: Page) =>
  page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((done) => {
      const open = indexedDB.open('brave-comb');
      open.onsuccess = () => done(open.result);
    });
    const rows: Record<string, unknown[]> = {};
    for (const name of Array.from(db.objectStoreNames))
      rows[name] = await new Promise((done) => {
        const all = db.transaction(name).objectStore(name).getAll();
        all.onsuccess = () => done(all.result as unknown[]);
      });
    db.close();
    const answers: string[] = [];
    for (const name of await caches.keys())
      for (const request of await (await caches.open(name)).keys())
        if (new URL(request.url).pathname.startsWith('/api/')) answers.push(request.url);
    return { rows, answers };
  });

test('signing out leaves nothing of the school on the device, with signal and without', async ({ page, context }) => {
  await signIn(page, 'morag');
  await controlled(page);
  await expect(page.getByText('sting allergy').first()).toBeVisible();
  await expect(page.getByText(/Saved for offline use/)).toBeVisible();
  expect(JSON.stringify((await keptOn(page)).rows)).toContain('allergy');

  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('sting allergy').first()).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'No signal' })).toBeVisible();
  const cookies = await context.cookies();
  await signOut(page);
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  const { rows, answers } = await keptOn(page);
  expect(JSON.stringify(rows)).not.toContain('allergy');
  expect(answers).toEqual([]);
  await page.goto('/ahead');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByText('sting allergy')).toHaveCount(0);

  // The server hears of it at the next contact: the cookie that was in use is worth nothing any more.
  await online(page);
  const ended = async () => {
    const { name, value } = cookies.find((each) => each.name === 'brave_comb')!;
    const other = await context.browser()!.newContext();
    await other.addCookies([{ name, value, url: page.url() }]);
    const answer = await other.request.get(new URL('/api/people/messages', page.url()).href);
    await other.close();
    return answer.status();
  };
  await expect.poll(ended).toBe(401);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('what one person entered waits sealed while another is signed in, and is sent as theirs', async ({
  page,
  context,
}) => {
  await signIn(page, 'leilani');
  await controlled(page);
  await expect(page.getByText(/Saved for offline use/)).toBeVisible();
  await openVisit(page, '7');
  const visit = page.url().split('/').at(-1) ?? '';
  await allKept(page);
  await context.setOffline(true);
  await more(page, 'Note');
  const words = `heard by Leilani ${crypto.randomUUID()}`;
  await page.getByRole('dialog').getByRole('textbox').fill(words);
  await page.getByRole('dialog').getByRole('button', { name: /Save/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the hive' }).click();
  await expect(page.getByRole('button', { name: /waiting, no signal/ })).toBeVisible();
  await page.goto('/ahead');
  await signOut(page);
  await expect(page.getByText(/hidden from others/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByText(/of the person signed in before/)).toBeVisible();

  await online(page);
  await signInByHand(page, 'morag');
  await expect(page.getByText(/of the person signed in before/)).toBeVisible();
  await expect(page.getByText(words)).toHaveCount(0);
  const noted = async () => {
    const file = (await (await page.request.get(`/api/visits/${visit}`)).json()) as {
      entries: { by: string; body: { text?: string } }[];
    };
    return file.entries.filter(({ body }) => body.text === words).map(({ by }) => by);
  };
  await page.waitForTimeout(9_000);
  expect(await noted()).toEqual([]);

  await signOut(page);
  await signInByHand(page, 'leilani');
  const { person } = (await (await page.request.get('/api/people/me')).json()) as { person: { id: string } };
  await expect.poll(noted).toEqual([person.id]);
  await expect(page.getByText(/of the person signed in before/)).toHaveCount(0);
});

test('a start that the server will not have is said on every screen, holds up nothing, and is settled', async ({
  page,
}) => {
  await signIn(page, 'morag');
  await openVisit(page, '7');
  const visit = page.url().split('/').at(-1) ?? '';
  const { person } = (await (await page.request.get('/api/people/me')).json()) as { person: { id: string } };
  const good = crypto.randomUUID();
  await page.evaluate(
    async ([by, of, entry]) => {
      const db = await new Promise<IDBDatabase>((done) => {
        const open = indexedDB.open('brave-comb');
        open.onsuccess = () => done(open.result);
      });
      const change = db.transaction(['starts', 'entries'], 'readwrite');
      const id = crypto.randomUUID();
      const at = '2026-05-14T06:30:00.000Z';
      const note = (of: string, id: string) => ({
        id,
        visit: of,
        entry: { id, at, by, body: { kind: 'note-written', text: 'kept all the same' } },
        problem: null,
      });
      change
        .objectStore('starts')
        .put({ id, session: crypto.randomUUID(), hive: crypto.randomUUID(), startedAt: at, by });
      change.objectStore('entries').put(note(id, crypto.randomUUID()));
      change.objectStore('entries').put(note(of!, entry!));
      await new Promise((done) => (change.oncomplete = done));
      db.close();
    },
    [person.id, visit, good],
  );
  await page.goto('/ahead');
  const notice = page.getByRole('alert').filter({ hasText: 'could not be saved' });
  await expect(notice).toBeVisible();
  const entries = async () =>
    ((await (await page.request.get(`/api/visits/${visit}`)).json()) as { entries: { id: string }[] }).entries;
  await expect.poll(async () => (await entries()).some(({ id }) => id === good)).toBe(true);
  await page.goto(`/at-the-hive/visit/${visit}`);
  await expect(notice).toBeVisible();
  await notice.getByRole('button', { name: 'See why' }).click();
  const card = page.getByRole('dialog');
  await expect(card.getByText(/no such session/)).toBeVisible();
  await card.getByRole('button', { name: /Delete it/ }).click();
  await card.getByRole('button', { name: 'Delete for good' }).click();
  await card.getByRole('button', { name: 'Close' }).click();
  await expect(notice).toHaveCount(0);
  await reachFrames(page);
});

test('a page that still shows somebody who has left cannot write in their name', async ({ page, context }) => {
  await signIn(page, 'morag');
  await openVisit(page, '7');
  const visit = page.url().split('/').at(-1) ?? '';
  await allKept(page);
  // Somebody else signs in on the same device, beside this page.
  await context.request.post(new URL('/api/people/sign-in', page.url()).href, {
    data: { name: 'leilani', password: 'willow-before-gorse' },
  });
  await more(page, 'Note');
  const words = `by Morag ${crypto.randomUUID()}`;
  await page.getByRole('dialog').getByRole('textbox').fill(words);
  await page.getByRole('dialog').getByRole('button', { name: /Save/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the hive' }).click();
  await expect(page.getByRole('button', { name: /waiting, not sent/ })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Somebody else has signed in' })).toBeVisible();
  const file = await (await context.request.get(new URL(`/api/visits/${visit}`, page.url()).href)).text();
  expect(file).not.toContain(words);
  await page.getByRole('link', { name: 'Show theirs' }).click();
  await expect(page.getByRole('button', { name: /^Leilani .*, menu$/ })).toBeVisible();
  await expect(page.getByText(/1 entry of the person signed in before waits here/)).toBeVisible();
});

test('a sign-in that ends at the hive is said there; what is entered waits and is sent after signing in again', async ({
  page,
  context,
}) => {
  await signIn(page, 'leilani');
  await openVisit(page, '7');
  const visit = new URL(page.url());
  await allKept(page);
  await context.request.post('/api/people/sign-out');
  await more(page, 'Note');
  const words = `after the end ${crypto.randomUUID()}`;
  await page.getByRole('dialog').getByRole('textbox').fill(words);
  await page.getByRole('dialog').getByRole('button', { name: /Save/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the hive' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Your sign-in here has ended' });
  await expect(notice).toBeVisible();
  await expect(page.getByRole('button', { name: /waiting, not sent/ })).toBeVisible();
  await notice.getByRole('link', { name: 'Sign in again' }).click();
  await page.getByLabel('Name', { exact: true }).fill('leilani');
  await page.getByLabel('Password', { exact: true }).fill('willow-before-gorse');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(visit.href);
  await allKept(page);
  await expect(notice).toHaveCount(0);
  const file = await (await context.request.get(`/api/visits/${visit.pathname.split('/').at(-1)}`)).text();
  expect(file).toContain(words);
});

test('who signs out in one window is gone from the other', async ({ page, context }) => {
  await signIn(page, 'leilani');
  const beside = await context.newPage();
  await beside.goto('/ahead/sessions');
  await expect(beside.getByRole('button', { name: /^Leilani .*, menu$/ })).toBeVisible();
  await signOut(page);
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await beside.getByRole('link', { name: 'Trainees' }).click();
  await expect(beside.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('what an older version kept and did not send is sent after the upgrade, by the names of today', async ({
  page,
}) => {
  await signIn(page, 'morag');
  await openVisit(page, '7');
  const visit = page.url().split('/').at(-1) ?? '';
  const { person } = (await (await page.request.get('/api/people/me')).json()) as { person: { id: string } };
  const entry = '01a22742-aaaa-7aaa-8aaa-aaaaaaaaaaaa';
  // A page of this server that is not the application: nothing holds the device's database open.
  await page.goto('/api/health/ready');
  await page.evaluate(
    async ([by, of, id]) => {
      const opened = (version?: number, upgrade?: (db: IDBDatabase) => void) =>
        new Promise<IDBDatabase>((done) => {
          const open = indexedDB.open('brave-comb', version);
          open.onupgradeneeded = () => upgrade?.(open.result);
          open.onsuccess = () => done(open.result);
        });
      const now = await opened();
      const rows: [store: string, key: IDBValidKey, value: unknown][] = [];
      const stores = Array.from(now.objectStoreNames).map((name) => {
        const store = now.transaction(name).objectStore(name);
        return { name, keyPath: store.keyPath, indexes: Array.from(store.indexNames) };
      });
      for (const { name } of stores) {
        const all = now.transaction(name).objectStore(name).openCursor();
        await new Promise<void>((done) => {
          all.onsuccess = () => {
            if (all.result) {
              rows.push([name, all.result.key, all.result.value]);
              all.result.continue();
            } else done();
          };
        });
      }
      now.close();
      await new Promise((done) => (indexedDB.deleteDatabase('brave-comb').onsuccess = done));
      const before = await opened(4, (db) => {
        for (const { name, keyPath, indexes } of stores) {
          const store = db.createObjectStore(name, keyPath === null ? {} : { keyPath });
          for (const index of indexes) store.createIndex(index, index);
        }
      });
      const change = before.transaction(
        stores.map(({ name }) => name),
        'readwrite',
      );
      for (const [name, key, value] of rows) {
        const store = change.objectStore(name);
        if (store.keyPath === null) store.put(value, key);
        else store.put(value);
      }
      const made = { id, at: '2026-05-14T06:40:00.000Z', by, body: { kind: 'sign noticed', sign: 'at the hand' } };
      change.objectStore('entries').put({ id, visit: of, entry: made, problem: null });
      await new Promise((done) => (change.oncomplete = done));
      before.close();
    },
    [person.id, visit, entry] as const,
  );
  await page.goto(`/at-the-hive/visit/${visit}`);
  await allKept(page);
  await expect
    .poll(async () => {
      const file = await page.request.get(`/api/visits/${visit}`);
      const { entries } = (await file.json()) as { entries: { id: string; body: unknown }[] };
      return entries.find(({ id }) => id === entry)?.body;
    })
    .toEqual({ kind: 'sign-noticed', sign: 'at-the-hand' });
});
