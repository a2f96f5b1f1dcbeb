import type { Text } from '../language';
import type { CivilDate } from '../units';
import type { Strict } from './dues-types';
import { BRINGS, type Bring, type BringId, type Errand } from './errand';

/** Something to be done at a hive on a round. */
export interface RoundJob {
  readonly key: string;
  readonly what: Text;
  readonly why: Text;
  readonly by: CivilDate;
  readonly strict: Strict;
  readonly errand: Errand;
}

export interface RoundColony {
  readonly hive: string;
  readonly number: string;
  /** Metres east and north of a fixed point of the site; `null` where nobody said. */
  readonly place: { readonly east: number; readonly north: number } | null;
  /** Disease is suspected there: last of all, with tools of its own. */
  readonly suspected: boolean;
  /** 1 quiet to 5; `null` where nobody noted it. */
  readonly temper: number | null;
  readonly jobs: readonly RoundJob[];
}

/** One stop at a hive: all that is done there in one go. */
export interface RoundStop {
  readonly hive: string;
  readonly number: string;
  readonly when: Errand['when'];
  readonly jobs: readonly RoundJob[];
  readonly minutes: number;
  /** Why it stands late in the round. */
  readonly order: 'suspected' | 'temper' | null;
}

/** A thing to bring, for which hives, together. */
export interface RoundKit {
  readonly what: BringId;
  readonly amount: number;
  readonly hives: readonly string[];
}

export interface YardRound {
  readonly stops: readonly RoundStop[];
  readonly kit: readonly RoundKit[];
  /** Sugar and water for all syrup of the round. */
  readonly mix: { readonly sugarKg: number; readonly waterL: number } | null;
  readonly minutes: Readonly<Record<Errand['when'], number>>;
  /** Metres walked from hive to hive; `null` where places are missing. */
  readonly metres: number | null;
}

/** Minutes to open and close a hive, which several jobs there share; and to walk to the next. Common practice. */
const OPENING = 4;
const WALKING = 2;
/** Temper from which a hive is opened after the others, so that what it stirs up does not follow. Common practice. */
const SHARP = 4;
/** A litre of syrup holds so much sugar and water: 1 : 1 and 2 : 1 by weight. Their densities 1.23 and 1.33 kg/L at 20 °C, from memory. */
const SYRUP = {
  'thin-syrup': { sugarKg: 0.615, waterL: 0.615 },
  'thick-syrup': { sugarKg: 0.885, waterL: 0.4425 },
} as const;
/** Things that one piece of does for a whole round. */
const SHARED: ReadonlySet<BringId> = new Set<BringId>([
  'wash-kit',
  'magnifier',
  'acid-gear',
  'own-tools',
  'matchsticks',
]);

/**
 * One walk over a site: the jobs of each hive in one go, quiet hives on the shortest way from one to the next, sharp ones after them, suspected
 * disease last, and what belongs to the evening apart.
 *
 * @param colonies hives with what is to be done at each
 * @returns stops in the order of the walk, kit and syrup added up, minutes and metres
 * Source: common practice.
 */
export function yardRound(colonies: readonly RoundColony[]): YardRound {
  const stopsOf = (when: Errand['when']) =>
    walked(colonies.filter(({ jobs }) => jobs.some(({ errand }) => errand.when === when))).map((colony) =>
      stopAt(colony, when),
    );
  const stops = [...stopsOf('day'), ...stopsOf('evening')];
  const minutes = (when: Errand['when']) => {
    const own = stops.filter((stop) => stop.when === when);
    return own.reduce((sum, stop) => sum + stop.minutes, 0) + Math.max(0, own.length - 1) * WALKING;
  };
  const kit = kitOf(stops);
  return {
    stops,
    kit,
    mix: mixOf(kit),
    minutes: { day: minutes('day'), evening: minutes('evening') },
    metres: metresOf(stopsOf('day').map(({ hive }) => colonies.find((each) => each.hive === hive)!)),
  };
}

/** In which order hives are met: quiet ones, sharp ones, suspected ones. */
const orderOf = ({ suspected, temper }: RoundColony): RoundStop['order'] =>
  suspected ? 'suspected' : temper !== null && temper >= SHARP ? 'temper' : null;
const ORDERS: readonly RoundStop['order'][] = [null, 'temper', 'suspected'];

function walked(colonies: readonly RoundColony[]): readonly RoundColony[] {
  const way: RoundColony[] = [];
  for (const order of ORDERS) {
    const left = colonies.filter((each) => orderOf(each) === order);
    while (left.length > 0) {
      const here = way.at(-1)?.place ?? null;
      const next = left.reduce((best, each) => (nearer(here, each, best) ? each : best));
      way.push(left.splice(left.indexOf(next), 1)[0]!);
    }
  }
  return way;
}

type Place = RoundColony['place'];
const far = (from: Place, to: Place): number =>
  from && to ? Math.hypot(from.east - to.east, from.north - to.north) : Infinity;

/** Whether one hive is nearer than another; where places are missing, the lower number is. */
function nearer(here: Place, one: RoundColony, other: RoundColony): boolean {
  const [a, b] = [far(here, one.place), far(here, other.place)];
  if (a !== b) return a < b;
  return one.number.localeCompare(other.number, 'en', { numeric: true }) < 0;
}

function stopAt(colony: RoundColony, when: Errand['when']): RoundStop {
  const jobs = colony.jobs.filter(({ errand }) => errand.when === when);
  const open = jobs.filter(({ errand }) => errand.opens);
  // Several jobs share one opening.
  const shared = Math.max(0, open.length - 1) * OPENING;
  const minutes = jobs.reduce((sum, { errand }) => sum + errand.minutes, 0) - shared;
  return {
    hive: colony.hive,
    number: colony.number,
    when,
    jobs,
    minutes: Math.max(jobs.length, minutes),
    order: orderOf(colony),
  };
}

function kitOf(stops: readonly RoundStop[]): readonly RoundKit[] {
  const kit = new Map<BringId, { amount: number; hives: Set<string> }>();
  for (const { number, jobs } of stops)
    for (const { what, amount } of jobs.flatMap(({ errand }): readonly Bring[] => errand.brings)) {
      const line = kit.get(what) ?? { amount: 0, hives: new Set<string>() };
      kit.set(what, line);
      line.hives.add(number);
      line.amount = SHARED.has(what) ? Math.max(line.amount, amount) : line.amount + amount;
    }
  return (Object.keys(BRINGS) as BringId[]).flatMap((what) => {
    const line = kit.get(what);
    return line ? [{ what, amount: Math.round(line.amount * 100) / 100, hives: [...line.hives] }] : [];
  });
}

function mixOf(kit: readonly RoundKit[]): YardRound['mix'] {
  const syrup = kit.flatMap(({ what, amount }) =>
    what === 'thin-syrup' || what === 'thick-syrup' ? [{ ...SYRUP[what], amount }] : [],
  );
  if (syrup.length === 0) return null;
  const sum = (of: 'sugarKg' | 'waterL') =>
    Math.round(syrup.reduce((all, each) => all + each[of] * each.amount, 0) * 10) / 10;
  return { sugarKg: sum('sugarKg'), waterL: sum('waterL') };
}

function metresOf(way: readonly RoundColony[]): number | null {
  if (way.some(({ place }) => place === null)) return null;
  return Math.round(way.slice(1).reduce((sum, { place }, index) => sum + far(way[index]!.place, place), 0));
}
