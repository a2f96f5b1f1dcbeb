import type { SkillLevel } from './levels';
import type { FrameSide, SideAddress } from './frame-side';
import type { EvidenceId } from './questions';
import type { StepId } from './steps';

export const TRAFFIC = ['none', 'little', 'steady', 'heavy'] as const;
export const SMOKE_PLACES = ['entrance', 'under the lid', 'between boxes', 'over the frames'] as const;
export const STOP_REASONS = ['question answered', 'time', 'weather', 'temper', 'people', 'finding', 'other'] as const;

/** How the bees sound, from 1 quiet to 5 close up now. */
export const MOODS = ['quiet', 'easy', 'lively', 'testing', 'close'] as const;

/** What was seen at the entrance before opening, or after closing. */
export interface OutsideLook {
  readonly traffic: (typeof TRAFFIC)[number];
  readonly pollenIn: boolean;
  readonly deadBees: boolean;
  readonly intruders: boolean;
  readonly note: string;
}

/** The four headings of a summary, in the reader's own words. */
export interface Summary {
  readonly bees: string;
  readonly brood: string;
  readonly food: string;
  readonly health: string;
}

/** Something done or seen during a visit. Entries are only ever added; {@link Undone} takes one back. */
export type EntryBody =
  | { readonly kind: 'step reached'; readonly step: StepId }
  | { readonly kind: 'outside seen'; readonly when: 'before' | 'after'; readonly look: OutsideLook }
  | { readonly kind: 'smoke given'; readonly place: (typeof SMOKE_PLACES)[number] }
  | { readonly kind: 'part taken off'; readonly part: string }
  | { readonly kind: 'part put back'; readonly part: string }
  | { readonly kind: 'seams counted'; readonly box: string; readonly seams: number }
  | {
      readonly kind: 'frame side recorded';
      readonly address: SideAddress;
      readonly side: FrameSide;
      /** The reading of this side that the device showed when this one was made. */
      readonly seen: string | null;
    }
  | { readonly kind: 'reading settled'; readonly address: SideAddress; readonly keep: string }
  | { readonly kind: 'evidence ticked'; readonly evidence: EvidenceId; readonly seen: boolean }
  | { readonly kind: 'mood noted'; readonly mood: number }
  | { readonly kind: 'sting counted'; readonly person: string | null }
  | { readonly kind: 'skill judged'; readonly trainee: string; readonly skill: string; readonly level: SkillLevel }
  | { readonly kind: 'note written'; readonly text: string }
  | { readonly kind: 'summed up'; readonly summary: Summary }
  | Undone
  | { readonly kind: 'visit closed'; readonly reason: (typeof STOP_REASONS)[number]; readonly note: string };
export interface Undone {
  readonly kind: 'entry undone';
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
