import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Trials of two methods on like hives. */
export async function up(db: Knex): Promise<void> {
  await makeTables(db, {
    trials: (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('site').notNullable().references('sites.id');
      t.string('question', 200).notNullable();
      t.string('one', 80).notNullable();
      t.string('other', 80).notNullable();
      t.string('measure', 20).notNullable();
      t.string('begun', 10).notNullable();
      t.string('revisit', 10).notNullable();
      t.json('pairs').notNullable();
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.string('ended', 10);
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'site']);
    },
  });
}

export const down = noWayBack;
