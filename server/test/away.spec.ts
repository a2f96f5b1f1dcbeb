import { endpoints } from '@brave-comb/contract';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { databasesOn, startMariaDb } from '../../tools/lib/mariadb.mjs';
import { buildApp } from '../src/app';
import { fixedClock } from '../src/clock/clock';
import { configFromEnvironment } from '../src/config';
import type { Context } from '../src/context';
import { alone, migrate, openDatabase } from '../src/database/connection';
import { refusalOf } from '../src/faults';
import { addPerson, addSchool } from '../src/records/people/service';

/** A database of its own, which these tests kill, stop and start; the application before it answers over HTTP. */
const folder = mkdtempSync(join(tmpdir(), 'brave-comb-away-'));
const quiet = pino({ level: 'silent' });
let database: Awaited<ReturnType<typeof startMariaDb>>;
let comesBack = true;
let db: Knex;
let server: Server;
let address: string;
let cookie: string;

describe('a data folder whose parents are not there yet', () => {
  it('is made so that the database may enter it', async () => {
    const deep = join(folder, 'not', 'there', 'yet');
    const own = await startMariaDb(deep);
    const there = openDatabase(own.url);
    expect(await there.select(there.raw('1 as one'))).toEqual([{ one: 1 }]);
    await there.destroy();
    await own.stop();
  }, 60_000);
});

beforeAll(async () => {
  execFileSync('chmod', ['o+x', folder]);
  database = await startMariaDb(folder, { onLost: () => comesBack });
  await alone(database.url, quiet, migrate);
  db = openDatabase(database.url);
  const context: Context = {
    db,
    clock: fixedClock('2026-05-14T06:40:00Z'),
    log: quiet,
    publicUrl: '',
    cookieName: 'brave_comb',
  };
  const school = await addSchool(context, 'A school', {});
  await addPerson(context, { school, name: 'A lead', signIn: 'lead', password: 'a long password', role: 'lead' });
  const config = { ...configFromEnvironment({}), databaseUrl: database.url, webDir: '/nowhere', dataDir: '' };
  server = createServer(buildApp(context, config, () => Promise.resolve())).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const answer = await ask(endpoints.signIn.path, { name: 'lead', password: 'a long password' });
  cookie = answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
});

afterAll(async () => {
  comesBack = false;
  await new Promise((done) => server.close(done));
  await db.destroy();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

const ask = (path: string, body?: object) =>
  fetch(address + path, {
    headers: { ...(cookie ? { cookie } : {}), 'content-type': 'application/json' },
    ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
  });

const daemon = (): number => Number(databasesOn(folder)[0]);

const back = async (): Promise<void> => {
  for (let tries = 0; tries < 300; tries += 1) {
    if ((await ask('/api/health/ready')).ok) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('the database did not come back');
};

describe('a database that is killed', () => {
  it('is a refusal of those who ask meanwhile, and the sign-in holds when it is back', async () => {
    process.kill(daemon(), 'SIGKILL');
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, at) =>
        at % 2 ? ask(endpoints.messages.path) : ask(endpoints.noteTakenOut.path, { file: 'matrix' }),
      ),
    );
    const statuses = new Set(answers.map(({ status }) => status));
    expect([...statuses].every((status) => status === 503 || status === 200)).toBe(true);
    expect(statuses).toContain(503);
    const refused = answers.find(({ status }) => status === 503)!;
    expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(await refused.json()).toMatchObject({
      problem: 'database-away',
      message: expect.stringContaining('stays on your device') as string,
    });
    await back();
    expect((await ask(endpoints.messages.path)).status).toBe(200);
  });

  it('in the middle of a transaction is 503 as well', async () => {
    const cut = db.transaction(async (trx) => {
      const [[{ line }]] = (await trx.raw('select connection_id() as line')) as [[{ line: number }]];
      await db.raw('kill ?', [line]);
      await trx('audit_log').insert({ at: new Date(), what: 'signed-in', about: '', address: '' });
    });
    const error: unknown = await cut.catch((fault: unknown) => fault);
    expect(refusalOf(error)).toMatchObject({ status: 503, problem: 'database-away' });
    const closed = Object.assign(new Error("Can't add new command when connection is in closed state"), {
      fatal: true,
    });
    expect(refusalOf(closed).status).toBe(503);
  });
});

describe('a database that stands still', () => {
  it('leaves the server live and not ready, and is answered to those who ask in time', async () => {
    const stopped = daemon();
    process.kill(stopped, 'SIGSTOP');
    try {
      const [live, ready] = await Promise.all([ask('/api/health/live'), ask('/api/health/ready')]);
      expect([live.status, ready.status]).toEqual([200, 503]);
      const answers = await Promise.all(Array.from({ length: 14 }, () => ask(endpoints.messages.path)));
      expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 14 }, () => 503));
    } finally {
      process.kill(stopped, 'SIGCONT');
    }
    await back();
    expect((await ask(endpoints.messages.path)).status).toBe(200);
  });
});

describe('signed-in sessions', () => {
  const session = () =>
    db('web_sessions').whereNotNull('person').first<{ sid: string; expired: Date; started_at: Date }>();

  it('are written down as used at most once a minute', async () => {
    await ask(endpoints.messages.path);
    const before = (await session()).expired.getTime();
    await Promise.all(Array.from({ length: 10 }, () => ask(endpoints.messages.path)));
    expect((await session()).expired.getTime()).toBe(before);
  });

  it('follow the person: a role that was taken away is gone at the next request', async () => {
    expect((await ask(endpoints.outbox.path)).status).toBe(200);
    await db('people').update({ role: 'trainee' });
    expect((await ask(endpoints.outbox.path)).status).toBe(403);
    await db('people').update({ role: 'lead' });
  });

  it('end sixty days after signing in, however often they are used', async () => {
    const { sid, started_at } = await session();
    await db('web_sessions')
      .where({ sid })
      .update({ started_at: new Date(Date.now() - 61 * 86_400_000) });
    expect((await ask(endpoints.messages.path)).status).toBe(401);
    await db('web_sessions').where({ sid }).update({ started_at });
    expect((await ask(endpoints.messages.path)).status).toBe(200);
  });
});

describe('two starts at once on an empty database', () => {
  const empty = async (name: string): Promise<string> => {
    await db.raw(`create database brave_comb_${name}`);
    return database.url.replace(/brave_comb$/, `brave_comb_${name}`);
  };

  it('bring the tables up to date one after the other', async () => {
    const url = await empty('twice');
    await Promise.all([alone(url, quiet, migrate), alone(url, quiet, migrate)]);
    const own = openDatabase(url);
    expect(await own('knex_migrations').count('* as n')).toEqual([{ n: expect.any(Number) as number }]);
    expect(new Set(await own('knex_migrations').pluck('name')).size).toBe((await own('knex_migrations')).length);
    await own.destroy();
  });

  it('wait for one another, and not for one that died', async () => {
    const url = await empty('died');
    let cut = (): void => undefined;
    const holder = alone(url, quiet, async () => {
      await new Promise<void>((_done, fail) => {
        cut = () => fail(new Error('the process died'));
      });
    });
    await new Promise((done) => setTimeout(done, 300));
    let waited = false;
    const next = alone(url, quiet, () => {
      waited = true;
      return Promise.resolve(uuid());
    });
    await new Promise((done) => setTimeout(done, 300));
    expect(waited).toBe(false);
    const [[{ holds }]] = (await db.raw('select is_used_lock(?) as holds', ['brave comb brave_comb_died'])) as [
      [{ holds: number }],
    ];
    await db.raw('kill ?', [holds]);
    expect(await next).toBeTruthy();
    cut();
    await holder.catch(() => undefined);
  });
});
