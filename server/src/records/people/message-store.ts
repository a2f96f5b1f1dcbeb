import type { Text } from '@brave-comb/core/language';
import type { Knex } from 'knex';

export interface MessageRow {
  readonly id: string;
  readonly school: string;
  readonly person: string;
  readonly at: Date;
  readonly subject: Text;
  readonly lines: readonly Text[];
  readonly read_at: Date | null;
}

/** What became of a message as a mail. */
interface Mailed {
  readonly mailed_at: Date | null;
  readonly mail_tries: number;
  readonly mail_fault: string | null;
}

export const insertMessages = async (db: Knex, rows: readonly Omit<MessageRow, 'read_at'>[]): Promise<void> => {
  if (rows.length > 0)
    await db('messages').insert(
      rows.map((row) => ({ ...row, subject: JSON.stringify(row.subject), lines: JSON.stringify(row.lines) })),
    );
};

export const messagesOf = (db: Knex, person: string): Promise<MessageRow[]> =>
  db<MessageRow>('messages').where({ person }).orderBy('at', 'desc').limit(100).select();

export const messageById = (db: Knex, person: string, id: string): Promise<MessageRow | undefined> =>
  db<MessageRow>('messages').where({ person, id }).first();

export const markRead = (db: Knex, person: string, id: string, at: Date): Promise<number> =>
  db<MessageRow>('messages').where({ person, id }).whereNull('read_at').update({ read_at: at });

export const outboxOf = (db: Knex, school: string) =>
  db('messages')
    .join('people', 'people.id', 'messages.person')
    .where('messages.school', school)
    .orderBy('messages.at', 'desc')
    .limit(300)
    .select<(MessageRow & Mailed & { name: string; mail: string | null })[]>(
      'messages.*',
      'people.name',
      'people.mail',
    );
