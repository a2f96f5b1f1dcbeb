import type { Forage } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import { type Ensemble, dayOutlook } from '@brave-comb/core/weather';
import { type Output, type Strip, type StripDay, type endpoints } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import { followUpsBetween } from '../care/store';
import type { Actor, Context } from '../context';
import { dateAt, hourAt } from '../dates';
import { type SiteRow, sitesOf } from '../equipment/store';
import { practiceOf } from '../people/store';
import type { HousePractice } from '../people/practice';
import { groupCounts, sessionsBetween } from '../planning/store';
import { notFound } from '../problem';
import { forecastInUse, observedAt } from '../weather/service';
import { forageBetween, insertForage } from './store';

const DAYS = 21;
const DAYS_BEFORE = 6;

export async function addForage({ db }: Context, school: string, site: string, forage: Forage): Promise<void> {
  await insertForage(db, {
    id: uuid(),
    school,
    site,
    plant: forage.plant,
    gives: forage.gives,
    from_date: forage.from,
    to_date: forage.to,
    give_or_take: forage.giveOrTake,
  });
}

/** Three weeks around today at one site. */
export async function seasonStrip(
  context: Context,
  actor: Actor,
  query: { readonly site?: string | undefined; readonly from?: string | undefined },
): Promise<Output<typeof endpoints.seasonStrip>> {
  const { db, clock } = context;
  const sites = await sitesOf(db, actor.school);
  const site = query.site ? sites.find((each) => each.id === query.site) : sites[0];
  if (!site) throw notFound('site');
  const today = dateAt(site.zone, clock.now());
  const first = query.from ?? addDays(today, -DAYS_BEFORE);
  const last = addDays(first, DAYS - 1);
  const at = (date: string) => hourAt(site.zone, date, 0);
  const [practice, forecast, observed, bloom, sessions, due] = await Promise.all([
    practiceOf(db, actor.school),
    forecastInUse(context, site),
    first < today ? observedAt(context, site, at(first), Math.min(at(today), at(addDays(last, 1)))) : null,
    forageBetween(db, actor.school, site.id, first, last),
    sessionsBetween(db, actor, new Date(at(first)), new Date(at(addDays(last, 1))), site.id),
    actor.role === 'trainee' ? [] : followUpsBetween(db, actor.school, site.id, first, last),
  ]);
  const counts = await groupCounts(
    db,
    sessions.map((session) => session.id),
  );
  return {
    site: { id: site.id, name: site.name, zone: site.zone },
    sites: sites.map(({ id, name }) => ({ id, name })),
    today,
    forecast: { issuedAt: forecast.ensemble?.issued ?? null, problem: forecast.problem },
    days: Array.from({ length: DAYS }, (_, day) => {
      const date = addDays(first, day);
      return stripDay(site, practice, date, date < today, date < today ? observed : forecast.ensemble);
    }),
    bloom,
    sessions: sessions.map((session) => ({
      id: session.id,
      date: dateAt(site.zone, session.starts_at),
      groups: counts.get(session.id) ?? 0,
      status: session.status,
    })),
    due: due.map((each) => ({
      id: each.id,
      hive: each.hive_number,
      from: each.from_date,
      due: each.due,
      question: each.question,
      done: each.answered_by !== null,
    })),
  } satisfies Strip;
}

function stripDay(
  site: SiteRow,
  practice: HousePractice,
  date: string,
  observed: boolean,
  ensemble: Ensemble | null,
): StripDay {
  const day =
    ensemble && dayOutlook(ensemble, site, practice.limits, hourAt(site.zone, date, 0), hourAt(site.zone, date, 24));
  return {
    date,
    observed,
    warmest: day?.warmest ?? null,
    rain: day?.rain ?? null,
    hours: day ? { lid: day.hours.lid, 'one frame': day.hours['one frame'], full: day.hours.full } : null,
  };
}
