import type { Text } from '../language';
import { say } from './said';
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
export function stackProblem(type: HiveTypeId, stack: Stack, change: StackChange): Text | null {
  if (change.do === 'take') {
    const part = stack.find(({ id }) => id === change.part);
    if (!part) return say('no-such-part', { part: change.part });
    if (part.kind === 'floor' || part.kind === 'roof') return say('keeps-part', { kind: part.kind });
    const boxes = stack.filter(isBox);
    return isBox(part) && boxes.length === 1 ? say('last-box') : null;
  }
  if (change.do === 'dummy') {
    const box = stack.filter(isBox).find(({ id }) => id === change.box);
    if (!box) return say('no-such-part', { part: change.box });
    if (box.dummy !== change.in) return null;
    return change.in ? say('dummy-already', { box: box.id }) : say('no-dummy', { box: box.id });
  }
  const { layer, on } = change;
  const under = stack.find(({ id }) => id === on);
  if (!under) return say('nothing-to-lie-on', { on });
  if (under.kind === 'roof') return say('not-on-roof');
  if (stack.some(({ id }) => id === layer.id)) return say('part-twice', { part: layer.id });
  if (!isBox(layer)) return null;
  if (!boxFits(type, layer.box)) return say('box-does-not-fit', { box: layer.box });
  const most = BOXES[layer.box].frames;
  return layer.frames > most ? say('box-takes', { box: layer.box, frames: most }) : null;
}

/** A change as it is told. */
export function changeText(change: StackChange): Text {
  if (change.do === 'take') return say('part-taken', { part: change.part });
  if (change.do === 'dummy') return say('dummy-moved', { box: change.box, in: change.in });
  const { layer, on } = change;
  return isBox(layer)
    ? say('box-put-on', { part: layer.id, on, box: layer.box, frames: layer.frames })
    : say('part-put-on', { part: layer.id, on });
}
