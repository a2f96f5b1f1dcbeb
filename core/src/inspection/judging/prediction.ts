import { LETTERS, type Letter } from '../side/contents';
import { EIGHTHS, type FrameSide, type SideAddress, shows } from '../side/frame-side';

/** What somebody said that a side would hold, before it was turned. */
export interface Guess {
  readonly person: string;
  readonly address: SideAddress;
  /** Contents expected, the main one first. */
  readonly letters: readonly Letter[];
}

export interface GuessScore {
  /** 0 nothing right to 1 all right. */
  readonly score: number;
  readonly hit: readonly Letter[];
  readonly missed: readonly Letter[];
  readonly notThere: readonly Letter[];
}

/**
 * How well a guess met what was read: half for the main content, half for the set of contents that take an eighth or more
 * (shared ÷ all, Jaccard).
 *
 * @param letters contents guessed, the main one first
 * @param side what was read
 * @returns score with what was right, overlooked and not there; 0 for an empty guess
 * @example scoreGuess(['S', 'H'], parseSide('4S 4H')).score // 1
 */
export function scoreGuess(letters: readonly Letter[], side: FrameSide): GuessScore {
  const held = LETTERS.filter((letter) => (side.eighths[letter] ?? 0) >= 1);
  const hit = letters.filter((letter) => held.includes(letter));
  const missed = held.filter((letter) => !letters.includes(letter));
  const notThere = letters.filter((letter) => !shows(side, letter));
  const [main] = letters;
  if (main === undefined) return { score: 0, hit, missed, notThere };
  const most = Math.max(0, ...held.map((letter) => side.eighths[letter] ?? 0));
  const top = most > 0 && (side.eighths[main] ?? 0) === most ? 1 : (side.eighths[main] ?? 0) / Math.max(1, most) / 2;
  const all = hit.length + missed.length + notThere.length;
  return { score: 0.5 * top + 0.5 * (all === 0 ? 0 : hit.length / all), hit, missed, notThere };
}

/** How two readings of one side differ, eighths by content; positive where the second has more. */
export function readingGap(
  first: FrameSide,
  second: FrameSide,
): {
  readonly by: Readonly<Partial<Record<Letter, number>>>;
  /** Eighths that lie in another content, 0 to 8. */
  readonly off: number;
} {
  const gaps = LETTERS.map((letter) => [letter, (second.eighths[letter] ?? 0) - (first.eighths[letter] ?? 0)] as const);
  const up = gaps.reduce((sum, [, gap]) => sum + Math.max(0, gap), 0);
  const down = gaps.reduce((sum, [, gap]) => sum + Math.max(0, -gap), 0);
  return {
    by: Object.fromEntries(gaps.filter(([, gap]) => gap !== 0)),
    off: Math.min(EIGHTHS, Math.max(up, down)),
  };
}

/**
 * Where the nest should lie, said before frames are pulled: the frames that held brood last time, grown or shrunk by a frame for each twelve
 * days of the season, drawn toward the seams where bees were seen.
 *
 * @param last frames with brood at the last visit, from 1; empty when unknown
 * @param seams seams of bees counted from above, `null` when not counted
 * @param frames frames in the box
 * @param growing whether the season lets the nest grow (1), keeps it (0) or shrinks it (-1)
 * @returns first and last frame expected to hold brood, `null` without anything to go by. Common practice
 * @example nestAhead([4, 5, 6], null, 11, 1) // { from: 3, to: 7 }
 */
export function nestAhead(
  last: readonly number[],
  seams: number | null,
  frames: number,
  growing: -1 | 0 | 1,
): { readonly from: number; readonly to: number } | null {
  if (last.length === 0) {
    if (seams === null || seams < 2) return null;
    const half = Math.max(1, Math.round((seams - 2) / 2));
    const middle = (frames + 1) / 2;
    return { from: Math.max(1, Math.ceil(middle - half)), to: Math.min(frames, Math.floor(middle + half)) };
  }
  const from = Math.max(1, Math.min(...last) - growing);
  const to = Math.min(frames, Math.max(...last) + growing);
  if (from > to) return { from: last[0]!, to: last[0]! };
  const most = seams === null ? Infinity : Math.max(1, Math.floor(seams));
  const over = Math.max(0, to - from + 1 - most);
  return { from: from + Math.ceil(over / 2), to: to - Math.floor(over / 2) };
}
