import { Unfit } from '../language';
import { HOUR, type Weather } from '../weather';
import { type FigureKind, UNIT_KINDS, inOurUnit, isRainSum, kindOf } from './coverage-parameters';
import { type Json, at, isJson } from './json';
import { say } from './said';

/** Weather of a point, hour by hour, as a service told it, in our units. */
export interface CoverageWeather {
  /** When the forecast was made, where the document says so. */
  readonly issued: string | null;
  /** Start of the first hour, ms since 1970. */
  readonly start: number;
  readonly hours: number;
  readonly members: number;
  /** Figures by member and hour; `null` where one is missing. Figures that the service does not tell are left out. */
  readonly courses: { readonly [Figure in keyof Weather]?: readonly (readonly (number | null)[])[] };
  /** Whether some were told for more than an hour at a time and were spread. */
  readonly coarse: boolean;
}

/** Axes along which the members of an ensemble lie; services name them differently. */
const MEMBER_AXES = ['realization', 'number', 'member', 'ensemble', 'ensemble_member'];
/** Hours between two times that are read; what is further apart was left out. */
const STEPS: ReadonlySet<number> = new Set([1, 2, 3, 6]);

interface Course {
  readonly kind: FigureKind;
  readonly unit: string;
  /** Whether a sum stands at the end of its time, as observations do, or at its begin. */
  readonly ends: boolean;
  /** Values by member and time. */
  readonly values: readonly (readonly (number | null)[])[];
}
interface Told {
  readonly times: readonly number[];
  readonly members: readonly number[];
  readonly courses: readonly Course[];
}

function axisValues(domain: unknown, name: string): readonly unknown[] | null {
  const axis = at(domain, 'axes', name);
  const values = at(axis, 'values');
  if (Array.isArray(values)) return values as readonly unknown[];
  const [start, stop, num] = ['start', 'stop', 'num'].map((key) => Number(at(axis, key)));
  if (!isJson(axis) || ![start, stop, num].every(Number.isFinite)) return null;
  return Array.from({ length: num! }, (_, step) =>
    num === 1 ? start : start! + ((stop! - start!) * step) / (num! - 1),
  );
}

/** The place in a range's values of a time and a member; axes of length one may be named or not. */
function placing(range: Json, name: string, lengths: { readonly t: number; readonly member: number }) {
  const names = Array.isArray(range.axisNames) ? (range.axisNames as string[]) : [];
  const shape = Array.isArray(range.shape) ? (range.shape as number[]) : [];
  const strides = names.map((_, axis) => shape.slice(axis + 1).reduce((product, length) => product * length, 1));
  const tAxis = names.indexOf('t');
  const memberAxis = names.findIndex((axis) => MEMBER_AXES.includes(axis));
  const all = shape.reduce((product, length) => product * length, 1);
  const { length } = range.values as readonly unknown[];
  if (length !== all || all !== lengths.t * lengths.member)
    throw new Unfit(say('coverage-uneven', { name, length, hours: lengths.t, members: lengths.member }));
  return (time: number, member: number) => (strides[tAxis] ?? 0) * time + (strides[memberAxis] ?? 0) * member;
}

/** Periods are told against the time that they stand at, as in `-PT1H/PT0M`; without a word a sum stands at its end. */
const standsAtEnd = (parameter: unknown): boolean => {
  const period = at(parameter, 'measurementType', 'period') ?? at(parameter, 'measurementType', 'duration');
  return typeof period === 'string' ? period.startsWith('-') || !period.startsWith('PT0') : true;
};
const symbolOf = (parameter: unknown): string => {
  const symbol = at(parameter, 'unit', 'symbol');
  const text = typeof symbol === 'string' ? symbol : at(symbol, 'value');
  return typeof text === 'string' ? text : '';
};

function toldIn(coverage: Json, shared: unknown): Told {
  const { domain } = coverage;
  const times = axisValues(domain, 't')?.map((each) => Date.parse(String(each))) ?? [];
  if (times.length === 0 || times.some(Number.isNaN)) throw new Unfit(say('coverage-lacks', { what: 'domain.axes.t' }));
  const memberAxis = MEMBER_AXES.find((name) => axisValues(domain, name));
  const members = (memberAxis === undefined ? null : axisValues(domain, memberAxis))?.map(Number) ?? [0];
  const parameters = { ...(isJson(shared) ? shared : {}), ...(isJson(coverage.parameters) ? coverage.parameters : {}) };
  const courses = Object.entries(isJson(coverage.ranges) ? coverage.ranges : {}).flatMap(([name, range]): Course[] => {
    const parameter = parameters[name];
    const kind = kindOf(name, parameter);
    if (kind === null) return [];
    if (!isJson(range) || !Array.isArray(range.values))
      throw new Unfit(say('coverage-lacks', { what: `ranges.${name}.values` }));
    const unit = symbolOf(parameter);
    const convert = inOurUnit(kind, unit);
    if (convert === null) throw new Unfit(say('coverage-unit', { name, unit, known: UNIT_KINDS[kind] }));
    const values = range.values as readonly unknown[];
    const place = placing(range, name, { t: times.length, member: members.length });
    const value = (time: number, member: number): number | null => {
      const told = values[place(time, member)];
      return typeof told === 'number' && Number.isFinite(told) ? convert(told) : null;
    };
    return [
      {
        kind,
        unit,
        ends: standsAtEnd(parameter),
        values: members.map((_, member) => times.map((_time, time) => value(time, member))),
      },
    ];
  });
  return { times, members, courses };
}

/** Coverages of one member each are put beside each other. */
function together(all: readonly Told[]): Told {
  const [first] = all;
  if (!first) throw new Unfit(say('coverage-lacks', { what: 'coverages' }));
  if (all.length === 1) return first;
  const same = all.every(
    ({ times }) => times.length === first.times.length && times.every((time, index) => time === first.times[index]),
  );
  if (!same) throw new Unfit(say('coverage-times-differ'));
  const kinds = [...new Set(all.flatMap(({ courses }) => courses.map(({ kind }) => kind)))];
  // Some services tell each parameter in a coverage of its own, others each member.
  const perKind = kinds.map((kind) => all.flatMap(({ courses }) => courses.filter((each) => each.kind === kind)));
  return {
    times: first.times,
    members: Array.from(
      { length: Math.max(...perKind.map((each) => each.flatMap(({ values }) => values).length)) },
      (_, member) => member,
    ),
    courses: perKind.map((each) => ({ ...each[0]!, values: each.flatMap(({ values }) => values) })),
  };
}

/** Hours between each time and the one before. */
function stepsOf(times: readonly number[]): readonly number[] {
  return times.slice(1).map((time, index) => {
    const hours = (time - times[index]!) / HOUR;
    if (!STEPS.has(hours)) throw new Unfit(say('coverage-skips', { time: new Date(time).toISOString() }));
    return hours;
  });
}

const isSum = ({ kind, unit }: Course): boolean => kind === 'rain' && isRainSum(unit);

/** A course told at times, hour by hour: sums are spread over their hours, all else goes evenly from one time to the next. */
function hourly(course: Course, member: number, steps: readonly number[], hours: number): readonly (number | null)[] {
  const values = course.values[member] ?? course.values[0]!;
  const out: (number | null)[] = [];
  for (let index = 0; index < values.length && out.length < hours; index += 1) {
    const step = steps[index] ?? steps.at(-1) ?? 1;
    const [here, next] = [values[index] ?? null, values[index + 1] ?? null];
    for (let hour = 0; hour < step && out.length < hours; hour += 1) {
      if (isSum(course)) {
        const sum = course.ends ? next : here;
        out.push(sum === null ? null : sum / step);
      } else if (hour === 0 || index === values.length - 1) out.push(here);
      else out.push(here === null || next === null ? null : here + ((next - here) * hour) / step);
    }
  }
  return out;
}

/** Dew point of air, by the Magnus formula over water (WMO-No. 8, 2018, annex 4.B). */
function dewPointOf(temperature: number | null, humidity: number | null): number | null {
  if (temperature === null || humidity === null || humidity <= 0) return null;
  const [a, b] = [17.62, 243.12];
  const gamma = Math.log(humidity) + (a * temperature) / (b + temperature);
  return (b * gamma) / (a - gamma);
}

/**
 * Reads weather of a point from CoverageJSON (OGC 21-069r2), as services of the OGC API for environmental data answer a question for a
 * position: one coverage or several, members along an axis or each by itself, values in any order of the axes, hours, three or six hours
 * apart, figures named by their CF standard names, in units of UCUM or as they are commonly written.
 *
 * @param document parsed JSON
 * @returns the figures hour by hour, in °C, km/h, mm in the hour and shares
 * @throws Unfit saying what is missing, in which unit nothing can be read, or which time was left out
 */
export function weatherOfCoverage(document: unknown): CoverageWeather {
  const several = at(document, 'coverages');
  const coverages: readonly unknown[] = Array.isArray(several) ? several : [document];
  if (!isJson(document) || !coverages.every((each) => isJson(each) && isJson(each.domain)))
    throw new Unfit(say('coverage-lacks', { what: 'domain' }));
  const told = together(coverages.map((each) => toldIn(each as Json, document.parameters)));
  const steps = stepsOf(told.times);
  const sums = told.courses.filter(isSum);
  const span = steps.reduce((sum, each) => sum + each, 0);
  // A sum at the end of its time says nothing of the hour that begins with the last time.
  const hours = span + (sums.some(({ ends }) => ends) ? 0 : (steps.at(-1) ?? 1));
  if (hours < 1) throw new Unfit(say('coverage-lacks', { what: 'domain.axes.t' }));
  const members = told.members.length;
  const by = (kind: FigureKind) => {
    const course = told.courses.find((each) => each.kind === kind);
    return course && Array.from({ length: members }, (_, member) => hourly(course, member, steps, hours));
  };
  const each = <T extends readonly (readonly (number | null)[])[]>(
    a: T | undefined,
    b: T | undefined,
    of: (x: number | null, y: number | null) => number | null,
  ) => a && b && a.map((course, member) => course.map((value, hour) => of(value, b[member]![hour]!)));
  const temperature = by('temperature');
  const wind =
    by('wind') ?? each(by('eastward'), by('northward'), (u, v) => (u === null || v === null ? null : Math.hypot(u, v)));
  const dewPoint = by('dewPoint') ?? each(temperature, by('humidity'), dewPointOf);
  const others = { gust: by('gust'), rain: by('rain'), cloud: by('cloud'), thunder: by('thunder') };
  for (const [name, course] of Object.entries({ temperature, wind, rain: others.rain }))
    if (!course) throw new Unfit(say('coverage-lacks', { what: `ranges.${name}` }));
  const courses = Object.entries({ temperature, wind, dewPoint, ...others }).filter(([, course]) => course);
  return {
    issued: typeof document.issued === 'string' ? document.issued : null,
    start: told.times[0]!,
    hours,
    members,
    courses: Object.fromEntries(courses),
    coarse: steps.some((step) => step > 1),
  };
}
