import { say } from '../../words';
import { Unfit, inOne } from '@brave-comb/core/language';
import { type HourRecord, completed, weatherOfCoverage } from '@brave-comb/core/exchange';
import { type Ensemble, HOUR, type Weather } from '@brave-comb/core/weather';

/**
 * Ensembles as CoverageJSON (OGC Community Standard 21-069r2): a domain of one point with the axes `t` and `realization`, and one
 * two-dimensional NdArray a parameter. See docs/formats/weather.md.
 */
const PARAMETERS = {
  temperature: { name: 'Shade temperature', standard: 'air_temperature', unit: 'Cel' },
  dewPoint: { name: 'Dew point', standard: 'dew_point_temperature', unit: 'Cel' },
  wind: { name: 'Mean wind', standard: 'wind_speed', unit: 'km/h' },
  gust: { name: 'Gusts', standard: 'wind_speed_of_gust', unit: 'km/h' },
  rain: { name: 'Rain within the hour', standard: 'precipitation_amount', unit: 'mm' },
  cloud: { name: 'Share of the sky covered', standard: 'cloud_area_fraction', unit: '1' },
  thunder: { name: 'Chance of thunder', standard: 'thunderstorm_probability', unit: '1' },
} as const satisfies Record<keyof Weather, { name: string; standard: string; unit: string }>;
const NAMES = Object.keys(PARAMETERS) as (keyof Weather)[];

/** What each parameter tells, in which unit, and for which time: rain for the hour that begins with its time. */
export const describedParameters = () =>
  Object.fromEntries(
    NAMES.map((name) => [
      name,
      {
        type: 'Parameter',
        observedProperty: {
          id: `http://vocab.nerc.ac.uk/standard_name/${PARAMETERS[name].standard}/`,
          label: { en: PARAMETERS[name].name },
        },
        unit: { symbol: { value: PARAMETERS[name].unit, type: 'http://www.opengis.net/def/uom/UCUM/' } },
        ...(name === 'rain' ? { measurementType: { method: 'sum', period: 'PT0M/PT1H' } } : {}),
      },
    ]),
  );

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
    parameters: describedParameters(),
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
 * @param made when the forecast was made, where the document does not say it, ISO
 * @returns the ensemble
 * @throws Unfit saying which part is missing or does not fit
 */
export function fromCoverage(document: unknown, made = new Date(0).toISOString()): Ensemble {
  const { issued, start, hours, members, courses, coarse } = weatherOfCoverage(document);
  let filled = 0;
  const course = (name: keyof Weather, member: number): readonly (number | null)[] | null => {
    const own = courses[name]?.[member];
    if (!own) return null;
    filled += own.filter((value) => value === null).length;
    return bridged(own, name);
  };
  const ensemble = {
    issued: issued ?? made,
    start: new Date(start).toISOString(),
    members: Array.from({ length: members }, (_, member) => {
      const own = new Map(NAMES.map((name) => [name, course(name, member)]));
      return Array.from({ length: hours }, (_hour, hour) => {
        const figures = Object.fromEntries(NAMES.map((name) => [name, own.get(name)?.[hour] ?? null]));
        return completed({ at: start + hour * HOUR, weather: figures as HourRecord['weather'] });
      });
    }),
  };
  const missing = NAMES.filter((name) => !courses[name]);
  const notes = [
    ...(missing.length > 0 ? [say('weather-left-out', { missing })] : []),
    ...(filled > 0 ? [say('weather-filled', { filled })] : []),
    ...(coarse ? [say('weather-spread')] : []),
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
