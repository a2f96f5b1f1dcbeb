/** A civil date, `YYYY-MM-DD`, at some site. */
export type CivilDate = string;

/** A day, ms. */
export const DAY = 86_400_000;
/** Dates read and written before: the same few hundred are asked for over and over. */
const read = new Map<CivilDate, number>();
const written = new Map<number, CivilDate>();
const MOST_KEPT = 20_000;

function midnight(date: CivilDate): number {
  const known = read.get(date);
  if (known !== undefined) return known;
  const at = Date.parse(`${date}T00:00:00Z`);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || Number.isNaN(at)) {
    throw new RangeError(`a date is written YYYY-MM-DD, got ${date}`);
  }
  if (new Date(at).toISOString().slice(0, 10) !== date) throw new RangeError(`there is no ${date} in the calendar`);
  if (read.size >= MOST_KEPT) read.clear();
  read.set(date, at);
  return at;
}

function dateAt(at: number): CivilDate {
  const known = written.get(at);
  if (known !== undefined) return known;
  const date = new Date(at).toISOString().slice(0, 10);
  if (written.size >= MOST_KEPT) written.clear();
  written.set(at, date);
  return date;
}

/**
 * The date a number of days later (or earlier).
 *
 * @param date civil date
 * @param days whole days, may be negative
 * @returns civil date
 * @throws RangeError for a malformed date
 * @example addDays('2028-02-20', 21) // '2028-03-12'
 */
export function addDays(date: CivilDate, days: number): CivilDate {
  return dateAt(midnight(date) + Math.round(days) * DAY);
}

/**
 * What a date is made of.
 *
 * @param date civil date
 * @returns year, month 1 to 12, day of the month 1 to 31, day of the week 0 (Sunday) to 6
 * @throws RangeError for a malformed date
 * @example dateParts('2026-05-14').weekday // 4
 */
export function dateParts(date: CivilDate): {
  readonly year: number;
  readonly month: number;
  readonly day: number;
  readonly weekday: number;
} {
  const at = new Date(midnight(date));
  return { year: at.getUTCFullYear(), month: at.getUTCMonth() + 1, day: at.getUTCDate(), weekday: at.getUTCDay() };
}

/** The earlier of two civil dates. */
export const earlierOf = (a: CivilDate, b: CivilDate): CivilDate => (a <= b ? a : b);

/** The later of two civil dates. */
export const laterOf = (a: CivilDate, b: CivilDate): CivilDate => (a >= b ? a : b);

/**
 * Whole days from one date to another.
 *
 * @param from civil date
 * @param to civil date
 * @returns days, negative when `to` lies before `from`
 * @throws RangeError for a malformed date
 * @example daysBetween('2026-05-05', '2026-05-14') // 9
 */
export function daysBetween(from: CivilDate, to: CivilDate): number {
  return Math.round((midnight(to) - midnight(from)) / DAY);
}
