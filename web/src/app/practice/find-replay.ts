import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, input, model, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSlider, MatSliderThumb } from '@angular/material/slider';
import type { Sight } from './comb-stage';

/** Runs through a replay this much faster than it was, and at most this long, s. */
const [FASTER, LONGEST] = [4, 12];
const TICK = 100;
/** Looks shorter than this are passing by, s. */
const PASSING = 1;

/** Where somebody looked, from when on, seconds from the start. */
export interface Look {
  readonly at: number;
  readonly sight: Sight;
}

/** How something was looked for: the touches in their order, and which part of the comb was looked at for how long. */
@Component({
  selector: 'bc-find-replay',
  imports: [MatButton, MatSlider, MatSliderThumb],
  templateUrl: './find-replay.html',
  styleUrl: './find-replay.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FindReplay {
  /** Moment that is shown, seconds from the start. */
  readonly at = model.required<number>();
  readonly seconds = input.required<number>();
  /** Moments of the touches. */
  readonly marks = input.required<readonly number[]>();
  readonly looks = input.required<readonly Look[]>();
  /** Width and height of the comb, in widths of a cell. */
  readonly size = input.required<readonly [number, number]>();

  protected readonly playing = signal(false);
  private timer: ReturnType<typeof setInterval> | undefined;
  protected readonly ticks = computed(() => this.marks().map((mark) => (100 * mark) / Math.max(0.1, this.seconds())));
  protected readonly clock = (seconds: number) =>
    `${Math.floor(seconds / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`;
  /** Parts of the comb that were looked at closely, in their order. */
  protected readonly stays = computed(() => {
    const [width, height] = this.size();
    return this.looks()
      .map(({ at, sight }, place, all) => ({ sight, seconds: (all[place + 1]?.at ?? this.seconds()) - at }))
      .filter(({ sight, seconds }) => seconds >= PASSING && sight[2] < width * 0.95)
      .map(({ sight, seconds }, place) => ({
        number: place + 1,
        sight,
        seconds: Math.round(seconds),
        words: partWords(sight, width, height),
      }));
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => clearInterval(this.timer));
  }

  protected play(): void {
    clearInterval(this.timer);
    if (this.playing()) {
      this.playing.set(false);
      return;
    }
    this.at.set(0);
    this.playing.set(true);
    const step = (Math.max(FASTER, this.seconds() / LONGEST) * TICK) / 1000;
    this.timer = setInterval(() => {
      const next = Math.min(this.seconds(), this.at() + step);
      this.at.set(next);
      if (next < this.seconds()) return;
      clearInterval(this.timer);
      this.playing.set(false);
    }, TICK);
  }
}

/** Where a part of the comb lies. */
function partWords([left, top, wide, high]: Sight, width: number, height: number): string {
  const [x, y] = [(left + wide / 2) / width, (top + high / 2) / height];
  const column = x < 0.42 ? 'left' : x > 0.58 ? 'right' : 'middle';
  const row = y < 0.42 ? 'top' : y > 0.58 ? 'bottom' : 'middle';
  const words: Readonly<Record<`${typeof row} ${typeof column}`, string>> = {
    'top left': $localize`top left`,
    'top middle': $localize`top, in the middle`,
    'top right': $localize`top right`,
    'middle left': $localize`left`,
    'middle middle': $localize`the middle`,
    'middle right': $localize`right`,
    'bottom left': $localize`bottom left`,
    'bottom middle': $localize`bottom, in the middle`,
    'bottom right': $localize`bottom right`,
  };
  return words[`${row} ${column}`];
}
