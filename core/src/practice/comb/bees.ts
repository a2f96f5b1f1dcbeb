import { BEES_PER_DM2, EIGHTHS } from '../../inspection';
import type { Random } from '../../units';
import { CELL_MM, type CombGrid, ROW_MM, middleOf } from './cells';
import type { CombSide } from './side';

/** A bee on a comb. Places and lengths are in widths of a cell. */
export interface BeeOnComb {
  readonly x: number;
  readonly y: number;
  /** Where the head points, radians from the right, clockwise. */
  readonly heading: number;
  readonly caste: 'worker' | 'drone' | 'queen';
  readonly length: number;
  /** Mark of the queen's year on the thorax; `null` for none. */
  readonly mark: string | null;
  /** 0 to 1: how it differs from its sisters. */
  readonly tint: number;
}

/** Body lengths in mm: worker 12 to 13, drone 15 to 16, laying queen 18 to 20 (Winston 1987, from memory). */
const LENGTH_MM = { worker: 12.5, drone: 15.5, queen: 19.5 } as const;

/** What is asked of the bees on a side. */
export interface BeesWanted {
  /** Eighths of the side that they cover. */
  readonly eighths: number;
  readonly drones: number;
  readonly queen: boolean;
  readonly mark: string | null;
}

/**
 * Sets bees on a comb: as many as so much covered comb carries, thickest over open brood, the queen among them with workers turned to her.
 *
 * @param side the comb
 * @param wanted how many and of which kind
 * @param random seeded
 * @returns the bees; the queen, when there is one, is the first
 */
export function setBees(side: CombSide, wanted: BeesWanted, random: Random): readonly BeeOnComb[] {
  const { grid } = side;
  const areaDm2 = (grid.columns * CELL_MM * grid.rows * ROW_MM) / 10_000;
  const count = Math.round((wanted.eighths / EIGHTHS) * areaDm2 * BEES_PER_DM2);
  const bees: BeeOnComb[] = [];
  if (wanted.queen) bees.push(...queenWithCourt(side, wanted.mark, random));
  const drones = Math.min(wanted.drones, count);
  const placed = placesFor(grid, bees, random);
  for (let bee = 0; bee < count; bee += 1) {
    const caste = bee < drones ? 'drone' : 'worker';
    const at = placed(likes(side, caste));
    if (at) bees.push(beeAt(at, random.unit() * 2 * Math.PI, caste, random));
  }
  return bees;
}

const beeAt = (
  [x, y]: readonly [number, number],
  heading: number,
  caste: BeeOnComb['caste'],
  random: Random,
  mark: string | null = null,
): BeeOnComb => ({
  x,
  y,
  heading,
  caste,
  length: (LENGTH_MM[caste] / CELL_MM) * (0.94 + 0.12 * random.unit()),
  mark,
  tint: random.unit(),
});

const NURSED: ReadonlySet<string> = new Set(['egg', 'two-eggs', 'young-larva', 'old-larva', 'twisted-larva']);

/** How much a place draws bees: nurses stay on open brood, drones at the edges, few on honey. */
const likes =
  ({ kinds }: CombSide, caste: 'worker' | 'drone') =>
  (cell: number): number => {
    const kind = kinds[cell]!;
    if (caste === 'drone') return kind === 'capped-honey' || kind === 'pollen' ? 0.9 : 0.25;
    return NURSED.has(kind) ? 1 : kind === 'capped-honey' || kind === 'foundation' ? 0.3 : 0.6;
  };

/** Finds places at which no bee stands yet. */
function placesFor(grid: CombGrid, bees: readonly BeeOnComb[], random: Random) {
  const near = new Map<string, (readonly [number, number])[]>();
  const key = (x: number, y: number) => `${Math.floor(x / 3)}/${Math.floor(y / 3)}`;
  const keep = (at: readonly [number, number]) => {
    const place = key(...at);
    near.set(place, [...(near.get(place) ?? []), at]);
  };
  for (const { x, y } of bees) keep([x, y]);
  const crowded = ([x, y]: readonly [number, number], least: number) => {
    for (let dx = -3; dx <= 3; dx += 3)
      for (let dy = -3; dy <= 3; dy += 3)
        for (const [ox, oy] of near.get(key(x + dx, y + dy)) ?? []) if (Math.hypot(ox - x, oy - y) < least) return true;
    return false;
  };
  return (drawn: (cell: number) => number): readonly [number, number] | null => {
    for (let attempt = 0; attempt < 24; attempt += 1) {
      const cell = random.below(grid.columns * grid.rows);
      if (random.unit() > drawn(cell)) continue;
      const [cx, cy] = middleOf(grid, cell);
      const at = [cx + random.unit() - 0.5, cy + random.unit() - 0.5] as const;
      // Bees crowd: after some tries they stand closer.
      if (crowded(at, attempt < 16 ? 1.6 : 0.9)) continue;
      keep(at);
      return at;
    }
    return null;
  };
}

/** The queen where there are eggs or room for them, with some workers around that face her. */
function queenWithCourt(side: CombSide, mark: string | null, random: Random): BeeOnComb[] {
  const { grid, kinds } = side;
  const inside = (cell: number) => {
    const [x, y] = middleOf(grid, cell);
    return x > 4 && x < grid.columns - 4 && y > 4 && y < grid.rows * (ROW_MM / CELL_MM) - 4;
  };
  const all = [...kinds.keys()].filter(inside);
  const liked = all.filter((cell) => kinds[cell] === 'egg' || kinds[cell] === 'empty');
  const from = liked.length > 0 ? liked : all;
  const at = middleOf(grid, from[random.below(from.length)]!);
  const queen = beeAt(at, random.unit() * 2 * Math.PI, 'queen', random, mark);
  const court = Array.from({ length: 5 + random.below(4) }, (_, place) => {
    const turn = (place / 8) * 2 * Math.PI + random.unit() * 0.4;
    const far = 2.9 + random.unit() * 0.4;
    const spot = [at[0] + Math.cos(turn) * far, at[1] + Math.sin(turn) * far] as const;
    return beeAt(spot, turn + Math.PI, 'worker', random);
  });
  return [queen, ...court];
}
