import { EIGHTHS } from '../../inspection';
import { scattered, type Random } from '../../units';
import {
  type BeeOnComb,
  COMB_SUBJECTS,
  type CombSide,
  type CombSubject,
  LAST_LEVEL,
  TROUBLES,
  TROUBLE_SAYS,
  type Trouble,
  layComb,
  recipeFor,
  setBees,
  someTrouble,
  troubledRecipe,
} from '../comb';
import type { Mark } from '../mark';

/** Grounds that cells are built on. Eggs show on dark ones and hide on new yellow or white wax. */
export type Ground = 'dark' | 'light';

/** A comb to look at. */
export interface CombPicture {
  readonly side: CombSide;
  readonly bees: readonly BeeOnComb[];
  readonly ground: Ground;
  /** Age of the comb, 0 new wax to 1 black. */
  readonly age: number;
}

/** Bees in the way, from the fourth level on. */
const coveredAt = (level: number): number => (level < 4 ? 0 : ((level - 3) / (LAST_LEVEL - 3)) * 0.3 * EIGHTHS);

/** Dresses a comb: ground, age of the wax, bees in the way. */
export function pictureOf(side: CombSide, level: number, random: Random, queen = false): CombPicture {
  const mark = queen && random.unit() < 1.1 - level / LAST_LEVEL ? '#f2d13a' : null;
  const bees = setBees(side, { eighths: coveredAt(level), drones: 2 * (level - 3), queen, mark }, random);
  const ground = random.unit() < 0.2 + level * 0.03 ? 'light' : 'dark';
  return { side, bees, ground, age: ground === 'light' ? random.unit() * 0.25 : 0.35 + random.unit() * 0.6 };
}

/** A made-up comb to be read. */
export function combToRead(subject: CombSubject, level: number, seed: number): CombPicture {
  const random = scattered(seed);
  return pictureOf(layComb(recipeFor(subject, level, seed, random)), level, random);
}

export const isSubject = (text: string): text is CombSubject => (COMB_SUBJECTS as readonly string[]).includes(text);

/** A comb with a trouble, or a sound one. */
export function troubledComb(level: number, seed: number): CombPicture & { readonly trouble: Trouble | null } {
  const random = scattered(seed);
  const trouble = someTrouble(random);
  const picture = pictureOf(layComb(troubledRecipe(trouble, level, seed, random)), Math.min(level, 5), random);
  return { ...picture, trouble };
}

/** Marks a name given to what a comb shows; to overlook a trouble weighs more than to suspect one. */
export function markTrouble(named: Trouble | null, truth: Trouble | null): Mark {
  const right = named === truth;
  const told = truth === null ? 'The comb was sound.' : `It showed ${truth}. ${TROUBLE_SAYS[truth].seen}`;
  const then =
    truth === null
      ? 'To call it doubtful costs a second look; that is never wrong at the hive.'
      : TROUBLE_SAYS[truth].then;
  return { score: right ? 1 : named !== null ? 0.5 : 0, right, says: right && truth === null ? [told] : [told, then] };
}

/** What can be named. */
export const NAMES: readonly (Trouble | null)[] = [...TROUBLES, null];
