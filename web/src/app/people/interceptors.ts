import { HttpErrorResponse, type HttpInterceptorFn, HttpResponse } from '@angular/common/http';
import { inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { catchError, tap, throwError } from 'rxjs';
import { SIGN_IN } from '../api/interceptors';
import { Clock } from './clock';
import { PeopleEvents } from './people.feature';

/** Every contact tells the server's time: the device's own clock may be wrong, or set while it runs. */
export const tellsTime: HttpInterceptorFn = (request, next) => {
  const clock = inject(Clock);
  return next(request).pipe(
    tap((event) => {
      const told = event instanceof HttpResponse ? event.headers.get('X-Clock') : null;
      if (told) clock.contact(Date.parse(told));
    }),
  );
};

/** A sign-in may end while its page is open: that is said on every screen, with the way back in. */
export const noticesEnd: HttpInterceptorFn = (request, next) => {
  const store = inject(Store);
  return next(request).pipe(
    catchError((error: unknown) => {
      if (error instanceof HttpErrorResponse && error.status === 401 && !SIGN_IN.test(request.url)) {
        const { problem } = (error.error ?? {}) as { problem?: string };
        store.dispatch(PeopleEvents.signInEnded({ end: problem === 'somebody-else' ? problem : 'over' }));
      }
      return throwError(() => error);
    }),
  );
};
