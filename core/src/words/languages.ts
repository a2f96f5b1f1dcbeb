import type { Language } from '../language';
import { english } from './en';
import { pseudoOf } from './pseudo';

/** The languages that there are, by the tag that a browser asks with. `en-XA` is nobody's: it shows what was never translated. */
export const languages = { en: english, 'en-XA': pseudoOf(english) } satisfies Record<string, Language>;

export type LanguageTag = keyof typeof languages;

/**
 * The language for somebody.
 *
 * @param asked tags as a browser gives them, the best liked first
 * @returns the first that there is, or that there is for its language; English where there is none
 * @example languageFor(['de-AT', 'en-GB']) // 'en'
 */
export const languageFor = (asked: readonly string[]): LanguageTag =>
  asked.flatMap((tag) => [tag, tag.split('-')[0]!]).find((tag): tag is LanguageTag => Object.hasOwn(languages, tag)) ??
  'en';
