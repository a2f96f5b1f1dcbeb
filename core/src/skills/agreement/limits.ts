import { meanOf } from '../../statistics';

/** How far one way of reading lies from another. */
export interface Limits {
  readonly count: number;
  /** Mean of first less second. */
  readonly bias: number;
  /** Where the mean lies, in 19 of 20 such samples; `null` for one pair. */
  readonly biasRange: readonly [number, number] | null;
  /** Standard deviation of the differences; `null` for one pair. */
  readonly spread: number | null;
  /** Between these lie 19 of 20 differences, if they scatter evenly; `null` for one pair. */
  readonly limits: readonly [number, number] | null;
  /** Mean of the differences without their sign. */
  readonly off: number;
}

/** Nineteen in twenty of a normal distribution. */
export const NINETEEN_IN_TWENTY = 1.959963985;

/**
 * Student's t that 19 of 20 lie within, on both sides.
 *
 * @param freedom degrees of freedom, from 1
 * @returns t; within a hundredth of tables from 4 degrees on, smaller than them below
 * @throws RangeError for fewer than one degree
 * Source: expansion of Abramowitz & Stegun 1964, 26.7.5.
 * @example studentT(16) // 2.12
 */
export function studentT(freedom: number): number {
  if (!(freedom >= 1)) throw new RangeError('a range needs two pairs at least');
  const z = NINETEEN_IN_TWENTY;
  const terms = [
    (z ** 3 + z) / 4,
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96,
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384,
    (79 * z ** 9 + 776 * z ** 7 + 1482 * z ** 5 - 1920 * z ** 3 - 945 * z) / 92_160,
  ];
  return terms.reduce((sum, term, index) => sum + term / freedom ** (index + 1), z);
}

/**
 * Limits of agreement of paired readings.
 *
 * @param pairs first and second reading of the same things, in the same unit
 * @returns bias and limits in that unit, `null` without pairs
 * Source: Bland & Altman 1986, Lancet i:307–310; with 1.96 where they printed 2.
 * @example limitsOf([[2, 1], [4, 3]])?.bias // 1
 */
export function limitsOf(pairs: readonly (readonly [number, number])[]): Limits | null {
  if (pairs.length === 0) return null;
  const differences = pairs.map(([first, second]) => first - second);
  const bias = meanOf(differences);
  const off = meanOf(differences.map(Math.abs));
  if (pairs.length === 1) return { count: 1, bias, biasRange: null, spread: null, limits: null, off };
  const squares = differences.reduce((sum, each) => sum + (each - bias) ** 2, 0);
  const spread = Math.sqrt(squares / (pairs.length - 1));
  const reach = NINETEEN_IN_TWENTY * spread;
  const mean = (studentT(pairs.length - 1) * spread) / Math.sqrt(pairs.length);
  return {
    count: pairs.length,
    bias,
    biasRange: [bias - mean, bias + mean],
    spread,
    limits: [bias - reach, bias + reach],
    off,
  };
}
