import type { Sayable } from '@brave-comb/core/language';
import type { Coverage } from '@brave-comb/contract';
import { coverageOf } from '@brave-comb/core/planning';
import { skillOf } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { planningSeason } from '../../facts/planning';
import { schoolPhases } from '../../facts/season';

/** Which skills nobody has seen yet, and the next chance of each group. */
export async function coverage(context: Context, actor: Actor): Promise<Sayable<Coverage>> {
  const season = await planningSeason(context, actor.school);
  const { phases } = await schoolPhases(context, actor.school);
  const rows = coverageOf({
    checklist: season.checklist,
    today: season.today,
    phases,
    groups: season.groups.map(({ id, trainees }) => ({ id, trainees: trainees.map((each) => each.id) })),
    standing: season.standing,
    problem: season.problem,
    plan: season.told,
  });
  const slots = new Map(season.slots.map((slot) => [slot.id, slot]));
  const numbers = new Map(season.colonies.map(({ hive }) => [hive.id, hive.number]));
  return {
    today: season.today,
    groups: season.groups.map(({ id, name, trainees }) => ({ id, name, size: trainees.length })),
    skills: rows.map(({ skill, groups, offers, ...row }) => ({
      ...row,
      id: skill,
      name: skillOf(season.checklist, skill)!.name,
      offers: offers.map(({ slot, ...offer }) => ({ ...offer, startsAt: iso(slots.get(slot)!.from) })),
      groups: groups.map(({ next, ...group }) => ({
        ...group,
        next: next && {
          startsAt: iso(slots.get(next.slot)!.from),
          zone: slots.get(next.slot)!.zone,
          hive: numbers.get(next.hive) ?? '?',
          chance: next.chance,
          planned: next.planned,
        },
      })),
    })),
  };
}
