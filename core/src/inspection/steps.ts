import { type HiveTypeId, HIVE_TYPES, type Layer, type Stack, partsAbove } from '../equipment';

export const STEP_IDS = [
  'outside',
  'smoke',
  'open',
  'first frame',
  'frames',
  'again',
  'sum up',
  'close',
  'entrance',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** One step of a visit, in the words of the person who leads it. */
export interface Step {
  readonly id: StepId;
  readonly title: string;
  readonly how: string;
  /** Parts to take off (open) or put back (close), in order. */
  readonly parts: readonly Layer[];
}

/**
 * The steps of a visit, in the trade's order: outside, smoke, open, outermost frame first, frame by frame, close in reverse.
 *
 * @param type hive type; a horizontal hive has nothing to lift
 * @param stack hive from the floor upward
 * @param box box to be read
 * @returns the steps, first to last
 * @throws RangeError when the hive has no such box
 * @example openingScript('national', stack, 'brood').map((step) => step.id) // ['outside', 'smoke', …]
 */
export function openingScript(type: HiveTypeId, stack: Stack, box: string): readonly Step[] {
  const parts = partsAbove(stack, box);
  const { horizontal } = HIVE_TYPES[type];
  const dummy = stack.some((layer) => layer.kind === 'box' && layer.id === box && layer.dummy);
  const step = (id: StepId, title: string, how: string, taken: readonly Layer[] = []): Step => ({
    id,
    title,
    how,
    parts: taken,
  });
  return [
    step('outside', 'Watch the entrance', 'Stand clear of the flight lane. Traffic, pollen, dead bees, intruders.'),
    step(
      'smoke',
      'Smoke the entrance, wait',
      'Two or three cool puffs, wait a minute, then crack the lid and smoke over the frames.',
    ),
    step(
      'open',
      horizontal ? 'Roof off, nothing to lift' : 'Take the parts off',
      'Each part where it cannot be forgotten, boxes on a stand.',
      parts,
    ),
    step(
      'first frame',
      'Outermost frame first',
      horizontal
        ? 'Move the end bar along to make a gap; keep free combs upright.'
        : dummy
          ? 'Dummy board out, then frame 1 straight up; it makes the gap.'
          : 'Ease frame 1 off the wall, straight up and slow; it makes the gap.',
    ),
    step('frames', 'Frames, both sides', 'In order, straight up, brood out only briefly. Say what each side holds.'),
    step('again', 'Doubtful frames again', 'What was flagged gets its second look before closing.'),
    step('sum up', 'Sum up in four headings', 'Bees, brood, food, health, in under a minute.'),
    step(
      'close',
      'Close in reverse',
      'Frames tight in the order they came, then every part back.',
      [...parts].reverse(),
    ),
    step('entrance', 'Look at the entrance again', 'Flight resumed, nothing left lying about.'),
  ];
}
