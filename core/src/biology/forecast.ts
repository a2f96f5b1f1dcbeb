import { quantileSorted } from 'd3-array';
import { randomBeta, randomNormal } from 'd3-random';
import { wilson } from '../statistics';
import { scattered, within } from '../units';
import {
  type Colony,
  type ColonyDay,
  type Habit,
  type Nest,
  WORKER_DAYS,
  beesOf,
  cellsBetween,
  colonyNextDay,
  colonyOf,
  copyOf,
} from './colony-model';
import { mitesOf } from './mite-cycle';

/** A figure as a visit left it, with a range that holds it nine times in ten. */
export interface Ranged {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What one visit saw of a colony; `null` for what it did not look at. */
export interface SeenThen {
  /** Index of its day among the days of the forecast. */
  readonly day: number;
  readonly bees: Ranged | null;
  readonly eggs: Ranged | null;
  readonly larvae: Ranged | null;
  readonly sealed: Ranged | null;
  readonly storesKg: Ranged | null;
  /** Mites found on so many bees. */
  readonly sample: { readonly bees: number; readonly mites: number } | null;
  /** Frames of the nest from this visit on, and food that fits into nest and supers beside the brood, kg. */
  readonly frames: number;
  readonly holdsKg: number;
  /** People took food off since the visit before: what is there is no word on what was gathered. */
  readonly foodMoved: boolean;
}

export interface ForecastFacts {
  /** Visits, the oldest first, on different days; the first of them saw bees and brood. */
  readonly seen: readonly SeenThen[];
  /** A day for each day from the first visit to the last that is foreseen. */
  readonly days: readonly ColonyDay[];
  readonly nest: Omit<Nest, 'frames' | 'holdsKg'>;
  readonly draws: number;
  readonly seed: number;
}

/** What is reckoned for one day: the middle, five in ten and nine in ten. */
export interface Band {
  readonly p5: number;
  readonly p25: number;
  readonly p50: number;
  readonly p75: number;
  readonly p95: number;
}

/** Figures that are foreseen: frames of bees and brood, kg of food, mites in 100 bees. */
export const FORESEEN = ['bees', 'brood', 'storesKg', 'mites'] as const;
export type Foreseen = (typeof FORESEEN)[number];

/** A visit beside what the ones before it let one expect. */
export interface Hindsight {
  readonly day: number;
  readonly of: Foreseen;
  readonly foreseen: Band;
  readonly seen: number;
  /** Whether what was seen, with its own range, touches the nine in ten. */
  readonly held: boolean;
}

export interface ColonyForecast {
  /** One for each day from the last visit that read the combs on; mites `null` where nobody ever counted them. */
  readonly from: number;
  readonly bands: Readonly<Record<Foreseen, readonly Band[] | null>>;
  /** Each draw's course by day, for the chance of anything that is asked. */
  readonly courses: Readonly<Record<Foreseen, readonly Float64Array[] | null>>;
  readonly hindsight: readonly Hindsight[];
  /** How this colony differs from the usual one, as far as its visits tell. */
  readonly habit: Readonly<Record<'laying' | 'income' | 'life', Band>>;
}

/** How far colonies differ from the usual one: standard deviation of the logarithm. Common practice. */
const DIFFER: Habit = { laying: 0.3, nursing: 0.25, life: 0.25, income: 0.5, mites: 0.15 };
/** How far the same colony differs from itself from one visit to the next. Common practice. */
const DRIFTS = 0.05;
/** And from one spell of weather and forage to the next, as far as nobody foresees it. Common practice. */
const SPELLS = { days: 7, income: 0.5, laying: 0.2 } as const;
/** A range of nine in ten is so many standard deviations wide to each side. */
const NINE_IN_TEN = 1.645;
/**
 * How far a count may be off the truth beside the range of its reading, as a standard deviation: a share of it, and at least so much. Who reads, the
 * hour and the weather move it. Common practice; Liebefeld counts of trained readers differ by about a tenth.
 */
const OFF: Readonly<Record<Foreseen, { readonly share: number; readonly least: number }>> = {
  bees: { share: 0.1, least: 0.3 },
  brood: { share: 0.1, least: 0.3 },
  storesKg: { share: 0.1, least: 0.5 },
  mites: { share: 0.3, least: 0.3 },
};

interface Draw {
  readonly habit: Habit;
  readonly colony: Colony;
}

/**
 * What a colony comes to, fitted to its visits: many colonies that differ as colonies do are taken from visit to visit, those that came to what
 * was seen count for more, and these are taken on.
 *
 * @param facts visits, the days, the comb, how many draws (1 to 5000) and their seed
 * @returns bands by day, courses, and what each visit would have been expected to see
 * @throws RangeError for no visit that saw bees and brood, visits out of order or outside the days, or a number of draws outside 1 to 5000
 * Source: sequential importance sampling (Gordon, Salmond & Smith 1993) on the model of `colonyNextDay`; spreads by common practice.
 */
export function forecastColony(facts: ForecastFacts): ColonyForecast {
  const { seen, days, draws: count } = facts;
  within('draws', count, 1, 5000);
  const first = seen[0];
  if (!first || !whole(first)) throw new RangeError('a forecast begins with a visit that saw bees and brood');
  seen.forEach((each, index) => {
    if (each.day < 0 || each.day >= days.length) throw new RangeError(`visit ${index + 1} lies outside the days`);
    if (index > 0 && each.day <= seen[index - 1]!.day)
      throw new RangeError(`visit ${index + 1} is not after the one before it`);
  });
  const random = scattered(facts.seed);
  const chance = { unit: () => random.unit(), normal: randomNormal.source(() => random.unit())(0, 1) };
  let draws: Draw[] = Array.from({ length: count }, () => ({
    habit: usually(chance.normal),
    colony: startOf(facts, first, chance),
  }));
  const hindsight: Hindsight[] = [];
  let from = first;
  for (const visit of seen.slice(1)) {
    for (const draw of draws) run(facts, draw, from, visit.day, chance, null);
    hindsight.push(...compare(facts, draws, visit, chance));
    draws = again(
      draws,
      draws.map(({ colony }) => likelihood(facts, colony, visit)),
      chance,
    );
    for (const draw of draws) meet(facts, draw, visit, chance);
    from = visit;
  }
  const ahead = days.length - from.day;
  const empty = (): Float64Array[] => Array.from({ length: ahead }, () => new Float64Array(count));
  const counted = draws[0]!.colony.mites !== null;
  const courses = { bees: empty(), brood: empty(), storesKg: empty(), mites: counted ? empty() : null };
  draws.forEach((draw, index) => {
    const note = (day: number) => {
      for (const of of FORESEEN) {
        const course = courses[of];
        if (course) course[day - from.day]![index] = figure(facts, draw.colony, of);
      }
    };
    note(from.day);
    run(facts, draw, from, days.length - 1, chance, note);
  });
  return {
    from: from.day,
    courses,
    bands: {
      bees: courses.bees.map(bandOf),
      brood: courses.brood.map(bandOf),
      storesKg: courses.storesKg.map(bandOf),
      mites: courses.mites?.map(bandOf) ?? null,
    },
    hindsight,
    habit: {
      laying: bandOf(draws.map(({ habit }) => habit.laying)),
      income: bandOf(draws.map(({ habit }) => habit.income)),
      life: bandOf(draws.map(({ habit }) => habit.life)),
    },
  };
}

interface Chance {
  readonly unit: () => number;
  readonly normal: () => number;
}

const whole = ({ bees, eggs, larvae, sealed }: SeenThen): boolean =>
  bees !== null && eggs !== null && larvae !== null && sealed !== null;

const HABITS = ['laying', 'nursing', 'life', 'income', 'mites'] as const satisfies readonly (keyof Habit)[];
const habitBy = (of: (part: keyof Habit) => number): Habit =>
  Object.fromEntries(HABITS.map((part) => [part, of(part)])) as Record<keyof Habit, number>;
const usually = (normal: () => number): Habit => habitBy((part) => Math.exp(DIFFER[part] * normal()));
const drifted = (habit: Habit, normal: () => number): Habit =>
  habitBy((part) => habit[part] * Math.exp(DRIFTS * normal()));

/** The truth behind a count, somewhere about it. */
function somewhere(seen: Ranged | null, { normal }: Chance, otherwise: number, share = 0): number {
  if (seen === null) return otherwise;
  const z = normal();
  const reading = (z < 0 ? seen.value - seen.low : seen.high - seen.value) / NINE_IN_TEN;
  return Math.max(0, seen.value + z * Math.hypot(reading, seen.value * share));
}

function startOf(facts: ForecastFacts, visit: SeenThen, chance: Chance): Colony {
  const colony = colonyOf(
    {
      bees: somewhere(visit.bees, chance, 0, OFF.bees.share),
      eggs: somewhere(visit.eggs, chance, 0, OFF.brood.share),
      larvae: somewhere(visit.larvae, chance, 0, OFF.brood.share),
      sealed: somewhere(visit.sealed, chance, 0, OFF.brood.share),
      storesKg: somewhere(visit.storesKg, chance, 0, OFF.storesKg.share),
    },
    facts.nest,
    facts.days[visit.day]!.life,
  );
  sampled(facts, colony, visit, chance);
  return colony;
}

/** Takes a draw over to what a visit saw; what it did not look at stays as reckoned. */
function meet(facts: ForecastFacts, draw: Draw, visit: SeenThen, chance: Chance): void {
  const { colony } = draw;
  const now = colonyOf(
    {
      bees: somewhere(visit.bees, chance, beesOf(colony) / facts.nest.beesPerFrame, OFF.bees.share),
      eggs: somewhere(visit.eggs, chance, 0, OFF.brood.share),
      larvae: somewhere(visit.larvae, chance, 0, OFF.brood.share),
      sealed: somewhere(visit.sealed, chance, 0, OFF.brood.share),
      storesKg: somewhere(visit.storesKg, chance, colony.storesKg, OFF.storesKg.share),
    },
    facts.nest,
    facts.days[visit.day]!.life,
  );
  if (visit.bees) colony.adults = now.adults;
  if (whole(visit)) colony.cells.set(now.cells);
  colony.storesKg = now.storesKg;
  sampled(facts, colony, visit, chance);
}

/** Mites as a sample lets one expect them: a share of the bees somewhere in its interval (Jeffreys). */
function sampled(facts: ForecastFacts, colony: Colony, { day, sample }: SeenThen, { unit }: Chance): void {
  if (!sample) return;
  const share = randomBeta.source(unit)(sample.mites + 0.5, sample.bees - sample.mites + 0.5)();
  const bees = beesOf(colony);
  const capped = cellsBetween(colony, 9, WORKER_DAYS) / (WORKER_DAYS - 9);
  const { drones } = facts.days[day]!;
  colony.mites = mitesOf(share * bees, {
    workersCapped: capped * (1 - drones),
    dronesCapped: capped * drones,
    bees,
  });
}

/** Takes a draw from the day of a visit to another day, through spells of weather that nobody foresees. */
function run(
  facts: ForecastFacts,
  { colony, habit }: Draw,
  from: SeenThen,
  to: number,
  { normal }: Chance,
  note: ((day: number) => void) | null,
): void {
  const nest = { ...facts.nest, frames: from.frames, holdsKg: from.holdsKg };
  let spell = habit;
  for (let day = from.day + 1; day <= to; day += 1) {
    if ((day - from.day) % SPELLS.days === 1)
      spell = {
        ...habit,
        laying: habit.laying * Math.exp(SPELLS.laying * normal()),
        income: habit.income * Math.exp(SPELLS.income * normal()),
      };
    colonyNextDay(colony, facts.days[day]!, nest, spell);
    note?.(day);
  }
}

function figure({ nest }: Pick<ForecastFacts, 'nest'>, colony: Colony, of: Foreseen): number {
  if (of === 'bees') return beesOf(colony) / nest.beesPerFrame;
  if (of === 'brood') return cellsBetween(colony, 0, WORKER_DAYS) / nest.cellsPerFrame;
  if (of === 'storesKg') return colony.storesKg;
  const bees = beesOf(colony);
  return bees > 0 ? Math.min(100, ((colony.mites?.onBees ?? 0) / bees) * 100) : 0;
}

/** What a visit saw of what is foreseen. */
function sawOf({
  bees,
  eggs,
  larvae,
  sealed,
  storesKg,
  sample,
  foodMoved,
}: SeenThen): readonly (readonly [Foreseen, Ranged])[] {
  const pairs: readonly (readonly [Foreseen, Ranged | null])[] = [
    ['bees', bees],
    ['brood', eggs && larvae && sealed && together([eggs, larvae, sealed])],
    ['storesKg', foodMoved ? null : storesKg],
    ['mites', sample && inHundred(sample)],
  ];
  return pairs.flatMap(([of, seen]) => (seen ? [[of, seen] as const] : []));
}

function together(parts: readonly Ranged[]): Ranged {
  const sum = (of: keyof Ranged) => parts.reduce((all, part) => all + part[of], 0);
  return { value: sum('value'), low: sum('low'), high: sum('high') };
}

function inHundred({ bees, mites }: { readonly bees: number; readonly mites: number }): Ranged {
  const [low, high] = wilson(mites, bees);
  return { value: (mites / bees) * 100, low: low * 100, high: high * 100 };
}

/** Logarithm of how well a draw came to what a visit saw. */
function likelihood(facts: ForecastFacts, colony: Colony, visit: SeenThen): number {
  return sawOf(visit).reduce((log, [of, seen]) => {
    if (of === 'mites' && !colony.mites) return log;
    const spread = (seen.high - seen.low) / 2 / NINE_IN_TEN;
    const off = Math.hypot(spread, Math.max(OFF[of].least, seen.value * OFF[of].share));
    return log - ((figure(facts, colony, of) - seen.value) / off) ** 2 / 2;
  }, 0);
}

/** As many draws again, each as often as its weight, given by its logarithm (systematic resampling). */
function again(draws: readonly Draw[], logs: readonly number[], { unit, normal }: Chance): Draw[] {
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const step = weights.reduce((sum, weight) => sum + weight, 0) / draws.length;
  let reached = 0;
  let next = unit() * step;
  return draws.flatMap((draw, index) => {
    reached += weights[index]!;
    const copies: Draw[] = [];
    for (; next < reached; next += step)
      copies.push({ habit: drifted(draw.habit, normal), colony: copyOf(draw.colony) });
    return copies;
  });
}

/** What somebody would count where the truth is so much. */
const counted = (of: Foreseen, truth: number, { normal }: Chance): number =>
  Math.max(0, truth + normal() * Math.max(OFF[of].least, truth * OFF[of].share));

function compare(facts: ForecastFacts, draws: readonly Draw[], visit: SeenThen, chance: Chance): readonly Hindsight[] {
  return sawOf(visit).flatMap(([of, seen]) => {
    if (of === 'mites' && !draws[0]!.colony.mites) return [];
    const foreseen = bandOf(draws.map(({ colony }) => counted(of, figure(facts, colony, of), chance)));
    const held = seen.high >= foreseen.p5 && seen.low <= foreseen.p95;
    return [{ day: visit.day, of, foreseen, seen: seen.value, held }];
  });
}

/** How likely a figure passes a limit within the days foreseen, and on which day. */
export interface Passing {
  readonly chance: number;
  /** Days from the first one foreseen on which it passes in the earliest quarter, the middle and the latest quarter of the draws that do. */
  readonly days: { readonly p25: number; readonly p50: number; readonly p75: number } | null;
}

/**
 * How likely the draws pass a limit.
 *
 * @param courses each draw's figure by day
 * @param passes whether a figure is beyond the limit
 * @param since first day that counts
 * @returns chance, 0 to 1, and days; `null` days when no draw passes
 */
export function passing(courses: readonly Float64Array[], passes: (figure: number) => boolean, since = 0): Passing {
  const count = courses[0]?.length ?? 0;
  const days: number[] = [];
  for (let draw = 0; draw < count; draw += 1) {
    const day = courses.findIndex((figures, at) => at >= since && passes(figures[draw]!));
    if (day >= 0) days.push(day);
  }
  if (days.length === 0) return { chance: 0, days: null };
  const { p25, p50, p75 } = bandOf(days);
  return { chance: days.length / count, days: { p25, p50, p75 } };
}

function bandOf(values: ArrayLike<number>): Band {
  const sorted = [...Float64Array.from(values).sort()];
  const at = (share: number) => quantileSorted(sorted, share)!;
  return { p5: at(0.05), p25: at(0.25), p50: at(0.5), p75: at(0.75), p95: at(0.95) };
}
