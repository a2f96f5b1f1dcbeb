import { type HiveRead, readHive, recordOf } from '@brave-comb/core/inspection';
import type { Db } from '../../database/db';
import { perDatabase } from '../../database/per-database';
import { entriesOf, lastSeqs, type VisitRow } from '../../records/inspection';

/** A colony as one visit read it. */
export interface ColonyRead extends HiveRead {
  readonly visit: VisitRow;
}

/** Visits summed up before, as of their latest entry. Another process that adds one makes this one read again. */
const summedUp = perDatabase(() => new Map<string, { readonly seq: number; readonly read: ColonyRead }>());
const KEPT = 1000;

/** Sums visits up from their entries, in the order given. */
export async function readColonies(db: Db, visits: readonly VisitRow[]): Promise<readonly ColonyRead[]> {
  if (visits.length === 0) return [];
  const seqs = await lastSeqs(
    db,
    visits.map(({ id }) => id),
  );
  const kept = summedUp(db);
  return Promise.all(
    visits.map(async (visit) => {
      const seq = seqs.get(visit.id) ?? 0;
      const known = kept.get(visit.id);
      if (known?.seq === seq) return { ...known.read, visit };
      const read = await sumUp(db, visit);
      if (kept.size >= KEPT) kept.delete(kept.keys().next().value!);
      kept.set(visit.id, { seq, read });
      return read;
    }),
  );
}

/** Sums a visit up from its entries. */
export async function readColony(db: Db, visit: VisitRow): Promise<ColonyRead> {
  const [read] = await readColonies(db, [visit]);
  return read!;
}

const sumUp = async (db: Db, visit: VisitRow): Promise<ColonyRead> => ({
  visit,
  ...readHive(recordOf(await entriesOf(db, visit.id)), visit.stack, visit.box),
});
