import { turnsWithin } from '../solver/objective';
import type { Assignments, PlanningProblem } from '../solver/problem';

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
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  return problem.hives.flatMap(({ id: hive, due, lastOpened }): LookRhythm[] => {
    if (due?.every === undefined || due.weight <= 0) return [];
    const planned = [
      ...plan.sessions.filter(({ hives }) => hives.includes(hive)),
      ...plan.staff.filter((each) => each.hive === hive),
    ].map(({ slot }) => days.get(slot)!);
    const missed = turnsWithin(due, problem.horizonDays)
      .filter(({ from, by }) => !planned.some((day) => day >= from && day <= by))
      .map(({ by }) => by);
    const looks = [...new Set([...(lastOpened === null ? [] : [lastOpened]), ...planned])].sort((a, b) => a - b);
    return [{ hive, every: due.every, looks, missed }];
  });
}
