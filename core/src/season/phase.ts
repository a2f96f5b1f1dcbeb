import { type CivilDate, type MonthDay, addDays, daysBetween, lastOf, within } from '../units';
import { FLOW_NECTAR, type Forage, GAP_NECTAR, inBloom, nectarOf, nectarOn } from './forage';
import { type DayWeather, type UsualYear, usualMean } from './usual';
import { say } from './said';
import { type Text, listed } from '../language';

/** The colony's year, in the order in which it usually runs. */
export const PHASES = [
  'winter-rest',
  'first-brood',
  'build-up',
  'swarm-season',
  'flow',
  'dearth',
  'late-flow',
  'making-winter-bees',
  'closing-down',
] as const;
export type Phase = (typeof PHASES)[number];

/** What the phase of a place and date rests on: no month is named anywhere. */
export interface PhaseFacts {
  /** The winter solstice of the place, or where its year begins, as `MM-DD`. */
  readonly turn: MonthDay;
  readonly usual: UsualYear;
  /** Observed and forecast days; the others are taken as usual. */
  readonly days: readonly DayWeather[];
  /** Plants of the site with this year's dates. */
  readonly forage: readonly Forage[];
}

/** One stretch of the colony's year. */
export interface PhaseSpan {
  readonly phase: Phase;
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** The days of it on which swarms may leave, whatever the phase is called; `null` when on none. */
  readonly swarming: { readonly from: CivilDate; readonly to: CivilDate } | null;
  readonly reasons: readonly Text[];
}

/** Northern and southern winter solstice; between the tropics a site sets its own. */
export const TURN = { north: '12-21', south: '06-21' } as const;
const TROPIC = 23.5;

/**
 * Where the year of a place begins.
 *
 * @param latitude degrees north
 * @returns the winter solstice, or `null` between the tropics, where the site has to say when its year begins
 * @throws RangeError for a latitude beyond a pole
 * @example usualTurn(-34) // '06-21'
 */
export function usualTurn(latitude: number): MonthDay | null {
  if (Math.abs(within('latitude', latitude, -90, 90)) < TROPIC) return null;
  return latitude > 0 ? TURN.north : TURN.south;
}

/** Rough climate bands, by the usual coldest and warmest weeks. They are words for people; the rules read the temperatures. */
export const CLIMATE_BANDS = ['cold-continental', 'cool-maritime', 'temperate', 'mild-winter', 'subtropical'] as const;
export type ClimateBand = (typeof CLIMATE_BANDS)[number];

/** The band that a usual year falls into, common practice. */
export function bandOf(usual: UsualYear): ClimateBand {
  const means = usual.map(({ low, high }) => (low + high) / 2);
  const coldest = Math.min(...means);
  const warmest = Math.max(...means);
  if (coldest >= 12) return 'subtropical';
  if (coldest >= 6) return 'mild-winter';
  if (coldest < -3) return 'cold-continental';
  return warmest < 17 ? 'cool-maritime' : 'temperate';
}

/** Rules of thumb, in days and °C. Common practice. */
const RULE = {
  warmPlace: 10,
  firstBrood: { after: 35, warmAfter: 10, above: -2 },
  buildUp: { mean: 7, withPollen: 5, warmAfter: 14 },
  swarming: { after: 35, mean: 10, least: 42, most: 84, pastSolstice: 21 },
  mainFlow: 8,
  cold: { mean: 8, overColdest: 1.5 },
  winterBees: 75,
  closing: 21,
} as const;
/** Days of half a year. */
const HALF_YEAR = 183;
/** Days on either side over which the usual temperatures are averaged. Common practice. */
const WINDOW = 7;
/** Days that a phase lasts at least: a shorter one belongs to the one before. Common practice. */
const SHORTEST = 5;

/** Days of the year of growth, counted from its turn, at which the colony's year turns over. */
interface Anchors {
  readonly firstBrood: number;
  readonly buildUp: number;
  readonly swarmFrom: number;
  readonly swarmTo: number;
  readonly winterBees: number;
  readonly closing: number;
  readonly cold: number;
  readonly warmPlace: boolean;
}

/** Reckoned before, by the year of growth: whoever asks for the winter asks several times. */
const kept = new WeakMap<PhaseFacts, Map<CivilDate, Turns>>();

interface Turns {
  /** Mean temperature over two weeks around each day of the year of growth, °C. */
  readonly means: readonly number[];
  readonly at: Anchors;
}

function turnsOf(facts: PhaseFacts, begin: CivilDate): Turns {
  const years = kept.get(facts) ?? new Map<CivilDate, Turns>();
  kept.set(facts, years);
  const before = years.get(begin);
  if (before) return before;
  const means = fortnights(facts, begin);
  const turns = { means, at: anchorsOf(facts, begin, means) };
  years.set(begin, turns);
  return turns;
}

function fortnights({ usual, days }: PhaseFacts, begin: CivilDate): readonly number[] {
  const known = new Map(days.map(({ date, low, high }) => [date, (low + high) / 2]));
  const means = Array.from({ length: 365 + 2 * WINDOW }, (_, index) => {
    const date = addDays(begin, index - WINDOW);
    return known.get(date) ?? usualMean(usual, date);
  });
  let sum = means.slice(0, 2 * WINDOW + 1).reduce((all, each) => all + each, 0);
  return Array.from({ length: 365 }, (_, day) => {
    if (day > 0) sum += means[day + 2 * WINDOW]! - means[day - 1]!;
    return sum / (2 * WINDOW + 1);
  });
}

function anchorsOf(facts: PhaseFacts, begin: CivilDate, means: readonly number[]): Anchors {
  const coldest = Math.min(...facts.usual.map(({ low, high }) => (low + high) / 2));
  const warmPlace = coldest >= RULE.warmPlace;
  const pollen = (day: number) => inBloom(facts.forage, addDays(begin, day)).some((each) => each.pollen >= 2);
  const firstFrom = (from: number, holds: (day: number) => boolean, otherwise: number) => {
    for (let day = from; day < HALF_YEAR + 60; day += 1) if (holds(day)) return day;
    return otherwise;
  };
  const { firstBrood: first, buildUp: build, swarming, cold } = RULE;
  const firstBrood = firstFrom(
    warmPlace ? first.warmAfter : first.after,
    (day) => means[day]! > first.above,
    HALF_YEAR - 60,
  );
  const warmEnough = (day: number) => means[day]! >= build.mean || (means[day]! >= build.withPollen && pollen(day));
  const buildUp = warmPlace ? firstBrood + build.warmAfter : firstFrom(firstBrood + 7, warmEnough, HALF_YEAR - 30);
  const swarmFrom = firstFrom(buildUp + swarming.after, (day) => means[day]! >= swarming.mean, HALF_YEAR);
  const swarmTo = Math.max(
    swarmFrom + swarming.least,
    Math.min(swarmFrom + swarming.most, HALF_YEAR + swarming.pastSolstice),
  );
  const below = Math.max(cold.mean, coldest + cold.overColdest);
  const found = means.findIndex((mean, day) => day > HALF_YEAR + 30 && mean < below);
  const coldDay = warmPlace || found < 0 ? 365 : found;
  return {
    firstBrood,
    buildUp,
    swarmFrom,
    swarmTo,
    winterBees: coldDay - RULE.winterBees,
    closing: coldDay - RULE.closing,
    cold: coldDay,
    warmPlace,
  };
}

/**
 * The first cold of a year of growth: the day from which the usual fortnight stays too cold for brood, and the days counted back from it.
 *
 * @param facts the place
 * @param date any date in that year
 * @returns beginning of the winter bees, of closing down and of the cold
 */
export function winterOf(
  facts: PhaseFacts,
  date: CivilDate,
): { readonly winterBees: CivilDate; readonly closing: CivilDate; readonly cold: CivilDate } {
  const begin = lastOf(facts.turn, date);
  const { winterBees, closing, cold } = turnsOf(facts, begin).at;
  return { winterBees: addDays(begin, winterBees), closing: addDays(begin, closing), cold: addDays(begin, cold) };
}

interface DayPhase {
  readonly phase: Phase;
  /** Asked only of the day that speaks for its stretch. */
  readonly why: () => readonly Text[];
  readonly swarming: boolean;
}

const names = (forage: readonly Forage[]): Text => {
  const list = [...forage].sort((a, b) => b.nectar - a.nectar).map((each) => each.plant);
  return list.length > 2
    ? say('and-others', { plants: list.slice(0, 2) })
    : list.length > 1
      ? listed(list)
      : (list[0] ?? '');
};

function dayPhase(
  facts: PhaseFacts,
  begin: CivilDate,
  day: number,
  at: Anchors,
  means: readonly number[],
  afterGap: boolean,
): DayPhase {
  const date = addDays(begin, day);
  const warm = () => say('c-over-two-weeks', { mean: means[day]! });
  const cold = () =>
    at.warmPlace ? say('real-winter-here-year-turns') : say('cold-begins-about', { date: addDays(begin, at.cold) });
  const quiet = (phase: Phase, why: DayPhase['why']): DayPhase => ({ phase, why, swarming: false });
  if (day >= at.cold) return quiet('winter-rest', () => [say('below-warmth-which-rear-brood', { warm: warm() })]);
  if (day < at.firstBrood) return quiet('winter-rest', () => [say('days-have-only-begun-lengthen', { begin }), warm()]);
  if (day < at.buildUp)
    return quiet('first-brood', () => [
      at.warmPlace
        ? say('days-lengthen-first-eggs-laid', { warm: warm() })
        : say('days-lengthen-too-cold-much', { warm: warm() }),
    ]);
  const worth = nectarOn(facts.forage, date);
  const flowering = () => inBloom(facts.forage, date);
  const plants = () => names(nectarOf(flowering()));
  if (day >= at.closing)
    return quiet('closing-down', () => [
      cold(),
      ...(worth >= FLOW_NECTAR ? [say('still-bloom', { plants: plants() })] : []),
    ]);
  if (day >= at.winterBees)
    return worth >= FLOW_NECTAR
      ? quiet('late-flow', () => [say('flowering', { plants: plants() }), cold()])
      : quiet('making-winter-bees', () => [say('bees-reared-now-live-through', { cold: cold() })]);
  const swarming = day >= at.swarmFrom && day < at.swarmTo;
  if (day < at.swarmFrom)
    return quiet('build-up', () => [
      say('brood-grows', { warm: warm() }),
      flowering().length > 0 ? say('flowering', { plants: names(flowering()) }) : say('little-bloom'),
    ]);
  if (worth <= GAP_NECTAR)
    return {
      phase: 'dearth',
      why: () => {
        const few = plants();
        return [few ? say('only-bloom', { plants: few }) : say('nectar-plant-list-bloom')];
      },
      swarming,
    };
  if (swarming && (worth < RULE.mainFlow || day < at.swarmFrom + RULE.swarming.least))
    return {
      phase: 'swarm-season',
      why: () => [say('strong-colonies', { warm: warm() }), say('flowering', { plants: plants() })],
      swarming,
    };
  if (worth >= FLOW_NECTAR)
    return {
      phase: afterGap ? 'late-flow' : 'flow',
      why: () => [say('flowering', { plants: plants() })],
      swarming,
    };
  return { phase: 'dearth', why: () => [say('little-nectar', { plants: plants() })], swarming };
}

/**
 * The phases of a whole year of growth at a place, each with its reasons.
 *
 * @param facts climate, weather and forage of the place
 * @param date any date in that year of growth
 * @returns spans without gaps from its turn to the day before the next
 * @throws RangeError for malformed dates
 */
export function yearPhases(facts: PhaseFacts, date: CivilDate): readonly PhaseSpan[] {
  const begin = lastOf(facts.turn, date);
  const length = daysBetween(begin, lastOf(facts.turn, addDays(begin, 370)));
  const { means, at } = turnsOf(facts, begin);
  let gapDays = 0;
  const days = Array.from({ length }, (_, index) => {
    const day = dayPhase(facts, begin, Math.min(364, index), at, means, gapDays >= WINDOW);
    if (index >= at.swarmTo && day.phase === 'dearth') gapDays += 1;
    return day;
  });
  const spans: { phase: Phase; from: number; to: number }[] = [];
  days.forEach(({ phase }, index) => {
    const last = spans.at(-1);
    if (last?.phase === phase) last.to = index;
    else spans.push({ phase, from: index, to: index });
  });
  const merged = spans.reduce<typeof spans>((kept, span) => {
    const before = kept.at(-1);
    if (before && (span.to - span.from + 1 < SHORTEST || span.phase === before.phase)) before.to = span.to;
    else kept.push({ ...span });
    return kept;
  }, []);
  return merged.map(({ phase, from, to }) => {
    const own = days.slice(from, to + 1).filter((day) => day.phase === phase);
    const middle = own[Math.floor(own.length / 2)]!;
    const swarms = days.flatMap((day, index) => (day.swarming && index >= from && index <= to ? [index] : []));
    return {
      phase,
      from: addDays(begin, from),
      to: addDays(begin, to),
      swarming: swarms.length > 0 ? { from: addDays(begin, swarms[0]!), to: addDays(begin, swarms.at(-1)!) } : null,
      reasons: middle.why(),
    };
  });
}

/**
 * The phase on one date.
 *
 * @param spans phases of the year of growth that holds the date
 * @param date civil date
 * @returns the span, or `null` when the date lies outside
 */
export const phaseOn = (spans: readonly PhaseSpan[], date: CivilDate): PhaseSpan | null =>
  spans.find(({ from, to }) => daysBetween(from, date) >= 0 && daysBetween(date, to) >= 0) ?? null;

/** Days of a year, for phases that come round. */
const ROUND = 365;

/**
 * The phase on any date: beyond the year of growth that is known, the year before or after is taken to run as that one does.
 *
 * @param spans phases of one year of growth
 * @param date civil date
 * @returns the span, moved to the year of the date, or `null` where no phases are known
 */
export function phaseAround(spans: readonly PhaseSpan[], date: CivilDate): PhaseSpan | null {
  const [first] = spans;
  if (first === undefined) return null;
  const moved = Math.floor(daysBetween(first.from, date) / ROUND) * ROUND;
  const span = phaseOn(spans, addDays(date, -moved)) ?? spans.at(-1)!;
  if (moved === 0) return span;
  const move = (day: CivilDate) => addDays(day, moved);
  const { from, to, swarming } = span;
  return {
    ...span,
    from: move(from),
    to: move(to),
    swarming: swarming && { from: move(swarming.from), to: move(swarming.to) },
  };
}

/** Whether swarms may leave on a date. */
export const swarmingOn = ({ swarming }: Pick<PhaseSpan, 'swarming'>, date: CivilDate): boolean =>
  swarming !== null && swarming.from <= date && date <= swarming.to;

/** Phases from which on a lost queen cannot be replaced before winter. Common practice. */
const LATE: ReadonlySet<Phase> = new Set<Phase>(['making-winter-bees', 'closing-down', 'winter-rest']);
export const isLate = (phase: Phase): boolean => LATE.has(phase);

/** Whether a queen lost on a day could not be replaced before winter. */
export const lateInYear = (spans: readonly PhaseSpan[], date: CivilDate): boolean => {
  const phase = phaseOn(spans, date)?.phase;
  return phase !== undefined && isLate(phase);
};
