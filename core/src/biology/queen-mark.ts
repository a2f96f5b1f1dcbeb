import { within } from '../units';

export type MarkColour = 'white' | 'yellow' | 'red' | 'green' | 'blue';
const BY_LAST_DIGIT: readonly MarkColour[] = ['blue', 'white', 'yellow', 'red', 'green'];

/**
 * Paint of a queen's year by the international code: 1/6 white, 2/7 yellow, 3/8 red, 4/9 green, 5/0 blue.
 *
 * @param year calendar year in which she was reared
 * @returns the colour
 * @throws RangeError when the year is no whole number from 1900 to 2200
 * @example markColour(2026) // 'white'
 */
export function markColour(year: number): MarkColour {
  within('year', year, 1900, 2200);
  if (!Number.isInteger(year)) throw new RangeError(`year must be a whole number, got ${year}`);
  return BY_LAST_DIGIT[year % 5]!;
}
