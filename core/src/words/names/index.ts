import type { Language } from '../../language';
import { americanDates } from '../en/dates';
import { englishNames } from '../en/names';
import { pseudoOf } from '../pseudo';

/** The languages that there are, by the tag that a browser asks with. `en-XA` is nobody's: it shows what was never translated. */
export type LanguageTag = 'en' | 'en-US' | 'en-XA';

/** What every screen needs of each language: names, lists and dates. Sentences are many, and come with the screens that make some. */
export const nameTables: Readonly<Record<LanguageTag, Language>> = {
  en: englishNames,
  'en-US': { ...englishNames, dates: americanDates },
  'en-XA': pseudoOf(englishNames),
};

/**
 * The language for somebody.
 *
 * @param asked tags as a browser gives them, the best liked first
 * @returns the first that there is, or that there is for its language; English where there is none
 * @example languageFor(['de-AT', 'en-GB']) // 'en'
 */
export const languageFor = (asked: readonly string[]): LanguageTag =>
  asked.flatMap((tag) => [tag, tag.split('-')[0]!]).find((tag): tag is LanguageTag => Object.hasOwn(nameTables, tag)) ??
  'en';

/** Sets of ids that have names, with the ids of each. */
export type Names = typeof englishNames.names;

export { accented } from '../pseudo';
