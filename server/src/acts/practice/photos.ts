import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { attachmentSeenBy } from '../../records/inspection';
import { insertPhotoDrill, photoDrillById, retireDrill } from '../../records/practice';

/** Makes a drill from a photo of the school. */
export async function makePhotoDrill(
  context: Context,
  actor: Actor,
  body: Input<(typeof endpoints)['makePhotoDrill']>['body'],
): Promise<void> {
  const { db, clock } = context;
  const photo = await attachmentSeenBy(db, actor, body.attachment);
  if (!photo?.type.startsWith('image/')) throw notFound('photo');
  const known = await photoDrillById(db, actor.school, body.id);
  if (known && known.attachment !== body.attachment)
    throw new Refusal(409, 'id-in-use', say('id-of-another-photos-drill'));
  await revise(db, actor.school, (trx) =>
    insertPhotoDrill(trx, { ...body, school: actor.school, made_by: actor.id, made_at: clock.now() }),
  );
}

/** Asks a photo no more. */
export async function retirePhotoDrill(context: Context, actor: Actor, drill: string): Promise<void> {
  const known = await photoDrillById(context.db, actor.school, drill);
  if (!known) throw notFound('photo-drill');
  if (known.made_by !== actor.id && !(await attachmentSeenBy(context.db, actor, known.attachment)))
    throw new Refusal(403, 'not-yours', say('not-yours'));
  await revise(context.db, actor.school, (trx) => retireDrill(trx, actor.school, drill, context.clock.now()));
}
