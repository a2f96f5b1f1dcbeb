import { layingRate } from '../../biology';
import { roundTo } from '../../units';
import { type ChangeWord, changeWord } from '../judging/comparison';
import { BROOD } from '../side/contents';
import type { ColonyEstimate } from '../side/estimates';
import type { FrameSides } from './frame-change';
import type { FrameSide } from '../side/frame-side';

const sidesOf = (frame: FrameSides): readonly FrameSide[] => [frame.low, frame.high].filter((side) => side !== null);
const has = (side: FrameSide, letters: readonly (keyof FrameSide['eighths'])[]): boolean =>
  letters.some((letter) => (side.eighths[letter] ?? 0) > 0);

/** Numbers of the frames that meet a test, from 1. */
const numbered = (frames: readonly FrameSides[], test: (frame: FrameSides) => boolean): readonly number[] =>
  frames.flatMap((frame, index) => (test(frame) ? [index + 1] : []));

const spoken = (numbers: readonly number[]): string =>
  numbers.length < 2 ? `${numbers[0] ?? ''}` : `${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;

/** Frames with brood on either side, counted from 1. */
export const broodFrames = (frames: readonly FrameSides[]): readonly number[] =>
  numbered(frames, (frame) => sidesOf(frame).some((side) => has(side, BROOD)));

/**
 * Frames on which nectar lies on a side that also holds brood: the nest is being filled where she lays.
 *
 * @param frames frames of the nest, in order
 * @returns frame numbers from 1
 * @example nectarAmongBrood([{ low: parseSide('4S 2N'), high: null }]) // [1]
 */
export const nectarAmongBrood = (frames: readonly FrameSides[]): readonly number[] =>
  numbered(frames, (frame) => sidesOf(frame).some((side) => has(side, BROOD) && has(side, ['N'])));

/** Frames with queen cells or cups, counted from 1. */
export const framesWithCells = (frames: readonly FrameSides[]): readonly number[] =>
  numbered(frames, (frame) => sidesOf(frame).some((side) => side.cells > 0));

/**
 * What changed between two visits, in a few sentences.
 *
 * @param last frames of the earlier visit, `null` when there is none
 * @param now frames of the later visit
 * @param estimates what each adds up to
 * @returns sentences, the nest first
 */
export function changesInWords(
  last: readonly FrameSides[] | null,
  now: readonly FrameSides[],
  estimates: { readonly last: ColonyEstimate | null; readonly now: ColonyEstimate },
): readonly string[] {
  const sentences: string[] = [];
  if (!last || !estimates.last) {
    sentences.push('First reading of this colony: nothing to set beside it yet.');
  } else {
    sentences.push(...nestSentence(broodFrames(last), broodFrames(now)));
    sentences.push(
      ...measureSentence('Sealed brood', 'frame', estimates.last.sealedWorker, estimates.now.sealedWorker),
    );
    sentences.push(...measureSentence('Food', 'kg', estimates.last.storesKg, estimates.now.storesKg));
  }
  const sealed = estimates.now.sealedWorkerCells.value;
  if (sealed > 0) {
    sentences.push(
      `So much sealed brood means about ${Math.round(layingRate(sealed) / 10) * 10} eggs a day, one to three weeks ago.`,
    );
  }
  const squeezed = nectarAmongBrood(now);
  if (squeezed.length > 0) sentences.push(`Nectar lies among brood on ${spoken(squeezed)}.`);
  if (last) {
    const drawn = numbered(now, (frame) => sidesOf(frame).some((side) => has(side, ['F']))).filter(
      (number) => bare(now[number - 1]) < bare(last[number - 1]),
    );
    if (drawn.length > 0) sentences.push(`Frame ${spoken(drawn)} ${drawn.length === 1 ? 'is' : 'are'} being drawn.`);
  }
  const cells = framesWithCells(now);
  if (cells.length > 0) sentences.push(`Queen cells or cups hang on ${spoken(cells)}.`);
  return sentences;
}

const bare = (frame: FrameSides | undefined): number =>
  frame ? sidesOf(frame).reduce((sum, side) => sum + (side.eighths.F ?? 0), 0) : 0;

function nestSentence(before: readonly number[], after: readonly number[]): readonly string[] {
  if (before.length === 0 || after.length === 0) return [];
  const gained = after.filter((frame) => frame < before[0]! || frame > before.at(-1)!);
  const lost = before.filter((frame) => frame < after[0]! || frame > after.at(-1)!);
  if (gained.length > 0) return [`The nest has spread to ${spoken(gained)}.`];
  return lost.length > 0 ? [`The nest has drawn back from ${spoken(lost)}.`] : ['The nest covers the same frames.'];
}

const UP_OR_DOWN: Readonly<Partial<Record<ChangeWord, string>>> = {
  more: 'is up',
  less: 'is down',
  'perhaps-more': 'is perhaps up',
  'perhaps-less': 'is perhaps down',
};

function measureSentence(
  what: string,
  unit: 'frame' | 'kg',
  last: ColonyEstimate['storesKg'],
  now: ColonyEstimate['storesKg'],
): readonly string[] {
  const moved = UP_OR_DOWN[changeWord(last, now)];
  if (!moved) return [];
  const by = roundTo(Math.abs(now.value - last.value), 1);
  const amount = unit === 'kg' ? `${by} kg` : by > 1 ? `${by} frames` : `${by} of a frame`;
  return [`${what} ${moved} ${amount}.`];
}
