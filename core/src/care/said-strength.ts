import type { CivilDate } from '../units';

/** What is said of protein, and of colonies too small for winter. */
export interface StrengthSentences {
  'pollen-found-wanted': { pollen: number; wanted: number };
  'brood-to-feed': { brood: number };
  'days-shut-in': { poor: number };
  'little-pollen-in-bloom': null;
  'winter-bees-need-protein': null;
  'own-pollen-better': null;
  'give-patty': { kg: number; small: boolean };
  'only-while-pollen-flows': null;
  'protein-rule': { wanted: number };
  'pollen-stored': null;
  'beetles-cut-small': null;
  'patty-eaten-or-out': null;
  'pollen-loads-come-in': null;
  'patty-left-take-out': null;
  'patty-again-or-pollen': null;
  'bees-of-a-winter': { bees: number; least: number };
  'days-until-cold': { coldFrom: CivilDate; left: number };
  'range-reaches-enough': null;
  'nurse-small-colony': null;
  'unite-small-colony': null;
  'let-handful-go': null;
  'nights-of': { night: number; warm: boolean };
  'days-to-the-cold': null;
  'feeding-plan': null;
  'sips-every': { litres: number; every: number };
  'lets-nature-cull': null;
  'nurses-in-a-small-box': null;
  'strength-rule': { least: number; settle: number };
  'more-bees-next-look': null;
  'nights-stay-warm': null;
  'unite-six-weeks-before': null;
  'small-box-beside-strong': null;
  'how-many-frames-now': null;
  'give-brood': { from: string; to: string; combs: number };
  'ahead-and-behind': { from: number; brood: number; to: number; middle: number };
  'give-food': { from: string; to: string };
  'rich-and-hungry': { from: number; to: number; least: number };
}
