import { inEnglish } from '../src/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import {
  EMPTY_SIDE,
  type FrameSide,
  LETTERS,
  type Letter,
  ShorthandError,
  addEighths,
  eighthsLeft,
  eighthsRead,
  formatSide,
  parseSide,
  pressKey,
  readNotes as saidReadNotes,
  sideProblem as saidSideProblem,
  toggleTrace,
} from '../src/inspection';

const sideProblem = answersInEnglish(saidSideProblem);
const readNotes = answersInEnglish(saidReadNotes);

/** Any side that may be recorded. */
const anySide: fc.Arbitrary<FrameSide> = fc
  .record({
    letters: fc.array(fc.constantFrom(...LETTERS), { maxLength: 8 }),
    trace: fc.uniqueArray(fc.constantFrom(...LETTERS), { maxLength: 3 }),
    bees: fc.option(fc.integer({ min: 0, max: 8 })),
    queen: fc.boolean(),
    cells: fc.integer({ min: 0, max: 12 }),
    doubtful: fc.boolean(),
  })
  .map(({ letters, trace, ...marks }) => {
    const side = letters.reduce((sum: FrameSide, letter) => addEighths(sum, letter, 1), { ...EMPTY_SIDE, ...marks });
    return trace.reduce(toggleTrace, side);
  });

/** What is said of a line that cannot be read. */
function refused(line: string): string {
  try {
    parseSide(line);
  } catch (error) {
    if (error instanceof ShorthandError) return inEnglish(error.says);
  }
  throw new Error(`"${line}" was read`);
}

describe('shorthand', () => {
  it('reads the line of the house: 3S 1L 1P 3H +E B6 K1 !', () => {
    expect(parseSide('3S 1L 1P 3H +E B6 K1 !')).toEqual({
      eighths: { S: 3, L: 1, P: 1, H: 3 },
      trace: ['E'],
      bees: 6,
      queen: false,
      cells: 1,
      doubtful: true,
    });
  });

  it('reads letters one by one, in any case, with or without spaces', () => {
    expect(parseSide('sss l').eighths).toEqual({ S: 3, L: 1 });
    expect(parseSide('3s1l2hb7q')).toEqual(parseSide('3S 1L 2H B7 Q'));
  });

  it('gives the rest to one content', () => {
    expect(parseSide('3S 1P *H').eighths).toEqual({ S: 3, P: 1, H: 4 });
    expect(eighthsLeft(parseSide('2S *C'))).toBe(0);
  });

  it('copies last time and the other side where there is one', () => {
    const lastTime = parseSide('8H');
    expect(parseSide('=', { lastTime })).toEqual(lastTime);
    expect(refused('=')).toMatch(/no reading from last time/);
    expect(refused('/')).toMatch(/other side is not read/);
  });

  it('refuses nine eighths and says what to do', () => {
    expect(refused('3S 1L 1P 3H 1N')).toMatch(/9 eighths.*Remove 1/);
  });

  it('names the piece that it cannot read and where it stands', () => {
    try {
      parseSide('3S 4Z');
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(ShorthandError);
      expect(error).toMatchObject({ at: 3, piece: '4Z' });
    }
    expect(refused('3S ~')).toMatch(/"~" cannot be read/);
  });

  it('reads back whatever it writes', () => {
    fc.assert(
      fc.property(anySide, (side) => {
        const again = parseSide(formatSide(side));
        expect(formatSide(again)).toBe(formatSide(side));
        expect(eighthsRead(again)).toBe(eighthsRead(side));
      }),
    );
  });

  it('never hangs and never returns a side that cannot be kept, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        try {
          expect(sideProblem(parseSide(text))).toBeNull();
        } catch (error) {
          expect(error).toBeInstanceOf(ShorthandError);
        }
      }),
    );
  });
});

describe('keys', () => {
  const type = (keys: string, side = EMPTY_SIDE) =>
    [...keys].reduce((entry, key) => pressKey(entry, key, false)?.entry ?? entry, { side, pending: '' });

  it('do what the line says', () => {
    expect(formatSide(type('3s1l1p2h+eqkb6!').side)).toBe('1L 3S 1P 2H +E B6 Q K1 !');
    expect(type('ss*h').side.eighths).toEqual({ S: 2, H: 6 });
  });

  it('take an eighth back with shift, never below none', () => {
    const two = type('ss').side;
    expect(pressKey({ side: two, pending: '' }, 'S', true)?.entry.side.eighths).toEqual({ S: 1 });
    expect(pressKey({ side: EMPTY_SIDE, pending: '' }, 'S', true)?.entry.side.eighths).toEqual({});
  });

  it('keep a ninth eighth, to be settled', () => {
    expect(eighthsRead(type('8sn').side)).toBe(9);
    expect(sideProblem(type('8sn').side)).toMatch(/Remove 1/);
  });

  it('ask the screen for what goes beyond the side', () => {
    const wish = (key: string) => pressKey({ side: EMPTY_SIDE, pending: '' }, key, false)?.wish;
    expect([wish('Enter'), wish('Backspace'), wish('?'), wish('='), wish('/')]).toEqual([
      'next',
      'undo',
      'help',
      'as-last-time',
      'same-as-the-other-side',
    ]);
    expect(pressKey({ side: EMPTY_SIDE, pending: '' }, 'F5', false)).toBeNull();
    expect(pressKey({ side: EMPTY_SIDE, pending: '' }, 'Tab', false)).toBeNull();
  });

  it('forget a waiting number on backspace', () => {
    expect(pressKey({ side: EMPTY_SIDE, pending: '3' }, 'Backspace', false)?.entry.pending).toBe('');
  });

  it('agree with the parser on any row of letters', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<Letter>(...LETTERS), { maxLength: 8 }), (letters) => {
        expect(formatSide(type(letters.join('')).side)).toBe(formatSide(parseSide(letters.join(' '))));
      }),
    );
  });
});

describe('pasted notes', () => {
  it('are read a side a line, with what is wrong beside a bad one', () => {
    const lines = readNotes('6/7: 3S 1L 1P 3H +E B6 K1 !\n\nnonsense\n12/13: 8H\n6/8: 8H\n1/0: 9S\n11/12: 8F', 11);
    expect(lines.map((line) => line.line)).toEqual([1, 3, 4, 5, 6, 7]);
    expect(lines[0]).toMatchObject({ address: { frame: 6, face: 'high' } });
    expect(lines[1]).toMatchObject({ problem: expect.stringContaining('Start with') as string });
    expect(lines[2]).toMatchObject({ problem: 'There is no frame 12: the box has 11.' });
    expect(lines[3]).toMatchObject({ problem: 'Frame 6 looks toward 5 or 7, not toward 8.' });
    expect(lines[4]).toMatchObject({ problem: expect.stringContaining('9 eighths') as string });
    expect(lines[5]).toMatchObject({ address: { frame: 11, face: 'high' } });
  });
});
