import { say } from '../said';
import { checkPlan, type Violation } from '../solver/checker';
import { OBJECTIVE_PARTS, type ObjectiveParts, objectiveParts, skillGains, totalOf } from '../solver/objective';
import { type Assignments, type PlannedSession, type PlanningProblem, soundFirst } from '../solver/problem';

/** One decision of a plan: a session, one of its hives, or a visit of the staff. */
export type PlanItem =
  | { readonly kind: 'session'; readonly group: string; readonly slot: string }
  | { readonly kind: 'hive'; readonly group: string; readonly slot: string; readonly hive: string }
  | { readonly kind: 'staff'; readonly slot: string; readonly hive: string };

/**
 * Whether a plan has a decision in it.
 *
 * @param plan the plan
 * @param item a session, one of its hives or a visit of the staff
 * @returns true if it has
 */
export const holds = (plan: Assignments, item: PlanItem): boolean =>
  item.kind === 'staff'
    ? plan.staff.some(({ slot, hive }) => slot === item.slot && hive === item.hive)
    : plan.sessions.some(
        ({ group, slot, hives }) =>
          group === item.group && slot === item.slot && (item.kind === 'session' || hives.includes(item.hive)),
      );

/** What something adds to a plan, part by part. */
export interface Marginal {
  readonly parts: ObjectiveParts;
  readonly total: number;
}

const between = (after: ObjectiveParts, before: ObjectiveParts): Marginal => {
  const parts = Object.fromEntries(OBJECTIVE_PARTS.map((part) => [part, after[part] - before[part]])) as Record<
    keyof ObjectiveParts,
    number
  >;
  return { parts, total: totalOf(parts) };
};

/**
 * A plan without one of its decisions. A session that loses its only hive goes too.
 *
 * @param plan the plan
 * @param item what is taken out
 * @returns what is left
 */
export function without(plan: Assignments, item: PlanItem): Assignments {
  if (item.kind === 'staff')
    return {
      ...plan,
      staff: plan.staff.filter(({ slot, hive }) => slot !== item.slot || hive !== item.hive),
    };
  return {
    ...plan,
    sessions: plan.sessions.flatMap((session) => {
      if (session.group !== item.group || session.slot !== item.slot) return [session];
      const hives = item.kind === 'session' ? [] : session.hives.filter((hive) => hive !== item.hive);
      return hives.length === 0 ? [] : [{ ...session, hives }];
    }),
  };
}

/**
 * What a decision adds to the plan as it stands: the difference that taking it out would make, exactly.
 *
 * @param problem the problem
 * @param plan the plan
 * @param item a decision of the plan
 * @returns parts and total
 */
export function marginalOf(problem: PlanningProblem, plan: Assignments, item: PlanItem): Marginal {
  return between(objectiveParts(problem, plan), objectiveParts(problem, without(plan, item)));
}

/** What the skills of a group gain by one opening, most first. */
export interface SkillGain {
  readonly skill: string;
  readonly points: number;
}

/**
 * How a hive's opening in a session divides among the group's skills.
 *
 * @param problem the problem
 * @param plan the plan
 * @param item an opening of the plan
 * @returns skills that gain, most first, in points
 */
export function skillsGained(
  problem: PlanningProblem,
  plan: Assignments,
  item: Extract<PlanItem, { kind: 'hive' }>,
): readonly SkillGain[] {
  const left = new Map(
    skillGains(problem, without(plan, item), item.group).map(({ skill, gained }) => [skill, gained]),
  );
  return skillGains(problem, plan, item.group)
    .map(({ skill, gained }) => ({
      skill,
      points: problem.params.weights.skill * (gained - (left.get(skill) ?? 0)),
    }))
    .filter(({ points }) => points > 0)
    .sort((a, b) => b.points - a.points);
}

/** Adds a decision whatever the rules say; a new session gets a supervisor who is free, senior for a suspect hive. */
export function withItem(problem: PlanningProblem, plan: Assignments, item: PlanItem): Assignments {
  if (item.kind === 'staff') return { ...plan, staff: [...plan.staff, { slot: item.slot, hive: item.hive }] };
  const known = new Map(problem.hives.map((hive) => [hive.id, hive]));
  const suspect = (hive: string) => known.get(hive)?.hygiene === 'suspect';
  const added = item.kind === 'hive' ? [item.hive] : [];
  const here = (session: PlannedSession) => session.group === item.group && session.slot === item.slot;
  const old = plan.sessions.find(here);
  const hives = [...(old?.hives ?? []), ...added].sort((a, b) => soundFirst(known.get(a)!, known.get(b)!));
  const senior = hives.some(suspect);
  const busy = plan.sessions.filter((each) => each.slot === item.slot && !here(each)).map((each) => each.supervisor);
  const able = problem.supervisors.filter(({ slots }) => slots.includes(item.slot));
  const rank = ({ id, senior: is }: { id: string; senior: boolean }) =>
    (busy.includes(id) ? 4 : 0) + (senior && !is ? 2 : 0) + (id === old?.supervisor ? 0 : 1);
  const [supervisor] = (able.length > 0 ? able : problem.supervisors).toSorted((a, b) => rank(a) - rank(b));
  if (supervisor === undefined) return plan;
  return {
    ...plan,
    sessions: [
      ...plan.sessions.filter((session) => !here(session)),
      { group: item.group, slot: item.slot, supervisor: supervisor.id, hives },
    ],
  };
}

/** Only what a decision can touch: the group's sessions, those at the same time, those with the same hive. */
function near(problem: PlanningProblem, plan: Assignments, item: PlanItem): Assignments {
  const day = problem.slots.find(({ id }) => id === item.slot)?.day;
  const sameDay = new Set(problem.slots.filter((slot) => slot.day === day).map(({ id }) => id));
  const hive = item.kind === 'session' ? undefined : item.hive;
  const group = item.kind === 'staff' ? undefined : item.group;
  return {
    sessions: plan.sessions.filter(
      (each) => each.group === group || sameDay.has(each.slot) || (hive !== undefined && each.hives.includes(hive)),
    ),
    staff: plan.staff.filter((each) => sameDay.has(each.slot) || each.hive === hive),
  };
}

/**
 * Rules that would be broken if a decision were simply added to the plan.
 *
 * @param problem the problem
 * @param plan a plan that keeps the rules
 * @param item what would be added
 * @returns violations; none if it may be added
 */
export function obstaclesTo(problem: PlanningProblem, plan: Assignments, item: PlanItem): readonly Violation[] {
  if (problem.supervisors.length === 0 && item.kind !== 'staff')
    return [{ rule: 'supervisor-slot', slot: item.slot, group: item.group, says: say('no-supervisor') }];
  const around = near(problem, plan, item);
  return checkPlan({ ...problem, locks: [] }, withItem(problem, around, item)).violations.filter(
    ({ rule }) => !(item.kind === 'session' && rule === 'hive-count'),
  );
}

/** Why a hive is not opened in a plan. */
export interface WhyNot {
  readonly hive: string;
  /** The rule in the way most often among all the places where it could have been opened, with one of them. */
  readonly rule: Violation | null;
  /** First slot in which nothing but the plan itself stands in the way, null if there is none. */
  readonly freeFrom: string | null;
  /** The place where opening it would cost least: total is what it would add, negative as a rule. */
  readonly best: { readonly item: PlanItem; readonly marginal: Marginal } | null;
}

/**
 * The first rule or trade-off that keeps a hive closed.
 *
 * @param problem the problem
 * @param plan the plan
 * @param hive a hive that is not opened in it
 * @returns the rule that forbids it most often, from when it is free, and the best it could add
 */
export function whyNot(problem: PlanningProblem, plan: Assignments, hive: string): WhyNot {
  const places: PlanItem[] = [
    ...problem.groups.flatMap(({ id: group, slots }) =>
      slots.map((slot): PlanItem => ({ kind: 'hive', group, slot, hive })),
    ),
    ...problem.slots
      .filter(({ staffVisits }) => staffVisits > 0)
      .map(({ id: slot }): PlanItem => ({ kind: 'staff', slot, hive })),
  ];
  const nothing: Assignments = { sessions: [], staff: [] };
  const before = objectiveParts(problem, plan);
  const counts = new Map<string, { count: number; first: Violation }>();
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  let freeFrom: string | null = null;
  let best: WhyNot['best'] = null;
  for (const item of places) {
    const alone = obstaclesTo(problem, nothing, item)[0];
    if (alone === undefined && (freeFrom === null || days.get(item.slot)! < days.get(freeFrom)!)) freeFrom = item.slot;
    const first = alone ?? obstaclesTo(problem, plan, item)[0];
    if (first === undefined) {
      const marginal = between(objectiveParts(problem, withItem(problem, plan, item)), before);
      if (best === null || marginal.total > best.marginal.total) best = { item, marginal };
      continue;
    }
    const held = counts.get(first.rule);
    counts.set(first.rule, { count: (held?.count ?? 0) + 1, first: held?.first ?? first });
  }
  const most = [...counts.values()].sort((a, b) => b.count - a.count)[0];
  return { hive, rule: best === null ? (most?.first ?? null) : null, freeFrom, best };
}

/** Difference in worth between two plans, part by part: what the second has more. */
export function comparePlans(problem: PlanningProblem, first: Assignments, second: Assignments): Marginal {
  return between(objectiveParts(problem, second), objectiveParts(problem, first));
}
