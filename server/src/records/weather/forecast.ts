import { say } from '../../words';
import { type Text, inOne } from '@brave-comb/core/language';
import { addDays } from '@brave-comb/core/units';
import { type Ensemble, HOUR, dayOutlook, sessionChance, widen } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { dateAt, hourAt } from '../../dates';
import { identityOf, remembered } from '../../remembered';
import type { SiteRow } from '../equipment';
import type { HousePractice } from '@brave-comb/core/house';
import { type KnownDay, dayOf, overridden, shownDay } from './day';
import { forecastPayload, newestIssue, observationsBetween, refreshOf } from './store';

/** A forecast in use, and what is wrong with it when a newer one should be there. */
export interface ForecastInUse {
  readonly ensemble: Ensemble | null;
  readonly problem: Text | null;
}

/** A new forecast is out about every six hours. */
const FRESH = 6.5 * HOUR;
export const LEADS = 10;

/** Forecasts as they were read and widened, so that all who ask work with the same object. What a site's forecast of a moment says never changes. */
const known = new Map<string, Promise<Ensemble>>();
const MOST_KNOWN = 40;

function readOnce(key: string, read: () => Promise<Ensemble>): Promise<Ensemble> {
  const ensemble = known.get(key) ?? read();
  known.delete(key);
  known.set(key, ensemble);
  ensemble.catch(() => known.delete(key));
  if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!);
  return ensemble;
}

/**
 * The forecast to plan with: the newest one kept, with the doubt of its age when a newer one should be there. What was observed at the site
 * takes the place of what was forecast. Nothing is fetched here: the refresh does that.
 *
 * @param context database, clock
 * @param site the site
 * @returns the forecast and, if it is not the newest, why
 */
export async function forecastInUse({ db, clock }: Context, site: SiteRow): Promise<ForecastInUse> {
  const now = clock.now();
  const issued = await newestIssue(db, site.id, now);
  const age = issued ? now.getTime() - issued.getTime() : Infinity;
  if (issued && age < FRESH) {
    const ensemble = await corrected(db, site, issued, 0, now);
    return { ensemble, problem: ensemble.note ?? null };
  }
  const fault = (await refreshOf(db, site.id))?.fault ?? say('forecast-not-come');
  if (!issued) return { ensemble: null, problem: inOne([fault, say('no-earlier-forecast')]) };
  const hours = Math.round(age / HOUR);
  return {
    ensemble: await corrected(db, site, issued, Math.floor((age - FRESH) / HOUR), now),
    problem: inOne([fault, say('older-forecast', { hours })]),
  };
}

/** Whether a forecast of this moment is new enough that nobody asks for a newer one. */
export const isFresh = (issued: Date, now: Date): boolean => now.getTime() - issued.getTime() < FRESH;

async function corrected(db: Db, site: SiteRow, issued: Date, hours: number, now: Date): Promise<Ensemble> {
  const ensemble = await readOnce(`${site.id} ${issued.getTime()} ${hours}`, async () =>
    widen(JSON.parse(await forecastPayload(db, site.id, issued)) as Ensemble, hours),
  );
  return overridden(ensemble, await observationsBetween(db, site.id, new Date(ensemble.start), now));
}

/** A day with fewer hours than this fit for a lifted lid keeps bees in. */
const POOR_HOURS = 3;
const WEEK = 7;

/** Days of the week after a date on which bees can hardly fly, by the middle forecast; `null` where it does not reach so far. */
export const poorDaysAfter = remembered(
  20,
  (ensemble: Ensemble | null, site: SiteRow, limits: HousePractice['limits'], date: string) => [
    identityOf(ensemble),
    site,
    limits,
    date,
  ],
  poorDays,
);

function poorDays(
  ensemble: Ensemble | null,
  site: SiteRow,
  limits: HousePractice['limits'],
  date: string,
): number | null {
  if (!ensemble) return null;
  const days = Array.from({ length: WEEK }, (_, day) => addDays(date, day + 1)).map((each) =>
    dayOutlook(ensemble, site, limits, hourAt(site.zone, each, 0), hourAt(site.zone, each, 24)),
  );
  const foreseen = days.filter((day) => day !== null);
  return foreseen.length < WEEK ? null : foreseen.filter((day) => day.hours.lid[1] < POOR_HOURS).length;
}

/** Days ahead by the middle of the forecast, today among them. */
export function daysAhead(ensemble: Ensemble | null, site: SiteRow, from: string, count: number): readonly KnownDay[] {
  if (!ensemble) return [];
  return Array.from({ length: count }, (_, day) => dayOf(ensemble, site, addDays(from, day)))
    .filter((day) => day !== null)
    .map(shownDay);
}

/** What a forecast says of each coming day, kept to be set against what happens. */
export function leadDays(ensemble: Ensemble, site: SiteRow, practice: HousePractice) {
  const today = dateAt(site.zone, ensemble.issued);
  return Array.from({ length: LEADS }, (_, lead) => {
    const date = addDays(today, lead);
    const day = sessionChance(ensemble, site, practice.limits, 'full', [
      hourAt(site.zone, date, 0),
      hourAt(site.zone, date, 24),
    ]);
    return day && { site: site.id, date, lead, ...day };
  }).filter((row) => row !== null);
}
