import type { Assignments, PlanGroup, PlanDue, PlanHive, PlanningProblem, PlanSlot } from './problem';

/** What a plan is worth, part by part. Costs are negative; the sum is the objective. */
export interface ObjectiveParts {
  readonly session: number;
  readonly skill: number;
  readonly fairness: number;
  readonly care: number;
  readonly late: number;
  readonly shortfall: number;
  readonly disturb: number;
  readonly staffVisit: number;
  readonly change: number;
}

export const OBJECTIVE_PARTS = [
  'session',
  'skill',
  'fairness',
  'care',
  'late',
  'shortfall',
  'disturb',
  'staffVisit',
  'change',
] as const satisfies readonly (keyof ObjectiveParts)[];

/**
 * Worth of so much learning: a concave curve through given points, so that the third time counts less than the first.
 *
 * @param pwl the curve's points, L rising from 0
 * @param learning L, −ln of the chance of not having seen it, at least 0
 * @returns F, constant after the last point
 * @throws RangeError if `learning` is negative or no number
 */
export function worthOfLearning(
  pwl: { readonly L: readonly number[]; readonly F: readonly number[] },
  learning: number,
): number {
  if (!(learning >= 0)) throw new RangeError(`Learning must be at least 0, got ${learning}.`);
  const next = pwl.L.findIndex((at) => at > learning);
  if (next < 0) return pwl.F.at(-1) ?? 0;
  const [l0, l1] = [pwl.L[next - 1] ?? 0, pwl.L[next] ?? 0];
  const [f0, f1] = [pwl.F[next - 1] ?? 0, pwl.F[next] ?? 0];
  return f0 + ((learning - l0) / (l1 - l0)) * (f1 - f0);
}

/** Practice already had, from the share of a skill that is covered (at most 0.98 counts). */
export const learningCovered = (covered: number) => -Math.log(1 - Math.min(0.98, covered));

/** Practice that one opening gives: −ln of the chance of not seeing it, in weather that may not hold. */
export const learningOfOpening = (problem: PlanningProblem, slot: PlanSlot, chance: number) =>
  -Math.log(1 - Math.min(problem.params.pMax, slot.fit * chance));

/**
 * Which turn of a due a day belongs to: a look that is due every seven days has one turn a week. Each turn is credited once, for its best
 * opening.
 *
 * @param due what is due
 * @param day day of the plan, from `due.from` on
 * @returns 0 for the first turn
 * @example turnOf({ from: 1, by: 2, weight: 14, every: 7 }, 9) // 1
 */
export function turnOf({ from, every, until }: PlanDue, day: number): number {
  if (every === undefined) return 0;
  const turn = Math.floor((day - from) / every);
  return until === undefined ? turn : Math.min(turn, Math.max(0, Math.floor((until - from) / every)));
}

/** Worth of a colony's due visit if it falls on this slot, in points before the weight for care. */
export function careOfOpening(problem: PlanningProblem, slot: PlanSlot, { due }: PlanHive): number {
  if (due === null || slot.day < due.from) return 0;
  const by = due.by + turnOf(due, slot.day) * (due.every ?? 0);
  return due.weight * slot.fit * Math.max(0, 1 - problem.params.careLateRate * Math.max(0, slot.day - by));
}

/** The turns of a due that end within a plan, with the days that count for each. */
export function turnsWithin(
  due: PlanDue,
  horizonDays: number,
): readonly { readonly from: number; readonly by: number }[] {
  const { from, by, every } = due;
  const turns = every === undefined ? 1 : 1 + turnOf(due, Math.max(from, horizonDays));
  return Array.from({ length: turns }, (_, turn) => ({
    from: from + turn * (every ?? 0),
    by: by + turn * (every ?? 0),
  })).filter((turn) => turn.by < horizonDays);
}

/** The sum of the parts: the one number that a plan is compared by. */
export const totalOf = (parts: ObjectiveParts) => OBJECTIVE_PARTS.reduce((total, part) => total + parts[part], 0);

const sum = (values: Iterable<number>) => [...values].reduce((total, value) => total + value, 0);

const byId = <T extends { readonly id: string }>(items: readonly T[], what: string) => {
  const map = new Map(items.map((item) => [item.id, item]));
  return (id: string): T => {
    const found = map.get(id);
    if (found === undefined) throw new RangeError(`The problem has no ${what} "${id}".`);
    return found;
  };
};

/** The problem's parts by id, looked up once for many questions. */
const partsOf = (problem: PlanningProblem) => ({
  slotOf: byId(problem.slots, 'slot'),
  hiveOf: byId(problem.hives, 'hive'),
  groupOf: byId(problem.groups, 'group'),
});

function gainsOf(
  problem: PlanningProblem,
  { slotOf, hiveOf }: ReturnType<typeof partsOf>,
  { needs }: PlanGroup,
  sessions: Assignments['sessions'],
) {
  const openings = sessions.flatMap(({ slot, hives }) =>
    hives.map((hive) => ({ slot: slotOf(slot), hive: hiveOf(hive) })),
  );
  return Object.entries(needs).map(([skill, { weight, covered }]) => {
    const before = learningCovered(covered);
    const had = openings.map(({ slot, hive }) => learningOfOpening(problem, slot, hive.skills[skill] ?? 0));
    const worthBefore = worthOfLearning(problem.params.pwl, before);
    return {
      skill,
      gained: weight * (worthOfLearning(problem.params.pwl, before + sum(had)) - worthBefore),
      open: weight * (1 - worthBefore),
    };
  });
}

/** Share of what could still be learned that was gained; 1 where nothing was open. */
function shareOfGains(gains: ReturnType<typeof gainsOf>): number {
  const open = sum(gains.map((each) => each.open));
  return open === 0 ? 1 : sum(gains.map((each) => each.gained)) / open;
}

/**
 * What a group got for each of its open skills.
 *
 * @param problem the problem
 * @param assignments sessions whose openings count
 * @param group id of the group
 * @returns per skill the weighted worth of learning that was gained, and what was still to be had before
 */
export function skillGains(problem: PlanningProblem, assignments: Assignments, group: string) {
  const parts = partsOf(problem);
  const own = assignments.sessions.filter((session) => session.group === group);
  return gainsOf(problem, parts, parts.groupOf(group), own);
}

/**
 * Share of what a group could still learn that a plan gives it.
 *
 * @param problem the problem
 * @param assignments sessions
 * @param group id of the group
 * @returns 0 to below 1; 1 for a group that needs nothing
 */
export const shareOf = (problem: PlanningProblem, assignments: Assignments, group: string): number =>
  shareOfGains(skillGains(problem, assignments, group));

function changeCost(problem: PlanningProblem, assignments: Assignments): number {
  if (problem.published === null) return 0;
  const { changeSession, changeHive } = problem.params.weights;
  const told = new Map(problem.published.sessions.map((each) => [`${each.group} ${each.slot}`, new Set(each.hives)]));
  let cost = 0;
  for (const { group, slot, hives } of assignments.sessions) {
    const before = told.get(`${group} ${slot}`);
    if (before === undefined) cost += changeSession;
    else {
      const kept = hives.filter((hive) => before.has(hive)).length;
      cost += changeHive * (before.size - kept + (hives.length - kept));
      told.delete(`${group} ${slot}`);
    }
  }
  for (const dropped of told.values()) cost += changeSession + changeHive * dropped.size;
  return cost;
}

/**
 * Worth of a plan with its parts. Says nothing of whether the plan keeps the rules.
 *
 * @param problem the problem
 * @param assignments sessions and staff visits
 * @returns the parts, costs negative
 * @throws RangeError if the plan names what the problem does not have
 */
export function objectiveParts(problem: PlanningProblem, assignments: Assignments): ObjectiveParts {
  const { params, groups } = problem;
  const parts = partsOf(problem);
  const { slotOf, hiveOf, groupOf } = parts;
  const { weights } = params;
  const openings = [
    ...assignments.sessions.flatMap(({ slot, hives: opened }) => opened.map((hive) => ({ slot, hive }))),
    ...assignments.staff,
  ].map(({ slot, hive }) => ({ slot: slotOf(slot), hive: hiveOf(hive) }));
  const held = assignments.sessions.map(({ group, slot }) => ({ group: groupOf(group), slot: slotOf(slot) }));

  const best = new Map<string, number>();
  for (const { slot, hive } of openings) {
    const turn = `${hive.id} ${hive.due ? turnOf(hive.due, slot.day) : 0}`;
    best.set(turn, Math.max(best.get(turn) ?? 0, careOfOpening(problem, slot, hive)));
  }
  const gains = groups.map((group) => {
    const own = assignments.sessions.filter((session) => session.group === group.id);
    return gainsOf(problem, parts, group, own);
  });
  const gained = sum(gains.flat().map((each) => each.gained));
  const shares = gains.map(shareOfGains);
  return {
    session: weights.session * sum(held.map(({ slot }) => slot.fit)),
    skill: weights.skill * gained,
    fairness: shares.length === 0 ? 0 : weights.fairness * Math.min(...shares),
    care: weights.care * sum(best.values()),
    late: -weights.late * sum(held.map(({ group, slot }) => Math.max(0, slot.day - group.lateAfter))),
    shortfall:
      -weights.shortfall *
      sum(groups.map((group) => Math.max(0, group.sessions - held.filter((each) => each.group === group).length))),
    disturb:
      -weights.disturb * sum(openings.map(({ slot, hive }) => hive.disturb * params.tempFactor[slot.temp] * slot.fit)),
    staffVisit: -weights.staffVisit * assignments.staff.length,
    change: -changeCost(problem, assignments),
  };
}

/** What a plan is worth. */
export const objectiveOf = (problem: PlanningProblem, assignments: Assignments) =>
  totalOf(objectiveParts(problem, assignments));
