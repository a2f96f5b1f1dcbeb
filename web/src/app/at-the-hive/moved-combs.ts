import type { Arrangement, Comb, FrameOut } from '@brave-comb/core/inspection';
import { named } from '../language/words';

/**
 * Where the combs of a box stand that are not where they stood, in words.
 *
 * @param found combs as they were found, box by box
 * @param now combs as they stand
 * @param aside frames that stand beside the box
 * @param box the box
 * @param hives other hives by id
 * @returns a line for each comb that moved, in the order of the box
 */
export function movedCombs(
  found: Readonly<Record<string, readonly Comb[]>>,
  now: Arrangement,
  aside: readonly FrameOut[],
  box: string,
  hives: readonly { readonly id: string; readonly number: string }[],
): readonly string[] {
  const combs = found[box] ?? [];
  const known = new Set(Object.values(found).flatMap((each) => each.map(({ id }) => id)));
  const here = now.boxes[box] ?? [];
  // A comb that left closes the gap: the others only count as moved when their order changed.
  const stayed = combs.filter(({ id }) => here.some((comb) => comb.id === id));
  const order = here.filter(({ id }) => stayed.some((comb) => comb.id === id));
  const lines = combs.flatMap((comb, index) => {
    const frame = index + 1;
    if (aside.some((each) => each.box === box && each.frame === frame))
      return [$localize`${frame} stands beside the box`];
    const away = now.away.find((each) => each.comb.id === comb.id)?.to;
    if (away?.in === 'store') return [$localize`${frame} went to ${named('combStore', away.store)}`];
    if (away?.in === 'hive')
      return [$localize`${frame} went to hive ${hives.find(({ id }) => id === away.hive)?.number ?? '?'}`];
    const other = Object.entries(now.boxes).find(
      ([id, each]) => id !== box && each.some(({ id: one }) => one === comb.id),
    );
    if (other) return [$localize`${frame} hangs in ${other[0]}`];
    return order[stayed.indexOf(comb)]?.id === comb.id
      ? []
      : [$localize`${frame} hangs at place ${here.findIndex(({ id }) => id === comb.id) + 1}`];
  });
  const came = here.flatMap((comb, index) =>
    known.has(comb.id) ? [] : [$localize`${comb.label} came in at place ${index + 1}`],
  );
  return [...lines, ...came];
}
