import { Pipe, type PipeTransform } from '@angular/core';
import { type Text, wayOf } from '@brave-comb/core/language';
import type { UnitSystem } from '@brave-comb/core/units';
import { type LanguageTag, english, languages } from '@brave-comb/core/words';

type Names = typeof english.names;
export type NameSet = keyof Names;
export type IdOf<Set extends NameSet> = keyof Names[Set] & string;

let language: (typeof languages)[LanguageTag] = english;
let way = wayOf(language);

/** From now on all is said in this language. Called once, before anything is shown. */
export const inLanguage = (tag: LanguageTag): void => {
  language = languages[tag];
  way = wayOf(language);
};

/** From now on sentences tell their figures in these units. Called once, before anything is shown. */
export const inSystem = (system: UnitSystem): void => {
  way = wayOf(language, system);
};

/** What an id is called. */
export const named = <Set extends NameSet>(set: Set, id: IdOf<Set>): string =>
  (language.names[set] as Readonly<Record<string, string>>)[id] ?? id;

/** What the ids of a set are called, for choices among them. */
export const namesOf = <Set extends NameSet>(set: Set): Readonly<Record<IdOf<Set>, string>> =>
  language.names[set] as unknown as Readonly<Record<IdOf<Set>, string>>;

/** An id by its name: `{{ phase | named: 'phase' }}`. */
@Pipe({ name: 'named' })
export class Named implements PipeTransform {
  transform<Set extends NameSet>(id: IdOf<Set>, set: Set): string {
    return named(set, id);
  }
}

/** A sentence that was made on this device, in words. */
export const said = (text: Text): string => way.text(text);

/** "Curlew, Dipper and Lapwing". */
export const listed = (parts: readonly string[]): string => way.list(parts);

/** A sentence by its words, in a template. */
@Pipe({ name: 'said' })
export class SaidPipe implements PipeTransform {
  transform(text: Text | null | undefined): string {
    return said(text ?? '');
  }
}
