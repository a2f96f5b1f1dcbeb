import { Injectable, effect, inject, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { setThisYear } from '../ui/format';
import { keepClock } from './kept-clock';
import { peopleFeature } from './people.feature';

/** What the clock may go wrong by before a contact with the server sets it, ms. */
const ADRIFT = 1_500;
/** How often a contact is written down, ms. */
const WRITE_EVERY = 10_000;
/** Longest time that a device is believed to have slept, ms. */
const LONGEST_SLEEP = 14 * 3_600_000;

/**
 * How far the time went on between two looks.
 *
 * A device's steady clock stands still while it sleeps, its wall clock can be set. So the steady one counts, and the wall clock only where
 * the page was out of sight meanwhile and it went further.
 *
 * @param steady what the steady clock went on by, ms
 * @param wall what the wall clock went on by, ms
 * @param hidden whether the page was out of sight at some time between
 */
export function passed(steady: number, wall: number, hidden: boolean): number {
  return hidden && wall > steady && wall <= LONGEST_SLEEP ? wall : steady;
}

/** The server's clock on this device, ticking every second: from the last contact on by the device's steady clock. */
@Injectable({ providedIn: 'root' })
export class Clock {
  private readonly read = inject(Store).selectSignal(peopleFeature.selectClock);
  private readonly time = signal(Date.now());
  private steady = performance.now();
  private wall = Date.now();
  private hidden = false;
  private written = 0;
  private stamped = 0;

  /** Now, ms since 1970, to the second. */
  readonly now = this.time.asReadonly();

  constructor() {
    effect(() => {
      const read = this.read();
      if (!read) return;
      setThisYear(Number(read.now.slice(0, 4)));
      this.set(Date.parse(read.now) + Date.now() - read.readAt);
    });
    document.addEventListener('visibilitychange', () => {
      this.hidden = true;
      this.tick();
    });
    setInterval(() => this.tick(), 1000);
  }

  /** The server's time as it was just told. */
  contact(server: number): void {
    this.tick();
    if (Math.abs(server - this.time()) > ADRIFT) this.set(server);
    if (Date.now() - this.written < WRITE_EVERY && Date.now() >= this.written) return;
    this.written = Date.now();
    keepClock(server, this.read()?.demo ?? false);
  }

  private set(now: number): void {
    this.steady = performance.now();
    this.wall = Date.now();
    this.time.set(now);
  }

  private tick(): void {
    const [steady, wall] = [performance.now(), Date.now()];
    const on = passed(steady - this.steady, wall - this.wall, this.hidden);
    [this.steady, this.wall] = [steady, wall];
    this.hidden = document.visibilityState === 'hidden';
    this.time.update((now) => now + on);
  }

  /** Now as an entry is dated; never before the entry made last. */
  instant(): string {
    this.tick();
    this.stamped = Math.max(this.stamped, Math.floor(this.time()));
    return new Date(this.stamped).toISOString();
  }
}
