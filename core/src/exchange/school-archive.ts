import { Unfit } from '../language';
import { type Json, isJson } from './json';
import { say } from './said';

export const ARCHIVE_FORMAT = 'brave-comb-school';
/** The newest form of archives that is read and the one that is written. */
export const ARCHIVE_VERSION = 1;
/** Longest line that is read, characters: a photo of the largest kept kind, with room. */
export const LONGEST_ARCHIVE_LINE = 24_000_000;

/** The first line of an archive. */
export interface ArchiveHead {
  readonly format: typeof ARCHIVE_FORMAT;
  readonly version: number;
  /** When it was made, ISO. */
  readonly made: string;
  readonly school: { readonly id: string; readonly name: string };
  /** Who made it: their id and name. */
  readonly by: { readonly id: string; readonly name: string };
  /** Rows of each table, in the order in which they follow. */
  readonly tables: Readonly<Record<string, number>>;
}

export type ArchiveRow = Json;

/** What stands in one line of an archive. */
export type ArchiveLine =
  | { readonly is: 'head'; readonly head: ArchiveHead }
  | { readonly is: 'row'; readonly table: string; readonly row: ArchiveRow }
  | { readonly is: 'end' };

/** Reads an archive line by line, and refuses what is cut off, damaged or newer than this. */
export interface ArchiveReading {
  /**
   * Reads the next line.
   *
   * @param text the line, without its end
   * @throws Unfit saying in which line what is wrong
   */
  line(text: string): ArchiveLine;
  /**
   * To be asked after the last line.
   *
   * @returns the head, once all that it promised has come
   * @throws Unfit where something is missing
   */
  whole(): ArchiveHead;
}

function headOf(line: unknown): ArchiveHead {
  const head = isJson(line) ? line.head : null;
  if (!isJson(head) || head.format !== ARCHIVE_FORMAT) throw new Unfit(say('no-archive'));
  const { version, school, by, tables, made } = head;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) throw new Unfit(say('no-archive'));
  if (version > ARCHIVE_VERSION) throw new Unfit(say('archive-newer', { version, reads: ARCHIVE_VERSION }));
  const named = [school, by].every(
    (each) => isJson(each) && typeof each.id === 'string' && typeof each.name === 'string',
  );
  const counted = isJson(tables) && Object.values(tables).every((rows) => Number.isInteger(rows) && Number(rows) >= 0);
  if (!named || !counted || typeof made !== 'string') throw new Unfit(say('archive-head'));
  return head as unknown as ArchiveHead;
}

/**
 * Begins to read an archive of a school: JSON, a line each. The first line is the head, then every row of every table in the order that the
 * head gives, then the end with the number of rows. See docs/formats/school-archive.md.
 *
 * @returns what reads it
 * @example archiveReading().line('{"head":{"format":"brave-comb-school","version":1,"made":"2026-12-01T09:00:00.000Z","school":{"id":"a","name":"A"},"by":{"id":"b","name":"B"},"tables":{}}}')
 */
export function archiveReading(): ArchiveReading {
  let head: ArchiveHead | null = null;
  let tables: readonly string[] = [];
  let at = 0;
  let inTable = 0;
  let number = 0;
  let rows = 0;
  let ended = false;

  const row = (table: unknown, value: unknown): ArchiveLine => {
    if (typeof table !== 'string' || !isJson(value)) throw new Unfit(say('archive-line', { line: number }));
    while (at < tables.length && tables[at] !== table) {
      // Each table is whole before the next begins, so that what a row points to stands before it.
      complete();
      at += 1;
      inTable = 0;
    }
    if (at >= tables.length) throw new Unfit(say('archive-line', { line: number }));
    inTable += 1;
    rows += 1;
    return { is: 'row', table, row: value };
  };
  const complete = () => {
    const table = tables[at]!;
    const promised = head?.tables[table] ?? 0;
    if (inTable !== promised) throw new Unfit(say('archive-rows', { table, promised, there: inTable }));
  };

  return {
    line(text) {
      number += 1;
      let value: unknown;
      try {
        value = JSON.parse(text);
      } catch {
        throw new Unfit(number === 1 ? say('no-archive') : say('archive-line', { line: number }));
      }
      if (head === null) {
        head = headOf(value);
        tables = Object.keys(head.tables);
        return { is: 'head', head };
      }
      if (ended || !isJson(value)) throw new Unfit(say('archive-line', { line: number }));
      if (!isJson(value.end)) return row(value.table, value.row);
      for (; at < tables.length; at += 1, inTable = 0) complete();
      if (value.end.rows !== rows) throw new Unfit(say('archive-line', { line: number }));
      ended = true;
      return { is: 'end' };
    },
    whole() {
      if (head === null) throw new Unfit(say('no-archive'));
      if (!ended) throw new Unfit(say('archive-cut-off', { lines: number }));
      return head;
    },
  };
}

/**
 * Cuts a text that comes in pieces into lines. No more than the line being read is held.
 *
 * @param pieces of the text, in order
 * @param longest line that is read, characters
 * @returns the lines without their ends; an empty last one is left out
 * @throws Unfit for a line that is longer
 */
export async function* linesOf(pieces: AsyncIterable<string>, longest = LONGEST_ARCHIVE_LINE): AsyncGenerator<string> {
  let held: string[] = [];
  let length = 0;
  let number = 1;
  for await (const piece of pieces) {
    let from = 0;
    for (let to = piece.indexOf('\n'); to >= 0; to = piece.indexOf('\n', from)) {
      held.push(piece.slice(from, to));
      yield held.join('');
      held = [];
      length = 0;
      number += 1;
      from = to + 1;
    }
    held.push(piece.slice(from));
    length += piece.length - from;
    if (length > longest) throw new Unfit(say('archive-long-line', { line: number }));
  }
  const last = held.join('');
  if (last !== '') yield last;
}
