import { say } from '../../words';
import type { Text } from '@brave-comb/core/language';
import type { MatingDay } from '@brave-comb/core/biology';
import {
  type AdviceKind,
  type ColonyCalendar,
  type ColonyEvent,
  type ColonyRecord,
  type ExpectedState,
  NEW_COLONIES,
  type Opening,
  type StandingSuper,
  type Starvation,
  type SwarmRisk,
  type WaitingForQueen,
  colonyCalendar,
  combOfFrame,
  expectedState,
  feedsSince,
  queenInTheMaking,
  recordOf,
  roomOf,
  starvationWatch,
  queenSeasonsOf,
  swarmRisk,
  withSeen,
} from '@brave-comb/core/care';
import { type FrameKindId, type Stack, frameOf, nestBoxes, supers } from '@brave-comb/core/equipment';
import { mainFlow, matingFit } from '@brave-comb/core/season';
import { addDays, daysBetween, spoken } from '@brave-comb/core/units';
import { HOUR } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { dateAt, hourAt } from '../../dates';
import { onceARevision } from '../../kept';
import { type ColonyEventRow, colonyEvents, openFollowUps } from '../../records/care';
import { coloniesIn, colonyById, type ColonyRow, type HiveRow, hivesOf, siteById } from '../../records/equipment';
import { type VisitRow, visitsOfHives } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf } from '../../records/people';
import { poorDaysAfter } from '../../records/weather';
import { identityOf, remembered } from '../../remembered';
import { type ColonyRead, readColonies, withQueensSeen } from '../inspection';
import { siteSeason, type SiteSeason } from '../season';

/** Everything about one colony that its calendar shows. */
export interface ColonyState {
  readonly hive: HiveRow;
  readonly colony: ColonyRow;
  readonly calendar: ColonyCalendar;
  readonly openings: readonly Opening[];
  readonly expected: ExpectedState | null;
  readonly starvation: Starvation | null;
  readonly swarm: SwarmRisk | null;
  readonly events: readonly (ColonyEventRow & { readonly by_name: string })[];
  /** All that is known to have happened to it: logged, and implied by visits. */
  readonly known: readonly ColonyEvent[];
  /** The last visit that read a comb. */
  readonly latest: ColonyRead | null;
  /** Keys of the tasks that visits left, by their ids. */
  readonly tasks: ReadonlyMap<string, string>;
  /** Its last visits, the oldest first. */
  readonly reads: readonly ColonyRead[];
}

/** Days back over which openings are looked at. */
const LOOK_BACK = 400;
/** Visits of a colony that are read comb by comb, the latest. */
const VISITS_READ = 12;
/** A colony of which nothing was counted yet has about so many frames of bees. */
const UNCOUNTED = 6;

/**
 * The state of every colony at a site: its calendar and what to expect of it.
 *
 * @param context database, clock
 * @param season the season at the site
 * @param only ids of the hives to look at, all of the site when left out
 * @returns one state a colony, in the order of the hives
 */
export async function colonyStates(
  context: Context,
  season: SiteSeason,
  only?: readonly string[],
): Promise<readonly ColonyState[]> {
  if (context.db.isTransaction) return reckonStates(context.db, season, only);
  const kind = `colonies of ${season.site.id}, season ${identityOf(season)}`;
  const all = await onceARevision(context, season.site.school, kind, () => reckonStates(context.db, season));
  return only ? all.filter(({ hive }) => only.includes(hive.id)) : all;
}

async function reckonStates(db: Db, season: SiteSeason, only?: readonly string[]): Promise<readonly ColonyState[]> {
  const { site, today } = season;
  const hives = (await hivesOf(db, site.school, site.id)).filter(({ id }) => only?.includes(id) ?? true);
  const ids = hives.map((hive) => hive.id);
  const since = new Date(hourAt(site.zone, addDays(today, -LOOK_BACK), 0));
  const [entered, visits, followUps, practice] = await Promise.all([
    coloniesIn(db, site.school, ids),
    visitsOfHives(db, site.school, ids, since, new Date(hourAt(site.zone, today, 24))),
    openFollowUps(db, site.school, ids),
    housePracticeOf(db, site.school),
  ]);
  const colonies = await withQueensSeen(db, entered);
  const events = await colonyEvents(
    db,
    site.school,
    colonies.map((colony) => colony.id),
  );
  const mating = matingDays(season);
  const poor = poorDaysAfter(season.forecast.ensemble, site, practice.limits, today);
  const lived = hives.flatMap((hive) => {
    const colony = colonies.find((each) => each.hive === hive.id);
    const own = visits.filter((visit) => visit.hive === hive.id && visit.colony === colony?.id);
    return colony ? [{ hive, colony, visits: own }] : [];
  });
  const read = await readColonies(
    db,
    lived.flatMap((each) => each.visits.slice(-VISITS_READ)),
  );
  return lived.map((each) =>
    stateOf(season, practice, mating, poor, {
      ...each,
      read: read.filter(({ visit }) => visit.hive === each.hive.id),
      followUps: followUps.filter(({ hive }) => hive === each.hive.id),
      events: events.filter(({ colony }) => colony === each.colony.id),
    }),
  );
}

interface OneColony {
  readonly hive: HiveRow;
  readonly colony: ColonyRow;
  readonly visits: readonly VisitRow[];
  readonly read: readonly ColonyRead[];
  readonly followUps: readonly {
    id: string;
    question: Text;
    from_date: string;
    due: string;
    bring?: Text | null;
    about?: AdviceKind | null;
    task?: string | null;
  }[];
  readonly events: readonly (ColonyEventRow & { readonly by_name: string })[];
}

function stateOf(
  season: SiteSeason,
  practice: HousePractice,
  mating: readonly MatingDay[],
  poor: number | null,
  one: OneColony,
): ColonyState {
  const { site, today, phases, bloom, days } = season;
  const { hive, colony, read } = one;
  const events = eventsOf(season, one);
  const latest = [...read].reverse().find((each) => each.nest.sidesRead > 0);
  const last = latest ? recordOf(latest, dateAt(site.zone, latest.visit.started_at)) : null;
  const expected = last ? expectedOf(season, colony, last, events, frameOf(nestBoxes(hive.stack)[0]!), mating) : null;
  const openings = one.visits.map((visit) => openingOf(season, visit, read));
  const calendar = colonyCalendar({
    today,
    phases,
    forage: bloom,
    days,
    matingDays: mating,
    colonyClass: colony.class,
    framesOfBees: expected?.bees.value ?? UNCOUNTED,
    openings,
    followUps: one.followUps.map(({ id, question, from_date, due, bring, task, about }) => ({
      id,
      question,
      from: from_date,
      due,
      bring: bring ?? null,
      about: about ?? null,
      stays: Boolean(task),
    })),
    supers: standingSupers(season, one, events),
    events,
    practice: practice.calendar,
  });
  return {
    hive,
    colony,
    calendar,
    openings,
    expected,
    starvation: expected && starvationWatch(expected, poor, practice.care.leastStoresKg),
    swarm: last && latest ? riskOf(season, hive, colony, last, latest) : null,
    events: one.events,
    known: events,
    latest: latest ?? null,
    tasks: new Map(one.followUps.flatMap(({ id, task }) => (task ? [[`follow-up:${id}`, task]] : []))),
    reads: read,
  };
}

/** What was known on a day. */
export const upTo = (events: readonly ColonyEvent[], date: string): readonly ColonyEvent[] =>
  events.filter((event) => event.date <= date);

/** What a colony should look like on a day, from its last record. */
function expectedOf(
  season: SiteSeason,
  colony: Pick<ColonyRow, 'strain'>,
  last: ColonyRecord,
  events: readonly ColonyEvent[],
  frame: FrameKindId,
  mating: readonly MatingDay[],
  today = season.today,
): ExpectedState {
  return expectedState({
    last,
    today,
    phases: season.phases,
    forage: season.bloom,
    days: season.days,
    fed: feedsSince(events, last.date),
    strain: colony.strain,
    ...combOfFrame(frame),
    waiting: waitingFor(events, mating, today),
  });
}

/** The queen that a colony waits for on a day; `null` while one is known to lay. */
export function waitingFor(
  events: readonly ColonyEvent[],
  mating: readonly MatingDay[],
  today: string,
): WaitingForQueen | null {
  const young = queenInTheMaking({ events: upTo(events, today), matingDays: mating, today });
  return young && { stopped: young.plan.stopped, from: young.plan.laying.from, to: young.plan.laying.to };
}

/** What a colony should look like at the beginning of a visit, from the visit before it; `null` when that read no comb. */
export async function expectedAt(
  context: Context,
  visit: Pick<VisitRow, 'school' | 'colony' | 'hive' | 'started_at' | 'stack'> & { readonly site: string },
  before: ColonyRead,
  season?: SiteSeason,
): Promise<ExpectedState | null> {
  const { db } = context;
  const [site, colony] = await Promise.all([
    siteById(db, visit.school, visit.site),
    colonyById(db, visit.school, visit.colony),
  ]);
  if (!site || !colony || before.visit.colony !== visit.colony) return null;
  const date = dateAt(site.zone, visit.started_at);
  const last = recordOf(before, dateAt(site.zone, before.visit.started_at));
  if (!last) return null;
  const seasonThen = season ?? (await siteSeason(context, site, date));
  const events = eventsOf(seasonThen, { colony, read: [], events: await colonyEvents(db, visit.school, [colony.id]) });
  return expectedOf(
    seasonThen,
    colony,
    last,
    events,
    frameOf(nestBoxes(visit.stack)[0]!),
    matingDays(seasonThen),
    date,
  );
}

/** Events as they were logged, with those that records imply: how the colony began, and eggs seen at a visit. */
export function eventsOf(
  { site }: SiteSeason,
  { colony, read, events }: Pick<OneColony, 'colony' | 'read'> & { readonly events: readonly ColonyEventRow[] },
): readonly ColonyEvent[] {
  const logged = events.map(({ date, kind, detail }) => ({ ...detail, kind, date }) as ColonyEvent);
  const as = NEW_COLONIES.find((each) => colony.origin === each || colony.origin.startsWith(`${spoken(each)} of `));
  const began: ColonyEvent[] =
    as && !logged.some((event) => event.kind === 'hived') ? [{ kind: 'hived', as, date: colony.since }] : [];
  return withSeen(
    [...began, ...logged],
    read.map((each) => ({ read: each, date: dateAt(site.zone, each.visit.started_at) })),
  );
}

/** A super logged on the calendar is the one that a visit put on within so many days of it. */
const SAME_SUPER = 3;

/** The honey boxes on a hive, with the day on which each came on as visits and the calendar tell it. */
function standingSupers(
  { site, today }: SiteSeason,
  { hive, visits, read }: Pick<OneColony, 'hive' | 'visits' | 'read'>,
  events: readonly ColonyEvent[],
): readonly StandingSuper[] {
  const has = (stack: Stack, id: string) => stack.some((layer) => layer.id === id);
  const logged = events
    .flatMap((event) => (event.kind === 'super-on' ? [event.date] : []))
    .filter((date) => !events.some((event) => event.kind === 'super-off' && event.date >= date))
    .sort();
  const onStack = supers(hive.stack).map(({ id }): StandingSuper => {
    const at = visits.findLastIndex((visit) => !has(visit.stack, id));
    if (at < 0) return { name: id, since: null };
    const during = read.some(({ visit, stack }) => visit.id === visits[at]!.id && has(stack, id));
    const on = during ? visits[at]! : (visits[at + 1] ?? visits[at]!);
    return { name: id, since: dateAt(site.zone, on.started_at) };
  });
  const unmatched = logged.filter(
    (date) => !onStack.some(({ since }) => since !== null && Math.abs(daysBetween(since, date)) <= SAME_SUPER),
  );
  const dated = onStack.map((box) => (box.since === null ? { ...box, since: unmatched.shift() ?? null } : box));
  return [...dated, ...unmatched.map((date) => ({ name: say('super-of', { date, today }), since: date }))];
}

const LEAST_MINUTES = 5;
const OPEN_END = 30;

function openingOf({ site }: SiteSeason, visit: VisitRow, read: readonly ColonyRead[]): Opening {
  const own = read.find((each) => each.visit.id === visit.id);
  const minutes = visit.closed_at ? (visit.closed_at.getTime() - visit.started_at.getTime()) / 60_000 : OPEN_END;
  return {
    date: dateAt(site.zone, visit.started_at),
    minutes: Math.max(LEAST_MINUTES, Math.round(minutes)),
    stings: own?.record.stings.length ?? 0,
    deep: own ? Object.keys(own.record.sides).length > 0 : true,
  };
}

/** When the main flow begins at a site. */
const flowFrom = remembered(
  40,
  (season: SiteSeason) => identityOf(season),
  ({ bloom, begin }) => mainFlow(bloom, begin, addDays(begin, 364))?.from ?? null,
);

function riskOf(season: SiteSeason, hive: HiveRow, colony: ColonyRow, last: ColonyRecord, read: ColonyRead): SwarmRisk {
  const cellsWithBrood = read.frames.reduce((sum, { low, high }) => sum + (low?.cells ?? 0) + (high?.cells ?? 0), 0);
  return swarmRisk({
    last,
    today: season.today,
    phases: season.phases,
    flowFrom: flowFrom(season),
    roomFrames: Math.round(roomOf(hive.stack)),
    ...combOfFrame(frameOf(nestBoxes(hive.stack)[0]!)),
    queenSeasons: colony.queen_year === null ? null : queenSeasonsOf(colony.queen_year, season.today, season.turn),
    cells: daysBetween(last.date, season.today) <= 10 ? cellsWithBrood : 0,
  });
}

/** Warmth and wind in which queens fly out to mate, and the hours of the day: about 20 °C and little wind. Winston 1987, from memory. */
const MATING = { warmth: 20, wind: 20, from: 11, to: 17, hours: 2 } as const;

/** Chance that each day lets queens mate: by what happened, and by the forecast. */
export const matingDays = remembered(40, (season: SiteSeason) => identityOf(season), matingChances);

function matingChances({ site, before, forecast, today }: SiteSeason): readonly MatingDay[] {
  const past = before.slice(-60).map((day) => ({ date: day.date, fit: matingFit(day) }));
  const { ensemble } = forecast;
  if (!ensemble) return past;
  const start = Date.parse(ensemble.start);
  const ahead = Array.from({ length: 14 }, (_, day) => addDays(today, day)).map((date) => {
    const first = Math.max(0, Math.round((hourAt(site.zone, date, MATING.from) - start) / HOUR));
    const last = Math.round((hourAt(site.zone, date, MATING.to) - start) / HOUR);
    const fit = ensemble.members.filter(
      (member) =>
        member
          .slice(first, last)
          .filter((hour) => hour.temperature >= MATING.warmth && hour.wind <= MATING.wind && hour.rain <= 0.1).length >=
        MATING.hours,
    ).length;
    return { date, fit: fit / ensemble.members.length };
  });
  return [...past, ...ahead];
}
