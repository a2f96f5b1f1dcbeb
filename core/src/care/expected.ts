import {
  type Colony,
  DEVELOPMENT,
  HELD,
  type Nest,
  WORKER_DAYS,
  beesOf,
  cellsBetween,
  colonyNextDay,
  colonyOf,
  daysToEmergence,
} from '../biology';
import { type FrameKindId, combArea, nestBoxes } from '../equipment';
import { BEES_PER_DM2, type HiveRead, WORKER_CELLS_PER_DM2 } from '../inspection';
import { type Phase, phaseAround, phaseOn } from '../season';
import { type CivilDate, addDays, daysBetween, within } from '../units';
import { DRONE_SHARE, type DaysFacts, type Strain, type WaitingForQueen, colonyDays } from './colony-days';
import { say } from './said';
import type { Text } from '../language';

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

/** Cells of a full frame, both sides, and bees that cover it. */
export function combOfFrame(frame: FrameKindId): Pick<Nest, 'cellsPerFrame' | 'beesPerFrame'> {
  const area = combArea(frame) * 2;
  return { cellsPerFrame: area * WORKER_CELLS_PER_DM2, beesPerFrame: area * BEES_PER_DM2 };
}

/**
 * What a look read of a colony, as its record.
 *
 * @param read the hive as the look read it
 * @param date civil date of the look
 * @returns the record; bees that nobody counted are taken as an ordinary part of the frames; `null` where no comb was read
 */
export function recordOf({ nest, stack }: HiveRead, date: CivilDate): ColonyRecord | null {
  if (nest.sidesRead === 0) return null;
  const frames = nestBoxes(stack).reduce((sum, box) => sum + box.frames, 0);
  return {
    date,
    bees: nest.framesOfBees?.value ?? frames * USUALLY_COVERED,
    eggs: nest.eggs.value,
    larvae: nest.larvae.value,
    sealed: nest.sealedWorker.value,
    drone: nest.sealedDrone.value,
    storesKg: nest.storesKg.value,
    frames,
  };
}

/** Part of the frames that bees cover where nobody counted. Common practice. */
const USUALLY_COVERED = 0.6;

export interface ExpectedFacts extends Omit<DaysFacts, 'noQueen' | 'courses'>, Omit<Nest, 'frames' | 'holdsKg'> {
  readonly last: ColonyRecord;
  readonly today: CivilDate;
  /** `null` while a queen is known to lay. Until somebody saw her eggs she may as well be lost. */
  readonly waiting: WaitingForQueen | null;
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

/** Days of an open season without a look after which nothing can be said of a colony: crops, swarms and feeds are not known. Common practice. */
const STALE_DAYS = 75;
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
/** Days of each cause from which it is told as a reason. Common practice. */
const TOLD_FROM = { dearth: 5, hungry: 2, crowded: 14 } as const;
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
  const { waiting } = facts;
  const { course, count } = courseTo(facts, days, waiting?.to ?? null);
  // She may have begun on the first day on which she could: that is the most brood there can be.
  const soonest = waiting ? courseTo(facts, days, waiting.from).course : course;
  const { egg, larva } = DEVELOPMENT.worker;
  const framesOf = (of: Colony, from: number, to: number) => cellsBetween(of, from, to) / facts.cellsPerFrame;
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
      : blend(facts.last.drone, brood * DRONE_SHARE[phase], Math.min(1, days / daysToEmergence('drone')));
  return {
    phase,
    days,
    bees: range(beesOf(course) / facts.beesPerFrame, AT_LEAST.bees),
    eggs: stage(0, egg, waiting && facts.today < waiting.from ? 0 : AT_LEAST.eggs),
    larvae: stage(egg, egg + larva, AT_LEAST.larvae),
    sealed: stage(egg + larva, WORKER_DAYS, AT_LEAST.sealed),
    brood: stage(0, WORKER_DAYS, AT_LEAST.brood),
    drone: range(drones, AT_LEAST.drone),
    storesKg: range(course.storesKg, AT_LEAST.storesKg + AT_LEAST.storesKgADay * days),
    mood: phase === null ? say('last-time') : MOOD[phase],
    stale: open > STALE_DAYS ? say('last-combs-were-read-days', { days, open }) : null,
    because: reasonsOf(facts, count),
  };
}

/** Days of each cause that moved a colony away from the ordinary course. */
interface Count {
  readonly dearth: number;
  readonly rain: number;
  readonly fed: number;
  readonly hungry: number;
  readonly crowded: number;
}

function courseTo(
  facts: ExpectedFacts,
  days: number,
  layingFrom: CivilDate | null,
): { readonly course: Colony; readonly count: Count } {
  const { waiting, today, last } = facts;
  // What does not fit into the nest goes into supers, which the record does not tell of.
  const nest: Nest = { ...facts, frames: last.frames, holdsKg: Infinity };
  const noQueen = waiting && layingFrom ? { from: waiting.stopped, until: layingFrom } : null;
  const ahead = colonyDays({ ...facts, courses: [], noQueen }, addDays(last.date, 1), days);
  const lifeThen = colonyDays({ ...facts, courses: [], noQueen }, last.date, 1)[0]!.life;
  const course = colonyOf(last, nest, lifeThen);
  const held = ahead.map((day) => colonyNextDay(course, day, nest));
  // What a record shows of days on which no queen can have laid is older brood than it was taken for.
  if (noQueen)
    course.cells.forEach((_, age) => {
      const laid = addDays(today, -age);
      if (laid >= noQueen.from && laid < noQueen.until) course.cells[age] = 0;
    });
  return {
    course,
    count: {
      dearth: ahead.filter(({ dearth }) => dearth).length,
      rain: ahead.filter(({ shutIn }) => shutIn).length,
      fed: ahead.filter(({ fedLately }) => fedLately).length,
      hungry: held.filter((each) => (each & HELD.hungry) > 0).length,
      crowded: held.filter((each) => (each & HELD.crowded) > 0).length,
    },
  };
}

const blend = (a: number, b: number, share: number): number => a + (b - a) * share;

/** Phases in which hives stand shut. */
const SHUT: ReadonlySet<Phase | undefined> = new Set<Phase | undefined>(['winter-rest', 'first-brood']);

/** Days since the record on which colonies were open to forage: winter moves little. */
function openDays({ last, today, phases }: ExpectedFacts): number {
  const days = Array.from({ length: daysBetween(last.date, today) }, (_, day) => addDays(last.date, day + 1));
  return days.filter((date) => !SHUT.has(phaseAround(phases, date)?.phase)).length;
}

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
