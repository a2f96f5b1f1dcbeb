import type { SeenMark } from '../../biology';
import type { StackChange } from '../../equipment';
import type { BeeSign } from './signs';
import type { CheckId } from './checks';
import type { CombMove } from './combs';
import type { Letter } from '../side/contents';
import type { DefectId, RepairBy } from './defects';
import type { FindingId } from './findings';
import type { FrameSide, SideAddress } from '../side/frame-side';
import type { GuardId } from '../closing/guard-ids';
import type { SkillLevel } from './levels';
import type { Measure } from './measures';
import type { OutsideLook } from './outside';
import type { EvidenceId } from './questions';
import type { Role } from './roles';
import type { Spot } from './spots';
import type { StepId, VisitDepth } from '../closing/steps';
import type { Reaction } from './sting-watch';
import type { StrayCause, StrayContent, StrayPlace } from '../side/stray-comb';

export const SMOKE_PLACES = ['entrance', 'under-the-lid', 'between-boxes', 'over-the-frames'] as const;
export const STOP_REASONS = ['question-answered', 'time', 'weather', 'temper', 'people', 'finding', 'other'] as const;
export type StopReason = (typeof STOP_REASONS)[number];
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

/** How the bees sound, from 1 quiet to 5 close up now. */
export const MOODS = ['quiet', 'easy', 'lively', 'agitated', 'close'] as const;

/** The four headings of a summary, in the reader's own words. */
export interface Summary {
  readonly bees: string;
  readonly brood: string;
  readonly food: string;
  readonly health: string;
}

/** A box summed up without lifting all its frames. */
export interface BoxSummary {
  /** Seams of bees from above, `null` when not counted. */
  readonly seams: number | null;
  /** Frames with brood, with food, drawn and still bare; `null` when not looked at. */
  readonly brood: number | null;
  readonly food: number | null;
  readonly drawn: number | null;
  readonly bare: number | null;
  readonly note: string;
}

/** Something done or seen during a visit. Entries are only ever added; {@link Undone} takes one back, also another of its kind. */
export type EntryBody =
  | { readonly kind: 'step-reached'; readonly step: StepId }
  | { readonly kind: 'depth-chosen'; readonly depth: VisitDepth }
  | { readonly kind: 'outside-seen'; readonly when: 'before' | 'after'; readonly look: OutsideLook }
  | { readonly kind: 'role-given'; readonly role: Role; readonly person: string }
  | {
      readonly kind: 'checked';
      readonly check: CheckId;
      readonly ok: boolean;
      /** Whose veil or glasses; `null` for what concerns nobody by name. */
      readonly person: string | null;
    }
  | {
      readonly kind: 'smoke-given';
      readonly place: (typeof SMOKE_PLACES)[number];
      readonly puffs?: number | undefined;
    }
  | { readonly kind: 'part-taken-off'; readonly part: string }
  | { readonly kind: 'part-put-back'; readonly part: string }
  | { readonly kind: 'box-opened'; readonly box: string }
  | { readonly kind: 'box-tipped'; readonly box: string }
  | { readonly kind: 'seams-counted'; readonly box: string; readonly seams: number }
  | { readonly kind: 'box-summed-up'; readonly box: string; readonly summary: BoxSummary }
  | { readonly kind: 'frame-lifted'; readonly box: string; readonly frame: number }
  | { readonly kind: 'frame-set-back'; readonly box: string; readonly frame: number }
  | ({ readonly kind: 'comb-moved' } & CombMove)
  | {
      readonly kind: 'frame-side-recorded';
      readonly address: SideAddress;
      readonly side: FrameSide;
      /** The reading of this side that the device showed when this one was made. */
      readonly seen: string | null;
    }
  | { readonly kind: 'reading-settled'; readonly address: SideAddress; readonly keep: string }
  | {
      readonly kind: 'side-guessed';
      readonly person: string;
      readonly address: SideAddress;
      readonly letters: readonly Letter[];
    }
  | {
      readonly kind: 'side-read-by-trainee';
      readonly person: string;
      readonly address: SideAddress;
      readonly side: FrameSide;
    }
  | {
      /** A doubt about eggs (or another content) settled later, mostly by a photo. */
      readonly kind: 'confirmed-afterwards';
      readonly address: SideAddress;
      readonly letter: Letter;
      readonly there: boolean;
    }
  | { readonly kind: 'queen-mark-seen'; readonly colour: SeenMark }
  | {
      /** A doubtful side was looked at again: sound after all, or still in doubt. */
      readonly kind: 'doubt-looked-at-again';
      readonly address: SideAddress;
      readonly sound: boolean;
      readonly found: string;
    }
  | { readonly kind: 'queen-accounted-for'; readonly how: 'on-her-frame' | 'seen-going-in' | 'not-seen-again' }
  | { readonly kind: 'evidence-ticked'; readonly evidence: EvidenceId; readonly seen: boolean }
  | {
      readonly kind: 'finding-noted';
      readonly finding: FindingId;
      readonly found: boolean;
      readonly count: number | null;
      /** How sure, percent; `null` when not asked. */
      readonly sure: number | null;
      readonly spot: Spot | null;
      readonly note: string;
    }
  | { readonly kind: 'measured'; readonly measure: Measure }
  | { readonly kind: 'mood-noted'; readonly mood: number }
  | { readonly kind: 'sign-noticed'; readonly sign: BeeSign }
  | { readonly kind: 'sting-counted'; readonly person: string | null }
  | { readonly kind: 'sting-asked-after'; readonly person: string; readonly reaction: Reaction }
  | {
      readonly kind: 'stack-changed';
      readonly change: StackChange;
      readonly reason: string;
    }
  | {
      readonly kind: 'defect-noted';
      readonly part: string;
      readonly defect: DefectId;
      /** What was done for now; empty when nothing was. */
      readonly forNow: string;
      readonly until: RepairBy;
    }
  | {
      readonly kind: 'stray-comb-noted';
      readonly part: string;
      readonly place: StrayPlace;
      readonly content: StrayContent;
      readonly cause: StrayCause;
      readonly removed: boolean;
    }
  | {
      /** A task from an earlier visit, done or not after all. */ readonly kind: 'task-settled';
      readonly task: string;
      readonly done: boolean;
    }
  | {
      readonly kind: 'incident-noted';
      readonly what: (typeof INCIDENTS)[number];
      readonly person: string | null;
      readonly text: string;
    }
  | {
      readonly kind: 'skill-judged';
      readonly trainee: string;
      readonly skill: string;
      readonly level: SkillLevel;
      readonly prompt?: string | undefined;
      readonly note?: string | undefined;
    }
  | { readonly kind: 'note-written'; readonly text: string }
  | {
      /** A question or a mark that nobody could name: it goes to the lead's list. */
      readonly kind: 'question-asked';
      readonly text: string;
      readonly person: string | null;
      readonly spot: Spot | null;
      readonly photo: string | null;
      readonly sure: number | null;
    }
  | {
      readonly kind: 'photo-taken';
      readonly photo: string;
      readonly of: (typeof PHOTO_SUBJECTS)[number];
      readonly spot: Spot | null;
    }
  | {
      /** Something said instead of written. */
      readonly kind: 'voice-recorded';
      readonly recording: string;
      readonly seconds: number;
      readonly spot: Spot | null;
    }
  | { readonly kind: 'guard-overridden'; readonly guard: GuardId; readonly reason: string }
  | { readonly kind: 'summed-up'; readonly summary: Summary }
  | { readonly kind: 'stop-said'; readonly reason: (typeof STOP_REASONS)[number]; readonly note: string }
  | Undone
  | { readonly kind: 'visit-closed'; readonly reason: (typeof STOP_REASONS)[number]; readonly note: string };
export interface Undone {
  readonly kind: 'entry-undone';
  readonly entry: string;
}

/** An entry with who made it and when. The device makes the id, so that sending it twice does no harm. */
export interface VisitEntry {
  readonly id: string;
  /** Instant on the device's clock, ISO 8601 in UTC. */
  readonly at: string;
  /** Person who made it. */
  readonly by: string;
  readonly body: EntryBody;
}
