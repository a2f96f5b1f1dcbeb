import type { SideAddress } from './frame-side';

/**
 * The sides of a box in the order in which they are lifted: outermost frame first, then across, each frame turned once.
 *
 * @param box box id
 * @param frames frames in it, 1 or more
 * @returns two sides a frame, from frame 1
 * @example liftingOrder('brood', 2).map((side) => side.face) // ['low', 'high', 'low', 'high']
 */
export function liftingOrder(box: string, frames: number): readonly SideAddress[] {
  return Array.from({ length: frames }, (_, index) => index + 1).flatMap((frame) => [
    { box, frame, face: 'low' as const },
    { box, frame, face: 'high' as const },
  ]);
}

/**
 * Whether lifting a frame would roll bees: the first frame of a box must be an outermost one, to make a gap.
 *
 * @param frame frame about to be lifted
 * @param frames frames in the box
 * @param read frames lifted so far in this box
 * @returns a caution, or `null`
 * @example firstFrameCaution(6, 11, []) // 'Frame 1 or 11 first: …'
 */
export function firstFrameCaution(frame: number, frames: number, read: readonly number[]): string | null {
  if (read.length > 0 || frame === 1 || frame === frames) return null;
  return `Frame 1 or ${frames} first: it makes the gap, so that no bee and no queen is rolled.`;
}
