import { Unfit, type Sayable } from '@brave-comb/core/language';
import { say } from '../../words';
import type { Output, endpoints } from '@brave-comb/contract';
import { readEpw, readWeatherCsv } from '@brave-comb/core/exchange';
import { kmBetween, roundTo } from '@brave-comb/core/units';
import { HOUR, type Weather } from '@brave-comb/core/weather';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt, iso } from '../../dates';
import { Refusal } from '../../problem';
import { siteOf, type SiteRow } from '../equipment';
import { changeHousePractice } from '../people';
import { keepDays } from './days';
import { FIGURE_COLUMNS, type ObservationRow, keepClimate, keepObservations } from './store';

/** Reads a file, telling what is wrong with it instead of failing. */
function readFile<T>(read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof Unfit) throw new Refusal(422, 'not-valid', error.says);
    throw error;
  }
}

const FIGURES = Object.entries(FIGURE_COLUMNS) as [keyof Weather, (typeof FIGURE_COLUMNS)[keyof Weather]][];

function row(
  site: SiteRow,
  at: number,
  source: ObservationRow['source'],
  weather: { readonly [Figure in keyof Weather]?: number | null },
): ObservationRow {
  const figures = Object.fromEntries(FIGURES.map(([figure, column]) => [column, weather[figure] ?? null]));
  return { site: site.id, hour: new Date(at), source, ...figures } as ObservationRow;
}

async function keep({ db }: Context, site: SiteRow, rows: readonly ObservationRow[]): Promise<void> {
  await revise(db, site.school, async (trx) => {
    await keepObservations(trx, rows);
    const dates = rows.map((each) => dateAt(site.zone, each.hour)).sort();
    await keepDays(trx, site, dates[0]!, dates.at(-1)!);
  });
}

/** Imports hours that were measured at the site. Lines that cannot be read are told, the others are kept. */
export async function importWeather(
  context: Context,
  actor: Actor,
  siteId: string,
  { text }: Body<'importWeather'>,
): Promise<Sayable<Output<typeof endpoints.importWeather>>> {
  const { site } = await siteOf(context, actor.school, siteId);
  const { hours, bad } = readFile(() => readWeatherCsv(text));
  const now = context.clock.now().getTime();
  const ahead = hours.find((hour) => hour.at > now);
  if (ahead)
    throw new Refusal(422, 'in-the-future', say('file-reaches-into-the-future', { date: iso(ahead.at).slice(0, 10) }));
  if (hours.length > 0)
    await keep(
      context,
      site,
      hours.map(({ at, weather }) => row(site, at, 'imported', weather)),
    );
  const [first, last] = [hours[0], hours.at(-1)];
  return { kept: hours.length, from: first ? iso(first.at) : null, to: last ? iso(last.at) : null, bad };
}

/** Imports a typical year as the usual weather of a site. */
export async function importClimate(
  context: Context,
  actor: Actor,
  siteId: string,
  { text }: Body<'importClimate'>,
): Promise<Output<typeof endpoints.importClimate>> {
  const { site } = await siteOf(context, actor.school, siteId);
  const year = readFile(() => readEpw(text));
  if (year.latitude * site.latitude < 0)
    throw new Refusal(422, 'not-valid', say('year-of-the-other-half', { place: year.place }));
  await revise(context.db, actor.school, (trx) =>
    keepClimate(trx, {
      site: site.id,
      name: year.place,
      days: JSON.stringify(year.days),
      by_person: actor.id,
      at: context.clock.now(),
    }),
  );
  const means = year.days.map(({ low, high }) => (low + high) / 2);
  return {
    place: year.place,
    km: roundTo(kmBetween(site, year), 0),
    coldest: roundTo(Math.min(...means), 1),
    warmest: roundTo(Math.max(...means), 1),
  };
}

/** What the thermometer, the wind or the sky shows at the site: for the hour in which it was read. */
export async function enterObservation(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'enterObservation'>,
): Promise<{ kept: true }> {
  const { site } = await siteOf(context, actor.school, siteId);
  const at = Date.parse(body.at);
  if (at > context.clock.now().getTime() + HOUR / 2) throw new Refusal(422, 'in-the-future', say('moment-to-come'));
  const { thunder, ...figures } = body;
  await keep(context, site, [
    row(site, Math.floor(at / HOUR) * HOUR, 'entered', {
      ...figures,
      thunder: thunder === null ? null : Number(thunder),
    }),
  ]);
  return { kept: true };
}

export const setLimits = (context: Context, actor: Actor, limits: Body<'setLimits'>): Promise<{ kept: true }> =>
  changeHousePractice(context, actor, () => ({ limits }));
