import type { Sayable, Text } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { notFound } from '../../problem';
import { insertMessages, markRead, messageById, messagesOf, outboxOf } from './message-store';

export async function messages(
  { db }: Context,
  actor: Actor,
): Promise<Sayable<Output<(typeof endpoints)['messages']>>> {
  const rows = await messagesOf(db, actor.id);
  return {
    messages: rows.map(({ id, at, subject, lines, read_at }) => ({
      id,
      at: iso(at),
      subject,
      lines,
      read: read_at !== null,
    })),
  };
}

/** What somebody is told. The id is given where the same may be told again and should stand once. */
export interface Told {
  readonly person: string;
  readonly subject: Text;
  readonly lines: readonly Text[];
  readonly id?: string;
}

/** Puts messages into the inboxes of people of a school. */
export const tell = (db: Db, school: string, at: Date, told: readonly Told[]): Promise<void> =>
  insertMessages(
    db,
    told.map(({ id = uuid(), ...message }) => ({ id, school, at, ...message })),
  );

export async function readMessage(context: Context, actor: Actor, id: string) {
  if (!(await messageById(context.db, actor.id, id))) throw notFound('message');
  await revise(context.db, actor.school, (trx) => markRead(trx, actor.id, id, context.clock.now()));
  return messages(context, actor);
}

/** What people were told, the newest first, and what became of it as a mail. */
export async function outbox(
  { db, mail }: Context,
  actor: Actor,
): Promise<Sayable<Output<(typeof endpoints)['outbox']>>> {
  const rows = await outboxOf(db, actor.school);
  return {
    sends: mail !== undefined,
    mails: rows.map((row) => ({
      ...{ id: row.id, at: iso(row.at), to: row.name, subject: row.subject, lines: row.lines },
      mail: row.mail
        ? { sent: row.mailed_at && iso(row.mailed_at), tries: row.mail_tries, fault: row.mail_fault }
        : null,
    })),
  };
}
