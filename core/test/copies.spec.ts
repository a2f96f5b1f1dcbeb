import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  CELL_CONTENTS,
  EMPTY_SIDE,
  type FrameSide,
  LETTERS,
  MARK_IDS,
  POLLEN_COLOUR_NAMES,
  copySide,
  eggsLeftOut,
  eighthsRead,
  foundationMoves,
  formatSide,
  parseSide,
  recordOf,
  toggleMark,
} from '../src/inspection';
import { entry } from './visit-entries';

const last = parseSide('2E 1L 3S 1P 1H B6 Q K2 .old-comb ~orange');

describe('a copy', () => {
  it.each(MARK_IDS)('keeps the mark "%s" of today, with its doubt', (mark) => {
    const today = toggleMark(EMPTY_SIDE, mark);
    for (const from of ['last-time', 'the-other-side'] as const) {
      const copied = copySide(today, last, from);
      expect(copied.marks).toEqual([mark]);
      expect(copied.doubtful).toBe(today.doubtful);
      expect(copied.eighths.S).toBe(3);
    }
  });

  it.each([
    ['the queen', { queen: true }],
    ['a doubt', { doubtful: true }],
    [
      'queen cells that were looked into',
      { cells: 2, queenCells: CELL_CONTENTS.slice(0, 2).map((content) => ({ content, place: 'edge' as const })) },
    ],
    ['pollen colours', { pollens: POLLEN_COLOUR_NAMES.slice(0, 2) }],
    ['bees', { bees: 3 }],
  ] as const)('keeps %s of today', (_what, seen) => {
    expect(copySide({ ...EMPTY_SIDE, ...seen }, last, 'last-time')).toMatchObject(seen);
  });

  it('takes over no queen, cells, marks, doubts or pollen of the other reading', () => {
    const copied = copySide(EMPTY_SIDE, { ...last, doubtful: true }, 'the-other-side');
    expect(copied).toMatchObject({ queen: false, cells: 0, doubtful: false });
    expect(copied.marks ?? []).toEqual([]);
    expect(copied.pollens ?? []).toEqual([]);
  });

  it('takes eggs of last time for no eggs of today: they are left to be looked for', () => {
    const copied = copySide(EMPTY_SIDE, last, 'last-time');
    expect(copied.eighths.E).toBeUndefined();
    expect(eighthsRead(copied)).toBe(6);
    expect(eggsLeftOut(last, 'last-time')).toBe(true);
    expect(copySide(EMPTY_SIDE, parseSide('7S +E'), 'last-time').trace).toEqual([]);
    expect(copySide(EMPTY_SIDE, last, 'the-other-side').eighths.E).toBe(2);
  });

  it('fills what today left open, and no more', () => {
    const copied = copySide(parseSide('4H'), parseSide('4S 2P 2H'), 'last-time');
    expect(copied.eighths).toEqual({ H: 4, S: 4 });
  });

  it('by the line wipes nothing that stands before it', () => {
    const line = parseSide('.twisted-larvae .sunken-lids =', { lastTime: last });
    expect(line.marks).toEqual(['twisted-larvae', 'sunken-lids']);
    expect(line.doubtful).toBe(true);
    expect(line.eighths.S).toBe(3);
  });

  it('never adds up to more than eight, and never lowers what was entered today (property)', () => {
    const eighths = fc
      .array(fc.constantFrom(...LETTERS), { maxLength: 8 })
      .map((letters) =>
        letters.reduce<Record<string, number>>((sum, letter) => ({ ...sum, [letter]: (sum[letter] ?? 0) + 1 }), {}),
      );
    const side = fc.record({ eighths, marks: fc.uniqueArray(fc.constantFrom(...MARK_IDS), { maxLength: 4 }) });
    fc.assert(
      fc.property(side, side, fc.constantFrom('last-time', 'the-other-side'), (today, other, from) => {
        const before = { ...EMPTY_SIDE, ...today } as FrameSide;
        const copied = copySide(before, { ...EMPTY_SIDE, ...other }, from);
        expect(eighthsRead(copied)).toBeLessThanOrEqual(8);
        for (const [letter, count] of Object.entries(before.eighths)) expect(copied.eighths[letter as 'E']).toBe(count);
        expect(copied.marks).toEqual(before.marks);
        expect(formatSide(copySide(copied, { ...EMPTY_SIDE, ...other }, from as 'last-time'))).toBe(formatSide(copied));
      }),
    );
  });
});

describe('what was taken back', () => {
  it('leaves the hive shut: no clock, no frame in hand, no box open', () => {
    const roof = entry({ kind: 'part-taken-off', part: 'roof' });
    const board = entry({ kind: 'part-taken-off', part: 'crown board' });
    const opened = [
      roof,
      board,
      entry({ kind: 'box-opened', box: 'brood' }),
      entry({ kind: 'frame-lifted', box: 'brood', frame: 1 }),
    ];
    expect(recordOf(opened).openedAt).not.toBeNull();
    const undone = [
      ...opened,
      entry({ kind: 'entry-undone', entry: board.id }),
      entry({ kind: 'entry-undone', entry: roof.id }),
    ];
    expect(recordOf(undone)).toMatchObject({ openedAt: null, inHand: null, aside: [], partsOff: [], boxes: [] });
  });
});

describe('bare frames', () => {
  const frame = (line: string) => ({ low: parseSide(line), high: parseSide(line) });
  const nest = [
    frame('8F'),
    frame('8H'),
    ...Array.from({ length: 4 }, () => frame('1E 1L 4S 2H')),
    frame('8C'),
    frame('8F'),
    frame('8F'),
    frame('8F'),
  ];

  it('go one a side beside the brood now, the next in a week, none between brood frames', () => {
    expect(foundationMoves(nest, 9).map(({ frame: bare, beside, when }) => [bare, beside, when])).toEqual([
      [1, 3, 'now'],
      [8, 6, 'now'],
      [9, 6, 'in-a-week'],
      [10, 6, 'in-a-week'],
    ]);
  });

  it('stay at the edge while there are too few bees to draw them, and where no brood was read', () => {
    expect(foundationMoves(nest, 4).every(({ when, beside }) => when === 'not-yet' && beside === null)).toBe(true);
    expect(foundationMoves([frame('8F'), frame('8H')], 9)).toEqual([]);
  });
});
