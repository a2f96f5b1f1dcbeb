import { type Advice, type ColonyFacts, adviseColony, colonyFacts } from '@brave-comb/core/care';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { colonyEvents } from '../../records/care';
import { colonyById, siteById } from '../../records/equipment';
import { type NamedVisit, visitBefore } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { poorDaysAfter } from '../../records/weather';
import { type ColonyRead, readColony } from '../inspection';
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

/** Reads a visit and the one before it, and judges what the colony needs. */
export async function judge(context: Context, visit: NamedVisit): Promise<Judged> {
  const { db } = context;
  const before = await visitBefore(db, visit.school, visit.hive, visit.started_at);
  const now = await readColony(db, visit);
  const last = before ? await readColony(db, before) : null;
  const facts = await factsOf(context, visit, now, last);
  return { visit, now, last, facts, advice: adviseColony(facts) };
}

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
  return colonyFacts({
    hive: visit.hive_number,
    today,
    now,
    last: last && { read: last, date: dateAt(visit.zone, last.visit.started_at) },
    questions: visit.questions,
    season: season && {
      ...season,
      matingDays: matingDays(season),
      poorDays: poorDaysAfter(season.forecast.ensemble, season.site, practice.limits, today),
    },
    strain: colony?.strain ?? 'cuts-down',
    events: season && colony ? upTo(eventsOf(season, { colony, read: [now], events: logged }), today) : [],
    practice: practice.care,
  });
}
