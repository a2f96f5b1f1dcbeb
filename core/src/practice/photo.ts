import type { Mark } from './mark';

/** A photo with a question. */
export interface PhotoQuestion {
  readonly question: string;
  readonly choices: readonly string[];
  /** Place of the right choice. */
  readonly answer: number;
  readonly says: string;
}

/** Marks a choice. */
export function markPhoto(choice: number, { choices, answer, says }: PhotoQuestion): Mark {
  const right = choice === answer;
  return { score: right ? 1 : 0, right, says: [`It shows: ${choices[answer]!}.`, ...(says === '' ? [] : [says])] };
}
