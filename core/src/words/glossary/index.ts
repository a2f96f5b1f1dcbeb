import { englishGlossary } from '../en/glossary';
import type { LanguageTag } from '../names';
import { accented } from '../pseudo';
import type { Term } from './term';

export { SUBJECTS, type Subject, type Term } from './term';
export { termsIn, type Worded } from './terms-in';

const accentedTerm = (each: Term): Term => ({
  ...each,
  term: accented(each.term),
  meaning: accented(each.meaning),
  ...(each.also && { also: each.also.map(accented) }),
});

/** The words of the trade in each language. */
export const glossaries: Readonly<Record<LanguageTag, readonly Term[]>> = {
  en: englishGlossary,
  'en-US': englishGlossary,
  'en-XA': englishGlossary.map(accentedTerm),
};

/**
 * The words that somebody may mean.
 *
 * @param terms a glossary
 * @param typed any part of a word, of another name for it or of its meaning; all for nothing
 * @returns words whose name begins with it first, then those whose names hold it, then those whose meaning does; each in its order
 */
export function findTerms(terms: readonly Term[], typed: string): readonly Term[] {
  const wanted = typed.trim().toLowerCase();
  if (wanted === '') return terms;
  const names = ({ term, also = [] }: Term) => [term, ...also].map((name) => name.toLowerCase());
  const rank = (each: Term): number => {
    if (names(each).some((name) => name.split(/[\s,]+/).some((word) => word.startsWith(wanted)))) return 0;
    if (names(each).some((name) => name.includes(wanted))) return 1;
    return each.meaning.toLowerCase().includes(wanted) ? 2 : 3;
  };
  return [0, 1, 2].flatMap((wanted) => terms.filter((each) => rank(each) === wanted));
}
