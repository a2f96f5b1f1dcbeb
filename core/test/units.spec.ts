import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dateParts, daysBetween, roundTo, within } from '../src/units';

describe('days', () => {
  it('cross the leap day', () => {
    expect(addDays('2028-02-20', 21)).toBe('2028-03-12');
    expect(addDays('2027-02-20', 21)).toBe('2027-03-13');
  });

  it('go back as far as they went', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3_000, max: 3_000 }), (days) => {
        expect(daysBetween('2026-05-14', addDays('2026-05-14', days))).toBe(days);
      }),
    );
  });

  it('are refused when malformed', () => {
    expect(() => addDays('14 May', 1)).toThrow(/YYYY-MM-DD/);
    expect(() => daysBetween('2026-05-14', '2026-13-01')).toThrow(/YYYY-MM-DD/);
  });

  it('are refused when the calendar has none such', () => {
    for (const date of ['2026-02-30', '2027-02-29', '2026-04-31'])
      expect(() => addDays(date, 1), date).toThrow(/there is no .* in the calendar/);
    expect(addDays('2028-02-29', 1)).toBe('2028-03-01');
  });

  it('fall on the days of the week of the calendar', () => {
    expect(dateParts('2026-05-21')).toEqual({ year: 2026, month: 5, day: 21, weekday: 4 });
    expect(dateParts('2000-02-29').weekday).toBe(2);
  });
});

describe('rounding', () => {
  it('has no binary tail and no minus nought', () => {
    expect(roundTo(1.005, 2)).toBe(1.01);
    expect(roundTo(-1.005, 2)).toBe(-1.01);
    expect(Object.is(roundTo(-0.001, 1), 0)).toBe(true);
    expect(roundTo(1e-9, 3)).toBe(0);
    expect(() => roundTo(Number.NaN, 1)).toThrow(RangeError);
  });

  it('stays within half a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.integer({ min: 0, max: 4 }),
        (value, decimals) => {
          expect(Math.abs(roundTo(value, decimals) - value)).toBeLessThanOrEqual(0.5 / 10 ** decimals + 1e-9);
        },
      ),
    );
  });
});

describe('within', () => {
  it('names what is out of range', () => {
    expect(within('eighths of bees', 8, 0, 8)).toBe(8);
    expect(() => within('eighths of bees', 9, 0, 8)).toThrow('eighths of bees must lie between 0 and 8, got 9');
  });
});
