import {
  type CivilDate,
  type MonthDay,
  addDays,
  dayOfYear,
  daysBetween,
  lastOf,
  monthDayOf,
  nextOf,
  roundTo,
} from '../units';
import { type DegreeDayMethod, degreeDays } from './degree-days';
import type { Forage } from './forage';
import type { BloomDriver } from './plants';
import { type DayWeather, type UsualYear, evenYear } from './usual';

/** A plant at a site, as it blooms there: by degree days, or between two dates of the year. */
export interface SitePlant {
  readonly id: string;
  readonly name: string;
  readonly nectar: number;
  readonly pollen: number;
  readonly model:
    | {
        readonly kind: 'degree-days';
        readonly base: number;
        /** Degree days from the turn of the year to its first bloom. */
        readonly sum: number;
        readonly days: number;
      }
    | { readonly kind: 'dates'; readonly opens: MonthDay; readonly days: number };
}

/** First and last bloom that somebody saw. */
export interface BloomSeen {
  readonly plant: string;
  readonly first: CivilDate | null;
  readonly last: CivilDate | null;
}

/** Everything that a bloom forecast rests on. */
export interface BloomFacts {
  readonly today: CivilDate;
  /** First day of the year of growth: about the winter solstice, as `MM-DD`. */
  readonly turn: MonthDay;
  readonly usual: UsualYear;
  /** Observed and forecast days from the turn of the year on, in any order; days that are missing are taken as usual. */
  readonly days: readonly DayWeather[];
  readonly plants: readonly SitePlant[];
  /** Blooms seen in this and earlier years. */
  readonly seen: readonly BloomSeen[];
  readonly method: DegreeDayMethod;
}

/** When a plant blooms this year, and why it is thought so. */
export interface Bloom extends Forage {
  readonly id: string;
  /** First bloom: seen by somebody; reckoned and already past; still to come. */
  readonly state: 'seen' | 'reckoned' | 'expected';
  /** Whether its end was seen. */
  readonly ended: boolean;
  /** Days either way of its end. */
  readonly toGiveOrTake: number;
  /** When it blooms in a usual year here. */
  readonly usual: { readonly from: CivilDate; readonly to: CivilDate };
  /** Days by which other plants seen this year moved the reckoning, later above 0. */
  readonly movedBy: number;
  /** Degree days so far and at first bloom, for a plant reckoned by them. */
  readonly sum: { readonly now: number; readonly needed: number; readonly base: number } | null;
}

/** The reference climate of the plant list: lowlands of the maritime north at 52°. */
const REFERENCE = evenYear(5.1, 16.5, true);
/** The turn of its year, as month and day. */
const REFERENCE_TURN = '12-21';

/** Sums that differ by less are the same: they were added up in another order. */
const SLACK = 1e-6;

/** Degree days are summed from this many days after the turn of the year: 1 January in the north. */
const SUM_FROM = 11;

/** Days by which a reckoned first bloom is commonly off, standard deviation: by warmth, and by date alone. From memory. */
const SPREAD = { 'degree-days': 5, dates: 8 } as const;
/** How far off the mean of a coming month usually is, °C, one standard deviation. From memory. */
const FUTURE_SPREAD = 1.2;
/** A plant seen late or early speaks for those within some weeks of it: days after which its word counts a third. */
const CARRIED = 40;
/** How far a plant goes along with the others: one that goes by the length of the day keeps nearly to its own. From memory. */
const FOLLOWS = { 'degree-days': 1, dates: 0.3 } as const;
/** Weight of the unmoved reckoning against what was seen: half a plant seen. */
const PRIOR = 0.5;

/**
 * The bloom of a listed plant at a site whose climate differs from the list's: its usual degree days in the reference climate, or its day of the
 * year turned round for the other half of the globe.
 *
 * @param plant what the list says
 * @param turn turn of the year at the site, `MM-DD`
 * @returns the model to start from
 * @throws RangeError for a malformed date
 */
export function modelOf(
  plant: { readonly driver: BloomDriver; readonly base: number; readonly opens: MonthDay; readonly days: number },
  turn: MonthDay,
): SitePlant['model'] {
  if (plant.driver === 'day-length') {
    const later = dayOfYear(turn) - dayOfYear(REFERENCE_TURN);
    return { kind: 'dates', opens: monthDayOf(dayOfYear(plant.opens) + later), days: plant.days };
  }
  const to = dayOfYear(plant.opens);
  const sum = REFERENCE.slice(0, to).reduce(
    (all, { low, high }) => all + degreeDays('single-sine', low, high, plant.base),
    0,
  );
  return { kind: 'degree-days', base: plant.base, sum: roundTo(sum, 0), days: plant.days };
}

/**
 * When each plant of a site blooms this year: by degree days or date, moved by what was seen here in earlier years and by other plants seen this
 * year, with days either way.
 *
 * @param facts the site's plants, climate, weather so far and what was seen
 * @returns one bloom a plant, in order of first bloom; a plant whose warmth is never reached is left out
 * @throws RangeError for malformed dates
 */
export function bloomOf(facts: BloomFacts): readonly Bloom[] {
  const begin = lastOf(facts.turn, facts.today);
  const reckoned = facts.plants.flatMap((plant) => reckon(facts, plant, begin) ?? []);
  const errors = reckoned.flatMap((each) =>
    each.seen?.first ? [{ at: each.from, days: daysBetween(each.from, each.seen.first) }] : [],
  );
  return reckoned
    .map((each) => settle(facts, each, errors, begin))
    .sort((a, b) => daysBetween(b.from, a.from) || a.plant.localeCompare(b.plant));
}

interface Reckoned {
  readonly plant: SitePlant;
  readonly seen: BloomSeen | null;
  readonly from: CivilDate;
  readonly usualFrom: CivilDate;
  readonly spread: number;
  readonly sum: Bloom['sum'];
}

function reckon(facts: BloomFacts, plant: SitePlant, begin: CivilDate): Reckoned | null {
  const thisYear = (each: BloomSeen) => {
    const at = each.first ?? each.last;
    return at !== null && daysBetween(begin, at) >= 0 && daysBetween(begin, at) < 365;
  };
  const own = facts.seen.filter((each) => each.plant === plant.id);
  const seen = own.find(thisYear) ?? null;
  const { model } = plant;
  const courses = coursesOf(facts, begin);
  const usualDay =
    model.kind === 'dates'
      ? daysBetween(begin, nextOf(model.opens, begin))
      : reached(courses.usual, model, facts.method, 0);
  if (usualDay === null) return null;
  const learned = learnedFrom(
    own.filter((each) => !thisYear(each)),
    facts.turn,
    usualDay,
  );
  const usualFrom = addDays(begin, usualDay + learned.days);
  const spread = SPREAD[model.kind] / Math.sqrt(1 + learned.years);
  if (model.kind === 'dates') return { plant, seen, from: usualFrom, usualFrom, spread, sum: null };
  const course = courses.thisYear;
  const middle = reached(course, model, facts.method, 0);
  if (middle === null) return null;
  const early = reached(course, model, facts.method, FUTURE_SPREAD) ?? middle;
  const late = reached(course, model, facts.method, -FUTURE_SPREAD) ?? middle + 2 * (middle - early);
  return {
    plant,
    seen,
    from: addDays(begin, middle + learned.days),
    usualFrom,
    spread: Math.hypot(spread, (late - early) / 2),
    sum: { now: roundTo(sumAt(course, model, facts), 0), needed: model.sum, base: model.base },
  };
}

/** Mean days by which earlier years were later than the reckoning, drawn toward none while they are few. */
function learnedFrom(
  earlier: readonly BloomSeen[],
  turn: MonthDay,
  usualDay: number,
): { readonly days: number; readonly years: number } {
  const gaps = earlier.flatMap(({ first }) =>
    first === null ? [] : [daysBetween(lastOf(turn, first), first) - usualDay],
  );
  const sum = gaps.reduce((all, gap) => all + gap, 0);
  return { days: Math.round(sum / (gaps.length + PRIOR)), years: gaps.length };
}

type CourseDay = DayWeather & { readonly known: boolean };
/** Days on which warmth is summed: all as usual; and this year's, known ones as they are and the others as usual. */
interface Courses {
  readonly usual: readonly CourseDay[];
  readonly thisYear: readonly CourseDay[];
}

const kept = new WeakMap<BloomFacts, Courses>();

function coursesOf(facts: BloomFacts, begin: CivilDate): Courses {
  const before = kept.get(facts);
  if (before) return before;
  const known = new Map(facts.days.map((day) => [day.date, day]));
  const usual = Array.from({ length: 365 - SUM_FROM }, (_, index) => {
    const date = addDays(begin, SUM_FROM + index);
    return { date, ...facts.usual[dayOfYear(date)]!, known: false };
  });
  const thisYear = usual.map((each) => {
    const day = known.get(each.date);
    return day ? { ...day, known: true } : each;
  });
  const courses = { usual, thisYear };
  kept.set(facts, courses);
  return courses;
}

type Warmth = Extract<SitePlant['model'], { kind: 'degree-days' }>;

/** Day of the year of growth on which the sum is reached, with the days that are not known warmer by some degrees. */
function reached(
  course: readonly CourseDay[],
  { base, sum }: Warmth,
  method: DegreeDayMethod,
  warmer: number,
): number | null {
  let reachedBy = 0;
  const found = course.findIndex(({ low, high, known }) => {
    const more = known ? 0 : warmer;
    reachedBy += degreeDays(method, low + more, high + more, base);
    return reachedBy >= sum - SLACK;
  });
  return found < 0 ? null : found + SUM_FROM;
}

function sumAt(course: readonly CourseDay[], { base }: Warmth, { today, method }: BloomFacts): number {
  const until = course.filter(({ date }) => date <= today);
  return until.reduce((all, { low, high }) => all + degreeDays(method, low, high, base), 0);
}

function settle(
  facts: BloomFacts,
  { plant, seen, from, usualFrom, spread, sum }: Reckoned,
  errors: readonly { readonly at: CivilDate; readonly days: number }[],
  begin: CivilDate,
): Bloom {
  const weights = errors.map((error) => Math.exp(-Math.abs(daysBetween(error.at, from)) / CARRIED));
  const weight = weights.reduce((all, each) => all + each, 0);
  const carried = errors.reduce((all, error, index) => all + error.days * weights[index]!, 0) / (weight + PRIOR);
  const movedBy = seen?.first ? 0 : Math.round(carried * FOLLOWS[plant.model.kind]);
  const shared = Math.sqrt(1 - 0.6 * (weight / (weight + PRIOR)));
  const first = seen?.first ?? notYetSeen(facts, addDays(from, movedBy), errors, begin);
  const days = plant.model.days;
  const last = seen?.last ?? addDays(first, days);
  const giveOrTake = seen?.first ? 0 : Math.max(1, Math.round(spread * shared));
  return {
    id: plant.id,
    plant: plant.name,
    nectar: plant.nectar,
    pollen: plant.pollen,
    from: first,
    to: last,
    giveOrTake,
    state: seen?.first ? 'seen' : daysBetween(first, facts.today) >= 0 ? 'reckoned' : 'expected',
    ended: seen?.last !== null && seen?.last !== undefined,
    toGiveOrTake: seen?.last ? 0 : Math.max(2, Math.round(Math.hypot(giveOrTake, days * 0.15))),
    usual: { from: usualFrom, to: addDays(usualFrom, days) },
    movedBy,
    sum,
  };
}

/**
 * A plant whose reckoned day is past though nobody has seen it: where people do look (something was seen in the last fortnight), it has most
 * likely not opened within the last days, so its day is held at today while it is within its doubt.
 */
function notYetSeen(
  facts: BloomFacts,
  from: CivilDate,
  errors: readonly { readonly at: CivilDate; readonly days: number }[],
  begin: CivilDate,
): CivilDate {
  const over = daysBetween(from, facts.today);
  const watched = facts.seen.some((each) => {
    const at = each.first ?? each.last;
    return at !== null && daysBetween(begin, at) >= 0 && Math.abs(daysBetween(at, facts.today)) <= 14;
  });
  return over > 0 && over <= 4 && watched && errors.length > 0 ? addDays(facts.today, 1) : from;
}
