import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { onDay, wayOf } from '../src/language';
import { addDays } from '../src/units';
import { americanDates, britishDates, languageFor, languages } from '../src/words';

const dates = fc.integer({ min: -20_000, max: 40_000 }).map((days) => addDays('2000-01-01', days));
const minutes = fc.integer({ min: 0, max: 1_439 });
/** How the Unicode CLDR writes it, as this Node.js has it; its narrow space before AM is a space here. */
const cldr = (locale: string, at: string, options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }).format(new Date(at)).replaceAll('\u202f', ' ');

describe('dates and clock times', () => {
  it('are those of the United States where the browser asks for them', () => {
    expect(languageFor(['en-US', 'en'])).toBe('en-US');
    expect(languageFor(['en-AU', 'en-US'])).toBe('en');
    fc.assert(
      fc.property(dates, (date) => {
        const day = { month: 'short', day: 'numeric' } as const;
        expect(americanDates.day(date)).toBe(cldr('en-US', date, day));
        expect(americanDates.day(date, '1850-01-01')).toBe(cldr('en-US', date, { ...day, year: 'numeric' }));
        expect(americanDates.weekday(date)).toBe(cldr('en-US', date, { ...day, weekday: 'short' }));
        const long = { weekday: 'long', year: 'numeric', month: 'long', day: 'numeric' } as const;
        expect(americanDates.long(date)).toBe(cldr('en-US', date, long));
      }),
    );
  });

  it('are those of Britain for everybody else who reads English, with months of three letters', () => {
    fc.assert(
      fc.property(dates, (date) => {
        const short = (text: string) => text.replace('Sept', 'Sep').replace(',', '');
        const day = { month: 'short', day: 'numeric' } as const;
        expect(britishDates.day(date)).toBe(short(cldr('en-GB', date, day)));
        expect(britishDates.weekday(date)).toBe(short(cldr('en-GB', date, { ...day, weekday: 'short' })));
        const long = { weekday: 'long', year: 'numeric', month: 'long', day: 'numeric' } as const;
        expect(britishDates.long(date)).toBe(cldr('en-GB', date, long).replace(',', ''));
      }),
    );
  });

  it('tell noon and midnight apart', () => {
    expect(['00:05', '11:59', '12:00', '23:40'].map((time) => americanDates.clock(time))).toEqual([
      '12:05 AM',
      '11:59 AM',
      '12:00 PM',
      '11:40 PM',
    ]);
    fc.assert(
      fc.property(minutes, (minute) => {
        const at = new Date(minute * 60_000).toISOString();
        expect(americanDates.clock(at.slice(11, 16))).toBe(cldr('en-US', at, { hour: 'numeric', minute: '2-digit' }));
        expect(britishDates.clock(at.slice(11, 16))).toBe(cldr('en-GB', at, { hour: '2-digit', minute: '2-digit' }));
      }),
    );
  });

  it('say the year where it is another, within a sentence too', () => {
    const said = onDay('2025-05-06', '2026-05-14');
    expect(wayOf(languages.en).text(said)).toBe('6 May 2025');
    expect(wayOf(languages['en-US']).text(said)).toBe('May 6, 2025');
    expect(wayOf(languages['en-US']).text(onDay('2026-05-06', '2026-05-14'))).toBe('May 6');
    expect(americanDates.short('2026-05-06')).toBe('Wed 6');
  });
});
