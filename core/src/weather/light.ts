import { type CompassPoint, compassPoint } from '../units';
import { lightFor } from './fitness';
import { HOUR, MINUTE, type Weather } from './hour';
import { type Place, sunBearing, sunElevation, sunTimes } from './sun';

/** What eggs are looked for on. They show on black and dark comb, hardly on new white or yellow wax. */
export const COMBS = ['dark-comb', 'new-comb'] as const;
export type CombColour = (typeof COMBS)[number];

export type EggLight = 'good' | 'poor' | 'too-dark';

/** Least light in which eggs are read for sure, by comb, and in which nobody can say. Common practice, settled by no authority. */
const SURE: Readonly<Record<CombColour, number>> = { 'dark-comb': 15, 'new-comb': 20 };
/** Light below which nobody can say. Common practice. */
const DARK = 8;

/**
 * Whether eggs can be read. In poor light "no eggs" is to be written as "not seen".
 *
 * @param weather the hour's weather
 * @param elevation height of the sun, degrees
 * @param comb what the eggs lie on
 * @returns good, poor, or too dark to confirm
 */
export function eggLight(weather: Weather, elevation: number, comb: CombColour): EggLight {
  const light = lightFor(weather, elevation);
  if (light >= SURE[comb]) return 'good';
  return light >= DARK ? 'poor' : 'too-dark';
}

/** Hours by the sun for one day. Instants in ms since 1970. */
export interface LightPlan {
  /** First and last instant in which eggs show on dark comb under the given cloud, `null` when they never do. */
  readonly eggs: { readonly from: number; readonly to: number } | null;
  /** The hour around the sun's noon: how hard bees forage is judged then. */
  readonly foraging: { readonly from: number; readonly to: number };
  /** Where the sun stands at the middle of the reading hours: stand with the back to it, comb tilted to let it fall into the cells. */
  readonly sunFrom: CompassPoint;
}

/**
 * When to read eggs and when to judge the flight, and where the sun stands then.
 *
 * @param place the site
 * @param noon about the middle of the local day, ms since 1970
 * @param cloud share of the sky covered, 0 to 1
 * @param around instant for which the sun's direction is wanted, ms since 1970; the sun's noon without it
 * @returns the day's plan by light
 */
export function lightPlan(place: Place, noon: number, cloud: number, around?: number): LightPlan {
  const top = sunTimes(place, noon).noon;
  const good = (at: number) => sunElevation(place, at) - 10 * cloud >= SURE['dark-comb'];
  const steps = Array.from({ length: 289 }, (_, step) => top - 12 * HOUR + step * 5 * MINUTE).filter(good);
  return {
    eggs: steps.length > 1 ? { from: steps[0]!, to: steps.at(-1)! } : null,
    foraging: { from: top - HOUR / 2, to: top + HOUR / 2 },
    sunFrom: compassPoint(sunBearing(place, around ?? top)),
  };
}
