import type { Letter } from '../../inspection';
import { type CellKind, LETTER_OF, ROW_MM, CELL_MM, middleOf, neighboursOf } from './cells';
import type { CombSide } from './side';
import { say } from '../said';
import type { Text } from '../../language';

/** What a cell looks like, without saying what it is: for those who hear the comb instead of seeing it. */
export const LOOKS: Readonly<Record<CellKind, Text>> = {
  empty: say('open-floor-shines-nothing'),
  egg: say('open-one-thin-white-rod'),
  'two-eggs': say('open-two-thin-white-rods'),
  'young-larva': say('open-small-white-comma-milky'),
  'old-larva': say('open-fat-white-ring-fills'),
  'sealed-worker': say('lid-flat-tan-dry-level'),
  hatching: say('lid-bee-chews-her-way'),
  'sealed-drone': say('lid-high-domed-like-bullet'),
  pollen: say('open-packed-dull-coloured-half'),
  nectar: say('open-wet-glitter'),
  'capped-honey': say('lid-pale-wax-lies-what'),
  foundation: say('cell-yet-only-pressed-wax'),
  spoilt: say('grey-furred-eaten-through'),
  'sunken-lid': say('lid-dark-sunken-greasy'),
  'pierced-lid': say('lid-sunken-ragged-hole'),
  'bald-pupa': say('lid-white-pupa-eyes-looks'),
  'twisted-larva': say('open-yellowish-larva-lies-twisted'),
  mummy: say('open-hard-chalky-lump'),
  'domed-in-worker-cell': say('lid-domed-narrow-worker-cell'),
};

/** A part of a comb, some cells wide and high. */
export interface Patch {
  readonly column: number;
  readonly row: number;
  /** Cells by what they look like, the most first. */
  readonly looks: readonly { readonly kind: CellKind; readonly cells: number }[];
}

/**
 * A comb as a table of patches, for those who hear it.
 *
 * @param side the comb
 * @param columns patches in a row, 1 and more
 * @param rows rows of patches, 1 and more
 * @returns the patches, row by row from the upper left
 */
export function patchesOf(
  { grid, kinds }: Pick<CombSide, 'grid' | 'kinds'>,
  columns: number,
  rows: number,
): readonly Patch[] {
  const counts = Array.from({ length: columns * rows }, () => new Map<CellKind, number>());
  const height = grid.rows * (ROW_MM / CELL_MM);
  kinds.forEach((kind, cell) => {
    const [x, y] = middleOf(grid, cell);
    const column = Math.min(columns - 1, Math.floor((x / (grid.columns + 0.5)) * columns));
    const row = Math.min(rows - 1, Math.floor((y / height) * rows));
    const count = counts[row * columns + column]!;
    count.set(kind, (count.get(kind) ?? 0) + 1);
  });
  return counts.map((count, index) => ({
    column: index % columns,
    row: Math.floor(index / columns),
    looks: [...count].map(([kind, cells]) => ({ kind, cells })).sort((a, b) => b.cells - a.cells),
  }));
}

/** Walls between what is different: where the zones of a comb meet, after stray cells are taken for their neighbours. */
export function zonesOf({ grid, kinds }: Pick<CombSide, 'grid' | 'kinds'>): readonly Letter[] {
  let zones = kinds.map((kind) => LETTER_OF[kind]);
  for (let round = 0; round < 4; round += 1)
    zones = zones.map((own, cell) => {
      const votes = new Map<Letter, number>([[own, 1.2]]);
      for (const other of neighboursOf(grid, cell)) votes.set(zones[other]!, (votes.get(zones[other]!) ?? 0) + 1);
      return [...votes].reduce((best, each) => (each[1] > best[1] ? each : best))[0];
    });
  return zones;
}
