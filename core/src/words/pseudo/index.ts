import type { Language } from '../../language';
import { accented } from './accents';

const each = <Value, Made>(record: Readonly<Record<string, Value>>, make: (value: Value) => Made) =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, make(value)]));

const sentence = (made: unknown): unknown =>
  typeof made === 'function'
    ? (facts: unknown, way: unknown) => accented((made as (facts: unknown, way: unknown) => string)(facts, way))
    : accented(made as string);

/**
 * A language made of another that nobody speaks: what stays plain on a screen was never given to a translator.
 *
 * @param language the language that is accented
 * @returns the same sentences and names, accented and lengthened
 */
export const pseudoOf = (language: Language): Language => ({
  ...language,
  sentences: each(language.sentences, (room) => each(room, sentence)),
  names: each(language.names, (set) => each(set, accented)),
  // What joins the parts is accented, the parts are already.
  list: (parts) =>
    parts.length < 2 ? language.list(parts) : `${parts.slice(0, -1).join(', ')} ${accented('and')} ${parts.at(-1)}`,
});

export { accented } from './accents';
