import { type InWords, type Language, type Way, inWords, wayOf } from '@brave-comb/core/language';
import { type LanguageTag, americanDates, english as core, pseudoOf } from '@brave-comb/core/words';
import type { UnitSystem } from '@brave-comb/core/units';
import { serverSentences } from './en';
import { plannedNames, refusalSentences, thingNames } from './en-refusals';

/** English as it is said here: what the core says, and what only the server does. */
export const english: Language = {
  ...core,
  names: { ...core.names, thing: thingNames, planned: plannedNames },
  sentences: { ...core.sentences, server: { ...serverSentences, ...refusalSentences } },
};
const languages: Readonly<Record<LanguageTag, Language>> = {
  en: english,
  'en-US': { ...english, dates: americanDates },
  'en-XA': pseudoOf(english),
};
const inEach = (language: Language): Readonly<Record<UnitSystem, Way>> => ({
  metric: wayOf(language, 'metric'),
  british: wayOf(language, 'british'),
  imperial: wayOf(language, 'imperial'),
});
/** How somebody is written to, by language and units. */
export const ways: Readonly<Record<LanguageTag, Readonly<Record<UnitSystem, Way>>>> = {
  en: inEach(languages.en),
  'en-US': inEach(languages['en-US']),
  'en-XA': inEach(languages['en-XA']),
};

/** The same value with every sentence in somebody's language and units. */
export const inLanguage = <T>(value: T, tag: LanguageTag, units: UnitSystem = 'metric'): InWords<T> =>
  inWords(value, ways[tag][units]);

/** The same value with every sentence in English. */
export const inEnglish = <T>(value: T): InWords<T> => inLanguage(value, 'en');
