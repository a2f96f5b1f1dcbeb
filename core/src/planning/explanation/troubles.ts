import type { Text } from '../../language';
import { dayOfPlan, say } from '../said';
import { turnsWithin } from '../solver/objective';
import { checkPlan, type PlanRule } from '../solver/checker';
import type { Assignments, PlanningProblem } from '../solver/problem';

/** What somebody who plans should look at first. */
export const TROUBLES = [
  'broken-rule',
  'due-not-met',
  'low-odds',
  'too-few-sessions',
  'late',
  'no-time-to-spare',
] as const;

export interface Trouble {
  readonly kind: (typeof TROUBLES)[number];
  readonly rule?: PlanRule | undefined;
  readonly group?: string | undefined;
  readonly slot?: string | undefined;
  readonly hive?: string | undefined;
  /** In words, with the figures. */
  readonly says: Text;
}

/** Odds of fit weather under which a session needs another plan for the day. Common practice. */
export const LOW_ODDS = 0.6;
/** Minutes that a session should have left for questions and for what was not foreseen. Common practice. */
const SPARE = 10;

/**
 * What is wrong or weak in a plan.
 *
 * @param problem the problem
 * @param plan a plan, also one that breaks rules
 * @returns troubles, the gravest kind first
 * @throws RangeError if the plan names what the problem does not have
 */
export function troublesOf(problem: PlanningProblem, plan: Assignments): readonly Trouble[] {
  const slots = new Map(problem.slots.map((slot) => [slot.id, slot]));
  const hives = new Map(problem.hives.map((hive) => [hive.id, hive]));
  const sessions = plan.sessions.map((session) => ({ ...session, at: slots.get(session.slot)! }));
  const openings = [
    ...plan.sessions.flatMap(({ slot, hives: opened }) => opened.map((hive) => ({ slot, hive }))),
    ...plan.staff,
  ];
  const openedOn = (id: string) => openings.filter(({ hive }) => hive === id).map(({ slot }) => slots.get(slot)!.day);

  const broken = checkPlan(problem, plan).violations.map(({ rule, group, slot, hive, says }): Trouble => ({
    kind: 'broken-rule',
    rule,
    group,
    slot,
    hive,
    says,
  }));
  const unmet = problem.hives.flatMap(({ id: hive, due }): Trouble[] => {
    if (due === null || due.weight <= 0) return [];
    const days = openedOn(hive).sort((a, b) => a - b);
    return turnsWithin(due, problem.horizonDays).flatMap(({ from, by }, turn): Trouble[] => {
      if (days.some((day) => day >= from && day <= by)) return [];
      const next = from + (due.every ?? Infinity);
      const after = days.find((day) => day > by && day < next);
      const again = turn > 0;
      const says =
        after === undefined
          ? say('due-not-opened', { hive, again, by: dayOfPlan(by), other: again || days.length > 0 })
          : say('due-opened-late', { hive, again, by: dayOfPlan(by), after: dayOfPlan(after) });
      return [{ kind: 'due-not-met', hive, says }];
    });
  });
  const odds = sessions
    .filter(({ at }) => at.fit < LOW_ODDS)
    .map(({ group, slot, at }): Trouble => ({
      kind: 'low-odds',
      group,
      slot,
      says: say('low-odds', { group, slot, tenths: Math.round(at.fit * 10) }),
    }));
  const short = problem.groups.flatMap(({ id: group, sessions: wanted }): Trouble[] => {
    const held = sessions.filter((each) => each.group === group).length;
    return held >= wanted
      ? []
      : [{ kind: 'too-few-sessions', group, says: say('too-few-sessions', { group, held, wanted }) }];
  });
  const late = problem.groups.flatMap(({ id: group, lateAfter }) =>
    sessions
      .filter((each) => each.group === group && each.at.day > lateAfter)
      .map(({ slot, at }): Trouble => ({
        kind: 'late',
        group,
        slot,
        says: say('comes-late', { group, day: dayOfPlan(at.day), lateAfter: dayOfPlan(lateAfter) }),
      })),
  );
  const tight = sessions.flatMap(({ group, slot, at, hives: opened }): Trouble[] => {
    const pace = problem.groups.find(({ id }) => id === group)!.pace;
    const minutes = opened.map((hive) => Math.ceil(hives.get(hive)!.minutes * pace)).reduce((a, b) => a + b, 0);
    const left = at.minutes - problem.params.setupMinutes - minutes;
    return left < 0 || left >= SPARE
      ? []
      : [{ kind: 'no-time-to-spare', group, slot, says: say('little-time-over', { group, slot, left }) }];
  });
  return [...broken, ...unmet, ...odds, ...short, ...late, ...tight];
}
