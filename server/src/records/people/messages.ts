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

/** Mails in the order in which they would have gone out. */
export async function outbox({ db }: Context, actor: Actor): Promise<Sayable<Output<(typeof endpoints)['outbox']>>> {
  const rows = await outboxOf(db, actor.school);
  return { mails: rows.map(({ id, at, name, subject, lines }) => ({ id, at: iso(at), to: name, subject, lines })) };
}
