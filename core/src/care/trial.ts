import { type HiveRead, superHoney } from '../inspection';
import type { Text } from '../language';
import { mitesOn } from './mites';
import type { Random } from '../units';
import { say } from './said';

/** What a trial measures at each hive. */
export const TRIAL_MEASURES = ['honey', 'bees', 'brood', 'stores', 'mites'] as const;
export type TrialMeasure = (typeof TRIAL_MEASURES)[number];

/** A hive as a trial sees it. */
export interface TrialHive {
  readonly hive: string;
  readonly number: string;
  /** Frames of bees and of brood at the last look. */
  readonly bees: number;
  readonly brood: number;
}

/** Two like hives: one is managed one way, the other the other. */
export interface TrialPair {
  readonly one: string;
  readonly other: string;
}

/**
 * What a look says of what a trial measures.
 *
 * @param read the look
 * @param measure honey and stores in kg, bees and brood in frames, mites on 100 bees
 * @returns the figure; `null` where that look did not measure it
 */
export function measuredBy(read: HiveRead, measure: TrialMeasure): number | null {
  const { nest, record, stack } = read;
  if (measure === 'honey') return superHoney(stack, record);
  if (measure === 'bees') return nest.framesOfBees?.value ?? null;
  if (measure === 'mites') {
    const sample = record.measures.findLast(({ measure: each }) => each.what === 'mites-on-bees')?.measure;
    return sample?.what === 'mites-on-bees' ? mitesOn(sample).value : null;
  }
  if (nest.sidesRead === 0) return null;
  return measure === 'brood' ? nest.brood.value : nest.storesKg.value;
}

/** A strength beyond which two hives are no pair: frames of bees and brood together. Common practice. */
const ALIKE = 4;

/**
 * Pairs like hives and lets chance say which of each pair is managed which way: whoever chooses, chooses the better hive for the method he likes.
 *
 * @param hives hives that may take part
 * @param random a source of chance
 * @returns pairs, the most alike first; a hive that finds none as strong is left out
 * Source: common practice; matched pairs with random allotment (Fisher 1935, from memory).
 */
export function pairHives(hives: readonly TrialHive[], random: Random): readonly TrialPair[] {
  const strength = ({ bees, brood }: TrialHive) => bees + brood;
  const order = hives.toSorted((a, b) => strength(a) - strength(b) || a.number.localeCompare(b.number));
  // Least difference in all: with strengths in order, partners stand side by side; which hive stays alone is tried out.
  const best = bestPairing(order.map(strength));
  return best
    .toSorted((a, b) => a.apart - b.apart)
    .map(({ at }) => {
      const [a, b] = [order[at]!.hive, order[at + 1]!.hive];
      return random.unit() < 0.5 ? { one: a, other: b } : { one: b, other: a };
    });
}

interface Beside {
  /** Place of the weaker of the two in order of strength. */
  readonly at: number;
  readonly apart: number;
}

/** Most pairs side by side that are alike enough, and of those the ones least apart. */
function bestPairing(strengths: readonly number[]): readonly Beside[] {
  const best: { readonly pairs: readonly Beside[]; readonly apart: number }[] = [
    { pairs: [], apart: 0 },
    { pairs: [], apart: 0 },
  ];
  for (let end = 2; end <= strengths.length; end += 1) {
    const alone = best[end - 1]!;
    const before = best[end - 2]!;
    const apart = strengths[end - 1]! - strengths[end - 2]!;
    const paired = { pairs: [...before.pairs, { at: end - 2, apart }], apart: before.apart + apart };
    const better =
      paired.pairs.length > alone.pairs.length ||
      (paired.pairs.length === alone.pairs.length && paired.apart < alone.apart);
    best[end] = apart <= ALIKE && better ? paired : alone;
  }
  return best.at(-1)!.pairs;
}

/** What was measured at both hives of a pair, as change since the beginning; `null` where nobody looked. */
export interface PairMeasured extends TrialPair {
  readonly oneBy: number | null;
  readonly otherBy: number | null;
}

/** What a trial says so far. */
export interface TrialResult {
  /** Pairs measured at both hives. */
  readonly measured: number;
  /** How much more one method gave than the other, the mean over pairs; `null` before any was measured. */
  readonly difference: number | null;
  /** Chance of a difference as large in either direction if the methods were equal, 0 to 1; `null` before any was measured. */
  readonly byChance: number | null;
  readonly verdict: 'one' | 'other' | 'no-difference' | 'too-few' | 'open';
  readonly says: Text;
}

/** Pairs under which no outcome can be told from chance: with five all on one side it happens in one of sixteen. */
const FEWEST_PAIRS = 6;
/** Chance under which a difference is taken as one. */
const TAKEN_AT = 0.05;
/** Pairs up to which every way of swapping the methods is reckoned. */
export const MOST_PAIRS = 16;

/**
 * What a trial of two methods on like hives says: the mean difference, and how often chance alone would give as much, by swapping the methods of each
 * pair in every way.
 *
 * @param pairs what was measured, at most 16 of them
 * @returns the difference and its verdict
 * @throws RangeError for more pairs
 * Source: Fisher's exact permutation test for matched pairs (The Design of Experiments, 1935, from memory).
 */
export function trialResult(pairs: readonly PairMeasured[]): TrialResult {
  if (pairs.length > MOST_PAIRS) throw new RangeError(`a trial has at most ${MOST_PAIRS} pairs`);
  const apart = pairs.flatMap(({ oneBy, otherBy }) => (oneBy === null || otherBy === null ? [] : [oneBy - otherBy]));
  const measured = apart.length;
  if (measured === 0)
    return {
      measured,
      difference: null,
      byChance: null,
      verdict: 'open',
      says: say('trial-open', { pairs: pairs.length }),
    };
  const sum = apart.reduce((all, each) => all + each, 0);
  const ways = 2 ** measured;
  let asLarge = 0;
  for (let way = 0; way < ways; way += 1) {
    const swapped = apart.reduce((all, each, at) => all + ((way >> at) & 1 ? -each : each), 0);
    if (Math.abs(swapped) >= Math.abs(sum) - 1e-9) asLarge += 1;
  }
  const byChance = asLarge / ways;
  const difference = sum / measured;
  const better = apart.filter((each) => each > 0).length;
  const verdict =
    measured < FEWEST_PAIRS ? 'too-few' : byChance >= TAKEN_AT ? 'no-difference' : difference > 0 ? 'one' : 'other';
  return {
    measured,
    difference,
    byChance,
    verdict,
    says: say('trial-says', { verdict, measured, better, byChance, fewest: FEWEST_PAIRS }),
  };
}
