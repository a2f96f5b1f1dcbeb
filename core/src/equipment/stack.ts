import { BOXES, type BoxKindId } from './boxes';
import type { FrameKindId } from './frames';

/** Parts that hold no frames. A spacer is an empty rim that gives room above the frames. */
export const PLAIN_PARTS = ['floor', 'excluder', 'escape', 'spacer', 'feeder', 'crown-board', 'roof'] as const;

/** One part of a hive as it stands. `id` names it within its hive ("brood box", "super 1"). */
export type Layer =
  | { readonly id: string; readonly kind: (typeof PLAIN_PARTS)[number] }
  | {
      readonly id: string;
      readonly kind: 'box';
      readonly box: BoxKindId;
      /** Frames standing in it now, at most what the box takes. */
      readonly frames: number;
      readonly dummy: boolean;
    };
export type BoxLayer = Extract<Layer, { kind: 'box' }>;

/** A hive from the floor upward. */
export type Stack = readonly Layer[];

export const isBox = (layer: Layer): layer is BoxLayer => layer.kind === 'box';
/** Frames that a box of a hive takes; infinite for one that is not on it, whose last frame nobody knows. */
export const framesIn = (stack: Stack, box: string): number =>
  stack.find((layer): layer is BoxLayer => isBox(layer) && layer.id === box)?.frames ?? Infinity;
const isSuper = (layer: BoxLayer): boolean => BOXES[layer.box].role === 'super';

/**
 * The boxes that hold the nest, lowest first.
 *
 * @param stack hive from the floor upward
 * @returns brood boxes or the one body; without any, the lowest box
 * @throws RangeError when the stack has no box at all
 */
export function nestBoxes(stack: Stack): readonly BoxLayer[] {
  const boxes = stack.filter(isBox);
  const [lowest] = boxes;
  if (!lowest) throw new RangeError('a hive needs at least one box, this stack has none');
  const nest = boxes.filter((layer) => !isSuper(layer));
  return nest.length > 0 ? nest : [lowest];
}

/** A box of a hive by its id; the lowest of the nest where there is none such. */
export const boxOf = (stack: Stack, id: string): BoxLayer =>
  stack.filter(isBox).find((layer) => layer.id === id) ?? nestBoxes(stack)[0]!;

/** Supers above the nest, lowest first. */
export const supers = (stack: Stack): readonly BoxLayer[] => stack.filter(isBox).filter(isSuper);

/** Kind of frame that stands in a box. */
export const frameOf = (layer: BoxLayer): FrameKindId => BOXES[layer.box].frame;

/**
 * Parts that come off, top first, until the box lies open.
 *
 * @param stack hive from the floor upward
 * @param boxId the box to reach
 * @returns the parts above it in the order of taking off; put back, they go in reverse
 * @throws RangeError when the hive has no such box
 */
export function partsAbove(stack: Stack, boxId: string): readonly Layer[] {
  const at = stack.findIndex((layer) => layer.id === boxId && layer.kind === 'box');
  if (at < 0) throw new RangeError(`this hive has no box called ${boxId}`);
  return stack.slice(at + 1).reverse();
}
