import { DEVELOPMENT, daysToEmergence } from '../biology';
import { type DayWeather, type Forage, type Phase, type PhaseSpan, inBloom, nectarOn, phaseOn } from '../season';
import { type CivilDate, addDays, daysBetween, earlierOf, laterOf, within } from '../units';
import { eatenDaily } from './eating';
import { say } from './said';
import type { Text } from '../language';

/** How a strain answers a dearth: a habit, no fault. */
export const STRAINS = ['keeps-laying', 'cuts-down', 'stops'] as const;
export type Strain = (typeof STRAINS)[number];

/** What the last record says of a colony. Frames are full-frame equivalents. */
export interface ColonyRecord {
  readonly date: CivilDate;
  readonly bees: number;
  readonly eggs: number;
  readonly larvae: number;
  readonly sealed: number;
  readonly drone: number;
  readonly storesKg: number;
  /** Frames of the nest. */
  readonly frames: number;
}

export interface ExpectedFacts {
  readonly last: ColonyRecord;
  readonly today: CivilDate;
  readonly phases: readonly PhaseSpan[];
  readonly forage: readonly Forage[];
  /** Observed and forecast days; days that are missing count as ordinary ones. */
  readonly days: readonly DayWeather[];
  /** Feeds since the last record, sugar or honey in kg. */
  readonly fed: readonly { readonly date: CivilDate; readonly kg: number }[];
  readonly strain: Strain;
  /** Cells of a frame, both sides, and bees that cover one. */
  readonly cellsPerFrame: number;
  readonly beesPerFrame: number;
  /**
   * The queen that the colony waits for: no eggs are laid from one day on, and she should begin between two others; `null` while a queen is
   * known to lay. Until somebody saw her eggs she may as well be lost.
   */
  readonly waiting: WaitingForQueen | null;
}

export interface WaitingForQueen {
  readonly stopped: CivilDate;
  readonly from: CivilDate;
  readonly to: CivilDate;
}

/** A figure expected, with its range. */
export interface Expected {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface ExpectedState {
  readonly phase: Phase | null;
  readonly days: number;
  readonly bees: Expected;
  readonly eggs: Expected;
  readonly larvae: Expected;
  readonly sealed: Expected;
  readonly brood: Expected;
  readonly drone: Expected;
  readonly storesKg: Expected;
  readonly mood: Text;
  /** Why the record is too old to expect anything of, in one sentence; `null` when it is not. */
  readonly stale: Text | null;
  /** What moved the expectation away from the ordinary course, in words. */
  readonly because: readonly Text[];
}

/** Eggs a day of a good queen at the height of each phase, before bees, food and weather hold her back. Common practice; peak near 2000. */
const LAYING: Readonly<Record<Phase, number>> = {
  'winter-rest': 0,
  'first-brood': 220,
  'build-up': 1000,
  'swarm-season': 1500,
  flow: 1350,
  dearth: 900,
  'late-flow': 800,
  'making-winter-bees': 600,
  'closing-down': 150,
};
/** Days that a worker lives as an adult in each phase. Winter bees: 4 to 8 months, until they rear the first brood. Common practice. */
const LIFE: Readonly<Record<Phase, number>> = {
  'winter-rest': 170,
  'first-brood': 48,
  'build-up': 40,
  'swarm-season': 34,
  flow: 32,
  dearth: 36,
  'late-flow': 42,
  'making-winter-bees': 55,
  'closing-down': 80,
};
/** Share of the brood that is drone. Common practice. */
const DRONE: Readonly<Record<Phase, number>> = {
  'winter-rest': 0,
  'first-brood': 0,
  'build-up': 0.04,
  'swarm-season': 0.08,
  flow: 0.06,
  dearth: 0.02,
  'late-flow': 0.015,
  'making-winter-bees': 0.005,
  'closing-down': 0,
};
const MOOD: Readonly<Record<Phase, Text>> = {
  'winter-rest': say('clustered-still-low-hum-when'),
  'first-brood': say('quiet-few-wing'),
  'build-up': say('calm-fine-days-short-tempered'),
  'swarm-season': say('busy-mostly-calm-restless-when'),
  flow: say('gentle-foragers-away'),
  dearth: say('defensive-robbing-about'),
  'late-flow': say('fairly-gentle-heavy-traffic'),
  'making-winter-bees': say('watchful-robbers-wasps-put-edge'),
  'closing-down': say('slow-clinging-sharp-when-lid'),
};
/** Laying in a dearth as a share of before, by strain. Common practice. */
const IN_DEARTH: Readonly<Record<Strain, number>> = { 'keeps-laying': 0.9, 'cuts-down': 0.45, stops: 0.04 };

/** Nectar that a frame of bees brings home a day for each point of worth in bloom, ripened, kg: 0.9 to 1.4 kg a day of a strong hive in a flow. Common practice. */
export const BRINGS = 0.011;
/** Bees that keep brood warm and fed: frames of brood at most for each frame of bees; fewer while nights are cold. Common practice. */
const BROOD_PER_BEES: Readonly<Partial<Record<Phase, number>>> = {
  'winter-rest': 0.1,
  'first-brood': 0.22,
  'build-up': 0.45,
  'closing-down': 0.3,
};
const BROOD_IN_THE_WARM = 0.75;
/** Days of an open season without a look after which nothing can be said of a colony: crops, swarms and feeds are not known. Common practice. */
const STALE_DAYS = 75;
const WORKER_DAYS = daysToEmergence('worker');

interface Count {
  dearth: number;
  rain: number;
  fed: number;
  hungry: number;
  crowded: number;
  broodless: number;
}

interface Course {
  bees: number;
  /** Eggs laid that many days ago and still in the comb. */
  readonly cells: number[];
  stores: number;
  wet: number;
}

/** Part of a day's foraging that is left with more rain, mm, or a lower highest temperature, °C; of a day that nobody knows. Common practice. */
const KEPT_IN = { rain: 4, high: 10, leaves: 0.1 } as const;
const HALF_DAY = { rain: 1, high: 13, leaves: 0.5 } as const;
const UNKNOWN_DAY = 0.75;

/** Share of a day's foraging that its weather allows. */
export const flyable = (day: DayWeather | undefined): number =>
  day === undefined
    ? UNKNOWN_DAY
    : ([KEPT_IN, HALF_DAY].find(({ rain, high }) => day.rain > rain || day.high < high)?.leaves ?? 1);

/** How far an expectation may be off: a share at once, more with each day, and at most. Common practice. */
const OFF = { atOnce: 0.12, aDay: 0.009, most: 0.55 } as const;
/** And by how much at least, in frames and kg. Common practice. */
const AT_LEAST = {
  bees: 0.4,
  eggs: 0.3,
  larvae: 0.4,
  sealed: 0.4,
  brood: 0.5,
  drone: 0.15,
  storesKg: 0.8,
  storesKgADay: 0.05,
} as const;
/** Days for which a feed keeps brood going, and laying in a dearth meanwhile as a share of before. Common practice. */
const FED_DAYS = 8;
const FED_IN_DEARTH = 0.8;
/** Five days to a week without flying stop brood rearing where the pollen store is thin: laying that is left, by pollen in bloom. Common practice. */
const SHUT_IN_DAYS = 5;
const SHUT_IN = { pollen: 8, rich: 0.7, thin: 0.35 } as const;
/** Food below which they rear less, kg, and laying that is left. Common practice. */
const HUNGRY = { belowKg: 1.5, laying: 0.25 } as const;
/** Part of the nest's frames that brood fills at most, and frames of it that any colony keeps warm. Common practice. */
const NEST_FILLED = 0.72;
const LEAST_BROOD = 0.3;
/** Days over which a nest that has room is filled. Common practice. */
const FILLED_IN = 6;
/** Part of her laying from which a queen that finds no cells counts as crowded. Common practice. */
const CROWDED = 0.8;
/** Days of each cause from which it is told as a reason. Common practice. */
const TOLD_FROM = { dearth: 5, hungry: 2, crowded: 14 } as const;
/** Part of the sealed brood that lives to emerge, and of a feed that is stored. Common practice. */
const EMERGES = 0.93;
const STORED = 0.9;

function startOf({ last, cellsPerFrame, beesPerFrame }: ExpectedFacts): Course {
  const { egg, larva, sealed } = DEVELOPMENT.worker;
  const cells = Array.from({ length: WORKER_DAYS }, (_, age) => {
    if (age < egg) return (last.eggs * cellsPerFrame) / egg;
    return age < egg + larva ? (last.larvae * cellsPerFrame) / larva : (last.sealed * cellsPerFrame) / sealed;
  });
  return { bees: last.bees * beesPerFrame, cells, stores: last.storesKg, wet: 0 };
}

/**
 * What a colony should look like before it is opened: its last record taken forward day by day through phase, forage, weather and feeds.
 *
 * @param facts the colony, its place and what was done since
 * @returns figures in frames and kg with their ranges, the mood of the phase, and what moved them
 * @throws RangeError for malformed dates, a record from the future, or a figure that is none
 */
export function expectedState(facts: ExpectedFacts): ExpectedState {
  const days = daysBetween(facts.last.date, facts.today);
  if (days < 0) throw new RangeError('the last record lies after the day that is asked for');
  within('cells of a frame', facts.cellsPerFrame, 1);
  within('bees of a frame', facts.beesPerFrame, 1);
  within('frames of bees', facts.last.bees, 0);
  within('food in kg', facts.last.storesKg, 0);
  for (const stage of ['eggs', 'larvae', 'sealed', 'drone'] as const)
    within(`frames of ${stage}`, facts.last[stage], 0);
  const weather = new Map(facts.days.map((day) => [day.date, day]));
  const { waiting } = facts;
  const { course, count } = courseTo(facts, days, waiting?.to ?? null, weather);
  // She may have begun on the first day on which she could: that is the most brood there can be.
  const soonest = waiting ? courseTo(facts, days, waiting.from, weather).course : course;
  const { egg, larva } = DEVELOPMENT.worker;
  const framesOf = (of: Course, from: number, to: number) =>
    of.cells.slice(from, to).reduce((a, b) => a + b, 0) / facts.cellsPerFrame;
  const frames = (from: number, to: number) => framesOf(course, from, to);
  const phase = phaseOn(facts.phases, facts.today)?.phase ?? null;
  const give = Math.min(OFF.most, OFF.atOnce + OFF.aDay * days);
  const range = (value: number, least: number): Expected => ({
    value,
    low: Math.max(0, value * (1 - give) - least),
    high: value * (1 + give) + least,
  });
  const stage = (from: number, to: number, least: number): Expected => {
    const found = range(frames(from, to), least);
    if (!waiting) return found;
    // Cells laid by the queen before are certain; those of the young one may all be missing.
    const old = framesOf(course, Math.max(from, Math.min(to, daysBetween(waiting.from, facts.today) + 1)), to);
    return {
      ...found,
      low: Math.min(found.low, range(old, least).low),
      high: range(framesOf(soonest, from, to), least).high,
    };
  };
  const brood = frames(0, WORKER_DAYS);
  const open = openDays(facts);
  const drones =
    phase === null
      ? facts.last.drone
      : blend(facts.last.drone, brood * DRONE[phase], Math.min(1, days / daysToEmergence('drone')));
  return {
    phase,
    days,
    bees: range(course.bees / facts.beesPerFrame, AT_LEAST.bees),
    eggs: stage(0, egg, waiting && facts.today < waiting.from ? 0 : AT_LEAST.eggs),
    larvae: stage(egg, egg + larva, AT_LEAST.larvae),
    sealed: stage(egg + larva, WORKER_DAYS, AT_LEAST.sealed),
    brood: stage(0, WORKER_DAYS, AT_LEAST.brood),
    drone: range(drones, AT_LEAST.drone),
    storesKg: range(course.stores, AT_LEAST.storesKg + AT_LEAST.storesKgADay * days),
    mood: phase === null ? say('last-time') : MOOD[phase],
    stale: open > STALE_DAYS ? say('last-combs-were-read-days', { days, open }) : null,
    because: reasonsOf(facts, count),
  };
}

function courseTo(
  facts: ExpectedFacts,
  days: number,
  layingFrom: CivilDate | null,
  weather: ReadonlyMap<CivilDate, DayWeather>,
): { readonly course: Course; readonly count: Count } {
  const course = startOf(facts);
  const count = { dearth: 0, rain: 0, fed: 0, hungry: 0, crowded: 0, broodless: 0 };
  for (let day = 1; day <= days; day += 1)
    step(facts, course, addDays(facts.last.date, day), weather, count, layingFrom);
  // What a record shows of days on which no queen can have laid is older brood than it was taken for.
  const { waiting, today } = facts;
  if (waiting && layingFrom)
    course.cells.forEach((_, age) => {
      const laid = addDays(today, -age);
      if (laid >= waiting.stopped && laid < layingFrom) course.cells[age] = 0;
    });
  return { course, count };
}

/** Days since the record on which colonies were open to forage: winter moves little. */
function openDays({ last, today, phases }: ExpectedFacts): number {
  const shut = phases
    .filter(({ phase }) => phase === 'winter-rest' || phase === 'first-brood')
    .reduce((sum, { from, to }) => {
      const [first, final] = [laterOf(from, addDays(last.date, 1)), earlierOf(to, today)];
      return sum + Math.max(0, daysBetween(first, final) + 1);
    }, 0);
  return daysBetween(last.date, today) - shut;
}

const blend = (a: number, b: number, share: number): number => a + (b - a) * share;

function step(
  facts: ExpectedFacts,
  course: Course,
  date: CivilDate,
  weather: ReadonlyMap<CivilDate, DayWeather>,
  count: Count,
  layingFrom: CivilDate | null,
): void {
  const span = phaseOn(facts.phases, date);
  const phase = span?.phase ?? 'build-up';
  const fly = flyable(weather.get(date));
  course.wet = fly <= KEPT_IN.leaves ? course.wet + 1 : 0;
  const today = facts.fed.filter((feed) => feed.date === date).reduce((sum, feed) => sum + feed.kg, 0);
  const lately = facts.fed.some(
    (feed) => daysBetween(feed.date, date) >= 0 && daysBetween(feed.date, date) <= FED_DAYS,
  );
  const beeFrames = course.bees / facts.beesPerFrame;
  const broodFrames = course.cells.reduce((a, b) => a + b, 0) / facts.cellsPerFrame;
  let laying = LAYING[phase] * (phase === 'build-up' && span ? ramp(span, date) : 1);
  if (phase === 'dearth') {
    count.dearth += 1;
    laying *= lately ? Math.max(FED_IN_DEARTH, IN_DEARTH[facts.strain]) : IN_DEARTH[facts.strain];
  }
  const pollen = inBloom(facts.forage, date).reduce((sum, each) => sum + each.pollen, 0);
  if (course.wet >= SHUT_IN_DAYS && phase !== 'winter-rest') {
    count.rain += 1;
    laying *= pollen >= SHUT_IN.pollen ? SHUT_IN.rich : SHUT_IN.thin;
  }
  if (lately) count.fed += 1;
  if (course.stores < HUNGRY.belowKg) {
    count.hungry += 1;
    laying *= HUNGRY.laying;
  }
  const room =
    Math.min(
      facts.last.frames * NEST_FILLED,
      Math.max(LEAST_BROOD, beeFrames * (BROOD_PER_BEES[phase] ?? BROOD_IN_THE_WARM)),
    ) * facts.cellsPerFrame;
  const held = Math.max(0, (room - broodFrames * facts.cellsPerFrame) / FILLED_IN + (course.cells.at(-1) ?? 0));
  if (held < laying * CROWDED) count.crowded += 1;
  if (layingFrom !== null && facts.waiting && date >= facts.waiting.stopped && date < layingFrom) {
    count.broodless += 1;
    laying = 0;
  }
  const emerging = course.cells.pop() ?? 0;
  course.cells.unshift(Math.min(laying, held));
  course.bees = Math.max(0, course.bees * (1 - 1 / LIFE[phase]) + emerging * EMERGES);
  const eaten = eatenDaily(beeFrames, broodFrames, phase === 'winter-rest');
  const brought = phase === 'winter-rest' ? 0 : nectarOn(facts.forage, date) * fly * beeFrames * BRINGS;
  course.stores = Math.max(0, course.stores - eaten + brought + today * STORED);
}

/** In build-up she begins with a fifth of what she lays at its end. Common practice. */
const BEGINS = 0.2;
const ramp = ({ from, to }: PhaseSpan, date: CivilDate): number =>
  BEGINS + ((1 - BEGINS) * daysBetween(from, date)) / Math.max(1, daysBetween(from, to));

function reasonsOf({ strain, waiting, today }: ExpectedFacts, count: Count): readonly Text[] {
  return [
    count.dearth >= TOLD_FROM.dearth
      ? say('days-dearth-comb-built-honey', { dearth: count.dearth, strain: STRAIN_WORDS[strain] })
      : null,
    count.rain >= 1 ? say('rain-cold-kept-days-end') : null,
    count.fed >= 1 ? say('fed-brood-kept-up-stores') : null,
    count.hungry >= TOLD_FROM.hungry ? say('food-ran-low-less-brood') : null,
    waiting && today < waiting.from ? say('young-queen-cannot-lay-before', { from: waiting.from }) : null,
    waiting && today >= waiting.from ? say('nobody-has-seen-young-queens', { to: waiting.to }) : null,
    count.crowded >= TOLD_FROM.crowded && count.dearth < TOLD_FROM.dearth ? say('brood-held-back-number-bees') : null,
  ].filter((each) => each !== null);
}

const STRAIN_WORDS: Readonly<Record<Strain, Text>> = {
  'keeps-laying': say('keeps-laying-through'),
  'cuts-down': say('cuts-brood-down'),
  stops: say('stops-altogether'),
};
