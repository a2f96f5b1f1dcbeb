import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { rowsOf } from './case-tables';

const ROOT = join(import.meta.dirname, '../..');
const filesIn = (folder: string) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(ts|html)$/.test(file) && !file.endsWith('.spec.ts'))
    .map((file) => `${folder}/${file}`);
const without = (text: string) => text.replaceAll(/\$\{[^}]*\}/g, '…').replaceAll(/\s+/g, ' ');

/** An id of ours, as `dome-shaped`: nobody reads it. */
const ID = /^[a-z0-9]+(-[a-z0-9]+)+$/;

/** Sentences of the catalogues, in quotes or backticks. */
const sentencesOf = (file: string): readonly string[] =>
  [
    ...readFileSync(join(ROOT, file), 'utf8').matchAll(
      /(?:[:?(=>+,[]\s*|\$\{[^}]*\?\s*)(['`"])((?:(?!\1)[^\\]|\\.)*)\1/g,
    ),
  ]
    .map(([, , text]) => without(text!))
    .filter((text) => !ID.test(text));
/** Messages of a screen: `$localize` in its code; in its template texts, labels and names. */
const messagesOf = (file: string): readonly string[] => {
  const source = readFileSync(join(ROOT, file), 'utf8');
  const template = file.endsWith('.html') ? source : (/template: `([\s\S]*?)`,\n/.exec(source)?.[1] ?? '');
  return [
    ...[...source.matchAll(/\$localize`((?:[^`\\]|\\.)*)`/g)].map(([, text]) => text!),
    ...[...template.matchAll(/>([^<>]*[A-Za-z]{2}[^<>]*)</g)].map(([, text]) =>
      text!.replaceAll(/@(if|else|for|switch|case)[^{]*/g, ''),
    ),
    ...[...template.matchAll(/\b(?:aria-label|ariaLabel|legend|label|name|title|placeholder|says)="([^"]*)"/g)].map(
      ([, text]) => text!,
    ),
  ].map((text) => without(text.replaceAll(/\{\{[^}]*\}\}/g, '…')));
};

describe('the words of the product', () => {
  const rows = rowsOf(readFileSync(join(ROOT, 'docs/glossary.md'), 'utf8'));
  const said = [
    ...['core/src/words', 'server/src/words']
      .flatMap(filesIn)
      .flatMap((file) => sentencesOf(file).map((text) => [file, text] as const)),
    ...filesIn('web/src/app').flatMap((file) => messagesOf(file).map((text) => [file, text] as const)),
  ];

  it('are read from where they are said', () => {
    expect(said.length).toBeGreaterThan(3000);
    const texts = said.map(([, text]) => text);
    for (const known of [
      'sunken cappings',
      'Caps Lock is on.',
      'Page not found',
      'Robbing has started: cloth over all but this frame, keep honey covered, no drop of syrup, close early.',
    ])
      expect(texts.some((text) => text.includes(known))).toBe(true);
  });

  it('have a meaning each, and none twice', () => {
    const terms = rows.map(([term]) => term);
    expect(new Set(terms).size).toBe(terms.length);
    for (const [term, meaning] of rows) expect([term, meaning]).not.toContain('');
  });

  const banned = rows.flatMap(([term, , not]) =>
    not!
      .split(';')
      .map((each) => each.trim())
      .filter(Boolean)
      .map((each) => [each, term!] as const),
  );
  it.each(banned)('never say %s, but %s', (phrase, _term) => {
    const exact = /^"(.*)"$/.exec(phrase)?.[1];
    const pattern = exact ? new RegExp(`\\b${exact}\\b`) : new RegExp(`\\b${phrase}\\b`, 'i');
    expect(said.filter(([, text]) => pattern.test(text)).map(([file, text]) => `${file}: ${text.trim()}`)).toEqual([]);
  });
});
