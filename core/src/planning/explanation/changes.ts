import { checkPlan, type Violation } from '../solver/checker';
import { objectiveOf } from '../solver/objective';
import type { Assignments, PlannedSession, PlanningProblem, StaffVisit } from '../solver/problem';

/** A difference between two plans that can be carried out by itself: some sessions and visits go, others come. */
export interface PlanChange {
  readonly groups: readonly string[];
  readonly leave: { readonly sessions: readonly PlannedSession[]; readonly staff: readonly StaffVisit[] };
  readonly come: { readonly sessions: readonly PlannedSession[]; readonly staff: readonly StaffVisit[] };
}

/** A change with what it is worth where it stands in the list. */
export interface PlanStep {
  readonly change: PlanChange;
  /** Points that it adds after the steps before it. */
  readonly gain: number;
  /** Worth of the plan once it is made. */
  readonly objective: number;
}

const sessionKey = (each: PlannedSession) => JSON.stringify([each.group, each.slot, each.supervisor, each.hives]);
const visitKey = (each: StaffVisit) => JSON.stringify([each.slot, each.hive]);

function onlyIn<T>(items: readonly T[], others: readonly T[], key: (item: T) => string): readonly T[] {
  const there = new Set(others.map(key));
  return items.filter((item) => !there.has(key(item)));
}

/**
 * A plan after a change.
 *
 * @param plan the plan
 * @param change what leaves and what comes
 * @returns the new plan
 */
export function changed(plan: Assignments, change: PlanChange): Assignments {
  return {
    sessions: [...onlyIn(plan.sessions, change.leave.sessions, sessionKey), ...change.come.sessions],
    staff: [...onlyIn(plan.staff, change.leave.staff, visitKey), ...change.come.staff],
  };
}

/**
 * The difference between two plans in pieces.
 *
 * @param before a plan
 * @param after another one
 * @returns one for each session that moves, comes, goes or opens other hives, one for each staff visit
 */
export function differencesBetween(before: Assignments, after: Assignments): readonly PlanChange[] {
  const gone = onlyIn(before.sessions, after.sessions, sessionKey);
  const come = onlyIn(after.sessions, before.sessions, sessionKey);
  const found: PlanChange[] = [];
  const none = { sessions: [], staff: [] };
  for (const group of new Set([...gone, ...come].map((each) => each.group))) {
    const old = gone.filter((each) => each.group === group);
    const fresh = come.filter((each) => each.group === group);
    for (const session of old.filter((each) => fresh.some(({ slot }) => slot === each.slot))) {
      const at = fresh.findIndex(({ slot }) => slot === session.slot);
      found.push({
        groups: [group],
        leave: { ...none, sessions: [session] },
        come: { ...none, sessions: fresh.splice(at, 1) },
      });
      old.splice(old.indexOf(session), 1);
    }
    while (old.length > 0 || fresh.length > 0)
      found.push({
        groups: [group],
        leave: { ...none, sessions: old.splice(0, 1) },
        come: { ...none, sessions: fresh.splice(0, 1) },
      });
  }
  for (const visit of onlyIn(before.staff, after.staff, visitKey))
    found.push({ groups: [], leave: { ...none, staff: [visit] }, come: none });
  for (const visit of onlyIn(after.staff, before.staff, visitKey))
    found.push({ groups: [], leave: none, come: { ...none, staff: [visit] } });
  return found;
}

const joined = (a: PlanChange, b: PlanChange): PlanChange => ({
  groups: [...new Set([...a.groups, ...b.groups])],
  leave: { sessions: [...a.leave.sessions, ...b.leave.sessions], staff: [...a.leave.staff, ...b.leave.staff] },
  come: { sessions: [...a.come.sessions, ...b.come.sessions], staff: [...a.come.staff, ...b.come.staff] },
});

/**
 * The way from one plan to another in steps that each break no rule that was kept before, the one that gains most first.
 * Changes that only work together are one step.
 *
 * @param problem the problem; changes are priced against its published plan
 * @param before a plan; it may break rules that have come since it was made
 * @param after one that keeps the rules
 * @returns steps; making the first n gives a plan that can be held
 */
export function stepsBetween(problem: PlanningProblem, before: Assignments, after: Assignments): readonly PlanStep[] {
  const steps: PlanStep[] = [];
  let plan = before;
  let worth = objectiveOf(problem, plan);
  let left = differencesBetween(before, after);
  while (left.length > 0) {
    const tried = left.map((change) => withWhatItNeeds(problem, plan, change, left));
    const [best] = tried
      .map((used) => {
        const change = used.reduce(joined);
        const next = changed(plan, change);
        return { used, change, next, objective: objectiveOf(problem, next) };
      })
      .sort((a, b) => b.objective - a.objective || a.used.length - b.used.length);
    if (best === undefined) break;
    steps.push({ change: best.change, gain: best.objective - worth, objective: best.objective });
    plan = best.next;
    worth = best.objective;
    left = left.filter((change) => !best.used.includes(change));
  }
  return steps;
}

const faultKey = ({ rule, group, slot, hive, supervisor }: Violation) =>
  JSON.stringify([rule, group, slot, hive, supervisor]);

/** Whether a change has to do with what a broken rule names. */
const touches = ({ leave, come }: PlanChange, { group, slot, hive, supervisor }: Violation): boolean =>
  [...leave.sessions, ...come.sessions].some(
    (each) =>
      each.group === group ||
      each.slot === slot ||
      each.supervisor === supervisor ||
      each.hives.some((id) => id === hive),
  ) || [...leave.staff, ...come.staff].some((each) => each.slot === slot || each.hive === hive);

/** A change and the others without which it would break a rule that the plan keeps. */
function withWhatItNeeds(
  problem: PlanningProblem,
  plan: Assignments,
  change: PlanChange,
  others: readonly PlanChange[],
): readonly PlanChange[] {
  const before = new Set(checkPlan(problem, plan).violations.map(faultKey));
  const newIn = (changes: readonly PlanChange[]) =>
    checkPlan(problem, changed(plan, changes.reduce(joined))).violations.filter((each) => !before.has(faultKey(each)));
  const used = [change];
  for (;;) {
    const broken = newIn(used);
    const left = others.filter((other) => !used.includes(other));
    if (broken.length === 0 || left.length === 0) return used;
    const near = left.filter((other) => broken.some((each) => touches(other, each)));
    const helps = near.find((other) => newIn([...used, other]).length < broken.length);
    used.push(helps ?? near[0] ?? left[0]!);
  }
}

/**
 * A plan after one of several steps, taken by itself, and after as many of the others as it cannot do without.
 *
 * @param problem the problem
 * @param plan a plan that keeps the rules
 * @param steps ways on from it, as {@link stepsBetween} found them
 * @param taken index of the step
 * @returns the plan, which keeps the rules, and the indices of the steps that were made
 */
export function afterStep(
  problem: PlanningProblem,
  plan: Assignments,
  steps: readonly PlanStep[],
  taken: number,
): { readonly plan: Assignments; readonly made: readonly number[] } {
  const changes = steps.map(({ change }) => change);
  const used = withWhatItNeeds(problem, plan, changes[taken]!, changes);
  return {
    plan: changed(plan, used.reduce(joined)),
    made: used.map((change) => changes.indexOf(change)).sort((a, b) => a - b),
  };
}
