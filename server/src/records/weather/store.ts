import type { Text } from '@brave-comb/core/language';
import type { UsualYear } from '@brave-comb/core/season';
import type { Weather } from '@brave-comb/core/weather';
import { DAY } from '@brave-comb/core/units';
import type { Knex } from 'knex';

interface ForecastRow {
  readonly site: string;
  readonly issued_at: Date;
  readonly payload: string;
}

/** Keeps a forecast and lets those older than two weeks go. */
export async function keepForecast(db: Knex, site: string, issued: Date, payload: string): Promise<void> {
  await db<ForecastRow>('forecasts')
    .insert({ site, issued_at: issued, payload })
    .onConflict(['site', 'issued_at'])
    .ignore();
  const tooOld = new Date(issued.getTime() - 14 * DAY);
  await db<ForecastRow>('forecasts').where({ site }).where('issued_at', '<', tooOld).delete();
}

/** When the newest forecast of a site that was issued by an instant was issued. */
export async function newestIssue(db: Knex, site: string, by: Date): Promise<Date | undefined> {
  const row = await db<ForecastRow>('forecasts')
    .where({ site })
    .where('issued_at', '<=', by)
    .orderBy('issued_at', 'desc')
    .first('issued_at');
  return row?.issued_at;
}

export async function forecastPayload(db: Knex, site: string, issued: Date): Promise<string> {
  const row = await db<ForecastRow>('forecasts').where({ site, issued_at: issued }).first('payload');
  if (!row) throw new Error('the forecast that was there a moment ago is gone');
  return row.payload;
}

/** Why a site's weather is not up to date, and when it is tried again, machine time; no row, nothing wrong. */
export interface RefreshRow {
  readonly site: string;
  readonly fault: Text;
  readonly again_at: Date;
}

export const refreshOf = (db: Knex, site: string): Promise<RefreshRow | undefined> =>
  db<RefreshRow>('weather_refreshes').where({ site }).first();
export const keepRefresh = (db: Knex, row: RefreshRow) =>
  db('weather_refreshes')
    .insert({ ...row, fault: JSON.stringify(row.fault) })
    .onConflict('site')
    .merge();
export const dropRefresh = (db: Knex, site: string) => db<RefreshRow>('weather_refreshes').where({ site }).delete();

/** The hours of a day that has been, as JSON, from midnight at the site. */
export interface ObservedDayRow {
  readonly site: string;
  readonly date: string;
  readonly hours: string;
}

export const observedDaysOf = (db: Knex, site: string, from: string, to: string): Promise<ObservedDayRow[]> =>
  db<ObservedDayRow>('observed_days').where({ site }).whereBetween('date', [from, to]).orderBy('date').select();
export const observedDates = (db: Knex, site: string, from: string, to: string): Promise<string[]> =>
  db<ObservedDayRow>('observed_days').where({ site }).whereBetween('date', [from, to]).pluck('date');

export async function keepObservedDays(db: Knex, rows: readonly ObservedDayRow[]): Promise<void> {
  for (let from = 0; from < rows.length; from += 100)
    await db('observed_days')
      .insert(rows.slice(from, from + 100))
      .onConflict(['site', 'date'])
      .merge();
}

export interface ObservationRow {
  readonly site: string;
  readonly hour: Date;
  readonly source: 'imported' | 'entered';
  readonly temperature: number | null;
  readonly dew_point: number | null;
  readonly wind: number | null;
  readonly gust: number | null;
  readonly rain: number | null;
  readonly cloud: number | null;
  readonly thunder: number | null;
}

/** Writes hours; an hour known already is written over, figure by figure where a new one is given. */
export async function keepObservations(db: Knex, rows: readonly ObservationRow[]): Promise<void> {
  const merged = Object.fromEntries(
    (['temperature', 'dew_point', 'wind', 'gust', 'rain', 'cloud', 'thunder'] as const).map((figure) => [
      figure,
      db.raw('coalesce(values(??), ??)', [figure, figure]),
    ]),
  );
  for (let from = 0; from < rows.length; from += 500) {
    await db('observations')
      .insert(rows.slice(from, from + 500))
      .onConflict(['site', 'hour'])
      .merge({ ...merged, source: db.raw('values(source)') });
  }
}

export const observationsBetween = (db: Knex, site: string, from: Date, to: Date): Promise<ObservationRow[]> =>
  db<ObservationRow>('observations')
    .where({ site })
    .where('hour', '>=', from)
    .where('hour', '<', to)
    .orderBy('hour')
    .select();

/** Names of the observation's columns by the figure that they hold. */
export const FIGURE_COLUMNS = {
  temperature: 'temperature',
  dewPoint: 'dew_point',
  wind: 'wind',
  gust: 'gust',
  rain: 'rain',
  cloud: 'cloud',
  thunder: 'thunder',
} as const satisfies Record<keyof Weather, keyof ObservationRow>;

export interface WeatherDayRow {
  readonly site: string;
  readonly date: string;
  readonly low: number;
  readonly high: number;
  readonly rain: number;
  readonly dew_point: number;
}

export const weatherDays = (db: Knex, site: string, from: string, to: string): Promise<WeatherDayRow[]> =>
  db<WeatherDayRow>('weather_days').where({ site }).whereBetween('date', [from, to]).orderBy('date').select();

export async function keepWeatherDays(db: Knex, rows: readonly WeatherDayRow[]): Promise<void> {
  if (rows.length > 0)
    await db('weather_days')
      .insert([...rows])
      .onConflict(['site', 'date'])
      .merge();
}

export interface ClimateRow {
  readonly site: string;
  readonly name: string;
  readonly days: string;
  readonly by_person: string;
  readonly at: Date;
}

export const climateOf = async (db: Knex, site: string): Promise<{ name: string; days: UsualYear } | null> => {
  const row = await db<ClimateRow>('climates').where({ site }).first();
  return row ? { name: row.name, days: JSON.parse(row.days) as UsualYear } : null;
};

export const keepClimate = (db: Knex, row: ClimateRow) => db('climates').insert(row).onConflict('site').merge();

export interface ForecastDayRow {
  readonly site: string;
  readonly date: string;
  readonly lead: number;
  readonly chance: number;
  readonly warmest: number;
}

export async function keepForecastDays(db: Knex, rows: readonly ForecastDayRow[]): Promise<void> {
  if (rows.length > 0)
    await db('forecast_days')
      .insert([...rows])
      .onConflict(['site', 'date', 'lead'])
      .ignore();
}

export const forecastDays = (db: Knex, site: string, from: string, to: string): Promise<ForecastDayRow[]> =>
  db<ForecastDayRow>('forecast_days').where({ site }).whereBetween('date', [from, to]).select();

export async function countObservations(db: Knex, site: string): Promise<number> {
  const row = await db<ObservationRow>('observations')
    .where({ site })
    .count<{ hours: number }>('hour as hours')
    .first();
  return row?.hours ?? 0;
}
