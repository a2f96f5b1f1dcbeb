import { type Card, createEmptyCard, fsrs, generatorParameters, type Grade as Rated, Rating } from 'ts-fsrs';
import type { Grade } from './mark';

const RATED: Readonly<Record<Grade, Rated>> = {
  again: Rating.Again,
  hard: Rating.Hard,
  good: Rating.Good,
  easy: Rating.Easy,
};

/** Nine in ten are to be remembered on the day that something comes back; no lots are drawn, so that two devices reckon alike. */
const SCHEDULER = fsrs(generatorParameters({ request_retention: 0.9, enable_fuzz: false, enable_short_term: false }));

/** When something should be practised again. */
export interface Due {
  /** ISO instant; `null` for what was never practised. */
  readonly due: string | null;
  /** Days until nine in ten would still know it. */
  readonly stability: number;
  /** Chance that it is still known now, 0 to 1. */
  readonly known: number;
}

/**
 * When to practise something again, from all answers so far: spaced repetition by FSRS (the open algorithm, package ts-fsrs).
 *
 * @param answers their instants and grades, any order
 * @param now ISO instant
 * @returns when it is due; at once for what was never practised
 */
export function dueOf(answers: readonly { readonly at: string; readonly grade: Grade }[], now: string): Due {
  if (answers.length === 0) return { due: null, stability: 0, known: 0 };
  let card: Card = createEmptyCard(new Date(answers[0]!.at));
  for (const { at, grade } of answers.toSorted((a, b) => a.at.localeCompare(b.at)))
    card = SCHEDULER.next(card, new Date(at), RATED[grade]).card;
  return {
    due: card.due.toISOString(),
    stability: card.stability,
    known: SCHEDULER.get_retrievability(card, new Date(Math.max(Date.parse(now), card.last_review!.getTime())), false),
  };
}
