import type { Input, Output, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { Refusal, notFound } from '../problem';
import { type AttachmentRow, attachmentById, insertAttachment } from './attachment-store';
import { visitById } from './store';

/** How files of a kind begin: bytes, and where they stand. */
const BEGINS: Readonly<Record<AttachmentRow['type'], { readonly at: number; readonly bytes: Buffer }>> = {
  'image/jpeg': { at: 0, bytes: Buffer.from([0xff, 0xd8, 0xff]) },
  'audio/webm': { at: 0, bytes: Buffer.from([0x1a, 0x45, 0xdf, 0xa3]) },
  'audio/ogg': { at: 0, bytes: Buffer.from('OggS') },
  'audio/mp4': { at: 4, bytes: Buffer.from('ftyp') },
};

/**
 * Keeps a photo or voice note of a visit.
 *
 * @throws Refusal when the visit is not there or the file is not what it says
 */
export async function keepAttachment(
  { db }: Context,
  actor: Actor,
  visit: string,
  { id, takenAt, type, content }: Input<(typeof endpoints)['keepAttachment']>['body'],
): Promise<{ id: string }> {
  if (!(await visitById(db, actor, visit))) throw notFound('visit');
  const file = Buffer.from(content, 'base64');
  const { at, bytes } = BEGINS[type];
  if (!file.subarray(at, at + bytes.length).equals(bytes))
    throw new Refusal(
      422,
      'not what it says',
      type === 'image/jpeg'
        ? 'This is no JPEG photo. Take the photo again.'
        : 'This is no sound that can be played. Speak the note again.',
    );
  await insertAttachment(db, {
    id,
    school: actor.school,
    visit,
    by_person: actor.id,
    taken_at: new Date(takenAt),
    type,
    content: file,
  });
  return { id };
}

export async function attachment(
  { db }: Context,
  actor: Actor,
  id: string,
): Promise<Output<(typeof endpoints)['attachment']>> {
  const row = await attachmentById(db, actor.school, id);
  if (!row || !(await visitById(db, actor, row.visit))) throw notFound('photo or note');
  return { id, visit: row.visit, takenAt: iso(row.taken_at), type: row.type, content: row.content.toString('base64') };
}
