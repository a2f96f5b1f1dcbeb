import { say } from './said';
import { type Text, inOne } from '../language';
/** What somebody says of a question before and after a lesson. */
export const POLL_ANSWERS = ['yes', 'no', 'unsure'] as const;
export type PollAnswer = (typeof POLL_ANSWERS)[number];
export const POLL_MOMENTS = ['before', 'after'] as const;
export type PollMoment = (typeof POLL_MOMENTS)[number];

/** One answer of one person. */
export interface Vote {
  readonly person: string;
  readonly moment: PollMoment;
  readonly answer: PollAnswer;
}

/** How a group answered one question. */
export interface Readiness {
  readonly counts: Readonly<Partial<Record<PollMoment, Readonly<Record<PollAnswer, number>>>>>;
  /** In words: who is unsure, and what the lesson changed. */
  readonly says: Text;
}

const count = (votes: readonly Vote[]): Record<PollAnswer, number> => ({
  yes: votes.filter(({ answer }) => answer === 'yes').length,
  no: votes.filter(({ answer }) => answer === 'no').length,
  unsure: votes.filter(({ answer }) => answer === 'unsure').length,
});

const notReady = ({ no, unsure }: Record<PollAnswer, number>): number => no + unsure;
const all = ({ yes, no, unsure }: Record<PollAnswer, number>): number => yes + no + unsure;

/**
 * How ready a group says it is for one thing, before a lesson and after.
 *
 * @param votes on one question, one of each person and moment
 * @returns counts for each moment with answers, and what they say
 * @example readiness([{ person: 'a', moment: 'before', answer: 'unsure' }]).says.say // 'practice/not-ready-of'
 */
export function readiness(votes: readonly Vote[]): Readiness {
  const at = (moment: PollMoment) => votes.filter((vote) => vote.moment === moment);
  const [before, after] = [at('before'), at('after')];
  const counts = {
    ...(before.length > 0 ? { before: count(before) } : {}),
    ...(after.length > 0 ? { after: count(after) } : {}),
  };
  return { counts, says: saysOf(before, after) };
}

function saysOf(before: readonly Vote[], after: readonly Vote[]): Text {
  if (before.length === 0 && after.length === 0) return say('nobody-answered-yet');
  const [first, last] = [count(before), count(after)];
  if (after.length === 0) return say('not-ready-of', { notReady: notReady(first), all: all(first) });
  if (before.length === 0) return say('still-ready', { notReady: notReady(last), all: all(last) });
  const both = after.flatMap((vote) => {
    const earlier = before.find(({ person }) => person === vote.person);
    return earlier ? [{ from: earlier.answer, to: vote.answer }] : [];
  });
  const gained = both.filter(({ from, to }) => from !== 'yes' && to === 'yes').length;
  const lost = both.filter(({ from, to }) => from === 'yes' && to !== 'yes').length;
  return inOne([
    say('ready-before-after', {
      before: notReady(first),
      ofBefore: all(first),
      after: notReady(last),
      ofAfter: all(last),
    }),
    ...(gained > 0 ? [say('gained', { gained })] : []),
    // Whoever finds out that it is harder than it looked has learned something too.
    ...(lost > 0 ? [say('less-sure-than-before-ask', { lost })] : []),
  ]);
}
