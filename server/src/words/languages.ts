import { type InWords, type Language, type Way, inWords, wayOf } from '@brave-comb/core/language';
import { type LanguageTag, english as core, pseudoOf } from '@brave-comb/core/words';
import { serverSentences } from './en';
import { plannedNames, refusalSentences, thingNames } from './en-refusals';

/** English as it is said here: what the core says, and what only the server does. */
export const english: Language = {
  ...core,
  names: { ...core.names, thing: thingNames, planned: plannedNames },
  sentences: { ...core.sentences, server: { ...serverSentences, ...refusalSentences } },
};
/** How somebody is written to, by language. */
export const ways: Readonly<Record<LanguageTag, Way>> = {
  en: wayOf(english),
  'en-XA': wayOf(pseudoOf(english)),
};

/** The same value with every sentence in somebody's language. */
export const inLanguage = <T>(value: T, tag: LanguageTag): InWords<T> => inWords(value, ways[tag]);

/** The same value with every sentence in English. */
export const inEnglish = <T>(value: T): InWords<T> => inLanguage(value, 'en');
