import type { Text } from '../../language';
import type { FrameSide } from '../side/frame-side';
import { formatSide } from '../side/shorthand';
import { type EntryBody, type VisitEntry, entryText, kindOf } from './entries';

/** Entries that do not count: a later one takes them back and was not taken back itself. */
export function undoneOf(entries: readonly VisitEntry[]): ReadonlySet<string> {
  const undone = new Set<string>();
  for (const { id, body } of entries.toReversed())
    if (body.kind === 'entry-undone' && !undone.has(id)) undone.add(body.entry);
  return undone;
}

/** The entry that took something back last, while nothing new was entered; `null` when nothing can be brought again. */
export function redoableOf(entries: readonly VisitEntry[], undone: ReadonlySet<string>): string | null {
  const undos = new Set(entries.filter(({ body }) => body.kind === 'entry-undone').map(({ id }) => id));
  for (const { id, body } of entries.toReversed()) {
    if (undone.has(id) || kindOf(body).byItself) continue;
    if (body.kind !== 'entry-undone') return null;
    if (!undos.has(body.entry)) return id;
  }
  return null;
}

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
