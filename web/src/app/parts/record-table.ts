import { type Signal, type WritableSignal, computed, signal } from '@angular/core';
import type { PageEvent } from '@angular/material/paginator';
import type { Sort } from '@angular/material/sort';

/** What a line is ordered by under a head; `null` where it has nothing there, which stands last either way. */
type Value = string | number | null;
const words = new Intl.Collator(undefined, { numeric: true });

/** Lines of a record, in the order of the head that was pressed, page by page. */
export interface RecordTable<T> {
  /** The lines of the page that is shown. */
  readonly lines: Signal<readonly T[]>;
  /** For `[matSortActive]`, `[matSortDirection]` and `(matSortChange)`. */
  readonly order: WritableSignal<Sort>;
  /** For `mat-paginator`. */
  readonly page: WritableSignal<Pick<PageEvent, 'pageIndex' | 'pageSize'>>;
  readonly length: Signal<number>;
}

const compare = (a: Value, b: Value): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : words.compare(`${a}`, `${b}`);

/**
 * Sorts and pages the lines of a record.
 *
 * @param all every line, in the order that holds while no head is pressed
 * @param values by the id of a head, what a line is ordered by: text by its words, with numbers in it by their size
 * @param pageSize lines of a page; all on one by default
 */
export function recordTable<T>(
  all: () => readonly T[],
  values: Readonly<Record<string, (line: T) => Value>>,
  pageSize = Infinity,
): RecordTable<T> {
  const order = signal<Sort>({ active: '', direction: '' });
  const page = signal({ pageIndex: 0, pageSize });
  const sorted = computed(() => {
    const { active, direction } = order();
    const value = values[active];
    if (!value || direction === '') return all();
    const sign = direction === 'asc' ? 1 : -1;
    return all().toSorted((a, b) => {
      const [left, right] = [value(a), value(b)];
      if (left === null || right === null) return Number(left === null) - Number(right === null);
      return sign * compare(left, right);
    });
  });
  return {
    order,
    page,
    length: computed(() => sorted().length),
    lines: computed(() => {
      const { pageIndex, pageSize: size } = page();
      if (size === Infinity) return sorted();
      const last = Math.max(0, Math.ceil(sorted().length / size) - 1);
      const first = Math.min(pageIndex, last) * size;
      return sorted().slice(first, first + size);
    }),
  };
}
