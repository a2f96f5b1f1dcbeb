import { endpoints, type Output } from '@brave-comb/contract';
import { CHECKLIST, type Standings, isOpen, standingsFrom } from '@brave-comb/core/skills';
import type { Actor, Context } from '../context';
import { peopleOf } from '../people/store';
import { notFound } from '../problem';
import { supervisesTrainee } from '../planning/store';
import { demonstrationsOf } from './store';

/** Skills that are still open in a group, those that most trainees need first. */
export function openSkills(standing: Standings, trainees: readonly string[]) {
  return CHECKLIST.map((skill) => ({
    id: skill.id,
    name: skill.name,
    open: trainees.filter((trainee) => isOpen(standing(trainee, skill.id))),
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
  const demonstrations = await demonstrationsOf(context.db, actor.school, [trainee]);
  const standing = standingsFrom(demonstrations);
  return {
    trainee: { id: person.id, name: person.name },
    standings: CHECKLIST.map((skill) => {
      const level = standing(trainee, skill.id);
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
