import type { RosterRow } from '@brave-comb/core/roster';

/** Rows of a list as they are shown: one that is asked about or left out, or a run of ready ones that is folded. */
export type ShownRow<Row> =
  | { readonly kind: 'row'; readonly row: Row }
  | { readonly kind: 'run'; readonly from: number; readonly to: number; readonly rows: readonly Row[] };

/** Ready rows at the head of a list that are shown anyway, so that somebody sees how it was read. */
const SHOWN_FIRST = 3;

/**
 * Folds runs of ready rows, but for the first few.
 *
 * @param rows rows in the order of the list
 * @param opened first lines of runs that somebody has opened
 */
export function foldRuns<Row extends Pick<RosterRow<string, unknown>, 'line' | 'state'>>(
  rows: readonly Row[],
  opened: ReadonlySet<number>,
): readonly ShownRow<Row>[] {
  const shown: ShownRow<Row>[] = [];
  let run: Row[] = [];
  const close = () => {
    const [first] = run;
    if (first !== undefined && (run.length < 2 || opened.has(first.line)))
      shown.push(...run.map((row) => ({ kind: 'row', row }) as const));
    else if (first !== undefined) shown.push({ kind: 'run', from: first.line, to: run.at(-1)!.line, rows: run });
    run = [];
  };
  for (const [at, row] of rows.entries()) {
    if (row.state === 'ready' && at >= SHOWN_FIRST) run.push(row);
    else {
      close();
      shown.push({ kind: 'row', row });
    }
  }
  close();
  return shown;
}
