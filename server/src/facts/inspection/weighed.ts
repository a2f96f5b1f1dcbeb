import type { GroupSheet } from '@brave-comb/contract';
import { type Layer, boxWeight, isBox, liftAdvice, nestBoxes } from '@brave-comb/core/equipment';
import { BROOD, type Letter } from '@brave-comb/core/inspection';
import type { HiveRow } from '../../records/equipment';
import type { HousePractice } from '@brave-comb/core/house';
import type { ColonyRead } from './colony-read';

/** Every part with its weight by the last reading; boxes of the nest stay where they are. */
export function weighed(
  hive: Pick<HiveRow, 'stack'>,
  last: ColonyRead | null,
  practice: HousePractice,
): GroupSheet['stack'] {
  const nest = new Set(nestBoxes(hive.stack).map((layer) => layer.id));
  return hive.stack.map((layer) => {
    const kg = last ? weightOf(layer, last) : null;
    if (!isBox(layer)) return { layer, kg: null, lift: null };
    return { layer, kg, lift: nest.has(layer.id) ? 'stays-put' : kg === null ? null : liftAdvice(kg, practice.lift) };
  });
}

function weightOf(layer: Layer, last: ColonyRead): number | null {
  if (!isBox(layer)) return null;
  const read = Object.values(last.record.sides).filter(({ address }) => address.box === layer.id);
  if (read.length === 0) return null;
  const sidesOf = (letters: readonly Letter[]) =>
    (read.reduce(
      (sum, { side }) => sum + letters.reduce((inner, letter) => inner + (side.eighths[letter] ?? 0), 0),
      0,
    ) /
      8) *
    ((layer.frames * 2) / read.length);
  return boxWeight(layer, {
    honeySides: sidesOf(['H']),
    nectarSides: sidesOf(['N']),
    broodSides: sidesOf(['P', ...BROOD]),
  });
}
