import { say } from '../../words';
import { type Output, type endpoints, PlanningTerms } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { housePracticeOf, traineesOf, traineeGroups } from '../people';
import { keepTerms, staffOf, termsOf } from './plan-store';
import { usualTerms } from './usual-terms';

type Terms = Output<(typeof endpoints)['planningTerms']>;

/** Everybody whose times or limits the planner goes by, with what holds for them. */
export async function planningTerms({ db }: Context, actor: Actor): Promise<Terms> {
  const [groups, staff, practice, own] = await Promise.all([
    traineeGroups(db, actor.school),
    staffOf(db, actor.school),
    housePracticeOf(db, actor.school),
    termsOf(db, actor.school),
  ]);
  const trainees = await traineesOf(
    db,
    actor.school,
    groups.map(({ id }) => id),
  );
  const set = new Map(own.map((row) => [row.owner, row.terms]));
  const groupName = (id: string) => groups.find((each) => each.id === id)?.name ?? null;
  return {
    owners: [
      ...groups.map(({ id, name }) => ({ id, name, group: null, terms: set.get(id) ?? usualTerms.group(practice) })),
      ...staff.map(({ id, name, role }) => ({
        id,
        name,
        group: null,
        terms: set.get(id) ?? usualTerms.supervisor(practice, role === 'lead'),
      })),
      ...trainees.map(({ id, name, group }) => ({
        id,
        name,
        group: groupName(group),
        terms: set.get(id) ?? usualTerms.trainee,
      })),
    ],
  };
}

/** Changes the terms of one group, supervisor or trainee. */
export async function setPlanningTerms(
  context: Context,
  actor: Actor,
  owner: string,
  terms: PlanningTerms,
): Promise<Terms> {
  const { owners } = await planningTerms(context, actor);
  const found = owners.find((each) => each.id === owner);
  if (!found) throw notFound('group-or-person');
  if (found.terms.kind !== terms.kind)
    throw new Refusal(
      422,
      'other-kind',
      say('other-kind', { name: found.name, kind: found.terms.kind, sent: terms.kind }),
    );
  await revise(context.db, actor.school, (trx) =>
    keepTerms(trx, {
      owner,
      school: actor.school,
      kind: terms.kind,
      terms,
      by_person: actor.id,
      at: context.clock.now(),
    }),
  );
  return planningTerms(context, actor);
}
