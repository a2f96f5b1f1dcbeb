import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Sessions indoors that are set out for a group. */
export async function up(db: Knex): Promise<void> {
  await makeTables(db, {
    indoor_plans: (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('trainee_group').notNullable().references('trainee_groups.id');
      t.string('day', 10).notNullable();
      t.integer('minutes').notNullable();
      t.json('stations').notNullable();
      t.uuid('made_by').notNullable().references('people.id');
      t.datetime('made_at', { precision: 3 }).notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'trainee_group', 'day']);
    },
  });
}

export const down = noWayBack;
