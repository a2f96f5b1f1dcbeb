import { Injectable, inject } from '@angular/core';
import { DateAdapter, type MatDateFormats } from '@angular/material/core';
import { type CivilDate, addDays, dateParts } from '@brave-comb/core/units';
import { dateWords } from '../language/words';
import { TODAY } from './today';
import { typedDay } from './typed-day';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const TIME = /^([01]\d|2[0-3]):([0-5]\d)$/;
/** "9", "9:30", "0930", "1.30 pm". */
const TYPED_TIME = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*([ap])?\.?m?\.?$/i;
const two = (figure: number): string => `${figure}`.padStart(2, '0');
const dateFrom = (year: number, month: number, day: number): CivilDate =>
  new Date(Date.UTC(year, month, day)).toISOString().slice(0, 10);

/** Ways to write a day or a time in a field and above the days of a month. */
export type DayFormat = 'day' | 'month' | 'time';
export const DAY_FORMATS: MatDateFormats = {
  parse: { dateInput: 'day', timeInput: 'time' },
  display: {
    dateInput: 'day',
    monthYearLabel: 'month',
    dateA11yLabel: 'day',
    monthYearA11yLabel: 'month',
    timeInput: 'time',
    timeOptionLabel: 'time',
  },
};

/** Days and times of day as the rest of the program keeps them, "2026-05-16" and "13:10", for Material's calendar and list of times. */
@Injectable()
export class DayAdapter extends DateAdapter<string> {
  private readonly dates = dateWords();

  private names(part: Intl.DateTimeFormatOptions, at: (index: number) => Date, count: number): string[] {
    const format = new Intl.DateTimeFormat(this.dates.locale, { ...part, timeZone: 'UTC' });
    return Array.from({ length: count }, (_, index) => format.format(at(index)));
  }

  override today = inject(TODAY);
  override getYear = (date: string): number => dateParts(date).year;
  override getMonth = (date: string): number => dateParts(date).month - 1;
  override getDate = (date: string): number => dateParts(date).day;
  override getDayOfWeek = (date: string): number => dateParts(date).weekday;
  override getYearName = (date: string): string => date.slice(0, 4);
  override getFirstDayOfWeek = (): number => (this.dates.locale === 'en-US' ? 0 : 1);
  override clone = (date: string): string => date;
  override toIso8601 = (date: string): string => date;
  override isDateInstance = (value: unknown): boolean => typeof value === 'string';
  override isValid = (date: string): boolean => DAY.test(date) || TIME.test(date);
  override invalid = (): string => 'none';
  override createDate = dateFrom;
  override compareDate = (one: string, other: string): number => (one < other ? -1 : Number(one > other));
  override sameDate = (one: string | null, other: string | null): boolean =>
    one === other || (TIME.test(one ?? '') && TIME.test(other ?? ''));
  override addCalendarDays = addDays;

  override getMonthNames(style: 'long' | 'short' | 'narrow'): string[] {
    return this.names({ month: style }, (index) => new Date(Date.UTC(2026, index, 1)), 12);
  }

  override getDayOfWeekNames(style: 'long' | 'short' | 'narrow'): string[] {
    const names = this.names(
      { weekday: style === 'narrow' ? 'short' : style },
      (index) => new Date(Date.UTC(2026, 1, 1 + index)),
      7,
    );
    return style === 'narrow' ? names.map((name) => name.slice(0, 2)) : names;
  }

  override getDateNames(): string[] {
    return Array.from({ length: 31 }, (_, index) => `${index + 1}`);
  }

  override getNumDaysInMonth(date: string): number {
    return new Date(Date.UTC(this.getYear(date), this.getMonth(date) + 1, 0)).getUTCDate();
  }

  override addCalendarYears(date: string, years: number): string {
    return this.addCalendarMonths(date, years * 12);
  }

  override addCalendarMonths(date: string, months: number): string {
    const first = dateFrom(this.getYear(date), this.getMonth(date) + months, 1);
    return addDays(first, Math.min(this.getDate(date), this.getNumDaysInMonth(first)) - 1);
  }

  override deserialize(value: unknown): string | null {
    return typeof value === 'string' && this.isValid(value) ? value : null;
  }

  override format(value: string, format: DayFormat): string {
    if (format === 'time') return this.dates.clock(value);
    if (format === 'month') return `${this.dates.month(value)} ${value.slice(0, 4)}`;
    return this.dates.weekday(value, '');
  }

  override parse(value: string, format: DayFormat): string | null {
    if (!value.trim()) return null;
    if (format === 'time') return this.parseTime(value);
    const habit = {
      months: this.getMonthNames('long'),
      weekdays: this.getDayOfWeekNames('long'),
      monthFirst: this.dates.locale === 'en-US',
    };
    return typedDay(value, this.today(), habit) ?? this.invalid();
  }

  override getHours = (time: string): number => Number(TIME.exec(time)?.[1] ?? 0);
  override getMinutes = (time: string): number => Number(TIME.exec(time)?.[2] ?? 0);
  override getSeconds = (): number => 0;
  override setTime = (_day: string, hours: number, minutes: number): string => `${two(hours)}:${two(minutes)}`;

  override parseTime(value: string): string | null {
    if (!value.trim()) return null;
    const [, hour, minute = '00', half] = TYPED_TIME.exec(value.trim()) ?? [];
    if (hour === undefined) return this.invalid();
    const hours = half ? (Number(hour) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hour);
    const time = `${two(hours)}:${minute}`;
    return TIME.test(time) ? time : this.invalid();
  }

  override addSeconds(time: string, seconds: number): string {
    const minutes = this.getHours(time) * 60 + this.getMinutes(time) + Math.round(seconds / 60);
    return minutes >= 1440 ? this.invalid() : this.setTime('', Math.floor(minutes / 60), minutes % 60);
  }
}
