import {
  type Advice,
  type ColonyEvent,
  type ColonyFacts,
  type Course,
  adviseColony,
  colonyFacts,
  lastAgainstMites,
} from '@brave-comb/core/care';
import { type CivilDate, DAY } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { type ColonyEventRow, colonyEvents } from '../../records/care';
import { colonyById, type ColonyRow, siteById } from '../../records/equipment';
import { type NamedVisit, visitsOfHives } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf } from '../../records/people';
import { poorDaysAfter } from '../../records/weather';
import { type ColonyRead, readColonies } from '../inspection';
import { type SiteSeason, siteSeason } from '../season';
import { type ColonyState, colonyStates, eventsOf, matingDays, upTo } from './colony-state';
import { untreatedBeside } from './untreated';

/** A visit with everything known of its colony, and what that asks for. */
export interface Judged {
  readonly visit: NamedVisit;
  readonly now: ColonyRead;
  readonly last: ColonyRead | null;
  readonly facts: ColonyFacts;
  readonly advice: readonly Advice[];
}

/** How far back looks into a hive are read, ms, and how many of them. */
const LOOK_BACK = 400 * DAY;
const VISITS_READ = 12;

/** Reads a visit and those before it, and judges what the colony needs. */
export async function judge(context: Context, visit: NamedVisit): Promise<Judged> {
  const { db } = context;
  const since = new Date(visit.started_at.getTime() - LOOK_BACK);
  const all = await visitsOfHives(db, visit.school, [visit.hive], since, context.clock.now());
  const earlier = all.filter(({ started_at }) => started_at < visit.started_at).slice(-VISITS_READ);
  const next = all.find(({ started_at, colony }) => started_at > visit.started_at && colony === visit.colony);
  const [now, ...before] = await readColonies(db, [visit, ...earlier]);
  const facts = await factsOf(context, visit, now!, before, next ? dateAt(visit.zone, next.started_at) : null);
  return { visit, now: now!, last: before.at(-1) ?? null, facts, advice: adviseColony(facts) };
}

async function factsOf(
  context: Context,
  visit: NamedVisit,
  now: ColonyRead,
  before: readonly ColonyRead[],
  next: CivilDate | null,
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
  const facts = factsAt({
    hive: visit.hive_number,
    zone: visit.zone,
    now,
    before,
    season,
    practice,
    colony,
    logged,
    next,
  });
  const course = countedCourse(facts);
  if (!season || !course) return facts;
  const states = await colonyStates(context, await siteSeason(context, season.site));
  return { ...facts, untreated: untreatedBeside(states, visit.hive, course, season) };
}

/** The treatment that is held against colonies that were given nothing; `null` where mites were not counted on both sides of one. */
const countedCourse = (facts: ColonyFacts): Course | null =>
  facts.samples.length > 1 ? lastAgainstMites(facts) : null;

interface Known {
  readonly hive: string;
  readonly zone: string;
  readonly now: ColonyRead;
  readonly before: readonly ColonyRead[];
  readonly season: SiteSeason | null;
  readonly practice: HousePractice;
  readonly colony: ColonyRow | undefined;
  readonly logged: readonly ColonyEventRow[];
  /** Day of the look after this one; `null` when it is the last. */
  readonly next: CivilDate | null;
}

/** What somebody says of a colony holds for its last look as well; what was done to it does not. */
const SAID_OF_IT: ReadonlySet<ColonyEvent['kind']> = new Set<ColonyEvent['kind']>(['aim', 'trait']);

/** Everything that the judges rest on, as it was at a visit. */
function factsAt({ hive, zone, now, before, season, practice, colony, logged, next }: Known): ColonyFacts {
  const today = dateAt(zone, now.visit.started_at);
  return colonyFacts({
    hive,
    today,
    now,
    before: before.map((read) => ({ read, date: dateAt(zone, read.visit.started_at) })),
    questions: now.visit.questions,
    season: season && {
      ...season,
      matingDays: matingDays(season),
      poorDays: poorDaysAfter(season.forecast.ensemble, season.site, practice.limits, today),
    },
    strain: colony?.strain ?? 'cuts-down',
    queenYear: colony?.queen_year ?? null,
    events: season && colony ? knownAt(eventsOf(season, { colony, read: [now], events: logged }), today, next) : [],
    practice: practice.care,
  });
}

const knownAt = (events: readonly ColonyEvent[], today: CivilDate, next: CivilDate | null): readonly ColonyEvent[] => [
  ...upTo(events, today),
  ...events.filter(({ kind, date }) => SAID_OF_IT.has(kind) && date > today && (next === null || date < next)),
];

/**
 * What the last visit of a colony asks for, and the facts that this rests on.
 *
 * @param state the colony; its season is that of today, as visits of this year of growth have it
 * @param states all colonies of the site: those that were given nothing show how well a treatment worked
 * @returns `null` for a colony that nobody visited
 */
export function judgeLatest(
  state: ColonyState,
  season: SiteSeason,
  practice: HousePractice,
  states: readonly ColonyState[],
): Pick<Judged, 'facts' | 'advice'> | null {
  const alone = factsOfRead(state, season, practice, state.reads.length - 1);
  if (!alone) return null;
  const course = countedCourse(alone);
  const facts = course ? { ...alone, untreated: untreatedBeside(states, state.hive.id, course, season) } : alone;
  return { facts, advice: adviseColony(facts) };
}

/** What a look into a colony found, with those before it; `null` where there is none at that place. */
export function factsOfRead(
  state: ColonyState,
  season: SiteSeason,
  practice: HousePractice,
  at: number,
): ColonyFacts | null {
  const now = state.reads[at];
  if (!now) return null;
  return factsAt({
    hive: state.hive.number,
    zone: season.site.zone,
    now,
    before: state.reads.slice(0, at),
    season,
    practice,
    colony: state.colony,
    logged: state.events,
    next: state.reads[at + 1] ? dateAt(season.site.zone, state.reads[at + 1]!.visit.started_at) : null,
  });
}
