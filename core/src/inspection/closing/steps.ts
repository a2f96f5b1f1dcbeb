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
import { say } from '../said';
import type { Text } from '../../language';

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
export const DEPTH_WORDS: Readonly<Record<VisitDepth, Text>> = {
  outside: say('outside-only'),
  lid: say('under-lid'),
  'top-box': say('top-box'),
  full: say('whole-nest'),
};

/** One step of a visit, in the words of the person who leads it. */
export interface Step {
  readonly id: StepId;
  readonly title: Text;
  readonly how: Text;
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
  const upright = say('comb-hangs-free-breaks-when');
  const honey = new Set(supers(stack).map(({ id }) => id));
  const first = above.findIndex((layer) => isBox(layer) && honey.has(layer.id));
  const lid = above.filter((layer) => layer.kind === 'roof' || layer.kind === 'crown-board');
  const [cover, boxes] =
    depth === 'lid' ? [lid, []] : first < 0 ? [above, []] : [above.slice(0, first), above.slice(first)];
  const parts = [...cover, ...boxes];
  const step = (id: StepId, title: Text, how: Text, taken: readonly Layer[] = []): Step => ({
    id,
    title,
    how,
    parts: taken,
  });
  const steps = [
    step('before', say('before-you-open'), say('aim-cautions-smoker-veils-who')),
    step('outside', say('watch-entrance'), say('stand-clear-flight-lane-traffic')),
    step('smoke', say('smoke-entrance-wait'), say('two-three-cool-puffs-wait')),
    step(
      'open',
      horizontal ? say('roof-off-nothing-lift') : depth === 'lid' ? say('lid-off-count-seams') : say('take-parts-off'),
      depth === 'lid' ? say('count-seams-bees-above-look') : say('each-part-where-cannot-forgotten'),
      cover,
    ),
    step('supers', say('supers-one-one'), say('judge-each-lift-look-outer'), boxes),
    step(
      'first-frame',
      say('outermost-first', { carrier }),
      carrier === 'bar'
        ? say('loosen-end-bar-cut-side', { upright })
        : horizontal
          ? say('end-frame-along-makes-gap', { dummy })
          : dummy
            ? say('dummy-board-out-then-frame')
            : say('ease-frame-off-wall-straight'),
    ),
    step(
      'frames',
      carrier === 'bar' ? say('combs-both-sides') : say('frames-both-sides'),
      say('order-straight-up-brood-out', { carrier, upright }),
    ),
    step(
      'again',
      carrier === 'bar' ? say('doubtful-combs-again') : say('doubtful-frames-again'),
      say('what-flagged-gets-second-look'),
    ),
    step('sum-up', say('sum-up-four-headings'), say('bees-brood-food-health-under')),
    step('close', say('close-reverse'), say('closed-up-order-came-then', { carrier }), [...parts].reverse()),
    step('entrance', say('look-entrance-again'), say('flight-resumed-nothing-left-lying')),
  ];
  return steps.filter(({ id }) => !SKIPPED[depth].includes(id) && (id !== 'supers' || boxes.length > 0));
}
