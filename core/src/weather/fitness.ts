import { within } from '../units';
import type { Weather } from './hour';

/** How deep a colony is opened, from not at all to every frame. */
export const DEPTHS = ['outside', 'lid', 'one-frame', 'full'] as const;
export type Depth = (typeof DEPTHS)[number];

/** What the weather must be for one depth. */
export interface Limits {
  /** Least shade temperature, °C. */
  readonly warmth: number;
  /** Highest shade temperature, °C: above it comb softens, robbers hunt and people in suits overheat. */
  readonly heat: number;
  /** Strongest gusts, km/h. */
  readonly gust: number;
  /** Most rain in the hour, mm, now and for as long as closing up takes. */
  readonly rain: number;
  /** Least light: height of the sun in degrees, less ten under a closed sky. */
  readonly light: number;
  /** Whether the foragers must be out: with them at home the hive is fuller and sharper. */
  readonly beesOut: boolean;
}

/**
 * House practice to start from. Common practice: full opening from 14 to 15 °C (21 °C in some schools), a quick pull of a few
 * frames at about 13 °C, a lid for the minute that fondant or a winter treatment takes from 2 °C up; heat, wind and light: common practice,
 * settled by no authority.
 */
export const DEFAULT_LIMITS: Readonly<Record<Depth, Limits>> = {
  outside: { warmth: -10, heat: 45, gust: 60, rain: 2, light: 2, beesOut: false },
  lid: { warmth: 2, heat: 40, gust: 45, rain: 0.3, light: 4, beesOut: false },
  'one-frame': { warmth: 13, heat: 38, gust: 35, rain: 0.1, light: 8, beesOut: true },
  full: { warmth: 15, heat: 35, gust: 30, rain: 0.1, light: 15, beesOut: true },
};

/** Above this chance of thunder nobody stands at a hive. */
export const THUNDER = 0.25;

/** Time to put a hive together again, minutes: rain must hold off for so long. Common practice. */
export const CLOSING_MINUTES = 20;

/** What makes an hour unfit, in the order in which it is said. */
export const HINDRANCES = ['thunder', 'rain', 'rain-soon', 'gusts', 'cold', 'heat', 'dark', 'bees-in'] as const;
export type Hindrance = (typeof HINDRANCES)[number];

/** Light for reading comb: height of the sun in degrees, less ten under a closed sky. Common practice. */
export const lightFor = (weather: Weather, elevation: number): number => elevation - 10 * weather.cloud;

/**
 * Whether foragers are out. Bees begin to fly at about 10 °C in the sun, 12 °C under cloud (Winston 1987, from memory), not in rain, in
 * strong wind or near dark.
 *
 * @param weather the hour's weather
 * @param elevation height of the sun, degrees
 * @returns true when foragers fly
 */
export function beesFly(weather: Weather, elevation: number): boolean {
  return (
    weather.temperature >= 10 + 2 * weather.cloud && weather.rain <= 0.2 && weather.wind <= 35 && elevation - 3 >= 0
  );
}

/**
 * The first thing that forbids a depth.
 *
 * @param weather the weather
 * @param elevation height of the sun, degrees
 * @param limits what the depth asks for
 * @param rainSoon rain in the hour in which closing up would end, mm
 * @returns what forbids it, or `null` when nothing does
 */
export function hindrance(weather: Weather, elevation: number, limits: Limits, rainSoon = 0): Hindrance | null {
  for (const each of HINDRANCES) if (FORBIDS[each](weather, elevation, limits, rainSoon)) return each;
  return null;
}

/** Everything that forbids a depth, in the order of {@link HINDRANCES}; see {@link hindrance}. */
export const hindrances = (weather: Weather, elevation: number, limits: Limits, rainSoon = 0): readonly Hindrance[] =>
  HINDRANCES.filter((each) => FORBIDS[each](weather, elevation, limits, rainSoon));

const FORBIDS: Readonly<
  Record<Hindrance, (weather: Weather, elevation: number, limits: Limits, rainSoon: number) => boolean>
> = {
  thunder: (weather) => weather.thunder > THUNDER,
  rain: (weather, _elevation, limits) => weather.rain > limits.rain,
  'rain-soon': (_weather, _elevation, limits, rainSoon) => rainSoon > limits.rain,
  gusts: (weather, _elevation, limits) => weather.gust > limits.gust,
  cold: (weather, _elevation, limits) => weather.temperature < limits.warmth,
  heat: (weather, _elevation, limits) => weather.temperature > limits.heat,
  dark: (weather, elevation, limits) => lightFor(weather, elevation) < limits.light,
  'bees-in': (weather, elevation, limits) => limits.beesOut && !beesFly(weather, elevation),
};

/**
 * The deepest opening that the weather allows.
 *
 * @param weather the weather
 * @param elevation height of the sun, degrees
 * @param limits house practice for each depth; a deeper opening also keeps the limits of the shallower ones
 * @param rainSoon rain in the hour in which closing up would end, mm
 * @returns index into {@link DEPTHS}, −1 when not even an outside look is wise
 */
export function fitDepth(
  weather: Weather,
  elevation: number,
  limits: Readonly<Record<Depth, Limits>>,
  rainSoon = 0,
): number {
  within('temperature in °C', weather.temperature, -90, 70);
  for (let depth = 0; depth < DEPTHS.length; depth += 1) {
    // Nobody needs time to close what was not opened.
    const soon = depth === 0 ? 0 : rainSoon;
    if (hindrance(weather, elevation, limits[DEPTHS[depth]!], soon) !== null) return depth - 1;
  }
  return DEPTHS.length - 1;
}

/**
 * How long brood may hang outside the hive. Common practice: briefly even when warm; no authority gives a figure.
 *
 * @param temperature shade temperature, °C
 * @returns minutes for one brood frame; 0 below 10 °C, where it stays in
 * @throws RangeError for a temperature that no air has
 * @example broodMinutes(16) // 5
 */
export function broodMinutes(temperature: number): number {
  if (within('temperature in °C', temperature, -90, 70) < 10) return 0;
  if (temperature < 13) return 2;
  if (temperature < 15) return 3;
  return temperature < 21 ? 5 : 8;
}
