import type { Random } from '../../units';
import { type CellKind, type CombGrid, neighboursOf } from './cells';

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
export const TROUBLE_SAYS: Readonly<Record<Trouble, { readonly seen: string; readonly then: string }>> = {
  'sunken-lids': {
    seen: 'Lids sunken, dark or greasy, some with a ragged hole; brood spotty.',
    then: 'Stop. Matchstick test by a supervisor, close, entrance small, nothing leaves this hive. Foul brood is notifiable in many places: the inspector decides.',
  },
  'twisted-larvae': {
    seen: 'Open larvae off their place, yellow to brown, without the pearly shine.',
    then: 'Close and call the supervisor. It may be a notifiable foul brood: the inspector decides.',
  },
  'chalky-mummies': {
    seen: 'Hard white or grey lumps in open cells and under pierced lids.',
    then: 'Chalk brood, most likely: dry, warm and strong cures more than anything else. Look again in two weeks.',
  },
  'bald-brood': {
    seen: 'Pupae uncapped in lines or patches, their eyes to be seen; the cells’ rims raised.',
    then: 'Wax moth under the lids if in lines; mites if scattered. Count mites before deciding.',
  },
  'drones-in-worker-cells': {
    seen: 'Domed lids scattered among flat ones, in worker cells.',
    then: 'The queen runs out of sperm, or workers lay: look for eggs, one or several, and for the queen.',
  },
  'several-eggs-in-a-cell': {
    seen: 'Two and more eggs in a cell, on the walls as well as the floor.',
    then: 'Laying workers if on the walls and no queen; a young queen in her first week does it on the floor.',
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
