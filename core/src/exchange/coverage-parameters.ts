import { at } from './json';

/** What a parameter of a weather service tells. */
export type FigureKind =
  | 'temperature'
  | 'dewPoint'
  | 'humidity'
  | 'wind'
  | 'eastward'
  | 'northward'
  | 'gust'
  | 'rain'
  | 'cloud'
  | 'thunder';

/** Names by which services call each figure: CF standard names first, then what is commonly written. */
const NAMES: Readonly<Record<FigureKind, readonly string[]>> = {
  temperature: ['air_temperature', 'temperature', 'temperature_2m', '2m_temperature', 'shade_temperature', 't2m', '2t'],
  dewPoint: ['dew_point_temperature', 'dew_point', 'dewpoint', 'dewpoint_2m', '2m_dewpoint_temperature', 'd2m', '2d'],
  humidity: ['relative_humidity', 'humidity', 'relative_humidity_2m'],
  wind: ['wind_speed', 'wind', 'mean_wind', 'wind_speed_10m', '10m_wind_speed'],
  eastward: ['eastward_wind', 'x_wind', '10m_u_component_of_wind', 'u10', '10u'],
  northward: ['northward_wind', 'y_wind', '10m_v_component_of_wind', 'v10', '10v'],
  gust: ['wind_speed_of_gust', 'gust', 'gusts', 'wind_gust', 'wind_gusts', 'wind_gusts_10m'],
  rain: [
    'precipitation_amount',
    'rainfall_amount',
    'lwe_thickness_of_precipitation_amount',
    'thickness_of_rainfall_amount',
    'precipitation_flux',
    'rainfall_flux',
    'rainfall_rate',
    'lwe_precipitation_rate',
    'precipitation',
    'total_precipitation',
    'rain',
    'rain_within_the_hour',
  ],
  cloud: ['cloud_area_fraction', 'cloud', 'cloud_cover', 'total_cloud_cover', 'share_of_the_sky_covered'],
  thunder: ['thunderstorm_probability', 'probability_of_thunderstorm', 'thunder', 'chance_of_thunder'],
};

const plain = (text: string): string =>
  text
    .replaceAll(/([a-z])([A-Z])/g, '$1_$2')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '_')
    .replaceAll(/^_|_$/g, '');

const text = (value: unknown, ...keys: readonly string[]): string => {
  const found = at(value, ...keys);
  return typeof found === 'string' ? found : '';
};

/**
 * What a parameter tells, by what it observes, then by its own name, then by its label.
 *
 * @param name under which its values stand
 * @param parameter its description in CoverageJSON, if there is one
 * @returns the kind of figure; `null` for what is not used
 */
export function kindOf(name: string, parameter: unknown): FigureKind | null {
  const observed = text(parameter, 'observedProperty', 'id').split(/[/#]/).findLast(Boolean) ?? '';
  const labels = ['en', 'en-GB'].map((language) => text(parameter, 'observedProperty', 'label', language));
  for (const called of [observed, name, ...labels].map(plain))
    for (const kind of Object.keys(NAMES) as FigureKind[]) if (NAMES[kind].includes(called)) return kind;
  return null;
}

type Convert = (value: number) => number;
const times =
  (factor: number): Convert =>
  (value) =>
    value * factor;
const same: Convert = (value) => value;
const of = (convert: Convert, ...units: readonly string[]): readonly (readonly [string, Convert])[] =>
  units.map((unit) => [unit, convert]);

const TEMPERATURES = new Map([
  ...of(same, 'Cel', '°C', 'C', 'degC', 'degree_Celsius', 'degrees_Celsius', 'celsius'),
  ...of((value) => value - 273.15, 'K', 'kelvin', 'degK'),
  ...of((value) => ((value - 32) * 5) / 9, '[degF]', '°F', 'degF', 'F'),
]);
/** Of an international knot and mile: 1.852 and 1.609344 km exactly. */
const SPEEDS = new Map([
  ...of(same, 'km/h', 'km.h-1', 'kmh-1', 'km/hr', 'kph'),
  ...of(times(3.6), 'm/s', 'm.s-1', 'ms-1', 'ms**-1', 'mps'),
  ...of(times(1.852), '[kn_i]', 'kn', 'kt', 'kts', 'knot', 'knots'),
  ...of(times(1.609344), '[mi_i]/h', 'mi/h', 'mph'),
]);
/** A kilogram of water on a square metre stands a millimetre high. */
const RAIN_SUMS = new Map([
  ...of(same, 'mm', 'kg/m2', 'kg.m-2', 'kgm-2', 'kgm**-2', 'L/m2'),
  ...of(times(10), 'cm'),
  ...of(times(1000), 'm'),
  ...of(times(25.4), '[in_i]', 'in', 'inch'),
]);
const RAIN_RATES = new Map([
  ...of(same, 'mm/h', 'mm.h-1', 'mmh-1', 'kg.m-2.h-1', 'kg/m2/h'),
  ...of(times(3600), 'kg.m-2.s-1', 'kgm-2s-1', 'kgm**-2s**-1', 'kg/m2/s', 'kg/(m2.s)', 'mm/s', 'mm.s-1', 'mms-1'),
  ...of(times(3_600_000), 'm/s', 'm.s-1', 'ms-1'),
]);
const RAINS = new Map([...RAIN_SUMS, ...RAIN_RATES]);
const SHARES = new Map([
  ...of(same, '1', '', 'fraction'),
  ...of(times(0.01), '%', 'percent'),
  ...of(times(1 / 8), '{okta}', 'okta', 'oktas'),
]);

const CONVERSIONS: Readonly<Record<FigureKind, ReadonlyMap<string, Convert>>> = {
  temperature: TEMPERATURES,
  dewPoint: TEMPERATURES,
  humidity: SHARES,
  wind: SPEEDS,
  eastward: SPEEDS,
  northward: SPEEDS,
  gust: SPEEDS,
  rain: RAINS,
  cloud: SHARES,
  thunder: SHARES,
};

const closed = (unit: string): string => unit.replaceAll(/\s/g, '');
/** Whether rain is told as a sum of some time, and not as what falls in an hour at a moment. */
export const isRainSum = (unit: string): boolean => RAIN_SUMS.has(closed(unit));

/** Units that are known for each kind, the first of each size. */
export const UNIT_KINDS: Readonly<Record<FigureKind, readonly string[]>> = Object.fromEntries(
  Object.entries(CONVERSIONS).map(([kind, units]) => [kind, [...units.keys()].filter((unit) => unit !== '')]),
) as unknown as Readonly<Record<FigureKind, readonly string[]>>;

/**
 * How a figure is brought to our units: °C, km/h, mm (in the hour, for rates), shares.
 *
 * @param kind of figure
 * @param unit by UCUM, or as it is commonly written; spaces do not count
 * @returns what converts it; `null` for a unit that is not known
 */
export const inOurUnit = (kind: FigureKind, unit: string): Convert | null =>
  CONVERSIONS[kind].get(closed(unit)) ?? null;
