import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meanOf, medianOf, quantile, sumOf, wilson } from '../src/statistics';

const numbers = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 40 });

describe('what sums numbers up', () => {
  it('refuses what is no number instead of handing NaN on', () => {
    for (const of of [meanOf, medianOf, (values: readonly number[]) => quantile(values, 0.1)]) {
      expect(() => of([])).toThrow(/at least one number/);
      expect(() => of([1, NaN, 3])).toThrow(/finite numbers, got NaN/);
      expect(() => of([1, Infinity])).toThrow(/finite numbers, got Infinity/);
    }
    expect(() => sumOf([1, NaN])).toThrow(/finite/);
    expect(sumOf([])).toBe(0);
    for (const share of [-0.1, 1.1, NaN]) expect(() => quantile([1, 2], share)).toThrow(/0 to 1/);
  });

  // Type 7 of Hyndman & Fan, "Sample quantiles in statistical packages", The American Statistician 50 (1996): (n − 1) p + 1 is the rank.
  it.each([
    [[1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 0.25, 3.25],
    [[1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 0.9, 9.1],
    [[9, 1, 7, 3, 5], 0.3, 3.4],
    [[4], 0.7, 4],
    [[2, 8], 0, 2],
    [[2, 8], 1, 8],
  ])('finds of %j the value below which %d of them lie: %d', (values, share, expected) => {
    expect(quantile(values, share)).toBeCloseTo(expected, 12);
  });

  it('finds the same in any order, within the numbers, and more for more', () => {
    fc.assert(
      fc.property(
        numbers,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (values, a, b) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          expect(quantile([...values].reverse(), a)).toBe(quantile(values, a));
          expect(quantile(values, low)).toBeLessThanOrEqual(quantile(values, high) + 1e-6);
          for (const found of [meanOf(values), medianOf(values), quantile(values, a)]) {
            expect(found).toBeGreaterThanOrEqual(Math.min(...values) - 1e-6);
            expect(found).toBeLessThanOrEqual(Math.max(...values) + 1e-6);
          }
        },
      ),
    );
  });

  it('has a mean from which the numbers stray as far up as down', () => {
    fc.assert(
      fc.property(numbers, (values) => {
        const mean = meanOf(values);
        expect(Math.abs(sumOf(values.map((each) => each - mean)))).toBeLessThan(1e-3);
      }),
    );
  });
});

describe('the range of a share', () => {
  // Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in Medicine 17 (1998), table I, method 3.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%d of %d: %d to %d', (hits, of, low, high) => {
    const [from, to] = wilson(hits, of);
    expect(from).toBeCloseTo(low, 4);
    expect(to).toBeCloseTo(high, 4);
  });

  it('holds the share itself, and mirrors that of the misses', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0, max: 1, noNaN: true }), (of, part) => {
        const hits = Math.round(part * of);
        const [low, high] = wilson(hits, of);
        expect(low).toBeLessThanOrEqual(hits / of + 1e-12);
        expect(high).toBeGreaterThanOrEqual(hits / of - 1e-12);
        const [fromMisses] = wilson(of - hits, of);
        expect(high).toBeCloseTo(1 - fromMisses, 10);
      }),
    );
  });
});
