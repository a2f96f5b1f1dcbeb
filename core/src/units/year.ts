import { type CivilDate, addDays, daysBetween } from './days';

/** A day of any year, `MM-DD`. */
export type MonthDay = string;

/**
 * Day of the year from 0, with 29 February counted as 28, so that every year has 365 days.
 *
 * @param date civil date or `MM-DD`
 * @returns 0 (1 January) to 364
 * @throws RangeError for a malformed date
 * @example dayOfYear('2028-03-01') // 59
 */
export function dayOfYear(date: CivilDate): number {
  const monthDay = date.length === 5 ? date : date.slice(5);
  const plain = monthDay === '02-29' ? '02-28' : monthDay;
  return daysBetween('2001-01-01', `2001-${plain}`);
}

/**
 * `MM-DD` of a day of the year.
 *
 * @param day any whole number; it wraps at 365
 * @returns month and day
 * @example monthDayOf(59) // '03-01'
 */
export function monthDayOf(day: number): MonthDay {
  return addDays('2001-01-01', ((Math.round(day) % 365) + 365) % 365).slice(5);
}

/**
 * The first date on or after another that has a given month and day.
 *
 * @param monthDay `MM-DD`
 * @param from civil date
 * @returns civil date; 29 February in other years becomes 28 February
 * @throws RangeError for a malformed date
 * @example nextOf('12-21', '2026-05-14') // '2026-12-21'
 */
export function nextOf(monthDay: MonthDay, from: CivilDate): CivilDate {
  const year = Number(from.slice(0, 4));
  const plain = monthDay === '02-29' ? '02-28' : monthDay;
  const thisYear = `${year}-${plain}`;
  return daysBetween(from, thisYear) >= 0 ? thisYear : `${year + 1}-${plain}`;
}

/**
 * The last date on or before another that has a given month and day.
 *
 * @param monthDay `MM-DD`
 * @param until civil date
 * @returns civil date
 * @throws RangeError for a malformed date
 * @example lastOf('12-21', '2026-05-14') // '2025-12-21'
 */
export function lastOf(monthDay: MonthDay, until: CivilDate): CivilDate {
  const year = Number(until.slice(0, 4));
  const plain = monthDay === '02-29' ? '02-28' : monthDay;
  const thisYear = `${year}-${plain}`;
  return daysBetween(thisYear, until) >= 0 ? thisYear : `${year - 1}-${plain}`;
}
