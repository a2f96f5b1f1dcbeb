/** What can be wrong with the woodwork. */
export const DEFECT_IDS = ['gap', 'rot', 'escape', 'joint', 'leak', 'frame', 'mesh', 'tight', 'stand'] as const;
export type DefectId = (typeof DEFECT_IDS)[number];

/** By when it is mended. */
export const REPAIR_BY = ['next-visit', 'two-weeks', 'before-winter'] as const;
export type RepairBy = (typeof REPAIR_BY)[number];
