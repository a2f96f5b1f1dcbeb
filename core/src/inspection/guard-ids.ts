/** What stands in the way of something at the open hive, by name. */
export const GUARD_IDS = [
  'do not open',
  'nobody checked',
  'too cold or late',
  'not ready for frames',
  'smoke first',
  'centre frame first',
  'food above',
  'keep covered',
  'queen on this frame',
  'queen or brood on it',
  'frame does not fit',
  'doubtful frame',
  'disease suspected',
  'box was tipped',
  'order changed',
  'doubtful sides left',
  'queen not accounted for',
  'parts still off',
  'frames still out',
  'readings to settle',
] as const;
export type GuardId = (typeof GUARD_IDS)[number];
