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
import { say } from '../said';

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

/** Dresses a comb: ground, age of the wax, bees in the way. What is drawn beside foundation is new wax. */
export function pictureOf(side: CombSide, level: number, random: Random, queen = false): CombPicture {
  const mark = queen && random.unit() < 1.1 - level / LAST_LEVEL ? '#f2d13a' : null;
  const bees = setBees(side, { eighths: coveredAt(level), drones: 2 * (level - 3), queen, mark }, random);
  const pale = random.unit() < 0.2 + level * 0.03;
  const ground = pale || (side.truth.F ?? 0) > 0 ? 'light' : 'dark';
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

/** Signs that may be a notifiable disease. */
const SUSPECT: ReadonlySet<Trouble | null> = new Set<Trouble | null>(['sunken-lids', 'twisted-larvae']);

/**
 * Marks a name given to what a comb shows. A trouble overlooked scores nothing, and so does a sign of what may be notifiable that was taken for
 * something harmless; to suspect more than there is costs a second look and scores half.
 *
 * @param named what was said, `null` for sound
 * @param truth what the comb shows
 * @returns the mark
 */
export function markTrouble(named: Trouble | null, truth: Trouble | null): Mark {
  const right = named === truth;
  if (truth === null)
    return right
      ? { score: 1, right, says: [say('comb-sound')] }
      : {
          score: 0.5,
          right,
          says: [say('comb-sound'), say('call-doubtful-costs-second-look')],
        };
  const { seen, then } = TROUBLE_SAYS[truth];
  const harmful = !right && (named === null || (SUSPECT.has(truth) && !SUSPECT.has(named)));
  return {
    score: right ? 1 : harmful ? 0 : 0.5,
    right,
    says: [
      say('it-showed', { truth, seen }),
      ...(harmful && SUSPECT.has(truth) ? [say('taken-something-harmless-carried-frames')] : []),
      then,
    ],
  };
}

/** What can be named. */
export const NAMES: readonly (Trouble | null)[] = [...TROUBLES, null];
