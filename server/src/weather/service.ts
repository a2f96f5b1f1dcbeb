import type { Ensemble } from '@brave-comb/core/weather';
import type { Context } from '../context';
import type { SiteRow } from '../equipment/store';
import { keepForecast, keptForecast } from './store';

/** A forecast in use, and what is wrong with it when a newer one should be there. */
export interface ForecastInUse {
  readonly ensemble: Ensemble | null;
  readonly problem: string | null;
}

const HOUR = 3_600_000;
/** A new forecast is out about every six hours. */
const FRESH = 6.5 * HOUR;
const RETRY = 20_000;

/** Parsed forecasts by site, so that they are not read from the database at every request. Another process reads its own. */
const inMemory = new Map<string, Ensemble>();
const lastTried = new Map<string, number>();

/**
 * The forecast to plan with: the newest that the weather service gives, or the last one kept when it does not answer.
 *
 * @param context database, clock, weather source
 * @param site the site
 * @returns the forecast and, if it is not the newest, why
 */
export async function forecastInUse(context: Context, site: SiteRow): Promise<ForecastInUse> {
  const now = context.clock.now();
  const known = inMemory.get(site.id);
  if (known && isFresh(known, now)) return { ensemble: known, problem: null };
  const tried = lastTried.get(site.id) ?? 0;
  let fault = 'The weather service did not answer.';
  if (Date.now() - tried > RETRY) {
    try {
      const ensemble = await context.weather.forecast(site, now);
      await keepForecast(context.db, site.id, new Date(ensemble.issued), JSON.stringify(ensemble));
      inMemory.set(site.id, ensemble);
      lastTried.delete(site.id);
      return { ensemble, problem: null };
    } catch (error) {
      if (!(error instanceof RangeError || error instanceof TypeError || error instanceof DOMException)) throw error;
      lastTried.set(site.id, Date.now());
      context.log.warn({ err: error }, 'no forecast');
      if (error instanceof RangeError) fault = error.message;
    }
  }
  const kept = await keptForecast(context.db, site.id, now);
  if (!kept) return { ensemble: null, problem: `${fault} No earlier forecast is kept.` };
  const ensemble = JSON.parse(kept.payload) as Ensemble;
  const hours = Math.round((now.getTime() - Date.parse(ensemble.issued)) / HOUR);
  return { ensemble, problem: `${fault} Still in use: the forecast of ${hours} hours ago.` };
}

const isFresh = (ensemble: Ensemble, now: Date): boolean => {
  const age = now.getTime() - Date.parse(ensemble.issued);
  return age >= 0 && age < FRESH;
};

/** What was observed at a site between two instants, or `null` when nobody can say. */
export async function observedAt(context: Context, site: SiteRow, from: number, to: number): Promise<Ensemble | null> {
  try {
    return await context.weather.observed(site, new Date(from), new Date(to));
  } catch (error) {
    context.log.warn({ err: error }, 'no observations');
    return null;
  }
}
