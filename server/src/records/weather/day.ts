import type { DayWeather } from '@brave-comb/core/season';
import { quantile } from '@brave-comb/core/statistics';
import { type Ensemble, HOUR, type Weather } from '@brave-comb/core/weather';
import { hourAt } from '../../dates';
import { identityOf, remembered } from '../../remembered';
import type { SiteRow } from '../equipment';
import { FIGURE_COLUMNS, type ObservationRow, type WeatherDayRow } from './store';

/** A day's weather with its dew point in the early afternoon, for the fire index. */
export type KnownDay = DayWeather & { readonly dewPoint: number };

export const shownDay = ({ date, low, high, rain, dew_point }: WeatherDayRow): KnownDay => ({
  date,
  low,
  high,
  rain,
  dewPoint: dew_point,
});

/** Puts what was seen at the site in the place of what was reckoned, in every member. */
export const overridden = (ensemble: Ensemble, seen: readonly ObservationRow[]): Ensemble =>
  seen.length === 0 ? ensemble : corrected(ensemble, seen);

const corrected = remembered(
  6,
  (ensemble: Ensemble, seen: readonly ObservationRow[]) => [identityOf(ensemble), seen],
  put,
);

function put(ensemble: Ensemble, seen: readonly ObservationRow[]): Ensemble {
  const start = Date.parse(ensemble.start);
  const byHour = new Map(seen.map((row) => [Math.round((row.hour.getTime() - start) / HOUR), known(row)]));
  return {
    ...ensemble,
    members: ensemble.members.map((member) => member.map((own, hour) => ({ ...own, ...byHour.get(hour) }))),
  };
}

const FIGURES = Object.keys(FIGURE_COLUMNS) as (keyof Weather)[];
const known = (row: ObservationRow): Partial<Weather> =>
  Object.fromEntries(
    FIGURES.flatMap((figure) => {
      const value = row[FIGURE_COLUMNS[figure]];
      return value === null ? [] : [[figure, value]];
    }),
  );

/** A day of an ensemble by its middle; `null` where it knows too little of that day. */
export function dayOf(ensemble: Ensemble, site: SiteRow, date: string): WeatherDayRow | null {
  const start = Date.parse(ensemble.start);
  const first = Math.round((hourAt(site.zone, date, 0) - start) / HOUR);
  const last = Math.round((hourAt(site.zone, date, 24) - start) / HOUR);
  const hours = ensemble.members.map((member) => member.slice(Math.max(0, first), last));
  if ((hours[0]?.length ?? 0) < 12) return null;
  const middle = (of: (day: readonly Weather[]) => number) => quantile(hours.map(of), 0.5);
  const afternoon = Math.max(0, Math.min((hours[0]?.length ?? 1) - 1, 14 - Math.max(0, -first)));
  return {
    site: site.id,
    date,
    low: middle((day) => Math.min(...day.map((hour) => hour.temperature))),
    high: middle((day) => Math.max(...day.map((hour) => hour.temperature))),
    rain: middle((day) => day.reduce((sum, hour) => sum + hour.rain, 0)),
    dew_point: middle((day) => day[afternoon]!.dewPoint),
  };
}
