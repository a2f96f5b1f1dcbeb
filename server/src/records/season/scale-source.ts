import * as z from 'zod';
import type { ScaleSource } from '../../sources';

const Answer = z.object({ days: z.array(z.object({ date: z.iso.date(), kg: z.number().min(0).max(500) })).max(1000) });
const PATIENCE = 3_000;

/**
 * Reads hive weights over HTTP.
 *
 * @param base address of the service
 * @returns a source; it throws when the service does not answer in time or with something else
 */
export function httpScale(base: string): ScaleSource {
  return {
    async days(scale, from, to) {
      const url = new URL('/days', base);
      url.search = new URLSearchParams({ scale, from, to }).toString();
      const response = await fetch(url, { signal: AbortSignal.timeout(PATIENCE) });
      if (!response.ok) throw new RangeError(`The scale service answered with status ${response.status}.`);
      const read = Answer.safeParse(await response.json());
      if (!read.success) throw new RangeError('The scale service answered with something that is no list of weights.');
      return read.data.days;
    },
  };
}
