import { eatenDaily } from '../biology';
import type { ExpectedState } from './expected';
import { say } from './said';
import type { Text } from '../language';

export interface Starvation {
  readonly level: 'none' | 'watch' | 'feed-now';
  /** Days that the food lasts if nothing comes in. */
  readonly days: number;
  readonly reasons: readonly Text[];
}

/** Days of food left below which something is done. Common practice. */
const SOON = 7;
/** Days of food left below which a colony is watched. Common practice. */
const WATCH = 18;

/**
 * Whether a colony may starve: much brood and falling food, above all while it builds up.
 *
 * @param expected the state expected today
 * @param poorDays days of the coming seven on which bees can hardly fly, `null` without a forecast
 * @param leastKg least food of the house, kg
 * @returns the alert with its numbers
 */
export function starvationWatch(expected: ExpectedState, poorDays: number | null, leastKg: number): Starvation {
  if (expected.stale !== null) return { level: 'none', days: Infinity, reasons: [expected.stale] };
  const eaten = eatenDaily(expected.bees.value, expected.brood.value);
  const kg = expected.storesKg.value;
  const days = eaten > 0 ? kg / eaten : Infinity;
  const building = expected.phase === 'first-brood' || expected.phase === 'build-up';
  const kept = poorDays !== null && poorDays >= 4;
  const reasons = [
    say('about-kg-food-left-kg', { kg, eaten }),
    say('frames-brood-feed', { value: expected.brood.value }),
    ...(building ? [say('many-starve-build-up-spring')] : []),
    ...(kept ? [say('next-days-keep', { poorDays })] : []),
  ];
  const soon = days < SOON || (kept && days < SOON + 3);
  if (soon && kg < leastKg) return { level: 'feed-now', days, reasons };
  const watched = days < WATCH || kg < leastKg;
  return { level: watched && (building || kept || kg < leastKg) ? 'watch' : 'none', days, reasons };
}
