import { BROOD, type Letter } from './contents';
import type { FrameSide, SideAddress } from './frame-side';

/**
 * The sides worth a look before opening: cells, doubt, the queen and young brood tell most. One side a frame at most.
 *
 * @param sides sides of one visit
 * @param count how many
 * @returns the most telling ones, in the order of the frames
 */
export function tellingSides<S extends { readonly address: SideAddress; readonly side: FrameSide }>(
  sides: readonly S[],
  count: number,
): readonly S[] {
  const eighths = (side: FrameSide, letters: readonly Letter[]) =>
    letters.reduce((sum, letter) => sum + (side.eighths[letter] ?? 0), 0);
  const weight = ({ side }: S) =>
    side.cells * 6 +
    (side.doubtful ? 8 : 0) +
    (side.queen ? 5 : 0) +
    eighths(side, ['E', 'L']) * 2 +
    eighths(side, BROOD);
  const frame = ({ address }: S) => `${address.box}/${address.frame}`;
  return sides
    .toSorted((a, b) => weight(b) - weight(a))
    .filter((side, index, all) => all.findIndex((other) => frame(other) === frame(side)) === index)
    .slice(0, count)
    .sort((a, b) => a.address.box.localeCompare(b.address.box) || a.address.frame - b.address.frame);
}
