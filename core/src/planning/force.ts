import type { PlanModel } from './model';
import { objectiveOf } from './objective';
import { type Assignments, type InspectionPlan, planOf, type PlanLock } from './problem';
import { PlanSearch } from './search';
import { canPin } from './start';

/** A plan in which something was forced, and what that costs. */
export interface Forced {
  readonly plan: InspectionPlan;
  /** Points that the plan loses by it; negative when it gains. */
  readonly price: number;
}

/**
 * Forces a session, a hive or a staff visit into a plan and mends the rest around it with few moves.
 *
 * @param model the problem in numbers
 * @param plan the plan as it stands
 * @param lock what is forced
 * @param options seed and moves; more moves, a lower price
 * @returns the mended plan and the price, or null if the rules and pins do not let it be
 */
export function forceInto(
  model: PlanModel,
  plan: Assignments,
  lock: PlanLock,
  options: { readonly seed: number; readonly iterations: number },
): Forced | null {
  const locks = [...model.problem.locks, lock];
  if (!canPin(model, locks)) return null;
  const problem = { ...model.problem, locks };
  const search = new PlanSearch({ ...model, problem }, { ...options, near: plan });
  search.run(options.iterations);
  const objective = objectiveOf(problem, search.best);
  return { plan: planOf(problem, search.best, objective, null), price: objectiveOf(problem, plan) - objective };
}
