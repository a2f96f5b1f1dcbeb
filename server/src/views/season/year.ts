import type { Year } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { PHASE_WORK, bandOf, deadlinesOf, forageSpans } from '@brave-comb/core/season';
import { addDays, dayOfYear, daysBetween } from '@brave-comb/core/units';
import { sunTimes } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt } from '../../dates';
import { colonyStates } from '../../facts/care';
import { flowNow, phaseNow, siteSeason, type SiteSeason } from '../../facts/season';
import { siteNames, siteOf } from '../../records/equipment';
import { groupCounts, sessionsBetween } from '../../records/planning';
import { gainsOf, scalesOf, seasonEvents } from '../../records/season';

/** The sun's noon runs an hour later for every 15 degrees west. */
const HOUR_PER_DEGREE = 240_000;

/** The year of growth that holds a date, at one site. */
export async function seasonYear(
  context: Context,
  actor: Actor,
  query: { readonly site?: string | undefined; readonly date?: string | undefined },
): Promise<Sayable<Year>> {
  const found = await siteOf(context, actor.school, query.site);
  const { site } = found;
  const season = await siteSeason(context, site, query.date);
  const { begin, today } = season;
  const end = season.phases.at(-1)!.to;
  const instants = [new Date(hourAt(site.zone, begin, 0)), new Date(hourAt(site.zone, addDays(end, 1), 0))] as const;
  const trainee = actor.role === 'trainee';
  const [sessions, events, colonies, scales] = await Promise.all([
    sessionsBetween(context.db, actor, ...instants, site.id),
    seasonEvents(context.db, actor.school, site.id, begin),
    trainee ? [] : colonyStates(context, season),
    scalesOf(context, site, begin, today < end ? today : end),
  ]);
  const counts = await groupCounts(
    context.db,
    sessions.map((session) => session.id),
  );
  const phase = phaseNow(season);
  return {
    ...siteNames(found),
    today,
    from: begin,
    to: end,
    climate: { band: bandOf(season.usual), from: season.usualFrom, turn: season.turn },
    forecast: { issuedAt: season.forecast.ensemble?.issued ?? null, problem: season.forecast.problem },
    phases: season.phases,
    now: phase && { phase, ...PHASE_WORK[phase.phase] },
    days: yearDays(season, end),
    bloom: season.bloom,
    spans: forageSpans(season.bloom, begin, end),
    flow: await flowNow(context, season, gainsOf(scales)),
    deadlines: deadlinesOf(season.facts, query.date ?? today),
    events: events.map(({ id, kind, plant, date, by_name, tasks }) => ({
      id,
      kind,
      plant: season.plants.find((each) => each.id === plant)?.name ?? plant,
      date,
      by: by_name,
      tasks,
    })),
    sessions: sessions.map((session) => ({
      id: session.id,
      date: dateAt(site.zone, session.starts_at),
      groups: counts.get(session.id) ?? 0,
      status: session.status,
    })),
    colonies: colonies.map(({ hive, calendar, openings }) => ({
      hive: hive.number,
      dues: calendar.dues.map(({ id, title, from, due, strict }) => ({ id, title, from, due, strict })),
      rests: calendar.rests.map(({ from, to, why }) => ({ from, to, why })),
      openings: openings.map((opening) => opening.date),
    })),
    scales,
  };
}

function yearDays({ site, begin, today, usual, days }: SiteSeason, end: string): Year['days'] {
  const known = new Map(days.map((day) => [day.date, day]));
  return Array.from({ length: daysBetween(begin, end) + 1 }, (_, index) => {
    const date = addDays(begin, index);
    const day = known.get(date);
    const { low, high, rain } = day ?? usual[dayOfYear(date)]!;
    return {
      date,
      known: day ? (date < today ? ('observed' as const) : ('forecast' as const)) : ('usual' as const),
      low,
      high,
      rain,
      sun: sunTimes(site, Date.parse(`${date}T12:00:00Z`) - site.longitude * HOUR_PER_DEGREE).dayLength,
    };
  });
}
