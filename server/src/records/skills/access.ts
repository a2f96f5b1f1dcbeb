import { say } from '../../words';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { Refusal, notFound } from '../../problem';
import { groupsOf, peopleOf, type PersonRow, type GroupRow, traineeGroups } from '../people';
import { groupsLedBy, supervisedIn, supervisesTrainee } from '../planning';

/** Groups that somebody may ask about: all for a lead, those led for a supervisor, the own ones for a trainee. */
export async function groupsSeen({ db }: Pick<Context, 'db'>, actor: Actor): Promise<readonly GroupRow[]> {
  const groups = await traineeGroups(db, actor.school);
  if (actor.role === 'lead') return groups;
  const own = await (actor.role === 'supervisor' ? groupsLedBy(db, actor.id) : groupsOf(db, actor.id));
  return groups.filter(({ id }) => own.includes(id));
}

/** A trainee whom somebody may see: one of the school for a lead, of the own groups for a supervisor, oneself. */
export async function traineeSeenBy(db: Db, actor: Actor, trainee: string): Promise<PersonRow> {
  const [person] = await peopleOf(db, actor.school, [trainee]);
  const allowed =
    person?.role === 'trainee' &&
    (actor.role === 'lead' ||
      actor.id === trainee ||
      (actor.role === 'supervisor' && (await supervisesTrainee(db, actor.id, trainee))));
  if (!person || !allowed) throw notFound('trainee');
  return person;
}

/**
 * Refuses a judgement of somebody who did not see it: in a session, its supervisors and leads judge; without one, whoever has had the group.
 *
 * @throws Refusal 404 for a trainee who is not to be seen, 403 for a session that somebody else led
 */
export async function mayJudge(db: Db, actor: Actor, trainee: string, session: string | null): Promise<void> {
  await traineeSeenBy(db, actor, trainee);
  if (session === null) return;
  const led = await supervisedIn(db, actor.school, session);
  if (led.length === 0) throw notFound('session');
  if (actor.role !== 'lead' && !led.includes(actor.id))
    throw new Refusal(403, 'not-your-session', say('not-your-session'));
}
