import { effect, inject } from '@angular/core';
import { Title } from '@angular/platform-browser';

/**
 * Calls the page by what it is about, once that is known: tabs, history and screen readers tell two days or two hives apart.
 *
 * @param name from signals, as "Hive 4"; `null` while nothing is known, then the route's own title stands
 */
export function titled(name: () => string | null): void {
  const title = inject(Title);
  effect(() => {
    const known = name();
    if (known !== null) title.setTitle($localize`${known} – Brave Comb`);
  });
}
