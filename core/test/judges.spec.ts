import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Advice, type AdviceKind } from '../src/care';
import { type Situation, judgeSituation } from '../src/situation';
import { inEnglish } from '../src/words';
import { casesOf, rowsOf } from './case-tables';

const JUDGES: readonly (readonly [table: string, kind: AdviceKind])[] = [
  ['entrance', 'entrance'],
  ['food', 'feed'],
  ['health', 'health'],
  ['mites', 'mites'],
  ['protein', 'protein'],
  ['queen', 'queen'],
  ['space', 'add-space'],
  ['strength', 'strength'],
];

const english = (advice: readonly Advice[]) => inEnglish(advice);

describe.each(JUDGES)('the table of %s', (table, kind) => {
  const cases = casesOf(table);

  it('has cases enough, a third of them where nothing is to be said', () => {
    expect(cases.length).toBeGreaterThanOrEqual(24);
    expect(cases.filter(({ says }) => says === 'nothing').length).toBeGreaterThanOrEqual(Math.floor(cases.length / 3));
  });

  it.each(cases.map((each) => [each.situation, each] as const))('%s', (_, { given, says, never }) => {
    const advice = english(judgeSituation(given).advice);
    const own = advice.find((each) => each.kind === kind);
    const all = advice
      .map((each) => each.title)
      .join('\n')
      .toLowerCase();
    if (says === 'nothing') expect(own?.title).toBeUndefined();
    else {
      const [, words, by, , confidence] =
        /^([^(]+?)\s*(?:\(by (\S+)\))?\s*(\((guess|likely|firm)\))?$/.exec(says) ?? [];
      expect(own?.title.toLowerCase()).toContain(words!.toLowerCase());
      if (by) expect(own?.by).toBe(by);
      if (confidence) expect(own?.confidence).toBe(confidence);
    }
    for (const word of never) expect(all).not.toContain(word.toLowerCase());
  });
});

describe('whole situations', () => {
  const folder = join(import.meta.dirname, '../../docs/cases');
  const rows = rowsOf(readFileSync(join(folder, 'situations.md'), 'utf8'));

  it('are twenty', () => expect(rows).toHaveLength(20));

  it.each(rows.map(([file, title, says]) => [title!, file!, says!] as const))('%s', (_, file, says) => {
    const situation = JSON.parse(
      readFileSync(join(folder, 'situations', `${file.replaceAll('`', '')}.json`), 'utf8'),
    ) as Situation;
    const advice = english(judgeSituation(situation).advice);
    expect(advice.map(({ kind, title, by }) => `${kind} “${title}” by ${by}`).join('; ')).toBe(says);
  });
});
