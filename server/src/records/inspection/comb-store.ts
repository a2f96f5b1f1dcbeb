import type { Text } from '@brave-comb/core/language';
import type { Comb, CombStore } from '@brave-comb/core/inspection';
import type { Knex } from 'knex';

export interface CombRow extends Comb {
  readonly school: string;
  readonly hive: string | null;
  readonly box: string | null;
  readonly place: number | null;
  readonly store: CombStore | null;
  readonly moved_at: Date;
}

export interface CombMoveRow {
  readonly id: string;
  readonly school: string;
  readonly comb: string;
  readonly visit: string;
  readonly label: string;
  readonly from_where: Text;
  readonly to_where: Text;
  readonly reason: string;
  readonly at: Date;
}

/** Combs that are known to stand in a hive, in the order in which they came to their places. */
export const combsIn = (db: Knex, school: string, hive: string): Promise<CombRow[]> =>
  db<CombRow>('combs').where({ school, hive }).orderBy(['moved_at', 'box', 'place']).select();

export const combsOf = (db: Knex, school: string) =>
  db('combs')
    .leftJoin('hives', 'hives.id', 'combs.hive')
    .leftJoin('colonies', 'colonies.id', 'combs.donor')
    .leftJoin('hives as donors', 'donors.id', 'colonies.hive')
    .where('combs.school', school)
    .orderBy(['hives.number', 'combs.box', 'combs.place', 'combs.label'])
    .select<(CombRow & { readonly hive_number: string | null; readonly donor_number: string | null })[]>(
      'combs.*',
      'hives.number as hive_number',
      'donors.number as donor_number',
    );

/** Stores from which a comb goes back into a hive. */
const USABLE: ReadonlySet<CombStore> = new Set(['food-reserve', 'drawn-reserve', 'freezer', 'stand']);

/** Whether a comb lies where it is taken from again. */
export const isUsable = (store: CombStore | null): boolean => store !== null && USABLE.has(store);

export const combsInStore = (db: Knex, school: string): Promise<CombRow[]> =>
  db<CombRow>('combs').where({ school }).whereNotNull('store').orderBy('label').select();

export const combsById = (db: Knex, school: string, ids: readonly string[]): Promise<CombRow[]> =>
  db<CombRow>('combs').where({ school }).whereIn('id', ids).select();

/** Ids among some that are combs of another school. */
export const combsOfOthers = (db: Knex, school: string, ids: readonly string[]): Promise<string[]> =>
  db('combs').whereIn('id', ids).whereNot({ school }).pluck('id');

/** Puts combs of a school where they are now; what is known of where they were before is replaced. Another school's are left alone. */
export async function keepCombs(db: Knex, school: string, rows: readonly CombRow[]): Promise<void> {
  if (rows.length === 0) return;
  const foreign = await combsOfOthers(
    db,
    school,
    rows.map(({ id }) => id),
  );
  const own = rows.filter(({ id }) => !foreign.includes(id));
  if (own.length === 0) return;
  await db('combs')
    .insert(own)
    .onConflict('id')
    .merge(['kind', 'since', 'donor', 'label', 'hive', 'box', 'place', 'store', 'moved_at']);
}

export const forgetCombs = (db: Knex, school: string, ids: readonly string[]) =>
  db('combs').where({ school }).whereIn('id', ids).delete();

export const movesOfVisit = (db: Knex, visit: string): Promise<CombMoveRow[]> =>
  db<CombMoveRow>('comb_moves').where({ visit }).select();

/** Replaces what a visit told of moved combs. */
export async function replaceMoves(db: Knex, visit: string, rows: readonly CombMoveRow[]): Promise<void> {
  await db('comb_moves').where({ visit }).delete();
  if (rows.length > 0)
    await db('comb_moves').insert(
      rows.map((row) => ({
        ...row,
        from_where: JSON.stringify(row.from_where),
        to_where: JSON.stringify(row.to_where),
      })),
    );
}

export const movesOf = (db: Knex, school: string, count: number): Promise<CombMoveRow[]> =>
  db<CombMoveRow>('comb_moves').where({ school }).orderBy('at', 'desc').limit(count).select();
