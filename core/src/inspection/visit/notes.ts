import type { Text } from '../../language';
import { say } from '../said';
import type { FrameSide, SideAddress } from '../side/frame-side';
import { ShorthandError, parseSide } from '../side/shorthand';

/** One line of pasted notes: read, or kept with what is wrong with it. */
export type NoteLine =
  | {
      readonly line: number;
      readonly text: string;
      readonly address: Omit<SideAddress, 'box'>;
      readonly side: FrameSide;
    }
  | { readonly line: number; readonly text: string; readonly problem: Text };

const LINE = /^\s*(\d{1,2})\s*\/\s*(\d{1,2})\s*:\s*(.*)$/;

/**
 * Reads pasted notes, one frame side a line: frame, the neighbour it looks toward, then the shorthand.
 *
 * @param text lines such as `6/7: 3S 1L 1P 3H +E B6 K1 !`; empty lines are skipped
 * @param frames frames in the box, 1 or more
 * @returns every line in its place, read or with its problem; nothing is dropped
 * @example readNotes('6/7: 3S *H', 11)[0] // { line: 1, text: '6/7: 3S *H', address: { …
 */
export function readNotes(text: string, frames: number): readonly NoteLine[] {
  const read: NoteLine[] = [];
  text.split(/\r?\n/).forEach((raw, index) => {
    if (raw.trim() === '') return;
    read.push(readLine(raw, index + 1, frames));
  });
  return read;
}

function readLine(text: string, line: number, frames: number): NoteLine {
  const match = LINE.exec(text);
  if (!match) return { line, text, problem: say('note-form') };
  const [, first, second, shorthand] = match;
  const frame = Number(first);
  const neighbour = Number(second);
  if (frame < 1 || frame > frames) return { line, text, problem: say('note-no-frame', { frame, frames }) };
  if (Math.abs(frame - neighbour) !== 1) {
    return {
      line,
      text,
      problem: say('note-toward', { frame, neighbour }),
    };
  }
  try {
    return {
      line,
      text,
      address: { frame, face: neighbour < frame ? 'low' : 'high' },
      side: parseSide(shorthand ?? ''),
    };
  } catch (error) {
    if (error instanceof ShorthandError) return { line, text, problem: error.says };
    throw error;
  }
}
