import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { SUBJECTS, findTerms, glossaries } from '../src/words/glossary';

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
  const terms = glossaries.en;
  const said = [
    ...['core/src/words', 'server/src/words']
      .flatMap(filesIn)
      .filter((file) => !file.endsWith('en/glossary.ts'))
      .flatMap((file) => sentencesOf(file).map((text) => [file, text] as const)),
    ...filesIn('web/src/app').flatMap((file) => messagesOf(file).map((text) => [file, text] as const)),
    ...terms.map(({ id, meaning }) => [`glossary: ${id}`, meaning] as const),
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

  it('have a meaning each, and none twice; what is near them is there', () => {
    expect(new Set(terms.map(({ term }) => term)).size).toBe(terms.length);
    const ids = terms.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(terms.flatMap(({ see = [] }) => see).filter((id) => !ids.includes(id))).toEqual([]);
    expect(SUBJECTS.filter((subject) => !terms.some(({ about }) => about === subject))).toEqual([]);
    expect(terms.filter(({ meaning }) => meaning.length < 8 || meaning.endsWith('.'))).toEqual([]);
  });

  it('stand in the glossary of the project as in the one of the application', async () => {
    const rows = [
      ['term', 'meaning', 'not'],
      ...terms.map(({ term, meaning, not = [] }) => [term, meaning, not.join('; ')] as const),
    ];
    const wide = [0, 1, 2].map((at) => Math.max(...rows.map((row) => row[at]!.length)));
    const line = (cells: readonly string[]) => `| ${cells.map((cell, at) => cell.padEnd(wide[at]!)).join(' | ')} |`;
    const [head, ...body] = rows;
    const table = [line(head!), line(wide.map((width) => '-'.repeat(width))), ...body.map(line)].join('\n');
    await expect(
      `# Glossary

One word for one thing, as beekeepers say it. **Not** lists what no screen, message or paper of ours says; a test holds every sentence of
the product against it. A phrase in quotes is matched as it is written, any other as whole words. The list is
\`core/src/words/en/glossary.ts\`, which the application shows under Glossary.

${table}
`,
    ).toMatchFileSnapshot('../../docs/glossary.md');
  });

  it.each([
    ['nuc', 'nucleus', 'another name'],
    ['lid', 'roof', 'what a beginner calls it'],
    ['excluder', 'queen excluder', 'the second word of a name'],
    ['peanut', 'queen cell', 'a word of the meaning'],
    ['QUEENRIGHT', 'queenright', 'in capitals'],
  ])('are found by "%s": %s, %s', (typed, term) => {
    expect(findTerms(terms, typed)[0]?.term).toBe(term);
  });

  it('are all there for nothing typed, and none for what nobody says', () => {
    expect(findTerms(terms, ' ')).toEqual(terms);
    expect(findTerms(terms, 'xyzzy')).toEqual([]);
    expect(glossaries['en-XA'].every(({ term }) => !/[a-z]/i.test(term))).toBe(true);
  });

  const banned = terms.flatMap(({ term, not = [] }) => not.map((each) => [each, term] as const));
  it.each(banned)('never say %s, but %s', (phrase, _term) => {
    const exact = /^"(.*)"$/.exec(phrase)?.[1];
    const pattern = exact ? new RegExp(`\\b${exact}\\b`) : new RegExp(`\\b${phrase}\\b`, 'i');
    expect(said.filter(([, text]) => pattern.test(text)).map(([file, text]) => `${file}: ${text.trim()}`)).toEqual([]);
  });
});
