import { say } from '../said';
import type { Text } from '../../language';
import { type Letter, LETTERS } from '../../inspection';
import { meanOf } from '../../statistics';
import { cohenKappa, type Kappa, QUADRATIC } from './kappa';
import { type Limits, limitsOf } from './limits';

/** A side that a trainee read before the supervisor's reading was shown. */
export interface ReadingPair {
  readonly trainee: string;
  /** ISO instant. */
  readonly at: string;
  /** Eighths by letter, as read and as the supervisor read them. */
  readonly read: Readonly<Partial<Record<Letter, number>>>;
  readonly reference: Readonly<Partial<Record<Letter, number>>>;
}

/** How a trainee reads one thing that comb holds. */
export interface LetterAgreement extends Limits {
  readonly letter: Letter;
  /** Sides read at most one eighth off. */
  readonly within: number;
  /** Agreement on eighths beyond chance, far ones weighing more; `null` when it is always the same. */
  readonly kappa: number | null;
  readonly kappaRange: readonly [number, number] | null;
  /** Eighths too many or too few on the mean of each day, oldest first. */
  readonly trend: readonly { readonly at: string; readonly bias: number }[];
}

export interface ReadingAgreement {
  readonly pairs: number;
  /** Eighths off on the mean, over letters that either of the two saw. */
  readonly off: number | null;
  readonly letters: readonly LetterAgreement[];
  /** What is given to what: eighths that went to the wrong letter, the most first. */
  readonly confusions: readonly { readonly from: Letter; readonly to: Letter; readonly eighths: number }[];
  /** Eighths off on the mean of each visit's day, oldest first. */
  readonly trend: readonly { readonly at: string; readonly off: number }[];
}

/** Most eighths that a letter can have, and the places of a table of them. */
const EIGHTHS = 8;
/** Readings that count as "of late". */
const OF_LATE = 10;

/**
 * How a trainee's hidden readings lie against the supervisors'.
 *
 * @param pairs of one trainee, in any order
 * @returns bias and limits by letter, kappa on eighths, confusions, and how it went over time
 */
export function readingAgreement(pairs: readonly ReadingPair[]): ReadingAgreement {
  const letters = LETTERS.flatMap((letter): LetterAgreement[] => {
    const seen = pairs.filter(({ read, reference }) => (read[letter] ?? 0) > 0 || (reference[letter] ?? 0) > 0);
    const limits = limitsOf(seen.map(({ read, reference }) => [read[letter] ?? 0, reference[letter] ?? 0] as const));
    if (limits === null) return [];
    const trend = byDay(seen).map((own) => ({
      at: own[0]!.at,
      bias: meanOf(own.map(({ read, reference }) => (read[letter] ?? 0) - (reference[letter] ?? 0))),
    }));
    const within = seen.filter(({ read, reference }) => Math.abs((read[letter] ?? 0) - (reference[letter] ?? 0)) <= 1);
    const { kappa, range } = kappaOnEighths(pairs, letter);
    return [{ letter, ...limits, within: within.length, kappa, kappaRange: range, trend }];
  });
  return {
    pairs: pairs.length,
    off: pairs.length === 0 ? null : meanOf(pairs.map(offOf)),
    letters,
    confusions: confusionsOf(pairs),
    trend: byDay(pairs).map((own) => ({ at: own[0]!.at, off: meanOf(own.map(offOf)) })),
  };
}

/** Readings of each day, oldest first. */
function byDay(pairs: readonly ReadingPair[]): readonly (readonly ReadingPair[])[] {
  const days = new Map<string, ReadingPair[]>();
  for (const each of pairs.toSorted((a, b) => a.at.localeCompare(b.at))) {
    const day = each.at.slice(0, 10);
    days.set(day, [...(days.get(day) ?? []), each]);
  }
  return [...days.values()];
}

/**
 * Eighths by which a trainee's readings of late are off, over letters that either of the two saw.
 *
 * @param pairs of one trainee
 * @returns mean of the last ten, `null` without any
 */
export function readingsOffOfLate(pairs: readonly ReadingPair[]): number | null {
  const late = pairs.toSorted((a, b) => a.at.localeCompare(b.at)).slice(-OF_LATE);
  return late.length === 0 ? null : meanOf(late.map(offOf));
}

function offOf({ read, reference }: ReadingPair): number {
  const off = LETTERS.flatMap((letter) => {
    const [own, true_] = [read[letter] ?? 0, reference[letter] ?? 0];
    return own > 0 || true_ > 0 ? [Math.abs(own - true_)] : [];
  });
  return off.length === 0 ? 0 : meanOf(off);
}

/** Whole eighths as classes: a half goes up. */
function kappaOnEighths(pairs: readonly ReadingPair[], letter: Letter): Pick<Kappa, 'kappa' | 'range'> {
  const table = Array.from({ length: EIGHTHS + 1 }, () => Array.from({ length: EIGHTHS + 1 }, () => 0));
  const place = (eighths: number | undefined) => Math.min(EIGHTHS, Math.max(0, Math.round(eighths ?? 0)));
  for (const { read, reference } of pairs) table[place(read[letter])]![place(reference[letter])]! += 1;
  return cohenKappa(table, QUADRATIC);
}

/** Eighths that one letter has too few of go, in proportion, to those that have too many. */
function confusionsOf(pairs: readonly ReadingPair[]): ReadingAgreement['confusions'] {
  const moved = new Map<string, number>();
  for (const { read, reference } of pairs) {
    const excess = LETTERS.map((letter) => ({ letter, by: (read[letter] ?? 0) - (reference[letter] ?? 0) }));
    const over = excess.filter(({ by }) => by > 0);
    const total = over.reduce((sum, { by }) => sum + by, 0);
    for (const { letter: from, by: missing } of excess.filter(({ by }) => by < 0))
      for (const { letter: to, by } of over) {
        const key = `${from}${to}`;
        moved.set(key, (moved.get(key) ?? 0) + Math.min(-missing, total) * (by / total));
      }
  }
  return [...moved]
    .map(([key, eighths]) => ({ from: key[0] as Letter, to: key[1] as Letter, eighths }))
    .sort((a, b) => b.eighths - a.eighths);
}

/** What is counted one by one. */
const COUNTED: ReadonlySet<Letter> = new Set<Letter>(['E', 'L']);

/** Bias from which a habit is named, eighths. Common practice. */
const HABIT = 0.4;
/** Sides, or shared judgements, under which nothing firm is said of anybody. Common practice. */
export const TOLD_FROM = 10;

/** What a trainee reads wrong again and again. */
export interface ReadingHabit {
  readonly says: Text;
  /** What it is about: a drill with these follows from it. */
  readonly letters: readonly Letter[];
}

const figure = (eighths: number): string => Math.abs(eighths).toFixed(1);

/**
 * What a trainee should practise, from how the readings lie.
 *
 * @param agreement of one trainee
 * @returns the weightiest habits first, each of ten sides at least and with a range that does not hold zero: below that it may be chance
 */
export function readingHabits({ pairs, letters, confusions }: ReadingAgreement): readonly ReadingHabit[] {
  if (pairs < TOLD_FROM) return [];
  const habits = letters
    .filter(
      ({ bias, biasRange, count }) =>
        count >= TOLD_FROM && Math.abs(bias) >= HABIT && biasRange !== null && biasRange[0] * biasRange[1] > 0,
    )
    .sort((a, b) => Math.abs(b.bias) - Math.abs(a.bias))
    .map(({ letter, bias, biasRange, count }) => {
      const [least, most] = [...biasRange!].sort((a, b) => Math.abs(a) - Math.abs(b)).map(figure);
      return {
        says: say('habit-off', { letter, counted: COUNTED.has(letter), bias, least: least!, most: most!, count }),
        letters: [letter],
      };
    });
  const [most] = confusions;
  const mixed =
    most && most.eighths / pairs >= HABIT
      ? [
          {
            says: say('habit-mixes', { from: most.from, to: most.to }),
            letters: [most.from, most.to],
          },
        ]
      : [];
  return [...habits.slice(0, 2), ...mixed];
}
