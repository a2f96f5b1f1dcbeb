import { v7 as uuid } from 'uuid';
import type { Settled } from '@brave-comb/core/roster';

/** What somebody pasted and has said about it: it outlives a reload, and a list that was half taken in. */
export interface PasteDraft<Field extends string> {
  readonly text: string;
  /** Whether the first row names the columns, where somebody has said so. */
  readonly headed: boolean | null;
  /** What columns become, where somebody has chosen. */
  readonly columns: Readonly<Record<number, Field | null>>;
  readonly settled: readonly (readonly [line: number, said: Settled<Field>])[];
  /** Ids of rows, so that a row that is sent twice is added once. */
  readonly ids: Readonly<Record<number, string>>;
  /** Rows that were added. */
  readonly added: readonly number[];
}

export const NOTHING = { text: '', headed: null, columns: {}, settled: [], ids: {}, added: [] } as const;

const keyOf = (kind: string): string => `brave-comb-paste-${kind}`;

/** What was pasted here before; nothing where the device keeps none. */
export function keptPaste<Field extends string>(kind: string): PasteDraft<Field> {
  const kept = sessionStorage.getItem(keyOf(kind));
  return kept === null ? NOTHING : (JSON.parse(kept) as PasteDraft<Field>);
}

export function keepPaste<Field extends string>(kind: string, draft: PasteDraft<Field>): void {
  if (draft.text === '') sessionStorage.removeItem(keyOf(kind));
  else sessionStorage.setItem(keyOf(kind), JSON.stringify(draft));
}

/** The same with an id for every line that has none. */
export const withIds = <Field extends string>(
  draft: PasteDraft<Field>,
  lines: readonly number[],
): PasteDraft<Field> => ({
  ...draft,
  ids: { ...Object.fromEntries(lines.map((line) => [line, uuid()])), ...draft.ids },
});
