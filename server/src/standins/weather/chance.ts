/**
 * A number from 0 to 1 that depends on its parts only, so that the same place and hour have the same weather in every process.
 *
 * @param parts whole numbers
 * @returns 0 (inclusive) to 1 (exclusive)
 */
export function chance(...parts: readonly number[]): number {
  let hash = 0x811c9dc5;
  for (const part of parts) {
    let rest = Math.trunc(part) | 0;
    for (let byte = 0; byte < 4; byte += 1) {
      hash = Math.imul(hash ^ (rest & 0xff), 0x01000193);
      rest >>= 8;
    }
  }
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32;
}

/** A number from the standard normal distribution that depends on its parts only (Box and Muller). */
export function bell(...parts: readonly number[]): number {
  const radius = Math.sqrt(-2 * Math.log(1 - chance(...parts, 1)));
  return radius * Math.cos(2 * Math.PI * chance(...parts, 2));
}

/** A smooth course with the given number of hours between its free values, about −1 to 1. */
export function drift(seed: number, hour: number, every: number): number {
  const at = hour / every;
  const cell = Math.floor(at);
  const share = (1 - Math.cos((at - cell) * Math.PI)) / 2;
  return (bell(seed, cell) * (1 - share) + bell(seed, cell + 1) * share) / 1.5;
}
