import type { Knex } from 'knex';

/** What each opening was planned for, and where each hive stands and faces. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('session_groups', 'reasons')))
    await db.schema.alterTable('session_groups', (t) => void t.json('reasons'));
  if (!(await db.schema.hasColumn('hives', 'place'))) await db.schema.alterTable('hives', (t) => void t.json('place'));
}

export { noWayBack as down } from './parts';
