import { say } from '../../words';
import { type Text, Unfit, sameText } from '@brave-comb/core/language';
import { addDays } from '@brave-comb/core/units';
import { HOUR } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { perDatabase } from '../../database/per-database';
import { dateAt, hourAt } from '../../dates';
import type { WeatherSource } from '../../sources';
import type { SiteRow } from '../equipment';
import { housePracticeOf } from '../people';
import { keepDays } from './days';
import { isFresh, leadDays } from './forecast';
import {
  dropRefresh,
  forecastDays,
  keepForecast,
  keepForecastDays,
  keepObservedDays,
  keepRefresh,
  newestIssue,
  observedDates,
  refreshOf,
} from './store';

/** The weather service tells a little more than a year. */
export const REACH_BACK = 396;
/** So many days back a forecast is set against what happened. */
export const TRUST_WINDOW = 45;
/** After a vain try, ms of the machine's time; a service that only has nothing newer yet is left alone for longer. */
const RETRY = 20_000;
const RETRY_OLD = 300_000;
/** Of the past a service may know less than is asked. */
const RETRY_PAST = 3_600_000;
/** Forecasts of the past that are asked for in one turn. */
const CATCH_UP = 3;

/** What a service may answer with instead of weather; all else is a fault of ours. */
const notThere = (error: unknown): boolean =>
  [RangeError, TypeError, DOMException, SyntaxError].some((kind) => error instanceof kind);

/** When a site's past was last asked for in vain, by this process. */
const inVain = perDatabase(() => new Map<string, number>());

/**
 * Fetches what is missing of a site's weather and keeps it: the newest forecast, days that have been, and some of the forecasts of the past
 * that nobody kept. Readers read what is kept.
 *
 * @param context database, clock, log
 * @param source where weather comes from
 * @param site the site
 * @param atOnce also where it failed a moment ago
 * @returns whether anything changed that readers see
 */
export async function refreshWeather(
  context: Context,
  source: WeatherSource,
  site: SiteRow,
  atOnce = false,
): Promise<boolean> {
  const { db, clock, log } = context;
  const before = await refreshOf(db, site.id);
  if (before && !atOnce && Date.now() < before.again_at.getTime()) return false;
  let changed = false;
  let fault: Text | null = null;
  let wait = RETRY;
  const vain = inVain(db);
  try {
    changed = await newForecast(context, source, site);
    const issued = await newestIssue(db, site.id, clock.now());
    if (!issued || !isFresh(issued, clock.now())) {
      fault = say('no-newer-forecast');
      wait = RETRY_OLD;
    }
    if (Date.now() - (vain.get(site.id) ?? 0) > RETRY_PAST)
      for (const step of [pastDays, pastForecasts]) {
        const got = await step(context, source, site);
        if (got === 'not-told') vain.set(site.id, Date.now());
        else changed ||= got === 'more';
      }
  } catch (error) {
    if (!notThere(error)) throw error;
    log.warn({ err: error }, 'no weather');
    fault = error instanceof Unfit ? error.says : say('weather-silent');
  }
  if (fault === null && before === undefined) return changed;
  if (fault === null) await dropRefresh(db, site.id);
  else await keepRefresh(db, { site: site.id, fault, again_at: new Date(Date.now() + wait) });
  return changed || !sameText(fault ?? '', before?.fault ?? '');
}

async function newForecast({ db, clock }: Context, source: WeatherSource, site: SiteRow): Promise<boolean> {
  const now = clock.now();
  const newest = await newestIssue(db, site.id, now);
  if (newest && isFresh(newest, now)) return false;
  const ensemble = await source.forecast(site, now);
  const issued = new Date(ensemble.issued);
  if (newest && issued <= newest) return false;
  const leads = leadDays(ensemble, site, await housePracticeOf(db, site.school));
  await db.transaction(async (trx) => {
    await keepForecast(trx, site.id, issued, JSON.stringify(ensemble));
    await keepForecastDays(trx, leads);
  });
  return true;
}

type Got = 'more' | 'nothing-missing' | 'not-told';

async function pastDays({ db, clock }: Context, source: WeatherSource, site: SiteRow): Promise<Got> {
  const today = dateAt(site.zone, clock.now());
  const earliest = addDays(today, -REACH_BACK);
  const have = new Set(await observedDates(db, site.id, earliest, addDays(today, -1)));
  const missing = datesFrom(earliest, REACH_BACK).filter((date) => !have.has(date));
  const [first, last] = [missing[0], missing.at(-1)];
  if (first === undefined || last === undefined) return 'nothing-missing';
  const from = new Date(hourAt(site.zone, first, 0));
  const observed = await source.observed(site, from, new Date(hourAt(site.zone, last, 24)));
  const start = Date.parse(observed.start);
  const hourOf = (date: string, hour: number) => Math.round((hourAt(site.zone, date, hour) - start) / HOUR);
  const rows = missing.flatMap((date) => {
    const [begin, end] = [hourOf(date, 0), hourOf(date, 24)];
    const hours = begin < 0 ? [] : (observed.members[0]?.slice(begin, end) ?? []);
    return hours.length === end - begin ? [{ site: site.id, date, hours: JSON.stringify(hours) }] : [];
  });
  if (rows.length === 0) return 'not-told';
  await db.transaction(async (trx) => {
    await keepObservedDays(trx, rows);
    await keepDays(trx, site, first, last);
  });
  return 'more';
}

/** Days of which nobody kept the forecast are asked for as it stood then, some at each turn. */
async function pastForecasts({ db, clock }: Context, source: WeatherSource, site: SiteRow): Promise<Got> {
  const missing = await daysWithoutForecast(db, site, dateAt(site.zone, clock.now()));
  if (missing.length === 0) return 'nothing-missing';
  const practice = await housePracticeOf(db, site.school);
  for (const date of missing.slice(0, CATCH_UP)) {
    const then = await source.forecast(site, new Date(hourAt(site.zone, date, 7)));
    if (dateAt(site.zone, then.issued) !== date) return 'not-told';
    await keepForecastDays(db, leadDays(then, site, practice));
  }
  return 'more';
}

/** Days of the last weeks of which no forecast made on the day itself is kept, the latest first. */
export async function daysWithoutForecast(db: Db, site: SiteRow, today: string): Promise<readonly string[]> {
  const kept = await forecastDays(db, site.id, addDays(today, -TRUST_WINDOW), addDays(today, -1));
  const issued = new Set(kept.filter(({ lead }) => lead === 0).map(({ date }) => date));
  return datesFrom(addDays(today, -TRUST_WINDOW), TRUST_WINDOW)
    .filter((date) => !issued.has(date))
    .reverse();
}

const datesFrom = (first: string, count: number) => Array.from({ length: count }, (_, day) => addDays(first, day));
