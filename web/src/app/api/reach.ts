import { HttpBackend, HttpClient, HttpErrorResponse, type HttpInterceptorFn, HttpResponse } from '@angular/common/http';
import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Store } from '@ngrx/store';
import { fromEvent, map, merge, tap } from 'rxjs';
import { ViewEvents } from './views.feature';

/** How long between two looks whether the server is back, ms. */
const LOOK_AGAIN = 10_000;

/** Whether this device reaches the server: it has no signal, or the server does not answer. */
@Injectable({ providedIn: 'root' })
export class Reach {
  private readonly store = inject(Store);
  /** Past every interceptor: what it finds is told here, and to nobody else. */
  private readonly http = new HttpClient(inject(HttpBackend));
  private readonly answered = signal(true);
  private readonly signal = toSignal(
    merge(fromEvent(globalThis, 'online'), fromEvent(globalThis, 'offline')).pipe(map(() => navigator.onLine)),
    { initialValue: navigator.onLine },
  );
  readonly state = computed(() => (this.signal() ? (this.answered() ? 'reached' : 'away') : 'no-signal'));

  constructor() {
    effect((onCleanup) => {
      if (this.state() !== 'away') return;
      const looking = setInterval(() => this.look(), LOOK_AGAIN);
      onCleanup(() => clearInterval(looking));
    });
  }

  /** What a call found out; the first answer after a while without has everything on the screen read again. */
  told(answered: boolean): void {
    const back = answered && !this.answered();
    this.answered.set(answered);
    if (back) this.store.dispatch(ViewEvents.outdated({}));
  }

  private look(): void {
    this.http.get('/api/health/live').subscribe({ next: () => this.told(true), error: () => undefined });
  }
}

/** Every call tells whether the server answered: nearest to it, before kept answers stand in for it. */
export const tellsReach: HttpInterceptorFn = (request, next) => {
  const reach = inject(Reach);
  return next(request).pipe(
    tap({
      next: (event) => {
        if (event instanceof HttpResponse) reach.told(true);
      },
      error: (error: unknown) => {
        if (error instanceof HttpErrorResponse) reach.told(error.status !== 0 && error.status < 502);
      },
    }),
  );
};
