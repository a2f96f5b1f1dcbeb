import { Pipe, type PipeTransform } from '@angular/core';
import type { Text } from '@brave-comb/core/language';
import { inEnglish, names } from '@brave-comb/core/words';

type Names = typeof names;
export type NameSet = keyof Names;
export type IdOf<Set extends NameSet> = keyof Names[Set] & string;

/** What an id is called. */
export const named = <Set extends NameSet>(set: Set, id: IdOf<Set>): string =>
  (names[set] as Readonly<Record<string, string>>)[id] ?? id;

/** What the ids of a set are called, for choices among them. */
export const namesOf = <Set extends NameSet>(set: Set): Readonly<Record<IdOf<Set>, string>> =>
  names[set] as unknown as Readonly<Record<IdOf<Set>, string>>;

/** An id by its name: `{{ phase | named: 'phase' }}`. */
@Pipe({ name: 'named' })
export class Named implements PipeTransform {
  transform<Set extends NameSet>(id: IdOf<Set>, set: Set): string {
    return named(set, id);
  }
}

/** A sentence that was made on this device, in words. */
export const said = (text: Text): string => inEnglish(text);

/** The same in a template. */
@Pipe({ name: 'said' })
export class SaidPipe implements PipeTransform {
  transform(text: Text | null | undefined): string {
    return said(text ?? '');
  }
}
