import { DEVELOPMENT, daysToEmergence } from './development';

/** Which stages of worker brood were seen. */
export interface StagesSeen {
  readonly eggs: boolean;
  readonly larvae: boolean;
  readonly sealed: boolean;
}

/**
 * When the queen last laid, in days before today, from the youngest brood that was seen.
 *
 * @param seen stages seen on the combs
 * @returns the span of days ago in which the last egg was laid; `null` when there is no brood to tell by
 * @example lastLaying({ eggs: false, larvae: false, sealed: true }) // { from: 9, to: 21 }
 */
export function lastLaying(seen: StagesSeen): { readonly from: number; readonly to: number } | null {
  const { egg, larva } = DEVELOPMENT.worker;
  if (seen.eggs) return { from: 0, to: egg };
  if (seen.larvae) return { from: egg, to: egg + larva };
  return seen.sealed ? { from: egg + larva, to: daysToEmergence('worker') } : null;
}
