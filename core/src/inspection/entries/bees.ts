import { say } from '../said';
import type { FindingId } from '../visit/findings';
import { type Measure, readMeasure } from '../visit/measures';
import type { BeeSign, NotedSign } from '../visit/signs';
import type { Spot } from '../visit/spots';
import type { Reaction } from '../visit/sting-watch';
import type { Kinds, Stamp } from './kind';

export const SMOKE_PLACES = ['entrance', 'under-the-lid', 'between-boxes', 'over-the-frames'] as const;

/** How the bees sound, from 1 quiet to 5 close up now. */
export const MOODS = ['quiet', 'easy', 'lively', 'agitated', 'close'] as const;

/** What the bees do, what was done to calm them, and what was looked for and measured. */
export interface BeesEntries {
  'smoke-given': { readonly place: (typeof SMOKE_PLACES)[number]; readonly puffs?: number | undefined };
  /** From 1 to 5, see {@link MOODS}. */
  'mood-noted': { readonly mood: number };
  'sign-noticed': { readonly sign: BeeSign };
  'sting-counted': { readonly person: string | null };
  'sting-asked-after': { readonly person: string; readonly reaction: Reaction };
  'finding-noted': {
    readonly finding: FindingId;
    readonly found: boolean;
    readonly count: number | null;
    /** How sure, percent; `null` when not asked. */
    readonly sure: number | null;
    readonly spot: Spot | null;
    readonly note: string;
  };
  measured: { readonly measure: Measure };
}

type Kept<K extends keyof BeesEntries> = readonly (BeesEntries[K] & Stamp)[];

export interface BeesRecord {
  readonly smoke: Kept<'smoke-given'>;
  /** Latest mood. */
  readonly mood: number | null;
  readonly moods: Kept<'mood-noted'>;
  /** What the bees showed, stings among it. */
  readonly signs: readonly NotedSign[];
  readonly stings: Kept<'sting-counted'>;
  /** Answers of those who were stung. */
  readonly stingsAskedAfter: Kept<'sting-asked-after'>;
  readonly findings: Kept<'finding-noted'>;
  readonly measures: Kept<'measured'>;
}

export const BEES_BLANK: BeesRecord = {
  smoke: [],
  mood: null,
  moods: [],
  signs: [],
  stings: [],
  stingsAskedAfter: [],
  findings: [],
  measures: [],
};

export const BEES_KINDS: Kinds<BeesEntries, BeesRecord> = {
  'smoke-given': {
    fold: (record, entry) => {
      record.smoke = [...record.smoke, entry];
    },
  },
  'mood-noted': {
    fold: (record, entry) => {
      record.mood = entry.mood;
      record.moods = [...record.moods, entry];
    },
    text: ({ mood }) => say('entry-mood', { mood: MOODS[mood - 1]! }),
  },
  'sign-noticed': {
    fold: (record, { sign, at }) => {
      record.signs = [...record.signs, { sign, at }];
    },
  },
  'sting-counted': {
    fold: (record, entry) => {
      record.stings = [...record.stings, entry];
      record.signs = [...record.signs, { sign: 'sting', at: entry.at }];
    },
    refersTo: ({ person }) => ({ person }),
  },
  'sting-asked-after': {
    fold: (record, entry) => {
      record.stingsAskedAfter = [...record.stingsAskedAfter, entry];
    },
    refersTo: ({ person }) => ({ person }),
  },
  'finding-noted': {
    fold: (record, entry) => {
      record.findings = [...record.findings, entry];
    },
    text: ({ finding, found }) => say('entry-found', { finding, found }),
  },
  measured: {
    fold: (record, entry) => {
      record.measures = [...record.measures, entry];
    },
    text: ({ measure }) => readMeasure(measure).says,
  },
};
