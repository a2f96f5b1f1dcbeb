import type { ReadingPair } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import { iso } from '../../dates';

interface PairRow {
  readonly id: string;
  readonly school: string;
  readonly trainee: string;
  readonly visit: string;
  readonly at: Date;
  readonly own: ReadingPair['read'];
  readonly reference: ReadingPair['reference'];
}

const asPair = ({ trainee, at, own, reference }: PairRow): ReadingPair => ({
  trainee,
  at: iso(at),
  read: own,
  reference,
});

/** Makes the hidden readings of a visit, beside the supervisor's, what its entries say. */
export async function replaceReadingPairs(db: Knex, visit: string, rows: readonly PairRow[]): Promise<void> {
  await db<PairRow>('reading_pairs').where({ visit }).delete();
  if (rows.length > 0)
    await db('reading_pairs').insert(
      rows.map((row) => ({ ...row, own: JSON.stringify(row.own), reference: JSON.stringify(row.reference) })),
    );
}

/** Hidden readings of some trainees beside the supervisors', oldest first. */
export async function readingPairsOf(
  db: Knex,
  school: string,
  trainees: readonly string[],
): Promise<readonly ReadingPair[]> {
  const rows = await db<PairRow>('reading_pairs').where({ school }).whereIn('trainee', trainees).orderBy('at').select();
  return rows.map(asPair);
}

/** Hidden readings of one visit beside the supervisor's. */
export async function readingPairsOfVisit(db: Knex, visit: string): Promise<readonly ReadingPair[]> {
  const rows = await db<PairRow>('reading_pairs').where({ visit }).orderBy('at').select();
  return rows.map(asPair);
}
