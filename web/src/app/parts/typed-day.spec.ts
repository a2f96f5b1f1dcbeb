import * as fc from 'fast-check';
import { addDays, dateParts } from '@brave-comb/core/units';
import { typedDay } from './typed-day';

const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const WEEKDAYS = 'Sunday Monday Tuesday Wednesday Thursday Friday Saturday'.split(' ');
const BRITISH = { months: MONTHS, weekdays: WEEKDAYS, monthFirst: false };
const AMERICAN = { ...BRITISH, monthFirst: true };
/** A Thursday. */
const TODAY = '2026-05-14';

describe('a day as somebody types it', () => {
  it.each([
    ['16/5', '2026-05-16', 'day and month'],
    ['16.5.', '2026-05-16', 'with full stops'],
    ['16 5 26', '2026-05-16', 'a year of two figures'],
    ['16-05-2027', '2027-05-16', 'a year of four'],
    ['2026-05-16', '2026-05-16', 'as it is kept'],
    ['16 May', '2026-05-16', 'the month in letters'],
    ['16 may 2027', '2027-05-16', 'with its year'],
    ['May 16', '2026-05-16', 'month first where it is in letters'],
    ['Sat 16 May', '2026-05-16', 'with the day of the week'],
    ['Sat 16 May 2026', '2026-05-16', 'as the field itself writes it'],
    ['sat', '2026-05-16', 'the next Saturday'],
    ['Thursday', '2026-05-14', 'today, where it is one'],
    ['wed', '2026-05-20', 'next week'],
    ['+3', '2026-05-17', 'days from now'],
    ['today', '2026-05-14', 'today'],
    ['3/1', '2026-01-03', 'this year’s January is nearer than the next'],
    ['20/12', '2025-12-20', 'last December is nearer than the next'],
    ['29/2/2028', '2028-02-29', 'a leap day'],
    ['31/4', null, 'April has thirty days'],
    ['29/2/2026', null, 'no leap year'],
    ['16', null, 'no month'],
    ['soon', null, 'no day'],
    ['16/5/26/7', null, 'too much'],
    ['', null, 'nothing'],
  ])('%s is %s: %s', (typed, day, _why) => {
    expect(typedDay(typed, TODAY, BRITISH)).toBe(day);
  });

  it.each([
    ['5/16', '2026-05-16'],
    ['5/16/2027', '2027-05-16'],
    ['May 16, 2026', '2026-05-16'],
    ['Sat, May 16, 2026', '2026-05-16'],
    ['16/5', null],
  ])('where the month comes first, %s is %s', (typed: string, day: string | null) => {
    expect(typedDay(typed, TODAY, AMERICAN)).toBe(day);
  });

  it('is read back from what each habit writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (away) => {
        const date = addDays(TODAY, away);
        const { year, month, day, weekday } = dateParts(date);
        expect(typedDay(`${day}/${month}/${year}`, TODAY, BRITISH)).toBe(date);
        expect(typedDay(`${month}/${day}/${year}`, TODAY, AMERICAN)).toBe(date);
        expect(
          typedDay(
            `${WEEKDAYS[weekday]!.slice(0, 3)} ${day} ${MONTHS[month - 1]!.slice(0, 3)} ${year}`,
            TODAY,
            BRITISH,
          ),
        ).toBe(date);
      }),
    );
  });

  it('without its year is never more than half a year away', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 28 }), fc.integer({ min: 1, max: 12 }), (day, month) => {
        const found = typedDay(`${day}/${month}`, TODAY, BRITISH)!;
        expect(Math.abs(Date.parse(found) - Date.parse(TODAY)) / 86_400_000).toBeLessThanOrEqual(183);
      }),
    );
  });
});
