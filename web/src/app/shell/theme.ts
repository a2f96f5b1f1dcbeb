import { MediaMatcher } from '@angular/cdk/layout';
import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { fromEvent, map } from 'rxjs';

const KEY = 'brave-comb-theme';

/** As the device is set, or by hand; outdoor is for the sun: larger, and nothing faint. */
export const THEMES = ['device', 'light', 'dark', 'outdoor'] as const;
export type ThemeChoice = (typeof THEMES)[number];

const kept = (): ThemeChoice => THEMES.find((theme) => theme === localStorage.getItem(KEY)) ?? 'device';

/** How the pages look. */
@Injectable({ providedIn: 'root' })
export class Theme {
  private readonly asked = inject(MediaMatcher).matchMedia('(prefers-color-scheme: dark)');
  private readonly darkDevice = toSignal(
    fromEvent<MediaQueryListEvent>(this.asked, 'change').pipe(map(({ matches }) => matches)),
    { initialValue: this.asked.matches },
  );
  readonly choice = signal(kept());
  private readonly dark = computed(() => this.choice() === 'dark' || (this.choice() === 'device' && this.darkDevice()));

  constructor() {
    effect(() => {
      const root = document.documentElement;
      root.dataset.theme = this.dark() ? 'dark' : 'light';
      root.classList.toggle('outdoor', this.choice() === 'outdoor');
      localStorage.setItem(KEY, this.choice());
    });
  }
}
