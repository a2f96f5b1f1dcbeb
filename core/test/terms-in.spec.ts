import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { glossaries, termsIn } from '../src/words/glossary';

const marked = (text: string) =>
  termsIn(text, glossaries.en).flatMap(({ text: word, term }) => (term ? [[word, term.id]] : []));

describe('words of the trade in a sentence', () => {
  it.each<readonly [string, readonly (readonly [string, string])[]]>([
    ['Look for queen cells.', [['queen cells', 'queen-cell']]],
    [
      'Swarm cells, not supersedure.',
      [
        ['Swarm cells', 'swarm-cell'],
        ['supersedure', 'supersedure'],
      ],
    ],
    ['Queenright: eggs show it.', [['Queenright', 'queenright']]],
    [
      'A dearth, and after the dearth robbing has started.',
      [
        ['dearth', 'dearth'],
        ['robbing has started', 'robbing'],
      ],
    ],
    // Within another word, or joined to one, it is another word.
    ['Superseded, dearthless, a non-dearth.', []],
    // Everyday words and those of the screen stand unmarked.
    ['The queen, her brood and eggs in the super: publish it.', []],
    ['', []],
  ])('%s', (text, words) => {
    expect(marked(text)).toEqual(words);
  });

  it('lose nothing of the sentence, and mark no term twice', () => {
    const word = fc.constantFrom('dearth', 'swarm cell', 'cells', ' ', ', ', 'queen', 'hefting', 'Ä', '(', '.');
    fc.assert(
      fc.property(
        fc.array(word).map((words) => words.join('')),
        (text) => {
          const pieces = termsIn(text, glossaries.en);
          expect(pieces.map((piece) => piece.text).join('')).toBe(text);
          const ids = pieces.flatMap(({ term }) => (term ? [term.id] : []));
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
    );
  });

  it('work in every language of the application', () => {
    for (const terms of Object.values(glossaries)) {
      const term = terms.find(({ id }) => id === 'dearth')!;
      expect(termsIn(`x ${term.term} y`, terms).map((piece) => piece.term?.id ?? null)).toEqual([null, 'dearth', null]);
    }
  });
});
