import { BROOD, type Letter } from '../side/contents';
import type { FrameSide } from '../side/frame-side';

/** Both sides of one frame; `null` for a side that was not read. */
export interface FrameSides {
  readonly low: FrameSide | null;
  readonly high: FrameSide | null;
}

/** What changed most on a frame. */
export const FRAME_CHANGES = [
  'first-eggs',
  'not-read',
  'no-last-reading',
  'queen-cell',
  'new-brood',
  'brood-gone',
  'spoilt-comb',
  'more-sealed',
  'less-sealed',
  'drone-up',
  'more-young-brood',
  'less-young-brood',
  'nectar-in',
  'honey-up',
  'stores-eaten',
  'pollen-in',
  'started',
  'being-drawn',
  'the-same',
] as const;
export type FrameChange = (typeof FRAME_CHANGES)[number];

const eighths = (frame: FrameSides, letters: readonly Letter[]): number =>
  [frame.low, frame.high].reduce(
    (sum, side) => sum + letters.reduce((inner, letter) => inner + (side?.eighths[letter] ?? 0), 0),
    0,
  );
const cells = (frame: FrameSides): number => (frame.low?.cells ?? 0) + (frame.high?.cells ?? 0);

/**
 * The most telling change on one frame, in a word or two.
 *
 * @param last the frame at the earlier visit
 * @param now the frame at the later visit
 * @returns what changed; `not-read` or `no-last-reading` where the two cannot be set side by side
 * @example frameChange({ low: parseSide('8C'), high: null }, { low: parseSide('2E 6C'), high: null }) // 'first-eggs'
 */
export function frameChange(last: FrameSides, now: FrameSides): FrameChange {
  if (!now.low && !now.high) return 'not-read';
  if (!last.low && !last.high) return 'no-last-reading';
  const by = (...letters: Letter[]) => eighths(now, letters) - eighths(last, letters);
  if (cells(now) > cells(last)) return 'queen-cell';
  if (eighths(last, BROOD) === 0 && eighths(now, BROOD) > 0)
    return eighths(now, ['E']) > 0 ? 'first-eggs' : 'new-brood';
  if (eighths(last, BROOD) > 0 && eighths(now, BROOD) === 0) return 'brood-gone';
  if (by('X') > 0) return 'spoilt-comb';
  const moves: readonly [number, FrameChange][] = [
    [by('S'), 'more-sealed'],
    [-by('S'), 'less-sealed'],
    [by('D') * 1.5, 'drone-up'],
    [by('E', 'L'), 'more-young-brood'],
    [-by('E', 'L'), 'less-young-brood'],
    [by('N'), 'nectar-in'],
    [by('H'), 'honey-up'],
    [-by('H', 'N'), 'stores-eaten'],
    [by('P'), 'pollen-in'],
    [-by('F'), eighths(now, ['F']) > 8 ? 'started' : 'being-drawn'],
  ];
  const [size, word] = moves.reduce((best, move) => (move[0] > best[0] ? move : best));
  return size > 0 ? word : 'the-same';
}
