import { turnsWithin } from '../solver/objective';
import type { Assignments, PlanHive, PlanningProblem } from '../solver/problem';

/** Days of the plan on which groups or staff open a hive, the earliest first. */
export function daysOpened(
  problem: PlanningProblem,
  { sessions, staff }: Assignments,
  hive: string,
): readonly number[] {
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  return [...sessions.filter(({ hives }) => hives.includes(hive)), ...staff.filter((each) => each.hive === hive)]
    .map(({ slot }) => days.get(slot)!)
    .sort((a, b) => a - b);
}

/** The turns of a hive's due in which the plan does not open it. */
export function missedTurns(problem: PlanningProblem, plan: Assignments, { id, due }: Pick<PlanHive, 'id' | 'due'>) {
  if (due === null) return [];
  const opened = daysOpened(problem, plan, id);
  return turnsWithin(due, problem.horizonDays).filter(
    ({ from, by }) => !opened.some((day) => day >= from && day <= by),
  );
}
