import { say } from '../said';
import { Unfit } from '../../language';
import { BROOD, EIGHTHS, type FrameSide, LETTERS, type Letter, TRACE_EIGHTHS, hasMark } from '../../inspection';
import type { Random } from '../../units';
import { type Laying, type NestPlace, stagesLeft } from './nest';
import type { CombRecipe } from './side';
import { TROUBLES, type Trouble } from './troubles';

/** What a made-up comb is meant to train. */
export const COMB_SUBJECTS = ['brood', 'young', 'stores', 'drones', 'spotty', 'building'] as const;
export type CombSubject = (typeof COMB_SUBJECTS)[number];

/** Easiest and hardest. */
export const FIRST_LEVEL = 1;
export const LAST_LEVEL = 8;

const between = (random: Random, low: number, high: number): number => low + (high - low) * random.unit();

/** The higher the level, the more ragged the borders and the further the nest from the middle. */
const placeFor = (level: number, random: Random): NestPlace => ({
  middle: [0.5 + between(random, -0.03, 0.03) * level, 0.56 + between(random, -0.01, 0.015) * level],
  stretch: between(random, 1.1, 1.45),
  ragged: 0.25 + 0.75 * ((level - 1) / (LAST_LEVEL - 1)),
});

/** Splits eighths by weights. */
const split = (
  eighths: number,
  weights: Readonly<Partial<Record<Letter, number>>>,
): Partial<Record<Letter, number>> => {
  const all = Object.values(weights).reduce((sum, each) => sum + each, 0);
  return Object.fromEntries(Object.entries(weights).map(([letter, weight]) => [letter, (eighths * weight) / all]));
};

/** Brood of so many eighths as a laying leaves it. */
function broodOf(eighths: number, laying: Laying): Partial<Record<Letter, number>> {
  const [E, L, S] = stagesLeft(laying);
  return { E: eighths * E, L: eighths * L, S: eighths * S };
}

/**
 * A recipe for a made-up comb.
 *
 * @param subject what it trains
 * @param level 1 easy to 8 hard: more kinds of content, more ragged, more cells missed
 * @param seed the same seed, the same comb
 * @param random seeded with it
 * @returns the recipe
 */
export function recipeFor(subject: CombSubject, level: number, seed: number, random: Random): CombRecipe {
  const hard = (level - 1) / (LAST_LEVEL - 1);
  const laying: Laying =
    subject === 'young'
      ? { middle: between(random, 3, 8), behind: between(random, 3, 7) }
      : { middle: between(random, 9, 20.5), behind: between(random, 4, 6 + 8 * hard) };
  const brood = {
    brood: between(random, 3, 6),
    young: between(random, 2, 5),
    stores: random.unit() < 0.5 ? 0 : between(random, 0.4, 1.4),
    drones: between(random, 2.5, 5),
    spotty: between(random, 3.5, 6),
    building: between(random, 0.5, 2),
  }[subject];
  const drone =
    subject === 'drones' ? between(random, 0.6, 2) : brood > 0 && random.unit() < hard ? between(random, 0.1, 0.5) : 0;
  const bare = subject === 'building' ? between(random, 1, 4.5) : 0;
  const misses = subject === 'spotty' ? between(random, 0.12, 0.4) : between(random, 0.01, 0.04 + 0.1 * hard);
  const left = EIGHTHS - brood - drone - bare;
  const gaps = Math.min(left * 0.5, brood * misses);
  const rest = split(left - gaps, {
    P: between(random, 0.15, subject === 'stores' ? 0.9 : 0.45),
    N: between(random, 0.1, 0.3 + 0.4 * hard),
    H: between(random, 0.3, 1),
    C: between(random, 0.05, 0.4),
  });
  const shares = { ...broodOf(brood, laying), ...rest, D: drone, F: bare, C: (rest.C ?? 0) + gaps };
  return {
    seed,
    shares: withoutSlivers(shares),
    place: placeFor(level, random),
    laying,
    misses,
    pollens: [],
    trouble: null,
    struck: 0,
    doubles: 0,
  };
}

/** Less than a few cells of something is nothing: it goes to what there is most of. */
function withoutSlivers(shares: Readonly<Partial<Record<Letter, number>>>): CombRecipe['shares'] {
  const kept = LETTERS.filter((letter) => (shares[letter] ?? 0) >= 0.03);
  const lost = EIGHTHS - kept.reduce((sum, letter) => sum + shares[letter]!, 0);
  const most = kept.reduce((best, letter) => (shares[letter]! > shares[best]! ? letter : best));
  return Object.fromEntries(kept.map((letter) => [letter, shares[letter]! + (letter === most ? lost : 0)]));
}

/** A laying that leaves enough of the brood that a trouble befalls. */
function strikingLaying(trouble: Trouble, random: Random): Laying {
  if (trouble === 'several-eggs-in-a-cell') return { middle: between(random, 3, 6), behind: between(random, 3, 6) };
  if (trouble === 'twisted-larvae') return { middle: between(random, 8, 9.5), behind: between(random, 4, 6) };
  return { middle: between(random, 14, 19), behind: between(random, 3, 7) };
}

/**
 * A recipe for a comb with a trouble, or a sound one to tell it from.
 *
 * @param trouble the trouble, `null` for none
 * @param level 1 easy (half the brood struck) to 8 hard (a few cells)
 * @param seed the same seed, the same comb
 * @param random seeded with it
 * @returns the recipe
 */
export function troubledRecipe(trouble: Trouble | null, level: number, seed: number, random: Random): CombRecipe {
  const recipe = recipeFor('brood', level, seed, random);
  const struck = 0.45 * (1 - (level - 1) / LAST_LEVEL) + 0.04;
  const laying = trouble === null ? recipe.laying! : strikingLaying(trouble, random);
  const brood = BROOD.reduce((sum, letter) => sum + (recipe.shares[letter] ?? 0), 0);
  const { E: _e, L: _l, S: _s, ...rest } = recipe.shares;
  return {
    ...recipe,
    laying,
    shares: withoutSlivers({ ...rest, ...broodOf(brood - (rest.D ?? 0), laying) }),
    misses: trouble === null ? recipe.misses : Math.max(recipe.misses, 0.15),
    trouble,
    struck,
  };
}

/** A trouble by lot; now and then none, so that "nothing wrong" can be an answer. */
export const someTrouble = (random: Random): Trouble | null => {
  const lot = random.below(TROUBLES.length + 2);
  return TROUBLES[lot] ?? null;
};

const BY_MARK: readonly (readonly [Parameters<typeof hasMark>[1], Trouble])[] = [
  ['sunken-lids', 'sunken-lids'],
  ['pierced-lids', 'sunken-lids'],
  ['yellow-larvae', 'twisted-larvae'],
  ['twisted-larvae', 'twisted-larvae'],
  ['chalk', 'chalky-mummies'],
];

/**
 * The comb that a recorded side would have been: its eighths cell by cell, as a nest lies.
 *
 * @param side as it was read
 * @param seed which of the many combs that look so
 * @returns the recipe; what was not read counts as empty comb, only a few cells as a quarter of an eighth
 * @throws RangeError when nothing was read on it
 */
export function recipeOfSide(side: FrameSide, seed: number): CombRecipe {
  const read: Partial<Record<Letter, number>> = { ...side.eighths };
  for (const letter of side.trace) read[letter] = Math.max(read[letter] ?? 0, TRACE_EIGHTHS);
  const sum = LETTERS.reduce((total, letter) => total + (read[letter] ?? 0), 0);
  if (sum === 0) throw new Unfit(say('nothing-read-on-that-side'));
  if (sum < EIGHTHS) read.C = (read.C ?? 0) + EIGHTHS - sum;
  return {
    seed,
    shares: read,
    place: { middle: [0.5, 0.56], stretch: 1.3, ragged: 0.6 },
    laying: null,
    misses: hasMark(side, 'spotty-pattern') ? 0.25 : 0.03,
    pollens: side.pollens ?? [],
    trouble: BY_MARK.find(([mark]) => hasMark(side, mark))?.[1] ?? null,
    struck: 0.08,
    doubles: 0,
  };
}
