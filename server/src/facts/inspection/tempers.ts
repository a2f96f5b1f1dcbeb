import { temperOf } from '@brave-comb/core/inspection';
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
