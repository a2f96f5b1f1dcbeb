import type { Input, Output, endpoints } from '@brave-comb/contract';
import { PHOTO_SUBJECTS, type Spot, spotText } from '@brave-comb/core/inspection';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { attachmentSeenBy, photosSeenBy } from '../inspection/attachment-store';
import { Refusal, notFound } from '../problem';
import { shownPhotoDrill } from './drills';
import { insertPhotoDrill, photoDrillById, photoDrillsOf, retireDrill } from './store';

type Bank = Output<(typeof endpoints)['photoBank']>;
const PHOTOS = 60;

/** The school's own photos, the newest first, and the drills made from them. */
export async function photoBank({ db }: Context, actor: Actor): Promise<Bank> {
  const [photos, drills] = await Promise.all([photosSeenBy(db, actor, PHOTOS), photoDrillsOf(db, actor.school)]);
  return {
    photos: photos.map(({ id, taken_at, hive, body }) => ({
      id,
      takenAt: iso(taken_at),
      hive,
      of: PHOTO_SUBJECTS.find((each) => each === body.of) ?? 'part',
      spot: body.spot ? spotText(body.spot as Spot) : '',
    })),
    drills: drills.map(shownPhotoDrill),
  };
}

/** Makes a drill from a photo of the school. */
export async function makePhotoDrill(
  context: Context,
  actor: Actor,
  body: Input<(typeof endpoints)['makePhotoDrill']>['body'],
): Promise<Bank> {
  const { db, clock } = context;
  const photo = await attachmentSeenBy(db, actor, body.attachment);
  if (!photo?.type.startsWith('image/')) throw notFound('photo');
  const known = await photoDrillById(db, actor.school, body.id);
  if (known && known.attachment !== body.attachment)
    throw new Refusal(409, 'id in use', 'A drill with this id is about another photo. Make it again.');
  await insertPhotoDrill(db, { ...body, school: actor.school, made_by: actor.id, made_at: clock.now() });
  return photoBank(context, actor);
}

/** Asks a photo no more. */
export async function retirePhotoDrill(context: Context, actor: Actor, drill: string): Promise<Bank> {
  const known = await photoDrillById(context.db, actor.school, drill);
  if (!known) throw notFound('photo drill');
  if (known.made_by !== actor.id && !(await attachmentSeenBy(context.db, actor, known.attachment)))
    throw new Refusal(
      403,
      'not yours',
      'Somebody else made this drill, from a visit that you did not lead. Ask them, or the lead instructor.',
    );
  await retireDrill(context.db, actor.school, drill, context.clock.now());
  return photoBank(context, actor);
}
