/** How far a group is in its course: what was shown before this season, and how much help it takes now. */
export interface DemoCourse {
  readonly group: string;
  /** Share of the checklist that its trainees held at the end of last season, 0 to 1. */
  readonly held: number;
  /** Share of the rest that they had tried, 0 to 1. */
  readonly tried: number;
  /** Level of help that its trainees have left behind, as a step up from "saw-it". */
  readonly ahead: number;
  /** Share of what is held that the lead has signed, 0 to 1. */
  readonly signed: number;
  /** Who judged them last season. */
  readonly assessors: readonly string[];
}

export const COURSES: readonly DemoCourse[] = [
  { group: 'Curlew', held: 0.66, tried: 0.85, ahead: 2, signed: 0.35, assessors: ['tomasz', 'marit'] },
  { group: 'Dipper', held: 0.06, tried: 0.12, ahead: 0, signed: 0, assessors: ['leilani', 'marit'] },
  { group: 'Lapwing', held: 0.86, tried: 0.95, ahead: 3, signed: 0.6, assessors: ['ruth', 'marit'] },
];

/** Skills that somebody has in spite of the group's share, or has not: what keeps stings away is learnt first. */
export const EARLY_SKILLS: Readonly<Record<string, readonly string[]>> = {
  Curlew: ['veil-checked', 'lights-smoker', 'smokes-in-order'],
  Dipper: ['veil-checked'],
  Lapwing: ['veil-checked', 'lights-smoker', 'smokes-in-order', 'eases-off', 'clear-of-flight'],
};
/** One who has not: at a lively hive somebody else holds the frames. */
export const LATE_SKILL = { trainee: 'bruno', skill: 'eases-off' } as const;

/** Last season, and the day on which it was signed. */
export const LAST_SEASON = { from: '2025-05-06', days: 140, signed: '2025-09-28' } as const;
