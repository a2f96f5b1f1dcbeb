import { type CivilDate, addDays, dateParts } from '@brave-comb/core/units';

const DAYS_ON = /^\+(\d{1,3})$/;
const ISO = /^\d{4}-\d{2}-\d{2}$/;

/** A date of a year, a month and a day as they were typed, `null` where the month has no such day. */
function dateOf(year: number, month: number, day: number): CivilDate | null {
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day ? date.toISOString().slice(0, 10) : null;
}

/** Names of months or weekdays as they are written somewhere, by their first three letters. */
function begun(names: readonly string[], typed: string): number {
  return typed.length < 3 ? -1 : names.findIndex((name) => name.toLowerCase().startsWith(typed.slice(0, 3)));
}

/** The year meant where none was typed: the one that brings the day nearest to today. */
function nearest(month: number, day: number, today: CivilDate): CivilDate | null {
  const { year } = dateParts(today);
  const all = [year - 1, year, year + 1].flatMap((each) => dateOf(each, month, day) ?? []);
  const away = (date: CivilDate) => Math.abs(Date.parse(date) - Date.parse(today));
  return all.sort((a, b) => away(a) - away(b))[0] ?? null;
}

/**
 * The day that somebody typed: "16/5", "16.5.26", "16 May", "May 16, 2026", "2026-05-16", "Sat" for the next one, "today", "+3".
 *
 * @param text what was typed
 * @param today the day at the school
 * @param habit how dates are written there: names of months from January and of weekdays from Sunday, and whether the month comes first
 * @returns the date, `null` where it cannot be understood or the month has no such day
 */
export function typedDay(
  text: string,
  today: CivilDate,
  habit: { readonly months: readonly string[]; readonly weekdays: readonly string[]; readonly monthFirst: boolean },
): CivilDate | null {
  const typed = text.trim().toLowerCase();
  const on = DAYS_ON.exec(typed);
  if (on) return addDays(today, Number(on[1]));
  if (typed === 'today' || typed === $localize`today`) return today;
  if (ISO.test(typed)) {
    const [year, month, day] = typed.split('-').map(Number);
    return dateOf(year!, month!, day!);
  }
  const words = typed.split(/[^\p{L}\d]+/u).filter((word) => word !== '');
  const weekday = begun(habit.weekdays, words[0] ?? '');
  const rest = weekday === -1 ? words : words.slice(1);
  if (rest.length === 0) return weekday === -1 ? null : addDays(today, (weekday - dateParts(today).weekday + 7) % 7);
  const named = rest.findIndex((word) => begun(habit.months, word) !== -1);
  const figures = rest.filter((_, at) => at !== named).map(Number);
  if (figures.some((figure) => !Number.isInteger(figure)) || figures.length > 3) return null;
  const ordered = named !== -1 || !habit.monthFirst ? figures : [figures[1]!, figures[0]!, ...figures.slice(2)];
  const [day, ...more] = ordered;
  const [month, year] = named === -1 ? more : [begun(habit.months, rest[named]!) + 1, ...more];
  if (day === undefined || month === undefined || Number.isNaN(day + month)) return null;
  return year === undefined ? nearest(month, day, today) : dateOf(year < 100 ? 2000 + year : year, month, day);
}
