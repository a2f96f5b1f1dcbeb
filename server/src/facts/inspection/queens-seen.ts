import { queenAfterMark } from '@brave-comb/core/biology';
import { recordOf } from '@brave-comb/core/inspection';
import type { Db } from '../../database/db';
import { entriesOf, visitsThatSawMark } from '../../records/inspection';

/** A colony with its queen as it was entered. */
interface WithQueen {
  readonly id: string;
  readonly queen_year: number | null;
  readonly queen_marked: 0 | 1 | boolean;
}

/**
 * Colonies with their queens as they were last seen: year and paint by what visits saw on her back, else as the colony was entered.
 *
 * @param db database
 * @param colonies colonies as they were entered
 * @param before visits from this moment on do not count
 * @returns the same colonies in the same order
 */
export async function withQueensSeen<C extends WithQueen>(
  db: Db,
  colonies: readonly C[],
  before: Date | null = null,
): Promise<C[]> {
  const seen = await visitsThatSawMark(
    db,
    colonies.map(({ id }) => id),
    before,
  );
  const after = new Map(colonies.map((colony) => [colony.id, colony]));
  for (const visit of seen) {
    const colony = after.get(visit.colony)!;
    const mark = recordOf(await entriesOf(db, visit.id)).queenMark;
    if (!mark) continue;
    const recorded =
      colony.queen_year === null ? null : { year: colony.queen_year, marked: Boolean(colony.queen_marked) };
    const queen = queenAfterMark(recorded, mark.colour, Number(mark.at.slice(0, 4)));
    if (queen) after.set(colony.id, { ...colony, queen_year: queen.year, queen_marked: queen.marked });
  }
  return colonies.map(({ id }) => after.get(id)!);
}
