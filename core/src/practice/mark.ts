import type { Text } from '../language';
import { LAST_LEVEL } from './comb';
import { type TopicId, topicOf } from './topics';

/** How an answer is marked. */
export interface Mark {
  /** 0 nothing right to 1 all right. */
  readonly score: number;
  /** Good enough to count. */
  readonly right: boolean;
  /** What to take from it, in words. */
  readonly says: readonly Text[];
}

export const GRADES = ['again', 'hard', 'good', 'easy'] as const;
export type Grade = (typeof GRADES)[number];

/**
 * Seconds that the bees would give.
 *
 * @param topic what is practised
 * @param level 1 to 8
 * @returns seconds. Common practice
 * @example secondsFor('comb-brood', 1) // 90
 */
export function secondsFor(topic: TopicId, level: number): number {
  const [easy, hard] = topicOf(topic).seconds;
  return Math.round(easy + ((hard - easy) * (level - 1)) / (LAST_LEVEL - 1));
}

/**
 * What a mark means for when to come back to it: wrong is again, late or half right is hard, right in half the time easy.
 *
 * @param mark of the answer
 * @param seconds taken
 * @param allowed seconds that the bees would give
 * @returns the grade
 */
export function gradeOf(mark: Pick<Mark, 'score' | 'right'>, seconds: number, allowed: number): Grade {
  if (!mark.right) return mark.score >= 0.5 ? 'hard' : 'again';
  if (seconds > allowed) return 'hard';
  return seconds <= allowed / 2 ? 'easy' : 'good';
}

/** Answers of late from which a step follows: two right in a row go up, one wrong goes down. */
const RUN = 2;

/**
 * The level that suits somebody: two right in a row make it harder, one wrong easier. Such a staircase settles where seven in ten are
 * right (Levitt 1971, from memory: 70.7 in a hundred).
 *
 * @param answers of one topic, oldest first; whether each was right and at which level it was given
 * @returns 1 to 8
 * @example levelAfter([{ level: 1, right: true }, { level: 1, right: true }]) // 2
 */
export function levelAfter(answers: readonly { readonly level: number; readonly right: boolean }[]): number {
  let [level, run] = [1, 0];
  for (const each of answers) {
    if (each.level !== level) [level, run] = [each.level, 0];
    run = each.right ? run + 1 : 0;
    if (!each.right) level = Math.max(1, level - 1);
    else if (run >= RUN) [level, run] = [Math.min(LAST_LEVEL, level + 1), 0];
  }
  return level;
}
