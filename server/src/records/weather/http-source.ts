import { say } from '../../words';
import { Unfit } from '@brave-comb/core/language';
import type { Ensemble, Place } from '@brave-comb/core/weather';
import type { WeatherSource } from '../../sources';
import { fromCoverage } from './coverage-json';

const PATIENCE = 4_000;

/**
 * Reads weather over HTTP as CoverageJSON.
 *
 * @param base address of the service, as in `http://127.0.0.1:9000`
 * @returns a source; it throws when the service does not answer in time or with something else
 */
export function httpWeather(base: string): WeatherSource {
  const read = async (path: string, query: Readonly<Record<string, string>>): Promise<Ensemble> => {
    const url = new URL(path, base);
    url.search = new URLSearchParams(query).toString();
    const response = await fetch(url, { signal: AbortSignal.timeout(PATIENCE) });
    if (!response.ok) throw new Unfit(say('weather-status', { status: response.status }));
    return fromCoverage(await response.json());
  };
  const point = ({ latitude, longitude }: Place) => ({ latitude: `${latitude}`, longitude: `${longitude}` });
  return {
    forecast: (place, at) => read('/forecast', { ...point(place), at: at.toISOString() }),
    observed: (place, from, to) =>
      read('/observed', { ...point(place), from: from.toISOString(), to: to.toISOString() }),
  };
}
