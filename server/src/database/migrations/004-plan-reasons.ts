import type { Knex } from 'knex';

/** What each opening was planned for, and where each hive stands and faces. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('session_groups', 'reasons')))
    await db.schema.alterTable('session_groups', (t) => void t.json('reasons'));
  if (!(await db.schema.hasColumn('hives', 'place'))) await db.schema.alterTable('hives', (t) => void t.json('place'));
}

/** Nothing that was entered is thrown away: going back is done by restoring a backup. */
export const down = (): Promise<void> =>
  Promise.reject(
    new Error('This change of the database is not undone by a migration: restore the backup from before it.'),
  );
