import type { Language } from '../language';
import { english } from './en';
import { americanDates } from './en/dates';
import type { LanguageTag } from './names';
import { pseudoOf } from './pseudo';

/** All that is said in each language. */
export const languages: Readonly<Record<LanguageTag, Language>> = {
  en: english,
  'en-US': { ...english, dates: americanDates },
  'en-XA': pseudoOf(english),
};
