import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import sharp from 'sharp';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { type AttachmentRow, attachmentById, bytesKept, insertAttachment } from './attachment-store';
import { visitById } from './store';

/** How sounds of a kind begin: bytes, and where they stand. */
const BEGINS = {
  'audio/webm': { at: 0, bytes: Buffer.from([0x1a, 0x45, 0xdf, 0xa3]) },
  'audio/ogg': { at: 0, bytes: Buffer.from('OggS') },
  'audio/mp4': { at: 4, bytes: Buffer.from('ftyp') },
};

const MB = 1024 * 1024;
/** What one person and one school may keep: some 2,000 and 40,000 photos. */
const MOST_EACH = 600 * MB;
const MOST_IN_SCHOOL = 12_000 * MB;
const LONGEST_SIDE = 1600;
const MOST_POINTS = 40_000_000;

/**
 * Keeps a photo or voice note of a visit. A photo is decoded and written anew: nothing is left in it but the picture.
 *
 * @throws Refusal when the visit is not there, the file is not what it says, or too much is kept already
 */
export async function keepAttachment(
  { db }: Context,
  actor: Actor,
  visit: string,
  { id, takenAt, type, content }: Input<(typeof endpoints)['keepAttachment']>['body'],
): Promise<{ id: string }> {
  if (!(await visitById(db, actor, visit))) throw notFound('visit');
  const known = await attachmentById(db, actor.school, id);
  if (known && known.visit === visit) return { id };
  const kept = await bytesKept(db, actor.school, actor.id);
  if (kept.person > MOST_EACH || kept.school > MOST_IN_SCHOOL)
    throw new Refusal(422, 'too-many-photos', say('too-many-photos', { own: kept.person > MOST_EACH }));
  const file = Buffer.from(content, 'base64');
  const written = type === 'image/jpeg' ? await pictureOf(file) : soundOf(file, type);
  await revise(db, actor.school, (trx) =>
    insertAttachment(trx, {
      id,
      school: actor.school,
      visit,
      by_person: actor.id,
      taken_at: new Date(takenAt),
      type,
      content: written,
    }),
  );
  return { id };
}

async function pictureOf(file: Buffer): Promise<Buffer> {
  try {
    return await sharp(file, { limitInputPixels: MOST_POINTS, failOn: 'error' })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer();
  } catch {
    throw new Refusal(422, 'not-what-it-says', say('no-photo'));
  }
}

function soundOf(file: Buffer, type: Exclude<AttachmentRow['type'], 'image/jpeg'>): Buffer {
  const { at, bytes } = BEGINS[type];
  if (file.subarray(at, at + bytes.length).equals(bytes)) return file;
  throw new Refusal(422, 'not-what-it-says', say('no-sound'));
}
