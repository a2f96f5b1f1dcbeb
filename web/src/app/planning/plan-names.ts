import type { Text } from '@brave-comb/core/language';
import { said } from '../language/said';
import type { PlanBoard } from '@brave-comb/contract';
import { plannedSkill, withNames } from '@brave-comb/core/planning';
import { addDays } from '@brave-comb/core/units';
import { shortDate, timeOf } from '../ui/format';

/** How the board's things are called, by id. */
export function namesOf(board: PlanBoard | null): ReadonlyMap<string, string> {
  if (!board) return new Map();
  return new Map([
    ...board.groups.map(({ id, name }) => [id, name] as const),
    ...board.supervisors.map(({ id, name }) => [id, name] as const),
    ...board.hives.map(({ id, number }) => [id, $localize`Hive ${number}`] as const),
    ...board.slots.map((slot) => [slot.id, `${shortDate(slot.date)}, ${timeOf(slot.startsAt, slot.zone)}`] as const),
  ]);
}

/**
 * Words of the core as people read them: names for ids, dates for days of the plan.
 *
 * @param board the board whose things are named
 * @returns a function from texts, or ids, to words
 */
export function inWords(board: PlanBoard | null): (text: Text) => string {
  const names = namesOf(board);
  const dateOf = (day: number) => shortDate(addDays(board?.today ?? '2026-01-01', day));
  return (text) => said(withNames(text, names, dateOf));
}

/** Name of a skill of the planner's list. */
export function skillName(key: string, skills: readonly { readonly id: string; readonly name: string }[]): string {
  const { skill, seated } = plannedSkill(key);
  const name = skills.find(({ id }) => id === skill)?.name ?? skill;
  return seated ? $localize`${name}, seated` : name;
}
