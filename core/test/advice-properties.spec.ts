import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Advice, type ColonyFacts, MITE_SCHOOLS, adviseColony, productsFor } from '../src/care';
import { PHASES } from '../src/season';
import { inEnglish } from '../src/words';
import { AUTUMN, BROODLESS, CROWDED, GOOD, POOR, TINY, base } from './colony-facts';

const nests = fc.constantFrom(GOOD, POOR, TINY, CROWDED, AUTUMN, BROODLESS);
const findings = fc.subarray([
  { finding: 'ropy-brood', found: true, count: null },
  { finding: 'sour-brood', found: true, count: null },
  { finding: 'chalk-brood', found: true, count: 30 },
  { finding: 'deformed-wings', found: true, count: 5 },
  { finding: 'droppings', found: true, count: null },
] as const);
const marks = fc.subarray([
  { mark: 'sunken-lids', frames: [4] },
  { mark: 'twisted-larvae', frames: [5] },
  { mark: 'spotty-pattern', frames: [5, 6] },
] as const);
const colonies = fc
  .record({
    nest: nests,
    phase: fc.option(fc.constantFrom(...PHASES)),
    framesRead: fc.integer({ min: 0, max: 11 }),
    eggsSeen: fc.boolean(),
    larvaeSeen: fc.boolean(),
    sealedSeen: fc.boolean(),
    queenSeen: fc.boolean(),
    queenSeasons: fc.option(fc.integer({ min: 1, max: 5 })),
    supers: fc.integer({ min: 0, max: 2 }),
    poorDays: fc.option(fc.integer({ min: 0, max: 7 })),
    findings,
    marks,
    mites: fc.option(fc.integer({ min: 0, max: 40 })),
    school: fc.constantFrom(...MITE_SCHOOLS),
    mitesDownBy: fc.option(fc.constantFrom('2026-05-20', '2026-06-20', '2026-08-10')),
  })
  .map(({ mites, school, ...facts }): ColonyFacts => ({
    ...base,
    ...facts,
    nest: { ...facts.nest, sidesRead: facts.framesRead * 2 },
    samples: mites === null ? [] : [{ date: '2026-05-10', method: 'alcohol-wash', bees: 300, mites }],
    practice: { ...base.practice, mites: school },
  }));
const kinds = (advice: readonly Advice[]) => advice.map(({ kind }) => kind);

describe('every piece of advice', () => {
  it('is ranked, dated, sourced, and says what comes after it', () => {
    fc.assert(
      fc.property(colonies, (facts) => {
        const advice = adviseColony(facts);
        expect(advice.length).toBeGreaterThan(0);
        expect(advice.map(({ pressing }) => pressing)).toEqual(
          advice.map(({ pressing }) => pressing).toSorted((a, b) => b - a),
        );
        for (const { kind, from, by, followUps, whereFrom, otherSchool, title } of inEnglish(advice)) {
          expect(from <= by, kind).toBe(true);
          expect(from >= facts.today, kind).toBe(true);
          expect(whereFrom.source && whereFrom.rule && otherSchool && title, kind).toBeTruthy();
          for (const next of followUps) expect(next.from <= next.due && next.due >= facts.today, kind).toBe(true);
        }
      }),
    );
  });

  it('is given once, in one voice: nothing twice, feed never beside a new box, nothing done to a hive that stands still', () => {
    fc.assert(
      fc.property(colonies, (facts) => {
        const advice = inEnglish(adviseColony(facts));
        expect(new Set(kinds(advice)).size).toBe(advice.length);
        expect(new Set(advice.map(({ title }) => title)).size).toBe(advice.length);
        expect(kinds(advice).includes('feed') && kinds(advice).includes('add-space')).toBe(false);
        const quiet = kinds(advice).filter((kind) => kind === 'leave-alone' || kind === 'cannot-tell');
        expect(quiet.length).toBeLessThanOrEqual(1);
        if (advice.some(({ kind, title }) => kind === 'health' && title.includes('foulbrood is suspected')))
          expect(kinds(advice).filter((kind) => kind !== 'health' && kind !== 'feed' && kind !== 'entrance')).toEqual(
            [],
          );
        // A box for harvest never goes on beside a medicine.
        if (advice.some(({ kind, title }) => kind === 'mites' && /^(Treat|Take)/.test(title)))
          expect(kinds(advice)).not.toContain('add-space');
      }),
    );
  });

  it('is never firm where a quarter of the nest or less was read', () => {
    fc.assert(
      fc.property(colonies, (facts) => {
        fc.pre(facts.nest.sidesRead <= facts.frames / 2);
        for (const { confidence } of adviseColony(facts)) expect(confidence).not.toBe('firm');
      }),
    );
  });

  it('does not ask for a product that the days ahead forbid', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -5, max: 42 }), { minLength: 1, maxLength: 14 }), (highs) => {
        const ahead = highs.map((high, day) => ({ date: `2026-05-${14 + day}`, low: high - 8, high, rain: 0 }));
        for (const { product, fits } of productsFor({ ...base, ahead })) {
          if (!fits) continue;
          if (product === 'formic') expect(Math.max(...highs) <= 29 && Math.min(...highs) >= 10).toBe(true);
          if (product === 'thymol') expect(Math.max(...highs) <= 30 && Math.min(...highs) >= 15).toBe(true);
          expect(product).not.toBe('oxalic-dribble');
        }
      }),
    );
  });

  it('brings no treatment nearer for fewer mites', () => {
    const treats = (mites: number) =>
      inEnglish(
        adviseColony({ ...base, samples: [{ date: '2026-05-10', method: 'alcohol-wash', bees: 300, mites }] }),
      ).find(({ kind, title }) => kind === 'mites' && title.startsWith('Treat'));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), (a, b) => {
        const [fewer, more] = [treats(Math.min(a, b)), treats(Math.max(a, b))];
        if (fewer) {
          expect(more).toBeDefined();
          expect(more!.pressing).toBeGreaterThanOrEqual(fewer.pressing);
          expect(more!.by <= fewer.by).toBe(true);
        }
      }),
    );
  });
});
