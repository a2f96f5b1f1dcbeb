import type { SideAddress } from '../side/frame-side';

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
