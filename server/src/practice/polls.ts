import type { Input, Output, endpoints } from '@brave-comb/contract';
import { POLL_MOMENTS, type PollMoment, readiness } from '@brave-comb/core/practice';
import type { Actor, Context } from '../context';
import { dateAt } from '../dates';
import { traineesOf } from '../people/store';
import { Refusal, notFound } from '../problem';
import { openSkills, schoolStandings } from '../skills/standings';
import { groupsSeen } from '../skills/access';
import { groupSessions, insertPoll, keepVotes, pollById, type PollRow, pollsOf, votesOf, type VoteRow } from './store';

type Polls = Output<(typeof endpoints)['polls']>;

const POLLS = 12;
const SUGGESTED = 4;
const DAY = 86_400_000;
/** A poll can be made for sessions from yesterday until in two weeks. */
const [BACK, AHEAD] = [DAY, 14 * DAY];

const momentOf = (poll: Pick<PollRow, 'starts_at'>, now: Date): PollMoment =>
  now < poll.starts_at ? 'before' : 'after';

/** What groups are asked before and after a lesson. Trainees see how others answered once they have answered themselves. */
export async function polls(context: Context, actor: Actor): Promise<Polls> {
  const { db, clock } = context;
  const now = clock.now();
  const ids = (await groupsSeen(context, actor)).map(({ id }) => id);
  const rows = await pollsOf(db, actor.school, ids, POLLS);
  const votes = await votesOf(
    db,
    rows.map(({ id }) => id),
  );
  return {
    polls: rows.map((poll) => ({
      id: poll.id,
      session: poll.session,
      day: poll.day,
      group: poll.group_name,
      askedBy: poll.by_name,
      moment: momentOf(poll, now),
      questions: poll.questions.map((text, question) => asked(text, question, poll.id, votes, actor)),
    })),
    sessions: actor.role === 'trainee' ? [] : await sessionsToAsk(context, actor, ids, now),
  };
}

function asked(
  text: string,
  question: number,
  poll: string,
  votes: readonly VoteRow[],
  actor: Actor,
): Polls['polls'][number]['questions'][number] {
  const own = votes.filter((vote) => vote.poll === poll && vote.question === question);
  const mine = own.filter(({ person }) => person === actor.id);
  const { counts, says } = readiness(own);
  const shown = actor.role !== 'trainee' || mine.length > 0;
  return {
    text,
    own: Object.fromEntries(mine.map(({ moment, answer }) => [moment, answer])),
    counts: shown ? counts : null,
    says: shown ? says : 'Answer first, then you see how the others did.',
  };
}

async function sessionsToAsk(
  context: Context,
  actor: Actor,
  groups: readonly string[],
  now: Date,
): Promise<Polls['sessions']> {
  const { db } = context;
  const sessions = await groupSessions(
    db,
    actor.school,
    groups,
    new Date(now.getTime() - BACK),
    new Date(now.getTime() + AHEAD),
  );
  const trainees = await traineesOf(db, actor.school, [...new Set(sessions.map(({ group }) => group))]);
  const skills = await schoolStandings(
    context,
    actor.school,
    trainees.map(({ id }) => id),
  );
  return sessions.map(({ id, group, group_name, starts_at, zone }) => {
    const own = trainees.filter((each) => each.group === group).map((each) => each.id);
    return {
      id,
      group,
      groupName: group_name,
      day: dateAt(zone, starts_at),
      suggested: openSkills(skills, own)
        .slice(0, SUGGESTED)
        .map(({ skill }) => `Could you do this alone: ${skill.name}?`),
    };
  });
}

/** Asks a group of a session. */
export async function askPoll(
  context: Context,
  actor: Actor,
  body: Input<(typeof endpoints)['askPoll']>['body'],
): Promise<Polls> {
  const { db, clock } = context;
  const now = clock.now();
  const groups = (await groupsSeen(context, actor)).map(({ id }) => id);
  const session = (
    await groupSessions(db, actor.school, groups, new Date(now.getTime() - BACK), new Date(now.getTime() + AHEAD))
  ).find(({ id, group }) => id === body.session && group === body.group);
  if (!session) throw notFound('session');
  await insertPoll(db, {
    id: body.id,
    school: actor.school,
    session: session.id,
    starts_at: session.starts_at,
    day: dateAt(session.zone, session.starts_at),
    trainee_group: session.group,
    questions: body.questions,
    made_by: actor.id,
    made_at: now,
  });
  return polls(context, actor);
}

/** Keeps somebody's answers; those given again take the place of the earlier ones. */
export async function answerPoll(
  context: Context,
  actor: Actor,
  id: string,
  { moment, answers }: Input<(typeof endpoints)['answerPoll']>['body'],
): Promise<Polls> {
  const { db, clock } = context;
  const poll = await pollById(db, actor.school, id);
  const groups = await groupsSeen(context, actor);
  if (!poll || !groups.some((group) => group.id === poll.trainee_group)) throw notFound('poll');
  if (actor.role !== 'trainee')
    throw new Refusal(403, 'for trainees', 'Trainees of the group answer; you see what they said.');
  const now = clock.now();
  if (POLL_MOMENTS.indexOf(moment) > POLL_MOMENTS.indexOf(momentOf(poll, now)))
    throw new Refusal(422, 'too early', 'The lesson has not begun: answer what is asked before it.');
  const rows = answers
    .filter(({ question }) => question < poll.questions.length)
    .map(({ question, answer }) => ({ poll: id, person: actor.id, moment, question, answer, at: now }));
  if (rows.length > 0) await keepVotes(db, rows);
  return polls(context, actor);
}
