import { DEVELOPMENT, daysToEmergence } from '../../biology';
import type { Random } from '../../units';
import { type CombGrid, middleOf } from './cells';

/** How a nest lies on a comb: where each cell stands in it. All of them rank cells; only their order counts. */
export interface NestFields {
  /** Distance from the middle of the brood, 1 at the rim of the usual oval. */
  readonly out: Float64Array;
  /** Around the brood, sooner above and beside it than below: where pollen is put. */
  readonly band: Float64Array;
  /** Toward the stores: small at the top bar and the upper corners. */
  readonly store: Float64Array;
  /** Toward drone comb: small at the lower edge and corners. */
  readonly drone: Float64Array;
  /** Toward bare foundation: small at the side that is built last. */
  readonly bare: Float64Array;
}

/** Where a nest sits on its comb. Shares of width and height; the oval is wider than high, its middle below the comb's. Common practice. */
export interface NestPlace {
  readonly middle: readonly [u: number, v: number];
  /** How much wider than high the oval is, as a share of the comb's own proportion. */
  readonly stretch: number;
  /** How ragged the borders are, 0 (drawn with a pen) to 1. */
  readonly ragged: number;
}

/** Waves of a few lengths: smooth, without direction, the same for the same seed. */
function wavesOf(random: Random): (u: number, v: number) => number {
  const waves = Array.from({ length: 7 }, (_, index) => {
    const angle = random.unit() * 2 * Math.PI;
    const length = 3 + index * 2.2;
    return { a: Math.cos(angle) * length, b: Math.sin(angle) * length, phase: random.unit() * 2 * Math.PI };
  });
  return (u, v) =>
    waves.reduce((sum, { a, b, phase }, index) => sum + Math.sin(a * u + b * v + phase) / (1.5 + index * 0.5), 0) / 3;
}

/**
 * Ranks the cells of a side by where they stand in a nest.
 *
 * @param grid the comb
 * @param place where the nest sits
 * @param random seeded
 * @returns fields over the cells
 */
export function nestFields(grid: CombGrid, place: NestPlace, random: Random): NestFields {
  const count = grid.columns * grid.rows;
  const field = () => new Float64Array(count);
  const [out, band, store, drone, bare] = [field(), field(), field(), field(), field()];
  const waves = [wavesOf(random), wavesOf(random), wavesOf(random)] as const;
  const side = random.unit() < 0.5 ? 1 : -1;
  const { ragged } = place;
  const height = middleOf(grid, count - 1)[1] + 0.5;
  for (let cell = 0; cell < count; cell += 1) {
    const [x, y] = middleOf(grid, cell);
    const [u, v] = [x / grid.columns, y / height];
    const [du, dv] = [(u - place.middle[0]) * 2, (v - place.middle[1]) * 2];
    const jitter = (random.unit() - 0.5) * 0.2 * ragged;
    out[cell] = Math.hypot(du / place.stretch, dv) + waves[0](u, v) * 0.16 * ragged + jitter;
    band[cell] = out[cell]! + 0.25 * dv + (random.unit() - 0.5) * 0.3 * ragged;
    store[cell] =
      v - 0.34 * Math.abs(du) ** 1.8 + waves[1](u, v) * 0.1 * ragged + (random.unit() - 0.5) * 0.16 * ragged;
    drone[cell] = -v * 1.3 - 0.55 * Math.abs(du) + waves[2](u, v) * 0.14 + jitter;
    bare[cell] = side * du - v * 0.25 + waves[1](v, u) * 0.2 + jitter * 0.5;
  }
  return { out, band, store, drone, bare };
}

const { egg, larva } = DEVELOPMENT.worker;
const ROUND = daysToEmergence('worker');

/** How the queen went over a side: days since she laid the middle, days she was behind at the rim. */
export interface Laying {
  readonly middle: number;
  readonly behind: number;
}

/**
 * Age of what a cell holds when the queen laid a side from the middle outward and lays it anew when it has hatched.
 *
 * @param laying how she went over it
 * @param out how far out the cell lies, 0 the middle, 1 the rim
 * @returns days since the egg, from 0, below the days of a round
 */
export function ageAt({ middle, behind }: Laying, out: number): number {
  const age = (middle - behind * out) % ROUND;
  return age < 0 ? age + ROUND : age;
}

/**
 * What a laying leaves on a side whose cells lie evenly over an oval.
 *
 * @param laying how the queen went over it
 * @returns shares of eggs, larvae and sealed brood, together 1
 * @example stagesLeft({ middle: 14, behind: 0 }) // [0, 0, 1]
 */
export function stagesLeft(laying: Laying): readonly [egg: number, larva: number, sealed: number] {
  const found = [0, 0, 0] as [number, number, number];
  for (let ring = 0; ring < 60; ring += 1) {
    const out = (ring + 0.5) / 60;
    const age = ageAt(laying, out);
    // A ring further out is longer.
    found[age < egg ? 0 : age < egg + larva ? 1 : 2] += out;
  }
  const all = found[0] + found[1] + found[2];
  return [found[0] / all, found[1] / all, found[2] / all];
}

/** How much better a laying must fit in which she has come round again: most sides are laid once from the middle. Common practice. */
const WRAP = 0.03;

/**
 * The laying that would leave such shares of eggs, larvae and sealed brood, so that a recorded side looks as it did: rings where the
 * queen came round again, the oldest in the middle where she did not.
 *
 * @param shares of eggs, larvae and sealed brood, any unit
 * @returns the closest of the layings tried, those without a wrap first
 * @example layingFor([0, 0, 4]).middle > 9 // true
 */
export function layingFor(shares: readonly [number, number, number]): Laying {
  const all = shares[0] + shares[1] + shares[2];
  let [best, least]: [Laying, number] = [{ middle: 14, behind: 8 }, Infinity];
  if (all === 0) return best;
  for (let behind = 2; behind <= 20; behind += 1)
    for (let middle = 0.5; middle < ROUND; middle += 0.5) {
      const found = stagesLeft({ middle, behind });
      const off =
        found.reduce((sum, share, index) => sum + (share - shares[index]! / all) ** 2, 0) +
        (middle < behind ? WRAP : 0) +
        Math.abs(behind - 8) * 0.0004;
      if (off < least) [best, least] = [{ middle, behind }, off];
    }
  return best;
}
