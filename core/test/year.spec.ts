import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayOfYear, daysBetween, lastOf, monthDayOf, nextOf } from '../src/units';

const aDate = fc.integer({ min: 0, max: 30_000 }).map((day) => addDays('1990-01-01', day));
const aMonthDay = fc.integer({ min: 0, max: 364 }).map(monthDayOf);

describe('days of the year', () => {
  it('count 365 in every year, the leap day with the one before it', () => {
    expect(dayOfYear('2026-01-01')).toBe(0);
    expect(dayOfYear('2028-02-29')).toBe(dayOfYear('2028-02-28'));
    expect(dayOfYear('2028-03-01')).toBe(59);
    expect(dayOfYear('2027-12-31')).toBe(364);
  });

  it('go there and back, and wrap', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 364 }), (day) => {
        expect(dayOfYear(monthDayOf(day))).toBe(day);
      }),
    );
    expect(monthDayOf(365)).toBe('01-01');
    expect(monthDayOf(-1)).toBe('12-31');
  });
});

describe('the date of a month and day', () => {
  it('next is on or after, last is on or before, and both lie within a year', () => {
    fc.assert(
      fc.property(aMonthDay, aDate, (monthDay, date) => {
        const [next, last] = [nextOf(monthDay, date), lastOf(monthDay, date)];
        expect(next.slice(5)).toBe(monthDay);
        expect(last.slice(5)).toBe(monthDay);
        expect(daysBetween(date, next)).toBeGreaterThanOrEqual(0);
        expect(daysBetween(last, date)).toBeGreaterThanOrEqual(0);
        expect(daysBetween(date, next)).toBeLessThanOrEqual(365);
        expect(daysBetween(last, date)).toBeLessThanOrEqual(365);
      }),
    );
  });

  it('is the same day when it falls on it', () => {
    expect(nextOf('12-21', '2026-12-21')).toBe('2026-12-21');
    expect(lastOf('12-21', '2026-12-21')).toBe('2026-12-21');
    expect(lastOf('12-21', '2026-05-14')).toBe('2025-12-21');
  });

  it('reads a date often without reading it wrongly', () => {
    for (let round = 0; round < 3; round += 1) {
      expect(daysBetween('2026-05-14', '2026-05-21')).toBe(7);
      expect(() => daysBetween('2026-5-14', '2026-05-21')).toThrow(/YYYY-MM-DD/);
    }
  });
});
