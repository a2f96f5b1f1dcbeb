import { Injectable } from '@angular/core';
import type { Change } from './views.feature';

const PREFIX = 'brave-comb/change/';

/** Changes that the server has not taken yet: written down at once, so that they outlive a closed tab, a reload and no signal. */
@Injectable({ providedIn: 'root' })
export class ChangeQueue {
  keep(change: Change): void {
    localStorage.setItem(PREFIX + change.id, JSON.stringify(change));
  }

  drop(id: string): void {
    localStorage.removeItem(PREFIX + id);
  }

  /** What waits, in the order in which it was made: ids grow with time. */
  all(person: string): readonly Change[] {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX))
      .sort()
      .map((key) => JSON.parse(localStorage.getItem(key) ?? 'null') as Change)
      .filter((change) => change.person === person);
  }
}
