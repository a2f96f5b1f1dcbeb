import type { Knex } from 'knex';
import { makeTables } from './parts';

const TABLES: Readonly<Record<string, (table: Knex.CreateTableBuilder) => void>> = {
  debrief_signatures: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('session').notNullable().references('sessions.id');
    // Of what was on the screen: whatever is added later leaves the signature outdated.
    t.string('revision', 80).notNullable();
    t.json('parts').notNullable();
    t.uuid('by').notNullable().references('people.id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['school', 'session']);
  },
  debriefs_sent_back: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('session').notNullable().references('sessions.id');
    t.uuid('supervisor').notNullable().references('people.id');
    t.string('note', 500).notNullable();
    t.uuid('by').notNullable().references('people.id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['school', 'session']);
  },
};

/** Debriefs that were signed, and those that were sent back. A session with visits is never dropped, so both stay. */
export async function up(db: Knex): Promise<void> {
  await makeTables(db, TABLES);
}

export { noWayBack as down } from './parts';
