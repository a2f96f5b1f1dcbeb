import { describe, expect, it } from 'vitest';
import {
  DEVELOPMENT,
  beesDue,
  daysToEmergence,
  lastLaying,
  layingRate,
  markColour,
  queenAfterMark,
  queenMarkSays as queenMarkSaysInCodes,
  yearOfMark,
} from '../src/biology';
import { addDays } from '../src/units';
import { answersInEnglish } from './in-english';

const queenMarkSays = answersInEnglish(queenMarkSaysInCodes);

describe('development', () => {
  it('takes 16, 21 and 24 days (textbook consensus)', () => {
    expect([daysToEmergence('queen'), daysToEmergence('worker'), daysToEmergence('drone')]).toEqual([16, 21, 24]);
  });

  it('dates emergence from an egg laid on 1 May 2026', () => {
    expect(addDays('2026-05-01', daysToEmergence('queen'))).toBe('2026-05-17');
    expect(addDays('2026-05-01', daysToEmergence('worker'))).toBe('2026-05-22');
    expect(addDays('2026-05-01', daysToEmergence('drone'))).toBe('2026-05-25');
  });

  it('seals a worker on day 9 and a queen on day 8 to 9', () => {
    const sealedOn = (caste: 'worker' | 'queen') => DEVELOPMENT[caste].egg + DEVELOPMENT[caste].larva;
    expect(sealedOn('worker')).toBe(9);
    expect(sealedOn('queen')).toBe(8.5);
  });
});

describe('bees to come', () => {
  it('emerge evenly over the 12 days under the lid', () => {
    expect(beesDue(12_000, 7)).toBe(7_000);
    expect(beesDue(12_000, 30)).toBe(12_000);
    expect(beesDue(0, 7)).toBe(0);
    expect(() => beesDue(-1, 7)).toThrow(RangeError);
  });

  it('give the laying rate of the published example: 10,400 sealed cells, 867 eggs a day', () => {
    expect(layingRate(10_400)).toBe(867);
  });
});

describe('last laying', () => {
  it('is told by the youngest brood', () => {
    expect(lastLaying({ eggs: true, larvae: true, sealed: true })).toEqual({ from: 0, to: 3 });
    expect(lastLaying({ eggs: false, larvae: true, sealed: true })).toEqual({ from: 3, to: 9 });
  });

  it('lies 9 to 21 days back when only sealed worker brood is left', () => {
    expect(lastLaying({ eggs: false, larvae: false, sealed: true })).toEqual({ from: 9, to: 21 });
    expect(lastLaying({ eggs: false, larvae: false, sealed: false })).toBeNull();
  });
});

describe('queen mark', () => {
  it('follows the international code', () => {
    expect([2024, 2025, 2026, 2027, 2028].map(markColour)).toEqual(['green', 'blue', 'white', 'yellow', 'red']);
    expect(() => markColour(26)).toThrow(RangeError);
  });

  it('stands for the latest year of its colour', () => {
    expect((['white', 'yellow', 'red', 'green', 'blue'] as const).map((colour) => yearOfMark(colour, 2026))).toEqual([
      2026, 2022, 2023, 2024, 2025,
    ]);
  });

  it.each([
    [
      'nothing recorded, white seen',
      null,
      'white',
      /white stands for 2026. Recorded/,
      false,
      { year: 2026, marked: true },
    ],
    [
      'green of 2024, green seen',
      [2024, true],
      'green',
      /as recorded: reared in 2024/,
      false,
      { year: 2024, marked: true },
    ],
    [
      'green of 2024, nothing on her',
      [2024, true],
      'none',
      /worn off, or they raised another/,
      true,
      { year: 2024, marked: false },
    ],
    ['green of 2024, blue seen', [2024, true], 'blue', /another queen/, true, { year: 2025, marked: true }],
    [
      'unmarked of 2025, blue seen',
      [2025, false],
      'blue',
      /blue stands for 2025. Recorded/,
      false,
      { year: 2025, marked: true },
    ],
    ['unmarked of 2025, none seen', [2025, false], 'none', /as recorded/, false, { year: 2025, marked: false }],
    ['unmarked of 2025, white seen', [2025, false], 'white', /another queen/, true, { year: 2026, marked: true }],
    ['nothing recorded, none seen', null, 'none', /as recorded/, false, null],
  ] as const)('%s', (_case, was, seen, says, other, after) => {
    const recorded = was ? { year: was[0], marked: was[1] } : null;
    const read = queenMarkSays(recorded, seen, 2026);
    expect(read.says).toMatch(says);
    expect(read.other).toBe(other);
    expect(queenAfterMark(recorded, seen, 2026)).toEqual(after);
  });
});
