import type { FrameSides } from '../words/frame-change';
import { type FrameSide, type SideAddress, sideKey } from './frame-side';

/**
 * Sides of one box, frame by frame.
 *
 * @param sides readings with their addresses, of any box
 * @param box the box
 * @param frames frames in it
 * @returns one pair of sides a frame, `null` for what was not read
 * @example framesOf([], 'brood', 2) // [{ low: null, high: null }, { low: null, high: null }]
 */
export function framesOf(
  sides: readonly { readonly address: SideAddress; readonly side: FrameSide }[],
  box: string,
  frames: number,
): readonly FrameSides[] {
  const byKey = new Map(sides.map(({ address, side }) => [sideKey(address), side]));
  return Array.from({ length: frames }, (_, index) => ({
    low: byKey.get(sideKey({ box, frame: index + 1, face: 'low' })) ?? null,
    high: byKey.get(sideKey({ box, frame: index + 1, face: 'high' })) ?? null,
  }));
}
