import type { SideAddress } from '../inspection';
import type { ReadingPair } from '../skills';
import { meanOf } from '../statistics';
import { type Grade, levelAfter } from './mark';
import { type Due, dueOf } from './schedule';
import { TOPICS, type TopicId } from './topics';

/** One answer that was marked. */
export interface PracticeResult {
  readonly id: string;
  readonly trainee: string;
  readonly topic: TopicId;
  /** ISO instant. */
  readonly at: string;
  readonly level: number;
  readonly seconds: number;
  readonly score: number;
  readonly right: boolean;
  readonly grade: Grade;
  /** Eighths read and true, for combs. */
  readonly read: ReadingPair['read'] | null;
  readonly truth: ReadingPair['reference'] | null;
  /** What eggs lay on, where that was drawn. */
  readonly ground: string | null;
  /** What was read, for drills from the record: a second answer to it is not kept. */
  readonly recorded: { readonly visit: string; readonly address: SideAddress | null } | null;
}

/** How somebody stands with one topic. */
export interface Progress extends Due {
  readonly topic: TopicId;
  readonly answers: number;
  /** Of the last ten, how many were right; `null` without any. */
  readonly rightOfLate: number | null;
  readonly level: number;
}

/** Answers that count as "of late". */
export const OF_LATE = 10;

/**
 * How somebody stands with every topic.
 *
 * @param results of one person, any order
 * @param now ISO instant
 * @returns a line for each topic, in the order of a visit
 */
export function progressOf(results: readonly PracticeResult[], now: string): readonly Progress[] {
  return TOPICS.map(({ id }): Progress => {
    const own = results.filter(({ topic }) => topic === id).toSorted((a, b) => a.at.localeCompare(b.at));
    const late = own.slice(-OF_LATE);
    return {
      topic: id,
      answers: own.length,
      rightOfLate: late.length === 0 ? null : meanOf(late.map(({ right }) => Number(right))),
      level: levelAfter(own),
      ...dueOf(own, now),
    };
  });
}

/** What to practise first: what is due, the longest overdue first, then what was never tried. */
export const toPractise = (progress: readonly Progress[], now: string): readonly Progress[] => [
  ...progress.filter(({ due }) => due !== null && due <= now).sort((a, b) => a.due!.localeCompare(b.due!)),
  ...progress.filter(({ due }) => due === null),
];
