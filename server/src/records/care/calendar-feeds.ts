import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { hashOf, newSecret } from '../../secrets';
import { feedOf, insertFeed, revokeFeeds } from './store';

export async function calendarFeed({ db }: Context, actor: Actor): Promise<{ since: string | null }> {
  const feed = await feedOf(db, actor.id);
  return { since: feed ? iso(feed.created_at) : null };
}

/** Makes a new secret address; earlier ones stop working. Only its hash is kept. */
export async function createCalendarFeed(
  { db, clock, publicUrl }: Context,
  actor: Actor,
): Promise<{ path: string; since: string }> {
  const token = newSecret(24);
  const now = clock.now();
  await revise(db, actor.school, async (trx) => {
    await revokeFeeds(trx, actor.id, now);
    await insertFeed(trx, {
      id: uuid(),
      person: actor.id,
      token_hash: hashOf(token),
      created_at: now,
      revoked_at: null,
    });
  });
  return { path: `${publicUrl}/calendar/${token}.ics`, since: iso(now) };
}

export async function revokeCalendarFeed({ db, clock }: Context, actor: Actor): Promise<{ revoked: true }> {
  await revise(db, actor.school, (trx) => revokeFeeds(trx, actor.id, clock.now()));
  return { revoked: true };
}
