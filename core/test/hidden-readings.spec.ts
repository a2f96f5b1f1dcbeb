import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adultsDue, beesDue } from '../src/biology';
import type { BoxLayer } from '../src/equipment';
import {
  CELL_CONTENTS,
  CELL_PLACES,
  type FrameSide,
  type FrameSides,
  LETTERS,
  type Letter,
  MARK_IDS,
  POLLEN_COLOUR_NAMES,
  entranceAdvice as entranceAdviceInCodes,
  estimateColony,
  formatSide,
  markOf,
  nestAhead,
  outsideSays as outsideSaysInCodes,
  parseSide,
  queenStatus as queenStatusInCodes,
  readCells as readCellsInCodes,
  readMeasure as readMeasureInCodes,
  readingGap,
  ropinessVerdict as ropinessVerdictInCodes,
  scoreGuess,
  shareOf,
  sideProblem as saidSideProblem,
  waspPressure,
  withUnread,
} from '../src/inspection';
import { answersInEnglish } from './in-english';

const sideProblem = answersInEnglish(saidSideProblem);

const entranceAdvice = answersInEnglish(entranceAdviceInCodes);
const outsideSays = answersInEnglish(outsideSaysInCodes);
const queenStatus = answersInEnglish(queenStatusInCodes);
const readCells = answersInEnglish(readCellsInCodes);
const readMeasure = answersInEnglish(readMeasureInCodes);
const ropinessVerdict = answersInEnglish(ropinessVerdictInCodes);

const side: fc.Arbitrary<FrameSide> = fc
  .record({
    eighths: fc.array(fc.constantFrom(...LETTERS), { maxLength: 8 }),
    few: fc.uniqueArray(fc.constantFrom(...LETTERS), { maxLength: 3 }),
    bees: fc.option(fc.integer({ min: 0, max: 8 })),
    queen: fc.boolean(),
    doubtful: fc.boolean(),
    marks: fc.uniqueArray(fc.constantFrom(...MARK_IDS), { maxLength: 4 }),
    pollens: fc.uniqueArray(fc.constantFrom(...POLLEN_COLOUR_NAMES), { maxLength: 3 }),
    queenCells: fc.array(
      fc.record({ content: fc.constantFrom(...CELL_CONTENTS), place: fc.constantFrom(...CELL_PLACES) }),
      { maxLength: 3 },
    ),
    more: fc.integer({ min: 0, max: 5 }),
  })
  .map(({ eighths: letters, few, more, queenCells, ...rest }) => {
    const eighths: Partial<Record<Letter, number>> = {};
    for (const letter of letters) eighths[letter] = (eighths[letter] ?? 0) + 1;
    return {
      ...rest,
      eighths,
      trace: few.filter((letter) => !eighths[letter]),
      queenCells,
      cells: queenCells.length + more,
    };
  });

describe('shorthand with words', () => {
  it('reads marks, pollen colours and queen cells', () => {
    expect(parseSide('4S 2L 2H K2 sealed@edge egg@face .spotty .sunken ~orange')).toMatchObject({
      eighths: { S: 4, L: 2, H: 2 },
      cells: 2,
      queenCells: [
        { content: 'sealed', place: 'edge' },
        { content: 'egg', place: 'face' },
      ],
      marks: ['spotty-pattern', 'sunken-lids'],
      pollens: ['orange'],
      doubtful: true,
    });
  });

  it('counts a queen cell that is described without a number', () => {
    expect(parseSide('8C larva@edge').cells).toBe(1);
  });

  it('keeps a mark whose doubt was settled by a second look', () => {
    const settled = { ...parseSide('8S .dark'), doubtful: false };
    expect(formatSide(settled)).toBe('8S .dark-lids -!');
    expect(parseSide(formatSide(settled)).doubtful).toBe(false);
  });

  it.each(['8C .nothing', '8C ~tartan', '8C boiled@edge', '8C .p'])(
    'names the word in "%s" that it cannot read',
    (line) => {
      expect(() => parseSide(line)).toThrow(line.split(' ')[1]);
    },
  );

  it('takes the start of a word only while it is unmistakable', () => {
    expect(markOf('sunk')).toBe('sunken-lids');
    expect(markOf('s')).toBeNull();
  });

  it('reads back whatever it writes (property)', () => {
    fc.assert(
      fc.property(side, (any) => {
        const back = parseSide(formatSide(any));
        expect(back.eighths).toEqual(any.eighths);
        expect(back).toMatchObject({ bees: any.bees, queen: any.queen, cells: any.cells, doubtful: any.doubtful });
        expect(new Set(back.trace)).toEqual(new Set(any.trace));
        expect(new Set(back.marks ?? [])).toEqual(new Set(any.marks));
        expect(new Set(back.pollens ?? [])).toEqual(new Set(any.pollens));
        expect(back.queenCells ?? []).toEqual(any.queenCells);
      }),
    );
  });

  it('refuses more described queen cells than were counted', () => {
    expect(sideProblem({ ...parseSide('8C egg@edge egg@edge'), cells: 1 })).toContain('count them again');
  });
});

describe('young bees to come', () => {
  it('gives 1500 a day for 21 days at a steady 1500 eggs a day (3, 6 and 12 days of brood)', () => {
    for (const bees of adultsDue({ eggs: 4500, larvae: 9000, sealed: 18_000 })) expect(bees).toBeCloseTo(1500, 9);
  });

  it('lets every cell emerge within 21 days, sealed ones first (property)', () => {
    const cells = fc.integer({ min: 0, max: 40_000 });
    fc.assert(
      fc.property(cells, cells, cells, (eggs, larvae, sealed) => {
        const due = adultsDue({ eggs, larvae, sealed });
        expect(due).toHaveLength(21);
        expect(due.reduce((sum, bees) => sum + bees, 0)).toBeCloseTo(eggs + larvae + sealed, 4);
        const week = due.slice(0, 7).reduce((sum, bees) => sum + bees, 0);
        expect(Math.abs(week - beesDue(sealed, 7))).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('loses what does not survive', () => {
    expect(adultsDue({ eggs: 0, larvae: 0, sealed: 1200 }, 0.9)[0]).toBeCloseTo(90, 9);
    expect(() => adultsDue({ eggs: -1, larvae: 0, sealed: 0 })).toThrow(RangeError);
  });
});

describe('is she laying', () => {
  const date = '2026-05-20';
  const status = (lines: readonly string[], eggsLookedFor = true, virginSeen = false, droneLayerSeen = false) =>
    queenStatus({ date, sides: lines.map((line) => parseSide(line)), eggsLookedFor, virginSeen, droneLayerSeen });

  // After a queen is lost on day 0 there are eggs until day 3, open worker brood until 9, sealed worker brood until 21 (Winston 1987).
  it('dates the last laying from the youngest brood', () => {
    expect(status(['2E 2L 4S']).laid).toEqual({ from: '2026-05-17', to: '2026-05-20' });
    expect(status(['4L 4S']).laid).toEqual({ from: '2026-05-11', to: '2026-05-17' });
    expect(status(['8S']).laid).toEqual({ from: '2026-04-29', to: '2026-05-11' });
  });

  it('needs no queen where there are eggs', () => {
    expect(status(['2E 6S'])).toMatchObject({ verdict: 'queenright', evidence: 'eggs' });
    expect(status(['2E 6S Q'])).toMatchObject({ verdict: 'queenright', evidence: 'queen-seen' });
  });

  it('narrows the days by the age of the larvae', () => {
    expect(status(['4L 4S .young-larvae']).laid).toEqual({ from: '2026-05-15', to: '2026-05-17' });
    expect(status(['4L 4S .old-larvae'])).toMatchObject({
      verdict: 'queenless-likely',
      laid: { from: '2026-05-11', to: '2026-05-15' },
    });
  });

  it('says "not known" instead of "queenless" where eggs may have been overlooked', () => {
    expect(status(['8S'])).toMatchObject({ verdict: 'queenless-likely', evidence: 'sealed-only' });
    expect(status(['8S'], false)).toMatchObject({ verdict: 'not-known', evidence: 'sealed-only' });
    expect(status(['8S'], false).says).toContain('not in good light');
  });

  it('tells a drone layer, a young queen, and nothing at all', () => {
    expect(status(['4D 4C .domed-lids']).verdict).toBe('drone-layer-likely');
    expect(status(['8S K1 emerged@face']).verdict).toBe('young-queen-likely');
    expect(status(['8S'], true, true).verdict).toBe('young-queen-likely');
    expect(status(['8H'])).toMatchObject({ verdict: 'not-known', evidence: 'none' });
    expect(status([])).toMatchObject({ evidence: 'none', says: 'No side was read.' });
  });

  const nest = (line: string, ...more: string[]) => [line, line, line, line, ...more];
  /** Sides read, what somebody noted besides, and what it means. Written from what a beekeeper would say of the combs. */
  const CASES: readonly (readonly [string, readonly string[], string, boolean?])[] = [
    ['eggs, larvae and only domed cappings, marked', nest('1E 1L 2D 4C .domed-lids'), 'drone-layer-likely'],
    ['eggs, larvae and only domed cappings, not marked', nest('1E 1L 2D 4C'), 'drone-layer-likely'],
    ['larvae and only domed cappings', nest('2L 2D 4C'), 'drone-layer-likely'],
    ['only domed cappings, scattered', nest('2D 6C'), 'drone-layer-likely'],
    ['one marked side is enough', ['1E 1L 2D 4C .domed-lids'], 'drone-layer-likely'],
    ['two sides read, drone brood on one, no worker brood yet', ['2E 2L 4C', '1D 7C'], 'queenright'],
    ['finding "drone layer" noted, flat cappings nowhere', nest('2E 1L 1D 4C'), 'drone-layer-likely', true],
    ['finding "drone layer" noted beside flat cappings: watch her', nest('2E 1L 1D 4S'), 'probably-queenright', true],
    ['a comb built for drones beside a young nest without sealed brood', nest('2E 2L 4C', '8D', '8D'), 'queenright'],
    ['a drone comb beside an ordinary nest', nest('1E 2L 4S', '8D'), 'queenright'],
    [
      'sealed brood and emergency cells on the face',
      nest('6S 2C', '6S 1C K4 sealed@face sealed@face larva@face larva@face'),
      'young-queen-likely',
    ],
    ['sealed brood and swarm cells', nest('6S 2C', '6S K3 sealed@edge sealed@edge sealed@edge'), 'young-queen-likely'],
    [
      'old larvae, sealed brood and emergency cells',
      nest('1L 5S .old-larvae', '4S K2 larva@face larva@face'),
      'young-queen-likely',
    ],
    ['no brood and an open cell', nest('8C', '8C K1 emerged@face'), 'young-queen-likely'],
    ['sealed brood and empty cups', nest('6S 2C', '6S K2 cup@edge cup@edge'), 'queenless-likely'],
    ['sealed brood, nothing else', nest('6S 2C'), 'queenless-likely'],
    [
      'eggs and sealed swarm cells: she is still there',
      nest('1E 1L 4S', '4S K4 sealed@edge sealed@edge sealed@edge sealed@edge'),
      'queenright',
    ],
    [
      'young larvae and swarm cells: she was there',
      nest('1L 4S .young-larvae', '4S K3 sealed@edge sealed@edge sealed@edge'),
      'probably-queenright',
    ],
  ];
  it.each(CASES.map(([name, ...rest]) => ({ name, rest })))('$name', ({ rest: [lines, verdict, noted = false] }) => {
    expect(status(lines, true, false, noted).verdict).toBe(verdict);
  });

  it('never finds a colony queenless that shows eggs (property)', () => {
    fc.assert(
      fc.property(fc.array(side, { minLength: 1, maxLength: 6 }), fc.boolean(), (sides, looked) => {
        const told = queenStatus({
          date,
          sides: [...sides, parseSide('1E')],
          eggsLookedFor: looked,
          virginSeen: false,
          droneLayerSeen: false,
        });
        expect(told.verdict).not.toBe('queenless-likely');
        expect(told.evidence === 'eggs' || told.evidence === 'queen-seen').toBe(true);
      }),
    );
  });
});

describe('queen-cells', () => {
  const cells = (content: (typeof CELL_CONTENTS)[number], place: (typeof CELL_PLACES)[number], count: number) =>
    Array.from({ length: count }, () => ({ content, place }));
  it.each([
    ['cup', 'edge', 4, true, 'routine'],
    ['egg', 'edge', 2, true, 'charged-cups'],
    ['sealed', 'edge', 8, true, 'swarming'],
    ['larva', 'edge', 1, true, 'swarming'],
    ['sealed', 'face', 2, true, 'replacing-her'],
    ['sealed', 'face', 6, false, 'emergency'],
    ['emerged', 'face', 1, false, 'queen-out'],
  ] as const)('%s at the %s, %i of them, eggs %s: %s', (content, place, count, eggs, means) => {
    expect(readCells(cells(content, place, count), eggs).means).toBe(means);
  });

  it('presses only where a queen could come out or a swarm leave', () => {
    expect(readCells(cells('cup', 'edge', 3), true).withinDays).toBeNull();
    expect(readCells(cells('sealed', 'edge', 3), true).withinDays).toBe(0);
    // A fed larva may be capped tomorrow.
    expect(readCells(cells('larva', 'edge', 3), true).withinDays).toBe(0);
  });
});

describe('counts and tests', () => {
  // Newcombe (1998), Statistics in Medicine 17, 857–872, table I, score method without continuity correction.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('puts %i of %i between %f and %f', (found, sample, low, high) => {
    const share = shareOf(found, sample);
    expect(share.low).toBeCloseTo(low, 4);
    expect(share.high).toBeCloseTo(high, 4);
  });

  it('gives mites per hundred bees with their range', () => {
    const reading = readMeasure({ what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites: 9 });
    expect(reading).toMatchObject({ level: 'act' });
    expect(reading.says).toContain('3 mites on 100 bees');
    // One bee can carry two mites: 40 mites on 30 bees are 133 on 100, and worth counting again.
    const heavy = readMeasure({ what: 'mites-on-bees', method: 'alcohol-wash', bees: 30, mites: 40 });
    expect(heavy).toMatchObject({ level: 'act' });
    expect(heavy.says).toMatch(/133\.3 mites on 100 bees .*count again/);
    expect(() => readMeasure({ what: 'mites-on-bees', method: 'gas', bees: 0, mites: 1 })).toThrow(RangeError);
  });

  it('walks the matchstick test to a verdict and leaves no doubt unsettled', () => {
    const test = { lid: 'sound', larva: 'pearly', threadMm: null, foulSmell: false } as const;
    // Without a stick put in there is no test, however sound it looks.
    expect(ropinessVerdict(test).verdict).toBe('not-settled');
    expect(ropinessVerdict({ ...test, threadMm: 0 }).verdict).toBe('negative');
    expect(ropinessVerdict({ ...test, lid: 'sunken' }).verdict).toBe('not-settled');
    expect(ropinessVerdict({ ...test, lid: 'sunken', larva: 'brown', threadMm: 25 }).verdict).toBe('suspect');
    expect(ropinessVerdict({ ...test, larva: 'dry-scale' })).toMatchObject({ verdict: 'suspect' });
    expect(ropinessVerdict({ ...test, lid: 'sunken', larva: 'brown', threadMm: 2 }).verdict).toBe('not-settled');
    expect(ropinessVerdict({ ...test, larva: 'brown', threadMm: 30 }).next).toContain('inspector');
  });

  it('never calls an off-white larva negative: European foulbrood kills larvae under no lid at all', () => {
    for (const lid of ['sound', 'sunken', 'pierced', 'greasy'] as const)
      for (const threadMm of [null, 0, 2])
        expect(ropinessVerdict({ lid, larva: 'off-white', threadMm, foulSmell: false }).verdict).not.toBe('negative');
    expect(ropinessVerdict({ lid: 'sound', larva: 'off-white', threadMm: 0, foulSmell: false }).next).toMatch(
      /other foulbrood/,
    );
  });

  it('settles nothing by a short thread', () => {
    const short = { lid: 'sound', larva: 'pearly', threadMm: 6, foulSmell: false } as const;
    expect(ropinessVerdict(short).verdict).toBe('not-settled');
    expect(ropinessVerdict({ ...short, threadMm: 0 }).verdict).toBe('negative');
  });

  it('names gaps that bees build in, and where the schools differ', () => {
    const gap = (mm: number) => readMeasure({ what: 'gap', between: 'top bars and excluder', mm });
    expect([4, 7, 8.5, 11].map((mm) => gap(mm).level)).toEqual(['watch', 'well', 'watch', 'act']);
  });

  it('narrows the entrance to what can be guarded', () => {
    expect(waspPressure({ aMinute: 0, pastGuards: false })).toBe('none');
    expect(waspPressure({ aMinute: 6, pastGuards: true })).toBe('heavy');
    expect(entranceAdvice(9, null, false, false).width).toBe('full');
    expect(entranceAdvice(9, null, true, false).width).toBe('half');
    expect(entranceAdvice(3, null, false, false).width).toBe('a-hand');
    expect(entranceAdvice(9, { aMinute: 6, pastGuards: true }, true, false)).toMatchObject({
      width: 'one-bee',
      lookAfter: { days: 7 },
    });
  });

  it('hints from outside without calling it a finding', () => {
    const look = { traffic: 'heavy', pollenIn: false, deadBees: false, intruders: false, note: '' } as const;
    expect(outsideSays(look)[0]).toContain('robbing');
    expect(outsideSays({ ...look, pollens: ['orange', 'grey', 'yellow'] })).toEqual([
      'Pollen goes in: a laying queen is likely.',
      '3 colours of pollen: a varied diet.',
    ]);
  });
});

describe('predict, then look', () => {
  it('scores a guess by its main content and by the whole', () => {
    const read = parseSide('4S 2L 2H');
    expect(scoreGuess(['S', 'L', 'H'], read).score).toBe(1);
    expect(scoreGuess(['H'], read)).toMatchObject({ hit: ['H'], missed: ['L', 'S'] });
    expect(scoreGuess([], read).score).toBe(0);
    expect(scoreGuess(['F'], read)).toMatchObject({ score: 0, notThere: ['F'] });
  });

  it('stays between 0 and 1 (property)', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...LETTERS)), side, (letters, any) => {
        const { score } = scoreGuess(letters, any);
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('says by how many eighths two readings differ', () => {
    expect(readingGap(parseSide('4S 2L 2H'), parseSide('4S 1L 1E 2H'))).toEqual({ by: { E: 1, L: -1 }, off: 1 });
    expect(readingGap(parseSide('8S'), parseSide('8S')).off).toBe(0);
  });

  it('expects the nest where it was, grown or shrunk, within the seams of bees', () => {
    expect(nestAhead([4, 5, 6], null, 11, 1)).toEqual({ from: 3, to: 7 });
    expect(nestAhead([4, 5, 6], 3, 11, 1)).toEqual({ from: 4, to: 6 });
    expect(nestAhead([], 6, 10, 1)).toEqual({ from: 4, to: 7 });
    expect(nestAhead([], null, 10, 0)).toBeNull();
  });

  // last frames with brood, seams counted, frames of the box, growing, and where it is expected
  it.each<readonly [string, readonly number[], number | null, number, -1 | 0 | 1, string]>([
    ['one seam counted, no brood known: too little to go by', [], 1, 10, 1, 'nothing'],
    ['two seams in a box of ten: about the middle', [], 2, 10, 1, '5 to 6'],
    ['ten seams in a box of ten', [], 10, 10, 1, '2 to 9'],
    ['fourteen seams said of a box of ten', [], 14, 10, 1, '1 to 10'],
    ['a nest at the wall grows one way', [1, 2], null, 11, 1, '1 to 3'],
    ['a nest at the far wall', [10, 11], null, 11, 1, '9 to 11'],
    ['the same size in a dearth', [4, 5, 6], null, 11, 0, '4 to 6'],
    ['it shrinks in autumn', [3, 4, 5, 6, 7], null, 11, -1, '4 to 6'],
    ['one frame of brood in autumn is not less than one', [5], null, 11, -1, '5 to 5'],
    ['two frames in autumn come to the first of them', [5, 6], null, 11, -1, '5 to 5'],
    ['fewer seams than frames: drawn in from both ends', [3, 4, 5, 6, 7], 4, 11, 0, '4 to 7'],
    ['half a seam counts as one', [3, 4, 5], 0.5, 11, 0, '4 to 4'],
    ['brood on three frames with one left out between', [4, 6], null, 11, 0, '4 to 6'],
  ])('%s', (_, last, seams, frames, growing, expected) => {
    const nest = nestAhead(last, seams, frames, growing);
    expect(nest ? `${nest.from} to ${nest.to}` : 'nothing').toBe(expected);
  });

  it.each<readonly [string, string, string, number]>([
    ['all right, the main one first', 'S L H', '4S 2L 2H', 1],
    ['all right, the main one not first', 'L S H', '4S 2L 2H', 0.625],
    ['the main one alone', 'S', '4S 2L 2H', 0.5 + 0.5 / 3],
    ['right, and one that is not there', 'S F', '8S', 0.5 + 0.5 / 2],
    ['two that take as much: either is the main one', 'H S', '4S 4H', 1],
    ['one eighth counts as held', 'S E', '7S 1E', 1],
    ['a trace is neither missed nor wrong', 'S', '7S +E', 1],
    ['a trace that was guessed', 'S E', '7S +E', 1],
    ['an empty side, called so', 'C', '8C', 1],
    ['an empty side, called brood', 'S', '8C', 0],
  ])('scores %s', (_, letters, line, score) => {
    expect(scoreGuess(letters.split(' ') as ('S' | 'E')[], parseSide(line)).score).toBeCloseTo(score, 9);
  });

  it.each<readonly [string, string, Readonly<Record<string, number>>, number]>([
    ['8S', '8H', { S: -8, H: 8 }, 8],
    ['4S 4C', '4S', { C: -4 }, 4],
    ['4S', '4S 4C', { C: 4 }, 4],
    ['2S 2H', '5S 1H', { S: 3, H: -1 }, 3],
    ['5S 1H', '2S 2H', { S: -3, H: 1 }, 3],
  ])('%s and %s', (first, second, by, off) => {
    expect(readingGap(parseSide(first), parseSide(second))).toEqual({ by, off });
  });
});

describe('what nobody looked at', () => {
  const layer: BoxLayer = { id: 'brood', kind: 'box', box: 'langstroth-10-deep', frames: 10, dummy: false };
  /** A nest of ten frames: brood in the middle, stores outside, as full sides. */
  const nest: readonly FrameSides[] = [
    '8H',
    '6H 2P',
    '4S 2P 2H',
    '6S 1P 1H',
    '7S 1H',
    '7S 1H',
    '6S 1P 1H',
    '4S 2P 2H',
    '6H 2P',
    '8H',
  ].map((line) => ({ low: parseSide(line), high: parseSide(line) }));
  const estimate = (frames: readonly FrameSides[]) => estimateColony(withUnread({ layer, frames }));
  const without = (hidden: readonly number[]) =>
    nest.map((frame, index) => (hidden.includes(index + 1) ? { low: null, high: null } : frame));

  it('changes nothing when all was read', () => {
    const sides = nest
      .flatMap(({ low, high }) => [low!, high!])
      .map((one) => ({ frame: 'langstroth-deep' as const, side: one }));
    expect(estimate(nest)).toEqual(estimateColony(sides));
  });

  it('fills an unread frame from its neighbours and widens the range', () => {
    const whole = estimate(nest).sealedWorker;
    const part = estimate(without([5])).sealedWorker;
    expect(Math.abs(part.value - whole.value)).toBeLessThan(0.2);
    expect(part.high - part.low).toBeGreaterThan(whole.high - whole.low);
    expect(estimate(without([5])).sidesRead).toBe(18);
  });

  it('lets brood fade past the last frame read', () => {
    const half = estimate(without([6, 7, 8, 9, 10])).sealedWorker;
    const whole = estimate(nest).sealedWorker;
    expect(half.high).toBeGreaterThan(whole.value);
    expect(half.low).toBeLessThan(whole.value);
  });

  it('holds the truth in its range in nineteen of twenty ways to leave one to four frames unread', () => {
    const ways = Array.from({ length: 1 << 10 }, (_, bits) =>
      Array.from({ length: 10 }, (_unused, index) => index + 1).filter((frame) => (bits >> (frame - 1)) & 1),
    ).filter((hidden) => hidden.length >= 1 && hidden.length <= 4);
    const whole = estimate(nest);
    for (const of of ['brood', 'storesKg', 'pollen'] as const) {
      const held = ways.filter((hidden) => {
        const part = estimate(without(hidden))[of];
        return part.low <= whole[of].value && whole[of].value <= part.high;
      });
      expect(held.length / ways.length).toBeGreaterThanOrEqual(0.95);
    }
  });

  it('assumes nothing of a box that was not opened', () => {
    const closed = Array.from({ length: 10 }, () => ({ low: null, high: null }));
    expect(estimate(closed)).toMatchObject({ sidesRead: 0, brood: { value: 0 } });
  });
});
