import { dateWords } from '../language/words';

type Parts = Readonly<Partial<Record<Intl.DateTimeFormatPartTypes, string>>>;
const formats = new Map<string, Intl.DateTimeFormat>();

/** Date and time of a moment in a zone, in figures: how they are written is the language's. */
function partsOf(at: number | string, zone: string): Parts {
  let format = formats.get(zone);
  if (!format) {
    const two = '2-digit';
    const all = { year: 'numeric', month: two, day: two, hour: two, minute: two, hourCycle: 'h23' } as const;
    formats.set(zone, (format = new Intl.DateTimeFormat('en-GB', { ...all, timeZone: zone })));
  }
  return Object.fromEntries(format.formatToParts(new Date(at)).map(({ type, value }) => [type, value]));
}

/** The year that goes without saying, `null` until the clock was read. */
let thisYear: number | null = null;
/** Dates of another year than this one are written with their year. */
export const setThisYear = (year: number): void => {
  thisYear = year;
};

/** "13:10" at the site, in every language: for reckoning and for fields. */
export const civilTime = (instant: string | number, zone: string): string => {
  const { hour, minute } = partsOf(instant, zone);
  return `${hour}:${minute}`;
};
/** "2026-05-14", the date at the site. */
export const civilDate = (instant: string | number, zone: string): string => {
  const { year, month, day } = partsOf(instant, zone);
  return `${year}-${month}-${day}`;
};
/** "13:10" at the site. */
export const timeOf = (instant: string | number, zone: string): string => dateWords().clock(civilTime(instant, zone));
/** "13" at the site: the hours below a chart. */
export const hourOf = (instant: string | number, zone: string): string =>
  dateWords().hour(Number(partsOf(instant, zone).hour));
/** "Thu 14 May" of a civil date; "Tue 6 May 2025" in another year. */
export const dateText = (date: string): string =>
  dateWords().weekday(date, thisYear === null ? date : `${thisYear}-01-01`);
/** "Thu 14 May" at the site; "Tue 6 May 2025" in another year. */
export const dayOf = (instant: string | number, zone: string): string => dateText(civilDate(instant, zone));
/** Day and time: "Thu 14 May, 16:20". */
export const momentOf = (instant: string | number, zone: string): string =>
  `${dayOf(instant, zone)}, ${timeOf(instant, zone)}`;

/** "14 May" of a civil date, with its year where it is not that of `today`. */
export const dayText = (date: string, today?: string): string => dateWords().day(date, today);
/** "Thursday 14 May 2026" at the site: for what is printed and kept. */
export const longDay = (instant: string | number, zone: string): string => dateWords().long(civilDate(instant, zone));
/** "14 May 2026" of a civil date, always with its year: for documents. */
export const dateInFull = (date: string): string => dateWords().day(date, '');
/** "Thu 14" of a civil date. */
export const shortDate = (date: string): string => dateWords().short(date);
/** "May", the month that a civil date is in. */
export const monthOf = (date: string): string => dateWords().month(date);

/** Monday 1 to Sunday 7. */
export const weekday = (date: string): number => new Date(date).getUTCDay() || 7;

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
