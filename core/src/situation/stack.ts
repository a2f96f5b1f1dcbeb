import { BOXES, type BoxKindId, type BoxLayer, PLAIN_PARTS, type Layer, isBox } from '../equipment';
import type { Faults, SituationFault } from './faults';
import { say } from './said';
import type { SituationPart } from './situation';

const PLAIN: ReadonlySet<string> = new Set(PLAIN_PARTS);

/**
 * The hive of a situation. Boxes without an id are named as they come: the first of the nest "brood box", the next "brood box 2", supers
 * "super 1" and so on.
 *
 * @param parts parts from the floor upward
 * @param faults where what is wrong is added
 * @returns the hive from the floor upward
 */
export function stackOf(parts: readonly SituationPart[], faults: Faults): readonly Layer[] {
  const counted = { nest: 0, super: 0 };
  const stack = parts.map((part, at): Layer => {
    if (typeof part === 'string' && PLAIN.has(part)) {
      const kind = part as (typeof PLAIN_PARTS)[number];
      return { id: kind, kind };
    }
    const given = typeof part === 'string' ? { box: part as BoxKindId } : part;
    const kind = BOXES[given.box];
    const above = kind.role === 'super';
    const number = above ? (counted.super += 1) : (counted.nest += 1);
    const id = given.id ?? (above ? `super ${number}` : number === 1 ? 'brood box' : `brood box ${number}`);
    const frames = given.frames ?? kind.frames;
    if (frames > kind.frames)
      faults.add(['hive', 'stack', at, 'frames'], say('too-many-frames', { part: id, frames, takes: kind.frames }));
    return { id, kind: 'box', box: given.box, frames, dummy: given.dummy ?? false };
  });
  const boxes = stack.filter(isBox);
  if (boxes.length === 0) faults.add(['hive', 'stack'], say('no-nest-box'));
  const twice = boxes.find(({ id }, at) => boxes.findIndex((each) => each.id === id) < at);
  if (twice) faults.add(['hive', 'stack'], say('two-parts-alike', { part: twice.id }));
  return stack;
}

/** The box of a stack by its id; a fault where there is none such. */
export function boxNamed(
  stack: readonly Layer[],
  id: string,
  path: SituationFault['path'],
  faults: Faults,
): BoxLayer | null {
  const boxes = stack.filter(isBox);
  const found = boxes.find((layer) => layer.id === id) ?? null;
  if (!found) faults.add(path, say('not-in-the-stack', { part: id, parts: boxes.map((layer) => layer.id) }));
  return found;
}
