import { addDays } from '@brave-comb/core/units';
import { type Ensemble, type Weather, HOUR } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { dateAt, hourAt } from '../../dates';
import type { SiteRow } from '../equipment';
import { type KnownDay, dayOf, overridden, shownDay } from './day';
import { keepWeatherDays, observationsBetween, observedDaysOf, weatherDays } from './store';

/**
 * What was observed at a site on days that have been, hour by hour. Values entered at the site take precedence.
 *
 * @param from first date
 * @param to last date
 * @returns an ensemble of one for each date that is known, by date
 */
export async function observedDays(
  { db }: Pick<Context, 'db'>,
  site: SiteRow,
  from: string,
  to: string,
): Promise<ReadonlyMap<string, Ensemble>> {
  const [first, end] = [new Date(hourAt(site.zone, from, 0)), new Date(hourAt(site.zone, to, 24))];
  const [rows, seen] = await Promise.all([
    observedDaysOf(db, site.id, from, to),
    observationsBetween(db, site.id, first, end),
  ]);
  return new Map(
    rows.map(({ date, hours }) => {
      const start = hourAt(site.zone, date, 0);
      const members = [JSON.parse(hours) as Weather[]];
      const ensemble = { start: new Date(start).toISOString(), issued: new Date(start).toISOString(), members };
      const own = seen.filter(
        ({ hour }) => hour.getTime() >= start && hour.getTime() < start + members[0]!.length * HOUR,
      );
      return [date, overridden(ensemble, own)];
    }),
  );
}

/** Reckons the figures of days anew, from what was observed and what was entered. */
export async function keepDays(db: Db, site: SiteRow, from: string, to: string): Promise<void> {
  const days = await observedDays({ db }, site, from, to);
  await keepWeatherDays(
    db,
    [...days].flatMap(([date, ensemble]) => dayOf(ensemble, site, date) ?? []),
  );
}

/**
 * Days that have been.
 *
 * @param from first date
 * @param to last date; today and later are left out
 * @returns days in order; those that nobody knows are left out
 */
export async function daysBefore(
  context: Context,
  site: SiteRow,
  from: string,
  to: string,
): Promise<readonly KnownDay[]> {
  const yesterday = addDays(dateAt(site.zone, context.clock.now()), -1);
  const last = to < yesterday ? to : yesterday;
  return last < from ? [] : (await weatherDays(context.db, site.id, from, last)).map(shownDay);
}
