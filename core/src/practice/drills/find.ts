import { scattered, type Random } from '../../units';
import {
  type BeeOnComb,
  type CellKind,
  type CombGrid,
  LAST_LEVEL,
  type CombRecipe,
  cellAt,
  layComb,
  recipeFor,
} from '../comb';
import type { Mark } from '../mark';
import { type CombPicture, pictureOf } from './comb';
import { say } from '../said';

/** What can be looked for. */
export type Find = 'eggs' | 'two-eggs' | 'queen' | 'sunken';

/** Something to be found on a comb, which may not be there. */
export interface FindDrill extends CombPicture {
  readonly find: Find;
  /** How many are asked for; `null` for all there are. */
  readonly wanted: number | null;
  /** Cells that are meant; none when it is not on this side. */
  readonly cells: readonly number[];
}

/** A place on the comb, in widths of a cell from its upper left corner. */
export type Touch = readonly [x: number, y: number];

/** Eggs that have to be touched before a side is answered. */
const EGGS_WANTED = 5;
/** Sides on which nothing of the kind is: one in four, so that "not here" has to be seen too. */
const NOT_HERE = 0.25;

const MEANT: Readonly<Record<Exclude<Find, 'queen'>, readonly CellKind[]>> = {
  eggs: ['egg', 'two-eggs'],
  'two-eggs': ['two-eggs'],
  sunken: ['sunken-lid', 'pierced-lid'],
};

function findRecipe(find: Find, level: number, seed: number, random: Random): CombRecipe {
  const rare = 1 - (level - 1) / LAST_LEVEL;
  const here = random.unit() >= NOT_HERE;
  const brood = recipeFor('brood', level, seed, random);
  const young = recipeFor('young', level, seed, random);
  if (find === 'sunken')
    return {
      ...brood,
      laying: { middle: 15, behind: 5 },
      shares: { ...brood.shares, S: 4, E: 0, L: 0.3 },
      trouble: here ? 'sunken-lids' : null,
      struck: 0.002 + 0.004 * rare,
      misses: 0.05,
    };
  if (find === 'two-eggs')
    return { ...young, shares: { ...young.shares, E: 1 + rare }, doubles: here ? 1 + Math.round(3 * rare) : 0 };
  if (find === 'eggs') return { ...brood, shares: { ...brood.shares, E: 0.05 + 0.4 * rare, C: 1.2 }, misses: 0.08 };
  return young;
}

/** Makes a comb on which something is to be found. */
export function somethingToFind(find: Find, level: number, seed: number): FindDrill {
  const random = scattered(seed);
  const side = layComb(findRecipe(find, level, seed, random));
  if (find === 'queen') {
    const here = random.unit() >= NOT_HERE;
    const picture = pictureOf(side, Math.max(4, level), random, here);
    const queen = here ? picture.bees[0] : undefined;
    const cell = queen ? cellAt(side.grid, queen.x, queen.y) : null;
    return { ...picture, find, wanted: null, cells: cell === null ? [] : [cell] };
  }
  const cells = [...side.kinds.keys()].filter((cell) => MEANT[find].includes(side.kinds[cell]!));
  const picture = pictureOf(side, Math.min(level, 5), random);
  return { ...picture, find, wanted: find === 'eggs' ? Math.min(EGGS_WANTED, cells.length) : null, cells };
}

/** Whether a touch lies on the queen: on her body, give or take a cell. */
function onQueen([x, y]: Touch, { x: qx, y: qy, heading, length }: BeeOnComb): boolean {
  const along = (x - qx) * Math.cos(heading) + (y - qy) * Math.sin(heading);
  const across = -(x - qx) * Math.sin(heading) + (y - qy) * Math.cos(heading);
  return Math.abs(along) <= length / 2 + 0.7 && Math.abs(across) <= 1.6;
}

/** The cells that were touched, each once. */
const touchedCells = (grid: CombGrid, touches: readonly Touch[]): ReadonlySet<number> =>
  new Set(touches.flatMap(([x, y]) => cellAt(grid, x, y) ?? []));

/**
 * Marks touches: what was found, what was overlooked, what was taken for it.
 *
 * @param drill the comb
 * @param touches where it was touched; none says that nothing is there
 * @returns the mark, the cells that were found and the touches that hit nothing meant. The score is twice what was found over what was touched and what was there (Dice 1945); with nothing there, 1 for no touch
 */
export function markTouches(
  drill: FindDrill,
  touches: readonly Touch[],
): Mark & { readonly found: readonly number[]; readonly wrong: readonly Touch[] } {
  const { find, cells, wanted } = drill;
  const there = wanted ?? cells.length;
  const touched =
    find === 'queen'
      ? new Set(touches.map((touch) => (cells.length > 0 && onQueen(touch, drill.bees[0]!) ? cells[0]! : -1)))
      : touchedCells(drill.side.grid, touches);
  const found = cells.filter((cell) => touched.has(cell));
  const wrong = [...touched].filter((cell) => !cells.includes(cell)).length;
  const hit = (touch: Touch) =>
    find === 'queen'
      ? cells.length > 0 && onQueen(touch, drill.bees[0]!)
      : cells.includes(cellAt(drill.side.grid, ...touch) ?? -1);
  const hits = Math.min(found.length, there);
  const says =
    there === 0
      ? [touched.size === 0 ? say('none-rightly', { find }) : say('none-there', { find })]
      : [say('of-found', { hits, there, find }), ...(wrong > 0 ? [say('something-else', { wrong })] : [])];
  const score = there === 0 ? (touched.size === 0 ? 1 : 0) : (2 * hits) / (there + hits + wrong);
  return { score, right: score >= 0.8, says, found, wrong: touches.filter((touch) => !hit(touch)) };
}
