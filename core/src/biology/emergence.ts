import { within } from '../units';
import { DEVELOPMENT } from './development';

/**
 * Young workers due from sealed worker brood within some days, taking the sealed cells as evenly aged.
 *
 * @param sealedCells sealed worker cells now, 0 or more
 * @param days days ahead, 0 or more
 * @returns bees emerging by then; all of them after 12 days
 * @throws RangeError when a parameter is negative
 * @example beesDue(12_000, 7) // 7000
 */
export function beesDue(sealedCells: number, days: number): number {
  within('sealed cells', sealedCells, 0);
  within('days ahead', days, 0);
  return Math.round(sealedCells * Math.min(1, days / DEVELOPMENT.worker.sealed));
}

/**
 * Mean laying rate behind the sealed brood (Liebefeld: sealed cells over the days under the lid).
 *
 * @param sealedCells sealed worker cells now, 0 or more
 * @returns eggs a day, the mean of about 9 to 21 days ago
 * @throws RangeError for a negative count
 * @example layingRate(10_400) // 867
 */
export function layingRate(sealedCells: number): number {
  within('sealed cells', sealedCells, 0);
  return Math.round(sealedCells / DEVELOPMENT.worker.sealed);
}
