import type { Knex } from 'knex';

/** Makes the tables that are not there yet, so that a migration that was cut off can be run again. */
export async function makeTables(
  db: Knex,
  tables: Readonly<Record<string, (table: Knex.CreateTableBuilder) => void>>,
): Promise<void> {
  for (const [table, define] of Object.entries(tables))
    if (!(await db.schema.hasTable(table))) await db.schema.createTable(table, define);
}

/**
 * Turns columns that held words into JSON: what somebody wrote, or a sentence of ours with its facts. Cut off, it goes on where it was.
 *
 * @param db the database
 * @param columns table, column, and whether it may be empty
 */
export async function textsToJson(
  db: Knex,
  columns: readonly (readonly [table: string, column: string, mayLack: boolean])[],
): Promise<void> {
  for (const [table, column, mayLack] of columns) {
    const turned = `${column}_turned`;
    if (await db.schema.hasColumn(table, column)) {
      if (!(await db.schema.hasColumn(table, turned))) {
        if (await isJson(db, table, column)) continue;
        await db.schema.alterTable(table, (t) => void t.json(turned));
      }
      await db(table)
        .whereNotNull(column)
        .update(turned, db.raw('json_quote(??)', [column]));
      await db.schema.alterTable(table, (t) => void t.dropColumn(column));
    }
    await db.schema.alterTable(table, (t) => void t.renameColumn(turned, column));
    await db.schema.alterTable(table, (t) => {
      const changed = t.json(column);
      void (mayLack ? changed.nullable() : changed.notNullable()).alter();
    });
  }
}

async function isJson(db: Knex, table: string, column: string): Promise<boolean> {
  const found: unknown[] = await db('information_schema.check_constraints')
    .whereRaw('constraint_schema = database()')
    .where({ table_name: table, constraint_name: column })
    .select('check_clause');
  return found.length > 0;
}

/** Nothing that was entered is thrown away: going back is done by restoring a backup. */
export const noWayBack = (): Promise<void> =>
  Promise.reject(
    new Error('This change of the database is not undone by a migration: restore the backup from before it.'),
  );
