import { meanOf } from '../../units';

/** How far one way of reading lies from another. */
export interface Limits {
  readonly count: number;
  /** Mean of first less second. */
  readonly bias: number;
  /** Standard deviation of the differences; `null` for one pair. */
  readonly spread: number | null;
  /** Between these lie 19 of 20 differences, if they scatter evenly; `null` for one pair. */
  readonly limits: readonly [number, number] | null;
  /** Mean of the differences without their sign. */
  readonly off: number;
}

/** Nineteen in twenty of a normal distribution. */
const NINETEEN_IN_TWENTY = 1.959963985;

/**
 * Limits of agreement of paired readings.
 *
 * @param pairs first and second reading of the same things, in the same unit
 * @returns bias and limits in that unit, `null` without pairs
 * Source: Bland & Altman 1986, Lancet i:307–310; with 1.96 where they printed 2.
 * @example limitsOf([[2, 1], [4, 3]])!.bias // 1
 */
export function limitsOf(pairs: readonly (readonly [number, number])[]): Limits | null {
  if (pairs.length === 0) return null;
  const differences = pairs.map(([first, second]) => first - second);
  const bias = meanOf(differences);
  const off = meanOf(differences.map(Math.abs));
  if (pairs.length === 1) return { count: 1, bias, spread: null, limits: null, off };
  const squares = differences.reduce((sum, each) => sum + (each - bias) ** 2, 0);
  const spread = Math.sqrt(squares / (pairs.length - 1));
  const reach = NINETEEN_IN_TWENTY * spread;
  return { count: pairs.length, bias, spread, limits: [bias - reach, bias + reach], off };
}
