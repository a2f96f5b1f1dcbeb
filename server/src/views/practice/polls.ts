import { say } from '../../words';
import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { readiness } from '@brave-comb/core/practice';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { openSkills, schoolStandings } from '../../facts/skills';
import { traineesOf } from '../../records/people';
import { AHEAD, BACK, groupSessions, momentOf, pollsOf, type VoteRow, votesOf } from '../../records/practice';
import { groupsSeen } from '../../records/skills';

type Polls = Output<(typeof endpoints)['polls']>;

const POLLS = 12;

const SUGGESTED = 4;

/** What groups are asked before and after a lesson. Trainees see how others answered once they have answered themselves. */
export async function polls(context: Context, actor: Actor): Promise<Sayable<Polls>> {
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
): Sayable<Polls['polls'][number]['questions'][number]> {
  const own = votes.filter((vote) => vote.poll === poll && vote.question === question);
  const mine = own.filter(({ person }) => person === actor.id);
  const { counts, says } = readiness(own);
  const shown = actor.role !== 'trainee' || mine.length > 0;
  return {
    text,
    own: Object.fromEntries(mine.map(({ moment, answer }) => [moment, answer])),
    counts: shown ? counts : null,
    says: shown ? says : say('answer-first'),
  };
}

async function sessionsToAsk(
  context: Context,
  actor: Actor,
  groups: readonly string[],
  now: Date,
): Promise<Sayable<Polls['sessions']>> {
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
        .map(({ skill }) => say('poll-suggested', { skill: skill.name })),
    };
  });
}
