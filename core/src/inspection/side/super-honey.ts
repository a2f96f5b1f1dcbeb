import {
  type BoxLayer,
  HONEY_KG_PER_DM2,
  NECTAR_KG_PER_DM2,
  type Stack,
  combArea,
  frameOf,
  supers,
} from '../../equipment';
import type { VisitRecord } from '../entries/record';
import { fillOfWeight, weighedKg } from './sums';

/**
 * Honey and nectar in the supers of a hive, by the sides that were read of each, else by its weight.
 *
 * @param stack the hive
 * @param record the visit
 * @returns kg in all supers of which something is known, `null` when nobody looked at any
 */
export function superHoney(stack: Stack, record: VisitRecord): number | null {
  const known = supers(stack)
    .map((layer) => honeyIn(layer, record))
    .filter((kg) => kg !== null);
  return known.length === 0 ? null : known.reduce((sum, kg) => sum + kg, 0);
}

/** Honey and nectar in one box, kg: by the sides that were read of it, else by its weight; `null` when nobody looked. */
function honeyIn(layer: BoxLayer, record: VisitRecord): number | null {
  const area = combArea(frameOf(layer));
  const sides = layer.frames * 2;
  const read = Object.values(record.sides).filter(({ address }) => address.box === layer.id);
  if (read.length > 0) {
    const kg = read.reduce(
      (sum, { side }) =>
        sum + (((side.eighths.H ?? 0) * HONEY_KG_PER_DM2 + (side.eighths.N ?? 0) * NECTAR_KG_PER_DM2) * area) / 8,
      0,
    );
    return (kg * sides) / read.length;
  }
  return honeyByWeight(layer, record);
}

/** Honey in one box by its weight, kg; `null` when nobody weighed or hefted it. */
export function honeyByWeight(layer: BoxLayer, record: VisitRecord): number | null {
  const weighed = weighedKg(record, layer.id);
  return weighed === null
    ? null
    : fillOfWeight(layer, weighed) * layer.frames * 2 * combArea(frameOf(layer)) * HONEY_KG_PER_DM2;
}
