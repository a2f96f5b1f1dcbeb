import type { Output, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { notFound } from '../../problem';
import { attachmentById, attachmentSeenBy } from '../../records/inspection';
import { shownInDrill } from '../../records/practice';

/** A photo or note of a visit that one may see; a photo that a drill is made from is shown to all of the school. */
export async function attachment(
  { db }: Context,
  actor: Actor,
  id: string,
): Promise<Output<(typeof endpoints)['attachment']>> {
  const shown = await shownInDrill(db, actor.school, id);
  const row = await (shown ? attachmentById(db, actor.school, id) : attachmentSeenBy(db, actor, id));
  if (!row) throw notFound('photo-or-note');
  return { id, visit: row.visit, takenAt: iso(row.taken_at), type: row.type, content: row.content.toString('base64') };
}
