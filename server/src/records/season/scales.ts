import { type ScaleDay, type ScaleEvent, naturalGains, scaleEvents } from '@brave-comb/core/season';
import { addDays, daysBetween } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { perDatabase } from '../../database/per-database';
import { hivesOf, type SiteRow } from '../equipment';
import { keepScaleDays, scaleDays } from './store';

/** A hive on a scale with what its weights tell. */
export interface ScaleHive {
  readonly hive: string;
  readonly days: readonly ScaleDay[];
  readonly events: readonly ScaleEvent[];
}

const RETRY = 60_000;
const lastFailed = perDatabase(() => new Map<string, number>());

/** Weights of the hives on scales at a site, up to yesterday; those that are missing are asked for once and kept. */
export async function scalesOf(
  context: Context,
  site: SiteRow,
  from: string,
  today: string,
): Promise<readonly ScaleHive[]> {
  const hives = (await hivesOf(context.db, site.school, site.id)).filter((hive) => hive.scale !== null);
  return Promise.all(
    hives.map(async (hive) => {
      const days = await weights(context, hive.id, hive.scale!, from, addDays(today, -1));
      return { hive: hive.number, days, events: scaleEvents(days) };
    }),
  );
}

async function weights(
  context: Context,
  hive: string,
  scale: string,
  from: string,
  to: string,
): Promise<readonly ScaleDay[]> {
  const kept = await scaleDays(context.db, hive, from, to);
  const plain = kept.map(({ date, kg }) => ({ date, kg }));
  const whole = kept.length >= daysBetween(from, to) + 1;
  if (whole || Date.now() - (lastFailed(context.db).get(hive) ?? 0) < RETRY) return plain;
  try {
    const days = await context.scale.days(scale, from, to);
    await keepScaleDays(
      context.db,
      days.map((day) => ({ hive, ...day })),
    );
    return days;
  } catch (error) {
    lastFailed(context.db).set(hive, Date.now());
    context.log.warn({ err: error }, 'no hive weights');
    return plain;
  }
}

/** Gains of the last days of a site's first hive on a scale, kg a day, without what people and swarms did. */
export const gainsOf = ([first]: readonly ScaleHive[]): readonly number[] =>
  first ? naturalGains(first.days.slice(-14)) : [];
