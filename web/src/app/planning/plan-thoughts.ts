import type { Text } from '@brave-comb/core/language';
import type {
  Assignments,
  IndoorWays,
  Marginal,
  OpeningReason,
  PlanItem,
  PlanLock,
  PlannedSession,
  PlanningProblem,
  PlanStep,
  SkillGain,
  Trouble,
  WayOut,
  WetDay,
  WhyNot,
} from '@brave-comb/core/planning';

/** Another place for a hive, and what moving it there would cost; no price where a rule forbids it. */
export interface OtherPlace {
  readonly lock: PlanLock;
  readonly price: number | null;
  readonly says: Text;
}

/** How one plan differs from another. */
export interface Comparison {
  /** What the other one has more, part by part. */
  readonly more: Marginal;
  /** Worth of the plan on the board. */
  readonly worth: number;
  /** The way there; null where there are too many changes to be made one by one. */
  readonly steps: readonly PlanStep[] | null;
  readonly changes: number;
  /** For no step made, for the first, and so on: whether the plan keeps every rule. */
  readonly sound: readonly boolean[];
}

/** What the board asks of its worker. A problem is sent once, the questions after it are about that one. */
export type Question =
  | { readonly about: 'problem'; readonly problem: PlanningProblem }
  | { readonly about: 'why'; readonly plan: Assignments; readonly item: PlanItem }
  | { readonly about: 'places'; readonly plan: Assignments; readonly item: PlanItem }
  | { readonly about: 'cells'; readonly plan: Assignments; readonly item: PlanItem }
  | { readonly about: 'price'; readonly plan: Assignments; readonly item: PlanItem; readonly lock: PlanLock }
  | { readonly about: 'force'; readonly plan: Assignments; readonly item: PlanItem | null; readonly lock: PlanLock }
  | {
      readonly about: 'wet-day';
      readonly plan: Assignments;
      readonly session: PlannedSession;
      readonly ways: IndoorWays;
    }
  | { readonly about: 'not-placed'; readonly plan: Assignments }
  | { readonly about: 'reasons'; readonly plan: Assignments }
  | { readonly about: 'troubles'; readonly plan: Assignments }
  | { readonly about: 'ways'; readonly plan: Assignments; readonly trouble: Trouble }
  | { readonly about: 'worth'; readonly plan: Assignments }
  | { readonly about: 'comparison'; readonly plan: Assignments; readonly other: Assignments }
  | {
      readonly about: 'step';
      readonly plan: Assignments;
      readonly steps: readonly PlanStep[];
      /** How many of the first ones are made, or the one that is taken by itself. */
      readonly take: { readonly first: number } | { readonly only: number };
    };

/** And what it answers to each. */
export interface Answers {
  problem: null;
  why: { readonly marginal: Marginal; readonly skills: readonly SkillGain[] };
  places: readonly OtherPlace[];
  /** Where a hive could be put as the plan stands, near cells first; not all cells of a large board. */
  cells: readonly OtherPlace[];
  /** What putting it there costs once the plan is mended around it; no price where that cannot be. */
  price: { readonly price: number | null };
  /** Price against what as much mending makes of the plan without it. */
  force: { readonly plan: Assignments; readonly price: number } | null;
  'wet-day': WetDay | null;
  'not-placed': readonly WhyNot[];
  reasons: readonly OpeningReason[];
  troubles: readonly Trouble[];
  /** The cheapest ways out of a trouble by one change. */
  ways: readonly WayOut[];
  worth: { readonly worth: number };
  comparison: Comparison;
  step: { readonly plan: Assignments; readonly made: number };
}
