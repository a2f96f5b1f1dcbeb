/** What a column of a list of hives can be. */
export const HIVE_FIELDS = [
  'number',
  'place',
  'site',
  'stand',
  'type',
  'boxes',
  'brood',
  'supers',
  'frames',
  'queen',
  'origin',
  'since',
  'feeder',
  'scale',
] as const;
export type HiveField = (typeof HIVE_FIELDS)[number];
