import { within } from '../units';
import { say } from './said';
import type { Said } from '../language';

export type MarkColour = 'white' | 'yellow' | 'red' | 'green' | 'blue';
export const MARK_COLOURS = ['white', 'yellow', 'red', 'green', 'blue'] as const satisfies readonly MarkColour[];
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

/** What is on a queen's back: a colour, or nothing. */
export type SeenMark = MarkColour | 'none';
/** A queen as she is recorded. */
export interface RecordedQueen {
  readonly year: number;
  readonly marked: boolean;
}

/**
 * The latest year that a colour stands for: no queen of five years earlier is likely to live.
 *
 * @param colour paint on the queen
 * @param year the year in which she is looked at
 * @returns calendar year in which she was reared
 * @example yearOfMark('green', 2026) // 2024
 */
export function yearOfMark(colour: MarkColour, year: number): number {
  const back = [0, 1, 2, 3, 4].find((years) => markColour(year - years) === colour)!;
  return year - back;
}

/**
 * The queen as she is recorded once her mark was seen.
 *
 * @param recorded what stood in the record, `null` for nothing
 * @param seen what was seen on her
 * @param year calendar year of the look
 * @returns a colour keeps the recorded year when it stands for that year; an unmarked queen keeps it too, as far as one is known
 */
export function queenAfterMark(recorded: RecordedQueen | null, seen: SeenMark, year: number): RecordedQueen | null {
  if (seen === 'none') return recorded && { ...recorded, marked: false };
  return recorded && markColour(recorded.year) === seen
    ? { ...recorded, marked: true }
    : { year: yearOfMark(seen, year), marked: true };
}

/**
 * What a mark says beside what is recorded. Common practice.
 *
 * @param recorded the queen as recorded, `null` when nothing is
 * @param seen what was seen on her
 * @param year calendar year of the look
 * @returns a sentence, and whether it may be another queen
 * @example queenMarkSays({ year: 2024, marked: true }, 'none', 2026).other // true
 */
export function queenMarkSays(
  recorded: RecordedQueen | null,
  seen: SeenMark,
  year: number,
): { readonly says: Said; readonly other: boolean } {
  const was = recorded?.marked ? markColour(recorded.year) : null;
  if (seen === 'none')
    return was === null
      ? { says: say('unmarked-recorded'), other: false }
      : {
          says: say('recorded-paint-has-worn-off', { was, year: recorded?.year ?? null }),
          other: true,
        };
  const reared = yearOfMark(seen, year);
  if (was === seen) return { says: say('recorded-reared', { seen, year: recorded?.year ?? null }), other: false };
  if (was === null && (recorded === null || markColour(recorded.year) === seen))
    return { says: say('stands-recorded-now', { seen, year: recorded?.year ?? reared }), other: false };
  return {
    says: say('stands-recorded-another-queen-ask', { seen, reared, was, year: recorded?.year ?? null }),
    other: true,
  };
}
