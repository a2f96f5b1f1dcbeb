import type { Knex } from 'knex';

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
  for (const [table, define] of Object.entries(TABLES))
    if (!(await db.schema.hasTable(table))) await db.schema.createTable(table, define);
}

/** Nothing that was entered is thrown away: going back is done by restoring a backup. */
export const down = (): Promise<void> =>
  Promise.reject(
    new Error('This change of the database is not undone by a migration: restore the backup from before it.'),
  );
