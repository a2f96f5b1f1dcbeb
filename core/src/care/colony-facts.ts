import type { MatingDay } from '../biology';
import { BOXES, frameOf, nestBoxes, supers } from '../equipment';
import {
  type FrameSides,
  type HiveRead,
  type Letter,
  type MarkId,
  type Question,
  type QueenStatus,
  type SeenEnough,
  broodFrames,
  eggsWouldShow,
  framesWithCells,
  honeyByWeight,
  latestFindings,
  nectarAmongBrood,
  queenSigns,
  queenStatus,
  seenEnough,
  superHoney,
} from '../inspection';
import {
  type Forage,
  PHASE_WORK,
  bandOf,
  type Phase,
  type PhaseFacts,
  type PhaseSpan,
  coldBegins,
  inBloom,
  mainFlow,
  lateInYear,
  mitesDownBy,
  nectarOn,
  phaseOn,
  yearPhases,
} from '../season';
import { type CivilDate, type MonthDay, addDays, daysBetween, lastOf } from '../units';
import { practiceFor } from './aim';
import { characterOf } from './character';
import type { ColonyEvent } from './colony-event';
import { queenInTheMaking } from './dues-queen';
import { A_QUARTER } from './reading';
import type { Strain } from './colony-days';
import { combOfFrame, expectedState, recordOf } from './expected';
import type { ColonyFacts, HouseCare, NOTHING_BESIDES } from './facts';
import { feedingsOf } from './feed-uptake';
import { type Course, coursesOf } from './treatments';
import { honeyLock } from './withdrawal';
import { woodworkOf } from './woodwork';

/** The season at a site, as far as a judgement about one colony rests on it. */
export interface SeasonKnown {
  readonly phases: readonly PhaseSpan[];
  /** What the phases rest on: those of the year after are reckoned from it. */
  readonly facts: PhaseFacts;
  readonly bloom: readonly Forage[];
  readonly matingDays: readonly MatingDay[];
  /** Days of the coming seven in which bees can hardly fly; `null` without a forecast. */
  readonly poorDays: number | null;
}

/** A look into the hive and its day. */
export interface Look {
  readonly read: HiveRead;
  readonly date: CivilDate;
}

/** A visit, those before it, and what is known of the colony and its place besides. */
export interface VisitKnown {
  readonly hive: string;
  readonly today: CivilDate;
  readonly now: HiveRead;
  /** Looks before this one, the latest last. */
  readonly before: readonly Look[];
  /** What the visit was opened for. */
  readonly questions: readonly Question[];
  /** `null` where nothing is known of the place. */
  readonly season: SeasonKnown | null;
  readonly strain: Strain;
  /** Year in which the queen was reared; `null` when nobody knows. */
  readonly queenYear: number | null;
  /** Mites counted in colonies of the place that were given nothing, colony by colony. */
  readonly untreated?: ColonyFacts['untreated'];
  readonly queenClipped?: boolean;
  /** What happened to the colony, until this day. */
  readonly events: readonly ColonyEvent[];
  readonly practice: HouseCare;
}

/** A virgin seen at a visit is the queen that somebody logged within so many days. */
const QUEEN_TOLD = 30;

/**
 * What was logged, with what visits saw: eggs, and a virgin that nobody logged.
 *
 * @param logged events as somebody entered them
 * @param reads visits with their days
 * @returns all of it, in no order
 */
export function withSeen(logged: readonly ColonyEvent[], reads: readonly Look[]): readonly ColonyEvent[] {
  const eggs = reads
    .filter(({ read }) => read.nest.eggs.value > 0 || read.record.ticks.eggs === true)
    .map(({ date }): ColonyEvent => ({ kind: 'eggs-seen', date }));
  const queens = logged.filter(({ kind }) => kind === 'queen');
  const virgins = reads.flatMap(({ read, date }): ColonyEvent[] => {
    const seen = read.record.findings.some(({ finding, found }) => finding === 'virgin-queen' && found);
    const told = queens.some((event) => Math.abs(daysBetween(event.date, date)) <= QUEEN_TOLD);
    return seen && !told ? [{ kind: 'queen', start: 'virgin-emerged', date }] : [];
  });
  return [...logged, ...virgins, ...eggs];
}

/** Phases in which a super that is still on is left to the bees. */
const LEFT_ON: ReadonlySet<Phase> = new Set<Phase>(['closing-down', 'winter-rest', 'first-brood']);

/**
 * Everything that the judges rest on, from a visit and what is known besides.
 *
 * @param known the visit, those before, the season, events, house practice
 * @returns facts; what nobody looked at is `null` or not counted
 * @throws RangeError for malformed dates
 */
export function colonyFacts(known: VisitKnown): ColonyFacts {
  const { today, now, season, events } = known;
  const last = known.before.at(-1);
  const shows = (letter: Letter) =>
    now.nestSides.some((side) => (side.eighths[letter] ?? 0) > 0 || side.trace.includes(letter));
  const { ticks } = now.record;
  const young = season && queenInTheMaking({ events, matingDays: season.matingDays, today });
  const phase = season && (phaseOn(season.phases, today)?.phase ?? null);
  const held = nestOf(now);
  const ahead = season && spansAhead(season);
  const courses = coursesOf(events, today);
  const aim = events.findLast((event) => event.kind === 'aim')?.of ?? null;
  const left = events.findLast(({ kind }) => kind.startsWith('super'))?.kind === 'super-left-as-winter-food';
  return {
    hive: known.hive,
    today,
    phase,
    reopens: ahead && reopensOn(ahead, today),
    strain: known.strain,
    frames: now.box.frames,
    framesRead: now.frames.filter((frame) => frame.low && frame.high).length,
    nestFrames: now.nestFrames,
    ...held,
    last: last?.read.nest ?? null,
    daysSinceLast: last ? daysBetween(last.date, today) : null,
    eggsSeen: shows('E') || ticks.eggs === true,
    larvaeSeen: shows('L') || ticks['young-larvae'] === true,
    sealedSeen: shows('S') || ticks['sealed-brood'] === true,
    queenSeen: ticks.queen === true || now.nestSides.some((side) => side.queen),
    queen: queenOf(known),
    youngQueen: young && { layingTo: young.plan.laying.to, aloneTo: young.plan.alone.to, worry: young.plan.worry },
    queenSeasons:
      known.queenYear === null ? null : queenSeasonsOf(known.queenYear, today, season?.facts.turn ?? NORTHERN_TURN),
    queenClipped: known.queenClipped ?? false,
    queenCells: now.nestSides.reduce((sum, { cells }) => sum + cells, 0),
    cells: now.nestSides.flatMap(({ queenCells }) => queenCells ?? []),
    framesWithCells: framesWithCells(now.frames),
    doubtfulFrames: now.frames.flatMap((frame, index) =>
      sidesOf(frame).some((side) => side.doubtful) ? [index + 1] : [],
    ),
    nectarAmongBrood: nectarAmongBrood(now.frames),
    supers: supers(now.stack).length,
    superFill: now.superFill,
    supersFill: now.supersFill,
    superGain: superGainOf(known),
    broodBoxes: BOXES[now.box.box].role === 'body' ? 0 : nestBoxes(now.stack).length,
    superKg: superHoney(now.stack, now.record),
    supersAreTheirs: left || (phase !== null && LEFT_ON.has(phase)),
    ...honeyFacts(events, today, courses, held.nest.framesOfBees?.value ?? now.box.frames),
    fedThinDays: fedThinDays(events, today),
    courses,
    ...coldOf(season, ahead ?? [], today),
    flowFrom: practiceFor(known.practice, aim).stimulates ? flowAhead(season, today) : null,
    inBloom: inBloom(season?.bloom ?? [], today),
    nectar: season ? nectarOn(season.bloom, today) : 0,
    poorDays: season && season.poorDays,
    highs: (season?.facts.days ?? [])
      .filter(({ date }) => date >= today && date < addDays(today, 7))
      .map(({ high }) => high),
    ...besides(known),
    expected: expectedNow(known),
    band: season && bandOf(season.facts.usual),
    aim,
    character: characterOf(
      events,
      [...known.before, { read: now, date: today }].map(({ read, date }) => ({ date, record: read.record })),
    ),
    practice: known.practice,
  };
}

/** What was found besides the nest, and what was given and counted before. */
function besides({
  today,
  now,
  before,
  events,
  season,
  untreated = [],
}: VisitKnown): Omit<
  Pick<ColonyFacts, keyof typeof NOTHING_BESIDES>,
  'courses' | 'coldFrom' | 'coldDays' | 'expected' | 'band' | 'aim' | 'character'
> {
  const measured = (read: HiveRead) => read.record.measures.map(({ measure }) => measure);
  const suspected = events.findLast(({ kind }) => kind === 'suspicion' || kind === 'suspicion-settled');
  const droneComb = events.findLast(({ kind }) => kind === 'drone-comb-in' || kind === 'drone-comb-out');
  const marks = new Map<MarkId, Set<number>>();
  now.frames.forEach((frame, index) => {
    for (const side of sidesOf(frame))
      for (const mark of side.marks ?? []) marks.set(mark, (marks.get(mark) ?? new Set()).add(index + 1));
  });
  return {
    findings: latestFindings(now.record),
    marks: [...marks].map(([mark, frames]) => ({ mark, frames: [...frames] })),
    ropiness: measured(now).flatMap((each) => (each.what === 'ropiness' ? [each.test] : [])),
    outside: now.record.outside.before ?? now.record.outside.after ?? null,
    wasps: measured(now).findLast((each) => each.what === 'wasps') ?? null,
    woodwork: woodworkOf(now),
    untreated,
    broodFrames: broodFrames(now.frames),
    droneCombDays: droneComb?.kind === 'drone-comb-in' ? daysBetween(droneComb.date, today) : null,
    suspicion: suspected?.kind === 'suspicion' ? suspected.of : null,
    samples: [...before, { read: now, date: today }].flatMap(({ read, date }) =>
      measured(read).flatMap((each) =>
        each.what === 'mites-on-bees' ? [{ date, method: each.method, bees: each.bees, mites: each.mites }] : [],
      ),
    ),
    ahead: (season?.facts.days ?? []).filter(({ date }) => date >= today),
    mitesDownBy: season && mitesDownBy(season.facts, today),
  };
}

/** Part of the sides that a look has to have read, before anything is expected from it. Common practice. */
const EXPECTS_FROM = 0.75;

/** After these a colony goes another way than its last look led to expect. */
const BEGINS_ANEW: ReadonlySet<ColonyEvent['kind']> = new Set<ColonyEvent['kind']>(['queen', 'hived', 'brood-stopped']);

/** What the last look leads to expect of bees and brood. */
function expectedNow({ before, today, season, events, strain }: VisitKnown): ColonyFacts['expected'] {
  const last = before.at(-1);
  if (!last || !season || last.read.nest.framesOfBees === null) return null;
  if (last.read.nest.sidesRead < last.read.nestFrames * 2 * EXPECTS_FROM) return null;
  if (events.some(({ kind, date }) => date > last.date && BEGINS_ANEW.has(kind))) return null;
  if (queenInTheMaking({ events, matingDays: season.matingDays, today })) return null;
  const record = recordOf(last.read, last.date);
  if (record === null || record.date >= today) return null;
  const { days, bees, brood } = expectedState({
    last: record,
    today,
    phases: season.phases,
    forage: season.bloom,
    days: season.facts.days,
    fed: feedsSince(events, last.date),
    strain,
    ...combOfFrame(frameOf(last.read.box)),
    waiting: null,
  });
  return { days, bees, brood };
}

/** Feeds after a day, in kg of sugar or honey. */
export const feedsSince = (
  events: readonly ColonyEvent[],
  date: CivilDate,
): readonly { readonly date: CivilDate; readonly kg: number }[] =>
  events.flatMap((event) => (event.kind === 'feed' && event.date > date ? [{ date: event.date, kg: event.kg }] : []));

/** Phases of this year of growth and of the next. */
const spansAhead = ({ phases, facts }: SeasonKnown): readonly PhaseSpan[] => [
  ...phases,
  ...yearPhases(facts, addDays(phases.at(-1)!.to, 1)),
];

/** The cold of this year of growth: from when, and how long hives then stand still. */
function coldOf(
  season: SeasonKnown | null,
  spans: readonly PhaseSpan[],
  today: CivilDate,
): Pick<ColonyFacts, 'coldFrom' | 'coldDays'> {
  const coldFrom = season && coldBegins(season.facts, today);
  if (coldFrom === null) return { coldFrom, coldDays: null };
  const over = spans.find(({ phase, from }) => from > coldFrom && phase === 'build-up');
  return { coldFrom, coldDays: over ? daysBetween(coldFrom, over.from) : null };
}

/** A weight that was guessed by feel may be off by so much. Common practice. */
const BY_FEEL = 0.3;

/** What the nest holds: by its combs, by seams from above where no bees were read, and by weight where hardly any comb was. */
export function nestOf({ nest, nestFrames, stack, record }: HiveRead): Pick<ColonyFacts, 'nest' | 'foodWeighed'> {
  const boxes = nestBoxes(stack);
  const seams = boxes.map(({ id }) => record.seams[id] ?? null).filter((count) => count !== null);
  const counted = seams.reduce((sum, count) => sum + count, 0);
  const bees = nest.framesOfBees ?? (seams.length > 0 ? { value: counted, low: counted - 1, high: counted + 1 } : null);
  const weighed =
    nest.sidesRead > nestFrames * 2 * A_QUARTER
      ? []
      : boxes.map((box) => honeyByWeight(box, record)).filter((kg) => kg !== null);
  const kg = weighed.reduce((sum, each) => sum + each, 0);
  const food = { value: kg, low: kg * (1 - BY_FEEL), high: kg * (1 + BY_FEEL) };
  return {
    nest: { ...nest, framesOfBees: bees, ...(weighed.length > 0 ? { storesKg: food } : {}) },
    foodWeighed: weighed.length > 0,
  };
}

function flowAhead(season: SeasonKnown | null, today: CivilDate): CivilDate | null {
  const begin = season && lastOf(season.facts.turn, today);
  const flow = begin && mainFlow(season.bloom, begin, addDays(begin, 364));
  return flow && flow.from > today ? flow.from : null;
}

function fedThinDays(events: readonly ColonyEvent[], today: CivilDate): number | null {
  const fed = events.findLast((event) => event.kind === 'feed' && event.what === 'thin-syrup');
  return fed ? daysBetween(fed.date, today) : null;
}

/**
 * Seasons that a queen has seen, this one among them. Where winter lies in the middle of the calendar's year, its first half belongs to the
 * season before.
 *
 * @param queenYear calendar year in which she was reared
 * @param today civil date
 * @param turn day on which the year of growth begins
 * @returns one or more
 */
export function queenSeasonsOf(queenYear: number, today: CivilDate, turn: MonthDay): number {
  const turned = turn > '03' && turn < '10' && today.slice(5) < turn;
  return Math.max(1, Number(today.slice(0, 4)) - queenYear + (turned ? 0 : 1));
}

/** Looks further apart than this say nothing of what comes in now, days. Common practice. */
const RATE_WITHIN = 21;

/** What the supers gained a day since the last look at the same supers, as a share of them. */
function superGainOf({ now, before, today }: VisitKnown): number | null {
  const { supersFill } = now;
  const earlier = before.findLast(
    ({ read }) => read.supersFill !== null && supers(read.stack).length === supers(now.stack).length,
  );
  if (supersFill === null || !earlier) return null;
  const days = daysBetween(earlier.date, today);
  return days < 1 || days > RATE_WITHIN ? null : (supersFill - earlier.read.supersFill!) / days;
}

/** The northern winter solstice. */
const NORTHERN_TURN: MonthDay = '12-21';

/** From when a new super may go on, and until when so many frames of bees carry feed. */
function honeyFacts(events: readonly ColonyEvent[], today: CivilDate, courses: readonly Course[], bees: number) {
  const { superOnFrom, fedUntil } = honeyLock(courses, [], today, feedingsOf(events, bees));
  return { superOnFrom, fedUntil };
}

/** First day on which hives that are shut now are opened again; `null` while they are not shut. */
function reopensOn(spans: readonly PhaseSpan[], date: CivilDate): CivilDate | null {
  const shut = ({ phase }: PhaseSpan) => PHASE_WORK[phase].interval === null;
  const now = phaseOn(spans, date);
  if (!now || !shut(now)) return null;
  return spans.find((span) => span.from > date && !shut(span))?.from ?? null;
}

const sidesOf = (frame: FrameSides) => [frame.low, frame.high].filter((side) => side !== null);

/** Whether a visit saw enough to answer what it was opened for. */
export const enoughSeen = ({
  now: { record, box },
  questions,
  season,
  today,
}: Pick<VisitKnown, 'now' | 'questions' | 'today'> & {
  readonly season: Pick<SeasonKnown, 'phases'> | null;
}): SeenEnough =>
  seenEnough(record, questions, {
    box: box.id,
    frames: box.frames,
    kind: frameOf(box),
    minutesOpen: null,
    late: season !== null && lateInYear(season.phases, today),
  });

function queenOf(known: VisitKnown): QueenStatus {
  const { record } = known.now;
  return queenStatus({
    date: known.today,
    sides: Object.values(record.sides).map(({ side }) => side),
    eggsLookedFor: eggsWouldShow(record) && enoughSeen(known).framesToGo === 0,
    ...queenSigns(record),
  });
}
