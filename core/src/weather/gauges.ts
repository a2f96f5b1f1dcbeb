import { quantile } from '../statistics';
import { lightFor } from './fitness';
import { MINUTE, type Weather, weatherAt } from './hour';
import type { Outlook } from './stretch';
import { sunElevation } from './sun';

/** One reason as a gauge: where the day lies, how sure that is, and the limit. */
export interface Gauge {
  readonly id: 'warmth' | 'gusts' | 'dry' | 'light' | 'group';
  /** Figures at one in ten, the middle and nine in ten. °C, km/h, minutes, minutes, trainees. */
  readonly value: readonly [number, number, number];
  readonly limit: number;
  readonly sense: 'at-least' | 'at-most';
  readonly state: 'inside' | 'tight' | 'outside';
}

/** Between the moments at which an hour is looked at, ms. */
const STEP = 10 * MINUTE;
/** A dry spell or good light is followed for this long, then it is "long enough". */
const FOLLOWED = 8 * 60;

type Need = { readonly depth: keyof Outlook['limits']; readonly from: number; readonly to: number } & {
  readonly largestGroup: number;
  readonly groupLimit: number;
};

/**
 * The reasons behind a verdict, as gauges: warmth and gusts within the session, how long it stays dry and light from its start, and the
 * size of the largest group.
 *
 * @param outlook forecast, place, house practice
 * @param need the session, instants in ms since 1970
 * @returns five gauges, in the order in which they usually decide
 */
export function gaugesOf(outlook: Outlook, need: Need): readonly Gauge[] {
  const limits = outlook.limits[need.depth];
  const start = Date.parse(outlook.ensemble.start);
  const within = outlook.ensemble.members.map((member) => samples(member, start, need.from, need.to));
  const after = outlook.ensemble.members.map((member) =>
    samples(member, start, need.from, need.from + FOLLOWED * MINUTE),
  );
  const elevations = steps(need.from, need.from + FOLLOWED * MINUTE).map((at) => sunElevation(outlook.place, at));
  const minutesWhile = (course: readonly Weather[], holds: (weather: Weather, step: number) => boolean): number => {
    const end = course.findIndex((weather, step) => !holds(weather, step));
    return (end < 0 ? course.length : end) * (STEP / MINUTE);
  };
  const needed = (need.to - need.from) / MINUTE;
  const size = need.largestGroup;
  return [
    gauge(
      'warmth',
      within.map((course) => Math.min(...course.map((each) => each.temperature))),
      limits.warmth,
      'at-least',
    ),
    gauge(
      'gusts',
      within.map((course) => Math.max(...course.map((each) => each.gust))),
      limits.gust,
      'at-most',
    ),
    gauge(
      'dry',
      after.map((course) => minutesWhile(course, (each) => each.rain <= limits.rain)),
      needed,
      'at-least',
    ),
    gauge(
      'light',
      after.map((course) => minutesWhile(course, (each, step) => lightFor(each, elevations[step]!) >= limits.light)),
      needed,
      'at-least',
    ),
    {
      id: 'group',
      value: [size, size, size],
      limit: need.groupLimit,
      sense: 'at-most',
      state: size <= need.groupLimit ? 'inside' : 'outside',
    },
  ];
}

const steps = (from: number, to: number): readonly number[] =>
  Array.from({ length: Math.max(0, Math.ceil((to - from) / STEP)) }, (_, index) => from + index * STEP);

const samples = (member: readonly Weather[], start: number, from: number, to: number): readonly Weather[] =>
  steps(from, to).flatMap((at) => weatherAt(member, start, at) ?? []);

function gauge(id: Gauge['id'], values: readonly number[], limit: number, sense: Gauge['sense']): Gauge {
  const known = values.filter(Number.isFinite);
  if (known.length === 0) return { id, value: [0, 0, 0], limit, sense, state: 'outside' };
  const value: Gauge['value'] = [quantile(known, 0.1), quantile(known, 0.5), quantile(known, 0.9)];
  const holds = (figure: number) => (sense === 'at-least' ? figure >= limit : figure <= limit);
  const worst = sense === 'at-least' ? value[0] : value[2];
  return { id, value, limit, sense, state: !holds(value[1]) ? 'outside' : holds(worst) ? 'inside' : 'tight' };
}
