import { roundTo, within, spoken } from '../../units';
import { type Spot, spotText } from './spots';
import { say } from '../said';
import { type Text, inOne } from '../../language';

export const WASH_METHODS = ['alcohol-wash', 'sugar-roll', 'gas'] as const;
export const ROPE_LIDS = ['sound', 'sunken', 'pierced', 'greasy'] as const;
export const ROPE_LARVAE = ['pearly', 'off-white', 'brown', 'dry-scale'] as const;
export const NECTAR_TESTS = ['drip', 'glint', 'press'] as const;

/** One matchstick (ropiness) test of a suspect cell. */
export interface RopinessTest {
  readonly lid: (typeof ROPE_LIDS)[number];
  readonly larva: (typeof ROPE_LARVAE)[number];
  /** Length of the thread that follows the stick, mm; 0 when it breaks at once; `null` when no stick was put in. */
  readonly threadMm: number | null;
  readonly foulSmell: boolean;
}

/** Something counted, weighed or tested during a visit. */
export type Measure =
  | {
      readonly what: 'mites-on-bees';
      readonly method: (typeof WASH_METHODS)[number];
      readonly bees: number;
      readonly mites: number;
    }
  | { readonly what: 'mites-in-drone-brood'; readonly cells: number; readonly infested: number }
  | {
      readonly what: 'weight';
      readonly part: string;
      readonly how: 'scale' | 'hefted' | 'by-feel';
      readonly kg: number;
    }
  | { readonly what: 'nest-temperature'; readonly celsius: number }
  | {
      readonly what: 'ropiness';
      readonly test: RopinessTest;
      /** The side whose cell was tested; `null` or missing when nobody said. */
      readonly spot?: Spot | null | undefined;
    }
  | { readonly what: 'honey-moisture'; readonly box: string; readonly percent: number }
  | { readonly what: 'gap'; readonly between: string; readonly mm: number }
  | {
      readonly what: 'fresh-nectar';
      readonly box: string;
      readonly test: (typeof NECTAR_TESTS)[number];
      readonly wet: boolean;
    }
  | { readonly what: 'wasps'; readonly aMinute: number; readonly pastGuards: boolean }
  | { readonly what: 'stuck'; readonly part: string; readonly grade: number }
  | { readonly what: 'scraps'; readonly kg: number };

/** A share (or a count each) with the range that holds it 19 times in 20. */
export interface ShareEstimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Share in the whole from a count in a sample, with Wilson's score interval.
 *
 * @param found how many of the sample, 0 to `sample`
 * @param sample size of the sample, 1 or more
 * @returns share and its 95 % range
 * @throws RangeError when the counts do not fit
 * @example shareOf(9, 300).value // 0.03
 * Source: Wilson (1927), J. Am. Stat. Assoc. 22, 209–212.
 */
export function shareOf(found: number, sample: number): ShareEstimate {
  within('sample', sample, 1);
  within('found', found, 0, sample);
  const z = 1.959964;
  const p = found / sample;
  const middle = (p + (z * z) / (2 * sample)) / (1 + (z * z) / sample);
  const half = (z / (1 + (z * z) / sample)) * Math.sqrt((p * (1 - p)) / sample + (z * z) / (4 * sample * sample));
  return { value: p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/**
 * Mites per bee with the range that holds it 19 times in 20. Mites per bee is no share: one bee can carry two. While there are fewer mites than
 * bees Wilson's interval is given; from there on that of a Poisson count (mites ± 1.96 √mites).
 *
 * @param mites counted, 0 or more
 * @param bees in the sample, 1 or more
 * @returns mites per bee, 0 or more
 * @throws RangeError when a count is out of range
 * @example perBee(40, 30).value // 1.33
 * Source: Wilson (1927); normal approximation of a Poisson count. Mites clump, so both ranges are narrower than the truth.
 */
export function perBee(mites: number, bees: number): ShareEstimate {
  within('mites', mites, 0);
  within('bees', bees, 1);
  if (mites <= bees) return shareOf(mites, bees);
  const half = 1.959964 * Math.sqrt(mites);
  return { value: mites / bees, low: (mites - half) / bees, high: (mites + half) / bees };
}

export interface MeasureReading {
  readonly says: Text;
  /** What it asks for, `null` when nothing. */
  readonly asks: Text | null;
  readonly level: 'well' | 'watch' | 'act';
}

const percent = (share: number) => roundTo(share * 100, 1);

/** Comb fills gaps wider than this seen in practice, mm; bee space of the textbooks ends here, mm. */
const GAP_SEEN_FILLED = 7;
/** Bee space: 6 to 9.5 mm (¼ to ⅜ in), the textbooks’ figure since the 1850s. From memory. */
const BEE_SPACE = [6, 9.5] as const;

/**
 * What a measurement says in words, with the limits of common practice. Thresholds for treatment depend on month and country: the school's
 * own rule and the label decide.
 *
 * @param measure the measurement
 * @returns words, what it asks for, and how pressing it is
 * @throws RangeError when counts do not fit one another
 * @example readMeasure({ what: 'gap', between: 'top bars and excluder', mm: 11 }).level // 'act'
 */
export function readMeasure(measure: Measure): MeasureReading {
  const reading = (says: Text, level: MeasureReading['level'] = 'well', asks: Text | null = null) => ({
    says,
    level,
    asks,
  });
  switch (measure.what) {
    case 'mites-on-bees': {
      const { value, low, high } = perBee(measure.mites, measure.bees);
      const odd = measure.mites > measure.bees ? say('more-mites-than-bees-possible') : '';
      const says = say('mites-bees', {
        percent: percent(value),
        low: percent(low),
        high: percent(high),
        method: measure.method,
        bees: measure.bees,
        odd,
      });
      const level = value >= 0.03 ? 'act' : value >= 0.01 ? 'watch' : 'well';
      const asks = [
        ...(level === 'well' ? [] : [say('hold-against-threshold')]),
        ...(measure.bees < 200 ? [say('sample-bees-half-cup-says')] : []),
      ];
      return reading(says, level, asks.length > 0 ? inOne(asks) : null);
    }
    case 'mites-in-drone-brood': {
      const { value, low, high } = shareOf(measure.infested, measure.cells);
      const level = value >= 0.1 ? 'act' : value >= 0.05 ? 'watch' : 'well';
      return reading(
        say('drone-cells-infested', { percent: percent(value), low: percent(low), high: percent(high) }),
        level,
        level === 'well' ? null : say('confirm-bees-wash-roll'),
      );
    }
    case 'weight':
      return reading(
        say('part-weighs', {
          part: measure.part,
          kg: measure.kg,
          how: spoken(measure.how === 'scale' ? 'on the scale' : measure.how),
        }),
      );
    case 'nest-temperature':
      return measure.celsius >= 33
        ? reading(say('c-brood-being-kept-warm', { celsius: measure.celsius }))
        : reading(say('c-brood-where-you-measured', { celsius: measure.celsius }), 'watch');
    case 'ropiness': {
      const { verdict, next } = ropinessVerdict(measure.test);
      const level = verdict === 'suspect' ? 'act' : verdict === 'negative' ? 'well' : 'watch';
      return reading(
        say('ropiness-test', { spot: measure.spot ? spotText(measure.spot) : null, verdict }),
        level,
        next,
      );
    }
    case 'honey-moisture':
      if (measure.percent > 20)
        return reading(say('water-will-ferment', { percent: measure.percent }), 'act', say('leave-it-on'));
      return measure.percent > 18
        ? reading(say('water-within-most-laws-thin', { percent: measure.percent }), 'watch', say('leave-if-you-can'))
        : reading(say('water-ripe', { percent: measure.percent }));
    case 'gap':
      if (measure.mm < BEE_SPACE[0])
        return reading(say('mm-under-bee-space-glued', { mm: measure.mm }), 'watch', say('scrape-clean'));
      if (measure.mm <= GAP_SEEN_FILLED) return reading(say('mm-bee-space', { mm: measure.mm }));
      return measure.mm <= BEE_SPACE[1]
        ? reading(say('mm-bee-space-books-yet', { mm: measure.mm, gapSeenFilled: GAP_SEEN_FILLED }), 'watch')
        : reading(say('mm-build', { mm: measure.mm }), 'act', say('wrong-part-missing-frame-change'));
    case 'fresh-nectar':
      return reading(say('nectar-test', { box: measure.box, test: measure.test, wet: measure.wet }));
    case 'wasps': {
      const pressure = waspPressure(measure);
      return reading(
        say('wasps-minute-pressure', { aMinute: measure.aMinute, pressure }),
        pressure === 'heavy' ? 'act' : pressure === 'none' ? 'well' : 'watch',
        pressure === 'none' ? null : say('narrow-entrance-what-can-guard'),
      );
    }
    case 'stuck': {
      const words: readonly Text[] = [
        say('comes-free'),
        say('easy-tool'),
        say('hard-hook-lever'),
        say('glued-solid-ten-minutes-more'),
      ];
      return reading(
        say('part-stuck', { part: measure.part, how: words[measure.grade] ?? null }),
        measure.grade >= 3 ? 'watch' : 'well',
      );
    }
    case 'scraps':
      return reading(say('kg-scraps-melting', { kg: measure.kg }));
  }
}

/**
 * The path of the matchstick test: from lid and larva to what to do. Suspect means: nothing leaves the hive, the inspector is told; only a
 * laboratory settles it, and the law of the place goes first.
 *
 * @param test what was seen on one cell
 * @returns verdict and the next thing to do
 * @example ropinessVerdict({ lid: 'sunken', larva: 'brown', threadMm: 25, foulSmell: true }).verdict // 'suspect'
 */
export function ropinessVerdict({ larva, threadMm, foulSmell }: RopinessTest): {
  readonly verdict: 'negative' | 'suspect' | 'not-settled';
  readonly next: Text;
} {
  const inspector = say('frame-bee-tool-leaves-hive');
  if (larva === 'dry-scale') return { verdict: 'suspect', next: inspector };
  if (threadMm === null)
    return {
      verdict: 'not-settled',
      next: say('stick-put-open-cell-turn'),
    };
  if (threadMm >= 10) return { verdict: 'suspect', next: inspector };
  if (threadMm > 0)
    return {
      verdict: 'not-settled',
      next: say('short-thread-settles-nothing-try', { inspector }),
    };
  if (larva === 'brown' || foulSmell)
    return {
      verdict: 'not-settled',
      next: say('try-three-more-cells-pierced', { inspector }),
    };
  if (larva === 'off-white')
    return {
      verdict: 'not-settled',
      next: say('thread-yet-off-white-other'),
    };
  return { verdict: 'negative', next: say('note-looked-found-look-again') };
}

/**
 * How hard wasps or robbers press a colony.
 *
 * @param wasps wasps a minute at the entrance, and whether they pass the guards
 * @returns none, light, some or heavy. Common practice
 * @example waspPressure({ aMinute: 6, pastGuards: true }) // 'heavy'
 */
export function waspPressure({
  aMinute,
  pastGuards,
}: {
  readonly aMinute: number;
  readonly pastGuards: boolean;
}): 'none' | 'light' | 'some' | 'heavy' {
  within('wasps a minute', aMinute, 0, 1000);
  if (aMinute === 0) return 'none';
  if (pastGuards && aMinute >= 3) return 'heavy';
  if (pastGuards || aMinute >= 5) return 'some';
  return 'light';
}
