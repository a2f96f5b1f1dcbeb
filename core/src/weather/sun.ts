import * as SunCalc from 'suncalc';
import { within } from '../units';
import { HOUR } from './hour';

/** A place on the ground. */
export interface Place {
  /** Degrees north, −90 to 90. */
  readonly latitude: number;
  /** Degrees east, −180 to 180. */
  readonly longitude: number;
}

/**
 * Height of the sun, lifted by refraction near the horizon.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns degrees above the horizon, negative below it
 * @example sunElevation({ latitude: 55.1, longitude: -3.3 }, Date.parse('2026-06-21T12:00:00Z')) // 58
 */
export function sunElevation(place: Place, at: number): number {
  return SunCalc.getPosition(new Date(at), place.latitude, place.longitude).altitude;
}

/**
 * Where the sun stands on the compass.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns degrees clockwise from north, 0 to 360
 * @example sunBearing({ latitude: 55.1, longitude: -3.3 }, Date.parse('2026-06-21T12:15:00Z')) // 180
 */
export function sunBearing(place: Place, at: number): number {
  return SunCalc.getPosition(new Date(at), place.latitude, place.longitude).azimuth;
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

/**
 * Sunrise, highest stand and sunset of one day: the upper edge on the horizon (−0.833°) and civil twilight (−6°), by the USNO convention.
 *
 * @param place latitude within ±90, longitude within ±180 degrees
 * @param noon about the middle of the local day, ms since 1970
 * @returns the day's instants
 * @throws RangeError for a place off the globe
 */
export function sunTimes(place: Place, noon: number): SunTimes {
  const latitude = within('latitude', place.latitude, -90, 90);
  const longitude = within('longitude', place.longitude, -180, 180);
  const times = SunCalc.getTimes(new Date(noon), latitude, longitude);
  const rise = times.sunrise?.getTime() ?? null;
  const set = times.sunset?.getTime() ?? null;
  return {
    dawn: times.dawn?.getTime() ?? null,
    rise,
    noon: times.solarNoon.getTime(),
    set,
    dusk: times.dusk?.getTime() ?? null,
    dayLength: rise !== null && set !== null ? (set - rise) / HOUR : times.alwaysUp ? 24 : 0,
  };
}
