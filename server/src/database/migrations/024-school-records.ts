import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Records that somebody sees, changes and retires. */
const KEPT = ['sites', 'hives', 'people', 'trainee_groups', 'sessions'] as const;

/** Who changed a record last and when, when it was retired; mail addresses, and links by which people come in. */
export async function up(db: Knex): Promise<void> {
  for (const table of KEPT) {
    if (!(await db.schema.hasColumn(table, 'version')))
      await db.schema.alterTable(table, (t) => void t.integer('version').notNullable().defaultTo(1));
    if (!(await db.schema.hasColumn(table, 'changed_by')))
      await db.schema.alterTable(table, (t) => void t.uuid('changed_by').references('people.id'));
    if (!(await db.schema.hasColumn(table, 'changed_at')))
      await db.schema.alterTable(table, (t) => void t.datetime('changed_at', { precision: 3 }));
    if (!(await db.schema.hasColumn(table, 'retired_at')))
      await db.schema.alterTable(table, (t) => void t.datetime('retired_at', { precision: 3 }));
  }
  if (!(await db.schema.hasColumn('sessions', 'by_hand')))
    await db.schema.alterTable('sessions', (t) => void t.boolean('by_hand').notNullable().defaultTo(false));
  if (!(await db.schema.hasColumn('sessions', 'called_off')))
    await db.schema.alterTable('sessions', (t) => void t.json('called_off'));
  if (!(await db.schema.hasColumn('people', 'mail')))
    await db.schema.alterTable('people', (t) => void t.string('mail', 254));
  if (!(await db.schema.hasColumn('colonies', 'ended')))
    await db.schema.alterTable('colonies', (t) => void t.string('ended', 20));
  await makeTables(db, {
    record_changes: (t) => {
      t.bigIncrements('seq');
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.string('thing', 20).notNullable();
      t.uuid('record').notNullable().index();
      t.string('name', 120).notNullable();
      t.json('was');
      t.json('is');
      t.index(['school', 'seq']);
    },
    invitations: (t) => {
      t.uuid('id').primary();
      t.uuid('person').notNullable().references('people.id');
      t.string('token_hash', 64).notNullable().unique();
      t.uuid('made_by').notNullable().references('people.id');
      t.datetime('made_at', { precision: 3 }).notNullable();
      t.datetime('until', { precision: 3 }).notNullable();
      t.datetime('used_at', { precision: 3 });
      t.index(['person']);
    },
  });
}

export const down = noWayBack;
