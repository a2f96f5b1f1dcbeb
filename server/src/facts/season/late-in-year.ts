import type { Phase } from '@brave-comb/core/season';
import { type SiteSeason, phaseNow } from './site-season';

/** From these phases on a lost queen cannot be replaced before winter. */
const LATE: readonly Phase[] = ['making-winter-bees', 'closing-down', 'winter-rest'];

/** Whether a queen lost on a day could not be replaced before winter. */
export function lateInYear(season: SiteSeason, date: string): boolean {
  const phase = phaseNow(season, date)?.phase;
  return phase !== undefined && LATE.includes(phase);
}
