import SunCalc from 'suncalc';

/** A place on the ground. */
export interface Place {
  /** Degrees north, −90 to 90. */
  readonly latitude: number;
  /** Degrees east, −180 to 180. */
  readonly longitude: number;
}

/**
 * Height of the sun.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns degrees above the horizon, negative below it
 * @example sunElevation({ latitude: 55.1, longitude: -3.3 }, Date.parse('2026-06-21T12:00:00Z')) // about 58
 */
export function sunElevation(place: Place, at: number): number {
  const { altitude } = SunCalc.getPosition(new Date(at), place.latitude, place.longitude);
  return (altitude * 180) / Math.PI;
}
