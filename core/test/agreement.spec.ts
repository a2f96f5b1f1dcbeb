import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import { type Letter, LETTERS, SKILL_LEVELS } from '../src/inspection';
import { topicForLetters } from '../src/practice';
import {
  type AssessedDemonstration,
  assessorHabits,
  assessorPairs,
  assessorsTogether,
  cohenKappa,
  fleissKappa,
  kappaWord,
  limitsOf,
  studentT,
  LINEAR,
  QUADRATIC,
  type ReadingPair,
  readingAgreement,
  readingHabits as saidReadingHabits,
  readingsOffOfLate,
} from '../src/skills';

const readingHabits = answersInEnglish(saidReadingHabits);

describe('kappa', () => {
  // Cohen 1960, Educ. Psychol. Meas. 20:37–46; the same table weighted in Cohen 1968, Psychol. Bull. 70:213–220.
  const COHEN = [
    [88, 10, 2],
    [14, 40, 6],
    [18, 10, 12],
  ];

  it('is Cohen’s of 1960, and his weighted one of 1968', () => {
    const { observed, expected, kappa, count, alike } = cohenKappa(COHEN);
    expect(count).toBe(200);
    expect(alike).toBe(140);
    expect(observed).toBeCloseTo(0.7, 6);
    expect(expected).toBeCloseTo(0.41, 6);
    expect(kappa).toBeCloseTo(0.492, 3);
    const weights = [
      [0, 1, 3],
      [1, 0, 6],
      [3, 6, 0],
    ];
    expect(cohenKappa(COHEN, (one, other) => weights[one]![other]!).kappa).toBeCloseTo(0.348, 3);
  });

  it.each([
    [
      [
        [20, 5],
        [10, 15],
      ],
      0.4,
    ],
    [
      [
        [45, 15],
        [25, 15],
      ],
      0.1304,
    ],
    // Nearly all of one class: high agreement, low kappa (Feinstein & Cicchetti 1990 name the paradox; own tables).
    [
      [
        [90, 4],
        [4, 2],
      ],
      0.2908,
    ],
    [
      [
        [48, 4],
        [4, 44],
      ],
      0.8397,
    ],
    [
      [
        [0, 10],
        [10, 0],
      ],
      -1,
    ],
    [
      [
        [7, 0],
        [0, 3],
      ],
      1,
    ],
  ])('of %j is %d', (table, kappa) => {
    expect(cohenKappa(table).kappa).toBeCloseTo(kappa, 4);
  });

  it('has a range as the published variance gives it', () => {
    // Fleiss, Cohen & Everitt 1969, Psychol. Bull. 72:323–327, formula 13 for unweighted kappa, reckoned here from the table.
    const table = COHEN;
    const n = 200;
    const p = table.map((row) => row.map((each) => each / n));
    const rows = p.map((row) => row.reduce((a, b) => a + b, 0));
    const columns = p.map((_, at) => p.reduce((sum, row) => sum + row[at]!, 0));
    const [po, pe] = [0.7, 0.41];
    let [onDiagonal, off] = [0, 0];
    for (const i of [0, 1, 2])
      for (const j of [0, 1, 2])
        if (i === j) onDiagonal += p[i]![j]! * (1 - pe - (rows[i]! + columns[i]!) * (1 - po)) ** 2;
        else off += p[i]![j]! * (columns[i]! + rows[j]!) ** 2;
    const variance = (onDiagonal + (1 - po) ** 2 * off - (po * pe - 2 * pe + po) ** 2) / (n * (1 - pe) ** 4);
    const { kappa, range } = cohenKappa(table);
    expect((range![1] - range![0]) / 2 / 1.96).toBeCloseTo(Math.sqrt(variance), 3);
    expect((range![0] + range![1]) / 2).toBeCloseTo(kappa!, 6);
  });

  it('has a range that narrows as more is judged, and none where nothing differs or hardly anything was judged', () => {
    const width = (times: number) => {
      const { range } = cohenKappa(
        [
          [20, 5],
          [10, 15],
        ].map((row) => row.map((each) => each * times)),
        LINEAR,
      );
      return range![1] - range![0];
    };
    expect(width(4)).toBeCloseTo(width(1) / 2, 1);
    expect(
      cohenKappa([
        [1, 0],
        [0, 1],
      ]).range,
    ).toBeNull();
    expect(
      cohenKappa([
        [9, 0],
        [0, 0],
      ]).range,
    ).toBeNull();
    expect(
      fleissKappa([
        [2, 0],
        [0, 2],
      ]).range,
    ).toBeNull();
  });

  it('weighs near disagreements less, linear or by squares', () => {
    // The formulas of the two papers on a table of our own.
    const table = [
      [20, 6, 1, 0],
      [4, 18, 5, 1],
      [1, 3, 15, 4],
      [0, 1, 2, 9],
    ];
    expect(cohenKappa(table).kappa).toBeCloseTo(0.57604, 4);
    expect(cohenKappa(table, LINEAR).kappa).toBeCloseTo(0.68777, 4);
    expect(cohenKappa(table, QUADRATIC).kappa).toBeCloseTo(0.78996, 4);
  });

  it('says nothing where chance alone agrees always, and refuses what is no table', () => {
    expect(
      cohenKappa([
        [9, 0],
        [0, 0],
      ]).kappa,
    ).toBeNull();
    expect(() => cohenKappa([[1, 2]])).toThrow(/square table/);
    expect(() => cohenKappa([[0]])).toThrow(/nothing to compare/);
  });

  it('is Fleiss’ of 1971 for six judges', () => {
    // Fleiss 1971, Psychol. Bull. 76:378–382: thirty patients, six psychiatrists, five diagnoses; printed .430.
    const rows = (
      '00060 03003 01401 00006 03030 20400 00402 20310 20040 00006 10050 11040 03300 10050 02031 00501 30012 51000 ' +
      '02040 10203 00006 01050 02013 20040 10041 05010 40002 02040 10500 00006'
    )
      .split(' ')
      .map((row) => [...row].map(Number));
    const { observed, expected, kappa } = fleissKappa(rows);
    expect(observed).toBeCloseTo(0.5556, 4);
    expect(expected).toBeCloseTo(0.2199, 4);
    expect(kappa).toBeCloseTo(0.43, 3);
    expect(() => fleissKappa([[1, 1], [3]])).toThrow(/same number of judges/);
  });

  it('of two judges by Fleiss differs from Cohen’s only in what chance expects', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: 2 }), fc.nat({ max: 2 })), { minLength: 3, maxLength: 40 }),
        (pairs) => {
          const table = [0, 1, 2].map((one) =>
            [0, 1, 2].map((other) => pairs.filter(([a, b]) => a === one && b === other).length),
          );
          const counts = pairs.map(([a, b]) => [0, 1, 2].map((each) => Number(a === each) + Number(b === each)));
          expect(fleissKappa(counts).observed).toBeCloseTo(cohenKappa(table).observed, 9);
        },
      ),
    );
  });

  it.each([
    [-0.1, 'poor'],
    [0.2, 'slight'],
    [0.21, 'fair'],
    [0.6, 'moderate'],
    [0.8, 'substantial'],
    [0.81, 'almost-perfect'],
  ])('%d is called %s', (kappa, word) => {
    // Landis & Koch 1977, Biometrics 33:159–174.
    expect(kappaWord(kappa)).toBe(word);
  });
});

describe('limits of agreement', () => {
  // Bland & Altman 1986, Lancet i:307–310: peak flow by two meters, first and second readings.
  const WRIGHT = [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427];
  const MINI = [512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451];
  const both = (xs: readonly number[], ys: readonly number[]) => xs.map((x, at) => [x, ys[at]!] as const);

  it('are those of the paper', () => {
    const { bias, spread, limits, count } = limitsOf(both(WRIGHT, MINI))!;
    expect(count).toBe(17);
    expect(bias).toBeCloseTo(-2.1, 1);
    expect(spread).toBeCloseTo(38.8, 1);
    // Printed −79.7 and 75.5 with 2 standard deviations; with 1.96 they are a little nearer.
    expect(limits![0]).toBeCloseTo(-78.1, 1);
    expect(limits![1]).toBeCloseTo(73.9, 1);
  });

  it('lie about a mean that is known within a range', () => {
    // Printed: 95 % confidence interval for the bias −22.0 to 17.8 l/min, with t of 16 degrees 2.12.
    const { biasRange } = limitsOf(both(WRIGHT, MINI))!;
    expect(biasRange![0]).toBeCloseTo(-22.0, 0);
    expect(biasRange![1]).toBeCloseTo(17.8, 0);
  });

  it.each([
    [4, 2.776],
    [9, 2.262],
    [16, 2.12],
    [30, 2.042],
    [120, 1.98],
  ])('Student’s t of %d degrees is that of the tables', (freedom, t) => {
    expect(Math.abs(studentT(freedom) - t)).toBeLessThan(0.01);
  });

  it('need two pairs for a spread, and one for a bias', () => {
    expect(limitsOf([])).toBeNull();
    expect(limitsOf([[3, 1]])).toEqual({ count: 1, bias: 2, biasRange: null, spread: null, limits: null, off: 2 });
  });

  it('turn round with the readings, and hold the bias between them (property)', () => {
    const figure = fc.integer({ min: 0, max: 8 });
    fc.assert(
      fc.property(fc.array(fc.tuple(figure, figure), { minLength: 2, maxLength: 30 }), (pairs) => {
        const [one, other] = [limitsOf(pairs)!, limitsOf(pairs.map(([a, b]) => [b, a] as const))!];
        expect(one.bias).toBeCloseTo(-other.bias, 9);
        expect(one.limits![0]).toBeCloseTo(-other.limits![1], 9);
        expect(one.off).toBeGreaterThanOrEqual(Math.abs(one.bias) - 1e-9);
      }),
    );
  });
});

describe('readings against the supervisors', () => {
  const pair = (
    day: string,
    read: ReadingPair['read'],
    reference: ReadingPair['reference'],
    trainee = 'salma',
  ): ReadingPair => ({ trainee, at: `2026-05-${day}T12:00:00Z`, read, reference });
  const habit = [
    pair('02', { S: 5, P: 2, H: 1 }, { E: 1, S: 4, P: 2, H: 1 }),
    pair('09', { S: 4, H: 4 }, { E: 1, S: 3, H: 4 }),
    pair('09', { S: 3, N: 5 }, { S: 3, N: 5 }),
  ];

  it('show bias, limits and kappa by letter, and how it went from day to day', () => {
    const { letters, trend, pairs, off } = readingAgreement(habit);
    expect(pairs).toBe(3);
    expect(letters.find(({ letter }) => letter === 'E')).toMatchObject({ count: 2, bias: -1 });
    expect(letters.find(({ letter }) => letter === 'S')!.bias).toBeCloseTo(2 / 3, 6);
    expect(letters.find(({ letter }) => letter === 'N')).toMatchObject({ bias: 0, kappa: 1 });
    expect(letters.find(({ letter }) => letter === 'E')!.trend.map(({ bias }) => bias)).toEqual([-1, -1]);
    expect(letters.find(({ letter }) => letter === 'S')!.trend.map(({ bias }) => bias)).toEqual([1, 0.5]);
    expect(letters.map(({ letter }) => letter)).not.toContain('D');
    expect(trend.map(({ off: each }) => each)).toEqual([0.5, expect.closeTo((2 / 3 + 0) / 2, 6)]);
    expect(off).toBeCloseTo((0.5 + 2 / 3 + 0) / 3, 6);
    expect(readingsOffOfLate(habit)).toBeCloseTo(off!, 9);
    expect(readingsOffOfLate([])).toBeNull();
  });

  it('name what is taken for what, and the drill that follows, from ten sides on', () => {
    expect(readingAgreement(habit).confusions).toEqual([{ from: 'E', to: 'S', eighths: 2 }]);
    const sides = Array.from({ length: 10 }, (_, at) =>
      pair(`${10 + at}`, { S: at % 2 ? 5 : 6, H: at % 2 ? 3 : 2 }, { E: 1, S: at % 2 ? 4 : 5, H: at % 2 ? 3 : 2 }),
    );
    const habits = readingHabits(readingAgreement(sides));
    expect(habits[0]).toEqual({ says: 'Reads too few eggs: by 1.0 eighths (1.0 to 1.0) on 10 sides.', letters: ['E'] });
    expect(habits.at(-1)).toEqual({
      says: 'Takes eggs for sealed worker: drill the two side by side.',
      letters: ['E', 'S'],
    });
    expect(habits.map(({ letters }) => topicForLetters(letters))).toEqual(['comb-young', 'comb-brood', 'comb-brood']);
    expect(topicForLetters(['P', 'H'])).toBe('comb-stores');
    expect(() => topicForLetters([])).toThrow(/at least one/);
    expect(readingHabits(readingAgreement(sides.slice(1)))).toEqual([]);
  });

  it('name no habit of what goes either way, or was read on fewer than ten sides', () => {
    const read = (by: number, at: number) => pair(`${10 + at}`, { S: 4 + by, H: 4 - by }, { S: 4, H: 4 });
    // A mean of 0.5, by two and three eighths to either side: it may be chance.
    const either = [3, -2, 3, -2, 3, -2, 2, -2, 3, -1].map(read);
    expect(readingAgreement(either).letters.find(({ letter }) => letter === 'S')!.bias).toBeCloseTo(0.5, 9);
    expect(readingHabits(readingAgreement(either)).map(({ letters }) => letters)).not.toContainEqual(['S']);
    // Twelve sides, nine of them with pollen: pollen is too few to tell.
    const few = Array.from({ length: 12 }, (_, at) =>
      pair(`${10 + at}`, at < 9 ? { S: 6, P: 2 } : { S: 8 }, at < 9 ? { S: 7, P: 1 } : { S: 8 }),
    );
    expect(readingHabits(readingAgreement(few)).map(({ letters }) => letters)).not.toContainEqual(['P']);
  });

  it('of somebody who reads as the supervisor does have no bias, no confusion and no advice (property)', () => {
    const side = fc.array(fc.constantFrom<Letter>(...LETTERS), { minLength: 8, maxLength: 8 }).map((letters) => {
      const eighths: Partial<Record<Letter, number>> = {};
      for (const letter of letters) eighths[letter] = (eighths[letter] ?? 0) + 1;
      return eighths;
    });
    fc.assert(
      fc.property(
        fc.array(side, { minLength: 3, maxLength: 12 }),
        fc.array(side, { minLength: 12, maxLength: 12 }),
        (sides, others) => {
          const same = readingAgreement(sides.map((each) => pair('02', each, each)));
          expect(same.off).toBe(0);
          expect(same.confusions).toEqual([]);
          expect(readingHabits(same)).toEqual([]);
          const mixed = readingAgreement(sides.map((each, at) => pair('02', each, others[at]!)));
          const lost = sides.reduce(
            (sum, each, at) =>
              sum +
              LETTERS.reduce((own, letter) => own + Math.max(0, (others[at]![letter] ?? 0) - (each[letter] ?? 0)), 0),
            0,
          );
          expect(mixed.confusions.reduce((sum, { eighths }) => sum + eighths, 0)).toBeCloseTo(lost, 6);
        },
      ),
    );
  });
});

describe('assessors beside each other', () => {
  const judged = (day: number, assessor: string, level: (typeof SKILL_LEVELS)[number]): AssessedDemonstration => ({
    trainee: 'salma',
    skill: 'finds-eggs',
    day: `2026-05-${String(day).padStart(2, '0')}`,
    at: `2026-05-${String(day).padStart(2, '0')}T12:00:00.000Z`,
    assessor,
    level,
  });
  const days = [1, 2, 3, 4];
  const both = days.flatMap((day) => [
    judged(day, 'ruth', day > 2 ? 'can-teach' : 'alone'),
    judged(day, 'tomasz', 'alone'),
  ]);

  it('are compared on what both judged on one day', () => {
    const [pair, ...rest] = assessorPairs([...both, judged(9, 'ruth', 'saw-it')]);
    expect(rest).toEqual([]);
    expect(pair!.assessors).toEqual(['ruth', 'tomasz']);
    expect(pair!.kappa.count).toBe(4);
    expect(pair!.kappa.observed).toBeCloseTo(1 - 2 / (4 * 4), 6);
  });

  it('count by the last word of each, in whatever order the words arrive', () => {
    const word = (at: string, level: (typeof SKILL_LEVELS)[number]) => ({ ...judged(1, 'ruth', level), at });
    const [early, late] = [word('2026-05-01T12:00:00.000Z', 'helped'), word('2026-05-01T18:00:00.000Z', 'alone')];
    const other = judged(1, 'tomasz', 'alone');
    for (const words of [
      [early, late, other],
      [late, other, early],
      [other, late, early],
    ]) {
      expect(assessorPairs(words)[0]!.kappa).toMatchObject({ alike: 1, count: 1 });
    }
  });

  it('agree as Fleiss reckons it, whoever two of them were', () => {
    // Two of four alike; six of eight judgements say "alone", two "can-teach": 0.75² + 0.25² by chance. By hand after Fleiss 1971.
    const together = assessorsTogether([...both, judged(9, 'ruth', 'saw-it')])!;
    expect(together.count).toBe(4);
    expect(together.observed).toBeCloseTo(0.5, 9);
    expect(together.expected).toBeCloseTo(0.625, 9);
    expect(together.kappa).toBeCloseTo(-1 / 3, 9);
    expect(assessorsTogether([judged(1, 'ruth', 'alone')])).toBeNull();
  });

  it('show who is severe and who drifts from ten shared on; below that nothing is said', () => {
    const many = Array.from({ length: 10 }, (_, at) => at + 1).flatMap((day) => [
      judged(day, 'ruth', day > 5 ? 'can-teach' : 'alone'),
      judged(day, 'tomasz', 'alone'),
    ]);
    const [severe, lenient] = assessorHabits(many);
    expect(severe).toMatchObject({ assessor: 'tomasz', leniency: -0.5, drift: -1, shared: 10 });
    expect(lenient).toMatchObject({ assessor: 'ruth', leniency: 0.5, drift: 1 });
    expect(assessorHabits(many.slice(2))[0]).toMatchObject({ shared: 9, leniency: null, drift: null });
    expect(assessorHabits([judged(1, 'marit', 'alone')])).toEqual([
      { assessor: 'marit', judged: 1, shared: 0, leniency: null, drift: null },
    ]);
  });
});
