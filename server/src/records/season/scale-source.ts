import { type WeightPage, nightlyWeights, weightPage, weightStream } from '@brave-comb/core/exchange';
import { Unfit } from '@brave-comb/core/language';
import { addDays } from '@brave-comb/core/units';
import type { ScaleSource } from '../../sources';
import { say } from '../../words';

const PATIENCE = 3_000;
/** Pages of observations that are read of one stream. */
const MOST_PAGES = 60;

async function read(url: URL): Promise<unknown> {
  const response = await fetch(url, { signal: AbortSignal.timeout(PATIENCE) });
  if (!response.ok) throw new Unfit(say('scale-status', { status: response.status }));
  return response.json();
}

/** Text within a filter: a quote in it is written twice (OData 4, 5.1.1.6). */
const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`;

/**
 * Reads hive weights from a service of the OGC SensorThings API (18-088): the stream of a mass whose name, or whose thing's name, is the
 * scale's.
 *
 * @param base address below which `/Datastreams` lies, as in `https://scales.example/v1.1`
 * @returns a source; it throws when the service does not answer in time or with something else
 */
export function httpScale(base: string): ScaleSource {
  const root = new URL(base.endsWith('/') ? base : `${base}/`);
  /** Links of an answer are followed within the service only. */
  const within = (link: string): URL => {
    const url = new URL(link, root);
    if (url.origin !== root.origin) throw new Unfit(say('scale-elsewhere'));
    return url;
  };
  return {
    async days(scale, from, to, longitude) {
      const streams = within('Datastreams');
      const name = quoted(scale);
      streams.search = new URLSearchParams({ $filter: `name eq ${name} or Thing/name eq ${name}` }).toString();
      const stream = weightStream(await read(streams));
      if (!stream) throw new Unfit(say('scale-not-there', { scale }));
      let next: URL | null = within(stream.observations);
      // A day more on each side: where it is another day already, and still.
      const first = `${addDays(from, -1)}T00:00:00.000Z`;
      const end = `${addDays(to, 2)}T00:00:00.000Z`;
      next.search = new URLSearchParams({
        $filter: `phenomenonTime ge ${first} and phenomenonTime lt ${end}`,
        $orderby: 'phenomenonTime asc',
        $select: 'phenomenonTime,result',
        $top: '1000',
      }).toString();
      const results: WeightPage['results'][number][] = [];
      for (let pages = 0; next && pages < MOST_PAGES; pages += 1) {
        const page = weightPage(await read(next), stream);
        results.push(...page.results);
        next = page.next === null ? null : within(page.next);
      }
      return nightlyWeights(results, longitude).filter(({ date }) => date >= from && date <= to);
    },
  };
}
