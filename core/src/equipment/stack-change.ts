import { BOXES } from './boxes';
import { type HiveTypeId, boxFits } from './hive-types';
import { type Layer, type Stack, isBox } from './stack';

/** A part that came onto a hive for good, or left it. */
export type StackChange =
  | { readonly do: 'add'; readonly layer: Layer; /** The part that it lies on. */ readonly on: string }
  | { readonly do: 'take'; readonly part: string }
  | {
      /** A dummy board that fills the room beside the frames of a box. */ readonly do: 'dummy';
      readonly box: string;
      readonly in: boolean;
    };

/**
 * The hive after some changes.
 *
 * @param stack hive from the floor upward
 * @param changes changes in the order in which they were made
 * @returns the new stack; a change that does not fit any more (its part is gone, or there already) leaves it as it is
 */
export function stackAfter(stack: Stack, changes: readonly StackChange[]): Stack {
  return changes.reduce<Stack>((now, change) => {
    if (change.do === 'take') return now.filter(({ id }) => id !== change.part);
    if (change.do === 'dummy')
      return now.map((layer) => (isBox(layer) && layer.id === change.box ? { ...layer, dummy: change.in } : layer));
    const under = now.findIndex(({ id }) => id === change.on);
    if (under < 0 || now.some(({ id }) => id === change.layer.id)) return now;
    return now.toSpliced(under + 1, 0, change.layer);
  }, stack);
}

/**
 * Why a change cannot be made to a hive.
 *
 * @param type hive type
 * @param stack hive as it stands
 * @param change what shall be done
 * @returns one sentence that says what to do, `null` when it can be made
 */
export function stackProblem(type: HiveTypeId, stack: Stack, change: StackChange): string | null {
  if (change.do === 'take') {
    const part = stack.find(({ id }) => id === change.part);
    if (!part) return `There is no ${change.part} on this hive: load the visit again.`;
    if (part.kind === 'floor' || part.kind === 'roof')
      return `A hive keeps its ${part.kind}: exchange it in the office.`;
    const boxes = stack.filter(isBox);
    return isBox(part) && boxes.length === 1 ? 'The last box stays: the bees live in it.' : null;
  }
  if (change.do === 'dummy') {
    const box = stack.filter(isBox).find(({ id }) => id === change.box);
    if (!box) return `There is no ${change.box} on this hive: load the visit again.`;
    if (box.dummy !== change.in) return null;
    return change.in ? `${box.id} has its dummy board already.` : `${box.id} has no dummy board to take out.`;
  }
  const { layer, on } = change;
  const under = stack.find(({ id }) => id === on);
  if (!under) return `There is no ${on} on this hive to put it on: choose another part.`;
  if (under.kind === 'roof') return 'Nothing lies on the roof: choose a part under it.';
  if (stack.some(({ id }) => id === layer.id)) return `This hive has a ${layer.id} already: give it another name.`;
  if (!isBox(layer)) return null;
  if (!boxFits(type, layer.box))
    return `${BOXES[layer.box].name} does not fit this hive: choose a box of its own type.`;
  const most = BOXES[layer.box].frames;
  return layer.frames > most ? `${BOXES[layer.box].name} takes ${most} frames: enter ${most} or fewer.` : null;
}

/** A change as it is told. */
export const changeText = (change: StackChange): string =>
  change.do === 'take'
    ? `${change.part} taken away`
    : change.do === 'dummy'
      ? `dummy board ${change.in ? 'into' : 'out of'} ${change.box}`
      : `${change.layer.id} put on ${change.on}${isBox(change.layer) ? ` (${BOXES[change.layer.box].name}, ${change.layer.frames} frames)` : ''}`;
