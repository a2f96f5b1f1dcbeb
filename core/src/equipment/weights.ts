import { roundTo, within } from '../units';
import { BOXES } from './boxes';
import { combArea } from './frames';
import { type BoxLayer, frameOf } from './stack';

/** Honey in a fully capped comb, kg per dm² of one side: 11.4 mm deep at 1.4 kg/L. Gives 2.8 kg for a Langstroth deep, 1.5 kg for a shallow. */
export const HONEY_KG_PER_DM2 = 0.16;
/** Unripe nectar lies shallower and thinner: six tenths of capped honey. Common practice. */
export const NECTAR_KG_PER_DM2 = 0.1;
/** Brood, its food and pollen, kg per dm² of one side. Common practice, from memory. */
export const BROOD_KG_PER_DM2 = 0.07;
/** Wood, wax and wire of one frame with drawn comb, kg per dm² of comb side: about half a kilogram for a Langstroth deep. Common practice. */
export const DRAWN_FRAME_KG_PER_DM2 = 0.027;

/** What a box holds, in sides of full comb (a frame has two). */
export interface BoxFill {
  readonly honeySides: number;
  readonly nectarSides: number;
  readonly broodSides: number;
}

/**
 * What a box weighs as it would be lifted: wood, frames, stores and brood. Bees (about a kilogram a box) stay out.
 *
 * @param layer the box
 * @param fill sides of honey, nectar and brood in it, each 0 to twice its frames
 * @returns kg, to a tenth
 * @throws RangeError when more is filled than the box has sides
 */
export function boxWeight(layer: BoxLayer, fill: BoxFill): number {
  const sides = layer.frames * 2;
  for (const [what, filled] of Object.entries<number>({ ...fill })) within(what, filled, 0);
  within('filled sides', fill.honeySides + fill.nectarSides + fill.broodSides, 0, sides + 1e-9);
  const area = combArea(frameOf(layer));
  const content =
    fill.honeySides * HONEY_KG_PER_DM2 + fill.nectarSides * NECTAR_KG_PER_DM2 + fill.broodSides * BROOD_KG_PER_DM2;
  return roundTo(BOXES[layer.box].woodKg + area * (sides * DRAWN_FRAME_KG_PER_DM2 + content), 1);
}

export type LiftAdvice = 'one-lifts' | 'two-lift' | 'by-frames';

/**
 * How to move a box of this weight.
 *
 * @param kg weight of the box, 0 to 200
 * @param limits kg that one person and two people may lift. House practice; no figure replaces the person's own limit
 * @returns one person, two people, or frame by frame
 * @throws RangeError for a weight out of range
 * @example liftAdvice(21, { one: 16, two: 24 }) // 'two-lift'
 */
export function liftAdvice(kg: number, limits: { readonly one: number; readonly two: number }): LiftAdvice {
  within('weight of the box', kg, 0, 200);
  if (kg <= limits.one) return 'one-lifts';
  return kg <= limits.two ? 'two-lift' : 'by-frames';
}
