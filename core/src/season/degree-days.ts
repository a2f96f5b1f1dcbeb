import { type CivilDate, within } from '../units';
import type { DayWeather } from './usual';

/** Ways to reckon degree days, by name: they differ most in spring. */
export const DEGREE_DAY_METHODS = ['average', 'clamped-average', 'single-sine'] as const;
export type DegreeDayMethod = (typeof DEGREE_DAY_METHODS)[number];

function ordered(low: number, high: number, base: number, cap = Infinity): void {
  within('base temperature in °C', base, -50, 60);
  if (!(cap >= base)) throw new RangeError(`the cap must not lie below the base, got ${cap} and ${base} °C`);
  if (!Number.isFinite(low) || !Number.isFinite(high) || low > high)
    throw new RangeError(`the lowest temperature must not lie above the highest, got ${low} and ${high} °C`);
}

/**
 * Degree days of one day by the simple average (McMaster and Wilhelm 1997, method 1).
 *
 * @param low lowest temperature, °C
 * @param high highest temperature, °C
 * @param base temperature below which nothing grows, °C
 * @returns degree days, 0 or more
 * @throws RangeError when low lies above high
 * @example averageDegreeDays(11, 25, 10) // 8
 */
export function averageDegreeDays(low: number, high: number, base: number): number {
  ordered(low, high, base);
  return Math.max(0, (low + high) / 2 - base);
}

/**
 * Degree days of one day by the average of both temperatures clamped to base and cap first (McMaster and Wilhelm 1997, method 2).
 *
 * @param low lowest temperature, °C
 * @param high highest temperature, °C
 * @param base temperature below which nothing grows, °C
 * @param cap temperature above which nothing grows faster, °C
 * @returns degree days, 0 or more
 * @throws RangeError when low lies above high
 * @example clampedDegreeDays(3, 15, 10, 30) // 2.5
 */
export function clampedDegreeDays(low: number, high: number, base: number, cap = 30): number {
  ordered(low, high, base, cap);
  const clamp = (value: number) => Math.min(cap, Math.max(base, value));
  return (clamp(low) + clamp(high)) / 2 - base;
}

/**
 * Degree days of one day under a single sine through its lowest and highest temperature (Baskerville and Emin 1969), with an optional horizontal cap.
 *
 * @param low lowest temperature, °C
 * @param high highest temperature, °C
 * @param base temperature below which nothing grows, °C
 * @param cap temperature above which nothing grows faster, °C; none without it
 * @returns degree days, 0 or more
 * @throws RangeError when low lies above high
 * @example sineDegreeDays(3, 15, 10) // 1.4364
 */
export function sineDegreeDays(low: number, high: number, base: number, cap = Infinity): number {
  ordered(low, high, base, cap);
  return above(low, high, base) - (Number.isFinite(cap) ? above(low, high, cap) : 0);
}

/** Area under the day's sine above a threshold. */
function above(low: number, high: number, threshold: number): number {
  const mean = (low + high) / 2;
  if (low >= threshold) return mean - threshold;
  if (high <= threshold) return 0;
  const swing = (high - low) / 2;
  const angle = Math.asin((threshold - mean) / swing);
  return (swing * Math.cos(angle) - (threshold - mean) * (Math.PI / 2 - angle)) / Math.PI;
}

/**
 * Degree days of one day by a named method.
 *
 * @param method how to reckon
 * @param low lowest temperature, °C
 * @param high highest temperature, °C
 * @param base temperature below which nothing grows, °C
 * @returns degree days, 0 or more
 * @throws RangeError when low lies above high
 * @example degreeDays('single-sine', 6, 18, 10) // 3.017
 */
export function degreeDays(method: DegreeDayMethod, low: number, high: number, base: number): number {
  switch (method) {
    case 'average':
      return averageDegreeDays(low, high, base);
    case 'clamped-average':
      return clampedDegreeDays(low, high, base);
    case 'single-sine':
      return sineDegreeDays(low, high, base);
  }
}

/**
 * Degree days summed up day by day.
 *
 * @param days one after another, oldest first
 * @param base temperature below which nothing grows, °C
 * @param method how to reckon each day
 * @returns the sum reached at the end of each day
 */
export function accumulate(
  days: readonly Pick<DayWeather, 'date' | 'low' | 'high'>[],
  base: number,
  method: DegreeDayMethod = 'single-sine',
): readonly { readonly date: CivilDate; readonly sum: number }[] {
  let sum = 0;
  return days.map(({ date, low, high }) => {
    sum += degreeDays(method, low, high, base);
    return { date, sum };
  });
}
