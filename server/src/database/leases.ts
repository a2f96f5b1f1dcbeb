import type { Knex } from 'knex';

interface LeaseRow {
  readonly name: string;
  readonly holder: string;
  readonly until: Date;
}

/**
 * Takes what only one process at a time may do, or goes on with it. A holder that dies loses it when its time has run out; time is the
 * database's own.
 *
 * @param db database
 * @param name what is done
 * @param holder who wants to do it
 * @param seconds for how long, from now
 * @returns whether it is this holder's now
 */
export async function takeLease(db: Knex, name: string, holder: string, seconds: number): Promise<boolean> {
  const until = db.raw('utc_timestamp(3) + interval ? second', [seconds]) as unknown as Date;
  const now = db.raw('utc_timestamp(3)') as unknown as Date;
  const fresh = { name, holder, until: now };
  await db('leases').insert(fresh).onConflict('name').ignore();
  const taken = await db<LeaseRow>('leases')
    .where({ name })
    .where((free) => void free.where({ holder }).orWhere('until', '<=', now))
    .update({ holder, until });
  return taken > 0;
}

/** Gives back what was taken, so that another need not wait. */
export async function giveLease(db: Knex, name: string, holder: string): Promise<void> {
  await db<LeaseRow>('leases').where({ name, holder }).delete();
}
