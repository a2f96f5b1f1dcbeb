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
  const tooOld = new Date(issued.getTime() - 14 * 86_400_000);
  await db<ForecastRow>('forecasts').where({ site }).where('issued_at', '<', tooOld).delete();
}

/** The newest forecast of a site that was issued by an instant. */
export const keptForecast = (db: Knex, site: string, by: Date): Promise<ForecastRow | undefined> =>
  db<ForecastRow>('forecasts').where({ site }).where('issued_at', '<=', by).orderBy('issued_at', 'desc').first();
