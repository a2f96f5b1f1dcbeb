import { roundTo } from '../../units';
import type { ColonyEstimate, Estimate } from '../side/estimates';
import { say } from '../said';
import { type Text } from '../../language';

export const CHANGE_WORDS = ['more', 'less', 'perhaps-more', 'perhaps-less', 'the-same'] as const;
export type ChangeWord = (typeof CHANGE_WORDS)[number];

/** Two figures closer than this (frames or kg) are called the same. */
const SAME_WITHIN = 0.08;

/**
 * How a figure moved between two visits. "More" and "less" only when the ranges do not overlap.
 *
 * @param last figure of the earlier visit
 * @param now figure of the later visit
 * @returns the word to say
 * @example changeWord({ value: 1.8, low: 1.6, high: 2 }, { value: 2.5, low: 2.3, high: 2.7 }) // 'more'
 */
export function changeWord(last: Estimate, now: Estimate): ChangeWord {
  if (Math.abs(now.value - last.value) < SAME_WITHIN) return 'the-same';
  if (now.low > last.high) return 'more';
  if (now.high < last.low) return 'less';
  return now.value > last.value ? 'perhaps-more' : 'perhaps-less';
}

/** One line of the table that sets two visits side by side. */
export interface MeasureChange {
  readonly measure: Text;
  readonly unit: 'frames' | 'kg';
  readonly last: Estimate | null;
  readonly now: Estimate | null;
  readonly difference: number | null;
  readonly word: ChangeWord | null;
}

const MEASURES: readonly [Text, 'frames' | 'kg', (colony: ColonyEstimate) => Estimate | null][] = [
  [say('frames-bees'), 'frames', (colony) => colony.framesOfBees],
  [say('eggs'), 'frames', (colony) => colony.eggs],
  [say('larvae'), 'frames', (colony) => colony.larvae],
  [say('sealed-worker'), 'frames', (colony) => colony.sealedWorker],
  [say('sealed-drone'), 'frames', (colony) => colony.sealedDrone],
  [say('pollen'), 'frames', (colony) => colony.pollen],
  [say('stores'), 'kg', (colony) => colony.storesKg],
  [say('empty-drawn-comb'), 'frames', (colony) => colony.emptyComb],
  [say('bare-foundation'), 'frames', (colony) => colony.foundation],
];

/**
 * Sets two estimates side by side. Of a visit that read nothing no figure stands.
 *
 * @param last earlier visit, `null` when there is none
 * @param now later visit
 * @returns one line a measure, in the order of the trade's four headings
 */
export function compareColonies(last: ColonyEstimate | null, now: ColonyEstimate): readonly MeasureChange[] {
  return MEASURES.map(([measure, unit, of]) => {
    const before = last?.known ? of(last) : null;
    const after = now.known ? of(now) : null;
    const both = before && after;
    return {
      measure,
      unit,
      last: before,
      now: after,
      difference: both ? roundTo(after.value - before.value, 2) : null,
      word: both ? changeWord(before, after) : null,
    };
  });
}
