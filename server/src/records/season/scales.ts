import { type ScaleDay, type ScaleEvent, naturalGains, scaleEvents } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { perDatabase } from '../../database/per-database';
import { dateAt } from '../../dates';
import type { ScaleSource } from '../../sources';
import { hivesOf, type SiteRow } from '../equipment';
import { keepScaleDays, scaleDays } from './store';

/** A hive on a scale with what its weights tell. */
export interface ScaleHive {
  readonly hive: string;
  readonly days: readonly ScaleDay[];
  readonly events: readonly ScaleEvent[];
}

/** Weights of the hives on scales at a site, up to yesterday, as far as they are kept. */
export async function scalesOf(
  { db }: Context,
  site: SiteRow,
  from: string,
  today: string,
): Promise<readonly ScaleHive[]> {
  const hives = (await hivesOf(db, site.school, site.id)).filter((hive) => hive.scale !== null);
  return Promise.all(
    hives.map(async (hive) => {
      const kept = await scaleDays(db, hive.id, from, addDays(today, -1));
      const days = kept.map(({ date, kg }) => ({ date, kg }));
      return { hive: hive.number, days, events: scaleEvents(days) };
    }),
  );
}

/** Two seasons, to set one beside the other. */
const REACH_BACK = 2 * 366;
const RETRY = 60_000;
const RETRY_PAST = 3_600_000;
/** When a hive's weights are asked for again, by this process, ms of the machine's time. */
const askedAgain = perDatabase(() => new Map<string, number>());

/**
 * Fetches the weights of a site's hives on scales that are missing up to yesterday, and keeps them.
 *
 * @param context database, clock, log
 * @param source where weights come from
 * @param site the site
 * @returns whether any came
 */
export async function refreshScales(context: Context, source: ScaleSource, site: SiteRow): Promise<boolean> {
  const { db, clock, log } = context;
  const yesterday = addDays(dateAt(site.zone, clock.now()), -1);
  const again = askedAgain(db);
  let more = false;
  for (const { id, scale } of await hivesOf(db, site.school, site.id)) {
    if (scale === null || Date.now() < (again.get(id) ?? 0)) continue;
    const from = addDays(yesterday, -REACH_BACK);
    const kept = await scaleDays(db, id, from, yesterday);
    if (kept.length > REACH_BACK) continue;
    const have = new Set(kept.map(({ date }) => date));
    try {
      const days = (await source.days(scale, from, yesterday, site.longitude)).filter(({ date }) => !have.has(date));
      await keepScaleDays(
        db,
        days.map((day) => ({ hive: id, ...day })),
      );
      more ||= days.length > 0;
      again.set(id, Date.now() + (have.has(yesterday) || days.some(({ date }) => date === yesterday) ? 0 : RETRY));
      if (days.length === 0) again.set(id, Date.now() + RETRY_PAST);
    } catch (error) {
      again.set(id, Date.now() + RETRY);
      log.warn({ err: error }, 'no hive weights');
    }
  }
  return more;
}

/** Gains of the last days of a site's first hive on a scale, kg a day, without what people and swarms did. */
export const gainsOf = ([first]: readonly ScaleHive[]): readonly number[] =>
  first ? naturalGains(first.days.slice(-14)) : [];
