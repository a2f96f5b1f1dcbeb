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
  const [school, site] = [uuid(), uuid()];

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
    await migrate(db, true);
    await migrate(db, true);
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
    ]);
  });
});
