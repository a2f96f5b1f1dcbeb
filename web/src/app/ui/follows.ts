import { type WritableSignal, computed, linkedSignal } from '@angular/core';

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A value that somebody may change and that follows its source only when that becomes another: what is read again and is the same takes nothing
 * from what was typed meanwhile.
 *
 * @param source from signals; compared by what it holds
 * @param of what the value belongs to, from signals: for another one it begins anew
 * @returns a signal that begins with the source
 */
export const follows = <T>(source: () => T, of: () => unknown = () => null): WritableSignal<T> =>
  linkedSignal({
    source: computed(() => ({ of: of(), value: source() }), { equal: alike }),
    computation: ({ value }) => value,
  });
