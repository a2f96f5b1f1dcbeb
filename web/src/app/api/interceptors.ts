import { HttpErrorResponse, type HttpInterceptorFn, HttpResponse } from '@angular/common/http';
import { inject } from '@angular/core';
import {
  catchError,
  defer,
  filter,
  from,
  map,
  merge,
  of,
  retry,
  shareReplay,
  switchMap,
  takeUntil,
  tap,
  throwError,
  timer,
} from 'rxjs';
import { DeviceStore } from '../device/device-store';
import { WHO } from './who';

export const SIGN_IN = /^\/api\/people\/(sign-in|me)$/;

/** Says as whom something is asked: where somebody else has signed in on this device meanwhile, the server refuses it. */
export const asWhom: HttpInterceptorFn = (request, next) => {
  const person = inject(WHO)();
  const ours = request.url.startsWith('/api/') && !SIGN_IN.test(request.url);
  return next(person !== null && ours ? request.clone({ setHeaders: { 'X-Person': person } }) : request);
};

/** A server that is busy says when to ask again: what is only read is asked again by itself. */
export const asksAgain: HttpInterceptorFn = (request, next) =>
  request.method !== 'GET'
    ? next(request)
    : next(request).pipe(
        retry({
          count: 2,
          delay: (error: unknown) => {
            const after =
              error instanceof HttpErrorResponse && error.status === 503 && error.headers.get('Retry-After');
            return after ? timer(Number(after) * 1000) : throwError(() => error);
          },
        }),
      );

/** What can be looked at without signal. */
export const isKept = (address: string): boolean =>
  /^\/api\/(sessions|visits|colonies|season|practice)\b/.test(address);
/** On a thin signal the last answer is shown after so long, ms, until the new one is here. */
const PATIENCE = 4_000;

/**
 * Answers are kept for whoever asked; without signal the last one is given again. Where it takes too long it comes first and the new one
 * after it: what somebody did just now would else look as if it had not been done.
 */
export const keptAnswers: HttpInterceptorFn = (request, next) => {
  if (request.method !== 'GET' || !isKept(request.url)) return next(request);
  const device = inject(DeviceStore);
  const address = request.urlWithParams;
  const kept = defer(() => from(device.view(address))).pipe(
    filter((answer) => answer !== undefined),
    map(({ body }) => new HttpResponse({ body, status: 200, url: request.url })),
  );
  const fresh = next(request).pipe(
    filter((event) => event instanceof HttpResponse),
    tap(({ body, headers }) => {
      const tag = headers.get('ETag') ?? undefined;
      void device.keepView(address, { body, tag }).catch(() => undefined);
    }),
    shareReplay({ bufferSize: 1, refCount: true }),
  );
  const answered = merge(
    fresh,
    timer(PATIENCE).pipe(
      switchMap(() => kept),
      takeUntil(fresh.pipe(catchError(() => of(null)))),
    ),
  );
  return answered.pipe(
    catchError((error: unknown) => {
      const cut = error instanceof HttpErrorResponse && (error.status === 0 || error.status >= 502);
      if (!cut) return throwError(() => error);
      return from(device.view(address)).pipe(
        switchMap((answer) =>
          answer === undefined
            ? throwError(() => error)
            : of(new HttpResponse({ body: answer.body, status: 200, url: request.url })),
        ),
      );
    }),
  );
};
