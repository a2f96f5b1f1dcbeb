import type { ColonyFacts } from './facts';
import { type MiteProduct, WORKS } from './mite-products';
import { halfRead } from './reading';
import { say } from './said';
import type { Text } from '../language';

/** Frames of brood under which a colony counts as broodless. */
const BROODLESS = 0.1;
/** Days of the forecast that a first choice rests on. */
const LOOKED_AHEAD = 14;

/** A product, whether it fits now, and why or why not. */
export interface ProductChoice {
  readonly product: MiteProduct;
  readonly fits: boolean;
  readonly why: Text;
}

/** Whether there is no brood that an acid would have to reach under cappings. */
export const broodless = (facts: ColonyFacts): boolean =>
  facts.nest.brood.value < BROODLESS &&
  (halfRead(facts) || facts.phase === 'winter-rest') &&
  !facts.eggsSeen &&
  !facts.sealedSeen;

/**
 * Which products fit a colony in the coming days, the first choice first. Registration differs by country, and the label decides.
 *
 * @param facts the colony
 * @returns every product with its reason
 * Source: labels and extension advice, from memory.
 */
export function productsFor(facts: ColonyFacts): readonly ProductChoice[] {
  const highs = facts.ahead.slice(0, LOOKED_AHEAD).map(({ high }) => high);
  const [coolest, warmest] = [Math.min(...highs), Math.max(...highs)];
  const choice = (product: MiteProduct, fits: boolean, why: Text): ProductChoice => ({ product, fits, why });
  const warmth = (product: MiteProduct): ProductChoice | null => {
    const { low, high } = WORKS[product];
    if (highs.length === 0) return choice(product, false, say('no-forecast-for-product'));
    if (coolest < low) return choice(product, false, say('too-cold-for-product', { coolest, low }));
    return warmest > high ? choice(product, false, say('too-hot-for-product', { warmest, high })) : null;
  };
  const without = broodless(facts);
  const all: readonly ProductChoice[] = [
    without
      ? (warmth('oxalic-dribble') ?? choice('oxalic-dribble', true, say('oxalic-broodless')))
      : choice('oxalic-dribble', false, say('oxalic-not-under-cappings')),
    facts.youngQueen
      ? choice('formic', false, say('formic-not-with-young-queen'))
      : without
        ? choice('formic', false, say('formic-not-needed'))
        : (warmth('formic') ?? choice('formic', true, say('formic-fits', { coolest, warmest }))),
    without
      ? choice('thymol', false, say('thymol-slow'))
      : (warmth('thymol') ?? choice('thymol', true, say('thymol-fits', { coolest, warmest }))),
    choice('strips', !without, without ? say('strips-slow') : say('strips-fit')),
    choice('brood-break', false, say('brood-break-other-way')),
  ];
  return [...all.filter(({ fits }) => fits), ...all.filter(({ fits }) => !fits)];
}
