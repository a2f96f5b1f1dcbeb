import type { ClimateBand } from '../season';
import type { CivilDate } from '../units';
import type { Text } from '../language';
import type { Errand } from './errand';

export const ADVICE_KINDS = [
  'health',
  'entrance',
  'feed',
  'queen',
  'queen-cells',
  'swarming',
  'mites',
  'protein',
  'strength',
  'chill',
  'behind',
  'selection',
  'comb',
  'add-space',
  'look-again',
  'cannot-tell',
  'leave-alone',
] as const;
export type AdviceKind = (typeof ADVICE_KINDS)[number];

/** Advice that leaves nothing to do but to look, sooner or later. */
export const ONLY_LOOKS: ReadonlySet<AdviceKind> = new Set<AdviceKind>(['leave-alone', 'look-again', 'cannot-tell']);

/** Key of the task of doing what an advice says. */
export const taskOfAdvice = (kind: AdviceKind): string => `advice/${kind}`;

/** A reason with its number, for or against. */
export interface Reason {
  readonly text: Text;
  /** How much it weighs, 0 to 1. */
  readonly weight: number;
  readonly sense: 'for' | 'against';
}

/** Where a figure comes from. */
export interface WhereFrom {
  readonly figure: Text;
  readonly rule: Text;
  readonly steps: readonly (readonly [label: Text, value: Text])[];
  readonly source: Text;
}

/** How firm an advice is: resting on most of the nest, on part of it, or on so little that it is a guess. */
export const CONFIDENCES = ['firm', 'likely', 'guess'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

/** What to look for when coming back, from and until when. */
export interface FollowUp {
  readonly question: Text;
  readonly from: CivilDate;
  readonly due: CivilDate;
}

/** Whether a rule of thumb holds in the climate of a place: as it stands, with care, or not as it stands. */
export const HOLDINGS = ['holds', 'with-care', 'not-here', 'not-known'] as const;
export type Holding = (typeof HOLDINGS)[number];

/** What the climate of a place makes of the rule behind an advice. */
export interface HoldsHere {
  readonly band: ClimateBand | null;
  readonly holding: Holding;
  readonly says: Text;
}

/** What the product thinks should be done for one colony. */
export interface Advice {
  readonly kind: AdviceKind;
  readonly title: Text;
  /** The first day on which it can be done, and the last on which it is in time. */
  readonly from: CivilDate;
  readonly by: CivilDate;
  readonly confidence: Confidence;
  /** 0 to 1; the most pressing comes first. */
  readonly pressing: number;
  readonly reasons: readonly Reason[];
  /** What another school of the trade would do instead, and why. */
  readonly otherSchool: Text;
  readonly whereFrom: WhereFrom;
  /** Whether its rule holds in the climate of the place. */
  readonly climate: HoldsHere;
  /** What can hurt people, bees or honey, and whose word goes first. */
  readonly cautions: readonly Text[];
  /** What would change the decision. */
  readonly turns: readonly Text[];
  /** What then, if it does not work. */
  readonly ifItFails: Text | null;
  /** What it takes to do it. */
  readonly errand: Errand;
  /** What it makes necessary, the next look first; at least one. */
  readonly followUps: readonly [FollowUp, ...FollowUp[]];
}

/** A reason for, and one against. */
export const pro = (text: Text, weight: number): Reason => ({ text, weight, sense: 'for' });
export const con = (text: Text, weight: number): Reason => ({ text, weight, sense: 'against' });

/** An advice as its judge gives it: from today on, as firm as the reading, with nothing to beware of, unless it says otherwise. */
export type Advised = Omit<Advice, 'from' | 'confidence' | 'cautions' | 'turns' | 'ifItFails' | 'errand' | 'climate'> &
  Partial<Pick<Advice, 'from' | 'confidence' | 'cautions' | 'turns' | 'ifItFails'>> & {
    /** Honey that stands on the hive while it is done is not for people. */
    readonly bindsHoney?: true;
    /** What it takes, where it is not what this kind of advice always takes. */
    readonly errand?: Partial<Errand>;
  };

/** What a judge says of one case; the rest of the advice is the same for all its cases. */
export type Brief = Pick<
  Advised,
  'title' | 'pressing' | 'reasons' | 'otherSchool' | 'cautions' | 'turns' | 'ifItFails'
> & {
  /** Days from today within which it is done. */
  readonly within: number;
  readonly rule: Text;
  /** What is asked at the next look, and within which days from today. */
  readonly question: Text;
  readonly again: readonly [from: number, due: number];
};

/** Keeps a weight within 0 and 1, to hundredths. */
export const weigh = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 100) / 100;
