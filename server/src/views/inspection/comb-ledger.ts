import type { Sayable } from '@brave-comb/core/language';
import { inEnglish } from '../../words';
import type { Output, endpoints } from '@brave-comb/contract';
import { type Comb, type CombStore, type FrameSide, combsShort, gradeComb, hasMark } from '@brave-comb/core/inspection';
import { DAY } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt, iso } from '../../dates';
import { readColonies } from '../../facts/inspection';
import { openFollowUpsOf } from '../../records/care';
import { sitesOf } from '../../records/equipment';
import { combOf, combsOf, isUsable, movesOf, visitsOfHives } from '../../records/inspection';

const LATEST_MOVES = 200;

const LOOK_BACK = 400 * DAY;

/** Combs in store and in hives with their grade, and where moved ones came from and went. */
export async function combLedger(
  context: Context,
  actor: Actor,
): Promise<Sayable<Output<(typeof endpoints)['combLedger']>>> {
  const { db, clock } = context;
  const [rows, moves, [site]] = await Promise.all([
    combsOf(db, actor.school),
    movesOf(db, actor.school, LATEST_MOVES),
    sitesOf(db, actor.school),
  ]);
  const now = clock.now();
  const year = Number(dateAt(site?.zone ?? 'utc', now).slice(0, 4));
  const hives = [...new Set(rows.flatMap(({ hive }) => hive ?? []))];
  const seen = await marksSeen(context, actor.school, hives, now);
  const counts = new Map<string, { store: CombStore; kind: Comb['kind']; count: number }>();
  for (const { store, kind } of rows) {
    if (store === null) continue;
    const key = `${store}/${kind}`;
    counts.set(key, { store, kind, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  const usable: Partial<Record<Comb['kind'], number>> = {};
  for (const { store, kind } of rows) if (isUsable(store)) usable[kind] = (usable[kind] ?? 0) + 1;
  return {
    stock: [...counts.values()],
    shortfall: combsShort(
      (await openFollowUpsOf(db, actor.school)).map(({ hive_number, question }) => ({
        hive: hive_number,
        question: inEnglish(question),
      })),
      usable,
    ).map((each) => ({ ...each, hives: [...each.hives] })),
    combs: rows.map((row) => {
      const sides = seen.get(`${row.hive}/${row.box}/${row.place}`) ?? [];
      const { grade, why } = gradeComb(combOf(row), year, {
        old: sides.some((side) => hasMark(side, 'old-comb')),
        broken: sides.some((side) => hasMark(side, 'broken-comb')),
      });
      return {
        comb: combOf(row),
        hiveNumber: row.hive_number,
        box: row.box,
        place: row.place,
        store: row.store,
        donorNumber: row.donor_number,
        since: dateAt(site?.zone ?? 'utc', row.moved_at),
        grade,
        why,
      };
    }),
    moves: moves.map(({ at, visit, label, from_where, to_where, reason }) => ({
      at: iso(at),
      visit,
      label,
      from: from_where,
      to: to_where,
      reason,
    })),
  };
}

/** Sides by hive, box and place as the last visit of each hive read them. */
async function marksSeen(
  { db }: Context,
  school: string,
  hives: readonly string[],
  now: Date,
): Promise<ReadonlyMap<string, readonly FrameSide[]>> {
  const visits = await visitsOfHives(db, school, hives, new Date(now.getTime() - LOOK_BACK), now);
  const latest = new Map(visits.map((visit) => [visit.hive, visit]));
  const seen = new Map<string, FrameSide[]>();
  for (const { visit, record } of await readColonies(db, [...latest.values()])) {
    for (const { address, side } of Object.values(record.sides)) {
      const key = `${visit.hive}/${address.box}/${address.frame}`;
      seen.set(key, [...(seen.get(key) ?? []), side]);
    }
  }
  return seen;
}
