import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Seeded random numbers for the search: the same seed, the same plan. */
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
