import { say } from '../../words';
import { inOne } from '@brave-comb/core/language';
import type { Input, endpoints } from '@brave-comb/contract';
import { DEBRIEF_PARTS } from '@brave-comb/core/skills';
import { v5 as uuidFrom } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { type DebriefTold, debrief } from '../../facts/debrief';
import { Refusal, notFound } from '../../problem';
import { insertSentBack, insertSignature, sentBackById } from '../../records/debrief';
import { tell } from '../../records/people';

type Endpoints = typeof endpoints;

/**
 * Signs a debrief.
 *
 * @throws Refusal 409 while a visit is open, a side has two readings, or something came since it was read; 422 while a part is unread
 */
export async function signDebrief(
  context: Context,
  actor: Actor,
  session: string,
  { id, revision, read }: Input<Endpoints['signDebrief']>['body'],
): Promise<DebriefTold | null> {
  const found = await debrief(context, actor, session);
  if (!found) throw notFound('session');
  if (found.revision !== revision) throw new Refusal(409, 'changed-since', say('changed-since'));
  const barred = found.toSign.find(({ bars }) => bars !== null);
  if (barred) throw new Refusal(409, 'not-settled', inOne([barred.text, barred.bars ?? ''], '. '));
  if (DEBRIEF_PARTS.some((part) => !read.includes(part))) throw new Refusal(422, 'not-read', say('read-and-tick'));
  await revise(context.db, actor.school, (trx) =>
    insertSignature(trx, {
      id,
      school: actor.school,
      session,
      revision,
      parts: read,
      by: actor.id,
      at: context.clock.now(),
    }),
  );
  return debrief(context, actor, session);
}

/** Sends a debrief back: the supervisor is told what is missing. Sent twice it is told once. */
export async function sendDebriefBack(
  context: Context,
  actor: Actor,
  session: string,
  { id, supervisor, note }: Input<Endpoints['sendDebriefBack']>['body'],
): Promise<DebriefTold | null> {
  const { db, clock } = context;
  const found = await debrief(context, actor, session);
  const group = found?.groups.find((each) => each.supervisor.id === supervisor);
  if (!found || !group) throw notFound('supervisor-of-that-session');
  const at = clock.now();
  if (!(await sentBackById(db, actor.school, id)))
    await revise(db, actor.school, async (trx) => {
      await insertSentBack(trx, { id, school: actor.school, session, supervisor, note, by: actor.id, at });
      await tell(trx, actor.school, at, [
        {
          id: uuidFrom('told', id),
          person: supervisor,
          subject: say('debrief-sent-back', { day: found.day, hive: group.hive }),
          lines: [`${actor.name}: ${note}`, say('mend-in-review')],
        },
      ]);
    });
  return debrief(context, actor, session);
}
