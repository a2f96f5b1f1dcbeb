import { type BoxLayer, type FrameKindId, frameOf } from '../../equipment';
import { BROOD, LETTERS, type Letter } from '../side/contents';
import type { BoxSummary } from '../entries/hive';
import type { SideOfKind } from '../side/estimates';
import type { FrameSides } from '../words/frame-change';
import { EMPTY_SIDE, type FrameSide, shows } from '../side/frame-side';

/** How far a side strays from its neighbour, in eighths, for each side that lies between. Common practice. */
const STRAY = 1.2;
/** Past the last side read only one neighbour speaks: so many times less is known. Common practice. */
const ONE_NEIGHBOUR = 2;

/** A box of the nest with what was read of it. */
export interface NestBox {
  readonly layer: BoxLayer;
  readonly frames: readonly FrameSides[];
  /** What a look from above said of it, used where no side was read. */
  readonly summary?: BoxSummary | undefined;
}

/**
 * The sides of a nest with what is assumed of those that nobody looked at, from the sides next to them. Brood fades outward from the last
 * brood read. What is assumed carries its spread, so that ranges grow with what was not looked at.
 *
 * @param box frames of one box, read or not
 * @returns read sides as they are, unread sides with a spread; unread sides with nothing to go by are left out
 */
export function withUnread({ layer, frames, summary }: NestBox): readonly SideOfKind[] {
  const frame = frameOf(layer);
  const sides = frames.flatMap(({ low, high }) => [low, high]);
  if (summary && sides.every((side) => side === null)) return fromAbove(frame, summary);
  return sides.flatMap((side, at): SideOfKind[] => {
    if (side) return [{ frame, side }];
    const left = nearest(sides, at, -1);
    const right = nearest(sides, at, 1);
    const guesses = [...(left ? [faded(left, right === null)] : []), ...(right ? [faded(right, left === null)] : [])];
    if (guesses.length === 0) return [];
    const weight = guesses.reduce((sum, { away }) => sum + 1 / away, 0);
    const mean = (of: (side: FrameSide) => number) =>
      guesses.reduce((sum, guess) => sum + of(guess.side) / guess.away, 0) / weight;
    const eighths = Object.fromEntries(
      LETTERS.map((letter) => [letter, mean((each) => each.eighths[letter] ?? 0)]).filter(
        ([, value]) => Number(value) > 0,
      ),
    ) as FrameSide['eighths'];
    const counted = guesses.filter((guess) => guess.side.bees !== null);
    const bees = counted.length > 0 ? counted.reduce((sum, guess) => sum + guess.side.bees!, 0) / counted.length : null;
    // Sides of one gap stray together, not each for itself: their spreads add up instead of cancelling out.
    const gap =
      left && right ? left.away + right.away - 1 : left ? sides.length - 1 - (at - left.away) : at + right!.away;
    const known = left && right ? 1 : ONE_NEIGHBOUR;
    const spread = STRAY * known * Math.sqrt((guesses.length / weight) * Math.max(1, gap));
    return [{ frame, side: { ...EMPTY_SIDE, eighths, bees }, spread }];
  });
}

interface Guess {
  readonly side: FrameSide;
  /** Sides between. */
  readonly away: number;
}

function nearest(sides: readonly (FrameSide | null)[], at: number, step: 1 | -1): Guess | null {
  for (let i = at + step; i >= 0 && i < sides.length; i += step) {
    const side = sides[i];
    if (side) return { side, away: Math.abs(i - at) };
  }
  return null;
}

/** Past the last side read everything thins out, brood faster than the rest. */
function faded(guess: Guess, past: boolean): Guess {
  if (!past) return guess;
  const keep = (letter: Letter) => (BROOD.includes(letter) ? 0.6 : 0.9) ** guess.away;
  const eighths = Object.fromEntries(
    LETTERS.filter((letter) => shows(guess.side, letter)).map((letter) => [
      letter,
      (guess.side.eighths[letter] ?? 0) * keep(letter),
    ]),
  );
  return { ...guess, side: { ...guess.side, eighths } };
}

/** What a frame said to be of a kind holds, eighths a side, and how far that may be off. Common practice. */
const FROM_ABOVE = {
  brood: { eighths: { E: 1, L: 1, S: 3, P: 1, H: 2 }, spread: 2.5 },
  food: { eighths: { H: 6, P: 1 }, spread: 2 },
  drawn: { eighths: { C: 7 }, spread: 1.5 },
  bare: { eighths: { F: 8 }, spread: 0.5 },
} as const satisfies Record<string, { readonly eighths: FrameSide['eighths']; readonly spread: number }>;

/** Sides as a whole box summed up from above makes them likely. */
function fromAbove(frame: FrameKindId, summary: BoxSummary): readonly SideOfKind[] {
  const kinds = ['brood', 'food', 'drawn', 'bare'] as const;
  return kinds.flatMap((kind) => {
    const { eighths, spread } = FROM_ABOVE[kind];
    const count = Math.round((summary[kind] ?? 0) * 2);
    return Array.from({ length: count }, () => ({ frame, spread, side: { ...EMPTY_SIDE, eighths } }));
  });
}
