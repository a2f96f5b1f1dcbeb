import { checkPlan } from '../solver/checker';
import { objectiveOf } from '../solver/objective';
import type { Assignments, PlanningProblem } from '../solver/problem';
import { type PlanItem, holds, withItem, without } from './explanation';
import { missedTurns } from './missed-turns';
import { type Trouble, troublesOf } from './troubles';

/** One change by which a trouble of a plan ends. */
export type WayChange =
  | { readonly kind: 'put'; readonly to: PlanItem }
  | { readonly kind: 'move'; readonly from: PlanItem; readonly to: PlanItem }
  | { readonly kind: 'leave-out'; readonly from: PlanItem }
  | { readonly kind: 'lead'; readonly group: string; readonly slot: string; readonly supervisor: string };

export interface WayOut {
  readonly change: WayChange;
  readonly plan: Assignments;
  /** Points that the plan loses by it; negative when it gains. */
  readonly price: number;
}

/** Changes that are tried for one trouble: boards of sixty groups are answered while somebody waits. */
const TRIED = 240;

/**
 * The cheapest ways out of a trouble by one change, without touching anything else in the plan.
 *
 * @param problem the problem
 * @param plan a plan that has the trouble, also one that breaks other rules
 * @param trouble what is wrong
 * @param most how many ways, the cheapest first; the second is of another sort where there is one
 * @returns ways after which the trouble is gone and no rule is broken that was kept; none if no single change does it
 * @throws RangeError if the plan names what the problem does not have
 */
export function waysOut(problem: PlanningProblem, plan: Assignments, trouble: Trouble, most = 2): readonly WayOut[] {
  const worth = objectiveOf(problem, plan);
  const before = brokenIn(problem, plan);
  const count = sameKind(problem, plan, trouble).length;
  const ways = changesFor(problem, plan, trouble)
    .slice(0, TRIED)
    .flatMap((change): WayOut[] => {
      const after = withChange(problem, plan, change);
      const broken = brokenIn(problem, after);
      if ([...broken].some((rule) => !before.has(rule))) return [];
      const left = sameKind(problem, after, trouble);
      if (left.length >= count || left.some((each) => keyOf(each) === keyOf(trouble))) return [];
      return [{ change, plan: after, price: worth - objectiveOf(problem, after) }];
    })
    .sort((a, b) => a.price - b.price);
  const [first] = ways;
  if (first === undefined) return [];
  const others = ways.slice(1);
  const another = others.find(({ change }) => change.kind !== first.change.kind);
  return [first, ...(another ? [another] : []), ...others.filter((each) => each !== another)].slice(0, most);
}

const keyOf = ({ rule, group, slot, hive, says }: Pick<Trouble, 'rule' | 'group' | 'slot' | 'hive' | 'says'>) =>
  JSON.stringify([rule, group, slot, hive, says]);

const brokenIn = (problem: PlanningProblem, plan: Assignments): ReadonlySet<string> =>
  new Set(checkPlan(problem, plan).violations.map(keyOf));

const sameKind = (problem: PlanningProblem, plan: Assignments, { kind }: Trouble): readonly Trouble[] =>
  troublesOf(problem, plan).filter((each) => each.kind === kind);

/** A plan after one change. */
function withChange(problem: PlanningProblem, plan: Assignments, change: WayChange): Assignments {
  switch (change.kind) {
    case 'put':
      return withItem(problem, plan, change.to);
    case 'leave-out':
      return without(plan, change.from);
    case 'lead': {
      const { group, slot, supervisor } = change;
      return {
        ...plan,
        sessions: plan.sessions.map((each) =>
          each.group === group && each.slot === slot ? { ...each, supervisor } : each,
        ),
      };
    }
    case 'move': {
      const { from, to } = change;
      const left = without(plan, from);
      if (to.kind !== 'session') return withItem(problem, left, to);
      const hives = plan.sessions.find((each) => from.kind === 'session' && isAt(each, from))?.hives ?? [];
      return hives.reduce(
        (made, hive) => withItem(problem, made, { kind: 'hive', group: to.group, slot: to.slot, hive }),
        left,
      );
    }
  }
}

const isAt = (
  session: { readonly group: string; readonly slot: string },
  at: { readonly group: string; readonly slot: string },
) => session.group === at.group && session.slot === at.slot;

function changesFor(problem: PlanningProblem, plan: Assignments, trouble: Trouble): readonly WayChange[] {
  const { kind, rule, hive, group } = trouble;
  if (kind === 'due-not-met') {
    const due = problem.hives.find(({ id }) => id === hive)!;
    return placesOf(problem, plan, due.id, missedTurns(problem, plan, due)).map(putAt);
  }
  if (kind === 'too-few-sessions')
    return problem.hives.flatMap(({ id }) =>
      placesOf(problem, plan, id)
        .filter((place) => place.kind === 'hive' && place.group === group)
        .map(putAt),
    );
  if (rule === 'lock') {
    const { slot } = trouble;
    if (slot === undefined) return [];
    const hives = hive === undefined ? problem.hives.map(({ id }) => id) : [hive];
    return hives.map((id) =>
      putAt(group === undefined ? { kind: 'staff', slot, hive: id } : { kind: 'hive', group, slot, hive: id }),
    );
  }
  const items = itemsOf(problem, plan, trouble);
  return [
    ...items.flatMap((item) => leadersOf(problem, plan, item)),
    ...items.map((from): WayChange => ({ kind: 'leave-out', from })),
    ...items.flatMap((from) => movesOf(problem, plan, from)),
  ];
}

const putAt = (to: PlanItem): WayChange => ({ kind: 'put', to });

/** What the plan decides where a trouble lies. */
function itemsOf(problem: PlanningProblem, plan: Assignments, trouble: Trouble): readonly PlanItem[] {
  const { rule, group, slot, hive } = trouble;
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  const gap = problem.groups.find(({ id }) => id === group)?.gapDays ?? 0;
  const near = (other: string) =>
    slot === undefined ||
    other === slot ||
    (rule === 'group-gap' && Math.abs(days.get(other)! - days.get(slot)!) < gap);
  const sessions = plan.sessions.filter((each) => (group === undefined || each.group === group) && near(each.slot));
  if (hive === undefined)
    return [
      ...sessions.map(({ group: of, slot: at }): PlanItem => ({ kind: 'session', group: of, slot: at })),
      ...(group === undefined ? plan.staff.filter((each) => near(each.slot)) : []).map((each): PlanItem => ({
        kind: 'staff',
        ...each,
      })),
    ];
  // Too soon after another opening: either of the two can give way.
  const either = rule === 'rest' || rule === 'hive-shared' ? plan.sessions : sessions;
  return [
    ...either
      .filter(({ hives }) => hives.includes(hive))
      .map(({ group: of, slot: at }): PlanItem => ({ kind: 'hive', group: of, slot: at, hive })),
    ...(group === undefined ? plan.staff.filter((each) => each.hive === hive) : []).map((each): PlanItem => ({
      kind: 'staff',
      ...each,
    })),
  ];
}

/** Others who can come and could lead a session. */
function leadersOf(problem: PlanningProblem, plan: Assignments, item: PlanItem): readonly WayChange[] {
  if (item.kind === 'staff') return [];
  const now = plan.sessions.find((each) => isAt(each, item))?.supervisor;
  return problem.supervisors
    .filter(({ id, slots }) => id !== now && slots.includes(item.slot))
    .map(({ id }) => ({ kind: 'lead', group: item.group, slot: item.slot, supervisor: id }));
}

/** Other places for what the plan decides, the nearest days first. */
function movesOf(problem: PlanningProblem, plan: Assignments, from: PlanItem): readonly WayChange[] {
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  const places =
    from.kind === 'session'
      ? (problem.groups.find(({ id }) => id === from.group)?.slots ?? [])
          .filter((slot) => !plan.sessions.some((each) => isAt(each, { group: from.group, slot })))
          .map((slot): PlanItem => ({ kind: 'session', group: from.group, slot }))
      : placesOf(problem, plan, from.hive);
  return places
    .map((to): WayChange & { readonly away: number } => ({
      kind: 'move',
      from,
      to,
      away: Math.abs(days.get(to.slot)! - days.get(from.slot)!),
    }))
    .sort((a, b) => a.away - b.away)
    .map(({ away: _, ...move }) => move);
}

/** Where a hive could be opened that is not opened there yet, by groups and by staff. */
function placesOf(
  problem: PlanningProblem,
  plan: Assignments,
  hive: string,
  within: readonly { readonly from: number; readonly by: number }[] = [{ from: -Infinity, by: Infinity }],
): readonly PlanItem[] {
  const days = new Map(problem.slots.map(({ id, day }) => [id, day]));
  const inTime = ({ slot }: PlanItem) =>
    within.some(({ from, by }) => days.get(slot)! >= from && days.get(slot)! <= by);
  const groups = problem.groups.flatMap(({ id: group, slots }) =>
    slots.map((slot): PlanItem => ({ kind: 'hive', group, slot, hive })),
  );
  const staff = problem.slots
    .filter(({ staffVisits }) => staffVisits > 0)
    .map(({ id: slot }): PlanItem => ({ kind: 'staff', slot, hive }));
  return [...groups, ...staff].filter((place) => inTime(place) && !holds(plan, place));
}
