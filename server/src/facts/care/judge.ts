import { type Advice, type ColonyFacts, adviseColony, colonyFacts } from '@brave-comb/core/care';
import { DAY } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { colonyEvents } from '../../records/care';
import { colonyById, siteById } from '../../records/equipment';
import { type NamedVisit, visitsOfHives } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { poorDaysAfter } from '../../records/weather';
import { type ColonyRead, readColonies } from '../inspection';
import { siteSeason } from '../season';
import { eventsOf, matingDays, upTo } from './colony-state';

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
  const until = new Date(visit.started_at.getTime() - 1);
  const earlier = (await visitsOfHives(db, visit.school, [visit.hive], since, until)).slice(-VISITS_READ);
  const [now, ...before] = await readColonies(db, [visit, ...earlier]);
  const facts = await factsOf(context, visit, now!, before);
  return { visit, now: now!, last: before.at(-1) ?? null, facts, advice: adviseColony(facts) };
}

async function factsOf(
  context: Context,
  visit: NamedVisit,
  now: ColonyRead,
  before: readonly ColonyRead[],
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
  return colonyFacts({
    hive: visit.hive_number,
    today,
    now,
    before: before.map((read) => ({ read, date: dateAt(visit.zone, read.visit.started_at) })),
    questions: visit.questions,
    season: season && {
      ...season,
      matingDays: matingDays(season),
      poorDays: poorDaysAfter(season.forecast.ensemble, season.site, practice.limits, today),
    },
    strain: colony?.strain ?? 'cuts-down',
    queenYear: colony?.queen_year ?? null,
    events: season && colony ? upTo(eventsOf(season, { colony, read: [now], events: logged }), today) : [],
    practice: practice.care,
  });
}
