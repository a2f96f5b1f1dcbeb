import { groupsLedBy } from '../planning/store';
import { type GroupRow, traineeGroups } from '../planning/plan-store';
import { groupsOf } from '../people/store';
import type { Actor, Context } from '../context';

/** Groups that somebody may ask about: all for a lead, those led for a supervisor, the own ones for a trainee. */
export async function groupsSeen({ db }: Pick<Context, 'db'>, actor: Actor): Promise<readonly GroupRow[]> {
  const groups = await traineeGroups(db, actor.school);
  if (actor.role === 'lead') return groups;
  const own = await (actor.role === 'supervisor' ? groupsLedBy(db, actor.id) : groupsOf(db, actor.id));
  return groups.filter(({ id }) => own.includes(id));
}
