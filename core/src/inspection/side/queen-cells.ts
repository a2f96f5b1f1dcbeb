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
export const CELL_WORDS: Readonly<Record<CellContent, string>> = {
  cup: 'empty cup',
  egg: 'cup with egg',
  larva: 'larva in jelly',
  sealed: 'sealed cell',
  emerged: 'emerged, its lid hangs',
  torn: 'torn at the side',
};

export interface CellsVerdict {
  readonly means: 'routine' | 'charged-cups' | 'swarming' | 'replacing-her' | 'emergency' | 'queen-out';
  readonly says: string;
  readonly action: string;
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
      says: `${gone} ${gone === 1 ? 'cell is' : 'cells are'} open: a young queen is out or was killed in it.`,
      action: 'Close, leave them alone until she can lay; date the laying check.',
      withinDays: null,
    };
  if (fed.length === 0 && count(({ content }) => content === 'egg') > 0)
    return {
      means: 'charged-cups',
      says: 'Eggs in cups: often eaten again, sometimes the start of swarming.',
      action: 'Look again within a week, whatever the interval says.',
      withinDays: 8,
    };
  if (fed.length === 0)
    return {
      means: 'routine',
      says: cells.length > 0 ? 'Empty cups: bees build them as a matter of course.' : 'No cells.',
      action: 'Nothing to do. Some scrape cups off, some leave them: they come back either way.',
      withinDays: null,
    };
  const atEdge = fed.filter(({ place }) => place === 'edge').length;
  if (!eggs && fed.every(({ place }) => place !== 'edge'))
    return {
      means: 'emergency',
      says: `${fed.length} fed ${fed.length === 1 ? 'cell' : 'cells'} on the face and no eggs: the queen was lost.`,
      action: 'Keep one or two good ones, move no frame roughly, close; date the laying check.',
      withinDays,
    };
  if (fed.length <= 3 && atEdge === 0)
    return {
      means: 'replacing-her',
      says: `${fed.length} fed ${fed.length === 1 ? 'cell' : 'cells'} on the face: they are probably replacing her.`,
      action: 'Leave the cells and close. A swarm cannot be ruled out: say how sure you are.',
      withinDays,
    };
  return {
    means: 'swarming',
    says: `${fed.length} fed ${fed.length === 1 ? 'cell' : 'cells'}, ${atEdge} at the edge: they are preparing to swarm.`,
    action:
      sealed > 0
        ? 'A swarm may have left already: look for eggs and for the queen, then decide today.'
        : 'Decide today: artificial swarm, a split, or thinning the cells by your school. Waiting a week is too long.',
    withinDays,
  };
}
