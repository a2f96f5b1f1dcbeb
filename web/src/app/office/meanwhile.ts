import { type Signal, computed } from '@angular/core';
import type { Saving } from '../api/saving';

/** A field of a record as it stands there now, and as it is typed. */
export type Both = readonly [what: string, theirs: string, mine: string | undefined];

/** What somebody else has saved since a record was opened, beside what is typed. */
export interface Meanwhile {
  readonly by: { readonly by: string; readonly at: string } | null;
  readonly lines: readonly { readonly what: string; readonly theirs: string; readonly mine: string }[];
}

/**
 * What two people have changed in one record, once a saving was refused for it.
 *
 * @param save the form's
 * @param record as the server has it now; null for a new one
 * @param fields every field both ways
 * @returns those that differ; null while there is nothing to compare
 */
export const meanwhile = <R extends { readonly changed: Meanwhile['by'] }>(
  save: Saving,
  record: Signal<R | null>,
  fields: (record: R) => readonly Both[],
): Signal<Meanwhile | null> =>
  computed(() => {
    const now = record();
    if (save.fault()?.problem !== 'changed-meanwhile' || !now) return null;
    return {
      by: now.changed,
      lines: fields(now)
        .filter(([, theirs, mine]) => theirs !== mine)
        .map(([what, theirs, mine]) => ({ what, theirs, mine: mine ?? '' })),
    };
  });
