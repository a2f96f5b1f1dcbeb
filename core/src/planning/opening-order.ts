import { checkPlan } from './checker';
import { objectiveOf } from './objective';
import type { Assignments, PlanHive, PlanningProblem } from './problem';

/** A hive that a group could open next. */
export interface NextHive {
  readonly hive: string;
  /** Minutes that this group takes for it. */
  readonly minutes: number;
  /** Points by the planner's weights: skills still open, care that is due, less the disturbance. */
  readonly points: number;
  /** Minutes left once it and those before it in the list are closed; null for one that is not in the list to be opened. */
  readonly leaves: number | null;
  /** Why it is not, in words with ids; null for one that is. */
  readonly says: string | null;
}

/** Minutes for closing up, cleaning hands and tools between two hives, and walking. Common practice. */
const BETWEEN = 5;
const MOST = 3;

/**
 * Which hives a group opens in the minutes that are left, and in what order: those that are together worth most, the
 * suspect one last, what is due first, then the calmer one first.
 *
 * @param problem the season's problem; of it the group, the hives and the weights
 * @param now group, minutes left, odds that the weather holds so long, hives opened today, those that others hold, site
 * @returns first the hives to be opened in order, then the others with the reason, the more useful first
 */
export function openingOrder(
  problem: PlanningProblem,
  now: {
    readonly group: string;
    readonly minutesLeft: number;
    readonly fit: number;
    readonly temp: PlanningProblem['slots'][number]['temp'];
    readonly site: string;
    readonly taken: ReadonlySet<string>;
    /** Whether a senior supervisor is with the group. */
    readonly senior: boolean;
  },
): readonly NextHive[] {
  const group = problem.groups.find(({ id }) => id === now.group);
  if (group === undefined) throw new RangeError(`The problem has no group "${now.group}".`);
  const minutesOf = ({ minutes }: PlanHive) => Math.ceil(minutes * group.pace);
  const slot = {
    id: 'now',
    day: 0,
    start: 0,
    fit: now.fit,
    temp: now.temp,
    suits: group.size + 1,
    staffMinutes: 0,
    staffVisits: 0,
  };
  const here = problem.hives.filter(({ id, site }) => !now.taken.has(id) && (site === undefined || site === now.site));
  const moment: PlanningProblem = {
    ...problem,
    params: { ...problem.params, maxHives: MOST, setupMinutes: 0 },
    slots: [{ ...slot, minutes: 24 * 60, site: now.site }],
    groups: [{ ...group, sessions: 1, slots: ['now'] }],
    supervisors: [{ id: 'supervisor', senior: now.senior, slots: ['now'] }],
    hives: here,
    locks: [],
    forbids: (problem.forbids ?? []).filter(
      ({ slot: where, staff, group: whose }) =>
        where === undefined && staff !== true && (whose === undefined || whose === group.id),
    ),
    published: null,
  };
  const opening = (hives: readonly PlanHive[]): Assignments => ({
    sessions:
      hives.length === 0
        ? []
        : [{ group: group.id, slot: 'now', supervisor: 'supervisor', hives: hives.map(({ id }) => id) }],
    staff: [],
  });
  const nothing = objectiveOf({ ...moment, params: bare(moment) }, opening([]));
  const worth = (hives: readonly PlanHive[]) =>
    objectiveOf({ ...moment, params: bare(moment) }, opening(hives)) - nothing;
  const forbidden = new Map(
    here.map((hive) => [hive.id, checkPlan(moment, opening([hive])).violations[0]?.says ?? null] as const),
  );
  const able = here.filter(({ id }) => forbidden.get(id) === null).sort((a, b) => worth([b]) - worth([a]));
  const chosen = bestWithin(able.slice(0, 12), now.minutesLeft, minutesOf, worth);
  const order = chosen.toSorted(
    (a, b) =>
      Number(a.hygiene === 'suspect') - Number(b.hygiene === 'suspect') ||
      (a.due?.by ?? Infinity) - (b.due?.by ?? Infinity) ||
      a.temper - b.temper,
  );
  let left = now.minutesLeft;
  const opened = order.map((hive, at): NextHive => {
    left -= minutesOf(hive) + (at === 0 ? 0 : BETWEEN);
    return { hive: hive.id, minutes: minutesOf(hive), points: worth([hive]), leaves: left, says: null };
  });
  const others = here
    .filter((hive) => !chosen.includes(hive))
    .map((hive): NextHive => {
      const minutes = minutesOf(hive);
      const says =
        forbidden.get(hive.id) ??
        (minutes > now.minutesLeft
          ? `${hive.id} takes ${minutes} minutes, ${Math.max(0, Math.floor(now.minutesLeft))} are left.`
          : minutes > left - (chosen.length === 0 ? 0 : BETWEEN)
            ? `${hive.id} takes ${minutes} minutes; the others are worth more in the time.`
            : `${hive.id} would add nothing today.`);
      return { hive: hive.id, minutes, points: worth([hive]), leaves: null, says };
    })
    .sort(
      (a, b) => Number(forbidden.get(a.hive) !== null) - Number(forbidden.get(b.hive) !== null) || b.points - a.points,
    );
  return [...opened, ...others];
}

/** What a moment's choice is weighed by: no sessions are to be won or lost. */
const bare = ({ params }: PlanningProblem): PlanningProblem['params'] => ({
  ...params,
  weights: { ...params.weights, session: 0, shortfall: 0, late: 0, fairness: 0 },
});

/** The set of at most three that is worth most and fits the minutes; only what adds something is in it. */
function bestWithin(
  hives: readonly PlanHive[],
  minutes: number,
  minutesOf: (hive: PlanHive) => number,
  worth: (hives: readonly PlanHive[]) => number,
): readonly PlanHive[] {
  let best: { readonly set: readonly PlanHive[]; readonly points: number } = { set: [], points: 0 };
  const extend = (set: readonly PlanHive[], from: number, used: number): void => {
    for (let at = from; at < hives.length; at += 1) {
      const hive = hives[at]!;
      const after = used + minutesOf(hive) + (set.length === 0 ? 0 : BETWEEN);
      if (after > minutes) continue;
      const next = [...set, hive];
      const suspects = next.filter(({ hygiene }) => hygiene === 'suspect').length;
      if (suspects > 1) continue;
      const points = worth(next);
      if (points > best.points + 1e-9) best = { set: next, points };
      if (next.length < MOST) extend(next, at + 1, after);
    }
  };
  extend([], 0, 0);
  return best.set;
}
