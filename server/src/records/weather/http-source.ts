import { type Collection, choose, collectionsIn } from '@brave-comb/core/exchange';
import { Unfit, inOne } from '@brave-comb/core/language';
import type { Place } from '@brave-comb/core/weather';
import type { WeatherSource } from '../../sources';
import { say } from '../../words';
import { fromCoverage } from './coverage-json';

const PATIENCE = 4_000;

/** Ids of collections that whoever set the service up has given; empty for those that fit best. */
export interface WeatherCollections {
  readonly forecast: string;
  readonly observed: string;
}

async function read(url: URL): Promise<Response> {
  const response = await fetch(url, {
    headers: { accept: 'application/prs.coverage+json, application/json' },
    signal: AbortSignal.timeout(PATIENCE),
  });
  if (!response.ok) throw new Unfit(say('weather-status', { status: response.status }));
  return response;
}

/**
 * Reads weather from a service of the OGC API – Environmental Data Retrieval (19-086r6): position queries, answered in CoverageJSON.
 *
 * @param base address below which `/collections` lies
 * @param named ids of its collections
 * @returns a source; it throws when the service does not answer in time or with something else
 */
export function httpWeather(base: string, named: WeatherCollections = { forecast: '', observed: '' }): WeatherSource {
  const below = (path: string): URL => new URL(path, base.endsWith('/') ? base : `${base}/`);
  let known: Promise<readonly Collection[]> | undefined;
  const collections = (): Promise<readonly Collection[]> => {
    // What a service offers changes seldom; one that did not answer is asked again.
    known ??= read(below('collections?f=json'))
      .then(async (response) => collectionsIn(await response.json()))
      .catch((error: unknown) => {
        known = undefined;
        throw error;
      });
    return known;
  };
  const ask = async (which: keyof WeatherCollections, { latitude, longitude }: Place, datetime: string, now: Date) => {
    const collection = choose(await collections(), now.getTime(), named)[which];
    if (!collection) throw new Unfit(say('weather-no-collection'));
    const url = below(`collections/${encodeURIComponent(collection.id)}/position`);
    const wanted = collection.parameters.join(',');
    url.search = new URLSearchParams({
      coords: `POINT(${longitude} ${latitude})`,
      datetime,
      ...(wanted === '' ? {} : { 'parameter-name': wanted }),
      f: 'CoverageJSON',
    }).toString();
    const response = await read(url);
    const modified = Date.parse(response.headers.get('last-modified') ?? '');
    const made = Number.isNaN(modified) ? now : new Date(modified);
    return fromCoverage(await response.json(), made.toISOString());
  };
  return {
    forecast: (place, at) => ask('forecast', place, `${at.toISOString()}/..`, at),
    observed: (place, from, to) => ask('observed', place, `${from.toISOString()}/${to.toISOString()}`, to),
  };
}

/** The weather that ships with the application where a real school would take it for its own: every forecast says what it is. */
export const saidToBeMadeUp = (source: WeatherSource): WeatherSource => ({
  ...source,
  forecast: async (place, at) => {
    const forecast = await source.forecast(place, at);
    return { ...forecast, note: inOne([say('weather-made-up'), ...(forecast.note ? [forecast.note] : [])]) };
  },
});
