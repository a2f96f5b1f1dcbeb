import { say } from '../../words';
import { Unfit, inOne } from '@brave-comb/core/language';
import { type HourRecord, completed } from '@brave-comb/core/exchange';
import type { Ensemble, Weather } from '@brave-comb/core/weather';
import * as z from 'zod';

/**
 * Ensembles as CoverageJSON (OGC Community Standard 21-069r2): a domain of one point with the axes `t` and `realization`, and one
 * two-dimensional NdArray a parameter. See docs/formats/weather.md.
 */
export const PARAMETERS = {
  temperature: { name: 'Shade temperature', unit: 'Cel' },
  dewPoint: { name: 'Dew point', unit: 'Cel' },
  wind: { name: 'Mean wind', unit: 'km/h' },
  gust: { name: 'Gusts', unit: 'km/h' },
  rain: { name: 'Rain within the hour', unit: 'mm' },
  cloud: { name: 'Share of the sky covered', unit: '1' },
  thunder: { name: 'Chance of thunder', unit: '1' },
} as const satisfies Record<keyof Weather, { name: string; unit: string }>;
const NAMES = Object.keys(PARAMETERS) as (keyof Weather)[];

const NdArray = z.object({
  type: z.literal('NdArray'),
  dataType: z.enum(['float', 'integer']),
  axisNames: z.tuple([z.literal('t'), z.literal('realization')]),
  shape: z.tuple([z.int().min(1), z.int().min(1)]),
  values: z.array(z.number().nullable()),
});

const Coverage = z.object({
  type: z.literal('Coverage'),
  issued: z.iso.datetime(),
  domain: z.object({
    type: z.literal('Domain'),
    axes: z.object({
      t: z.object({ values: z.array(z.iso.datetime()).min(1) }),
      realization: z.object({ values: z.array(z.int()) }),
    }),
  }),
  ranges: z.object({
    temperature: NdArray,
    dewPoint: NdArray.optional(),
    wind: NdArray,
    gust: NdArray.optional(),
    rain: NdArray,
    cloud: NdArray.optional(),
    thunder: NdArray.optional(),
  }),
});

const HOUR = 3_600_000;

/**
 * Writes an ensemble as CoverageJSON.
 *
 * @param ensemble hours of several members
 * @param place longitude and latitude of the point
 * @returns a CoverageJSON document, plain data
 */
export function toCoverage(ensemble: Ensemble, place: { readonly latitude: number; readonly longitude: number }) {
  const hours = ensemble.members[0]?.length ?? 0;
  const start = Date.parse(ensemble.start);
  const range = (name: keyof Weather) => ({
    type: 'NdArray',
    dataType: 'float',
    axisNames: ['t', 'realization'],
    shape: [hours, ensemble.members.length],
    values: Array.from({ length: hours }, (_, hour) => ensemble.members.map((member) => member[hour]![name])).flat(),
  });
  return {
    type: 'Coverage',
    issued: ensemble.issued,
    domain: {
      type: 'Domain',
      axes: {
        x: { values: [place.longitude] },
        y: { values: [place.latitude] },
        t: { values: Array.from({ length: hours }, (_, hour) => new Date(start + hour * HOUR).toISOString()) },
        realization: { values: ensemble.members.map((_, member) => member) },
      },
      referencing: [
        {
          coordinates: ['x', 'y'],
          system: { type: 'GeographicCRS', id: 'http://www.opengis.net/def/crs/OGC/1.3/CRS84' },
        },
        { coordinates: ['t'], system: { type: 'TemporalRS', calendar: 'Gregorian' } },
      ],
    },
    parameters: Object.fromEntries(
      NAMES.map((name) => [
        name,
        {
          type: 'Parameter',
          observedProperty: { label: { en: PARAMETERS[name].name } },
          unit: { symbol: { value: PARAMETERS[name].unit, type: 'http://www.opengis.net/def/uom/UCUM/' } },
        },
      ]),
    ),
    ranges: Object.fromEntries(NAMES.map((name) => [name, range(name)])),
  };
}

/** Longest gap within a course that is filled from both sides, hours. */
const LONGEST_GAP = 3;

/**
 * Reads an ensemble from CoverageJSON. Gusts, dew point, cloud and thunder may be missing, and so may up to three hours in a row: they are
 * filled, and the note says so.
 *
 * @param document parsed JSON
 * @returns the ensemble
 * @throws Unfit saying which part is missing or does not fit
 */
export function fromCoverage(document: unknown): Ensemble {
  const read = Coverage.safeParse(document);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new Unfit(
      say('weather-answer-lacks', { what: issue?.path.join('.') ?? 'coverage', why: issue?.message ?? '' }),
    );
  }
  const { domain, ranges, issued } = read.data;
  const times = domain.axes.t.values;
  const members = domain.axes.realization.values.length;
  for (const name of NAMES) {
    const length = ranges[name]?.values.length ?? times.length * members;
    if (length !== times.length * members) {
      throw new Unfit(say('weather-answer-uneven', { length, name, hours: times.length, members }));
    }
  }
  times.forEach((time, hour) => {
    if (Date.parse(time) !== Date.parse(times[0]!) + hour * HOUR) {
      throw new Unfit(say('weather-answer-skips', { time }));
    }
  });
  let filled = 0;
  const course = (name: keyof Weather, member: number): readonly (number | null)[] | null => {
    const values = ranges[name]?.values;
    if (!values) return null;
    const own = times.map((_, hour): number | null => values[hour * members + member] ?? null);
    filled += own.filter((value) => value === null).length;
    return bridged(own, name);
  };
  const ensemble = {
    issued,
    start: times[0]!,
    members: Array.from({ length: members }, (_, member) => {
      const courses = new Map(NAMES.map((name) => [name, course(name, member)]));
      return times.map((time, hour) => {
        const figures = Object.fromEntries(NAMES.map((name) => [name, courses.get(name)?.[hour] ?? null]));
        return completed({ at: Date.parse(time), weather: figures as HourRecord['weather'] });
      });
    }),
  };
  const missing = NAMES.filter((name) => !ranges[name]);
  const notes = [
    ...(missing.length > 0 ? [say('weather-left-out', { missing })] : []),
    ...(filled > 0 ? [say('weather-filled', { filled })] : []),
  ];
  return notes.length > 0 ? { ...ensemble, note: inOne(notes) } : ensemble;
}

/** Fills short gaps evenly from both sides. */
function bridged(values: readonly (number | null)[], name: string): readonly (number | null)[] {
  if (!values.includes(null)) return values;
  const out = [...values];
  for (let first = 0; first < out.length; first += 1) {
    if (out[first] !== null) continue;
    let end = first;
    while (end < out.length && out[end] === null) end += 1;
    if (end - first > LONGEST_GAP) throw new Unfit(say('weather-answer-gap', { hours: end - first, name }));
    const before = out[first - 1] ?? out[end] ?? 0;
    const after = out[end] ?? before;
    for (let hour = first; hour < end; hour += 1)
      out[hour] = before + ((after - before) * (hour - first + 1)) / (end - first + 1);
  }
  return out;
}
