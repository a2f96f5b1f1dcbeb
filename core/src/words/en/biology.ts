import type { QueenStart } from '../../biology';

/** What things are called, by their ids. */
export const biologyNames = {
  queenStart: {
    'cell-sealed': 'cell sealed',
    'cell-with-larva': 'cell with larva',
    'queen-lost': 'queen lost',
    'virgin-emerged': 'virgin emerged',
    'cell-put-in': 'cell put in',
    'queen-put-in': 'queen put in',
  } satisfies Record<QueenStart, string>,
};
