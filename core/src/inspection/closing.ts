import { BOXES, type Layer, type Stack, isBox } from '../equipment';
import { CHECKS, type CheckId } from './checks';
import type { VisitRecord } from './record';

/** One thing to do before the hive is closed, in order. */
export type ClosingTask =
  | { readonly kind: 'frame'; readonly box: string; readonly frame: number; readonly says: string }
  | { readonly kind: 'part'; readonly part: Layer; readonly says: string }
  | { readonly kind: 'check'; readonly check: CheckId; readonly says: string };

const partChecks = (layer: Layer): readonly CheckId[] => {
  if (layer.kind === 'excluder') return ['wires across'];
  if (layer.kind === 'feeder') return ['feeder on'];
  if (layer.kind === 'escape') return ['escape up'];
  if (layer.kind === 'spacer') return ['spacer out'];
  return isBox(layer) && BOXES[layer.box].role === 'super' ? ['even supers'] : [];
};

/**
 * What is left to do until the hive is closed: frames back, boxes as they should be, the parts in reverse of how they came off, each with its check,
 * then what is looked at before leaving.
 *
 * @param stack the hive
 * @param record the visit so far
 * @returns tasks that are not done, in order; empty when the hive may be left
 * @example closingTasks(stack, recordOf([])).map(({ kind }) => kind)
 */
export function closingTasks(stack: Stack, record: VisitRecord): readonly ClosingTask[] {
  const done = (check: CheckId) => record.checks.some((each) => each.check === check);
  const ask = (check: CheckId): ClosingTask => ({ kind: 'check', check, says: CHECKS[check].says });
  const checks = (ids: readonly CheckId[]) => ids.filter((id) => !done(id)).map(ask);
  const out = [...(record.inHand ? [record.inHand] : []), ...record.aside.toReversed()];
  const frames = out.map(({ box, frame }): ClosingTask => ({
    kind: 'frame',
    box,
    frame,
    says: `frame ${frame} back into ${box}`,
  }));
  const opened = record.exposures.length > 0 || out.length > 0 || Object.keys(record.sides).length > 0;
  const foodTaken = record.checks.some(({ check, ok }) => check === 'food on' && !ok);
  const parts = record.partsOff.toReversed().flatMap((id): readonly ClosingTask[] => {
    const layer = stack.find((each) => each.id === id);
    return layer ? [{ kind: 'part', part: layer, says: `${layer.id} on` }] : [];
  });
  const put = stack.filter(({ id }) => record.partsEverOff.includes(id));
  return [
    ...frames,
    ...(opened ? checks(['tight frames']) : []),
    ...(record.tipped.length > 0 ? checks(['respaced']) : []),
    ...(foodTaken ? [ask('food on')] : []),
    ...parts,
    ...checks([...new Set(put.flatMap(partChecks))]),
    ...(record.openedAt ? checks(['stragglers', 'scraps']) : []),
    ...checks(['entrance', 'strap']),
    ...(record.smoke.length > 0 ? checks(['smoker out']) : []),
  ];
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
): { readonly ok: boolean; readonly says: string } {
  const missing = fits - frames;
  if (missing < 0) return { ok: false, says: `${frames} frames where ${fits} fit: bees are crushed.` };
  if (missing === 0) return { ok: true, says: 'All places taken, pushed tight.' };
  if (role !== 'super')
    return {
      ok: false,
      says: `${missing} ${missing === 1 ? 'place is' : 'places are'} empty: a dummy board, or stray comb.`,
    };
  if (foundation > 0)
    return { ok: false, says: 'Bare foundation wants tight spacing until it is drawn: put the missing frames in.' };
  return missing <= 2
    ? { ok: true, says: `${frames} drawn combs evenly spaced: fat combs, easy to uncap.` }
    : { ok: false, says: `Only ${frames} of ${fits}: they build between the combs.` };
}
