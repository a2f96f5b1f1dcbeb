import type { Text } from '../../language';
import { say } from '../said';
import { layingRate } from '../../biology';
import { roundTo } from '../../units';
import { type ChangeWord, changeWord } from '../judging/comparison';
import { BROOD } from '../side/contents';
import type { ColonyEstimate } from '../side/estimates';
import type { FrameSides } from './frame-change';
import { type FrameSide, shows } from '../side/frame-side';

const sidesOf = (frame: FrameSides): readonly FrameSide[] => [frame.low, frame.high].filter((side) => side !== null);
const has = (side: FrameSide, letters: readonly (keyof FrameSide['eighths'])[]): boolean =>
  letters.some((letter) => (side.eighths[letter] ?? 0) > 0);

/** Numbers of the frames that meet a test, from 1. */
const numbered = (frames: readonly FrameSides[], test: (frame: FrameSides) => boolean): readonly number[] =>
  frames.flatMap((frame, index) => (test(frame) ? [index + 1] : []));

/** Frames with brood on either side, be it a few cells, counted from 1. */
export const broodFrames = (frames: readonly FrameSides[]): readonly number[] =>
  numbered(frames, (frame) => sidesOf(frame).some((side) => BROOD.some((letter) => shows(side, letter))));

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
): readonly Text[] {
  if (!estimates.now.known) return [say('nothing-read')];
  const sentences: Text[] = [];
  if (!last || !estimates.last?.known) {
    sentences.push(say('first-reading'));
  } else {
    sentences.push(...nestSentence(last, now));
    const { sealedWorker, storesKg } = estimates.last;
    sentences.push(
      ...moved(sealedWorker, estimates.now.sealedWorker, (how, frames) => say('sealed-moved', { ...how, frames })),
      ...moved(storesKg, estimates.now.storesKg, (how, kg) => say('food-moved', { ...how, kg })),
    );
  }
  const sealed = estimates.now.sealedWorkerCells.value;
  if (sealed > 0) {
    sentences.push(say('eggs-a-day', { eggs: Math.round(layingRate(sealed) / 10) * 10 }));
  }
  const squeezed = nectarAmongBrood(now);
  if (squeezed.length > 0) sentences.push(say('nectar-among-brood', { frames: squeezed }));
  if (last) {
    const drawn = numbered(now, (frame) => sidesOf(frame).some((side) => has(side, ['F']))).filter(
      (number) => bare(now[number - 1]) < bare(last[number - 1]),
    );
    if (drawn.length > 0) sentences.push(say('being-drawn', { frames: drawn }));
  }
  const cells = framesWithCells(now);
  if (cells.length > 0) sentences.push(say('cells-hang', { frames: cells }));
  return sentences;
}

const bare = (frame: FrameSides | undefined): number =>
  frame ? sidesOf(frame).reduce((sum, side) => sum + (side.eighths.F ?? 0), 0) : 0;

/** Where the nest reaches now; a frame that was not looked at at either visit has neither gained nor lost brood. */
function nestSentence(last: readonly FrameSides[], now: readonly FrameSides[]): readonly Text[] {
  const [before, after] = [broodFrames(last), broodFrames(now)];
  if (before.length === 0 || after.length === 0) return [];
  const outside = (nest: readonly number[], frame: number) => frame < nest[0]! || frame > nest.at(-1)!;
  const looked = (frames: readonly FrameSides[], frame: number) => sidesOf(frames[frame - 1]!).length > 0;
  const gained = after.filter((frame) => outside(before, frame) && looked(last, frame));
  if (gained.length > 0) return [say('nest-spread', { frames: gained })];
  const lost = before.filter((frame) => outside(after, frame) && looked(now, frame));
  if (lost.length > 0) return [say('nest-drawn-back', { frames: lost })];
  const compared = before.every((frame) => looked(now, frame)) && after.every((frame) => looked(last, frame));
  return compared ? [say('nest-same')] : [];
}

const DIRECTION: Readonly<Partial<Record<ChangeWord, { readonly up: boolean; readonly perhaps: boolean }>>> = {
  more: { up: true, perhaps: false },
  less: { up: false, perhaps: false },
  'perhaps-more': { up: true, perhaps: true },
  'perhaps-less': { up: false, perhaps: true },
};

function moved(
  last: ColonyEstimate['storesKg'],
  now: ColonyEstimate['storesKg'],
  said: (how: { readonly up: boolean; readonly perhaps: boolean }, by: number) => Text,
): readonly Text[] {
  const how = DIRECTION[changeWord(last, now)];
  return how ? [said(how, roundTo(Math.abs(now.value - last.value), 1))] : [];
}
