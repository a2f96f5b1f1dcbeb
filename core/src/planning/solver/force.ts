import { type PlanItem, without } from '../explanation/explanation';
import { modelOf, type PlanModel } from './model';
import { objectiveOf } from './objective';
import { type Assignments, type InspectionPlan, planOf, type PlanForbid, type PlanLock } from './problem';
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

/**
 * Moves a hive or a session: it leaves where it stands, also when it was pinned there, and comes nowhere else than where it is put.
 *
 * @param model the problem in numbers
 * @param plan the plan as it stands
 * @param item what is moved
 * @param lock where it goes
 * @param options seed and moves
 * @returns the mended plan and the price, or null if the rules and the other pins do not let it be
 */
export function moveTo(
  model: PlanModel,
  plan: Assignments,
  item: PlanItem,
  lock: PlanLock,
  options: { readonly seed: number; readonly iterations: number },
): Forced | null {
  const { problem } = model;
  const left = without(plan, item);
  const forbids: PlanForbid[] =
    item.kind === 'session'
      ? [{ group: item.group, slot: item.slot }]
      : problem.slots
          .filter(({ id }) => id !== lock.slot && !opensIn(left, item.hive, id))
          .map(({ id }) => ({ hive: item.hive, slot: id }));
  const moved = modelOf({
    ...problem,
    locks: problem.locks.flatMap((each) => released(each, item) ?? []),
    forbids: [...(problem.forbids ?? []), ...forbids],
  });
  const found = forceInto(moved, left, lock, options);
  return found && { ...found, price: objectiveOf(problem, plan) - found.plan.objective };
}

const opensIn = ({ sessions, staff }: Assignments, hive: string, slot: string): boolean =>
  sessions.some((each) => each.slot === slot && each.hives.includes(hive)) ||
  staff.some((each) => each.slot === slot && each.hive === hive);

/** What is left of a pin once something that it held was moved away; nothing when that was all it held. */
export function released(lock: PlanLock, item: PlanItem): PlanLock | null {
  if (lock.slot !== item.slot) return lock;
  if (lock.staff === true) return item.kind === 'staff' && item.hive === lock.hive ? null : lock;
  if (item.kind === 'staff' || item.group !== lock.group) return lock;
  if (item.kind === 'session') return null;
  const hives = lock.hives ?? [];
  if (!hives.includes(item.hive)) return lock;
  const others = hives.filter((hive) => hive !== item.hive);
  return others.length === 0 ? null : { ...lock, hives: others };
}
