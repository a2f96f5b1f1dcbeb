import type { CivilDate } from '../units';
import type { Text } from '../language';

export const ADVICE_KINDS = ['feed', 'queen-cells', 'add-space', 'look-again', 'leave-alone'] as const;
export type AdviceKind = (typeof ADVICE_KINDS)[number];

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

/** What the product thinks should be done for one colony. */
export interface Advice {
  readonly kind: AdviceKind;
  readonly title: Text;
  readonly by: CivilDate;
  /** 0 to 1; the most pressing comes first. */
  readonly pressing: number;
  readonly reasons: readonly Reason[];
  /** What another school of the trade would do instead, and why. */
  readonly otherSchool: Text;
  readonly whereFrom: WhereFrom;
  /** What to look for when coming back, from and until when. */
  readonly followUp: { readonly question: Text; readonly from: CivilDate; readonly due: CivilDate };
}

/** Keeps a weight within 0 and 1, to hundredths. */
export const weigh = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 100) / 100;
