import { Pipe, type PipeTransform } from '@angular/core';
import { type Text, type Way, wayOf } from '@brave-comb/core/language';
import { languages } from '@brave-comb/core/words';
import { unitsInUse } from './units';
import { languageInUse } from './words';

let way: Way | null = null;

/** A sentence that was made on this device, in words. Language and units are those in which the page was opened. */
export const said = (text: Text): string => (way ??= wayOf(languages[languageInUse()], unitsInUse())).text(text);

/** A sentence by its words, in a template. */
@Pipe({ name: 'said' })
export class SaidPipe implements PipeTransform {
  transform(text: Text | null | undefined): string {
    return said(text ?? '');
  }
}
