import type { Said } from '../language';
import { say } from './said';
import { type Pasted, holdsSums } from './pasted';

/** What somebody said about a row: other words in a cell, doubts that are none, whom or what it is already, or that it stays out. */
export interface Settled<Field extends string> {
  readonly cells?: Partial<Readonly<Record<Field, string>>>;
  readonly accepted?: readonly string[];
  readonly is?: string;
  readonly leftOut?: boolean;
}

/** A way out of a doubt. */
export interface Answer<Field extends string> {
  readonly says: Said;
  readonly then: Settled<Field>;
}

/** What about a row cannot be known without asking. */
export interface Doubt<Field extends string> {
  /** What it is about, by which it may be accepted. */
  readonly id: string;
  readonly field: Field;
  readonly says: Said;
  readonly answers: readonly Answer<Field>[];
  /** Rows with the same words here have the same doubt, and one answer settles them all. */
  readonly alike: string | null;
}

/** A row with what was read in it. */
export interface RosterRow<Field extends string, Read> {
  readonly line: number;
  readonly cells: Readonly<Record<Field, string>>;
  readonly state: 'ready' | 'to-settle' | 'left-out';
  /** Why it stays out. */
  readonly because: Said | null;
  readonly doubts: readonly Doubt<Field>[];
  /** What is added; `null` unless the row is ready. */
  readonly read: Read | null;
}

/** By line, what was said about rows. */
export type SettledRows<Field extends string> = ReadonlyMap<number, Settled<Field>>;

/** A reading of a row: what it says, and what is not clear. */
export interface Reading<Field extends string, Read> {
  readonly read: Read;
  readonly doubts: readonly Doubt<Field>[];
}

/**
 * Brings an answer to what was said about a row before.
 *
 * @param was what was said before
 * @param then what the answer says
 */
export const settle = <Field extends string>(
  was: Settled<Field> | undefined,
  then: Settled<Field>,
): Settled<Field> => ({
  ...was,
  ...then,
  cells: { ...was?.cells, ...then.cells },
  accepted: [...(was?.accepted ?? []), ...(then.accepted ?? [])],
});

/** Reads all rows of a list one after another. */
export function readRows<Field extends string, Read>(
  pasted: Pasted,
  columns: readonly (Field | null)[],
  settled: SettledRows<Field>,
  fields: readonly Field[],
  readRow: (cells: Readonly<Record<Field, string>>, said: Settled<Field>, line: number) => Reading<Field, Read>,
): readonly RosterRow<Field, Read>[] {
  return pasted.rows.map(({ line, cells: raw }) => {
    const said = settled.get(line) ?? {};
    const cells = Object.fromEntries(
      fields.map((field) => [field, said.cells?.[field] ?? raw[columns.indexOf(field)] ?? '']),
    ) as Record<Field, string>;
    const out = (because: Said): RosterRow<Field, Read> => ({
      line,
      cells,
      state: 'left-out',
      because,
      doubts: [],
      read: null,
    });
    if (said.leftOut === true) return out(say('left-out'));
    if (holdsSums(raw)) return out(say('row-of-sums'));
    if (fields.every((field) => cells[field] === '')) return out(say('empty-row'));
    const { read, doubts: all } = readRow(cells, said, line);
    const doubts = all.filter(({ id }) => !said.accepted?.includes(id));
    const ready = doubts.length === 0;
    return { line, cells, state: ready ? 'ready' : 'to-settle', because: null, doubts, read: ready ? read : null };
  });
}

/** The way out that there is for every row. */
export const leaveOut = <Field extends string>(): Answer<Field> => ({
  says: say('leave-out'),
  then: { leftOut: true },
});
