import type { Dates } from '../../language';
import { type CivilDate, dateParts } from '../../units';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;
const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;

/** The words of a date in English, whatever their order. */
const wordsOf = (date: CivilDate) => {
  const { year, month, day, weekday } = dateParts(date);
  const name = WEEKDAYS[weekday]!;
  return { year, month: MONTHS[month - 1]!, short: MONTHS[month - 1]!.slice(0, 3), day, name, brief: name.slice(0, 3) };
};
const elsewhen = (year: number, today: CivilDate): boolean => `${year}`.padStart(4, '0') !== today.slice(0, 4);

/** Day before month and twenty-four hours, as in Britain, Ireland, Australia, New Zealand and South Africa. */
export const britishDates: Dates = {
  locale: 'en-GB',
  day(date, today = date) {
    const { year, short, day } = wordsOf(date);
    return `${day} ${short}${elsewhen(year, today) ? ` ${year}` : ''}`;
  },
  weekday: (date, today) => `${wordsOf(date).brief} ${britishDates.day(date, today)}`,
  short(date) {
    const { brief, day } = wordsOf(date);
    return `${brief} ${day}`;
  },
  long(date) {
    const { name, day, month, year } = wordsOf(date);
    return `${name} ${day} ${month} ${year}`;
  },
  month: (date) => wordsOf(date).short,
  clock: (time) => time,
  hour: (hour) => `${hour}`.padStart(2, '0'),
};

const twelve = (hour: number): number => hour % 12 || 12;

/** Month before day and twice twelve hours, as in the United States. */
export const americanDates: Dates = {
  locale: 'en-US',
  day(date, today = date) {
    const { year, short, day } = wordsOf(date);
    return `${short} ${day}${elsewhen(year, today) ? `, ${year}` : ''}`;
  },
  weekday: (date, today) => `${wordsOf(date).brief}, ${americanDates.day(date, today)}`,
  short(date) {
    const { brief, day } = wordsOf(date);
    return `${brief} ${day}`;
  },
  long(date) {
    const { name, day, month, year } = wordsOf(date);
    return `${name}, ${month} ${day}, ${year}`;
  },
  month: (date) => wordsOf(date).short,
  clock(time) {
    const hour = Number(time.slice(0, 2));
    return `${twelve(hour)}${time.slice(2, 5)} ${hour % 24 < 12 ? 'AM' : 'PM'}`;
  },
  hour: (hour) => `${twelve(hour)}${hour % 24 < 12 ? 'a' : 'p'}`,
};
