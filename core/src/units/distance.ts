import { geoDistance } from 'd3-geo';

/** A point on the earth, degrees north and east. */
export interface Point {
  readonly latitude: number;
  readonly longitude: number;
}

/** Mean radius of the earth, km (Moritz 2000, Geodetic Reference System 1980). */
export const EARTH = 6371.0088;

/**
 * Great-circle distance.
 *
 * @param from degrees north and east
 * @param to degrees north and east
 * @returns km; the earth's flattening makes it wrong by half a hundredth at most
 * @throws RangeError for a latitude beyond a pole, or what is no number
 * @example kmBetween({ latitude: 52, longitude: 0 }, { latitude: 53, longitude: 0 }) // 111.2
 */
export function kmBetween(from: Point, to: Point): number {
  for (const { latitude, longitude } of [from, to])
    if (!(Math.abs(latitude) <= 90) || !Number.isFinite(longitude))
      throw new RangeError(`a place has a latitude from -90 to 90 and a longitude, got ${latitude}, ${longitude}`);
  return EARTH * geoDistance([from.longitude, from.latitude], [to.longitude, to.latitude]);
}
