import type {
  Assignments,
  Forced,
  Marginal,
  PlanItem,
  PlanLock,
  PlanningProblem,
  SkillGain,
  WhyNot,
} from '@brave-comb/core/planning';

/** Another place for a hive, and what moving it there would cost; no price where a rule forbids it. */
export interface OtherPlace {
  readonly lock: PlanLock;
  readonly price: number | null;
  readonly says: string;
}

/** What the board asks of its worker. A problem is sent once, the questions after it are about that one. */
export type Question =
  | { readonly about: 'problem'; readonly problem: PlanningProblem }
  | { readonly about: 'why'; readonly plan: Assignments; readonly item: PlanItem }
  | { readonly about: 'places'; readonly plan: Assignments; readonly item: PlanItem }
  | { readonly about: 'force'; readonly plan: Assignments; readonly lock: PlanLock }
  | { readonly about: 'not placed'; readonly plan: Assignments };

/** And what it answers to each. */
export interface Answers {
  problem: null;
  why: { readonly marginal: Marginal; readonly skills: readonly SkillGain[] };
  places: readonly OtherPlace[];
  force: Forced | null;
  'not placed': readonly WhyNot[];
}
