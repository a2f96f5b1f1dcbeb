import { FRAMES } from '../../equipment';
import { type Letter, WORKER_CELLS_PER_DM2 } from '../../inspection';

/** What one cell of a comb can hold, as it looks from the front. */
export const CELL_KINDS = [
  'empty',
  'egg',
  'two-eggs',
  'young-larva',
  'old-larva',
  'sealed-worker',
  'hatching',
  'sealed-drone',
  'pollen',
  'nectar',
  'capped-honey',
  'foundation',
  'spoilt',
  'sunken-lid',
  'pierced-lid',
  'bald-pupa',
  'twisted-larva',
  'mummy',
  'domed-in-worker-cell',
] as const;
export type CellKind = (typeof CELL_KINDS)[number];

/** What a cell counts as when a side is read in eighths. A trouble counts as the brood that it befell. */
export const LETTER_OF: Readonly<Record<CellKind, Letter>> = {
  empty: 'C',
  egg: 'E',
  'two-eggs': 'E',
  'young-larva': 'L',
  'old-larva': 'L',
  'sealed-worker': 'S',
  hatching: 'S',
  'sealed-drone': 'D',
  pollen: 'P',
  nectar: 'N',
  'capped-honey': 'H',
  foundation: 'F',
  spoilt: 'X',
  'sunken-lid': 'S',
  'pierced-lid': 'S',
  'bald-pupa': 'S',
  'twisted-larva': 'L',
  mummy: 'X',
  'domed-in-worker-cell': 'D',
};

/** Width of a worker cell from wall to wall, mm, from the published number of cells on a dm²: hexagons of that width fill it. About 5.4. */
export const CELL_MM = Math.sqrt((10_000 / WORKER_CELLS_PER_DM2) * (2 / Math.sqrt(3)));
/** Rows of cells lie closer than the cells of a row. */
export const ROW_MM = (CELL_MM * Math.sqrt(3)) / 2;

/** Cells of one comb side, row by row; odd rows stand half a cell to the right. */
export interface CombGrid {
  readonly columns: number;
  readonly rows: number;
}

/**
 * How many cells a comb of a size has.
 *
 * @param widthMm of the comb, mm, above 0
 * @param heightMm of the comb, mm, above 0
 * @returns whole cells
 * @example gridOf(428, 205) // { columns: 79, rows: 44 }
 */
export const gridOf = (widthMm: number, heightMm: number): CombGrid => ({
  columns: Math.floor(widthMm / CELL_MM - 0.5),
  rows: Math.floor(heightMm / ROW_MM),
});

/** A side of a deep frame, some 3,500 cells. */
export const DEEP_COMB: CombGrid = gridOf(FRAMES['langstroth-deep'].width, FRAMES['langstroth-deep'].height);

/** Middle of a cell, in widths of a cell from the upper left corner of the comb. */
export const middleOf = ({ columns }: CombGrid, cell: number): readonly [x: number, y: number] => {
  const row = Math.floor(cell / columns);
  return [(cell % columns) + 0.5 + (row % 2) / 2, (row + 0.5) * (ROW_MM / CELL_MM)];
};

/** The cells that share a wall with a cell. */
export function neighboursOf({ columns, rows }: CombGrid, cell: number): readonly number[] {
  const [row, column] = [Math.floor(cell / columns), cell % columns];
  const shift = row % 2 === 0 ? -1 : 0;
  return [
    [row, column - 1],
    [row, column + 1],
    [row - 1, column + shift],
    [row - 1, column + shift + 1],
    [row + 1, column + shift],
    [row + 1, column + shift + 1],
  ]
    .filter(([r, c]) => r! >= 0 && r! < rows && c! >= 0 && c! < columns)
    .map(([r, c]) => r! * columns + c!);
}

/**
 * The cell under a point.
 *
 * @param grid the comb
 * @param x widths of a cell from the left edge
 * @param y widths of a cell from the upper edge
 * @returns its place, or `null` beside the comb
 */
export function cellAt(grid: CombGrid, x: number, y: number): number | null {
  const near = Math.floor(y / (ROW_MM / CELL_MM));
  let [best, least] = [null as number | null, 0.75];
  for (const row of [near - 1, near, near + 1]) {
    if (row < 0 || row >= grid.rows) continue;
    const column = Math.round(x - 0.5 - (row % 2) / 2);
    if (column < 0 || column >= grid.columns) continue;
    const cell = row * grid.columns + column;
    const [cx, cy] = middleOf(grid, cell);
    const far = Math.hypot(x - cx, y - cy);
    if (far < least) [best, least] = [cell, far];
  }
  return best;
}
