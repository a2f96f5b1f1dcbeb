import type { VisitRecord } from '../entries/record';
import { temperScore } from '../visit/signs';

/** Minutes of a visit that nobody opened and closed. */
const SOME = 10;

/**
 * Temper of a colony at a visit, by what was noted in it.
 *
 * @param record the visit
 * @returns 1 gentle to 5 not fit for beginners; `null` when nothing was noted
 */
export function temperOf(record: VisitRecord): number | null {
  const from = record.openedAt === null ? null : Date.parse(record.openedAt);
  const to = record.closed ? Date.parse(record.closed.at) : from;
  const minutes = from === null || to === null ? SOME : Math.max(1, (to - from) / 60_000);
  return temperScore(
    record.moods.map(({ mood }) => mood),
    record.signs,
    minutes,
  );
}
