import { BOXES, type BoxLayer, type Layer, type Stack, combCarrier, frameOf, isBox, nestBoxes } from '../../equipment';
import { type CheckId } from '../visit/checks';
import { type Comb, arranged } from '../visit/combs';
import type { VisitRecord } from '../entries/record';
import { say } from '../said';
import { type Text, named } from '../../language';

/** One thing to do before the hive is closed, in order. */
export type ClosingTask =
  | { readonly kind: 'frame'; readonly box: string; readonly frame: number; readonly says: Text }
  | {
      readonly kind: 'comb';
      readonly comb: Comb;
      readonly box: string;
      readonly place: number;
      readonly says: Text;
    }
  | { readonly kind: 'part'; readonly part: Layer; readonly says: Text }
  | { readonly kind: 'check'; readonly check: CheckId; readonly says: Text };

const partChecks = (layer: Layer): readonly CheckId[] => {
  if (layer.kind === 'excluder') return ['wires-across'];
  if (layer.kind === 'feeder') return ['feeder-on'];
  if (layer.kind === 'escape') return ['escape-up'];
  if (layer.kind === 'spacer') return ['spacer-out'];
  return isBox(layer) && BOXES[layer.box].role === 'super' ? ['even-supers'] : [];
};

/** Checks that belong under the roof: nobody sees to them once it is on. */
const UNDER_ROOF: readonly CheckId[] = ['stragglers', 'scraps'];

/**
 * What is left to do until nothing is outside: the hive as it stands, from the inside out. Frames and combs go back into their box, then each
 * part that is off in the order of the stack, each with its check before the next part covers it, the roof last; then what is looked at before
 * leaving. An answer from before a part or frame was moved again counts no more.
 *
 * @param stack the hive
 * @param record the visit so far
 * @param found combs of each box as they were found
 * @returns tasks that are not done, in order; empty when the hive may be left
 */
export function closingTasks(
  stack: Stack,
  record: VisitRecord,
  found: Readonly<Record<string, readonly Comb[]>> = {},
): readonly ClosingTask[] {
  const answeredSince = (check: CheckId, at: string | null | undefined) =>
    record.checks.some((each) => each.check === check && (!at || Date.parse(each.at) >= Date.parse(at)));
  const ask = (check: CheckId): ClosingTask => ({ kind: 'check', check, says: named('check', check) });
  const checks = (ids: readonly CheckId[], since?: string | null) =>
    ids.filter((id) => !answeredSince(id, since)).map(ask);
  const outside = combsOutside(stack, record, found);
  const roof = stack.findLast(({ kind }) => kind === 'roof');
  const underRoof = [
    ...(record.checks.some(({ check, ok }) => check === 'food-on' && !ok) ? [ask('food-on')] : []),
    ...(record.openedAt ? checks(UNDER_ROOF, record.lastTaken) : []),
  ];
  const layers = stack.flatMap((layer, at): readonly ClosingTask[] => {
    const off = record.partsOff.includes(layer.id);
    const above = stack.slice(at + 1).find(({ id }) => !record.partsOff.includes(id));
    const on = say('part-on', { part: layer.id, once: off && above ? above.id : null });
    return [
      ...(layer === roof ? underRoof : []),
      ...(off ? [{ kind: 'part' as const, part: layer, says: on }] : []),
      ...(isBox(layer)
        ? [
            ...framesOut(layer, record),
            ...outside.filter(({ box }) => box === layer.id),
            ...(BOXES[layer.box].role !== 'super' && wasRead(layer, record)
              ? checks(layer.dummy ? ['dummy-in', 'tight-frames'] : ['tight-frames'], record.lastLift)
              : []),
            ...(record.tipped.includes(layer.id) ? checks(['respaced']) : []),
          ]
        : []),
      ...(record.partsEverOff.includes(layer.id) ? checks(partChecks(layer), record.partsMoved[layer.id]) : []),
    ];
  });
  return [
    ...layers,
    ...(roof ? [] : underRoof),
    ...checks(['entrance', 'strap']),
    ...(record.smoke.length > 0 ? checks(['smoker-out'], record.smoke.at(-1)?.at) : []),
  ];
}

const framesOut = (layer: BoxLayer, { inHand, aside }: VisitRecord): readonly ClosingTask[] =>
  [...(inHand ? [inHand] : []), ...aside.toReversed()]
    .filter(({ box }) => box === layer.id)
    .map(({ frame }) => ({
      kind: 'frame',
      box: layer.id,
      frame,
      says: say('back-into', { combCarrier: combCarrier(frameOf(layer)), frame, id: layer.id }),
    }));

/** Whether frames of a box were moved. */
const wasRead = ({ id }: BoxLayer, { inHand, aside, exposures, sides }: VisitRecord): boolean =>
  [...(inHand ? [inHand] : []), ...aside, ...exposures].some(({ box }) => box === id) ||
  Object.values(sides).some(({ address }) => address.box === id);

/** Combs on the frame rest: they go back to where they were found. */
export function combsOutside(
  stack: Stack,
  record: VisitRecord,
  found: Readonly<Record<string, readonly Comb[]>>,
): readonly Extract<ClosingTask, { kind: 'comb' }>[] {
  const rest = arranged(found, record.moves).away.filter(({ to }) => to.in === 'store' && to.store === 'stand');
  return rest.map(({ comb }) => {
    const known = Object.entries(found)
      .map(([id, combs]) => [id, combs.findIndex((each) => each.id === comb.id) + 1] as const)
      .find(([id, at]) => at > 0 && stack.some((layer) => layer.id === id));
    const [box, place] = known ?? [nestBoxes(stack)[0]!.id, 1];
    return { kind: 'comb', comb, box, place, says: say('frame-frame-rest-back-into', { place, box }) };
  });
}

/**
 * Whether frames are spaced as their box wants it: tight in the brood nest, even and wider in a super of drawn comb.
 *
 * @param role box of the nest or super
 * @param frames frames that stand in it
 * @param fits frames that fit at ordinary spacing
 * @param foundation bare frames among them
 * @returns verdict with the reason. Common practice
 * @example spacingVerdict('super', 9, 10, 0).ok // true
 */
export function spacingVerdict(
  role: 'brood' | 'super' | 'body',
  frames: number,
  fits: number,
  foundation: number,
): { readonly ok: boolean; readonly says: Text } {
  const missing = fits - frames;
  if (missing < 0) return { ok: false, says: say('frames-where-fit-bees-crushed', { frames, fits }) };
  if (missing === 0) return { ok: true, says: say('all-places-taken-closed-up') };
  if (role !== 'super')
    return {
      ok: false,
      says: say('empty-dummy-board-stray-comb', { missing }),
    };
  if (foundation > 0) return { ok: false, says: say('bare-foundation-wants-tight-spacing') };
  return missing <= 2
    ? { ok: true, says: say('drawn-combs-evenly-spaced-fat', { frames }) }
    : { ok: false, says: say('only-build-between-combs', { frames, fits }) };
}
