import type { Output, endpoints } from '@brave-comb/contract';
import type { Knex } from 'knex';
import type { Actor } from '../../context';
import { seenBy, visitById } from './store';

export interface AttachmentRow {
  readonly id: string;
  readonly school: string;
  readonly visit: string;
  readonly by_person: string;
  readonly taken_at: Date;
  readonly type: Output<(typeof endpoints)['attachment']>['type'];
  readonly content: Buffer;
}

/** Keeps a file once. */
export const insertAttachment = (db: Knex, row: AttachmentRow) =>
  db('attachments')
    .insert({ ...row, bytes: row.content.length })
    .onConflict('id')
    .ignore();

/** Bytes that a school has kept, and of those the ones of one person. */
export async function bytesKept(db: Knex, school: string, person: string): Promise<{ school: number; person: number }> {
  const row = await db('attachments')
    .where({ school })
    .first<{ school: string | null; person: string | null }>(
      db.raw('sum(bytes) as school'),
      db.raw('sum(if(by_person = ?, bytes, 0)) as person', [person]),
    );
  return { school: Number(row.school ?? 0), person: Number(row.person ?? 0) };
}

export const attachmentById = (db: Knex, school: string, id: string): Promise<AttachmentRow | undefined> =>
  db<AttachmentRow>('attachments').where({ school, id }).first();

/** Photos of a school with where they were taken, the newest first. */
export const photosSeenBy = (db: Knex, actor: Actor, most: number) =>
  seenBy(db('attachments'), db, actor)
    .join('visits', 'visits.id', 'attachments.visit')
    .join('hives', 'hives.id', 'visits.hive')
    .join('visit_entries', function () {
      this.on('visit_entries.visit', 'attachments.visit').andOn(
        db.raw("json_value(visit_entries.body, '$.photo') = attachments.id"),
      );
    })
    .where('attachments.school', actor.school)
    .where('visit_entries.kind', 'photo-taken')
    .orderBy('attachments.taken_at', 'desc')
    .limit(most)
    .select<{ id: string; taken_at: Date; hive: string; body: { of: string; spot: object | null } }[]>(
      'attachments.id',
      'attachments.taken_at',
      'hives.number as hive',
      'visit_entries.body',
    );

/** A photo or note of a visit that one may see. */
export async function attachmentSeenBy(db: Knex, actor: Actor, id: string): Promise<AttachmentRow | undefined> {
  const row = await attachmentById(db, actor.school, id);
  return row && (await visitById(db, actor, row.visit)) ? row : undefined;
}
