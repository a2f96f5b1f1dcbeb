import type { Text } from '@brave-comb/core/language';
import type { Knex } from 'knex';

export interface StackChangeRow {
  readonly id: string;
  readonly school: string;
  readonly hive: string;
  readonly visit: string;
  readonly words: Text;
  readonly reason: string;
  readonly at: Date;
}

/** Replaces what a visit told of its hive's parts; answers whether it told of any before. */
export async function replaceStackChanges(db: Knex, visit: string, rows: readonly StackChangeRow[]): Promise<boolean> {
  const gone = await db('stack_changes').where({ visit }).delete();
  if (rows.length > 0)
    await db('stack_changes').insert(rows.map((row) => ({ ...row, words: JSON.stringify(row.words) })));
  return gone > 0;
}

/** Whether a later visit of the hive was opened. */
export const openedSince = async (db: Knex, hive: string, than: Date): Promise<boolean> =>
  (await db('visits').where({ hive }).where('started_at', '>', than).first('id')) !== undefined;

export const stackHistory = (db: Knex, school: string, count: number) =>
  db('stack_changes')
    .join('hives', 'hives.id', 'stack_changes.hive')
    .where('stack_changes.school', school)
    .orderBy('stack_changes.at', 'desc')
    .limit(count)
    .select<(StackChangeRow & { readonly hive_number: string })[]>('stack_changes.*', 'hives.number as hive_number');
