import { endpoints, type Output } from '@brave-comb/contract';
import { CHECKLIST, type Demonstration, isOpen, standingIn } from '@brave-comb/core/skills';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { peopleOf } from '../people/store';
import { notFound } from '../problem';
import { supervisesTrainee } from '../planning/store';
import { type DemonstrationRow, demonstrationsOf } from './store';

export const shownDemonstrations = (rows: readonly DemonstrationRow[]): readonly Demonstration[] =>
  rows.map(({ skill, trainee, level, at }) => ({ skill, trainee, level, at: iso(at) }));

/** Skills that are still open in a group, those that most trainees need first. */
export function openSkills(rows: readonly DemonstrationRow[], trainees: readonly string[]) {
  const demonstrations = shownDemonstrations(rows);
  return CHECKLIST.map((skill) => ({
    id: skill.id,
    name: skill.name,
    open: trainees.filter((trainee) => isOpen(standingIn(demonstrations, trainee, skill.id))),
  }))
    .filter((skill) => skill.open.length > 0)
    .sort((a, b) => b.open.length - a.open.length);
}

/** A trainee's standings. Trainees see their own, supervisors those of trainees in their sessions. */
export async function standingsOf(
  context: Context,
  actor: Actor,
  trainee: string,
): Promise<Output<typeof endpoints.standings>> {
  const [person] = await peopleOf(context.db, actor.school, [trainee]);
  const allowed =
    person?.role === 'trainee' &&
    (actor.role === 'lead' ||
      actor.id === trainee ||
      (actor.role === 'supervisor' && (await supervisesTrainee(context.db, actor.id, trainee))));
  if (!person || !allowed) throw notFound('trainee');
  const rows = await demonstrationsOf(context.db, actor.school, [trainee]);
  const demonstrations = shownDemonstrations(rows);
  return {
    trainee: { id: person.id, name: person.name },
    standings: CHECKLIST.map((skill) => {
      const level = standingIn(demonstrations, trainee, skill.id);
      const times = demonstrations.filter((each) => each.skill === skill.id).map((each) => each.at);
      return {
        skill: skill.id,
        name: skill.name,
        stage: skill.stage,
        shownBy: skill.shownBy,
        level,
        open: isOpen(level),
        lastAt: times.sort().at(-1) ?? null,
      };
    }),
  };
}
