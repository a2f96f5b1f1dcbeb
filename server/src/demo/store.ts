import type { Knex } from 'knex';

export const schoolNames = (db: Knex): Promise<string[]> => db('schools').pluck('name');

/** Schools that somebody runs, and schools that were invented for the demo. */
export async function kindsOfSchools(db: Knex): Promise<{ readonly real: number; readonly invented: number }> {
  const marks = await db('schools').pluck<(0 | 1)[]>('invented');
  const invented = marks.filter(Boolean).length;
  return { real: marks.length - invented, invented };
}

export const markInvented = (db: Knex) => db('schools').update({ invented: true });

/** What belongs to the database and to no school. */
const KEPT = new Set(['knex_migrations', 'knex_migrations_lock', 'demo_clock']);

/** Deletes every row of every school; within a transaction, so that it is done with what comes after it or not at all. */
export async function emptyAll(trx: Knex.Transaction): Promise<void> {
  const tables = await trx('information_schema.tables')
    .whereRaw('table_schema = database()')
    .where({ table_type: 'BASE TABLE' })
    .select<{ name: string }[]>('table_name as name');
  await trx.raw('set foreign_key_checks = 0');
  try {
    for (const { name } of tables) if (!KEPT.has(name)) await trx(name).delete();
  } finally {
    await trx.raw('set foreign_key_checks = 1');
  }
}
