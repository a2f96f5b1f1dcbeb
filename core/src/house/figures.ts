import { MITE_SCHOOLS } from '../care';
import type { Quantity } from '../units';
import type { HousePractice } from './practice';

export const CHAPTERS = [
  'weather',
  'opening',
  'people',
  'swarms',
  'room-and-food',
  'mites',
  'planning',
  'skills',
] as const;
export type Chapter = (typeof CHAPTERS)[number];

/** In what a figure is told: a quantity of the core, or a count of something. */
export type Measure = Quantity | 'minutes' | 'days' | 'months' | 'hours' | 'share' | 'count' | 'clock' | 'times';

interface Base {
  readonly chapter: Chapter;
  /** Where it stands in the house practice; where two hold the same, both are written. */
  readonly at: readonly string[];
  /** What others do, for who differs: the value, and whose it is, by name. */
  readonly others?: readonly { readonly school: string; readonly value: number | boolean | string }[];
}
interface Number_ extends Base {
  readonly holds: 'number';
  readonly measure: Measure;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** What the trade uses: beyond it the figure is told to be unusual. Common practice where `others` says nothing else. */
  readonly usual: readonly [number, number];
}
interface YesNo extends Base {
  readonly holds: 'yes-no';
}
interface Choice extends Base {
  readonly holds: 'choice';
  readonly of: readonly string[];
}
export type Figure = Number_ | YesNo | Choice;
export type FigureValue = number | boolean | string;

const number = (
  chapter: Chapter,
  at: string | readonly string[],
  measure: Measure,
  [least, most, step]: readonly [number, number, number],
  usual: readonly [number, number],
  others?: Base['others'],
): Number_ => ({
  holds: 'number',
  chapter,
  at: typeof at === 'string' ? [at] : at,
  measure,
  least,
  most,
  step,
  usual,
  ...(others ? { others } : {}),
});

/** Every figure of the house practice: where it stands, what it may be, what the trade uses, and what others do. */
export const FIGURES = {
  'full-warmth': number(
    'weather',
    'limits.full.warmth',
    'temperature',
    [5, 30, 1],
    [14, 21],
    [
      { school: 'foragers-out', value: 15 },
      { school: 'warm-days', value: 21 },
    ],
  ),
  'full-heat': number('weather', 'limits.full.heat', 'temperature', [25, 48, 1], [32, 38]),
  'full-gust': number('weather', 'limits.full.gust', 'speed', [10, 80, 1], [25, 40]),
  'frame-warmth': number('weather', 'limits.one-frame.warmth', 'temperature', [5, 30, 1], [10, 16]),
  'frame-gust': number('weather', 'limits.one-frame.gust', 'speed', [10, 80, 1], [25, 45]),
  'lid-warmth': number(
    'weather',
    'limits.lid.warmth',
    'temperature',
    [-5, 25, 1],
    [0, 16],
    [
      { school: 'quick-lid', value: 2 },
      { school: 'lid-when-flying', value: 10 },
    ],
  ),
  'lid-gust': number('weather', 'limits.lid.gust', 'speed', [10, 90, 1], [35, 55]),
  'work-from': number('weather', 'workingHours.0', 'clock', [4, 14, 1], [7, 10]),
  'work-to': number('weather', 'workingHours.1', 'clock', [12, 22, 1], [16, 20]),

  'open-minutes': number('opening', 'openMinutes', 'minutes', [5, 90, 5], [10, 40]),
  'rest-days': number(
    'opening',
    'calendar.restDays',
    'days',
    [0, 21, 1],
    [2, 10],
    [
      { school: 'teaching-often', value: 2 },
      { school: 'light-touch', value: 10 },
    ],
  ),
  openings: number(
    'opening',
    ['openingLimit', 'calendar.load.openings'],
    'times',
    [1, 15, 1],
    [2, 6],
    [
      { school: 'light-touch', value: 2 },
      { school: 'weekly-looks', value: 5 },
    ],
  ),
  'minutes-a-month': number('opening', 'calendar.load.minutes', 'minutes', [10, 600, 10], [60, 240]),
  'stings-a-month': number('opening', 'calendar.load.stings', 'count', [0, 60, 1], [5, 20]),
  'look-days': number(
    'opening',
    'care.intervalDays',
    'days',
    [5, 42, 1],
    [7, 21],
    [
      { school: 'weekly-looks', value: 7 },
      { school: 'light-touch', value: 21 },
    ],
  ),

  'group-size': number('people', 'groupLimit', 'count', [1, 15, 1], [4, 8]),
  'lift-one': number('people', 'lift.one', 'weight', [5, 40, 1], [10, 25]),
  'lift-two': number('people', 'lift.two', 'weight', [8, 60, 1], [16, 40]),
  suits: number('people', 'planning.suits', 'count', [1, 200, 1], [4, 60]),

  'catch-cells': {
    holds: 'yes-no',
    chapter: 'swarms',
    at: ['calendar.catchCells'],
    others: [
      { school: 'catch-every-swarm', value: true },
      { school: 'let-them-swarm', value: false },
    ],
  } as YesNo,
  'swarm-days': number(
    'swarms',
    ['calendar.swarmIntervalDays', 'care.swarmIntervalDays'],
    'days',
    [4, 21, 1],
    [7, 14],
    [
      { school: 'unclipped', value: 7 },
      { school: 'clipped', value: 10 },
    ],
  ),
  'add-space': number(
    'swarms',
    'care.addSpaceAt',
    'share',
    [0.4, 1, 0.05],
    [0.65, 0.9],
    [
      { school: 'room-early', value: 0.7 },
      { school: 'room-late', value: 0.85 },
    ],
  ),
  'brood-boxes': {
    holds: 'choice',
    chapter: 'room-and-food',
    at: ['care.broodBoxes'],
    of: ['1', '2'],
    others: [
      { school: 'single-brood', value: '1' },
      { school: 'double-brood', value: '2' },
    ],
  } as Choice,
  'least-food': number('room-and-food', 'care.leastStoresKg', 'weight', [1, 20, 0.5], [3, 8]),
  'feed-to': number('room-and-food', 'care.feedToKg', 'weight', [2, 40, 0.5], [6, 15]),
  'winter-food': number(
    'room-and-food',
    'care.winterStoresKg',
    'weight',
    [4, 60, 1],
    [10, 40],
    [
      { school: 'mild-winter', value: 12 },
      { school: 'maritime-winter', value: 18 },
      { school: 'long-winter', value: 30 },
    ],
  ),
  stimulates: {
    holds: 'yes-no',
    chapter: 'room-and-food',
    at: ['care.stimulates'],
    others: [
      { school: 'no-driving', value: false },
      { school: 'drives-brood', value: true },
    ],
  } as YesNo,
  'comb-goal': number('room-and-food', 'combGoal', 'count', [0, 5000, 10], [0, 2000]),

  mites: {
    holds: 'choice',
    chapter: 'mites',
    at: ['care.mites'],
    of: MITE_SCHOOLS,
    others: MITE_SCHOOLS.map((value) => ({ school: `mites-${value}`, value })),
  } as Choice,

  horizon: number('planning', 'planning.horizonDays', 'days', [3, 28, 1], [7, 14]),
  'longest-session': number('planning', 'planning.longest', 'minutes', [30, 480, 15], [90, 240]),
  'shortest-session': number('planning', 'planning.shortest', 'minutes', [20, 240, 10], [45, 120]),
  'pause-between': number('planning', 'planning.pause', 'minutes', [0, 180, 5], [15, 60]),
  'sessions-a-day': number('planning', 'planning.slotsADay', 'count', [1, 4, 1], [1, 2]),
  'least-fit': number('planning', 'planning.leastFit', 'share', [0, 0.9, 0.05], [0.2, 0.6]),
  'hives-a-group': number('planning', 'planning.maxHives', 'count', [1, 6, 1], [1, 3]),
  'set-up-minutes': number('planning', 'planning.setupMinutes', 'minutes', [0, 90, 5], [10, 40]),

  forgetting: {
    holds: 'choice',
    chapter: 'skills',
    at: ['forgetting.school'],
    of: ['fixed-term', 'growing-term'],
    others: [
      { school: 'fixed-term', value: 'fixed-term' },
      { school: 'growing-term', value: 'growing-term' },
    ],
  } as Choice,
} as const satisfies Readonly<Record<string, Figure>>;
export type FigureId = keyof typeof FIGURES;
/** All of them, in their order. */
export const figureIds = Object.keys(FIGURES) as FigureId[];

type Tree = { readonly [key: string]: Tree | FigureValue };

const inside = (tree: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((at, key) => (at as Tree | undefined)?.[key], tree);

/** How many are kept as numbers and chosen as words. */
const told = (figure: Figure, value: unknown): FigureValue =>
  figure.holds === 'choice' ? String(value) : (value as FigureValue);

/**
 * A figure as the house has it.
 *
 * @param practice of the house
 * @param id which figure
 * @returns number in the measure of the core, yes or no, or the id of a choice
 */
export const figureOf = (practice: HousePractice, id: FigureId): FigureValue =>
  told(FIGURES[id], inside(practice, FIGURES[id].at[0]!));

function withAt(tree: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(tree)) return tree.map((each: unknown, at) => (`${at}` === key ? withAt(each, rest, value) : each));
  const own = (tree ?? {}) as Tree;
  return { ...own, [key]: withAt(own[key], rest, value) };
}

/** What is kept of a choice: numbers of boxes as numbers, the terms of the skills with what they need. */
function kept(id: FigureId, value: FigureValue): readonly (readonly [at: string, value: unknown])[] {
  const { at } = FIGURES[id];
  if (id === 'brood-boxes') return at.map((path) => [path, Number(value)]);
  if (id === 'forgetting')
    return [
      [
        'forgetting',
        value === 'fixed-term' ? { school: 'fixed-term' } : { school: 'growing-term', growth: 1.5, most: 36 },
      ],
    ];
  return at.map((path) => [path, value]);
}

/**
 * The house practice with some figures changed.
 *
 * @param practice of the house
 * @param changes value by figure
 * @returns the whole practice; the one that was given stays as it is
 */
export const withFigures = (
  practice: HousePractice,
  changes: Readonly<Partial<Record<FigureId, FigureValue>>>,
): HousePractice =>
  (Object.entries(changes) as [FigureId, FigureValue][])
    .flatMap(([id, value]) => kept(id, value))
    .reduce<unknown>((tree, [path, value]) => withAt(tree, path.split('.'), value), practice) as HousePractice;

/**
 * The practice with what stands in two places said alike: where one of them was changed, the other follows.
 *
 * @param before the practice as it was
 * @param after as somebody changed it, maybe in one of the places only
 * @returns the practice as it was changed, in agreement with itself
 */
export const inAgreement = (before: HousePractice, after: HousePractice): HousePractice =>
  figureIds.reduce((practice, id) => {
    const { at } = FIGURES[id];
    const moved = at.find((path) => inside(before, path) !== inside(after, path));
    return moved === undefined || at.length === 1
      ? practice
      : withFigures(practice, { [id]: told(FIGURES[id], inside(after, moved)) });
  }, after);
