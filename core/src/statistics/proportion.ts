import { within } from '../units';

/** 97.5 % point of the standard normal distribution: two-sided 95 %. */
const Z = 1.959964;

/**
 * Wilson's score interval of a share (Wilson 1927), 95 %: honest for few cases.
 *
 * @param hits 0 to `of`
 * @param of at least 1
 * @returns low and high bound, 0 to 1
 * @throws RangeError when a count is out of range
 * @example wilson(8, 8) // [0.676, 1]
 */
export function wilson(hits: number, of: number): readonly [number, number] {
  within('number of cases', of, 1);
  const share = within('hits', hits, 0, of) / of;
  const centre = (share + (Z * Z) / (2 * of)) / (1 + (Z * Z) / of);
  const half = (Z * Math.sqrt((share * (1 - share)) / of + (Z * Z) / (4 * of * of))) / (1 + (Z * Z) / of);
  return [Math.max(0, centre - half), Math.min(1, centre + half)];
}
