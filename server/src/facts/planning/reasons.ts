import type { Sayable } from '@brave-comb/core/language';
import { inEnglish } from '../../words';
import { setImmediate } from 'node:timers/promises';
import type { PlanReasons } from '@brave-comb/contract';
import {
  type Assignments,
  type PlannedSession,
  plannedFor,
  plannedSkill,
  reasonsOf,
  wetDayOf,
} from '@brave-comb/core/planning';
import { indoorWaysOf, skillOf } from '@brave-comb/core/skills';
import { iso } from '../../dates';
import type { PlanningSeason } from './season-facts';

/** Key of an opening within a plan; no group for what staff open alone. */
export const openingKey = (group: string | null, slot: string, hive: string) => `${group ?? 'staff'} ${slot} ${hive}`;

/**
 * What each opening of a plan is for, and what is done if the weather does not come: kept with the published plan.
 *
 * @param season the season that the plan was made for
 * @param plan a plan that keeps its rules
 * @returns reasons by {@link openingKey}
 */
export async function publishedReasons(
  season: PlanningSeason,
  plan: Assignments,
): Promise<ReadonlyMap<string, Sayable<PlanReasons>>> {
  const { problem } = season;
  const dues = new Map(
    season.colonies.map(({ hive, calendar }) => [
      hive.id,
      inEnglish(calendar.dues.find(({ opens }) => opens)?.title ?? null),
    ]),
  );
  const wet = new Map<string, Sayable<PlanReasons>['ifWet']>();
  for (const session of plan.sessions) {
    wet.set(`${session.group} ${session.slot}`, ifWet(season, plan, session));
    // Other requests go on between two sessions of a large plan.
    await setImmediate();
  }
  return new Map(
    reasonsOf(problem, plan).map((reason) => [
      openingKey(reason.group, reason.slot, reason.hive),
      {
        points: Math.round(reason.marginal.total * 10) / 10,
        lines: [...plannedFor(reason, dues.get(reason.hive) ?? null, season.checklist)],
        skills: reason.skills.map(({ skill }) => plannedSkill(skill).skill),
        ifWet: wet.get(`${reason.group ?? ''} ${reason.slot}`) ?? null,
      },
    ]),
  );
}

function ifWet(season: PlanningSeason, plan: Assignments, session: PlannedSession): Sayable<PlanReasons>['ifWet'] {
  const found = wetDayOf(season.problem, plan, session, indoorWaysOf(season.checklist));
  if (found === null) return null;
  const startOf = (slot: string) => iso(season.slots.find(({ id }) => id === slot)!.from);
  const numberOf = (id: string) => season.colonies.find(({ hive }) => hive.id === id)?.hive.number ?? '?';
  const { reserve } = found;
  return {
    reserve: reserve && {
      startsAt: startOf(reserve.slot),
      supervisor: season.supervisors.find(({ id }) => id === reserve.supervisor)?.name ?? '',
      hives: reserve.hives.map(numberOf),
    },
    staff: found.staff.map(({ slot, hive }) => ({ startsAt: startOf(slot), hive: numberOf(hive) })),
    indoors: found.indoors.map((work) => ({
      ...work,
      name: skillOf(season.checklist, work.skill)?.name ?? work.skill,
    })),
  };
}
