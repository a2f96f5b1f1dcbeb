import { accented } from '@brave-comb/core/words/names';

/** A message of plurals or choices: `{VAR_PLURAL, plural, =1 {one skill} other {{INTERPOLATION} skills}}`. */
const CHOICES = /^\s*\{\w+,\s*(plural|select),/;
/** What stands for a value: `{INTERPOLATION}`. */
const VALUE = /^\{\w+\}/;
const TAG = /^<[^>]*>/;

/**
 * A text of a message, accented where a translator would write.
 *
 * @param message a part between two placeholders, or a message of plurals or choices
 * @returns the same with its keywords, values and tags as they were
 */
export function accentedMessage(message: string): string {
  return within(message, 0, message.length);
}

function within(text: string, from: number, to: number): string {
  let made = '';
  let plain = '';
  const told = () => {
    made += accented(plain);
    plain = '';
  };
  let at = from;
  while (at < to) {
    const rest = text.slice(at, to);
    const kept = (VALUE.exec(rest) ?? TAG.exec(rest))?.[0];
    if (kept !== undefined) {
      told();
      made += kept;
      at += kept.length;
    } else if (CHOICES.test(rest)) {
      told();
      const end = closing(text, at + rest.indexOf('{'));
      made += cases(text, at, end);
      at = end;
    } else {
      plain += text.charAt(at);
      at += 1;
    }
  }
  told();
  return made;
}

/** The cases of `{count, plural, =1 {…} other {…}}`: keys as they are, what stands within each accented. */
function cases(text: string, from: number, end: number): string {
  let at = text.indexOf(',', text.indexOf(',', from) + 1) + 1;
  let made = text.slice(from, at);
  while (at < end - 1) {
    const open = text.indexOf('{', at);
    if (open === -1 || open >= end - 1) break;
    const close = closing(text, open);
    made += `${text.slice(at, open + 1)}${within(text, open + 1, close - 1)}}`;
    at = close;
  }
  return made + text.slice(at, end);
}

/** The place after the brace that closes the one at `open`. */
function closing(text: string, open: number): number {
  let depth = 0;
  for (let at = open; at < text.length; at += 1) {
    if (text[at] === '{') depth += 1;
    if (text[at] === '}') depth -= 1;
    if (depth === 0) return at + 1;
  }
  return text.length;
}
