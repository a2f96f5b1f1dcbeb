import type { Text } from '../../language';
import { say } from '../said';
import { checkPlan } from '../solver/checker';
import { objectiveOf } from '../solver/objective';
import { type Assignments, type PlanHive, type PlanningProblem, soundFirst } from '../solver/problem';

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
  readonly says: Text | null;
  /** Whether a rule forbids it; else it only does not come into these minutes. */
  readonly barred: boolean;
}

/** Minutes for closing up, cleaning hands and tools between two hives, and walking. Common practice. */
const BETWEEN = 5;
/** Hives that a group opens in one go, at most. Common practice. */
const MOST = 3;

/**
 * Which hives a group opens in the minutes that are left, and in what order: those that are together worth most, the
 * suspect one last, what is due first, then the calmer one first.
 *
 * @param problem the season's problem; of it the group, the hives and the weights
 * @param now group, day, minutes left, odds that the weather holds so long, hives opened or held by others, those told, site
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
    /** Hives that the group was told, in order: they come first as far as they may be opened and fit. */
    readonly told: readonly string[];
    /** Whether a senior supervisor is with the group. */
    readonly senior: boolean;
    /** Days from the problem's first day on; today when left out. */
    readonly day?: number;
  },
): readonly NextHive[] {
  const group = problem.groups.find(({ id }) => id === now.group);
  if (group === undefined) throw new RangeError(`The problem has no group "${now.group}".`);
  const minutesOf = ({ minutes }: PlanHive) => Math.ceil(minutes * group.pace);
  const timeOf = (hives: readonly PlanHive[]) =>
    hives.reduce((sum, hive) => sum + minutesOf(hive), 0) + BETWEEN * Math.max(0, hives.length - 1);
  const slot = {
    id: 'now',
    day: now.day ?? 0,
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
    // No sessions are to be won or lost: what is weighed is skills, care and disturbance.
    params: {
      ...problem.params,
      maxHives: MOST,
      setupMinutes: 0,
      weights: { ...problem.params.weights, session: 0, shortfall: 0, late: 0, fairness: 0 },
    },
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
  const nothing = objectiveOf(moment, opening([]));
  const worth = (hives: readonly PlanHive[]) => objectiveOf(moment, opening(hives)) - nothing;
  const forbidden = new Map(
    here.map((hive) => [hive.id, checkPlan(moment, opening([hive])).violations[0]?.says ?? null] as const),
  );
  const able = here.filter(({ id }) => forbidden.get(id) === null).sort((a, b) => worth([b]) - worth([a]));
  const told = now.told.flatMap((id) => able.find((hive) => hive.id === id) ?? []);
  const kept = told.filter((_, at) => timeOf(told.slice(0, at + 1)) <= now.minutesLeft);
  const others = able.filter((hive) => !kept.includes(hive)).slice(0, 12);
  const chosen = bestWithin(kept, others, now.minutesLeft, timeOf, worth);
  const order = chosen.toSorted(
    (a, b) =>
      soundFirst(a, b) ||
      Number(kept.includes(b)) - Number(kept.includes(a)) ||
      (kept.includes(a) ? kept.indexOf(a) - kept.indexOf(b) : 0) ||
      (a.due?.by ?? Infinity) - (b.due?.by ?? Infinity) ||
      a.temper - b.temper,
  );
  let left = now.minutesLeft;
  const opened = order.map((hive, at): NextHive => {
    left -= minutesOf(hive) + (at === 0 ? 0 : BETWEEN);
    return { hive: hive.id, minutes: minutesOf(hive), points: worth([hive]), leaves: left, says: null, barred: false };
  });
  const closed = here
    .filter((hive) => !chosen.includes(hive))
    .map((hive): NextHive => {
      const minutes = minutesOf(hive);
      const says =
        forbidden.get(hive.id) ??
        (minutes > now.minutesLeft
          ? say('too-long-for-now', { hive: hive.id, minutes, left: Math.max(0, Math.floor(now.minutesLeft)) })
          : minutes > left - (chosen.length === 0 ? 0 : BETWEEN)
            ? say('others-worth-more', { hive: hive.id, minutes })
            : say('adds-nothing', { hive: hive.id }));
      return {
        hive: hive.id,
        minutes,
        points: worth([hive]),
        leaves: null,
        says,
        barred: forbidden.get(hive.id) !== null,
      };
    })
    .sort(
      (a, b) => Number(forbidden.get(a.hive) !== null) - Number(forbidden.get(b.hive) !== null) || b.points - a.points,
    );
  return [...opened, ...closed];
}

/** What is worth most with at most three hives in the minutes, those that are kept among them. */
function bestWithin(
  kept: readonly PlanHive[],
  others: readonly PlanHive[],
  minutes: number,
  timeOf: (hives: readonly PlanHive[]) => number,
  worth: (hives: readonly PlanHive[]) => number,
): readonly PlanHive[] {
  let best: { readonly set: readonly PlanHive[]; readonly points: number } = { set: kept, points: worth(kept) };
  const extend = (set: readonly PlanHive[], from: number): void => {
    if (set.length >= MOST) return;
    for (const [at, hive] of others.entries()) {
      const next = [...set, hive];
      const suspects = next.filter(({ hygiene }) => hygiene === 'suspect').length;
      if (at < from || timeOf(next) > minutes || suspects > 1) continue;
      const points = worth(next);
      if (points > best.points + 1e-9) best = { set: next, points };
      extend(next, at + 1);
    }
  };
  extend(kept, 0);
  return best.set;
}
