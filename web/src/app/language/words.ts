import { Pipe, type PipeTransform } from '@angular/core';
import type { Language } from '@brave-comb/core/language';
import { type LanguageTag, type Names, nameTables } from '@brave-comb/core/words/names';

export type NameSet = keyof Names;
export type IdOf<Set extends NameSet> = keyof Names[Set] & string;

let tag: LanguageTag = 'en';

/** From now on all is said in this language. Called once, before anything is shown. */
export const inLanguage = (language: LanguageTag): void => {
  tag = language;
};

/** In which language all is said. */
export const languageInUse = (): LanguageTag => tag;

/** What the ids of a set are called, for choices among them. */
export const namesOf = <Set extends NameSet>(set: Set): Readonly<Record<IdOf<Set>, string>> =>
  nameTables[tag].names[set] as Readonly<Record<IdOf<Set>, string>>;

/** What an id is called. */
export const named = <Set extends NameSet>(set: Set, id: IdOf<Set>): string => namesOf(set)[id] ?? id;

/** An id by its name: `{{ phase | named: 'phase' }}`. */
@Pipe({ name: 'named' })
export class Named implements PipeTransform {
  transform<Set extends NameSet>(id: IdOf<Set>, set: Set): string {
    return named(set, id);
  }
}

/** "Curlew, Dipper and Lapwing". */
export const listed = (parts: readonly string[]): string => nameTables[tag].list(parts);

/** How dates and clock times are written: "14 May", "Thu 14 May", "13:10". */
export const dateWords = (): Language['dates'] => nameTables[tag].dates;
