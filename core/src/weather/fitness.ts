import type { Weather } from './hour';

/** How deep a colony is opened, from not at all to every frame. */
export const DEPTHS = ['outside', 'lid', 'one frame', 'full'] as const;
export type Depth = (typeof DEPTHS)[number];

/** What the weather must be for one depth. */
export interface Limits {
  /** Least shade temperature, °C. */
  readonly warmth: number;
  /** Strongest gusts, km/h. */
  readonly gust: number;
  /** Most rain in the hour, mm. */
  readonly rain: number;
  /** Least light: height of the sun in degrees, less ten under a closed sky. */
  readonly light: number;
}

/**
 * House practice to start from. Common practice: full opening from 14 to 15 °C (21 °C in some schools), a quick pull of a few
 * frames at about 13 °C, a lid at 10 to 16 °C; wind and light: common practice, settled by no authority.
 */
export const DEFAULT_LIMITS: Readonly<Record<Depth, Limits>> = {
  outside: { warmth: -10, gust: 60, rain: 2, light: 2 },
  lid: { warmth: 10, gust: 45, rain: 0.3, light: 4 },
  'one frame': { warmth: 13, gust: 35, rain: 0.1, light: 8 },
  full: { warmth: 15, gust: 30, rain: 0.1, light: 15 },
};

/** Above this chance of thunder nobody stands at a hive. */
export const THUNDER = 0.25;

/** Light for reading comb: height of the sun in degrees, less ten under a closed sky. Common practice. */
export const lightFor = (weather: Weather, elevation: number): number => elevation - 10 * weather.cloud;

/**
 * The deepest opening that the weather allows.
 *
 * @param weather the hour's weather
 * @param elevation height of the sun, degrees
 * @param limits house practice for each depth; a deeper opening also keeps the limits of the shallower ones
 * @returns index into {@link DEPTHS}, −1 when not even an outside look is wise
 * @example fitDepth(calmAndWarm, 40, DEFAULT_LIMITS) // 3, full
 */
export function fitDepth(weather: Weather, elevation: number, limits: Readonly<Record<Depth, Limits>>): number {
  if (weather.thunder > THUNDER) return -1;
  const light = lightFor(weather, elevation);
  const fits = (depth: Depth) => {
    const { warmth, gust, rain, light: least } = limits[depth];
    return weather.temperature >= warmth && weather.gust <= gust && weather.rain <= rain && light >= least;
  };
  const shut = DEPTHS.findIndex((depth) => !fits(depth));
  return shut < 0 ? DEPTHS.length - 1 : shut - 1;
}

/**
 * How long brood may hang outside the hive. Common practice: briefly even when warm; no authority gives a figure.
 *
 * @param temperature shade temperature, °C
 * @returns minutes for one brood frame; 0 below 10 °C, where it stays in
 * @example broodMinutes(16) // 5
 */
export function broodMinutes(temperature: number): number {
  if (temperature < 10) return 0;
  if (temperature < 13) return 2;
  if (temperature < 15) return 3;
  return temperature < 21 ? 5 : 8;
}
