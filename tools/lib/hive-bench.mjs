// Parts of the bench that stand at the hive: many devices sending at once, and a start without signal.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startMariaDb } from './mariadb.mjs';
import { signIn } from './traffic.mjs';

const DEVICES = 50;
const EACH = 100;

const reading = (seed) => ({
  id: randomUUID(),
  at: '2026-05-14T12:20:00.000Z',
  body: {
    kind: 'frame-side-recorded',
    address: { box: 'brood box', frame: 1 + (seed % 8), face: seed % 2 ? 'high' : 'low' },
    side: { eighths: { S: 4, L: 1, H: 3 }, trace: ['E'], bees: 6, queen: false, cells: 0, doubtful: false },
    seen: null,
  },
});

/** A lead's calls by HTTP, outside the browser. */
export async function leadCalls(address) {
  const lead = await signIn(address, 'morag');
  return async (path, body) => {
    const answer = await lead.patiently(body ? 'POST' : 'GET', path, body);
    if (answer.status !== 200) throw new Error(`${path}: ${answer.status} ${JSON.stringify(answer.body)}`);
    return answer.body;
  };
}

/** Starts a visit of each hive of the next session and returns their ids. */
export async function openVisits(call) {
  const { session } = await call('/api/sessions/next');
  const { groups } = await call(`/api/sessions/${session}/day-sheet`);
  const visits = [];
  for (const { hive } of groups) {
    const start = { id: randomUUID(), session, hive: hive.id, startedAt: '2026-05-14T12:10:00.000Z' };
    visits.push((await call('/api/visits', start)).id);
  }
  return visits;
}

/** Records readings in a visit, a hundred at a time. */
export async function recordReadings(call, visit, count) {
  for (let from = 0; from < count; from += EACH) {
    const entries = Array.from({ length: Math.min(EACH, count - from) }, (_, index) => reading(from + index));
    await call(`/api/visits/${visit}/entries`, { entries });
  }
}

/** Entries a second from fifty devices at once, beside plain inserts of the same in one transaction. */
export async function syncMany(call, visits) {
  const began = performance.now();
  await Promise.all(
    Array.from({ length: DEVICES }, (_, device) => recordReadings(call, visits[device % visits.length], EACH)),
  );
  const synced = (DEVICES * EACH) / ((performance.now() - began) / 1000);

  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-plain-'));
  const database = await startMariaDb(folder);
  try {
    const { createConnection } = await import('mysql2/promise');
    const db = await createConnection(database.url);
    await db.query('create table entries (seq int auto_increment primary key, id char(36) unique, body json)');
    const rows = Array.from({ length: DEVICES * EACH }, (_, index) => reading(index));
    const start = performance.now();
    await db.beginTransaction();
    for (const { id, body } of rows)
      await db.execute('insert into entries (id, body) values (?, ?)', [id, JSON.stringify(body)]);
    await db.commit();
    const plain = rows.length / ((performance.now() - start) / 1000);
    await db.end();
    return { synced, plain };
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Seconds from nothing to the open hive without signal, beside the same with one. */
export async function coldStart(page, visit) {
  await page.evaluate(async () => void (await globalThis.navigator.serviceWorker.ready));
  await page.reload();
  await page.waitForFunction(() => globalThis.navigator.serviceWorker.controller !== null);
  const address = new URL(`/at-the-hive/visit/${visit}`, page.url()).href;
  const open = async () => {
    const began = performance.now();
    await page.goto(address);
    await page.locator('bc-at-the-hive footer').waitFor();
    return performance.now() - began;
  };
  await open();
  await page.waitForTimeout(1500);
  const online = await open();
  await page.goto('about:blank');
  await page.context().setOffline(true);
  const offline = await open();
  await page.context().setOffline(false);
  return { online, offline };
}
