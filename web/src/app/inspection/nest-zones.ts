import { EIGHTHS, type FrameSide, LETTERS, type Letter } from '@brave-comb/core/inspection';
import { contours } from 'd3-contour';

/** One zone of a comb as drawn: content (`null` for what was not read) and its outline in a grid of {@link GRID} cells. */
export interface Zone {
  readonly content: Letter | null;
  readonly path: string;
  /** Deepest point of the zone, as shares of width and height; where a label fits best. */
  readonly middle: readonly [x: number, y: number];
  /** Share of the comb. */
  readonly area: number;
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
    arch: field((u, v) => v - 0.36 * ((u - 0.5) / 0.5) ** 2 + 0.018 * Math.sin(u * 9 + s) + 0.012 * Math.sin(u * 21 - s)),
    low: field((u, v) => v + 0.3 * ((u - 0.5) / 0.5) ** 2 + 0.018 * Math.sin(u * 10 + s) + 0.01 * Math.sin(u * 23 - s)),
    corner: field((u, v) => Math.hypot((seed % 2 ? u : 1 - u) * 1.15, (1 - v) * 0.95) + 0.015 * Math.sin(u * 15 + v * 11)),
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
  const amounts = Object.fromEntries(LETTERS.map((letter) => [letter, side.eighths[letter] ?? 0])) as Record<Letter, number>;
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

function layOut(side: FrameSide, grain: Grain, seed: number): readonly Zone[] {
  const [nx, ny] = GRID[grain];
  const cells = nx * ny;
  const { nest, arch, low, corner, rim } = fields(grain, seed);
  const amounts = amountsOf(side);
  const label = new Int8Array(cells).fill(-1);
  const count = (letter: Letter) => Math.round((amounts[letter] / EIGHTHS) * cells);
  let free = Array.from({ length: cells }, (_, n) => n);
  /** Gives the cells where a field is lowest to a content. */
  const take = (field: Field, letter: Letter, size: number, pool: number[]): number[] => {
    pool.sort((a, b) => field[a]! - field[b]!);
    for (const n of pool.slice(0, size)) label[n] = LETTERS.indexOf(letter);
    return pool.slice(size);
  };
  const broodCells = (['E', 'L', 'S', 'D'] as const).reduce((sum, letter) => sum + count(letter), 0);
  free.sort((a, b) => nest[a]! - nest[b]!);
  let brood = free.slice(0, broodCells);
  free = free.slice(broodCells);
  brood = take(rim, 'D', count('D'), brood);
  const stages = BROOD_FROM_MIDDLE.filter((letter) => amounts[letter] > 0);
  stages.forEach((letter, index) => {
    brood = take(nest, letter, index === stages.length - 1 ? brood.length : count(letter), brood);
  });
  free = take(nest, 'P', count('P'), free);
  free = take(arch, 'H', count('H'), free);
  free = take(arch, 'N', count('N'), free);
  free = take(corner, 'X', count('X'), free);
  free = take(low, 'C', count('C'), free);
  take(low, 'F', count('F'), free);
  return outlines(label, nx, ny);
}

/** Outlines of the labelled cells, drawn by the contours of a softened mask of each content. */
function outlines(label: Int8Array, nx: number, ny: number): readonly Zone[] {
  const contour = contours().size([nx, ny]).smooth(true);
  const zones: Zone[] = [];
  for (const content of [-1, ...LETTERS.keys()]) {
    const inside = label.reduce((sum, each) => sum + (each === content ? 1 : 0), 0);
    if (inside === 0) continue;
    const values = soften(label, content, nx, ny);
    const { coordinates } = contour.contour(values, 0.5);
    const path = coordinates
      .flatMap((polygon) => polygon.map((ring) => `M${ring.map(([x, y]) => `${x!.toFixed(1)} ${y!.toFixed(1)}`).join('L')}Z`))
      .join('');
    zones.push({ content: LETTERS[content] ?? null, path, middle: deepest(label, content, nx, ny), area: inside / label.length });
  }
  return zones;
}

/** A mask of one content, blurred within the comb so that outlines run smoothly but areas stay. */
function soften(label: Int8Array, content: number, nx: number, ny: number): number[] {
  const mask = Array.from(label, (each) => (each === content ? 1 : 0));
  const across = blur(mask, nx, ny, 1, nx);
  return blur(across, ny, nx, nx, 1);
}

function blur(values: readonly number[], length: number, lines: number, step: number, line: number): number[] {
  const out = new Array<number>(values.length);
  for (let l = 0; l < lines; l += 1) {
    for (let i = 0; i < length; i += 1) {
      const at = (k: number) => values[l * line + Math.min(length - 1, Math.max(0, k)) * step]!;
      out[l * line + i * step] = (at(i - 1) + 2 * at(i) + at(i + 1)) / 4;
    }
  }
  return out;
}

/** The cell of a content that lies farthest from its edge. */
function deepest(label: Int8Array, content: number, nx: number, ny: number): readonly [number, number] {
  const depth = new Float64Array(nx * ny);
  let best = 0;
  let found = 0;
  const reach = (i: number, j: number) => (i < 0 || j < 0 || i >= nx || j >= ny ? 0 : depth[j * nx + i]!);
  for (let j = 0; j < ny; j += 1) {
    for (let i = 0; i < nx; i += 1) {
      const n = j * nx + i;
      depth[n] = label[n] === content ? 1 + Math.min(reach(i - 1, j), reach(i, j - 1)) : 0;
    }
  }
  for (let j = ny - 1; j >= 0; j -= 1) {
    for (let i = nx - 1; i >= 0; i -= 1) {
      const n = j * nx + i;
      if (label[n] !== content) continue;
      depth[n] = Math.min(depth[n]!, 1 + Math.min(reach(i + 1, j), reach(i, j + 1)));
      const score = depth[n] - Math.abs(i - nx / 2) / nx;
      if (score > best) [best, found] = [score, n];
    }
  }
  return [((found % nx) + 0.5) / nx, (Math.floor(found / nx) + 0.5) / ny];
}
