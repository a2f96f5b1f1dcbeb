import type { Text } from '../../language';
import { LETTERS } from '../side/contents';
import type { FrameSide } from '../side/frame-side';
import { say } from '../said';

/**
 * What became more and less on one side between two readings, in eighths, the greatest change first.
 *
 * @param last the earlier reading, `null` when it was not read
 * @param now the later one, `null` when it was not read
 * @returns a sentence, or `null` where one of them is missing
 * @example sideDifference(null, parseSide('8C')) // null
 */
export function sideDifference(last: FrameSide | null, now: FrameSide | null): Text | null {
  if (!last || !now) return null;
  const changes = LETTERS.map((letter) => ({ letter, by: (now.eighths[letter] ?? 0) - (last.eighths[letter] ?? 0) }))
    .filter(({ by }) => by !== 0)
    .toSorted((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const bees = last.bees === null || now.bees === null ? 0 : now.bees - last.bees;
  return changes.length === 0 && bees === 0 ? say('side-same') : say('side-changes', { changes, bees });
}
