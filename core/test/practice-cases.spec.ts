import { describe, expect, it } from 'vitest';
import { type FrameSide, LETTERS, parseSide } from '../src/inspection';
import {
  type FindDrill,
  type OrderStep,
  type Touch,
  type Trouble,
  hourSays,
  makeDrill,
  markHour,
  markOrder as markOrderInCodes,
  markReading as markReadingInCodes,
  markTouches,
  markTrouble as markTroubleInCodes,
} from '../src/practice';
import { DEFAULT_LIMITS, type Depth, type Hindrance } from '../src/weather';
import { answersInEnglish } from './in-english';

const markOrder = answersInEnglish(markOrderInCodes);
const markReading = answersInEnglish(markReadingInCodes);
const markTrouble = answersInEnglish(markTroubleInCodes);

// Answers to drills, written as a beekeeper would judge them, before the rules.

interface Hour {
  readonly t?: number;
  readonly cloud?: number;
  readonly gust?: number;
  readonly rain?: number;
  readonly soon?: number;
  readonly thunder?: number;
  readonly sun?: number;
}
const hour = ({ t = 20, cloud = 0.2, gust = 12, rain = 0, soon = 0, thunder = 0, sun = 45 }: Hour) => ({
  weather: { temperature: t, dewPoint: t - 6, wind: gust * 0.6, gust, rain, cloud, thunder },
  elevation: sun,
  rainSoon: soon,
});

/** An hour of a calm, fair day but for what is said; how deep it may be opened; what forbids more. */
const HOURS: readonly (readonly [string, Hour, Depth | null, readonly Hindrance[]])[] = [
  ['fair and calm', {}, 'full', []],
  ['15 °C is warm enough for every frame', { t: 15 }, 'full', []],
  ['just under 15 °C: a quick pull', { t: 14.9 }, 'one-frame', ['cold']],
  ['13 °C: a quick pull', { t: 13 }, 'one-frame', ['cold']],
  ['just under 13 °C: lid only', { t: 12.9 }, 'lid', ['cold']],
  ['10 °C, sunny: lid only', { t: 10, cloud: 0 }, 'lid', ['cold']],
  ['winter noon, 4 °C: fondant under the lid', { t: 4, cloud: 1, sun: 18 }, 'lid', ['cold', 'bees-in']],
  ['2 °C: the lid for a minute', { t: 2 }, 'lid', ['cold', 'bees-in']],
  ['1 °C: look from outside', { t: 1 }, 'outside', ['cold']],
  ['frost of 5 °C: look from outside', { t: -5 }, 'outside', ['cold']],
  ['frost of 12 °C: stay away', { t: -12 }, null, ['cold']],
  ['34 °C is still work', { t: 34 }, 'full', []],
  ['36 °C: a quick pull', { t: 36 }, 'one-frame', ['heat']],
  ['39 °C: lid only, comb softens', { t: 39 }, 'lid', ['heat']],
  ['42 °C: from outside', { t: 42 }, 'outside', ['heat']],
  ['gusts of 30 km/h', { gust: 30 }, 'full', []],
  ['gusts of 33 km/h: a quick pull', { gust: 33 }, 'one-frame', ['gusts']],
  ['gusts of 40 km/h: lid only', { gust: 40 }, 'lid', ['gusts']],
  ['gusts of 50 km/h: from outside', { gust: 50 }, 'outside', ['gusts']],
  ['a gale: stay away', { gust: 70 }, null, ['gusts']],
  ['drizzle: the lid at most', { rain: 0.2, cloud: 1 }, 'lid', ['rain']],
  ['rain: from outside', { rain: 1, cloud: 1 }, 'outside', ['rain']],
  ['pouring: stay away', { rain: 4, cloud: 1 }, null, ['rain']],
  ['dry now, rain before it could be shut', { soon: 0.6, cloud: 0.9 }, 'outside', ['rain-soon']],
  ['dry now, drizzle before it could be shut', { soon: 0.2, cloud: 0.9 }, 'lid', ['rain-soon']],
  ['thunder about: not even outside', { thunder: 0.4 }, null, ['thunder']],
  ['a distant chance of thunder', { thunder: 0.2 }, 'full', []],
  ['evening, sun at 10°: a quick pull', { sun: 10 }, 'one-frame', ['dark']],
  ['evening, sun at 6°: the lid', { sun: 6 }, 'lid', ['dark']],
  ['dusk, sun at 3°: from outside', { sun: 3, cloud: 0 }, 'outside', ['dark']],
  ['sun at 22° under a closed sky is too dark for eggs', { sun: 22, cloud: 1 }, 'one-frame', ['dark']],
  ['cold and gusty at once: both forbid every frame', { t: 14, gust: 33 }, 'one-frame', ['gusts', 'cold']],
  ['cold and dark under cloud', { t: 14, sun: 22, cloud: 1 }, 'one-frame', ['cold', 'dark']],
  [
    'wet, windy and cold: any of the three',
    { t: 9, gust: 40, rain: 0.2, cloud: 1 },
    'lid',
    ['rain', 'gusts', 'cold', 'bees-in'],
  ],
];

describe('an hour for opening', () => {
  it.each(HOURS)('%s', (_name, given, depth, forbids) => {
    const truth = hourSays(hour(given), DEFAULT_LIMITS);
    expect(truth).toEqual({ depth, forbids });
    for (const because of forbids) expect(markHour({ depth, because }, truth).right).toBe(true);
    if (forbids.length > 0)
      expect(markHour({ depth, because: null }, truth)).toMatchObject({ right: false, score: 0.7 });
    if (depth !== 'full')
      expect(markHour({ depth: 'full', because: null }, truth)).toMatchObject({ right: false, score: 0 });
    if (depth !== null && depth !== 'outside')
      expect(markHour({ depth: 'outside', because: forbids[0] ?? null }, truth).right).toBe(false);
  });

  it('knows hours in which nothing but the bees at home forbids it, where the house opens in the cool', () => {
    const cool = {
      ...DEFAULT_LIMITS,
      full: { ...DEFAULT_LIMITS.full, warmth: 8 },
      'one-frame': { ...DEFAULT_LIMITS['one-frame'], warmth: 8 },
    };
    expect(hourSays(hour({ t: 9 }), cool)).toEqual({ depth: 'lid', forbids: ['bees-in'] });
  });
});

/** The steps of a hive with two supers over an excluder, each part by itself. */
const PARTS = [
  ...[
    'before',
    'outside',
    'smoke',
    'open roof',
    'open crown-board',
    'supers upper super',
    'supers lower super',
    'supers excluder',
  ],
  ...[
    'first-frame',
    'frames',
    'again',
    'sum-up',
    'close frames',
    'close excluder',
    'close lower super',
    'close upper super',
  ],
  ...['close crown-board', 'close roof', 'entrance'],
];
const PLAIN = [
  'before',
  'outside',
  'smoke',
  'open',
  'supers',
  'first-frame',
  'frames',
  'again',
  'sum-up',
  'close',
  'entrance',
];
const LID = ['before', 'outside', 'smoke', 'open', 'sum-up', 'close', 'entrance'];
const steps = (ids: readonly string[]): readonly OrderStep[] => ids.map((id) => ({ id, text: id }));
/** The order with one step moved before or behind another. */
const moved = (ids: readonly string[], id: string, where: 'before' | 'behind', other: string) => {
  const left = ids.filter((each) => each !== id);
  left.splice(left.indexOf(other) + (where === 'behind' ? 1 : 0), 0, id);
  return left;
};

/** Which hive, what was put elsewhere, whether it passes, and what is said of it. */
const ORDERS: readonly (readonly [string, readonly string[], readonly string[], boolean, RegExp])[] = [
  ['a look under the lid, in order', LID, LID, true, /In order/],
  ['a whole nest, in order', PLAIN, PLAIN, true, /In order/],
  ['part by part, in order', PARTS, PARTS, true, /In order/],
  ['the entrance read after the first smoke', PLAIN, moved(PLAIN, 'outside', 'behind', 'smoke'), true, /1 of/],
  ['summed up before the doubtful frames', PLAIN, moved(PLAIN, 'sum-up', 'before', 'again'), true, /1 of/],
  ['summed up when it is shut', PLAIN, moved(PLAIN, 'sum-up', 'behind', 'close'), true, /1 of/],
  ['the entrance looked at before it is shut', PLAIN, moved(PLAIN, 'entrance', 'before', 'close'), true, /1 of/],
  ['the lid: summed up when it is shut', LID, moved(LID, 'sum-up', 'behind', 'close'), true, /1 of/],
  ['summed up last of all', PLAIN, moved(PLAIN, 'sum-up', 'behind', 'entrance'), false, /2 of/],
  ['smoke before anybody is ready', PLAIN, moved(PLAIN, 'smoke', 'before', 'before'), false, /Veils and a lit smoker/],
  ['veils when it is open', PLAIN, moved(PLAIN, 'before', 'behind', 'open'), false, /Veils and a lit smoker/],
  ['opened without smoke', PLAIN, moved(PLAIN, 'smoke', 'behind', 'open'), false, /guards/],
  ['smoke forgotten until the frames', PLAIN, moved(PLAIN, 'smoke', 'before', 'frames'), false, /guards/],
  ['the lid opened without smoke', LID, moved(LID, 'smoke', 'behind', 'open'), false, /guards/],
  ['a middle frame first', PLAIN, moved(PLAIN, 'first-frame', 'behind', 'frames'), false, /rolled/],
  ['the outermost frame last of all', PLAIN, moved(PLAIN, 'first-frame', 'behind', 'again'), false, /rolled/],
  ['doubtful frames after closing', PLAIN, moved(PLAIN, 'again', 'behind', 'close'), false, /before the hive is shut/],
  ['frames before the supers are off', PLAIN, moved(PLAIN, 'supers', 'behind', 'frames'), false, /2 of/],
  [
    'closed before the frames were read',
    PLAIN,
    moved(PLAIN, 'close', 'before', 'frames'),
    false,
    /before the hive is shut/,
  ],
  ['nothing but the first step', PLAIN, ['before'], false, /the wrong way round/],
  ['nothing at all', PLAIN, [], false, /the wrong way round/],
  ['everything turned round', PLAIN, [...PLAIN].reverse(), false, /the wrong way round/],
  [
    'crown board off before the roof',
    PARTS,
    moved(PARTS, 'open crown-board', 'before', 'open roof'),
    false,
    /what lies on it is off/,
  ],
  [
    'lower super off before the upper',
    PARTS,
    moved(PARTS, 'supers lower super', 'before', 'supers upper super'),
    false,
    /what lies on it/,
  ],
  [
    'excluder off under the lower super',
    PARTS,
    moved(PARTS, 'supers excluder', 'before', 'supers lower super'),
    false,
    /what lies on it/,
  ],
  [
    'roof back before the crown board',
    PARTS,
    moved(PARTS, 'close roof', 'before', 'close crown-board'),
    false,
    /inside out/,
  ],
  [
    'super back before the excluder',
    PARTS,
    moved(PARTS, 'close excluder', 'behind', 'close lower super'),
    false,
    /inside out/,
  ],
  [
    'supers back in each other’s place',
    PARTS,
    moved(PARTS, 'close upper super', 'before', 'close lower super'),
    false,
    /inside out/,
  ],
  [
    'excluder on over spread frames',
    PARTS,
    moved(PARTS, 'close frames', 'behind', 'close excluder'),
    false,
    /inside out/,
  ],
  [
    'crown board back under the supers',
    PARTS,
    moved(PARTS, 'close crown-board', 'before', 'close lower super'),
    false,
    /inside out/,
  ],
  ['a step left out', PARTS, PARTS.filter((id) => id !== 'close excluder'), false, /inside out/],
  ['part by part, opened without smoke', PARTS, moved(PARTS, 'smoke', 'behind', 'open roof'), false, /guards/],
  ['part by part, a middle frame first', PARTS, moved(PARTS, 'first-frame', 'behind', 'frames'), false, /rolled/],
];

describe('an order of steps', () => {
  it.each(ORDERS)('%s', (_name, order, given, right, says) => {
    const mark = markOrder(given, steps(order));
    expect(mark.right).toBe(right);
    expect(mark.says.join(' ')).toMatch(says);
    if (!right && /guards|rolled|inside out|what lies on it|Veils/.test(mark.says.join(' ')))
      expect(mark.score).toBeLessThan(0.5);
  });
});

const S = 'sunken-lids';
const T = 'twisted-larvae';
const C = 'chalky-mummies';
const B = 'bald-brood';
const D = 'drones-in-worker-cells';
const E = 'several-eggs-in-a-cell';
/** What it shows, what was said (`null` for sound), and the score: 1 right, 0.5 a second look, 0 a danger or overlooked. */
const NAMED: readonly (readonly [Trouble | null, Trouble | null, 0 | 0.5 | 1])[] = [
  ...([S, T, C, B, D, E, null] as const).map((each) => [each, each, 1] as const),
  // Overlooked.
  ...([S, T, C, B, D, E] as const).map((each) => [each, null, 0] as const),
  // Signs of what may be notifiable, taken for something harmless.
  ...([C, B, D, E] as const).flatMap((each) => [[S, each, 0] as const, [T, each, 0] as const]),
  // The other suspicion: the next step is the same, stop and call.
  [S, T, 0.5],
  [T, S, 0.5],
  // Too much suspected: a second look.
  ...([C, B, D, E, null] as const).flatMap((each) => [[each, S, 0.5] as const, [each, T, 0.5] as const]),
  // A trouble seen and named as another.
  [C, B, 0.5],
  [B, C, 0.5],
  [D, E, 0.5],
  [E, D, 0.5],
  [null, C, 0.5],
  [null, E, 0.5],
];

describe('a name for what a comb shows', () => {
  it.each(NAMED)('%s, called %s: %d', (truth, named, score) => {
    const mark = markTrouble(named, truth);
    expect(mark.score).toBe(score);
    expect(mark.right).toBe(score === 1);
    const says = mark.says.join(' ');
    if (score === 0 && (truth === S || truth === T)) expect(says).toMatch(/something harmless/);
    if (truth === S || truth === T) expect(says).toMatch(/the inspector decides/);
    else expect(says).not.toMatch(/something harmless/);
  });
});

/** What was there, how it was read, and whether that is right. */
const READ: readonly (readonly [string, string, boolean])[] = [
  // Exactly so, and an eighth off.
  ['5S 2L 1E', '5S 2L 1E', true],
  ['5S 2L 1E', '6S 1L 1E', true],
  ['5S 2L 1E', '4S 3L 1E', true],
  ['5S 2L 1E', '4S 2L 2E', true],
  ['4S 3H 1P', '5S 2H 1P', true],
  ['4S 3H 1P', '4S 2H 2P', true],
  ['8H', '8H', true],
  ['6H 2N', '5H 3N', true],
  ['6H 2N', '7H 1N', true],
  ['4D 2S 2H', '3D 3S 2H', true],
  ['8F', '8F', true],
  ['4F 4C', '5F 3C', true],
  ['7S +E 1H', '7S +E 1H', true],
  ['7S +E 1H', '7S 1H', true],
  ['7S 1H', '7S +E 1H', true],
  // Two eighths and more.
  ['5S 2L 1E', '3S 4L 1E', false],
  ['5S 2L 1E', '7S +L 1E', false],
  ['4S 3H 1P', '2S 5H 1P', false],
  ['8H', '6H 2N', false],
  ['4D 2S 2H', '2D 4S 2H', false],
  ['4F 4C', '6F 2C', false],
  ['3S 1L 3H 1P', '1S 3L 3H 1P', false],
  ['8C', '8F', false],
  // A whole eighth overlooked, or made up, is no slip of the measure.
  ['6S 1L 1E', '7S 1L', false],
  ['6S 1L 1E', '6S 2L', false],
  ['7S 1L', '6S 1L 1E', false],
  ['7S 1H', '7S 1E', false],
  ['7S 1D', '8S', false],
  ['8S', '7S 1D', false],
  ['7H 1N', '8H', false],
  ['7S 1X', '8S', false],
  ['6S 1X 1H', '7S 1H', false],
  ['7H 1P', '8H', false],
  // Not read to the end.
  ['5S 2L 1E', '5S 2L', false],
  ['8H', '6H', false],
  ['8H', '', false],
];
const sharesOf = ({ eighths, trace }: FrameSide) =>
  Object.fromEntries(
    LETTERS.flatMap((letter) => {
      const share = eighths[letter] ?? (trace.includes(letter) ? 0.25 : 0);
      return share > 0 ? [[letter, share]] : [];
    }),
  );

describe('a comb read in eighths', () => {
  it.each(READ)('%s read as "%s": %s', (truth, read, right) => {
    expect(markReading(parseSide(read), sharesOf(parseSide(truth))).right).toBe(right);
  });
});

/** A comb on which so many of a kind are, wherever they lie. */
const combWith = (find: FindDrill['find'], there: number, wanted: number | null): FindDrill => {
  const drill = makeDrill('find-sunken', 2, 5, { limits: DEFAULT_LIMITS });
  if (drill.kind !== 'find') throw new Error('no find drill');
  return { ...drill, find, wanted, cells: Array.from({ length: there }, (_, index) => 200 + 7 * index) };
};
/** The middle of a cell: rows are 0.866 of a width apart, every other one is half a width to the right. */
const middle = ({ side: { grid } }: FindDrill, cell: number): Touch => {
  const row = Math.floor(cell / grid.columns);
  return [(cell % grid.columns) + 0.5 + (row % 2) / 2, (row + 0.5) * 0.866];
};

/** What is looked for, how many there are, how many were found, touches on something else, and whether that is right. */
const FOUND: readonly (readonly [FindDrill['find'], number, number, number, boolean])[] = [
  ['eggs', 40, 5, 0, true],
  ['eggs', 40, 9, 0, true],
  ['eggs', 40, 4, 0, true],
  ['eggs', 40, 5, 1, true],
  ['eggs', 40, 5, 2, true],
  ['eggs', 40, 5, 3, false],
  ['eggs', 40, 4, 2, false],
  ['eggs', 40, 3, 0, false],
  ['eggs', 40, 0, 5, false],
  ['eggs', 40, 0, 0, false],
  ['eggs', 3, 3, 0, true],
  ['eggs', 3, 2, 0, true],
  ['eggs', 3, 1, 0, false],
  ['two-eggs', 1, 1, 0, true],
  ['two-eggs', 1, 1, 1, false],
  ['two-eggs', 1, 0, 0, false],
  ['two-eggs', 1, 0, 1, false],
  ['two-eggs', 4, 4, 0, true],
  ['two-eggs', 4, 3, 0, true],
  ['two-eggs', 4, 2, 0, false],
  ['two-eggs', 0, 0, 0, true],
  ['two-eggs', 0, 0, 1, false],
  ['sunken', 10, 10, 0, true],
  ['sunken', 10, 8, 0, true],
  ['sunken', 10, 8, 2, true],
  ['sunken', 10, 6, 0, false],
  ['sunken', 10, 10, 6, false],
  ['sunken', 10, 1, 0, false],
  ['sunken', 10, 0, 0, false],
  ['sunken', 1, 1, 0, true],
  ['sunken', 1, 0, 0, false],
  ['sunken', 0, 0, 0, true],
  ['sunken', 0, 0, 3, false],
];

describe('something looked for', () => {
  it.each(FOUND)('%s: %d there, %d found, %d something else: %s', (find, there, found, wrong, right) => {
    const drill = combWith(find, there, find === 'eggs' ? Math.min(5, there) : null);
    const touches = [
      ...drill.cells.slice(0, found).map((cell) => middle(drill, cell)),
      ...Array.from({ length: wrong }, (_, index) => middle(drill, 1203 + 5 * index)),
    ];
    const mark = markTouches(drill, touches);
    expect(mark.found).toHaveLength(found);
    expect(mark.right).toBe(right);
  });

  /** She lies heading to the right, 2.6 cells long: touches in widths of a cell from her middle. */
  it.each<readonly [string, readonly Touch[], boolean]>([
    ['on her middle', [[0, 0]], true],
    ['on her head', [[1.3, 0]], true],
    ['on the end of her abdomen', [[-1.3, 0.5]], true],
    ['a glove beside her', [[0, 1.4]], true],
    ['two cells beside her', [[0, 2.2]], false],
    ['three cells before her', [[3.5, 0]], false],
    [
      'on her and then elsewhere',
      [
        [0, 0],
        [12, 4],
      ],
      false,
    ],
    ['nowhere', [], false],
  ])('queen: touched %s', (_where, touches, right) => {
    const drill = combWith('queen', 1, null);
    const queen = { ...makeQueen(), x: 20, y: 12, heading: 0, length: 2.6 };
    const mark = markTouches(
      { ...drill, bees: [queen] },
      touches.map(([x, y]): Touch => [20 + x, 12 + y]),
    );
    expect(mark.right).toBe(right);
  });
});

function makeQueen() {
  for (let seed = 0; ; seed += 1) {
    const drill = makeDrill('find-queen', 5, seed, { limits: DEFAULT_LIMITS });
    if (drill.kind === 'find' && drill.cells.length > 0) return drill.bees[0]!;
  }
}
