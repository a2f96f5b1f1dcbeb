import { named, type Text, sameText } from '@brave-comb/core/language';
import { say } from '../../words';
import type { VisitFile } from '@brave-comb/contract';
import { BOXES, type Stack, isBox } from '@brave-comb/core/equipment';
import {
  type Comb,
  type CombPlace,
  type VisitRecord,
  arranged,
  unnamedCombs,
  type CombStore,
  COMB_STORES,
} from '@brave-comb/core/inspection';
import { v5 as uuidOf } from 'uuid';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { hivesById } from '../equipment';
import {
  type CombMoveRow,
  type CombRow,
  combsById,
  combsIn,
  combsInStore,
  forgetCombs,
  keepCombs,
  movesOfVisit,
  replaceMoves,
} from './comb-store';
import { type NamedVisit } from './store';

type Found = Readonly<Record<string, readonly Comb[]>>;

export const combOf = ({ id, kind, since, donor, label }: CombRow): Comb => ({ id, kind, since, donor, label });

/** Combs of a hive, box by box; those that nobody named yet get the same id on every device. */
export async function combsFound(
  db: Db,
  hive: { readonly id: string; readonly school: string; readonly number: string; readonly stack: Stack },
): Promise<Found> {
  const layers = hive.stack.filter(isBox);
  const unnamed = new Map(
    layers.map((layer) => [
      layer.id,
      unnamedCombs(hive.number, layer, (place) => uuidOf(`${layer.id}/${place}`, hive.id)),
    ]),
  );
  const [here, all] = await Promise.all([
    combsIn(db, hive.school, hive.id),
    combsById(
      db,
      hive.school,
      [...unnamed.values()].flat().map(({ id }) => id),
    ),
  ]);
  const named = new Set([...here, ...all].map(({ id }) => id));
  return Object.fromEntries(
    layers.map((layer) => {
      const combs = unnamed.get(layer.id)!.filter(({ id }) => !named.has(id));
      // Whoever came later made room for itself among those that stood there.
      for (const row of here) if (row.box === layer.id) combs.splice((row.place ?? 1) - 1, 0, combOf(row));
      return [layer.id, combs];
    }),
  );
}

/** Boxes with as many frames as combs are known to stand in them: some left, some came, since the hive was set up. */
export const framesAsCombs = (stack: Stack, found: Found): Stack =>
  stack.map((layer) => {
    const combs = isBox(layer) ? found[layer.id]?.length : undefined;
    return isBox(layer) && combs ? { ...layer, frames: Math.min(combs, BOXES[layer.box].frames) } : layer;
  });

export const combsListed = (found: Found): VisitFile['combs'] =>
  Object.entries(found).map(([box, combs]) => ({ box, combs: [...combs] }));

/** Combs in store that may go into a hive. */
export const reserveOf = async (db: Db, school: string): Promise<VisitFile['reserve']> =>
  (await combsInStore(db, school))
    .filter(({ store }) => store === 'food-reserve' || store === 'drawn-reserve' || store === 'freezer')
    .map((row) => ({ comb: combOf(row), store: row.store! }));

/** Brings the register of combs up to what the entries of a visit tell. */
export async function projectCombs({ db: trx }: Context, visit: NamedVisit, record: VisitRecord): Promise<void> {
  const found = visit.combs;
  if (!found || (record.moves.length === 0 && !record.closed)) return;
  const now = arranged(found, record.moves);
  const at = record.closed ? new Date(record.closed.at) : visit.started_at;
  const base = (comb: Comb) => ({ ...comb, school: visit.school, moved_at: at });
  const nowhere = { hive: null, box: null, place: null, store: null };
  const here = Object.entries(now.boxes).flatMap(([box, combs]) =>
    combs.map((comb, index): CombRow => ({ ...base(comb), ...nowhere, hive: visit.hive, box, place: index + 1 })),
  );
  const away = now.away.map(({ comb, to }): CombRow => {
    const from = Object.values(found).some((combs) => combs.some(({ id }) => id === comb.id));
    const known = { ...base(comb), ...nowhere, donor: comb.donor ?? (from ? visit.colony : null) };
    if (to.in === 'hive') return { ...known, hive: to.hive, box: to.box, place: to.place };
    return { ...known, store: to.in === 'store' ? to.store : 'stand' };
  });
  const rows = [...here, ...away];
  const stores = new Map((await combsInStore(trx, visit.school)).map(({ id, store }) => [id, store!]));
  const later = new Set(
    (
      await combsById(
        trx,
        visit.school,
        rows.map(({ id }) => id),
      )
    )
      .filter((row) => row.moved_at > at)
      .map(({ id }) => id),
  );
  await keepCombs(
    trx,
    visit.school,
    rows.filter(({ id }) => !later.has(id)),
  );
  const told = new Map((await movesOfVisit(trx, visit.id)).map((move) => [move.id, move]));
  await withdrawMoves(trx, visit.school, [...told.values()], new Set(rows.map(({ id }) => id)));
  const elsewhere = record.moves.flatMap(({ to }) => (to.in === 'hive' ? [to.hive] : []));
  const numbers = new Map((await hivesById(trx, visit.school, elsewhere)).map(({ id, number }) => [id, number]));
  const words = (to: CombPlace) =>
    to.in === 'box'
      ? say('comb-place', { hive: visit.hive_number, box: to.box, place: to.place })
      : to.in === 'hive'
        ? say('comb-place', { hive: numbers.get(to.hive) ?? '?', box: to.box, place: to.place })
        : named('combStore', to.store);
  await replaceMoves(
    trx,
    visit.id,
    record.moves.map(({ id, comb, to, reason }, index) => {
      const before = arranged(found, record.moves.slice(0, index));
      const stood = Object.entries(before.boxes).find(([, combs]) => combs.some((each) => each.id === comb.id));
      const out = before.away.find((each) => each.comb.id === comb.id);
      return {
        id,
        school: visit.school,
        comb: comb.id,
        visit: visit.id,
        label: comb.label,
        from_where:
          told.get(id)?.from_where ??
          (stood
            ? say('comb-box', { hive: visit.hive_number, box: stood[0] })
            : out
              ? words(out.to)
              : stores.has(comb.id)
                ? named('combStore', stores.get(comb.id)!)
                : say('comb-new')),
        to_where: words(to),
        reason,
        at,
      };
    }),
  );
}

/** The store that a comb is said to come from. */
function storeIn(where: Text): CombStore | null {
  const id = typeof where === 'string' ? where : where.say === 'name/combStore' ? (where.of as { id: string }).id : '';
  return COMB_STORES.find((store) => store === id) ?? null;
}
const isNew = (where: Text): boolean => sameText(where, say('comb-new'));

/** Combs that came in by a move which was taken back go to the store they came from, or never were. */
async function withdrawMoves(
  trx: Db,
  school: string,
  told: readonly CombMoveRow[],
  still: ReadonlySet<string>,
): Promise<void> {
  const gone = told.filter(({ comb }) => !still.has(comb));
  await forgetCombs(
    trx,
    school,
    gone.filter(({ from_where }) => isNew(from_where)).map(({ comb }) => comb),
  );
  const from = new Map(
    gone.flatMap(({ comb, from_where }) => {
      const store = storeIn(from_where);
      return store ? [[comb, store] as const] : [];
    }),
  );
  const back = await combsById(trx, school, [...from.keys()]);
  await keepCombs(
    trx,
    school,
    back.map((row) => ({ ...row, hive: null, box: null, place: null, store: from.get(row.id)! })),
  );
}
