import { say } from '../said';
import type { Text } from '../../language';
export const CELL_CONTENTS = ['cup', 'egg', 'larva', 'sealed', 'emerged', 'torn'] as const;
export type CellContent = (typeof CELL_CONTENTS)[number];
export const CELL_PLACES = ['edge', 'face', 'gap'] as const;
export type CellPlace = (typeof CELL_PLACES)[number];

/** One queen cell or cup: what is in it, and whether it hangs at the comb's edge, on its face or in a gap of it. */
export interface QueenCell {
  readonly content: CellContent;
  readonly place: CellPlace;
}

/** How to say what a cell holds. */
export const CELL_WORDS: Readonly<Record<CellContent, Text>> = {
  cup: say('empty-cup'),
  egg: say('cup-egg'),
  larva: say('larva-jelly'),
  sealed: say('sealed-cell'),
  emerged: say('emerged-lid-hangs'),
  torn: say('torn-side'),
};

export interface CellsVerdict {
  readonly means: 'routine' | 'charged-cups' | 'swarming' | 'replacing-her' | 'emergency' | 'queen-out';
  readonly says: Text;
  readonly action: Text;
  /** Days until the first queen of these could emerge or the swarm leave, at the soonest; `null` where nothing presses. */
  readonly withinDays: number | null;
}

const FED = new Set<CellContent>(['larva', 'sealed']);

/**
 * What the queen cells of a colony most likely mean. Empty cups are routine. Position and number only hint: swarm cells tend to be many and at
 * the edge, cells of a colony that replaces a failing queen few and on the face, emergency cells drawn out of worker cells on the face.
 *
 * @param cells all cells seen, with content and place
 * @param eggs whether eggs were seen in worker cells
 * @returns what it means, what to do, and the days left by a queen's 16 days (sealed on day 8)
 * @example readCells([{ content: 'cup', place: 'edge' }], true).means // 'routine'
 */
export function readCells(cells: readonly QueenCell[], eggs: boolean): CellsVerdict {
  const count = (test: (cell: QueenCell) => boolean) => cells.filter(test).length;
  const fed = cells.filter(({ content }) => FED.has(content));
  const sealed = count(({ content }) => content === 'sealed');
  const gone = count(({ content }) => content === 'emerged' || content === 'torn');
  // A fed larva of unknown age is sealed within five days, perhaps tomorrow: the swarm goes with the first lid.
  const withinDays = fed.length > 0 ? 0 : null;
  if (fed.length === 0 && gone > 0)
    return {
      means: 'queen-out',
      says: say('open-young-queen-out-killed', { gone }),
      action: say('close-leave-alone-until-she'),
      withinDays: null,
    };
  if (fed.length === 0 && count(({ content }) => content === 'egg') > 0)
    return {
      means: 'charged-cups',
      says: say('eggs-cups-often-eaten-again'),
      action: say('look-again-within-week-whatever'),
      withinDays: 8,
    };
  if (fed.length === 0)
    return {
      means: 'routine',
      says: cells.length > 0 ? say('empty-cups-bees-build-matter') : say('no-cells'),
      action: say('nothing-do-some-scrape-cups'),
      withinDays: null,
    };
  const atEdge = fed.filter(({ place }) => place === 'edge').length;
  if (!eggs && fed.every(({ place }) => place !== 'edge'))
    return {
      means: 'emergency',
      says: say('fed-face-eggs-queen-lost', { cells: fed.length }),
      action: say('keep-one-two-good-ones'),
      withinDays,
    };
  if (fed.length <= 3 && atEdge === 0)
    return {
      means: 'replacing-her',
      says: say('fed-face-probably-replacing-her', { cells: fed.length }),
      action: say('leave-cells-close-swarm-cannot'),
      withinDays,
    };
  return {
    means: 'swarming',
    says: say('fed-edge-preparing-swarm', { cells: fed.length, atEdge }),
    action: sealed > 0 ? say('swarm-may-have-left-already') : say('decide-today-artificial-swarm-split'),
    withinDays,
  };
}
