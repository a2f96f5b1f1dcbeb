import { languageFor } from '@brave-comb/core/words/names';
import { accentedMessage } from './accented-messages';
import { dateWords, inLanguage } from './words';

/** What `$localize` asks for another language's text of a message. */
interface Localize {
  translate?: (
    parts: TemplateStringsArray,
    values: readonly unknown[],
  ) => readonly [TemplateStringsArray, readonly unknown[]];
}

/** A part of a message without the name of the placeholder before it, or its note for translators: `:INTERPOLATION:`. */
const withoutNote = (part: string, raw: string): string =>
  raw.startsWith(':') ? part.slice(part.indexOf(':', 1) + 1) : part;

/** What makes the messages of screens in languages other than the one that they are written in. */
const MESSAGES: Readonly<Record<string, Localize['translate']>> = {
  'en-XA': (parts, values) => {
    const texts = parts.map((part, index) => accentedMessage(withoutNote(part, parts.raw[index]!)));
    return [Object.assign(texts, { raw: texts.map(() => '') }), values];
  },
};

/**
 * Says everything in the language that the browser asks for. Called once, before anything of the application is loaded:
 * many texts are made as their file is.
 *
 * @param asked the browser's languages, the best liked first
 */
export function speak(asked: readonly string[]): void {
  const tag = languageFor(asked);
  inLanguage(tag);
  const { $localize } = globalThis as unknown as { $localize: Localize };
  const translate = MESSAGES[tag];
  if (translate) $localize.translate = translate;
  document.documentElement.lang = tag === 'en-XA' ? tag : dateWords().locale;
}
