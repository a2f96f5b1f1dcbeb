/** Highest temperatures of a day between which each works and does no harm, °C; days that it takes; what a label calls the active ingredient. Labels, from memory: the label decides. */
export const WORKS = {
  'oxalic-dribble': { low: 3, high: 25, days: 1, holds: /oxalic/i },
  formic: { low: 10, high: 29, days: 14, holds: /formic/i },
  thymol: { low: 15, high: 30, days: 28, holds: /thymol/i },
  strips: { low: -40, high: 45, days: 42, holds: /amitraz|fluvalinate|flumethrin/i },
  'brood-break': { low: 12, high: 35, days: 25, holds: null },
} as const;
export type MiteProduct = keyof typeof WORKS;
