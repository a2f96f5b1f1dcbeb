import type { Output, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { hashOf } from '../../secrets';
import { audit } from './audit-store';
import { endSessions } from './member-store';
import { endSession, sessionsOf } from './session-store';

/** The key of a session is a secret; what is shown of it is not. */
const shownId = (sid: string): string => hashOf(sid).slice(0, 16);

/** Where somebody is signed in, this device first. */
export async function mySignIns(
  { db }: Context,
  actor: Actor,
  here: string,
): Promise<Output<(typeof endpoints)['mySignIns']>> {
  const rows = await sessionsOf(db, actor.id);
  const sessions = rows.map(({ sid, started_at, used_at, device }) => ({
    id: shownId(sid),
    since: iso(started_at),
    used: iso(used_at),
    device,
    here: sid === here,
  }));
  return { sessions: sessions.toSorted((a, b) => Number(b.here) - Number(a.here) || b.used.localeCompare(a.used)) };
}

/** Signs somebody out on another device, or on all others. The session that asks stays. */
export async function endSignIns(
  context: Context,
  actor: Actor,
  id: string | null,
  here: string,
): Promise<Output<(typeof endpoints)['endSignIns']>> {
  await context.db.transaction(async (trx) => {
    if (id === null) await endSessions(trx, actor.id, here);
    else
      for (const { sid } of await sessionsOf(trx, actor.id))
        if (sid !== here && shownId(sid) === id) await endSession(trx, sid);
    const { school, id: person, name: about } = actor;
    await audit(trx, { school, person, what: 'signed-out-elsewhere', about, address: '' });
  });
  return mySignIns(context, actor, here);
}
