import { quantile } from '../statistics';
import { DEPTHS, type Depth, type Limits, fitDepth } from './fitness';
import { type Ensemble, HOUR } from './hour';
import { type Place, sunElevation } from './sun';

/** One hour as the ensemble sees it. */
export interface HourOutlook {
  readonly at: string;
  /** Shade temperature at one in ten, the middle and nine in ten, °C. */
  readonly temperature: readonly [number, number, number];
  readonly gust: readonly [number, number, number];
  /** Rain in the hour at the middle and nine in ten, mm. */
  readonly rain: readonly [number, number];
  readonly rainChance: number;
  /** Share of the members in which each depth is fit. */
  readonly chance: Readonly<Record<Depth, number>>;
}

/** One day in figures for the season strip. */
export interface DayOutlook {
  readonly warmest: readonly [number, number, number];
  readonly rain: readonly [number, number];
  /** Hours fit for each depth at one in ten, the middle and nine in ten. */
  readonly hours: Readonly<Record<Depth, readonly [number, number, number]>>;
}

const tenths = (values: readonly number[]): readonly [number, number, number] => [
  quantile(values, 0.1),
  quantile(values, 0.5),
  quantile(values, 0.9),
];
/** More rain than this in an hour counts as wet, mm. */
const WET = 0.1;

const reaching = (depths: readonly number[], depth: Depth): number =>
  depths.filter((reached) => reached >= DEPTHS.indexOf(depth)).length;

/**
 * Depth reached by each member in one hour.
 *
 * @param ensemble forecast, or observation of one member
 * @param hour whole hours from its start
 * @param place the site
 * @param limits house practice
 * @returns one index into {@link DEPTHS} a member, −1 for shut or outside the forecast
 */
export function hourDepths(
  ensemble: Ensemble,
  hour: number,
  place: Place,
  limits: Readonly<Record<Depth, Limits>>,
): readonly number[] {
  const elevation = sunElevation(place, Date.parse(ensemble.start) + (hour + 0.5) * HOUR);
  return ensemble.members.map((member) => {
    const weather = member[hour];
    return weather ? fitDepth(weather, elevation, limits) : -1;
  });
}

/**
 * What the ensemble says of each hour between two instants.
 *
 * @param ensemble forecast or observation (one member)
 * @param place the site
 * @param limits house practice
 * @param from first instant, ms since 1970
 * @param to end, ms since 1970
 * @returns one outlook for each whole hour inside the forecast
 */
export function hourOutlooks(
  ensemble: Ensemble,
  place: Place,
  limits: Readonly<Record<Depth, Limits>>,
  from: number,
  to: number,
): readonly HourOutlook[] {
  const start = Date.parse(ensemble.start);
  const last = Math.min(ensemble.members[0]?.length ?? 0, Math.floor((to - start) / HOUR));
  const outlooks: HourOutlook[] = [];
  for (let hour = Math.max(0, Math.ceil((from - start) / HOUR)); hour < last; hour += 1) {
    const all = ensemble.members.map((member) => member[hour]!);
    const depths = hourDepths(ensemble, hour, place, limits);
    const rain = all.map((each) => each.rain);
    outlooks.push({
      at: new Date(start + hour * HOUR).toISOString(),
      temperature: tenths(all.map((each) => each.temperature)),
      gust: tenths(all.map((each) => each.gust)),
      rain: [quantile(rain, 0.5), quantile(rain, 0.9)],
      rainChance: rain.filter((mm) => mm > WET).length / all.length,
      chance: {
        outside: reaching(depths, 'outside') / all.length,
        lid: reaching(depths, 'lid') / all.length,
        'one-frame': reaching(depths, 'one-frame') / all.length,
        full: reaching(depths, 'full') / all.length,
      },
    });
  }
  return outlooks;
}

/**
 * A day in figures: warmest hour, rain, and hours fit for each depth, with their ranges.
 *
 * @param ensemble forecast or observation (one member)
 * @param place the site
 * @param limits house practice
 * @param from midnight at the site, ms since 1970
 * @param to next midnight at the site
 * @returns the day, or `null` when the forecast holds less than half of it
 */
export function dayOutlook(
  ensemble: Ensemble,
  place: Place,
  limits: Readonly<Record<Depth, Limits>>,
  from: number,
  to: number,
): DayOutlook | null {
  const start = Date.parse(ensemble.start);
  const first = Math.max(0, Math.round((from - start) / HOUR));
  const last = Math.min(ensemble.members[0]?.length ?? 0, Math.round((to - start) / HOUR));
  if (last - first < 12) return null;
  const hours = Array.from({ length: last - first }, (_, index) => first + index);
  const depths = hours.map((hour) => hourDepths(ensemble, hour, place, limits));
  const perMember = <T>(of: (member: number) => T) => ensemble.members.map((_, member) => of(member));
  const fitHours = (depth: Depth) =>
    tenths(perMember((member) => depths.filter((reached) => reached[member]! >= DEPTHS.indexOf(depth)).length));
  const rain = ensemble.members.map((member) => member.slice(first, last).reduce((sum, hour) => sum + hour.rain, 0));
  return {
    warmest: tenths(
      ensemble.members.map((member) => Math.max(...member.slice(first, last).map((hour) => hour.temperature))),
    ),
    rain: [quantile(rain, 0.5), quantile(rain, 0.9)],
    hours: {
      outside: fitHours('outside'),
      lid: fitHours('lid'),
      'one-frame': fitHours('one-frame'),
      full: fitHours('full'),
    },
  };
}
