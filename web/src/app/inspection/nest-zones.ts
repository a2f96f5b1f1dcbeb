import { EIGHTHS, type FrameSide, LETTERS, type Letter } from '@brave-comb/core/inspection';
import { contours } from 'd3-contour';

/** Corners of an outline, as shares of width and height. */
export type Ring = readonly (readonly [x: number, y: number])[];

/** One zone of a comb: content (`null` for what was not read) and its outline, drawn over the zones before it. */
export interface Zone {
  readonly content: Letter | null;
  readonly path: readonly Ring[];
  /** Points well inside the zone, as shares of width and height; where a label fits, best first. */
  readonly spots: readonly (readonly [x: number, y: number])[];
}

/** Grid on which zones are laid out, by grain of the drawing. */
export const GRID = { s: [44, 25], m: [64, 36], l: [92, 52] } as const;
export type Grain = keyof typeof GRID;

/** What a trace is drawn as, eighths. */
const TRACE = 0.34;
const BROOD_FROM_MIDDLE: readonly Letter[] = ['S', 'L', 'E'];

type Field = Float64Array;
interface Fields {
  /** Distance from the middle of the nest: brood, then pollen around it. */
  readonly nest: Field;
  /** Height under an arch: honey, then nectar. */
  readonly arch: Field;
  /** Height from the low corners: empty comb above, foundation last. */
  readonly low: Field;
  /** Distance from a lower corner: spoilt comb. */
  readonly corner: Field;
  /** Distance from the low rim of the nest: drone brood. */
  readonly rim: Field;
}

const fieldsOf = new Map<string, Fields>();

/** Fields of a comb. The seed makes no two combs quite alike. */
function fields(grain: Grain, seed: number): Fields {
  const key = `${grain}${seed}`;
  const known = fieldsOf.get(key);
  if (known) return known;
  const [nx, ny] = GRID[grain];
  const field = (value: (u: number, v: number) => number): Field =>
    Float64Array.from({ length: nx * ny }, (_, n) => value(((n % nx) + 0.5) / nx, (Math.floor(n / nx) + 0.5) / ny));
  const s = seed * 1.7;
  const made: Fields = {
    nest: field((u, v) => {
      const dx = (u - 0.5) / 0.5;
      const dy = (v - 0.585) / 0.5;
      const angle = Math.atan2(dy, dx);
      const away = ((Math.abs(dx) * 0.98) ** 2.3 + (Math.abs(dy) * 1.03) ** 2.3) ** (1 / 2.3);
      return away * (1 + 0.028 * Math.sin(3 * angle + s) + 0.02 * Math.sin(5 * angle - s * 2));
    }),
    arch: field(
      (u, v) => v - 0.36 * ((u - 0.5) / 0.5) ** 2 + 0.018 * Math.sin(u * 9 + s) + 0.012 * Math.sin(u * 21 - s),
    ),
    low: field((u, v) => v + 0.3 * ((u - 0.5) / 0.5) ** 2 + 0.018 * Math.sin(u * 10 + s) + 0.01 * Math.sin(u * 23 - s)),
    corner: field(
      (u, v) => Math.hypot((seed % 2 ? u : 1 - u) * 1.15, (1 - v) * 0.95) + 0.015 * Math.sin(u * 15 + v * 11),
    ),
    rim: field((u, v) => -((v - 0.585) * 1.25 + Math.abs(u - 0.5) * 0.34 + 0.02 * Math.sin(u * 14 + s))),
  };
  fieldsOf.set(key, made);
  return made;
}

const zonesOf = new Map<string, readonly Zone[]>();
const KEPT = 600;

/**
 * Lays the contents of a side out as bees do: brood an oval in the middle, pollen a band around it, stores an arch above, what is empty
 * below. Each zone takes just the share of the comb that was recorded.
 *
 * @param side a reading; up to eight eighths
 * @param grain how fine
 * @param seed whole number, makes each comb a little different
 * @returns zones in the order in which they are drawn over one another
 */
export function nestZones(side: FrameSide, grain: Grain, seed: number): readonly Zone[] {
  const key = JSON.stringify([side.eighths, side.trace, grain, seed]);
  const known = zonesOf.get(key);
  if (known) return known;
  const zones = layOut(side, grain, seed);
  if (zonesOf.size >= KEPT) zonesOf.delete(zonesOf.keys().next().value!);
  zonesOf.set(key, zones);
  return zones;
}

function amountsOf(side: FrameSide): Record<Letter, number> {
  const amounts = Object.fromEntries(LETTERS.map((letter) => [letter, side.eighths[letter] ?? 0])) as Record<
    Letter,
    number
  >;
  const read = LETTERS.reduce((sum, letter) => sum + amounts[letter], 0);
  if (read > EIGHTHS) for (const letter of LETTERS) amounts[letter] *= EIGHTHS / read;
  for (const letter of side.trace) {
    if (amounts[letter] > 0) continue;
    const largest = LETTERS.reduce((best, each) => (amounts[each] > amounts[best] ? each : best));
    if (amounts[largest] > TRACE) amounts[largest] -= TRACE;
    amounts[letter] = TRACE;
  }
  return amounts;
}

/** What is drawn for one content: everywhere where the field lies below the threshold, over what was drawn before. */
interface Layer {
  readonly content: Letter | null;
  readonly field: Field | null;
  readonly below: number;
}

function layOut(side: FrameSide, grain: Grain, seed: number): readonly Zone[] {
  const [nx, ny] = GRID[grain];
  const cells = nx * ny;
  const all = fields(grain, seed);
  const amounts = amountsOf(side);
  const label = new Int8Array(cells).fill(-1);
  const count = (letter: Letter) => Math.round((amounts[letter] / EIGHTHS) * cells);
  /** Gives the cells where a field is lowest to a content; returns the rest and the threshold between the two. */
  const take = (field: Field, letter: Letter, size: number, pool: number[]): readonly [number[], number] => {
    pool.sort((a, b) => field[a]! - field[b]!);
    for (const n of pool.slice(0, size)) label[n] = LETTERS.indexOf(letter);
    return [pool.slice(size), thresholdAt(field, pool, size)];
  };
  const layers: Layer[] = [];
  const broodCells = (['E', 'L', 'S', 'D'] as const).reduce((sum, letter) => sum + count(letter), 0);
  let free = Array.from({ length: cells }, (_, n) => n).sort((a, b) => all.nest[a]! - all.nest[b]!);
  const nestEdge = thresholdAt(all.nest, free, broodCells);
  let brood = free.slice(0, broodCells);
  free = free.slice(broodCells);
  let at: number;
  [brood, at] = take(all.rim, 'D', count('D'), brood);
  if (count('D') > 0)
    layers.push({
      content: 'D',
      field: all.rim.map((rim, n) => Math.max(rim - at, all.nest[n]! - nestEdge)),
      below: 0,
    });
  const stages = BROOD_FROM_MIDDLE.filter((letter) => amounts[letter] > 0);
  stages.forEach((letter, index) => {
    const outermost = index === stages.length - 1;
    [brood, at] = take(all.nest, letter, outermost ? brood.length : count(letter), brood);
    layers.push({ content: letter, field: all.nest, below: outermost ? nestEdge : at });
  });
  for (const [letter, field] of [
    ['P', all.nest],
    ['H', all.arch],
    ['N', all.arch],
    ['X', all.corner],
    ['C', all.low],
    ['F', all.low],
  ] as const) {
    if (count(letter) === 0) continue;
    [free, at] = take(field, letter, count(letter), free);
    layers.push({ content: letter, field, below: at });
  }
  const nothingLeft = free.length <= cells / 400;
  const ground: Layer = { content: nothingLeft ? (layers.pop()?.content ?? null) : null, field: null, below: 0 };
  return [ground, ...layers.reverse()].map((layer) => ({
    content: layer.content,
    path: layer.field
      ? outline(layer.field, layer.below, nx, ny)
      : [
          [
            [0, 0],
            [1, 0],
            [1, 1],
            [0, 1],
          ],
        ],
    spots: spotsIn(label, layer.content ? LETTERS.indexOf(layer.content) : -1, nx, ny),
  }));
}

/** The value that parts the first cells of a sorted pool from the rest. */
function thresholdAt(field: Field, pool: readonly number[], size: number): number {
  if (size <= 0) return -Infinity;
  if (size >= pool.length) return Infinity;
  return (field[pool[size - 1]!]! + field[pool[size]!]!) / 2;
}

/** Rings around the part of the comb where a field lies below a threshold, in shares of width and height. */
function outline(field: Field, below: number, nx: number, ny: number): readonly Ring[] {
  if (below === Infinity)
    return [
      [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ],
    ];
  const { coordinates } = contours()
    .size([nx, ny])
    .smooth(true)
    .contour(
      Array.from(field, (value) => -value),
      -below,
    );
  return coordinates.flatMap((polygon) => polygon.map((ring) => ring.map(([x, y]) => [x! / nx, y! / ny] as const)));
}

/** Cells of a content far from its edge, deepest first, thinned out. */
function spotsIn(label: Int8Array, content: number, nx: number, ny: number): Zone['spots'] {
  const depth = new Float64Array(nx * ny);
  const reach = (i: number, j: number) => (i < 0 || j < 0 || i >= nx || j >= ny ? 0 : depth[j * nx + i]!);
  for (let j = 0; j < ny; j += 1) {
    for (let i = 0; i < nx; i += 1) {
      const n = j * nx + i;
      depth[n] = label[n] === content ? 1 + Math.min(reach(i - 1, j), reach(i, j - 1)) : 0;
    }
  }
  const inside: number[] = [];
  let deepest = 0;
  for (let n = nx * ny - 1; n >= 0; n -= 1) {
    if (label[n] !== content) continue;
    const i = n % nx;
    const j = Math.floor(n / nx);
    depth[n] = Math.min(depth[n]!, 1 + Math.min(reach(i + 1, j), reach(i, j + 1)));
    deepest = Math.max(deepest, depth[n]!);
    inside.push(n);
  }
  return inside
    .filter((n) => depth[n]! >= deepest * 0.6 && n % 3 === 0)
    .sort((a, b) => depth[b]! - depth[a]! || Math.abs((a % nx) - nx / 2) - Math.abs((b % nx) - nx / 2))
    .map((n) => [((n % nx) + 0.5) / nx, (Math.floor(n / nx) + 0.5) / ny] as const);
}
