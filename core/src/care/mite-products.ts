/** Highest temperatures of a day between which each works and does no harm, °C; days that it takes. Labels, from memory: the label decides. */
export const WORKS = {
  'oxalic-dribble': { low: 3, high: 25, days: 1 },
  formic: { low: 10, high: 29, days: 14 },
  thymol: { low: 15, high: 30, days: 28 },
  strips: { low: -40, high: 45, days: 42 },
  'brood-break': { low: 12, high: 35, days: 25 },
} as const;
export type MiteProduct = keyof typeof WORKS;
