import { say } from '../said';
import type { Text } from '../../language';
import { type Stack, framesIn } from '../../equipment';
import { LETTERS, type Letter } from './contents';
import { type MarkId, isSuspect } from './marks';
import type { PollenColour } from './pollen-colours';
import type { QueenCell } from './queen-cells';

export const EIGHTHS = 8;

/** One side of one frame as it was read. */
export interface FrameSide {
  /** Whole eighths of the comb by content; together at most eight. What is missing was not read. */
  readonly eighths: Readonly<Partial<Record<Letter, number>>>;
  /** Contents of which only a few cells were seen. */
  readonly trace: readonly Letter[];
  /** Eighths covered by bees, `null` when not counted. */
  readonly bees: number | null;
  readonly queen: boolean;
  /** Queen cells and cups seen. */
  readonly cells: number;
  /** Wants a second look before closing. */
  readonly doubtful: boolean;
  /** What else was seen on it. */
  readonly marks?: readonly MarkId[] | undefined;
  /** Colours of stored pollen. */
  readonly pollens?: readonly PollenColour[] | undefined;
  /** Those of the {@link cells} that were looked into. */
  readonly queenCells?: readonly QueenCell[] | undefined;
}

export const EMPTY_SIDE: FrameSide = { eighths: {}, trace: [], bees: null, queen: false, cells: 0, doubtful: false };

/** Which side of which frame: `low` looks toward the next lower number, `high` toward the next higher. */
export interface SideAddress {
  readonly box: string;
  readonly frame: number;
  readonly face: 'low' | 'high';
}

/** Number of the neighbour that a side looks toward; 0 and one past the last frame are the walls. */
export const toward = (side: Pick<SideAddress, 'frame' | 'face'>): number =>
  side.face === 'low' ? side.frame - 1 : side.frame + 1;

/** What a side looks toward, in words: a frame's number, or the wall. */
export function towardText(side: Pick<SideAddress, 'frame' | 'face'>, frames: number): Text {
  const neighbour = toward(side);
  return neighbour < 1 || neighbour > frames ? say('the-wall') : `${neighbour}`;
}

/**
 * A side in words within its hive.
 *
 * @param address the side
 * @param stack the hive, to tell the wall from a neighbour; nobody knows the last frame of a box that is not on it
 * @returns "frame 1 toward the wall"
 */
export const sideText = (address: SideAddress, stack: Stack = []): Text =>
  say('frame-toward', { frame: address.frame, toward: towardText(address, framesIn(stack, address.box)) });

/** One text for one side, to look it up by. */
export const sideKey = (side: SideAddress): string => `${side.box}/${side.frame}/${side.face}`;

/** Eighths that were given a content. */
export const eighthsRead = (side: FrameSide): number =>
  LETTERS.reduce((sum, letter) => sum + (side.eighths[letter] ?? 0), 0);

/** Eighths still without a content; negative when there are too many. */
export const eighthsLeft = (side: FrameSide): number => EIGHTHS - eighthsRead(side);

/** Whether anything at all was noted on the side. */
export const isBlank = (side: FrameSide): boolean =>
  eighthsRead(side) === 0 &&
  side.trace.length === 0 &&
  side.bees === null &&
  !side.queen &&
  side.cells === 0 &&
  !side.doubtful &&
  (side.marks ?? []).length === 0 &&
  (side.pollens ?? []).length === 0;

/** Whether a content was seen on a side, be it only a few cells. */
export const shows = (side: FrameSide, letter: Letter): boolean =>
  (side.eighths[letter] ?? 0) > 0 || side.trace.includes(letter);

export const hasMark = (side: FrameSide, id: MarkId): boolean => side.marks?.includes(id) === true;

/** Sets a mark, or takes it back. A suspect mark makes the side doubtful; taking it back leaves the doubt to be settled by a second look. */
export function toggleMark(side: FrameSide, id: MarkId): FrameSide {
  const marks = side.marks ?? [];
  if (marks.includes(id)) return { ...side, marks: marks.filter((each) => each !== id) };
  return { ...side, marks: [...marks, id], doubtful: side.doubtful || isSuspect(id) };
}

/** Notes a colour of stored pollen, or takes it back. */
export function togglePollen(side: FrameSide, colour: PollenColour): FrameSide {
  const pollens = side.pollens ?? [];
  return {
    ...side,
    pollens: pollens.includes(colour) ? pollens.filter((each) => each !== colour) : [...pollens, colour],
  };
}

/** Adds a queen cell that was looked into. */
export function addQueenCell(side: FrameSide, cell: QueenCell): FrameSide {
  const queenCells = [...(side.queenCells ?? []), cell];
  return { ...side, queenCells, cells: Math.max(side.cells, queenCells.length) };
}

/**
 * What is wrong with a side, in words that say what to do.
 *
 * @param side a reading
 * @returns one sentence, or `null` when the side can be kept
 * @example sideProblem({ ...EMPTY_SIDE, eighths: { S: 9 } }) // { say: 'inspection/eighths-too-many', …
 */
export function sideProblem(side: FrameSide): Text | null {
  for (const letter of LETTERS) {
    const eighths = side.eighths[letter] ?? 0;
    if (!Number.isInteger(eighths) || eighths < 0) {
      return say('eighths-whole', { eighths, letter });
    }
  }
  const read = eighthsRead(side);
  if (read > EIGHTHS) return say('eighths-too-many', { read, over: read - EIGHTHS });
  if (side.bees !== null && (!Number.isInteger(side.bees) || side.bees < 0 || side.bees > EIGHTHS)) {
    return say('bees-whole', { bees: side.bees });
  }
  if (!Number.isInteger(side.cells) || side.cells < 0 || side.cells > 60) {
    return say('cells-whole', { cells: side.cells });
  }
  const told = side.queenCells?.length ?? 0;
  if (told > side.cells) return say('cells-more-told', { told, cells: side.cells });
  return null;
}

/**
 * Adds eighths of a content (or takes them back). Never drops anything: a ninth eighth stays, to be settled by the reader.
 *
 * @param side the reading so far
 * @param letter content
 * @param by whole eighths, negative to take back; never below none
 * @returns the new reading
 * @example addEighths(EMPTY_SIDE, 'S', 3).eighths // { S: 3 }
 */
export function addEighths(side: FrameSide, letter: Letter, by: number): FrameSide {
  return setEighths(side, letter, Math.max(0, (side.eighths[letter] ?? 0) + by));
}

/** Sets the eighths of one content; a content with eighths is no mere trace any more. */
export function setEighths(side: FrameSide, letter: Letter, eighths: number): FrameSide {
  const { [letter]: _before, ...others } = side.eighths;
  return {
    ...side,
    eighths: eighths > 0 ? { ...others, [letter]: eighths } : others,
    trace: eighths > 0 ? side.trace.filter((each) => each !== letter) : side.trace,
  };
}

/** Notes that only a few cells of a content were seen, or takes that note back. */
export function toggleTrace(side: FrameSide, letter: Letter): FrameSide {
  if (side.trace.includes(letter)) return { ...side, trace: side.trace.filter((each) => each !== letter) };
  return (side.eighths[letter] ?? 0) > 0 ? side : { ...side, trace: [...side.trace, letter] };
}
