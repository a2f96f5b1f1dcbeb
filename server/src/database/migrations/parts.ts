import type { Knex } from 'knex';

/** Makes the tables that are not there yet, so that a migration that was cut off can be run again. */
export async function makeTables(
  db: Knex,
  tables: Readonly<Record<string, (table: Knex.CreateTableBuilder) => void>>,
): Promise<void> {
  for (const [table, define] of Object.entries(tables))
    if (!(await db.schema.hasTable(table))) await db.schema.createTable(table, define);
}

/** Nothing that was entered is thrown away: going back is done by restoring a backup. */
export const noWayBack = (): Promise<void> =>
  Promise.reject(
    new Error('This change of the database is not undone by a migration: restore the backup from before it.'),
  );
