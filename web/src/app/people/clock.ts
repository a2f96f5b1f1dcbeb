import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { setThisYear } from '../shell/format';
import { peopleFeature } from './people.feature';

/** The server's clock on this device, ticking every second. */
@Injectable({ providedIn: 'root' })
export class Clock {
  private readonly read = inject(Store).selectSignal(peopleFeature.selectClock);
  private readonly tick = signal(Date.now());

  /** Now, ms since 1970, to the second. */
  readonly now = computed(() => {
    const read = this.read();
    return read ? Date.parse(read.now) + this.tick() - read.readAt : this.tick();
  });

  constructor() {
    effect(() => {
      const read = this.read();
      if (read) setThisYear(Number(read.now.slice(0, 4)));
    });
    setInterval(() => this.tick.set(Date.now()), 1000);
  }

  /** Now as an entry is dated. */
  instant(): string {
    this.tick.set(Date.now());
    return new Date(this.now()).toISOString();
  }
}
