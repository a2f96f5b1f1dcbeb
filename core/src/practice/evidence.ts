import type { Checklist, Skill } from '../skills';
import type { PracticeResult } from './progress';
import { topicOf } from './topics';

/** Easier drills show nothing yet. */
const FROM_LEVEL = 3;

/**
 * Skills that an answer is weak evidence for: right, in the time that the bees would give, from the third level on; of those skills of the
 * school's list that may be shown indoors at all. How many of them count is up to the skill's rule.
 *
 * @param result the answer
 * @param checklist the school's list
 * @returns the skills
 */
export function shownInPractice(
  { topic, level, right, grade }: Pick<PracticeResult, 'topic' | 'level' | 'right' | 'grade'>,
  { skills }: Checklist,
): readonly Skill[] {
  if (!right || level < FROM_LEVEL || (grade !== 'good' && grade !== 'easy')) return [];
  const meant = topicOf(topic).skills;
  return skills.filter(
    ({ id, from, rule }) => rule.indoors > 0 && (meant.includes(id) || from.some((each) => meant.includes(each))),
  );
}
