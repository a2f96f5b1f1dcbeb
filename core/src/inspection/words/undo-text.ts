import type { Text } from '../../language';
import type { FrameSide } from '../side/frame-side';
import { formatSide } from '../side/shorthand';
import { type EntryBody, entryText } from '../entries/entries';

/**
 * What undo would take back: the piece of the side that was entered last, else the last entry.
 *
 * @param before the side before its last change, `null` when nothing of it was changed
 * @param now the side as it stands
 * @param last the entry that would be taken back, `null` when there is none
 * @returns shorthand of the piece or words for the entry; empty when there is nothing to take back
 * @example undoText(parseSide('3S'), parseSide('3S 2L'), null) // '2L'
 */
export function undoText(before: FrameSide | null, now: FrameSide, last: EntryBody | null): Text {
  if (!before) return last ? entryText(last) : '';
  const [was, is] = [formatSide(before).split(' '), formatSide(now).split(' ')];
  return is.find((piece) => !was.includes(piece)) ?? was.find((piece) => !is.includes(piece)) ?? '';
}
