/** What words are about, in the order of a glossary's chapters. */
export const SUBJECTS = [
  'bees',
  'brood',
  'comb',
  'hive',
  'work',
  'increase',
  'season',
  'feeding',
  'health',
  'records',
] as const;
export type Subject = (typeof SUBJECTS)[number];

/** A word of the trade. */
export interface Term {
  /** Its address. */
  readonly id: string;
  readonly about: Subject;
  /** What we say. */
  readonly term: string;
  readonly meaning: string;
  /** Other names by which people look for it. */
  readonly also?: readonly string[];
  /** What no sentence of ours says instead; in quotes where capitals count. */
  readonly not?: readonly string[];
  /** Ids of words near it. */
  readonly see?: readonly string[];
}
