import { describe, expect, it } from 'vitest';
import { parseSide, showsWord, WORDS_SHOWN } from '../src/inspection';
import { glossaries } from '../src/words/glossary';

/** A side in shorthand, and all the words of the glossary that it shows. */
const CASES: readonly (readonly [string, readonly string[]])[] = [
  ['', []],
  ['Q', ['queen']],
  ['2E 2L 3S 1P', ['egg', 'larva', 'open-brood', 'sealed-brood', 'bee-bread']],
  // A few cells are a showing too.
  ['+E 8H', ['egg', 'open-brood', 'ripe-honey']],
  ['2D', ['sealed-brood', 'drone-comb']],
  // A cup, or a cup with an egg, is no queen cell of which anybody need be afraid; the egg makes it one to watch.
  ['cup@edge', ['queen-cup']],
  ['egg@edge', ['queen-cup', 'queen-cell', 'swarm-cell']],
  ['larva@edge sealed@edge', ['queen-cell', 'swarm-cell']],
  ['sealed@face', ['queen-cell', 'supersedure']],
  // One that was counted and not looked into may be either: it is shown as a cell.
  ['K1', ['queen-cell']],
  // The young queen has left it, or it was torn down.
  ['emerged@edge', []],
  ['torn@face', []],
  ['4S .spotty', ['sealed-brood', 'spotty-brood']],
  // What may be disease is shown under foulbrood, for it is there that one reads what to do.
  ['4S .sunken', ['sealed-brood', 'cappings', 'foulbrood']],
  ['.chalk', ['chalkbrood']],
  ['.mites', ['varroa']],
  ['.deformed', ['varroa']],
  ['.beetles .moth', ['hive-beetle', 'wax-moth']],
  ['8F', ['undrawn-foundation']],
  ['1X', ['damaged-comb']],
  ['.brace .stuck', ['stray-comb', 'propolised']],
  ['3N .drips', ['nectar']],
];

describe('words that a side shows', () => {
  it.each(CASES)('"%s"', (line, words) => {
    const side = parseSide(line);
    expect(WORDS_SHOWN.filter((word) => showsWord(word, side)).toSorted()).toEqual(words.toSorted());
  });

  it('are words of the glossary', () => {
    const known = glossaries.en.map(({ id }) => id);
    expect(WORDS_SHOWN.filter((word) => !known.includes(word))).toEqual([]);
    expect(showsWord('a word nobody knows', parseSide('4S'))).toBe(false);
  });
});
