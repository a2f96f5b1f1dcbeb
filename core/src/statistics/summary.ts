import { mean, quantileSorted, sum } from 'd3-array';

const refused = (what: string, values: readonly number[]): RangeError =>
  new RangeError(
    values.length === 0
      ? `${what} needs at least one number`
      : `${what} needs finite numbers, got ${values.find((each) => !Number.isFinite(each))}`,
  );

/** Whether numbers can be summed up: there is one, and each is finite. */
const sound = (values: readonly number[]): boolean => values.length > 0 && values.every(Number.isFinite);

/**
 * Sum of numbers.
 *
 * @param values finite numbers; none sum to 0
 * @returns their sum
 * @throws RangeError for a number that is not finite
 * @example sumOf([1, 2, 3]) // 6
 */
export function sumOf(values: readonly number[]): number {
  if (values.length > 0 && !sound(values)) throw refused('a sum', values);
  return sum(values);
}

/**
 * Arithmetic mean.
 *
 * @param values finite numbers, at least one
 * @returns their mean
 * @throws RangeError for no numbers, or one that is not finite
 * @example meanOf([1, 2, 6]) // 3
 */
export function meanOf(values: readonly number[]): number {
  if (!sound(values)) throw refused('a mean', values);
  return mean(values)!;
}

/**
 * A value below which a share of the numbers lies, linear between ranks (type 7 of Hyndman & Fan 1996).
 *
 * @param values finite numbers in any order, at least one
 * @param share 0 to 1
 * @returns the quantile
 * @throws RangeError for no numbers, one that is not finite, or a share outside 0 to 1
 * @example quantile([1, 2, 3, 4], 0.5) // 2.5
 */
export function quantile(values: readonly number[], share: number): number {
  if (!sound(values)) throw refused('a quantile', values);
  if (!(share >= 0 && share <= 1)) throw new RangeError(`the share of a quantile is 0 to 1, got ${share}`);
  return quantileSorted(
    [...values].sort((a, b) => a - b),
    share,
  )!;
}

/**
 * The middle number, or the mean of the two in the middle.
 *
 * @param values finite numbers in any order, at least one
 * @returns their median
 * @throws RangeError for no numbers, or one that is not finite
 * @example medianOf([1, 9, 2]) // 2
 */
export const medianOf = (values: readonly number[]): number => quantile(values, 0.5);
