import type { Output, endpoints } from '@brave-comb/contract';
import type { Knex } from 'knex';

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
  db('attachments').insert(row).onConflict('id').ignore();

export const attachmentById = (db: Knex, school: string, id: string): Promise<AttachmentRow | undefined> =>
  db<AttachmentRow>('attachments').where({ school, id }).first();
