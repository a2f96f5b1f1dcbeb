import type { Knex } from 'knex';

/** Tasks that a visit leaves and somebody has to settle, files of other kinds than photos, and how a hive's stack changed. */
export async function up(db: Knex): Promise<void> {
  const columns: readonly (readonly [string, string, (table: Knex.AlterTableBuilder) => void])[] = [
    // The entry that it comes from; its due is not answered by a visit alone.
    ['follow_ups', 'task', (t) => void t.string('task', 80)],
    ['follow_ups', 'settled_at', (t) => void t.datetime('settled_at', { precision: 3 })],
    ['follow_ups', 'settled_by', (t) => void t.uuid('settled_by').references('people.id')],
    // A visit's entry that settled it, so that it can be taken back with the entry.
    ['follow_ups', 'settled_in', (t) => void t.uuid('settled_in').references('visits.id')],
  ];
  for (const [table, column, define] of columns)
    if (!(await db.schema.hasColumn(table, column))) await db.schema.alterTable(table, define);
  if (!(await db.schema.hasTable('attachments'))) await db.schema.renameTable('photos', 'attachments');
  if (!(await db.schema.hasColumn('attachments', 'type')))
    await db.schema.alterTable('attachments', (t) => void t.string('type', 40).notNullable().defaultTo('image/jpeg'));
  if (await db.schema.hasColumn('attachments', 'jpeg'))
    await db.schema.alterTable('attachments', (t) => void t.renameColumn('jpeg', 'content'));
  if (await db.schema.hasTable('stack_changes')) return;
  await db.schema.createTable('stack_changes', (t) => {
    // The entry that told of it.
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('hive').notNullable().references('hives.id');
    t.uuid('visit').notNullable().references('visits.id');
    t.string('words', 200).notNullable();
    t.string('reason', 500).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['school', 'hive', 'at']);
    t.index(['visit']);
  });
}

export { noWayBack as down } from './parts';
