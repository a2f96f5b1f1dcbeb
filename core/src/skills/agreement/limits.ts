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

/**
 * How far two readings of one person of the same thing may differ: within this, 19 in 20 times.
 *
 * @param pairs first and second reading of each thing
 * @returns twice the standard deviation within one reader, as Bland & Altman reckon it
 * @throws RangeError without pairs
 * Source: Bland & Altman 1986, Lancet i:307–310.
 */
export function repeatability(pairs: readonly (readonly [number, number])[]): number {
  if (pairs.length === 0) throw new RangeError('repeatability needs two readings of one thing at least');
  return 2 * Math.sqrt(meanOf(pairs.map(([first, second]) => (first - second) ** 2)));
}

/**
 * How near paired readings lie to being equal: correlation and shift in one figure.
 *
 * @param pairs first and second reading
 * @returns −1 to 1, `null` when nothing varies
 * Source: Lin 1989, Biometrics 45:255–268, with variances over n.
 * @example concordance([[2, 1], [3, 2], [4, 3]]) // 0.57
 */
export function concordance(pairs: readonly (readonly [number, number])[]): number | null {
  if (pairs.length === 0) return null;
  const [xs, ys] = [pairs.map(([x]) => x), pairs.map(([, y]) => y)];
  const [x, y] = [meanOf(xs), meanOf(ys)];
  const spread = meanOf(xs.map((each) => (each - x) ** 2)) + meanOf(ys.map((each) => (each - y) ** 2)) + (x - y) ** 2;
  return spread === 0 ? null : (2 * meanOf(pairs.map(([a, b]) => (a - x) * (b - y)))) / spread;
}
