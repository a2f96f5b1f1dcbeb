import { type Said, type Text, inOne } from '../../language';
import { dayOfPlan, say } from '../said';
import { type ObjectiveParts, objectiveParts, totalOf } from './objective';
import type { Assignments, InspectionPlan, PlanningProblem } from './problem';

/** Hard rules of a plan, by name. */
export const PLAN_RULES = [
  'group-slot',
  'group-twice',
  'group-sessions',
  'group-gap',
  'supervisor-slot',
  'supervisor-one-group',
  'hive-count',
  'hive-repeated',
  'hive-shared',
  'session-minutes',
  'temper',
  'suspect-last',
  'suspect-senior',
  'suits',
  'staff-visits',
  'staff-minutes',
  'staff-suspect',
  'rest',
  'not-before',
  'place',
  'forbidden',
  'lock',
] as const;
export type PlanRule = (typeof PLAN_RULES)[number];

/** A rule that a plan breaks, and where. */
export interface Violation {
  readonly rule: PlanRule;
  readonly group?: string | undefined;
  readonly slot?: string | undefined;
  readonly hive?: string | undefined;
  readonly supervisor?: string | undefined;
  /** In words, with the figures. */
  readonly says: Text;
}

export interface PlanCheck {
  readonly violations: readonly Violation[];
  readonly parts: ObjectiveParts;
  readonly objective: number;
}

interface Opening {
  readonly hive: string;
  readonly slot: string;
  readonly day: number;
  readonly by: string;
}

const index = <T extends { readonly id: string }>(items: readonly T[]) => new Map(items.map((item) => [item.id, item]));

/** Every way in which the plan names what the problem does not have. */
function unknownNames(problem: PlanningProblem, plan: Assignments): string[] {
  const known = {
    group: new Set(problem.groups.map(({ id }) => id)),
    slot: new Set(problem.slots.map(({ id }) => id)),
    hive: new Set(problem.hives.map(({ id }) => id)),
    supervisor: new Set(problem.supervisors.map(({ id }) => id)),
  };
  const named = [
    ...plan.sessions.flatMap((each) => [
      ['group', each.group] as const,
      ['slot', each.slot] as const,
      ['supervisor', each.supervisor] as const,
      ...each.hives.map((hive) => ['hive', hive] as const),
    ]),
    ...plan.staff.flatMap((each) => [['slot', each.slot] as const, ['hive', each.hive] as const]),
  ];
  return [...new Set(named.filter(([kind, id]) => !known[kind].has(id)).map(([kind, id]) => `${kind} "${id}"`))];
}

/**
 * Reads a plan against every hard rule and reckons its worth, apart from the solver.
 *
 * @param problem the problem
 * @param plan sessions and staff visits
 * @returns what is broken, empty for a plan that can be held; the parts of its worth and their sum
 * @throws RangeError if the plan names a group, slot, hive or supervisor that the problem does not have
 */
export function checkPlan(problem: PlanningProblem, plan: Assignments): PlanCheck {
  const unknown = unknownNames(problem, plan);
  if (unknown.length > 0) throw new RangeError(`The problem does not have ${unknown.join(', ')}.`);
  const parts = objectiveParts(problem, plan);
  return {
    violations: [
      ...sessionRules(problem, plan),
      ...groupRules(problem, plan),
      ...slotRules(problem, plan),
      ...hiveRules(problem, plan),
      ...forbidRules(problem, plan),
      ...lockRules(problem, plan),
    ],
    parts,
    objective: totalOf(parts),
  };
}

/**
 * Whether a plan may be held and says the truth about its worth.
 *
 * @param problem the problem
 * @param plan the plan with the objective it states
 * @returns the check, with a line for each thing that is wrong
 */
export function faultsOf(problem: PlanningProblem, plan: InspectionPlan): readonly Text[] {
  const check = checkPlan(problem, plan);
  const off = Math.abs(plan.objective - check.objective) > 1e-6 * Math.max(1, Math.abs(check.objective));
  const beaten = plan.bound !== null && check.objective > plan.bound + 1e-6 * Math.max(1, Math.abs(plan.bound));
  return [
    ...(plan.instance === problem.name ? [] : [say('wrong-instance', { instance: plan.instance, name: problem.name })]),
    ...check.violations.map(({ rule, says }) => inOne([rule, says], ': ')),
    ...(off ? [say('wrong-worth', { stated: plan.objective, worth: check.objective })] : []),
    ...(beaten ? [say('worth-over-bound', { worth: check.objective, bound: plan.bound })] : []),
  ];
}

function sessionRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  const { params } = problem;
  const [groups, slots] = [index(problem.groups), index(problem.slots)];
  const [hives, supervisors] = [index(problem.hives), index(problem.supervisors)];
  const found: Violation[] = [];
  for (const session of plan.sessions) {
    const group = groups.get(session.group)!;
    const slot = slots.get(session.slot)!;
    const supervisor = supervisors.get(session.supervisor)!;
    const opened = session.hives.map((id) => hives.get(id)!);
    const where = { group: group.id, slot: slot.id };
    const broken = (rule: PlanRule, says: Said, more: Partial<Violation> = {}) =>
      found.push({ rule, ...where, ...more, says });

    if (!group.slots.includes(slot.id)) broken('group-slot', say('cannot-come', { who: group.id, slot: slot.id }));
    if (!supervisor.slots.includes(slot.id))
      broken('supervisor-slot', say('cannot-come', { who: supervisor.id, slot: slot.id }), {
        supervisor: supervisor.id,
      });
    if (opened.length < 1 || opened.length > params.maxHives)
      broken(
        'hive-count',
        say('hive-count', {
          group: group.id,
          count: opened.length,
          slot: slot.id,
          most: params.maxHives,
        }),
      );
    if (new Set(session.hives).size < opened.length)
      broken('hive-repeated', say('hive-repeated', { group: group.id, slot: slot.id }));
    const minutes = opened.reduce((all, hive) => all + Math.ceil(hive.minutes * group.pace), params.setupMinutes);
    if (minutes > slot.minutes)
      broken(
        'session-minutes',
        say('session-too-long', { group: group.id, minutes, slot: slot.id, has: slot.minutes }),
      );
    opened.forEach((hive, place) => {
      if (hive.temper > group.maxTemper)
        broken(
          'temper',
          say('too-lively', {
            hive: hive.id,
            temper: hive.temper,
            group: group.id,
            most: group.maxTemper,
          }),
          {
            hive: hive.id,
          },
        );
      if (hive.site !== slot.site && hive.site !== undefined && slot.site !== undefined)
        broken('place', say('other-place', { hive: hive.id, slot: slot.id }), { hive: hive.id });
      if (hive.hygiene !== 'suspect') return;
      if (place < opened.length - 1)
        broken('suspect-last', say('suspect-last', { hive: hive.id, group: group.id }), { hive: hive.id });
      if (!supervisor.senior)
        broken('suspect-senior', say('suspect-senior', { hive: hive.id, supervisor: supervisor.id }), {
          hive: hive.id,
          supervisor: supervisor.id,
        });
    });
  }
  return found;
}

function groupRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  const slots = index(problem.slots);
  return problem.groups.flatMap((group) => {
    const own = plan.sessions
      .filter((session) => session.group === group.id)
      .map(({ slot }) => slots.get(slot)!)
      .sort((a, b) => a.day - b.day);
    const found: Violation[] = [];
    if (own.length > group.sessions)
      found.push({
        rule: 'group-sessions',
        group: group.id,
        says: say('too-many-sessions', { group: group.id, count: own.length, most: group.sessions }),
      });
    own.slice(1).forEach((slot, before) => {
      const last = own[before]!;
      if (slot.id === last.id)
        found.push({
          rule: 'group-twice',
          group: group.id,
          slot: slot.id,
          says: say('group-twice', { group: group.id, slot: slot.id }),
        });
      else if (slot.day - last.day < group.gapDays)
        found.push({
          rule: 'group-gap',
          group: group.id,
          slot: slot.id,
          says: say('gap-too-short', {
            group: group.id,
            first: dayOfPlan(last.day),
            second: dayOfPlan(slot.day),
            gapDays: group.gapDays,
          }),
        });
    });
    return found;
  });
}

/** Slots at different apiaries whose minutes overlap: nobody can be at both. */
function clash(a: PlanningProblem['slots'][number], b: PlanningProblem['slots'][number]): boolean {
  if (a.day !== b.day || a.site === b.site || a.site === undefined || b.site === undefined) return false;
  return a.start < b.start + b.minutes && b.start < a.start + a.minutes;
}

function slotRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  const groups = index(problem.groups);
  const hives = index(problem.hives);
  const found: Violation[] = [];
  for (const slot of problem.slots) {
    const sessions = plan.sessions.filter((session) => session.slot === slot.id);
    const visits = plan.staff.filter((visit) => visit.slot === slot.id).map(({ hive }) => hives.get(hive)!);
    const broken = (rule: PlanRule, says: Said, more: Partial<Violation> = {}) =>
      found.push({ rule, slot: slot.id, ...more, says });

    const overlapping = problem.slots.filter((other) => clash(slot, other)).map(({ id }) => id);
    for (const { id } of problem.supervisors) {
      const taken = sessions.filter((session) => session.supervisor === id).length;
      const elsewhere = plan.sessions.some((each) => each.supervisor === id && overlapping.includes(each.slot));
      if (taken > 1)
        broken('supervisor-one-group', say('several-groups', { supervisor: id, groups: taken, slot: slot.id }), {
          supervisor: id,
        });
      else if (taken > 0 && elsewhere)
        broken('supervisor-one-group', say('two-places-at-once', { supervisor: id, slot: slot.id }), {
          supervisor: id,
        });
    }
    const people = sessions.reduce((all, session) => all + groups.get(session.group)!.size + 1, 0);
    if (people > slot.suits)
      broken('suits', say('too-few-suits', { needed: people, slot: slot.id, there: slot.suits }));
    if (visits.length > slot.staffVisits)
      broken('staff-visits', say('staff-visits', { count: visits.length, slot: slot.id, most: slot.staffVisits }));
    const minutes = visits.reduce((all, hive) => all + hive.minutes, 0);
    if (minutes > slot.staffMinutes)
      broken('staff-minutes', say('staff-minutes', { minutes, slot: slot.id, have: slot.staffMinutes }));
    if (visits.filter((hive) => hive.hygiene === 'suspect').length > 1)
      broken('staff-suspect', say('staff-suspects', { slot: slot.id }));
    for (const hive of visits)
      if (hive.site !== slot.site && hive.site !== undefined && slot.site !== undefined)
        broken('place', say('other-place', { hive: hive.id, slot: slot.id }), { hive: hive.id });
  }
  return found;
}

function hiveRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  const openings: Opening[] = [
    ...plan.sessions.flatMap(({ group, slot, hives }) =>
      [...new Set(hives)].map((hive) => ({ hive, slot, day: days.get(slot)!, by: group })),
    ),
    ...plan.staff.map(({ hive, slot }) => ({ hive, slot, day: days.get(slot)!, by: 'staff' })),
  ];
  return problem.hives.flatMap((hive) => {
    const own = openings.filter((opening) => opening.hive === hive.id).sort((a, b) => a.day - b.day);
    const found: Violation[] = [];
    own.forEach((opening, place) => {
      const where = { hive: hive.id, slot: opening.slot };
      const before = own[place - 1];
      if (opening.day < hive.noOpenBefore)
        found.push({
          rule: 'not-before',
          ...where,
          says: say('too-early', {
            hive: hive.id,
            day: dayOfPlan(opening.day),
            from: dayOfPlan(hive.noOpenBefore),
          }),
        });
      if (hive.lastOpened !== null && opening.day - hive.lastOpened < hive.restDays)
        found.push({
          rule: 'rest',
          ...where,
          says: say('rests-since-last', {
            hive: hive.id,
            lastOpened: dayOfPlan(hive.lastOpened),
            restDays: hive.restDays,
          }),
        });
      if (before === undefined) return;
      if (own.slice(0, place).some((other) => other.slot === opening.slot))
        found.push({ rule: 'hive-shared', ...where, says: say('hive-shared', { hive: hive.id, slot: opening.slot }) });
      else if (opening.day - before.day < hive.restDays)
        found.push({
          rule: 'rest',
          ...where,
          says: say('rests-between', {
            hive: hive.id,
            first: dayOfPlan(before.day),
            second: dayOfPlan(opening.day),
            restDays: hive.restDays,
          }),
        });
    });
    return found;
  });
}

function forbidRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  const things = [
    ...plan.sessions.flatMap(({ group, slot, hives }) =>
      [undefined, ...hives].map((hive) => ({ group, slot, hive, staff: false })),
    ),
    ...plan.staff.map(({ slot, hive }) => ({ group: undefined, slot, hive, staff: true })),
  ];
  return (problem.forbids ?? []).flatMap((forbid) =>
    things
      .filter(
        ({ group, slot, hive, staff }) =>
          (forbid.group === undefined || forbid.group === group) &&
          (forbid.slot === undefined || forbid.slot === slot) &&
          (forbid.hive === undefined ? hive === undefined || staff : forbid.hive === hive) &&
          (forbid.staff === undefined || staff),
      )
      .map(({ group, slot, hive }) => ({
        rule: 'forbidden' as const,
        group,
        slot,
        hive,
        says: say('was-forbidden', { group: group ?? null, slot, hive: hive ?? null }),
      })),
  );
}

function lockRules(problem: PlanningProblem, plan: Assignments): Violation[] {
  return problem.locks.flatMap((lock): Violation[] => {
    if (lock.staff === true) {
      const there = plan.staff.some(({ hive, slot }) => hive === lock.hive && slot === lock.slot);
      const says = say('pinned-staff', { hive: lock.hive, slot: lock.slot });
      return there ? [] : [{ rule: 'lock', slot: lock.slot, hive: lock.hive, says }];
    }
    const where = { rule: 'lock', group: lock.group, slot: lock.slot } as const;
    const session = plan.sessions.find(({ group, slot }) => group === lock.group && slot === lock.slot);
    if (session === undefined)
      return [{ ...where, says: say('pinned-session', { group: lock.group, slot: lock.slot }) }];
    const found: Violation[] = (lock.hives ?? [])
      .filter((hive) => !session.hives.includes(hive))
      .map((hive) => ({
        ...where,
        hive,
        says: say('pinned-hive', { group: lock.group, hive, slot: lock.slot }),
      }));
    if (lock.supervisor !== undefined && session.supervisor !== lock.supervisor)
      found.push({
        ...where,
        supervisor: lock.supervisor,
        says: say('pinned-supervisor', { supervisor: lock.supervisor, group: lock.group, slot: lock.slot }),
      });
    return found;
  });
}
