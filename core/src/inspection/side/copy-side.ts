import { LETTERS } from './contents';
import { EIGHTHS, type FrameSide, eighthsRead } from './frame-side';

/** Where a reading is copied from. */
export type CopyFrom = 'last-time' | 'the-other-side';

/**
 * Takes over what another reading says of the comb, and nothing else: what was seen today stays as it is. Marks, doubts, pollen, queen and
 * queen cells are never copied, and never wiped. Eggs of last time are no eggs of today: they are left to be looked for. Contents that were
 * entered today keep their eighths, the copy fills what is left.
 *
 * @param today the side as far as it was entered today
 * @param other the reading to take over
 * @param from last time, or the other side of the same frame
 * @returns the side; eighths that the copy does not fill stay open
 * @example copySide(EMPTY_SIDE, parseSide('2E 6S .sunken-lids'), 'last-time').eighths // { S: 6 }
 */
export function copySide(today: FrameSide, other: FrameSide, from: CopyFrom): FrameSide {
  const skipped = from === 'last-time' ? 'E' : null;
  const open = LETTERS.filter((letter) => letter !== skipped && today.eighths[letter] === undefined);
  let left = EIGHTHS - eighthsRead(today);
  const eighths = { ...today.eighths };
  for (const letter of open) {
    const taken = Math.min(left, other.eighths[letter] ?? 0);
    if (taken <= 0) continue;
    eighths[letter] = taken;
    left -= taken;
  }
  const traces = other.trace.filter((letter) => letter !== skipped && eighths[letter] === undefined);
  return {
    ...today,
    eighths,
    trace: [...new Set([...today.trace.filter((letter) => eighths[letter] === undefined), ...traces])],
    bees: today.bees ?? other.bees,
  };
}

/** Whether a copy left eggs of last time to be looked for. */
export const eggsLeftOut = (other: FrameSide, from: CopyFrom): boolean =>
  from === 'last-time' && ((other.eighths.E ?? 0) > 0 || other.trace.includes('E'));
