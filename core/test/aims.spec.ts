import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type AdviceKind, COLONY_AIMS, DEFAULT_CARE, practiceFor } from '../src/care';
import { judgeSituation } from '../src/situation';
import { inEnglish } from '../src/words';
import { rowsOf, situationOf } from './case-tables';

const told = (given: string, kind: AdviceKind) =>
  inEnglish(judgeSituation(situationOf(given)).advice).find((each) => each.kind === kind);
const says = (title: string | undefined, words: string) =>
  words === 'nothing' ? expect(title).toBeUndefined() : expect(title?.toLowerCase()).toContain(words.toLowerCase());

describe('what a colony is kept for', () => {
  const rows = rowsOf(readFileSync(join(import.meta.dirname, '../../docs/cases/aims.md'), 'utf8'));

  it('has cases enough', () => expect(rows.length).toBeGreaterThanOrEqual(24));

  it.each(rows.map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, aim, given, kind, led, house] = row as [string, string, string, AdviceKind, string, string];
    const own = told(`${given}; aim ${aim}`, kind);
    says(own?.title, led);
    says(told(given, kind)?.title, house);
    const because = own?.reasons.some(({ text }) => text.includes('Without that: '));
    expect(because ?? false).toBe(led !== 'nothing' && led !== house);
  });

  it('what an aim leaves out is said', () => {
    const given = 'at cold-continental; on 2026-08-25; phase making-winter-bees; nest small; aim reserve';
    const all = inEnglish(judgeSituation(situationOf(given)).advice).flatMap(({ reasons }) => reasons);
    expect(all.map(({ text }) => text).join('\n')).toContain('Without that, also: too small for winter: unite it');
  });

  it('asks for more food where it is to live by itself, and for less in a small box', () => {
    const [honey, growth, survival, reserve] = COLONY_AIMS.map((aim) => practiceFor(DEFAULT_CARE, aim));
    expect(honey).toEqual(DEFAULT_CARE);
    expect(growth).toEqual({ ...DEFAULT_CARE, stimulates: true });
    expect(survival!.winterStoresKg).toBeGreaterThan(DEFAULT_CARE.winterStoresKg);
    expect(survival!.leastStoresKg).toBeLessThan(survival!.feedToKg);
    expect(reserve!.winterStoresKg).toBeLessThan(DEFAULT_CARE.winterStoresKg);
    expect(practiceFor(DEFAULT_CARE, null)).toBe(DEFAULT_CARE);
  });
});
