import type { Random } from '../../units';
import { type CellKind, type CombGrid, neighboursOf } from './cells';
import { say } from '../said';
import type { Text } from '../../language';

/** Troubles that a comb can show. */
export const TROUBLES = [
  'sunken-lids',
  'twisted-larvae',
  'chalky-mummies',
  'bald-brood',
  'drones-in-worker-cells',
  'several-eggs-in-a-cell',
] as const;
export type Trouble = (typeof TROUBLES)[number];

/** What one sees, and what follows. Common practice; a notifiable disease is decided by the bee inspector, never by a course. */
export const TROUBLE_SAYS: Readonly<Record<Trouble, { readonly seen: Text; readonly then: Text }>> = {
  'sunken-lids': {
    seen: say('lids-sunken-dark-greasy-some'),
    then: say('stop-matchstick-test-supervisor-close'),
  },
  'twisted-larvae': {
    seen: say('open-larvae-off-their-place'),
    then: say('close-call-supervisor-may-notifiable'),
  },
  'chalky-mummies': {
    seen: say('hard-white-grey-lumps-open'),
    then: say('chalk-brood-most-likely-dry'),
  },
  'bald-brood': {
    seen: say('pupae-uncapped-lines-patches-their'),
    then: say('wax-moth-under-lids-if'),
  },
  'drones-in-worker-cells': {
    seen: say('domed-lids-scattered-among-flat'),
    then: say('queen-runs-out-sperm-workers'),
  },
  'several-eggs-in-a-cell': {
    seen: say('two-more-eggs-cell-walls'),
    then: say('laying-workers-if-walls-queen'),
  },
};

interface Cells {
  readonly grid: CombGrid;
  readonly kinds: CellKind[];
  readonly ages: (number | null)[];
}

const isSealed = (kind: CellKind) => kind === 'sealed-worker' || kind === 'hatching';

/** Lets a trouble befall part of the brood. */
export function befall(trouble: Trouble, struck: number, { grid, kinds, ages }: Cells, random: Random): void {
  const cells = [...kinds.keys()];
  const some = (of: (kind: CellKind) => boolean, to: (cell: number) => CellKind) => {
    for (const cell of cells) if (of(kinds[cell]!) && random.unit() < struck) kinds[cell] = to(cell);
  };
  switch (trouble) {
    case 'sunken-lids':
      some(isSealed, () => (random.unit() < 0.3 ? 'pierced-lid' : 'sunken-lid'));
      return;
    case 'twisted-larvae':
      some(
        (kind) => kind === 'old-larva',
        () => 'twisted-larva',
      );
      return;
    case 'chalky-mummies':
      some(
        (kind) => isSealed(kind) || kind === 'old-larva',
        () => 'mummy',
      );
      return;
    case 'drones-in-worker-cells':
      some(isSealed, () => 'domed-in-worker-cell');
      return;
    case 'several-eggs-in-a-cell':
      some(
        (kind) => kind === 'egg',
        () => 'two-eggs',
      );
      return;
    case 'bald-brood': {
      const sealed = cells.filter((cell) => isSealed(kinds[cell]!));
      let left = Math.round(sealed.length * struck);
      while (left > 0 && sealed.length > 0) {
        // A larva of the moth walks along a row of lids.
        let at: number | undefined = sealed[random.below(sealed.length)];
        for (let step = 0; step < 7 && at !== undefined && left > 0; step += 1) {
          kinds[at] = 'bald-pupa';
          ages[at] = Math.max(ages[at] ?? 0, 14);
          sealed.splice(sealed.indexOf(at), 1);
          left -= 1;
          const next: number[] = neighboursOf(grid, at).filter((other) => isSealed(kinds[other]!));
          at = next.length === 0 ? undefined : next[random.below(next.length)];
        }
      }
    }
  }
}
