import type { InWords } from '../src/language';
import { inEnglish } from '../src/words';

/** A function that answers in sentences, answering in English: cases are told as a beekeeper reads them. */
export const answersInEnglish =
  <Given extends readonly unknown[], Told>(judge: (...given: Given) => Told) =>
  (...given: Given): InWords<Told> =>
    inEnglish(judge(...given));
