import {
  type Advice,
  type ColonyEvent,
  type ColonyFacts,
  adviseColony,
  coursesOf,
  feedingsOf,
  honeyLock,
  queenInTheMaking,
} from '@brave-comb/core/care';
import { frameOf, supers } from '@brave-comb/core/equipment';
import {
  type FrameSides,
  type Letter,
  type QueenStatus,
  type SeenEnough,
  framesWithCells,
  eggsWouldShow,
  nectarAmongBrood,
  queenSigns,
  queenStatus,
  seenEnough,
  superHoney,
} from '@brave-comb/core/inspection';
import {
  PHASE_WORK,
  type Phase,
  type PhaseSpan,
  inBloom,
  nectarOn,
  phaseOn,
  yearPhases,
} from '@brave-comb/core/season';
import { addDays, daysBetween } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { colonyEvents } from '../../records/care';
import { colonyById, siteById } from '../../records/equipment';
import { type NamedVisit, visitBefore } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { poorDaysAfter } from '../../records/weather';
import { type ColonyRead, readColony } from '../inspection';
import { lateInYear, siteSeason, type SiteSeason } from '../season';
import { eventsOf, matingDays, upTo } from './colony-state';

/** A visit with everything known of its colony, and what that asks for. */
export interface Judged {
  readonly visit: NamedVisit;
  readonly now: ColonyRead;
  readonly last: ColonyRead | null;
  readonly facts: ColonyFacts;
  readonly advice: readonly Advice[];
}

/** Reads a visit and the one before it, and judges what the colony needs. */
export async function judge(context: Context, visit: NamedVisit): Promise<Judged> {
  const { db } = context;
  const before = await visitBefore(db, visit.school, visit.hive, visit.started_at);
  const now = await readColony(db, visit);
  const last = before ? await readColony(db, before) : null;
  const facts = await factsOf(context, visit, now, last);
  return { visit, now, last, facts, advice: adviseColony(facts) };
}

/** Phases in which a super that is still on is left to the bees. */
const LEFT_ON: ReadonlySet<Phase> = new Set<Phase>(['closing-down', 'winter-rest', 'first-brood']);

async function factsOf(
  context: Context,
  visit: NamedVisit,
  now: ColonyRead,
  last: ColonyRead | null,
): Promise<ColonyFacts> {
  const { db } = context;
  const today = dateAt(visit.zone, visit.started_at);
  const [practice, site, colony, logged] = await Promise.all([
    housePracticeOf(db, visit.school),
    siteById(db, visit.school, visit.site),
    colonyById(db, visit.school, visit.colony),
    colonyEvents(db, visit.school, [visit.colony]),
  ]);
  const season = site ? await siteSeason(context, site, today) : null;
  const shows = (letter: Letter) =>
    now.frames.some((frame) =>
      sides(frame).some((side) => (side.eighths[letter] ?? 0) > 0 || side.trace.includes(letter)),
    );
  const events = season && colony ? upTo(eventsOf(season, { colony, read: [now], events: logged }), today) : [];
  const young = season && queenInTheMaking({ events, matingDays: matingDays(season), today });
  const phase = season ? (phaseOn(season.phases, today)?.phase ?? null) : null;
  const left = events.findLast(({ kind }) => kind.startsWith('super'))?.kind === 'super-left-as-winter-food';
  return {
    hive: visit.hive_number,
    today,
    phase,
    reopens: season && reopensOn(season, today),
    strain: colony?.strain ?? 'cuts-down',
    frames: now.box.frames,
    framesRead: now.frames.filter((frame) => frame.low && frame.high).length,
    nest: now.nest,
    last: last?.nest ?? null,
    daysSinceLast: last ? daysBetween(dateAt(visit.zone, last.visit.started_at), today) : null,
    eggsSeen: shows('E') || now.record.ticks.eggs === true,
    larvaeSeen: shows('L') || now.record.ticks['young-larvae'] === true,
    sealedSeen: shows('S') || now.record.ticks['sealed-brood'] === true,
    queenSeen: now.record.ticks.queen === true || now.frames.some((frame) => sides(frame).some((side) => side.queen)),
    queen: queenOf(visit, now, evidenceOf(visit, now, season !== null && lateInYear(season, today))),
    youngQueen: young && { layingTo: young.plan.laying.to, aloneTo: young.plan.alone.to },
    queenCells: now.frames.reduce((sum, frame) => sum + sides(frame).reduce((inner, side) => inner + side.cells, 0), 0),
    cells: now.frames.flatMap((frame) => sides(frame).flatMap(({ queenCells }) => queenCells ?? [])),
    framesWithCells: framesWithCells(now.frames),
    doubtfulFrames: now.frames.flatMap((frame, index) =>
      sides(frame).some((side) => side.doubtful) ? [index + 1] : [],
    ),
    nectarAmongBrood: nectarAmongBrood(now.frames),
    supers: supers(now.stack).length,
    superFill: now.superFill,
    superKg: superHoney(now.stack, now.record),
    supersAreTheirs: left || (phase !== null && LEFT_ON.has(phase)),
    ...honeyFacts(events, today, now),
    inBloom: inBloom(season?.bloom ?? [], today),
    nectar: season ? nectarOn(season.bloom, today) : 0,
    poorDays: season && poorDaysAfter(season.forecast.ensemble, season.site, practice.limits, today),
    highs: (season?.days ?? []).filter(({ date }) => date >= today && date < addDays(today, 7)).map(({ high }) => high),
    practice: practice.care,
  };
}

/** From when a new super may go on, and until when they carry feed. */
function honeyFacts(events: readonly ColonyEvent[], today: string, { nest, box }: ColonyRead) {
  const feedings = feedingsOf(events, nest.framesOfBees?.value ?? box.frames);
  const { superOnFrom, fedUntil } = honeyLock(coursesOf(events, today), [], today, feedings);
  return { superOnFrom, fedUntil };
}

/** First day on which hives that are shut now are opened again; `null` while they are not shut. */
function reopensOn(season: SiteSeason, date: string): string | null {
  const shut = ({ phase }: PhaseSpan) => PHASE_WORK[phase].interval === null;
  const now = phaseOn(season.phases, date);
  if (!now || !shut(now)) return null;
  const next = yearPhases(season.facts, addDays(season.phases.at(-1)!.to, 1));
  return [...season.phases, ...next].find((span) => span.from > date && !shut(span))?.from ?? null;
}

const sides = (frame: FrameSides) => [frame.low, frame.high].filter((side) => side !== null);

export const evidenceOf = (visit: NamedVisit, { record, box }: ColonyRead, late: boolean): SeenEnough =>
  seenEnough(record, visit.questions, { box: box.id, frames: box.frames, kind: frameOf(box), minutesOpen: null, late });

function queenOf(visit: NamedVisit, now: ColonyRead, nest: SeenEnough): QueenStatus {
  return queenStatus({
    date: dateAt(visit.zone, visit.started_at),
    sides: Object.values(now.record.sides).map(({ side }) => side),
    eggsLookedFor: eggsWouldShow(now.record) && nest.framesToGo === 0,
    ...queenSigns(now.record),
  });
}

/** What was found, read against what the season led one to expect. */
