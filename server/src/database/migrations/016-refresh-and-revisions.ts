import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** What is fetched from outside is kept whole, so that readers ask nobody; one process at a time fetches it; each school has a revision. */
export const up = (db: Knex): Promise<void> =>
  makeTables(db, {
    observed_days: (t) => {
      t.uuid('site').notNullable().references('sites.id');
      t.date('date').notNullable();
      t.text('hours', 'mediumtext').notNullable();
      t.primary(['site', 'date']);
    },
    weather_refreshes: (t) => {
      t.uuid('site').primary().references('sites.id');
      t.string('fault', 300).notNullable();
      t.datetime('again_at', { precision: 3 }).notNullable();
    },
    leases: (t) => {
      t.string('name', 60).primary();
      t.uuid('holder').notNullable();
      t.datetime('until', { precision: 3 }).notNullable();
    },
    revisions: (t) => {
      t.uuid('school').notNullable().references('schools.id');
      t.specificType('part', 'tinyint unsigned').notNullable();
      t.bigInteger('number').notNullable();
      t.primary(['school', 'part']);
    },
  });

export const down = noWayBack;
