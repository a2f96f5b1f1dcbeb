import { MediaMatcher } from '@angular/cdk/layout';
import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { fromEvent, map } from 'rxjs';

const KEY = 'brave-comb-theme';
const SIZE_KEY = 'brave-comb-text-size';

/** As the device is set, or by hand; outdoor is for the sun: larger, and nothing faint. */
export const THEMES = ['device', 'light', 'dark', 'outdoor'] as const;
export type ThemeChoice = (typeof THEMES)[number];

/** How large text stands on every page, as a share of its usual size. */
export const TEXT_SIZES = [1, 1.12, 1.25] as const;
export type TextSize = (typeof TEXT_SIZES)[number];

const keptSize = (): TextSize => TEXT_SIZES.find((size) => `${size}` === localStorage.getItem(SIZE_KEY)) ?? 1;
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
  readonly size = signal(keptSize());
  private readonly dark = computed(() => this.choice() === 'dark' || (this.choice() === 'device' && this.darkDevice()));

  constructor() {
    effect(() => {
      const root = document.documentElement;
      root.dataset.theme = this.dark() ? 'dark' : 'light';
      root.classList.toggle('outdoor', this.choice() === 'outdoor');
      localStorage.setItem(KEY, this.choice());
    });
    effect(() => {
      document.documentElement.style.setProperty('--text-size', `${this.size()}`);
      localStorage.setItem(SIZE_KEY, `${this.size()}`);
    });
  }
}
