import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import { POLL_MOMENTS } from '@brave-comb/core/practice';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { AHEAD, BACK, groupSessions, insertPoll, keepVotes, momentOf, pollById } from '../../records/practice';
import { groupsSeen } from '../../records/skills';

/** Asks a group of a session. */
export async function askPoll(
  context: Context,
  actor: Actor,
  body: Input<(typeof endpoints)['askPoll']>['body'],
): Promise<void> {
  const { db, clock } = context;
  const now = clock.now();
  const groups = (await groupsSeen(context, actor)).map(({ id }) => id);
  const session = (
    await groupSessions(db, actor.school, groups, new Date(now.getTime() - BACK), new Date(now.getTime() + AHEAD))
  ).find(({ id, group }) => id === body.session && group === body.group);
  if (!session) throw notFound('session');
  await revise(db, actor.school, (trx) =>
    insertPoll(trx, {
      id: body.id,
      school: actor.school,
      session: session.id,
      starts_at: session.starts_at,
      day: dateAt(session.zone, session.starts_at),
      trainee_group: session.group,
      questions: body.questions,
      made_by: actor.id,
      made_at: now,
    }),
  );
}

/** Keeps somebody's answers; those given again take the place of the earlier ones. */
export async function answerPoll(
  context: Context,
  actor: Actor,
  id: string,
  { moment, answers }: Input<(typeof endpoints)['answerPoll']>['body'],
): Promise<void> {
  const { db, clock } = context;
  const poll = await pollById(db, actor.school, id);
  const groups = await groupsSeen(context, actor);
  if (!poll || !groups.some((group) => group.id === poll.trainee_group)) throw notFound('poll');
  if (actor.role !== 'trainee') throw new Refusal(403, 'for-trainees', say('for-trainees'));
  const now = clock.now();
  if (POLL_MOMENTS.indexOf(moment) > POLL_MOMENTS.indexOf(momentOf(poll, now)))
    throw new Refusal(422, 'too-early', say('too-early'));
  const rows = answers
    .filter(({ question }) => question < poll.questions.length)
    .map(({ question, answer }) => ({ poll: id, person: actor.id, moment, question, answer, at: now }));
  if (rows.length > 0) await revise(db, actor.school, (trx) => keepVotes(trx, rows));
}
