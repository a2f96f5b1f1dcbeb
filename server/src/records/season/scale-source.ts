import { say } from '../../words';
import { Unfit } from '@brave-comb/core/language';
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
      if (!response.ok) throw new Unfit(say('scale-status', { status: response.status }));
      const read = Answer.safeParse(await response.json());
      if (!read.success) throw new Unfit(say('scale-no-list'));
      return read.data.days;
    },
  };
}
