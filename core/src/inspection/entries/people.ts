import { named } from '../../language';
import type { GuardId } from '../closing/guard-ids';
import { say } from '../said';
import type { CheckId } from '../visit/checks';
import type { SkillLevel } from '../visit/levels';
import type { Job } from '../visit/jobs';
import type { Spot } from '../visit/spots';
import { type Kinds, type Stamp, without } from './kind';

export const INCIDENTS = [
  'sting-reaction',
  'smoke-or-burn',
  'lift-or-fall',
  'queen-hurt',
  'comb-fell',
  'hive-knocked',
  'other',
] as const;
export const PHOTO_SUBJECTS = ['side', 'eggs', 'mark', 'seams', 'part', 'outside'] as const;

/** Who does what, who can what, and what they noted and asked. */
export interface PeopleEntries {
  'role-given': { readonly role: Job; readonly person: string };
  checked: {
    readonly check: CheckId;
    readonly ok: boolean;
    /** Whose veil or glasses; `null` for what concerns nobody by name. */
    readonly person: string | null;
  };
  'skill-judged': {
    readonly trainee: string;
    readonly skill: string;
    readonly level: SkillLevel;
    readonly prompt?: string | undefined;
    readonly note?: string | undefined;
  };
  'incident-noted': {
    readonly what: (typeof INCIDENTS)[number];
    readonly person: string | null;
    readonly text: string;
  };
  'guard-overridden': { readonly guard: GuardId; readonly reason: string };
  'note-written': { readonly text: string };
  /** A question or a mark that nobody could name: it goes to the lead's list. */
  'question-asked': {
    readonly text: string;
    readonly person: string | null;
    readonly spot: Spot | null;
    readonly photo: string | null;
    readonly sure: number | null;
  };
  'photo-taken': {
    readonly photo: string;
    readonly of: (typeof PHOTO_SUBJECTS)[number];
    readonly spot: Spot | null;
  };
  /** Something said instead of written. */
  'voice-recorded': { readonly recording: string; readonly seconds: number; readonly spot: Spot | null };
}

type Kept<K extends keyof PeopleEntries> = readonly (PeopleEntries[K] & Stamp)[];

export interface PeopleRecord {
  /** Whom each job was given to by hand, latest last. */
  readonly roles: Kept<'role-given'>;
  /** Latest answer to each check, for each person asked. */
  readonly checks: Kept<'checked'>;
  /** Latest judgement of each trainee in each skill. */
  readonly judgements: Kept<'skill-judged'>;
  readonly incidents: Kept<'incident-noted'>;
  readonly overrides: Kept<'guard-overridden'>;
  readonly notes: Kept<'note-written'>;
  readonly questions: Kept<'question-asked'>;
  readonly photos: Kept<'photo-taken'>;
  readonly recordings: Kept<'voice-recorded'>;
}

export const PEOPLE_BLANK: PeopleRecord = {
  roles: [],
  checks: [],
  judgements: [],
  incidents: [],
  overrides: [],
  notes: [],
  questions: [],
  photos: [],
  recordings: [],
};

export const PEOPLE_KINDS: Kinds<PeopleEntries, PeopleRecord> = {
  'role-given': {
    fold: (record, entry) => {
      record.roles = [...without(record.roles, ({ person }) => person === entry.person), entry];
    },
    refersTo: ({ person }) => ({ trainee: person }),
  },
  checked: {
    fold: (record, entry) => {
      const again = ({ check, person }: PeopleEntries['checked']) => check === entry.check && person === entry.person;
      record.checks = [...without(record.checks, again), entry];
    },
    text: ({ check, ok }) => say('entry-checked', { check, ok }),
    refersTo: ({ person }) => ({ person }),
  },
  'skill-judged': {
    bySupervisors: true,
    fold: (record, entry) => {
      const again = ({ trainee, skill }: PeopleEntries['skill-judged']) =>
        trainee === entry.trainee && skill === entry.skill;
      record.judgements = [...without(record.judgements, again), entry];
    },
    refersTo: ({ trainee, skill }) => ({ judged: { trainee, skill } }),
  },
  'incident-noted': {
    fold: (record, entry) => {
      record.incidents = [...record.incidents, entry];
    },
    refersTo: ({ person }) => ({ person }),
  },
  'guard-overridden': {
    bySupervisors: true,
    fold: (record, entry) => {
      record.overrides = [...record.overrides, entry];
    },
  },
  'note-written': {
    fold: (record, entry) => {
      record.notes = [...record.notes, entry];
    },
    text: ({ kind, text }) => say('entry-of', { what: named('entryKind', kind), says: text }),
  },
  'question-asked': {
    fold: (record, entry) => {
      record.questions = [...record.questions, entry];
    },
    text: ({ kind, text }) => say('entry-of', { what: named('entryKind', kind), says: text }),
    refersTo: ({ person }) => ({ person }),
  },
  'photo-taken': {
    fold: (record, entry) => {
      record.photos = [...record.photos, entry];
    },
  },
  'voice-recorded': {
    fold: (record, entry) => {
      record.recordings = [...record.recordings, entry];
    },
  },
};
