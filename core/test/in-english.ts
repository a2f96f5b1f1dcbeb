import { type InWords, Unfit } from '../src/language';
import { inEnglish } from '../src/words';

/** A function that answers in sentences, answering in English: cases are told as a beekeeper reads them. */
export const answersInEnglish =
  <Given extends readonly unknown[], Told>(judge: (...given: Given) => Told) =>
  (...given: Given): InWords<Told> =>
    inEnglish(judge(...given));

/** What is said in English of something that cannot be used; fails where it can. */
export function unfitBy(use: () => unknown): string {
  try {
    use();
  } catch (error) {
    if (error instanceof Unfit) return inEnglish(error.says);
    throw error;
  }
  throw new Error('it was taken');
}
