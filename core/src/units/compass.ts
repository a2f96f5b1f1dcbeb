/** Points of the compass, from north by east. */
export const COMPASS_POINTS = [
  'north',
  'north-east',
  'east',
  'south-east',
  'south',
  'south-west',
  'west',
  'north-west',
] as const;
export type CompassPoint = (typeof COMPASS_POINTS)[number];

/**
 * The point of the compass, of eight, that a bearing lies nearest to.
 *
 * @param degrees bearing clockwise from north, any number of turns
 * @returns the point
 * @example compassPoint(-90) // 'west'
 */
export const compassPoint = (degrees: number): CompassPoint =>
  COMPASS_POINTS[Math.round((((degrees % 360) + 360) % 360) / 45) % 8]!;
