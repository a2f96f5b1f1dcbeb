import type { Output, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { markRead, messagesOf, outboxOf } from './message-store';

export async function messages({ db }: Context, actor: Actor): Promise<Output<(typeof endpoints)['messages']>> {
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

export async function readMessage(context: Context, actor: Actor, id: string) {
  await markRead(context.db, actor.id, id, context.clock.now());
  return messages(context, actor);
}

/** Mails in the order in which they would have gone out. */
export async function outbox({ db }: Context, actor: Actor): Promise<Output<(typeof endpoints)['outbox']>> {
  const rows = await outboxOf(db, actor.school);
  return { mails: rows.map(({ id, at, name, subject, lines }) => ({ id, at: iso(at), to: name, subject, lines })) };
}
