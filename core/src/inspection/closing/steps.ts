import {
  type HiveTypeId,
  HIVE_TYPES,
  type Layer,
  type Stack,
  isBox,
  partsAbove,
  supers,
  combCarrier,
  frameOf,
} from '../../equipment';

export const STEP_IDS = [
  'before',
  'outside',
  'smoke',
  'open',
  'supers',
  'first-frame',
  'frames',
  'again',
  'sum-up',
  'close',
  'entrance',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** How deep a visit goes: a look at the outside, under the lid, into the top box, or the whole nest. */
export const VISIT_DEPTHS = ['outside', 'lid', 'top-box', 'full'] as const;
export type VisitDepth = (typeof VISIT_DEPTHS)[number];
export const DEPTH_WORDS: Readonly<Record<VisitDepth, string>> = {
  outside: 'outside only',
  lid: 'under the lid',
  'top-box': 'top box',
  full: 'whole nest',
};

/** One step of a visit, in the words of the person who leads it. */
export interface Step {
  readonly id: StepId;
  readonly title: string;
  readonly how: string;
  /** Parts to take off (open, supers) or put back (close), in order. */
  readonly parts: readonly Layer[];
}

const SKIPPED: Readonly<Record<VisitDepth, readonly StepId[]>> = {
  outside: ['smoke', 'open', 'supers', 'first-frame', 'frames', 'again', 'close'],
  lid: ['supers', 'first-frame', 'frames', 'again'],
  'top-box': [],
  full: [],
};

/**
 * The steps of a visit, in the trade's order: gear and people, outside, smoke, open, supers, outermost frame first, frame by frame, close in
 * reverse. A shallow visit leaves steps out and is whole all the same.
 *
 * @param type hive type; a horizontal hive has nothing to lift
 * @param stack hive from the floor upward
 * @param box box to be read
 * @param depth how deep the visit goes
 * @returns the steps, first to last
 * @throws RangeError when the hive has no such box
 */
export function openingScript(
  type: HiveTypeId,
  stack: Stack,
  box: string,
  depth: VisitDepth = 'full',
): readonly Step[] {
  const above = partsAbove(stack, box);
  const { horizontal } = HIVE_TYPES[type];
  const read = stack.filter(isBox).find((layer) => layer.id === box);
  const dummy = read?.dummy === true;
  const carrier = read ? combCarrier(frameOf(read)) : 'frame';
  const upright =
    'A comb that hangs free breaks when it lies flat: turn it only around its bar, like a page, cut edge down.';
  const honey = new Set(supers(stack).map(({ id }) => id));
  const first = above.findIndex((layer) => isBox(layer) && honey.has(layer.id));
  const lid = above.filter((layer) => layer.kind === 'roof' || layer.kind === 'crown-board');
  const [cover, boxes] =
    depth === 'lid' ? [lid, []] : first < 0 ? [above, []] : [above.slice(0, first), above.slice(first)];
  const parts = [...cover, ...boxes];
  const step = (id: StepId, title: string, how: string, taken: readonly Layer[] = []): Step => ({
    id,
    title,
    how,
    parts: taken,
  });
  const steps = [
    step('before', 'Before you open', 'Aim, cautions, smoker and veils, who does what.'),
    step('outside', 'Watch the entrance', 'Stand clear of the flight lane. Traffic, pollen, dead bees, intruders.'),
    step(
      'smoke',
      'Smoke the entrance, wait',
      'Two or three cool puffs, wait a minute, then crack the lid and smoke over the frames.',
    ),
    step(
      'open',
      horizontal ? 'Roof off, nothing to lift' : depth === 'lid' ? 'Lid off, count the seams' : 'Take the parts off',
      depth === 'lid'
        ? 'Count seams of bees from above, look at food, and close.'
        : 'Each part where it cannot be forgotten, boxes on a stand. Look at the underside of roof and cover.',
      cover,
    ),
    step(
      'supers',
      'Supers, one by one',
      'Judge each by its lift, look at an outer and a middle frame. Brood up here matters.',
      boxes,
    ),
    step(
      'first-frame',
      `Outermost ${carrier} first`,
      carrier === 'bar'
        ? `Loosen the end bar, cut side attachments from below upward, and slide it along to make a gap. ${upright}`
        : horizontal
          ? `${dummy ? 'Divider aside, then move' : 'Move'} the end frame along; it makes the gap.`
          : dummy
            ? 'Dummy board out, then frame 1 straight up; it makes the gap.'
            : 'Ease frame 1 off the wall, straight up and slow; it makes the gap.',
    ),
    step(
      'frames',
      carrier === 'bar' ? 'Combs, both sides' : 'Frames, both sides',
      `In order, straight up, brood out only briefly. Say what each side holds.${carrier === 'bar' ? ` ${upright}` : ''}`,
    ),
    step(
      'again',
      carrier === 'bar' ? 'Doubtful combs again' : 'Doubtful frames again',
      'What was flagged gets its second look before closing.',
    ),
    step('sum-up', 'Sum up in four headings', 'Bees, brood, food, health, in under a minute.'),
    step(
      'close',
      'Close in reverse',
      `${carrier === 'bar' ? 'Bars' : 'Frames'} closed up in the order they came, then every part back.`,
      [...parts].reverse(),
    ),
    step('entrance', 'Look at the entrance again', 'Flight resumed, nothing left lying about.'),
  ];
  return steps.filter(({ id }) => !SKIPPED[depth].includes(id) && (id !== 'supers' || boxes.length > 0));
}
