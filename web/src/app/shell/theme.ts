import { Injectable, effect, signal } from '@angular/core';

const KEY = 'brave-comb-theme';

/** Light by day, dark in the evening, by hand. */
@Injectable({ providedIn: 'root' })
export class Theme {
  readonly dark = signal(localStorage.getItem(KEY) === 'dark');

  constructor() {
    effect(() => {
      document.documentElement.dataset.theme = this.dark() ? 'dark' : 'light';
      localStorage.setItem(KEY, this.dark() ? 'dark' : 'light');
    });
  }
}
