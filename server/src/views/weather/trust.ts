import type { Trust } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { type Verified, scoresByLead, sessionChance, trustOf } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt } from '../../dates';
import { siteSeason } from '../../facts/season';
import { siteNames, siteOf, type SiteRow } from '../../records/equipment';
import { type HousePractice, practiceOf } from '../../records/people';
import {
  countObservations,
  type ForecastDayRow,
  forecastDays,
  keepForecastDays,
  leadDays,
  observedAt,
} from '../../records/weather';

const WINDOW = 45;
/** Forecasts of the past that one look may ask the service for, so that nobody waits long. */
const CATCH_UP = 3;

/** Forecast against what happened at a site, by lead day. */
export async function forecastTrust(context: Context, actor: Actor, siteId?: string): Promise<Trust> {
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const [season, practice] = await Promise.all([siteSeason(context, site), practiceOf(context.db, actor.school)]);
  const missing = await catchUp(context, site, practice);
  const today = dateAt(site.zone, context.clock.now());
  const from = addDays(today, -WINDOW);
  const [said, happened, observations] = await Promise.all([
    forecastDays(context.db, site.id, from, addDays(today, -1)),
    outcomes(context, site, practice, from, today),
    countObservations(context.db, site.id),
  ]);
  const verified = said.flatMap((row): Verified[] => {
    const truth = happened.get(row.date);
    return truth
      ? [{ lead: row.lead, chance: row.chance, happened: truth.chance >= 0.5, warmest: [row.warmest, truth.warmest] }]
      : [];
  });
  const scores = scoresByLead(verified);
  const known = [...new Set(said.map((row) => row.date))].filter((date) => happened.has(date)).sort();
  return {
    ...siteNames(found),
    from: known[0] ?? null,
    to: known.at(-1) ?? null,
    missing,
    scores,
    trust: trustOf(scores.filter((score) => score.lead > 0)),
    days: known.map((date) => {
      const truth = happened.get(date)!;
      return {
        date,
        fit: truth.chance >= 0.5,
        warmest: truth.warmest,
        said: said
          .filter((row) => row.date === date)
          .map(({ lead, chance, warmest }) => ({ lead, chance, warmest }))
          .sort((a, b) => a.lead - b.lead),
      };
    }),
    forecast: { issuedAt: season.forecast.ensemble?.issued ?? null, problem: season.forecast.problem },
    climate: season.usualFrom,
    observations,
    limits: practice.limits,
    mayEdit: actor.role !== 'trainee',
    mayLead: actor.role === 'lead',
  };
}

/** Days of which nobody kept the forecast are asked for as it stood then, some at each look; how many are left. */
async function catchUp(context: Context, site: SiteRow, practice: HousePractice): Promise<number> {
  const now = context.clock.now();
  const today = dateAt(site.zone, now);
  const kept = await forecastDays(context.db, site.id, addDays(today, -WINDOW), addDays(today, 10));
  const issued = new Set(kept.filter((row: ForecastDayRow) => row.lead === 0).map((row) => row.date));
  const missing = Array.from({ length: WINDOW }, (_, day) => addDays(today, -day - 1)).filter(
    (date) => !issued.has(date),
  );
  for (const date of missing.slice(0, CATCH_UP)) {
    try {
      const then = await context.weather.forecast(site, new Date(hourAt(site.zone, date, 7)));
      if (dateAt(site.zone, then.issued) !== date) return 0;
      await keepForecastDays(context.db, leadDays(then, site, practice));
    } catch (error) {
      context.log.warn({ err: error }, 'no past forecast');
      return 0;
    }
  }
  return Math.max(0, missing.length - CATCH_UP);
}

async function outcomes(context: Context, site: SiteRow, practice: HousePractice, from: string, today: string) {
  const observed = await observedAt(context, site, hourAt(site.zone, from, 0), hourAt(site.zone, today, 0));
  const days = Array.from({ length: WINDOW }, (_, day) => addDays(from, day));
  return new Map(
    days.flatMap((date) => {
      const truth =
        observed &&
        sessionChance(observed, site, practice.limits, 'full', [
          hourAt(site.zone, date, 0),
          hourAt(site.zone, date, 24),
        ]);
      return truth ? [[date, truth] as const] : [];
    }),
  );
}
