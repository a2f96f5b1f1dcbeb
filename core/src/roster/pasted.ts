import Papa from 'papaparse';
import { Unfit } from '../language';
import { say } from './said';

/** Rows that are taken at once. */
export const MOST_ROWS = 2000;

/** A row as it was pasted; its line is counted from 1 over all that was pasted. */
export interface PastedRow {
  readonly line: number;
  readonly cells: readonly string[];
}

/** A list as somebody pasted it, with the row that names its columns, if one does. */
export interface Pasted {
  readonly head: readonly string[] | null;
  readonly rows: readonly PastedRow[];
  /** Columns of the widest row. */
  readonly width: number;
}

/** How a column of one meaning is known: by the words over it, and by what stands in it. */
export interface ColumnRule<Field extends string> {
  readonly field: Field;
  /** Words over the column, in small letters. The first word of a rule that stands there counts. */
  readonly heads: readonly string[];
  /** Whether what stands in a column speaks for this meaning; cells are trimmed and not empty. */
  readonly holds?: (cells: readonly string[]) => boolean;
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * Reads what was pasted from a spreadsheet or typed by hand: parted by tabs, semicolons or commas, quoted or not. Empty lines are passed over.
 *
 * @param text as it was pasted
 * @param rules meanings that a column may have; they tell whether the first row names the columns
 * @param headed whether the first row names the columns, where somebody has said so
 * @returns the rows with their lines
 * @throws Unfit when nothing stands there, or more than {@link MOST_ROWS} rows
 * @example readPasted('Name\tGroup\nNadia\tDipper', [{ field: 'name', heads: ['name'] }]).head // ['Name', 'Group']
 */
export function readPasted(text: string, rules: readonly ColumnRule<string>[], headed?: boolean): Pasted {
  const plainText = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plainText, { delimiter: partedBy(plainText) });
  const lines = data.flatMap((cells, index) => {
    const trimmed = cells.map((cell) => cell.trim().replace(/^'(?=[=+\-@])/, ''));
    return trimmed.some((cell) => cell !== '') ? [{ line: index + 1, cells: trimmed }] : [];
  });
  const [first] = lines;
  if (first === undefined) throw new Unfit(say('nothing-pasted'));
  const named = headed ?? namesColumns(first.cells, lines.slice(1), rules);
  const rows = named ? lines.slice(1) : lines;
  if (rows.length > MOST_ROWS) throw new Unfit(say('too-many-rows', { rows: rows.length, most: MOST_ROWS }));
  return { head: named ? first.cells : null, rows, width: Math.max(...lines.map(({ cells }) => cells.length)) };
}

/** What parts the cells: a spreadsheet's tab, else what stands in the first line. A comma within a name alone parts nothing. */
function partedBy(text: string): string {
  const first = text.split(/\r?\n/).find((line) => line.trim() !== '') ?? '';
  return ['\t', ';', ','].find((each) => first.includes(each)) ?? '\t';
}

/** A first row names the columns when a known word stands in it that is not said again below it, and nothing that only records hold. */
function namesColumns(
  cells: readonly string[],
  below: readonly PastedRow[],
  rules: readonly ColumnRule<string>[],
): boolean {
  const known = cells.some(
    (cell, column) =>
      rules.some(({ heads }) => heads.includes(plain(cell))) &&
      !below.some((row) => plain(row.cells[column] ?? '') === plain(cell)),
  );
  return known && !cells.some((cell) => cell.includes('@') || /^\d+([.,]\d+)?$/.test(cell));
}

/** What a column becomes; not sure where only its cells speak for it. */
export interface ColumnGuess<Field extends string> {
  readonly field: Field | null;
  readonly sure: boolean;
}

const [BY_HEAD, BY_WORD, BY_CELLS] = [3, 2, 1];

/**
 * Guesses what the columns of a list are: by the words over them, else by what stands in them. No two are the same.
 *
 * @param pasted the list
 * @param rules meanings in the order in which they are preferred
 * @returns one guess a column
 */
export function guessColumns<Field extends string>(
  { head, rows, width }: Pasted,
  rules: readonly ColumnRule<Field>[],
): readonly ColumnGuess<Field>[] {
  const offers = Array.from({ length: width }, (_, column) => column).flatMap((column) => {
    const over = plain(head?.[column] ?? '');
    const words = over.split(' ');
    const cells = rows.map((row) => row.cells[column] ?? '').filter((cell) => cell !== '');
    return rules.flatMap(({ field, heads, holds }, rank) => {
      const weight = heads.includes(over)
        ? BY_HEAD
        : heads.some((each) => words.includes(each))
          ? BY_WORD
          : cells.length > 0 && holds?.(cells) === true
            ? BY_CELLS
            : 0;
      return weight > 0 ? [{ column, field, weight, rank }] : [];
    });
  });
  offers.sort((a, b) => b.weight - a.weight || a.rank - b.rank || a.column - b.column);
  const taken = new Map<number, ColumnGuess<Field>>();
  const used = new Set<Field>();
  for (const { column, field, weight } of offers) {
    if (taken.has(column) || used.has(field)) continue;
    taken.set(column, { field, sure: weight === BY_HEAD });
    used.add(field);
  }
  return Array.from({ length: width }, (_, column) => taken.get(column) ?? { field: null, sure: false });
}

/** Whether most of some cells are of a kind. */
export const mostly = (cells: readonly string[], is: (cell: string) => boolean): boolean =>
  cells.filter(is).length >= 0.8 * cells.length;

/** Whether a row holds the sums of the others. */
export const holdsSums = (cells: readonly string[]): boolean =>
  cells.some((cell) => /^(grand )?(totals?|sums?|gesamt|summen?|somme|suma|totaal)\b/i.test(cell));
