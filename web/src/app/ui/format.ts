import { dateWords } from '../language/words';

/** How dates are written that stand alone; the months and days of sentences are those of the language. */
const LOCALE = 'en-GB';
type Parts = Readonly<Partial<Record<Intl.DateTimeFormatPartTypes, string>>>;
const formats = new Map<string, Intl.DateTimeFormat>();

/** Parts of a moment as it is in a zone. */
function partsOf(at: number | string, zone: string, options: Intl.DateTimeFormatOptions): Parts {
  const key = zone + JSON.stringify(options);
  let format = formats.get(key);
  if (!format) formats.set(key, (format = new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: zone })));
  return Object.fromEntries(format.formatToParts(new Date(at)).map(({ type, value }) => [type, value]));
}

/** The year that goes without saying, `null` until the clock was read. */
let thisYear: number | null = null;
/** Dates of another year than this one are written with their year. */
export const setThisYear = (year: number): void => {
  thisYear = year;
};

/** "13:10" at the site. */
export const timeOf = (instant: string | number, zone: string): string => {
  const { hour, minute } = partsOf(instant, zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  return `${hour}:${minute}`;
};
/** "2026-05-14", the date at the site. */
export const civilDate = (instant: string | number, zone: string): string => {
  const { year, month, day } = partsOf(instant, zone, { year: 'numeric', month: '2-digit', day: '2-digit' });
  return `${year}-${month}-${day}`;
};
/** "Thu 14 May" of a civil date; "Tue 6 May 2025" in another year. */
export const dateText = (date: string): string => {
  const year = date.slice(0, 4);
  const said = dateWords().weekday(date);
  return thisYear === null || year === `${thisYear}` ? said : `${said} ${year}`;
};
/** "Thu 14 May" at the site; "Tue 6 May 2025" in another year. */
export const dayOf = (instant: string | number, zone: string): string => dateText(civilDate(instant, zone));
/** "Thursday 14 May 2026" at the site: for what is printed and kept. */
export const longDay = (instant: string | number, zone: string): string => {
  const all = { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' } as const;
  const { weekday: name, day, month, year } = partsOf(instant, zone, all);
  return `${name} ${day} ${month} ${year}`;
};
/** "14 May 2026" of a civil date, always with its year: for documents. */
export const dateInFull = (date: string): string => dateWords().day(date, '');
/** "Thu 14" of a civil date. */
export const shortDate = (date: string): string => {
  const { weekday: name, day } = partsOf(date, 'UTC', { weekday: 'short', day: 'numeric' });
  return `${name} ${day}`;
};

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

/** Day and month, with the year where it is not this one: `12 Jul 25`. */
export const dayIn = (date: string, today: string): string =>
  date.slice(0, 4) === today.slice(0, 4) ? dateWords().day(date) : `${dateWords().day(date)} ${date.slice(2, 4)}`;
