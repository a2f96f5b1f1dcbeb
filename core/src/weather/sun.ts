import SunCalc from 'suncalc';
import { within } from '../units';
import { HOUR } from './hour';

/** A place on the ground. */
export interface Place {
  /** Degrees north, −90 to 90. */
  readonly latitude: number;
  /** Degrees east, −180 to 180. */
  readonly longitude: number;
}

const DEGREES = 180 / Math.PI;

/**
 * Height of the sun.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns degrees above the horizon, negative below it
 * @example sunElevation({ latitude: 55.1, longitude: -3.3 }, Date.parse('2026-06-21T12:00:00Z')) // about 58
 */
export function sunElevation(place: Place, at: number): number {
  return SunCalc.getPosition(new Date(at), place.latitude, place.longitude).altitude * DEGREES;
}

/**
 * Where the sun stands on the compass.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns degrees clockwise from north, 0 to 360
 * @example sunBearing({ latitude: 55.1, longitude: -3.3 }, Date.parse('2026-06-21T12:15:00Z')) // about 180
 */
export function sunBearing(place: Place, at: number): number {
  const fromSouth = SunCalc.getPosition(new Date(at), place.latitude, place.longitude).azimuth * DEGREES;
  return (fromSouth + 180 + 360) % 360;
}

/** The sun's day. Instants in ms since 1970; `null` where the sun does not pass that height on this day. */
export interface SunTimes {
  readonly dawn: number | null;
  readonly rise: number | null;
  readonly noon: number;
  readonly set: number | null;
  readonly dusk: number | null;
  /** Hours from rise to set: 0 in the polar night, 24 on a polar day. */
  readonly dayLength: number;
}

/** Height of the sun's middle when its upper edge touches the horizon, and at civil twilight, degrees (USNO convention). */
const HORIZON = -0.833;
const CIVIL = -6;

/**
 * Sunrise, highest stand and sunset of one day: the instants at which the sun passes −0.833° and −6°, searched for by halving.
 *
 * @param place latitude within ±90, longitude within ±180 degrees
 * @param noon about the middle of the local day, ms since 1970; from it the sun's own noon is found
 * @returns the day's instants
 * @throws RangeError for a place off the globe
 * @example sunTimes(berlin, Date.parse('2026-06-21T12:00:00+02:00')).set // 21:33 there
 */
export function sunTimes(place: Place, noon: number): SunTimes {
  within('latitude', place.latitude, -90, 90);
  within('longitude', place.longitude, -180, 180);
  const top = highest(place, noon);
  const morning = (height: number) => crossing(place, top - 12 * HOUR, top, height);
  const evening = (height: number) => crossing(place, top + 12 * HOUR, top, height);
  const rise = morning(HORIZON);
  const set = evening(HORIZON);
  const allDay = sunElevation(place, top - 12 * HOUR) > HORIZON;
  return {
    dawn: morning(CIVIL),
    rise,
    noon: top,
    set,
    dusk: evening(CIVIL),
    dayLength: rise !== null && set !== null ? (set - rise) / HOUR : allDay ? 24 : 0,
  };
}

/** The instant of the sun's highest stand within twelve hours of a guess. */
function highest(place: Place, guess: number): number {
  // The hour angle runs 15 degrees an hour; the bearing jumps near the zenith, so the height is searched instead, by thirds.
  let [from, to] = [guess - 12 * HOUR, guess + 12 * HOUR];
  const hours = Array.from({ length: 25 }, (_, hour) => from + hour * HOUR);
  const best = hours.reduce((top, at) => (sunElevation(place, at) > sunElevation(place, top) ? at : top), guess);
  [from, to] = [best - HOUR, best + HOUR];
  while (to - from > 1000) {
    const third = (to - from) / 3;
    if (sunElevation(place, from + third) < sunElevation(place, to - third)) from += third;
    else to -= third;
  }
  return Math.round((from + to) / 2);
}

/** When the sun passes a height between an instant at which it is low and one at which it is high. */
function crossing(place: Place, low: number, high: number, height: number): number | null {
  let [under, over] = [low, high];
  if (sunElevation(place, under) >= height || sunElevation(place, over) < height) return null;
  while (Math.abs(over - under) > 1000) {
    const middle = (under + over) / 2;
    if (sunElevation(place, middle) < height) under = middle;
    else over = middle;
  }
  return Math.round((under + over) / 2);
}
