import { spoken } from '../units';
import type { ColonyRecord, Expected, ExpectedState } from './expected';

/** How a finding compares with what was expected here and now. */
export type FindingWord = 'normal' | 'more-than-expected' | 'less-than-expected';

export interface FindingLine {
  readonly measure: 'bees' | 'brood' | 'sealed' | 'drone' | 'stores';
  readonly label: string;
  readonly unit: 'frames' | 'kg';
  readonly expected: Expected;
  readonly found: number;
  readonly word: FindingWord;
}

export interface Finding {
  readonly lines: readonly FindingLine[];
  /** One sentence to say at the hive. */
  readonly says: string;
  readonly why: readonly string[];
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
    label: string,
    unit: FindingLine['unit'],
    of: Expected,
    value: number | null,
  ): FindingLine[] =>
    value === null ? [] : [{ measure, label, unit, expected: of, found: value, word: wordOf(value, of) }];
  const lines = [
    ...line('bees', 'Frames of bees', 'frames', expected.bees, found.bees),
    ...line('brood', 'Brood', 'frames', expected.brood, found.brood),
    ...line('sealed', 'Sealed brood', 'frames', expected.sealed, found.sealed),
    ...line('drone', 'Drone brood', 'frames', expected.drone, found.drone),
    ...line('stores', 'Stores', 'kg', expected.storesKg, found.storesKg),
  ];
  return { lines, says: sentence(expected, last, found, lines), why: expected.because };
}

const HALF = [0.35, 0.66] as const;

function sentence(expected: ExpectedState, last: ColonyRecord, found: Found, lines: readonly FindingLine[]): string {
  const word = (measure: FindingLine['measure']) => lines.find((each) => each.measure === measure)?.word ?? 'normal';
  const before = last.eggs + last.larvae + last.sealed + last.drone;
  const share = before > 0 ? found.brood / before : 1;
  const over =
    expected.phase === 'first-brood' || expected.phase === 'winter-rest' ? 'over winter' : `in ${expected.days} days`;
  const change =
    before < 0.5
      ? found.brood >= 0.5
        ? 'Brood again'
        : 'No brood'
      : share < HALF[0]
        ? `Brood down to ${Math.round(share * 100)} in 100 ${over}`
        : share <= HALF[1]
          ? `Brood halved ${over}`
          : share > 1.5
            ? `Brood up by half or more ${over}`
            : 'Brood about as before';
  const freed = Math.max(0, before - found.brood);
  const filled = found.storesKg >= last.storesKg && found.foodFrames >= found.emptyFrames;
  const comb =
    freed >= 1
      ? filled
        ? ', freed comb full of food'
        : found.storesKg < last.storesKg - freed * KG_PER_FOOD_FRAME
          ? ', freed comb empty and food less'
          : ', freed comb empty'
      : '';
  const odd = lines.filter((each) => each.word !== 'normal');
  const broodOdd = word('brood');
  if (odd.length === 0) return `${change}${comb}: normal here and now.`;
  const told = odd.map((each) => `${each.label.toLowerCase()} ${spoken(each.word)}`).join(', ');
  return `${change}${comb}${broodOdd === 'normal' ? ': normal here and now, but ' : ': '}${told}.`.replace(
    'normal here and now, but brood',
    'brood',
  );
}
