import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Who owns a school, where it is at home, and the code that makes somebody the first owner. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('people', 'owner')))
    await db.schema.alterTable('people', (t) => void t.boolean('owner').notNullable().defaultTo(false));
  if (!(await db.schema.hasColumn('schools', 'home')))
    await db.schema.alterTable('schools', (t) => void t.json('home'));
  await makeTables(db, {
    start_codes: (t) => {
      t.integer('id').primary();
      t.string('code_hash', 64).notNullable();
      t.integer('tries').notNullable().defaultTo(0);
      t.datetime('tried_at', { precision: 3 });
    },
  });
}

export const down = noWayBack;
