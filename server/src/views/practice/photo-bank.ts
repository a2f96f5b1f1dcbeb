import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { PHOTO_SUBJECTS, type Spot, spotText } from '@brave-comb/core/inspection';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { photosSeenBy } from '../../records/inspection';
import { photoDrillsOf, shownPhotoDrill } from '../../records/practice';

type Bank = Output<(typeof endpoints)['photoBank']>;

const PHOTOS = 60;

/** The school's own photos, the newest first, and the drills made from them. */
export async function photoBank({ db }: Context, actor: Actor): Promise<Sayable<Bank>> {
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
