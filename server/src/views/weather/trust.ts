import type { Sayable } from '@brave-comb/core/language';
import type { Trust } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { type Verified, scoresByLead, sessionChance, trustOf } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt } from '../../dates';
import { siteSeason } from '../../facts/season';
import { siteNames, siteOf, type SiteRow } from '../../records/equipment';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf } from '../../records/people';
import {
  countObservations,
  daysWithoutForecast,
  forecastDays,
  observedDays,
  TRUST_WINDOW,
} from '../../records/weather';

/** Forecast against what happened at a site, by lead day. */
export async function forecastTrust(context: Context, actor: Actor, siteId?: string): Promise<Sayable<Trust>> {
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const [season, practice] = await Promise.all([siteSeason(context, site), housePracticeOf(context.db, actor.school)]);
  const today = dateAt(site.zone, context.clock.now());
  const from = addDays(today, -TRUST_WINDOW);
  const [missing, said, happened, observations] = await Promise.all([
    daysWithoutForecast(context.db, site, today),
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
    missing: missing.length,
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

async function outcomes(context: Context, site: SiteRow, practice: HousePractice, from: string, today: string) {
  const observed = await observedDays(context, site, from, addDays(today, -1));
  return new Map(
    [...observed].flatMap(([date, day]) => {
      const truth = sessionChance(day, site, practice.limits, 'full', [
        hourAt(site.zone, date, 0),
        hourAt(site.zone, date, 24),
      ]);
      return truth ? [[date, truth] as const] : [];
    }),
  );
}
