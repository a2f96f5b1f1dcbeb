const POINTS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

export type CompassPoint = (typeof POINTS)[number];

/** Point of the compass, of eight. */
export const compassPoint = (degrees: number): CompassPoint =>
  POINTS[Math.round((((degrees % 360) + 360) % 360) / 45) % 8]!;
