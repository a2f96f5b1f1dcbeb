import type { Language } from '../language';
import { english } from './en';
import type { LanguageTag } from './names';
import { pseudoOf } from './pseudo';

/** All that is said in each language. */
export const languages: Readonly<Record<LanguageTag, Language>> = { en: english, 'en-XA': pseudoOf(english) };
