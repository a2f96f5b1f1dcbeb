import type { TrialMeasure, TrialPair } from '@brave-comb/core/care';
import type { Knex } from 'knex';

export interface TrialRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly question: string;
  readonly one: string;
  readonly other: string;
  readonly measure: TrialMeasure;
  readonly begun: string;
  readonly revisit: string;
  readonly pairs: readonly TrialPair[];
  readonly by_person: string;
  readonly at: Date;
  readonly ended: string | null;
  readonly withdrawn_at: Date | null;
}

type Kept = Omit<TrialRow, 'pairs'> & { readonly pairs: string | readonly TrialPair[] };

const told = ({ pairs, ...row }: Kept): TrialRow => ({
  ...row,
  pairs: typeof pairs === 'string' ? (JSON.parse(pairs) as readonly TrialPair[]) : pairs,
});

/** Trials at a site that nobody took back, the latest first. */
export const trialsAt = async (db: Knex, school: string, site: string): Promise<readonly TrialRow[]> =>
  (
    await db<Kept>('trials')
      .where({ school, site })
      .whereNull('withdrawn_at')
      .orderBy('begun', 'desc')
      .orderBy('id', 'desc')
  ).map(told);

export const trialById = async (db: Knex, school: string, id: string): Promise<TrialRow | undefined> => {
  const row = await db<Kept>('trials').where({ school, id }).first();
  return row && told(row);
};

export const insertTrial = (db: Knex, { pairs, ...row }: TrialRow) =>
  db('trials').insert({ ...row, pairs: JSON.stringify(pairs) });

export const changeTrial = (
  db: Knex,
  school: string,
  id: string,
  change: Partial<Pick<TrialRow, 'ended' | 'withdrawn_at'>>,
) => db('trials').where({ school, id }).update(change);
