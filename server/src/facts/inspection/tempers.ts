import { type VisitRecord, temperScore } from '@brave-comb/core/inspection';
import { DAY } from '@brave-comb/core/units';
import type { Context } from '../../context';
import type { HiveRow } from '../../records/equipment';
import { visitsOfHives } from '../../records/inspection';
import { readColonies } from './colony-read';

const TEMPERS = 6;

const TEMPER_DAYS = 400;

/** Temper of a colony at its last visits before a moment, oldest first. */
export async function tempersOf(
  { db }: Context,
  hive: Pick<HiveRow, 'id' | 'school'>,
  before: Date,
): Promise<readonly number[]> {
  const from = new Date(before.getTime() - TEMPER_DAYS * DAY);
  const visits = (await visitsOfHives(db, hive.school, [hive.id], from, new Date(before.getTime() - 1))).slice(
    -TEMPERS,
  );
  const read = await readColonies(db, visits);
  return read.flatMap(({ record }) => temperOf(record) ?? []);
}

/** Temper of a visit by what was noted in it. */
export function temperOf(record: VisitRecord): number | null {
  const from = record.openedAt === null ? null : Date.parse(record.openedAt);
  const to = record.closed ? Date.parse(record.closed.at) : from;
  const minutes = from === null || to === null ? 10 : Math.max(1, (to - from) / 60_000);
  return temperScore(
    record.moods.map(({ mood }) => mood),
    record.signs,
    minutes,
  );
}
