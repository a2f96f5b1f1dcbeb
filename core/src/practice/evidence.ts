import type { Checklist, Skill } from '../skills';
import { secondsFor } from './mark';
import type { PracticeResult } from './progress';
import type { Answer } from './drills';
import type { TopicId } from './topics';

/** Easier drills show nothing yet. */
const FROM_LEVEL = 3;

/** Nobody reads a comb and enters its eighths in a tenth of the time that the bees would give. */
const HURRIED = 0.1;

/**
 * What each topic asks, by the skills of the usual checklist: what it does not ask, it does not show. Reading eighths says nothing of the age of
 * larvae, of weight, or of causes.
 */
const ASKED: Readonly<Record<TopicId, readonly string[]>> = {
  weather: ['reads-weather'],
  order: ['keeps-parts', 'closes-complete', 'smokes-in-order'],
  'comb-brood': ['tells-contents', 'draws-frame'],
  'comb-young': ['tells-contents'],
  'comb-stores': ['tells-contents'],
  'comb-drones': ['tells-contents'],
  'comb-spotty': ['tells-contents'],
  'comb-building': ['tells-contents'],
  'comb-record': ['tells-contents', 'draws-frame'],
  'find-eggs': ['finds-eggs'],
  'find-two-eggs': ['finds-eggs'],
  'find-queen': [],
  'find-sunken': ['suspect-lids'],
  trouble: [],
  stop: ['knows-enough'],
  next: [],
  photos: [],
};

/** Skills that a right answer shows, where that depends on what was right. */
function askedBy(topic: TopicId, answer: Answer): readonly string[] {
  if (answer.kind === 'next')
    return answer.advice === 'add-space' ? ['decides-room'] : answer.advice === 'feed' ? ['decides-feed'] : [];
  if (answer.kind === 'trouble')
    return answer.trouble === 'sunken-lids'
      ? ['suspect-lids']
      : answer.trouble === 'twisted-larvae'
        ? ['larvae-shine']
        : [];
  // To stop because of the bees, the rain or the clock is not to have seen enough.
  if (answer.kind === 'stop') return answer.answer === 'go-on' || answer.answer === 'enough-seen' ? ASKED.stop : [];
  return ASKED[topic];
}

/** An answer with how it was come by. */
export interface PracticeShown extends Pick<PracticeResult, 'topic' | 'level' | 'right' | 'grade' | 'seconds'> {
  readonly answer: Answer;
  /** Read from the table of counts instead of the comb. */
  readonly asTable: boolean;
}

/**
 * Skills that an answer is weak evidence for: right, read from the comb and not from a table, in the time that the bees would give and not in
 * no time, from the third level on; of those skills of the school's list that may be shown indoors at all. How many of
 * them count is up to the skill's rule.
 *
 * @param shown the answer and how it was come by
 * @param checklist the school's list
 * @returns the skills
 */
export function shownInPractice(shown: PracticeShown, { skills }: Checklist): readonly Skill[] {
  const { topic, level, right, grade, seconds, answer, asTable } = shown;
  if (!right || asTable || level < FROM_LEVEL || (grade !== 'good' && grade !== 'easy')) return [];
  if (answer.kind === 'comb' && seconds < HURRIED * secondsFor(topic, level)) return [];
  const meant = askedBy(topic, answer);
  return skills.filter(
    ({ id, from, rule }) => rule.indoors > 0 && (meant.includes(id) || from.some((each) => meant.includes(each))),
  );
}
