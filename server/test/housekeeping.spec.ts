import { refusalBy } from './in-english';
import { endpoints } from '@brave-comb/contract';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { systemClock } from '../src/clock/clock';
import { demoClock } from '../src/clock/store';
import { migrate } from '../src/database/connection';
import { checkSignIn } from '../src/records/people/service';
import { addHive } from '../src/records/equipment/service';
import { roomOnDisk } from '../src/room-on-disk';
import { type School, openSchool, pathOf } from './school';

let db: Knex;
let school: School;
beforeAll(async () => {
  school = await openSchool();
  db = school.db;
});
afterAll(() => school.close());

describe('migrations', () => {
  it('do nothing a second time', async () => {
    const tables = async () => {
      const [rows] = (await db.raw('SHOW TABLES')) as [unknown[]];
      return rows.length;
    };
    const before = await tables();
    await migrate(db);
    expect(await tables()).toBe(before);
  });

  it('go on where a cut-off start left them: tables half made and the lock still held', async () => {
    await db.schema.dropTable('rate_limits');
    await db('knex_migrations').where({ name: '001-first-tables' }).delete();
    await db('knex_migrations_lock').update({ is_locked: 1 });
    await migrate(db);
    expect(await db.schema.hasTable('rate_limits')).toBe(true);
    expect(await db('schools')).toHaveLength(2);
  });
});

describe('the demo’s clock', () => {
  const restart = async () => {
    const { clock, stop } = await demoClock(db, '2026-05-14T06:40:00Z');
    stop();
    return clock;
  };

  it('starts at its first instant, runs, and goes on where it was after a night off', async () => {
    await db('demo_clock').delete();
    const first = await restart();
    expect(first.now().toISOString()).toMatch(/^2026-05-14T06:40:0/);
    await first.moveTo(new Date('2026-05-15T09:00:00Z'));
    const nightAgo = new Date(Date.now() - 9 * 3_600_000);
    await db('demo_clock').update({ anchor: nightAgo, beat: new Date(nightAgo.getTime() + 60_000) });
    expect((await restart()).now().toISOString()).toMatch(/^2026-05-15T09:01:0/);
  });

  it('is shared by two servers that run at once', async () => {
    const [one, other] = [await restart(), await restart()];
    expect(Math.abs(one.now().getTime() - other.now().getTime())).toBeLessThan(500);
  });

  it('is moved on by the lead only, and only forward', async () => {
    const lead = await school.signIn('morag');
    const at = async () => ((await lead.get(endpoints.whoAmI.path)).body as { clock: { now: string } }).clock.now;
    expect(await at()).toBe('2026-05-14T06:40:00.000Z');
    await lead.post(endpoints.moveClock.path).send({ to: '2026-05-13T00:00:00Z' }).expect(422);
    await lead.post(endpoints.moveClock.path).send({}).expect(422);
    await (await school.signIn('tomasz')).post(endpoints.moveClock.path).send({ minutes: 60 }).expect(403);
    await lead.post(endpoints.moveClock.path).send({ minutes: 60 }).expect(200);
    expect(await at()).toBe('2026-05-14T07:40:00.000Z');
  });

  it('brings the forecast of its own day with it', async () => {
    const lead = await school.signIn('morag');
    const issued = async () => {
      const { body } = await lead.get(endpoints.seasonStrip.path).expect(200);
      return body as { today: string; forecast: { issuedAt: string } };
    };
    const before = await issued();
    await lead.post(endpoints.moveClock.path).send({ minutes: 1440 }).expect(200);
    const after = await issued();
    expect(before.today).toBe('2026-05-14');
    expect(after.today).toBe('2026-05-15');
    expect(after.forecast.issuedAt > before.forecast.issuedAt).toBe(true);
  });

  it('cannot be moved where the machine’s own clock is used', async () => {
    expect(Math.abs(systemClock.now().getTime() - Date.now())).toBeLessThan(1000);
    await expect(systemClock.moveTo(new Date())).rejects.toThrow(/not moved/);
  });
});

describe('room on the disk', () => {
  const call = async (folder: string, method: string) => {
    const next = vi.fn();
    await (roomOnDisk(folder) as (...args: unknown[]) => Promise<void>)({ method }, {}, next);
    return next;
  };

  it('lets writes pass while there is room, and reads always', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'room-'));
    expect(await call(folder, 'POST')).toHaveBeenCalledOnce();
    expect(await call('/nowhere/at/all', 'GET')).toHaveBeenCalledOnce();
    expect(await call('', 'POST')).toHaveBeenCalledOnce();
    rmSync(folder, { recursive: true });
  });
});

describe('people and hives', () => {
  it('sign in whatever the case of the name, never of the password', async () => {
    await expect(checkSignIn(school.context, 'MORAG', 'willow-before-gorse')).resolves.toMatchObject({ role: 'lead' });
    await expect(checkSignIn(school.context, 'morag', 'Willow-before-gorse')).rejects.toMatchObject({ status: 401 });
  });

  it('refuse a box of another family', async () => {
    const [site] = await db('sites').select<{ id: string; school: string }[]>('id', 'school');
    const hive = {
      school: site!.school,
      site: site!.id,
      number: '99',
      stand: 'Z',
      type: 'national' as const,
      stack: [{ id: 'brood box', kind: 'box' as const, box: 'dadant-brood' as const, frames: 11, dummy: false }],
      colony: { since: '2026-05-01', origin: 'swarm', queen: null },
    };
    expect(await refusalBy(() => addHive(school.context, hive))).toMatch(/does not fit hive 99/);
    expect(await db('hives').where({ number: '99' })).toHaveLength(0);
  });
});

describe('sessions', () => {
  it('are found by their day at the site, for those who take part', async () => {
    const on = async (name: string, date: string) =>
      (
        (await (await school.signIn(name)).get(pathOf(endpoints.sessionOn, { date })).expect(200)).body as {
          session: string | null;
        }
      ).session;
    expect(await on('morag', '2026-05-19')).not.toBeNull();
    expect(await on('morag', '2026-05-20')).toBeNull();
    expect(await on('leilani', '2026-05-19')).toBeNull();
    const malformed = await (await school.signIn('morag')).get(pathOf(endpoints.sessionOn, { date: 'tomorrow' }));
    expect(malformed.status).toBe(404);
  });

  it('show each trainee the next one of the own group', async () => {
    const next = async (name: string) =>
      ((await (await school.signIn(name)).get(endpoints.nextSession.path).expect(200)).body as { session: string })
        .session;
    expect(await next('salma')).not.toBe(await next('orla'));
  });
});
