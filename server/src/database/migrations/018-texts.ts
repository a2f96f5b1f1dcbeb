import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** What is kept as a text that somebody wrote, or as a sentence of ours with its facts: JSON either way. */
const TEXTS: readonly (readonly [table: string, column: string, mayLack: boolean])[] = [
  ['follow_ups', 'question', false],
  ['follow_ups', 'bring', true],
  ['decisions', 'action', false],
  ['stack_changes', 'words', false],
];

/** No sentence is kept that can be made: columns of texts become JSON. What was kept as words stays as words. Cut off, it goes on where it was. */
export async function up(db: Knex): Promise<void> {
  for (const [table, column, mayLack] of TEXTS) {
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

export const down = noWayBack;
