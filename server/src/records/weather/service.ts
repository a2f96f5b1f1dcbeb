import { type DayWeather } from '@brave-comb/core/season';
import { addDays, daysBetween } from '@brave-comb/core/units';
import {
  type Ensemble,
  HOUR,
  type Weather,
  dayOutlook,
  quantile,
  sessionChance,
  widen,
} from '@brave-comb/core/weather';
import type { Context } from '../../context';
import { perDatabase } from '../../database/per-database';
import { dateAt, hourAt } from '../../dates';
import { identityOf, remembered } from '../../remembered';
import type { SiteRow } from '../equipment';
import { type HousePractice, practiceOf } from '../people';
import {
  FIGURE_COLUMNS,
  type ObservationRow,
  type WeatherDayRow,
  keepForecast,
  keepForecastDays,
  keepWeatherDays,
  keptForecast,
  observationsBetween,
  weatherDays,
} from './store';

/** A forecast in use, and what is wrong with it when a newer one should be there. */
export interface ForecastInUse {
  readonly ensemble: Ensemble | null;
  readonly problem: string | null;
}

/** A new forecast is out about every six hours. */
const FRESH = 6.5 * HOUR;
const RETRY = 20_000;
export const LEADS = 10;

/** What this process knows of the forecasts of a database: the newest of each site, when it was last asked for in vain, and what is asked for just now. */
const inMemory = perDatabase(() => ({
  newest: new Map<string, Ensemble>(),
  lastTried: new Map<string, number>(),
  asked: new Map<string, Promise<ForecastInUse>>(),
  aged: remembered(
    10,
    (kept: { site: string; issued_at: Date; payload: string }, hours: number) => [kept.site, kept.issued_at, hours],
    ({ payload }, hours) => widen(JSON.parse(payload) as Ensemble, hours),
  ),
}));

/**
 * The forecast to plan with: the newest that the weather service gives, or the last one kept when it does not answer, with the doubt of its
 * age. What was observed at the site takes the place of what was forecast.
 *
 * @param context database, clock, weather source
 * @param site the site
 * @returns the forecast and, if it is not the newest, why
 */
export async function forecastInUse(context: Context, site: SiteRow): Promise<ForecastInUse> {
  const { ensemble, problem } = await newestForecast(context, site);
  if (!ensemble) return { ensemble, problem };
  const start = Date.parse(ensemble.start);
  const seen = await observationsBetween(context.db, site.id, new Date(start), context.clock.now());
  return { ensemble: overridden(ensemble, seen), problem: problem ?? ensemble.note ?? null };
}

async function newestForecast(context: Context, site: SiteRow): Promise<ForecastInUse> {
  const now = context.clock.now();
  const { newest, asked } = inMemory(context.db);
  const known = newest.get(site.id);
  if (known && isFresh(known, now)) return { ensemble: known, problem: null };
  const what = `${site.id} ${Math.floor(now.getTime() / HOUR)}`;
  const going = asked.get(what) ?? askedFor(context, site, now).finally(() => asked.delete(what));
  asked.set(what, going);
  return going;
}

/** Asks the weather service; the last forecast kept when it does not answer, or did not a moment ago. */
async function askedFor(context: Context, site: SiteRow, now: Date): Promise<ForecastInUse> {
  const { newest, lastTried, aged } = inMemory(context.db);
  let fault = 'The weather service did not answer.';
  if (Date.now() - (lastTried.get(site.id) ?? 0) > RETRY) {
    try {
      const ensemble = await context.weather.forecast(site, now);
      await keepForecast(context.db, site.id, new Date(ensemble.issued), JSON.stringify(ensemble));
      await keepForecastDays(context.db, leadDays(ensemble, site, await practiceOf(context.db, site.school)));
      const wide = widen(ensemble, 0);
      newest.set(site.id, wide);
      lastTried.delete(site.id);
      return { ensemble: wide, problem: null };
    } catch (error) {
      if (
        !(
          error instanceof RangeError ||
          error instanceof TypeError ||
          error instanceof DOMException ||
          error instanceof SyntaxError
        )
      )
        throw error;
      lastTried.set(site.id, Date.now());
      context.log.warn({ err: error }, 'no forecast');
      if (error instanceof RangeError) fault = error.message;
    }
  }
  const kept = await keptForecast(context.db, site.id, now);
  if (!kept) return { ensemble: null, problem: `${fault} No earlier forecast is kept.` };
  const age = now.getTime() - kept.issued_at.getTime();
  const hours = Math.round(age / HOUR);
  const old = hours >= 48 ? `${Math.round(hours / 24)} days` : `${hours} hours`;
  return {
    ensemble: aged(kept, Math.floor(Math.max(0, age - FRESH) / HOUR)),
    problem: `${fault} Still in use: the forecast of ${old} ago, with wider odds.`,
  };
}

const isFresh = (ensemble: Ensemble, now: Date): boolean => {
  const age = now.getTime() - Date.parse(ensemble.issued);
  return age >= 0 && age < FRESH;
};

/** Puts what was seen at the site in the place of what was reckoned, in every member. */
const overridden = (ensemble: Ensemble, seen: readonly ObservationRow[]): Ensemble =>
  seen.length === 0 ? ensemble : corrected(ensemble, seen);

const corrected = remembered(
  6,
  (ensemble: Ensemble, seen: readonly ObservationRow[]) => [identityOf(ensemble), seen],
  put,
);

function put(ensemble: Ensemble, seen: readonly ObservationRow[]): Ensemble {
  const start = Date.parse(ensemble.start);
  const byHour = new Map(seen.map((row) => [Math.round((row.hour.getTime() - start) / HOUR), known(row)]));
  return {
    ...ensemble,
    members: ensemble.members.map((member) => member.map((own, hour) => ({ ...own, ...byHour.get(hour) }))),
  };
}

const FIGURES = Object.keys(FIGURE_COLUMNS) as (keyof Weather)[];
const known = (row: ObservationRow): Partial<Weather> =>
  Object.fromEntries(
    FIGURES.flatMap((figure) => {
      const value = row[FIGURE_COLUMNS[figure]];
      return value === null ? [] : [[figure, value]];
    }),
  );

/** What was observed at a site between two instants, or `null` when nobody can say. Values entered at the site take precedence. */
export async function observedAt(context: Context, site: SiteRow, from: number, to: number): Promise<Ensemble | null> {
  try {
    const [ensemble, seen] = await Promise.all([
      context.weather.observed(site, new Date(from), new Date(to)),
      observationsBetween(context.db, site.id, new Date(from), new Date(to)),
    ]);
    return overridden(ensemble, seen);
  } catch (error) {
    context.log.warn({ err: error }, 'no observations');
    return null;
  }
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

/** A day's weather with its dew point in the early afternoon, for the fire index. */
export type KnownDay = DayWeather & { readonly dewPoint: number };

const shownDay = ({ date, low, high, rain, dew_point }: WeatherDayRow): KnownDay => ({
  date,
  low,
  high,
  rain,
  dewPoint: dew_point,
});

/**
 * Days that have been, from the cache; those that are missing are asked for once.
 *
 * @param from first date
 * @param to last date; today and later are left out
 * @returns days in order; fewer when nobody can say
 */
export async function daysBefore(
  context: Context,
  site: SiteRow,
  from: string,
  to: string,
): Promise<readonly KnownDay[]> {
  const yesterday = addDays(dateAt(site.zone, context.clock.now()), -1);
  const last = to < yesterday ? to : yesterday;
  if (last < from) return [];
  const cached = await weatherDays(context.db, site.id, from, last);
  const have = new Set(cached.map((row) => row.date));
  const all = Array.from({ length: daysBetween(from, last) + 1 }, (_, day) => addDays(from, day));
  const missing = all.filter((date) => !have.has(date));
  if (missing.length === 0) return cached.map(shownDay);
  const span = [hourAt(site.zone, missing[0]!, 0), hourAt(site.zone, missing.at(-1)!, 24)] as const;
  const observed = await observedAt(context, site, ...span);
  if (!observed) return cached.map(shownDay);
  const rows = missing.flatMap((date) => dayOf(observed, site, date) ?? []);
  await keepWeatherDays(context.db, rows);
  return [...cached, ...rows].sort((a, b) => daysBetween(b.date, a.date)).map(shownDay);
}

/** Days ahead by the middle of the forecast, today among them. */
export function daysAhead(ensemble: Ensemble | null, site: SiteRow, from: string, count: number): readonly KnownDay[] {
  if (!ensemble) return [];
  return Array.from({ length: count }, (_, day) => dayOf(ensemble, site, addDays(from, day)))
    .filter((day) => day !== null)
    .map(shownDay);
}

function dayOf(ensemble: Ensemble, site: SiteRow, date: string): WeatherDayRow | null {
  const start = Date.parse(ensemble.start);
  const first = Math.round((hourAt(site.zone, date, 0) - start) / HOUR);
  const last = Math.round((hourAt(site.zone, date, 24) - start) / HOUR);
  const hours = ensemble.members.map((member) => member.slice(Math.max(0, first), last));
  if ((hours[0]?.length ?? 0) < 12) return null;
  const middle = (of: (day: readonly Weather[]) => number) => quantile(hours.map(of), 0.5);
  const afternoon = Math.max(0, Math.min((hours[0]?.length ?? 1) - 1, 14 - Math.max(0, -first)));
  return {
    site: site.id,
    date,
    low: middle((day) => Math.min(...day.map((hour) => hour.temperature))),
    high: middle((day) => Math.max(...day.map((hour) => hour.temperature))),
    rain: middle((day) => day.reduce((sum, hour) => sum + hour.rain, 0)),
    dew_point: middle((day) => day[afternoon]!.dewPoint),
  };
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
