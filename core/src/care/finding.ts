import type { Text } from '../language';
import type { ColonyRecord, Expected, ExpectedState } from './expected';
import { say } from './said';

/** How a finding compares with what was expected here and now. */
export type FindingWord = 'normal' | 'more-than-expected' | 'less-than-expected';

export interface FindingLine {
  readonly measure: 'bees' | 'brood' | 'sealed' | 'drone' | 'stores';
  readonly unit: 'frames' | 'kg';
  readonly expected: Expected;
  readonly found: number;
  readonly word: FindingWord;
}

export interface Finding {
  readonly lines: readonly FindingLine[];
  /** One sentence to say at the hive. */
  readonly says: Text;
  readonly why: readonly Text[];
}

/** What was found, in frames and kg. */
export interface Found {
  readonly bees: number | null;
  readonly brood: number;
  readonly sealed: number;
  readonly drone: number;
  readonly storesKg: number;
  /** Frames of honey and nectar, and of empty drawn comb. */
  readonly foodFrames: number;
  readonly emptyFrames: number;
}

const wordOf = (found: number, { low, high }: Expected): FindingWord =>
  found < low ? 'less-than-expected' : found > high ? 'more-than-expected' : 'normal';

/** A part of the food in the nest at the last look that the frames given up by brood would hold, kg a frame. */
const KG_PER_FOOD_FRAME = 2;

/**
 * Reads a finding as normal or not against what season, weather, feed and strain led one to expect.
 *
 * @param expected the state expected today
 * @param last the record it was reckoned from
 * @param found what the combs showed
 * @returns line by line, and a sentence
 */
export function readFinding(expected: ExpectedState, last: ColonyRecord, found: Found): Finding {
  const line = (
    measure: FindingLine['measure'],
    unit: FindingLine['unit'],
    of: Expected,
    value: number | null,
  ): FindingLine[] => (value === null ? [] : [{ measure, unit, expected: of, found: value, word: wordOf(value, of) }]);
  const lines = [
    ...line('bees', 'frames', expected.bees, found.bees),
    ...line('brood', 'frames', expected.brood, found.brood),
    ...line('sealed', 'frames', expected.sealed, found.sealed),
    ...line('drone', 'frames', expected.drone, found.drone),
    ...line('stores', 'kg', expected.storesKg, found.storesKg),
  ];
  return { lines, says: sentence(expected, last, found, lines), why: expected.because };
}

/** Shares of what was expected between which “half” is said. */
const HALF = [0.35, 0.66] as const;

function sentence(expected: ExpectedState, last: ColonyRecord, found: Found, lines: readonly FindingLine[]): Text {
  const before = last.eggs + last.larvae + last.sealed + last.drone;
  const share = before > 0 ? found.brood / before : 1;
  const over =
    expected.phase === 'first-brood' || expected.phase === 'winter-rest'
      ? say('over-winter')
      : say('in-days', { days: expected.days });
  const change =
    before < 0.5
      ? found.brood >= 0.5
        ? say('brood-again')
        : say('no-brood')
      : share < HALF[0]
        ? say('brood-down', { share: share * 100, over })
        : share <= HALF[1]
          ? say('brood-halved', { over })
          : share > 1.5
            ? say('brood-up-half-more', { over })
            : say('brood-about-before');
  const freed = Math.max(0, before - found.brood);
  const filled = found.storesKg >= last.storesKg && found.foodFrames >= found.emptyFrames;
  const comb =
    freed >= 1
      ? filled
        ? say('freed-comb-full-food')
        : found.storesKg < last.storesKg - freed * KG_PER_FOOD_FRAME
          ? say('freed-comb-empty-food-less')
          : say('freed-comb-empty')
      : '';
  const odd = lines.filter((each) => each.word !== 'normal').map(({ measure, word }) => ({ measure, word }));
  return odd.length === 0 ? say('finding-normal', { change, comb }) : say('finding-odd', { change, comb, odd });
}
