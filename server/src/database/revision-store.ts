import type { Knex } from 'knex';

/** A school's revision is the sum of so many counts: writes of several people need not wait for one row. */
const PARTS = 16;

/**
 * Raises a school's revision. Belongs at the end of every transaction that changes what somebody of the school can see: what is kept by
 * revision is then never older than what was acknowledged, in whichever process it is kept.
 */
export async function raiseRevision(trx: Knex, school: string): Promise<void> {
  const row = { school, part: Math.floor(Math.random() * PARTS), number: 1 };
  await trx('revisions')
    .insert(row)
    .onConflict(['school', 'part'])
    .merge({ number: trx.raw('revisions.number + 1') });
}

/** A school's revision: it only rises. */
export async function revisionOf(db: Knex, school: string): Promise<number> {
  const row = await db('revisions').where({ school }).sum<{ sum: string | number | null }>('number as sum').first();
  return Number(row?.sum ?? 0);
}

/**
 * Changes what people of a school can see, in one transaction which raises the school's revision.
 *
 * @param db database
 * @param school whose
 * @param work the change
 * @returns what the change returns
 */
export const revise = <T>(db: Knex, school: string, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> =>
  db.transaction(async (trx) => {
    const done = await work(trx);
    await raiseRevision(trx, school);
    return done;
  });
