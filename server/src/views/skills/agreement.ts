import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import {
  assessorHabits,
  assessorPairs,
  assessorsTogether,
  type Demonstration,
  kappaWord,
  readingAgreement,
  readingHabits,
} from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { learnersOf, peopleOf, traineesOf } from '../../records/people';
import { groupsSeen, readingPairsOf, shownBy } from '../../records/skills';

type Agreement = Output<(typeof endpoints)['agreement']>;

/** Hidden readings against the supervisors': a trainee's own, a supervisor's groups, for a lead all, with the assessors. */
export async function agreement({ db }: Context, actor: Actor): Promise<Sayable<Agreement>> {
  const groups = await groupsSeen({ db }, actor);
  const trainees = (
    await traineesOf(
      db,
      actor.school,
      groups.map(({ id }) => id),
    )
  ).filter(({ id }) => actor.role !== 'trainee' || id === actor.id);
  const pairs = await readingPairsOf(
    db,
    actor.school,
    trainees.map(({ id }) => id),
  );
  return {
    people: trainees.map(({ id, name, group }) => {
      const readings = readingAgreement(pairs.filter(({ trainee }) => trainee === id));
      return {
        id,
        name,
        group: groups.find((each) => each.id === group)?.name ?? '',
        readings: { ...readings, habits: readingHabits(readings) },
      };
    }),
    assessors: actor.role === 'lead' ? await assessors(db, actor.school) : null,
  };
}

async function assessors(db: Context['db'], school: string): Promise<NonNullable<Agreement['assessors']>> {
  const shown = await shownBy(db, school, await learnersOf(db, school));
  const judged = shown.filter((each): each is Demonstration & { assessor: string } => each.assessor !== null);
  const people = await peopleOf(db, school, [...new Set(judged.map(({ assessor }) => assessor))]);
  const nameOf = (id: string) => people.find((each) => each.id === id)?.name ?? '';
  const together = assessorsTogether(judged);
  const wordOf = ({ kappa }: { readonly kappa: number | null }) => (kappa === null ? null : kappaWord(kappa));
  return {
    together: together && { ...together, word: wordOf(together) },
    pairs: assessorPairs(judged).map(({ assessors: [one, other], kappa }) => ({
      one: nameOf(one),
      other: nameOf(other),
      kappa,
      word: wordOf(kappa),
    })),
    habits: assessorHabits(judged).map(({ assessor, ...habit }) => ({ name: nameOf(assessor), ...habit })),
  };
}
