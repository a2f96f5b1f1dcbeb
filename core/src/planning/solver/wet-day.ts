import { obstaclesTo, withItem, without } from '../explanation/explanation';
import { indoorWork, type IndoorWays, type IndoorWork } from '../terms/indoors';
import { objectiveOf } from './objective';
import type { Assignments, PlannedSession, PlanningProblem, StaffVisit } from './problem';
import { LOW_ODDS } from '../explanation/troubles';

/** What becomes of a session whose weather does not come. */
export interface WetDay {
  /** Where it can be held instead while everything else stays, the best such place; null if there is none. */
  readonly reserve: (PlannedSession & { /** Points that the plan loses by it. */ readonly price: number }) | null;
  /** Colonies that cannot wait for the reserve, and where staff open them alone. */
  readonly staff: readonly StaffVisit[];
  /** What the group does under a roof on the day. */
  readonly indoors: readonly IndoorWork[];
}

/**
 * Another plan for a session of which the weather is doubtful.
 *
 * @param problem the problem
 * @param plan a plan that keeps the rules
 * @param session a session of it
 * @param ways how skills are practised indoors
 * @returns what else could be done; null where the weather is fit in six of ten forecasts or more
 */
export function wetDayOf(
  problem: PlanningProblem,
  plan: Assignments,
  session: PlannedSession,
  ways: IndoorWays,
): WetDay | null {
  const { group, slot, hives } = session;
  const slots = new Map(problem.slots.map((each) => [each.id, each]));
  const { fit, day } = slots.get(slot)!;
  if (fit >= LOW_ODDS) return null;
  const free: PlanningProblem = { ...problem, locks: [] };
  const left = without(plan, { kind: 'session', group, slot });
  const reserve = reserveFor(free, plan, left, session);
  const kept = new Set(reserve?.hives ?? []);
  const lateDay = reserve === null ? Infinity : slots.get(reserve.slot)!.day;
  const pressing = hives.filter((hive) => {
    const due = problem.hives.find(({ id }) => id === hive)?.due ?? null;
    return due !== null && due.weight > 0 && due.by < problem.horizonDays && (!kept.has(hive) || lateDay > due.by);
  });
  const staff = pressing.flatMap((hive) => staffFor(free, left, hive, day));
  const needs = problem.groups.find(({ id }) => id === group)!.needs;
  return { reserve, staff, indoors: indoorWork(needs, ways) };
}

/** The same group with as many of the hives as may be, on another day. */
function reserveFor(
  problem: PlanningProblem,
  plan: Assignments,
  left: Assignments,
  { group, slot, hives }: PlannedSession,
): WetDay['reserve'] {
  const before = objectiveOf(problem, plan);
  const own = problem.groups.find(({ id }) => id === group);
  const day = problem.slots.find(({ id }) => id === slot)!.day;
  const others = problem.slots.filter(
    (each) =>
      each.day !== day &&
      (own?.slots.includes(each.id) ?? false) &&
      !left.sessions.some((other) => other.group === group && other.slot === each.id),
  );
  const found = others.flatMap(({ id: there }) => {
    const full = hives.reduce((next, hive) => {
      const item = { kind: 'hive', group, slot: there, hive } as const;
      return obstaclesTo(problem, next, item).length === 0 ? withItem(problem, next, item) : next;
    }, left);
    const session = full.sessions.find((each) => each.group === group && each.slot === there);
    return session === undefined ? [] : [{ ...session, price: before - objectiveOf(problem, full) }];
  });
  return found.sort((a, b) => b.hives.length - a.hives.length || a.price - b.price)[0] ?? null;
}

function staffFor(problem: PlanningProblem, left: Assignments, hive: string, after: number): readonly StaffVisit[] {
  const due = problem.hives.find(({ id }) => id === hive)!.due!;
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  return problem.slots
    .filter(({ day, staffVisits }) => staffVisits > 0 && day > after && day >= due.from)
    .map(({ id }) => ({ slot: id, hive }))
    .filter((visit) => obstaclesTo(problem, left, { kind: 'staff', ...visit }).length === 0)
    .sort(
      (a, b) =>
        Number(days.get(a.slot)! > due.by) - Number(days.get(b.slot)! > due.by) ||
        days.get(a.slot)! - days.get(b.slot)!,
    )
    .slice(0, 1);
}
