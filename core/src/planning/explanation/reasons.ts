import { type Marginal, marginalOf, type SkillGain, skillsGained } from './explanation';
import type { Assignments, PlanningProblem } from '../solver/problem';

/** What one opening of a plan is for. */
export interface OpeningReason {
  /** Null for what staff open alone. */
  readonly group: string | null;
  readonly slot: string;
  readonly hive: string;
  readonly marginal: Marginal;
  /** Skills that gain most by it, at most three. */
  readonly skills: readonly SkillGain[];
}

/**
 * What each opening of a plan adds to it, so that the reasons can be kept with the plan.
 *
 * @param problem the problem
 * @param plan the plan
 * @returns one for each opening, in the plan's order
 */
export function reasonsOf(problem: PlanningProblem, plan: Assignments): readonly OpeningReason[] {
  const sessions = plan.sessions.flatMap(({ group, slot, hives }) =>
    hives.map((hive): OpeningReason => {
      const item = { kind: 'hive', group, slot, hive } as const;
      return {
        group,
        slot,
        hive,
        marginal: marginalOf(problem, plan, item),
        skills: skillsGained(problem, plan, item).slice(0, 3),
      };
    }),
  );
  const staff = plan.staff.map(({ slot, hive }): OpeningReason => ({
    group: null,
    slot,
    hive,
    marginal: marginalOf(problem, plan, { kind: 'staff', slot, hive }),
    skills: [],
  }));
  return [...sessions, ...staff];
}
