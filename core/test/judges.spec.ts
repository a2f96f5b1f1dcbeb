import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Advice, type AdviceKind, type Outcome, type Verdict, outcomeOf } from '../src/care';
import { type Situation, factsOf, judgeSituation } from '../src/situation';
import { inEnglish } from '../src/words';
import { type Case, casesOf, rowsOf, situationOf } from './case-tables';

const JUDGES: readonly (readonly [table: string, kind: AdviceKind])[] = [
  ['behind', 'behind'],
  ['cannot-tell', 'cannot-tell'],
  ['chill', 'chill'],
  ['comb', 'comb'],
  ['entrance', 'entrance'],
  ['food', 'feed'],
  ['health', 'health'],
  ['mites', 'mites'],
  ['look-again', 'look-again'],
  ['leave-alone', 'leave-alone'],
  ['protein', 'protein'],
  ['queen', 'queen'],
  ['queen-cells', 'queen-cells'],
  ['selection', 'selection'],
  ['space', 'add-space'],
  ['strength', 'strength'],
  ['swarming', 'swarming'],
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

/** The whole answer of one judge to a case, as somebody would read it. */
const inFull = ({ given }: Case, kind: AdviceKind): string => {
  const own = english(judgeSituation(given).advice).find((each) => each.kind === kind);
  if (!own) return 'nothing';
  const { whereFrom: from, errand } = own;
  return [
    own.title,
    `${own.from} to ${own.by}, ${own.confidence}, pressing ${own.pressing}`,
    ...own.reasons.map(({ sense, weight, text }) => `${sense} ${weight}: ${text}`),
    `another school ${own.otherSchool}`,
    `figure: ${from.figure}`,
    `rule: ${from.rule}`,
    ...from.steps.map(([label, value]) => `step: ${label}: ${value}`),
    `source: ${from.source}`,
    ...own.cautions.map((each) => `caution: ${each}`),
    ...own.turns.map((each) => `turns: ${each}`),
    `if it fails: ${own.ifItFails ?? '-'}`,
    `takes ${errand.minutes} minutes in the ${errand.when}, ${errand.opens ? 'opened' : 'shut'}: ${errand.brings.map(({ what, amount }) => `${amount} ${what}`).join(', ') || 'nothing'}`,
    ...own.followUps.map(({ question, from: first, due }) => `then ${first} to ${due}: ${question}`),
  ].join('\n');
};

describe('whole answers', () => {
  // Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core judges -u`.
  it.each(JUDGES)('to the table of %s are as kept', async (table, kind) => {
    const answers = casesOf(table).map((each) => `## ${each.situation}\n\n${inFull(each, kind)}\n`);
    await expect(answers.join('\n')).toMatchFileSnapshot(`../../docs/cases/answers/${table}.txt`);
  });
});

describe('how advice came out', () => {
  const rows = rowsOf(readFileSync(join(import.meta.dirname, '../../docs/cases/outcomes.md'), 'utf8'));

  it.each(rows.map((row) => [`${row[0]}, ${row[1]}: ${row[4]}`, row] as const))('%s', (_, row) => {
    const [kind, verdict, given, out] = row as [AdviceKind, Verdict, string, Outcome];
    expect(outcomeOf(kind, verdict, '2026-05-01', factsOf(situationOf(given)))).toBe(out);
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
