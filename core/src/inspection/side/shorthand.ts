import type { Text } from '../../language';
import { say } from '../said';
import { LETTERS, letterOf } from './contents';
import { copySide } from './copy-side';
import {
  EMPTY_SIDE,
  type FrameSide,
  addEighths,
  addQueenCell,
  eighthsLeft,
  setEighths,
  hasMark,
  sideProblem,
  toggleMark,
  togglePollen,
  toggleTrace,
} from './frame-side';
import { MARK_IDS, isSuspect, markOf, markToken } from './marks';
import { POLLEN_COLOUR_NAMES, type PollenColour } from './pollen-colours';
import { CELL_CONTENTS, CELL_PLACES, type CellContent, type CellPlace } from './queen-cells';

/** A piece of shorthand that could not be read, and where it stands. */
export class ShorthandError extends RangeError {
  constructor(
    /** What is wrong, and what to write instead. */
    readonly says: Text,
    /** Position in the text, from 0. */
    readonly at: number,
    /** The piece itself. */
    readonly piece: string,
  ) {
    super(`${piece} at ${at}`);
    this.name = 'ShorthandError';
  }
}

/** What `=` and `/` stand for, where they may be used. */
export interface ShorthandContext {
  readonly lastTime?: FrameSide | undefined;
  readonly otherSide?: FrameSide | undefined;
}

/** Words: `.sunken-lids` is a mark, `~pale-yellow` a pollen colour, `sealed@edge` a queen cell that was looked into. */
const WORD = /\s*(?:\.([A-Za-z][A-Za-z-]*)|~([A-Za-z][A-Za-z-]*)|([A-Za-z]+)@([A-Za-z]+)|(-!))/y;
const PIECE = /\s*(?:(\d+)([A-Za-z])|\+([A-Za-z])|\*([A-Za-z])|([BbKk])\s?(\d+)|([A-Za-z])|([!=/]))/y;

/**
 * Reads the shorthand of one frame side.
 *
 * A letter adds an eighth (`SS`), a number sets it (`3S`), `+E` notes only a few, `*H` gives the rest to honey, `B6` puts bees on six
 * eighths, `K1` counts a queen cell, `Q` is the queen, `!` asks for a second look, `=` is as last time but for eggs, `/` the same as the other side; neither wipes what stands before it.
 * Words say more: `.spotty` is a mark, `~orange` a colour of stored pollen, `sealed@edge` what a queen cell holds and where it hangs;
 * `-!` says that a suspect mark had its second look.
 *
 * @param text the line; case and spaces do not matter
 * @param context the readings that `=` and `/` stand for
 * @returns the reading
 * @throws ShorthandError naming the first piece that cannot be read, or a sum over eight eighths
 * @example parseSide('3S 1L 1P 3H +E B6 K1 !').eighths // { S: 3, L: 1, P: 1, H: 3 }
 */
export function parseSide(text: string, context: ShorthandContext = {}): FrameSide {
  let side = EMPTY_SIDE;
  PIECE.lastIndex = 0;
  let at = 0;
  while (text.slice(at).trim() !== '') {
    const from = at + (text.slice(at).length - text.slice(at).trimStart().length);
    WORD.lastIndex = at;
    const word = WORD.exec(text);
    if (word) {
      side = applyWord(side, word, from);
      at = WORD.lastIndex;
      continue;
    }
    PIECE.lastIndex = at;
    const match = PIECE.exec(text);
    if (!match) throw unreadable(text.slice(from).split(/\s/)[0] ?? '', from);
    side = applyPiece(side, match, from, context);
    at = PIECE.lastIndex;
  }
  const problem = sideProblem(side);
  if (problem) throw new ShorthandError(problem, 0, text.trim());
  return side;
}

const unreadable = (piece: string, at: number): ShorthandError =>
  new ShorthandError(say('piece-unreadable', { piece, letters: LETTERS.join(' ') }), at, piece);

function applyWord(side: FrameSide, match: RegExpExecArray, at: number): FrameSide {
  const [whole, mark, colour, content, place, settled] = match;
  const piece = whole.trim();
  if (settled) return { ...side, doubtful: false };
  if (mark) {
    const id = markOf(mark);
    if (!id)
      throw new ShorthandError(say('piece-no-mark', { piece, marks: MARK_IDS.map(markToken).join(' ') }), at, piece);
    return hasMark(side, id) ? side : toggleMark(side, id);
  }
  if (colour) {
    const name = colour.toLowerCase() as PollenColour;
    if (!POLLEN_COLOUR_NAMES.includes(name))
      throw new ShorthandError(say('piece-no-colour', { piece, colours: POLLEN_COLOUR_NAMES.join(', ') }), at, piece);
    return side.pollens?.includes(name) ? side : togglePollen(side, name);
  }
  const cell = { content: content?.toLowerCase() as CellContent, place: place?.toLowerCase() as CellPlace };
  if (!CELL_CONTENTS.includes(cell.content) || !CELL_PLACES.includes(cell.place))
    throw new ShorthandError(
      say('piece-no-cell', { piece, contents: CELL_CONTENTS.join(', '), places: CELL_PLACES.join(', ') }),
      at,
      piece,
    );
  return addQueenCell(side, cell);
}

function applyPiece(side: FrameSide, match: RegExpExecArray, at: number, context: ShorthandContext): FrameSide {
  const [whole, count, counted, few, rest, measure, amount, single, sign] = match;
  const piece = whole.trim();
  const letter = letterOf(counted ?? few ?? rest ?? single ?? '');
  if (counted) {
    if (!letter) throw unreadable(piece, at);
    return setEighths(side, letter, Number(count));
  }
  if (few) {
    if (!letter) throw unreadable(piece, at);
    return side.trace.includes(letter) ? side : toggleTrace(side, letter);
  }
  if (rest) {
    if (!letter) throw unreadable(piece, at);
    return addEighths(side, letter, Math.max(0, eighthsLeft(side)));
  }
  if (measure) {
    return measure.toUpperCase() === 'B' ? { ...side, bees: Number(amount) } : { ...side, cells: Number(amount) };
  }
  if (single) {
    if (letter) return addEighths(side, letter, 1);
    if (single.toUpperCase() === 'Q') return { ...side, queen: true };
    if (single.toUpperCase() === 'K') return { ...side, cells: side.cells + 1 };
    throw unreadable(piece, at);
  }
  if (sign === '!') return { ...side, doubtful: true };
  const copied = sign === '=' ? context.lastTime : context.otherSide;
  if (!copied) {
    throw new ShorthandError(sign === '=' ? say('no-last-time') : say('no-other-side'), at, piece);
  }
  return copySide(side, copied, sign === '=' ? 'last-time' : 'the-other-side');
}

/**
 * Writes a reading as shorthand, in the order eggs, larvae, sealed, drone, pollen, nectar, honey, comb, foundation, spoilt.
 *
 * @param side a reading
 * @returns one line that {@link parseSide} reads back to the same reading
 * @example formatSide(parseSide('hhh s +e b6')) // '1S 3H +E B6'
 */
export function formatSide(side: FrameSide): string {
  return [
    ...LETTERS.filter((letter) => side.eighths[letter]).map((letter) => `${side.eighths[letter]}${letter}`),
    ...side.trace.map((letter) => `+${letter}`),
    ...(side.bees === null ? [] : [`B${side.bees}`]),
    ...(side.queen ? ['Q'] : []),
    ...(side.cells > 0 ? [`K${side.cells}`] : []),
    ...(side.queenCells ?? []).map(({ content, place }) => `${content}@${place}`),
    ...MARK_IDS.filter((id) => hasMark(side, id)).map(markToken),
    ...POLLEN_COLOUR_NAMES.filter((name) => side.pollens?.includes(name)).map((name) => `~${name}`),
    ...(side.doubtful ? ['!'] : (side.marks ?? []).some(isSuspect) ? ['-!'] : []),
  ].join(' ');
}
