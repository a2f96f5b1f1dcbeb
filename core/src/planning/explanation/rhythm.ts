import type { Assignments, PlanningProblem } from '../solver/problem';
import { daysOpened, missedTurns } from './missed-turns';

/** How often a colony is looked at whose look comes round. */
export interface LookRhythm {
  readonly hive: string;
  /** Days after which the look is due again. */
  readonly every: number;
  /** Days of the plan on which it was or will be looked at, the earliest first; before day 0 it is done. */
  readonly looks: readonly number[];
  /** Last days of the turns that nobody opens it for. */
  readonly missed: readonly number[];
}

/**
 * The looks of every colony that must be looked at again and again, as a plan has them.
 *
 * @param problem the problem
 * @param plan a plan
 * @returns one rhythm for each colony whose due comes round, in the problem's order
 * @throws TypeError if the plan names slots that the problem does not have
 */
export function rhythmsOf(problem: PlanningProblem, plan: Assignments): readonly LookRhythm[] {
  return problem.hives.flatMap((each): LookRhythm[] => {
    const { id: hive, due, lastOpened } = each;
    if (due?.every === undefined || due.weight <= 0) return [];
    const looks = [...(lastOpened === null ? [] : [lastOpened]), ...daysOpened(problem, plan, hive)];
    return [
      {
        hive,
        every: due.every,
        looks: [...new Set(looks)].sort((a, b) => a - b),
        missed: missedTurns(problem, plan, each).map(({ by }) => by),
      },
    ];
  });
}
