import * as toldTexts from '../src/database/migrations/019-told-texts';
import type { Knex } from 'knex';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, openDatabase } from '../src/database/connection';
import * as first from '../src/database/migrations/001-first-tables';
import * as ahead from '../src/database/migrations/002-ahead';

/** A database of its own beside the one that the other tests use. */
const NAME = 'brave_comb_migration';

describe('from the first tables to those of the season', () => {
  let server: Knex;
  let db: Knex;
  const [school, site, hive, session, demonstration] = [uuid(), uuid(), uuid(), uuid(), uuid()];

  /** A judgement as it was kept before there was a checklist. Only what the migration reads is filled with sense. */
  async function judgedBefore(): Promise<void> {
    const [lead, trainee, visit] = [uuid(), uuid(), uuid()];
    const at = new Date('2026-05-03T22:30:00.000Z');
    await db.transaction(async (trx) => {
      await trx.raw('set foreign_key_checks = 0');
      await trx('people').insert(
        [
          { id: lead, role: 'lead' },
          { id: trainee, role: 'trainee' },
        ].map((each) => ({ ...each, school, name: each.role, sign_in: each.id, password_hash: '' })),
      );
      await trx('hives').insert({ id: hive, school, site, number: '1', stand: 'A', type: 'national', stack: '[]' });
      await trx('sessions').insert({
        id: session,
        school,
        site,
        starts_at: at,
        ends_at: at,
        depth: 'full',
        status: 'planned',
      });
      await trx('visits').insert({
        id: visit,
        school,
        session,
        trainee_group: uuid(),
        hive,
        colony: uuid(),
        supervisor: lead,
        box: 'brood box',
        stack: '[]',
        questions: '[]',
        started_at: at,
      });
      await trx('visit_entries').insert(
        [
          { kind: 'finding noted', finding: 'chalk brood', found: true, count: 3 },
          { kind: 'note written', text: 'queen cells' },
        ].map((body, index) => ({
          id: uuid(),
          visit,
          by_person: lead,
          made_at: new Date(at.getTime() + index * 1000),
          recorded_at: at,
          body: JSON.stringify(body),
        })),
      );
      await trx('follow_ups').insert({
        id: uuid(),
        school,
        hive,
        visit,
        question: '12 frames?',
        bring: 'matches',
        from_date: '2026-05-04',
        due: '2026-05-10',
      });
      await trx('demonstrations').insert({
        id: demonstration,
        school,
        trainee,
        skill: 'finds-eggs',
        level: 'with a word',
        visit,
        judged_by: lead,
        at,
      });
      await trx.raw('set foreign_key_checks = 1');
    });
  }

  beforeAll(async () => {
    const url = new URL(process.env.DATABASE_URL ?? '');
    server = openDatabase(url.href);
    await server.raw(`drop database if exists ${NAME}`);
    await server.raw(`create database ${NAME} character set utf8mb4`);
    url.pathname = `/${NAME}`;
    db = openDatabase(url.href);
    await first.up(db);
    await db('schools').insert({ id: school, name: 'A school', practice: '{"care":{"leastStoresKg":7}}' });
    await db('sites').insert({
      id: site,
      school,
      name: 'A site',
      latitude: 50,
      longitude: 8,
      altitude: 100,
      zone: 'Europe/Berlin',
      emergency: '{}',
    });
    const forage = (plant: string, gives: string, from: string, to: string) => ({
      id: uuid(),
      school,
      site,
      plant,
      gives,
      from_date: from,
      to_date: to,
      give_or_take: 3,
    });
    await db('forage').insert([
      forage('White clover', 'nectar', '2026-05-23', '2026-07-30'),
      forage('Gorse', 'pollen', '2024-02-29', '2024-05-12'),
      forage('Gorse', 'pollen', '2025-03-02', '2025-05-12'),
    ]);
  });
  afterAll(async () => {
    await db?.destroy();
    await server.raw(`drop database if exists ${NAME}`);
    await server.destroy();
  });

  it('keeps the plants that were entered, as plants that bloom between dates, each once', async () => {
    await ahead.up(db);
    const plants = await db('site_plants').where({ site }).orderBy('plant').select();
    expect(plants).toMatchObject([
      { plant: 'gorse', name: 'Gorse', nectar: 0, pollen: 3, kind: 'dates', opens: '02-28', days: 73 },
      { plant: 'white-clover', name: 'White clover', nectar: 3, pollen: 0, kind: 'dates', opens: '05-23', days: 68 },
    ]);
    expect(await db.schema.hasTable('forage')).toBe(false);
  });

  it('can be run again after it was cut off', async () => {
    await db.schema.dropTable('calendar_feeds');
    await ahead.up(db);
    expect(await db.schema.hasTable('calendar_feeds')).toBe(true);
    expect(await db('site_plants').where({ site })).toHaveLength(2);
  });

  it('gives old rows the usual settings and leaves house practice as it was', async () => {
    expect(await db('sites').where({ id: site }).first()).toMatchObject({ turn: null, degree_days: 'single sine' });
    expect(await db('schools').where({ id: school }).first()).toMatchObject({
      practice: { care: { leastStoresKg: 7 } },
    });
  });

  it('runs in order with the others, and a second start does nothing', async () => {
    await judgedBefore();
    await migrate(db);
    await migrate(db);
    const done = await db('knex_migrations').orderBy('id').pluck<string[]>('name');
    expect(done).toEqual([
      '001-first-tables',
      '002-ahead',
      '003-planner',
      '004-plan-reasons',
      '005-at-the-hive',
      '006-what-a-visit-leaves',
      '007-skills',
      '008-practice',
      '009-debriefs',
      '010-checklist-starts',
      '011-standing-index',
      '012-signatures',
      '013-indoor-plans',
      '014-doors',
      '015-entry-kind',
      '016-refresh-and-revisions',
      '017-ids',
      '018-texts',
      '019-told-texts',
      '020-units',
      '021-decided-day',
      '022-trials',
      '023-first-owner',
      '024-school-records',
      '025-site-plans',
      '026-mails',
    ]);
  });

  it('turns ids that were words into those of today, and leaves what people wrote', async () => {
    const bodies = await db('visit_entries').orderBy('made_at').pluck<unknown[]>('body');
    expect(bodies).toEqual([
      { kind: 'finding-noted', finding: 'chalk-brood', found: true, count: 3 },
      { kind: 'note-written', text: 'queen cells' },
    ]);
    expect(await db('visit_entries').orderBy('made_at').pluck('kind')).toEqual(['finding-noted', 'note-written']);
    expect(await db('demonstrations').where({ id: demonstration }).pluck('level')).toEqual(['with-a-word']);
    expect(await db('sites').where({ id: site }).pluck('degree_days')).toEqual(['single-sine']);
    expect(await db('site_plants').where({ site }).distinct().pluck('kind')).toEqual(['dates']);
  });

  it('keeps what somebody wrote as their words, whatever they look like', async () => {
    expect(await db('follow_ups').first('question', 'bring')).toEqual({ question: '12 frames?', bring: 'matches' });
  });

  it('makes texts of what people were told, and leaves texts as they are when it runs again', async () => {
    await db.schema.alterTable('messages', (t) => void t.string('subject', 200).notNullable().alter());
    await db.transaction(async (trx) => {
      await trx.raw('set foreign_key_checks = 0');
      const told = { school, person: uuid(), at: new Date('2026-05-14T08:00:00Z'), lines: '["Curlew: new"]' };
      await trx('messages').insert({ ...told, id: uuid(), subject: 'Say "yes" to \\ this' });
      await trx.raw('set foreign_key_checks = 1');
    });
    await toldTexts.up(db);
    await toldTexts.up(db);
    expect(await db('messages').pluck<unknown[]>('subject')).toEqual(['Say "yes" to \\ this']);
  });

  it('gives what was judged before the checklist its hive, its session and the day at its place', async () => {
    const old = await db('demonstrations').where({ id: demonstration }).first<Record<string, unknown>>();
    // Half past ten at night by UTC is the next day in Berlin.
    expect(old).toMatchObject({ hive, session, day: '2026-05-04', source: 'visit', version: 1 });
    expect(Boolean(old.by_lead)).toBe(true);
  });
});
