import { say } from '../said';
import { HARDLY } from '../../weather';
import { checkPlan, type Violation } from './checker';
import { withItem } from '../explanation/explanation';
import { modelOf } from './model';
import type { Assignments, PlanLock, PlanningProblem } from './problem';
import { canPin } from './start';

/** Pins that cannot be kept together, none of which can be spared, and the rules that set them against each other. */
export interface Conflict {
  readonly locks: readonly PlanLock[];
  readonly rules: readonly Violation[];
}

/**
 * The smallest set of pins and rules that leaves no plan: any one pin less, and the others can be kept.
 *
 * @param problem the problem
 * @returns the conflict, or null if the pins can be kept
 */
export function conflictOf(problem: PlanningProblem): Conflict | null {
  const model = modelOf(problem);
  let locks = problem.locks;
  if (canPin(model, locks)) return null;
  for (const lock of problem.locks) {
    const fewer = locks.filter((other) => other !== lock);
    if (!canPin(model, fewer)) locks = fewer;
  }
  return { locks, rules: rulesAgainst(problem, locks) };
}

/** Rules that a plan of nothing but the pins breaks, with the hives and supervisors that break fewest. */
function rulesAgainst(problem: PlanningProblem, locks: readonly PlanLock[]): readonly Violation[] {
  const bare: PlanningProblem = { ...problem, locks: [] };
  const broken = (plan: Assignments) => checkPlan(bare, plan).violations;
  let plan: Assignments = { sessions: [], staff: [] };
  for (const lock of locks) {
    if (lock.staff === true) {
      plan = withItem(problem, plan, { kind: 'staff', slot: lock.slot, hive: lock.hive });
      continue;
    }
    const { group, slot } = lock;
    const sets = (lock.hives ?? []).length > 0 ? [lock.hives ?? []] : problem.hives.map(({ id }) => [id]);
    const options = sets.map((hives) => {
      const filled = hives.reduce((before, hive) => {
        const there = before.sessions.some(
          (each) => each.group === group && each.slot === slot && each.hives.includes(hive),
        );
        return there ? before : withItem(problem, before, { kind: 'hive', group, slot, hive });
      }, plan);
      return lock.supervisor === undefined ? filled : led(filled, group, slot, lock.supervisor);
    });
    plan = options.reduce((best, each) => (broken(each).length < broken(best).length ? each : best));
  }
  const rules = broken(plan);
  const named = locks.filter((lock) => lock.staff !== true && lock.supervisor !== undefined);
  if (rules.length > 0 || named.length < 2) return rules;
  const says = say('pins-differ');
  return [{ rule: 'lock', says }];
}

const led = (plan: Assignments, group: string, slot: string, supervisor: string): Assignments => ({
  ...plan,
  sessions: plan.sessions.map((each) => (each.group === group && each.slot === slot ? { ...each, supervisor } : each)),
});

/** Why nothing at all can be planned, in the order in which to look. */
export const HOPELESS = [
  'no-slots',
  'no-fit-hours',
  'no-groups',
  'no-supervisors',
  'nobody-can-come',
  'no-hive-can-be-opened',
] as const;
export type Hopeless = (typeof HOPELESS)[number];

/**
 * What keeps every session from being held, before any search.
 *
 * @param problem the problem
 * @returns the first thing that is missing, or null if at least one session could be held
 */
export function hopelessBecause(problem: PlanningProblem): Hopeless | null {
  const { slots, groups, supervisors } = problem;
  if (slots.length === 0) return 'no-slots';
  if (slots.every(({ fit }) => fit < HARDLY)) return 'no-fit-hours';
  if (groups.length === 0) return 'no-groups';
  if (supervisors.length === 0) return 'no-supervisors';
  const led = new Set(supervisors.flatMap((each) => each.slots));
  const come = new Set(groups.flatMap((each) => each.slots));
  if (!slots.some(({ id }) => led.has(id))) return 'no-supervisors';
  if (!slots.some(({ id }) => led.has(id) && come.has(id))) return 'nobody-can-come';
  return modelOf(problem).sessionOk.includes(1) ? null : 'no-hive-can-be-opened';
}
