import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Seeded random numbers: the same seed, the same plan or comb, wherever it is reckoned. */
export class Random {
  private readonly source;

  constructor(seed: number) {
    this.source = xoroshiro128plus(seed);
  }

  /** From 0, below 1. */
  unit(): number {
    return (this.source.next() >>> 0) / 4294967296;
  }

  /** A whole number from 0, below `count`. */
  below(count: number): number {
    return (this.unit() * count) | 0;
  }
}

/** Numbers that are thrown away, until neighbouring seeds have nothing in common any more. */
const THROWN_AWAY = 32;

/**
 * Random numbers of which already the first differ between neighbouring seeds.
 *
 * @param seed whole number
 * @returns seeded numbers
 */
export function scattered(seed: number): Random {
  const random = new Random(seed);
  for (let draw = 0; draw < THROWN_AWAY; draw += 1) random.unit();
  return random;
}
