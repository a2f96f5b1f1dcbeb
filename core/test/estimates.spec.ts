import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FrameKindId } from '../src/equipment';
import {
  BEES_PER_DM2,
  type FrameSide,
  WORKER_CELLS_PER_DM2,
  changeWord,
  compareColonies as compareColoniesInCodes,
  estimateColony,
  frameChange,
  parseSide,
  changesInWords as saidChangesInWords,
  nectarAmongBrood,
} from '../src/inspection';
import { answersInEnglish } from './in-english';

const changesInWords = answersInEnglish(saidChangesInWords);

const compareColonies = answersInEnglish(compareColoniesInCodes);

const sides = (frame: FrameKindId, ...lines: string[]) => lines.map((line) => ({ frame, side: parseSide(line) }));

describe('colony estimates by the eighths method', () => {
  // Imdorf et al. 1987 (Liebefeld), as in the COLOSS BEEBOOK: 400 worker cells and 125 bees a dm² of comb side.
  it('use the published figures a dm²', () => {
    expect(WORKER_CELLS_PER_DM2).toBe(400);
    expect(BEES_PER_DM2).toBe(125);
  });

  // Worked numbers: bees on a fully covered side by the Liebefeld tables, within 10 in 100.
  it.each<[FrameKindId, number]>([
    ['dadant-brood', 1400],
    ['langstroth-deep', 1100],
    ['zander', 1000],
  ])('put about %s: %d bees on a covered side', (frame, bees) => {
    const estimate = estimateColony(sides(frame, 'B8')).bees!;
    expect(Math.abs(estimate.value - bees) / bees).toBeLessThan(0.1);
  });

  it('give 13,000 bees on ten full and six half covered sides of Zander', () => {
    const full = Array.from({ length: 10 }, () => 'B8');
    const half = Array.from({ length: 6 }, () => 'B4');
    expect(estimateColony(sides('zander', ...full, ...half)).bees?.value).toBe(13_000);
  });

  it('give 8,000 sealed cells on 20 dm² of Zander comb: 20 eighths of 8 dm²', () => {
    expect(estimateColony(sides('zander', '8S', '8S', '4S')).sealedWorkerCells.value).toBe(8_000);
  });

  it('put about 7,000 cells on one full deep frame of sealed brood, the rule of the trade', () => {
    const frame = estimateColony(sides('langstroth-deep', '8S', '8S'));
    expect(frame.sealedWorker.value).toBe(1);
    expect(frame.sealedWorkerCells.value).toBeGreaterThan(6_900);
    expect(frame.sealedWorkerCells.value).toBeLessThan(7_200);
  });

  it('add partial sides up to full-frame equivalents', () => {
    const colony = estimateColony(sides('national-deep', '4S 2L 1E', '2S 1D', '1P +E'));
    expect(colony.sealedWorker.value).toBe(0.38);
    expect(colony.larvae.value).toBe(0.13);
    expect(colony.brood.value).toBe(0.64);
    expect(colony.pollen.value).toBe(0.06);
  });

  it('weigh a full deep honey frame at 2.7 to 3.6 kg', () => {
    const { storesKg } = estimateColony(sides('langstroth-deep', '8H', '8H'));
    expect(storesKg.value).toBeGreaterThan(2.7);
    expect(storesKg.value).toBeLessThan(3.6);
  });

  it('say nothing of bees until some were counted, then fill the uncounted sides with a wider range', () => {
    expect(estimateColony(sides('zander', '8S')).framesOfBees).toBeNull();
    const some = estimateColony(sides('zander', '8S B8', '8S')).framesOfBees!;
    const all = estimateColony(sides('zander', '8S B8', '8S B8')).framesOfBees!;
    expect(some.value).toBe(all.value);
    expect(some.high - some.low).toBeGreaterThan(all.high - all.low);
  });

  it('keep every figure inside its range and add nothing up for no sides', () => {
    const line = fc
      .array(fc.constantFrom('S', 'L', 'E', 'H', 'N', 'P', 'C'), { maxLength: 8 })
      .map((letters) => [...letters, 'B5'].join(' '));
    fc.assert(
      fc.property(fc.array(line, { maxLength: 22 }), (lines) => {
        const colony = estimateColony(sides('national-deep', ...lines));
        for (const each of [colony.eggs, colony.brood, colony.storesKg, colony.pollen]) {
          expect(each.low).toBeLessThanOrEqual(each.value);
          expect(each.high).toBeGreaterThanOrEqual(each.value);
        }
        expect(colony.brood.value).toBeLessThanOrEqual(lines.length / 2 + 1e-9);
      }),
    );
    expect(estimateColony([]).storesKg).toEqual({ value: 0, low: 0, high: 0 });
  });

  it('do not depend on the order of the sides', () => {
    const lines = ['3S 2L', '4H 1N', '2P 1E', '8C'];
    expect(estimateColony(sides('zander', ...lines))).toEqual(estimateColony(sides('zander', ...[...lines].reverse())));
  });
});

describe('comparison', () => {
  const range = (low: number, value: number, high: number) => ({ low, value, high });

  it('says more or less only when the ranges do not overlap', () => {
    expect(changeWord(range(1.6, 1.8, 2), range(2.3, 2.5, 2.7))).toBe('more');
    expect(changeWord(range(2.3, 2.5, 2.7), range(1.6, 1.8, 2))).toBe('less');
    expect(changeWord(range(7, 7.6, 8.3), range(8.2, 9.1, 9.9))).toBe('perhaps-more');
    expect(changeWord(range(8.2, 9.1, 9.9), range(7, 7.6, 8.3))).toBe('perhaps-less');
    expect(changeWord(range(0.5, 0.6, 0.7), range(0.6, 0.67, 0.7))).toBe('the-same');
  });

  it('has no word without a last visit', () => {
    const now = estimateColony(sides('zander', '8S B8'));
    expect(compareColonies(null, now).every((row) => row.word === null && row.difference === null)).toBe(true);
    expect(compareColonies(now, now).find((row) => row.measure === 'Stores')?.word).toBe('the-same');
  });

  it('counts nothing where nothing was read, and finds no less of it', () => {
    const read = estimateColony(sides('zander', '8S B8'));
    const rows = compareColonies(read, estimateColony([]));
    expect(rows.map(({ now, word, difference }) => [now, word, difference])).toEqual(
      rows.map(() => [null, null, null]),
    );
    expect(compareColonies(estimateColony([]), read).every(({ last, word }) => last === null && word === null)).toBe(
      true,
    );
  });

  const frame = (low: string | null, high: string | null) => ({
    low: low === null ? null : parseSide(low),
    high: high === null ? null : parseSide(high),
  });

  it.each([
    [frame('8C', '8C'), frame('2E 6C', '8C'), 'first-eggs'],
    [frame('4S 4H', '4S 4H'), frame('8H', '8H'), 'brood-gone'],
    [frame('4S 4H', '4S 4H'), frame('4S 4H K1', '4S 4H'), 'queen-cell'],
    [frame('8F', '8F'), frame('4C 4F', '8F'), 'started'],
    [frame('4C 4F', '8F'), frame('8C', '4C 4F'), 'being-drawn'],
    [frame('8C', '8C'), frame('8C', '8C'), 'the-same'],
    [frame('8C', '8C'), frame(null, null), 'not-read'],
    [frame(null, null), frame('8C', null), 'no-last-reading'],
  ])('names the most telling change on a frame', (last, now, word) => {
    expect(frameChange(last, now)).toBe(word);
  });

  const sumOf = (frames: readonly { readonly low: FrameSide | null; readonly high: FrameSide | null }[]) =>
    estimateColony(
      frames.flatMap(({ low, high }) =>
        [low, high].flatMap((side) => (side ? [{ frame: 'zander' as const, side }] : [])),
      ),
    );

  // Frames with brood last time and now; "?" was not looked at.
  it.each([
    ['-BBB-', '-BBB-', 'The nest covers the same frames.'],
    ['-BBB-', 'BBBB-', 'The nest has spread to 1.'],
    ['-BBB-', '--BB-', 'The nest has drawn back from 2.'],
    ['-BBB-', '??B??', null],
    ['-BBB-', '??BBB', 'The nest has spread to 5.'],
    ['??B??', '-BBB-', null],
    ['-BBB-', '?-BB?', 'The nest has drawn back from 2.'],
  ])('of a nest on %s, then on %s, says: %s', (before, after, says) => {
    const nest = (marks: string) =>
      [...marks].map((mark) => (mark === '?' ? frame(null, null) : frame(mark === 'B' ? '4S 4H' : '8H', '8H')));
    const [last, now] = [nest(before), nest(after)];
    const told = changesInWords(last, now, { last: sumOf(last), now: sumOf(now) });
    expect(told.filter((sentence) => sentence.startsWith('The nest'))).toEqual(says === null ? [] : [says]);
  });

  it('says only that nothing was read of a visit that read nothing', () => {
    const last = [frame('4S 4H', '8H')];
    const none = [frame(null, null)];
    const nothing = ['No frame was read: nothing can be said of a change.'];
    expect(changesInWords(last, none, { last: sumOf(last), now: sumOf(none) })).toEqual(nothing);
    expect(changesInWords(null, none, { last: null, now: sumOf(none) })).toEqual(nothing);
  });

  it('tells the change in sentences', () => {
    const last = [frame('8C', '8C'), frame('6S 2H', '6S 2H'), frame('8F', '8F')];
    const now = [frame('2E 1N 5C', '8C'), frame('6S 2N', '6S 2H'), frame('4C 4F', '8F')];
    const sum = (frames: typeof now) =>
      estimateColony(
        frames.flatMap(({ low, high }) => [low, high].map((side) => ({ frame: 'zander' as const, side: side! }))),
      );
    expect(changesInWords(last, now, { last: sum(last), now: sum(now) })).toEqual([
      'The nest has spread to 1.',
      // 12 eighths of 8 dm² are 4,800 cells; over 12 days 400 a day.
      'So much sealed brood means about 400 eggs a day, one to three weeks ago.',
      'Nectar lies among brood on 1 and 2.',
      'Frame 3 is being drawn.',
    ]);
    expect(changesInWords(null, now, { last: null, now: sum(now) })[0]).toMatch(/First reading/);
    expect(nectarAmongBrood(now)).toEqual([1, 2]);
  });
});
