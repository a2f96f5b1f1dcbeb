import { type DestroyRef, Injectable } from '@angular/core';

/** Keeps the screen on while it is held. */
@Injectable({ providedIn: 'root' })
export class WakeLock {
  private lock: WakeLockSentinel | null = null;

  /** Holds until whoever asked is gone. A browser lets go when the page is hidden; it is asked again when it comes back. */
  hold(until: DestroyRef): void {
    const ask = () => {
      if (document.visibilityState === 'visible') void this.ask();
    };
    document.addEventListener('visibilitychange', ask);
    ask();
    until.onDestroy(() => {
      document.removeEventListener('visibilitychange', ask);
      void this.lock?.release();
      this.lock = null;
    });
  }

  private async ask(): Promise<void> {
    try {
      this.lock = (await (navigator as Partial<Navigator>).wakeLock?.request('screen')) ?? null;
    } catch {
      // A low battery or an old browser: the screen goes dark as usual, nothing is lost.
      this.lock = null;
    }
  }
}
