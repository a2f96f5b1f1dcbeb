import type { Knex } from 'knex';

/** There is one installation, and one code for it. */
const ONE = 1;

interface StartCodeRow {
  readonly id: number;
  readonly code_hash: string;
  readonly tries: number;
  readonly tried_at: Date | null;
}

export const anySchool = async (db: Knex): Promise<boolean> =>
  (await db('schools').first<object | undefined>('id')) !== undefined;

/** Puts a code in the place of any earlier one. */
export const keepStartCode = (db: Knex, codeHash: string) =>
  db<StartCodeRow>('start_codes')
    .insert({ id: ONE, code_hash: codeHash, tries: 0, tried_at: null })
    .onConflict('id')
    .merge();

export const dropStartCode = (db: Knex) => db<StartCodeRow>('start_codes').where({ id: ONE }).delete();

export const startCode = (db: Knex): Promise<StartCodeRow | undefined> =>
  db<StartCodeRow>('start_codes').where({ id: ONE }).first();

/** The same, held until the transaction ends: of two who come at once one waits. */
export const startCodeHeld = (trx: Knex.Transaction): Promise<StartCodeRow | undefined> =>
  trx<StartCodeRow>('start_codes').where({ id: ONE }).forUpdate().first();

/**
 * Counts a try, in one step for every process.
 *
 * @param most tries in a row
 * @param since when the pause began that a try may follow
 * @param now the moment
 * @returns whether it may be made
 */
export const countTry = async (db: Knex, most: number, since: Date, now: Date): Promise<boolean> =>
  (await db<StartCodeRow>('start_codes')
    .where({ id: ONE })
    .where((either) => void either.where('tries', '<', most).orWhere('tried_at', '<', since))
    .update({ tries: db.raw('if(tries < ?, tries + 1, 1)', [most]), tried_at: now })) > 0;
