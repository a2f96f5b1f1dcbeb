import { named } from '../../language';
import { EIGHTHS, type FrameSide, LETTERS, type Letter, TRACE_EIGHTHS } from '../../inspection';
import type { CombSide } from '../comb';
import type { Mark } from '../mark';
import { say } from '../said';

type Shares = CombSide['truth'];

/** Eighths in the wrong place that still count as read right, beyond what whole eighths cannot help. Common practice: one. */
const ALLOWED = 1;
/** From so many on nothing was read right. */
const NOTHING = 3;

/** Overlooked or made up from so many eighths on, a content is no slip of the measure. */
const WHOLE = 1;

/** Eighths as somebody read them; only a few cells are a quarter of one. */
export const readShares = (read: FrameSide): Shares =>
  Object.fromEntries(
    LETTERS.flatMap((letter) => {
      const eighths = read.eighths[letter] ?? (read.trace.includes(letter) ? TRACE_EIGHTHS : 0);
      return eighths > 0 ? [[letter, eighths]] : [];
    }),
  );

/**
 * Eighths that lie in the wrong place.
 *
 * @param read as somebody read it
 * @param truth as it was counted
 * @returns 0 to 8: half of all that is too much or too little; what was not read at all lies in the wrong place
 * @example wrongEighths({ S: 8 }, { S: 6, L: 2 }) // 2
 */
export function wrongEighths(read: Shares, truth: Shares): number {
  const off = LETTERS.map((letter) => (read[letter] ?? 0) - (truth[letter] ?? 0));
  const [over, under] = [off.filter((each) => each > 0), off.filter((each) => each < 0)].map((each) =>
    Math.abs(each.reduce((sum, one) => sum + one, 0)),
  );
  return Math.min(EIGHTHS, Math.max(over!, under!));
}

/** The best that whole eighths and a few can do: largest remainders get the eighths that rounding left over. */
export function bestReading(truth: Shares): Shares {
  const exact = LETTERS.map((letter) => ({ letter, eighths: truth[letter] ?? 0 }));
  const best = new Map(exact.map(({ letter, eighths }) => [letter, Math.floor(eighths)]));
  const left = EIGHTHS - [...best.values()].reduce((sum, each) => sum + each, 0);
  for (const { letter } of exact.toSorted((a, b) => (b.eighths % 1) - (a.eighths % 1)).slice(0, left))
    best.set(letter, best.get(letter)! + 1);
  return Object.fromEntries(
    exact.flatMap(({ letter, eighths }): [Letter, number][] => {
      const whole = best.get(letter)!;
      return whole > 0 ? [[letter, whole]] : eighths > TRACE_EIGHTHS / 2 ? [[letter, TRACE_EIGHTHS]] : [];
    }),
  );
}

/**
 * Marks a reading against what was there.
 *
 * @param read as somebody read it
 * @param truth eighths as counted
 * @returns the mark: right within an eighth of what whole eighths can do, when nothing that fills an eighth was overlooked or made up
 */
export function markReading(read: FrameSide, truth: Shares): Mark & { readonly wrong: number; readonly best: number } {
  const shares = readShares(read);
  const [wrong, best] = [wrongEighths(shares, truth), wrongEighths(bestReading(truth), truth)];
  const beyond = Math.max(0, wrong - best);
  const off = LETTERS.map((letter) => ({ letter, by: (shares[letter] ?? 0) - (truth[letter] ?? 0) }))
    .filter(({ by }) => Math.abs(by) >= 0.5)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const overlooked = LETTERS.filter((letter) => (truth[letter] ?? 0) >= 0.05 && (shares[letter] ?? 0) === 0);
  const notThere = LETTERS.filter((letter) => (shares[letter] ?? 0) > 0 && (truth[letter] ?? 0) === 0);
  const wholly =
    overlooked.some((letter) => truth[letter]! >= WHOLE) || notThere.some((letter) => shares[letter]! >= WHOLE);
  return {
    score: Math.max(0, 1 - beyond / NOTHING),
    right: beyond <= ALLOWED && !wholly,
    wrong,
    best,
    says: [
      ...off.slice(0, 2).map(({ letter, by }) => say('eighths-off', { by, content: named('content', letter) })),
      ...(overlooked.length > 0
        ? [say('overlooked', { contents: overlooked.map((letter) => named('content', letter)) })]
        : []),
      ...(notThere.length > 0
        ? [say('not-there', { contents: notThere.map((letter) => named('content', letter)) })]
        : []),
    ],
  };
}
