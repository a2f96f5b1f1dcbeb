import { DateTime } from 'luxon';

const at = (instant: string | number, zone: string): DateTime =>
  typeof instant === 'number' ? DateTime.fromMillis(instant, { zone }) : DateTime.fromISO(instant, { zone });

/** The year that goes without saying, `null` until the clock was read. */
let thisYear: number | null = null;
/** Dates of another year than this one are written with their year. */
export const setThisYear = (year: number): void => {
  thisYear = year;
};
const dayOfYear = (day: DateTime): string =>
  day.toFormat(thisYear === null || day.year === thisYear ? 'ccc d LLL' : 'ccc d LLL yyyy');

/** "13:10" at the site. */
export const timeOf = (instant: string | number, zone: string): string => at(instant, zone).toFormat('HH:mm');
/** "Thu 14 May" at the site; "Tue 6 May 2025" in another year. */
export const dayOf = (instant: string | number, zone: string): string => dayOfYear(at(instant, zone));
/** "Thursday 14 May 2026" at the site: for what is printed and kept. */
export const longDay = (instant: string | number, zone: string): string =>
  at(instant, zone).toFormat('cccc d LLLL yyyy');
/** "2026-05-14", the date at the site. */
export const civilDate = (instant: number, zone: string): string => at(instant, zone).toFormat('yyyy-MM-dd');
/** "Thu 14 May" of a civil date; "Tue 6 May 2025" in another year. */
export const dateText = (date: string): string => dayOfYear(DateTime.fromISO(date, { zone: 'utc' }));
/** "14 May 2026" of a civil date, always with its year: for documents. */
export const dateInFull = (date: string): string => DateTime.fromISO(date, { zone: 'utc' }).toFormat('d LLL yyyy');
/** "Thu 14" of a civil date. */
export const shortDate = (date: string): string => DateTime.fromISO(date, { zone: 'utc' }).toFormat('ccc d');
export const weekday = (date: string): number => DateTime.fromISO(date, { zone: 'utc' }).weekday;

/** Odds in words: "8 in 10", never a percentage. */
export const oddsText = (chance: number): string => {
  const tenths = Math.round(chance * 10);
  if (tenths >= 10) return chance > 0.98 ? $localize`all` : $localize`19 in 20`;
  return tenths <= 0 ? $localize`less than 1 in 20` : $localize`${tenths} in 10`;
};

/** How sure a judgement is, in words: "almost certain", "8 in 10". */
export const sureText = (chance: number): string =>
  chance >= 0.95 ? $localize`almost certain` : chance <= 0.05 ? $localize`almost ruled out` : oddsText(chance);

/** "2 h 20" of minutes. */
export const spanText = (minutes: number): string => {
  const hours = Math.floor(minutes / 60);
  const rest = Math.round(minutes % 60);
  return hours === 0 ? $localize`${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${`${rest}`.padStart(2, '0')}`;
};

/** A number to one decimal, without a tail of zeros. */
export const decimal = (value: number, digits = 1): string => `${Number(value.toFixed(digits))}`;

/** Day and month, with the year where it is not this one: `12 Jul 25`. */
export const dayIn = (date: string, today: string): string =>
  DateTime.fromISO(date, { zone: 'utc' }).toFormat(date.slice(0, 4) === today.slice(0, 4) ? 'd LLL' : 'd LLL yy');
