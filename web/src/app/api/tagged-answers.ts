import { HttpErrorResponse, type HttpInterceptorFn, HttpResponse } from '@angular/common/http';
import { Injectable, inject } from '@angular/core';
import { type Observable, catchError, from, of, switchMap, tap, throwError } from 'rxjs';
import { DeviceStore, type KeptAnswer } from '../device/device-store';
import { isKept } from './interceptors';
import { WHO } from './who';

const MOST = 80;
const NOT_MODIFIED = 304;

/** Answers that this page has, with the tags that they came with, for whoever is signed in. */
@Injectable({ providedIn: 'root' })
export class TaggedAnswers {
  private readonly who = inject(WHO);
  private readonly device = inject(DeviceStore);
  private readonly answers = new Map<string, KeptAnswer>();
  private owner: string | null = null;

  private own(): Map<string, KeptAnswer> {
    if (this.owner !== this.who()) this.answers.clear();
    this.owner = this.who();
    return this.answers;
  }

  /** What was answered last at an address: on this page, or on this device where it is kept. */
  last(address: string): Observable<KeptAnswer | undefined> {
    const known = this.own().get(address);
    return known || !isKept(address) ? of(known) : from(this.device.view(address).catch(() => undefined));
  }

  keep(address: string, answer: KeptAnswer): void {
    const answers = this.own();
    answers.delete(address);
    if (answer.tag === undefined) return;
    answers.set(address, answer);
    if (answers.size > MOST) answers.delete(answers.keys().next().value!);
  }
}

/** What is asked again is only sent again when it has become another. */
export const asksByTag: HttpInterceptorFn = (request, next) => {
  if (request.method !== 'GET' || !request.url.startsWith('/api/')) return next(request);
  const answers = inject(TaggedAnswers);
  const address = request.urlWithParams;
  return answers.last(address).pipe(
    switchMap((last) => {
      const asked = last?.tag === undefined ? request : request.clone({ setHeaders: { 'If-None-Match': last.tag } });
      return next(asked).pipe(
        catchError((error: unknown): Observable<HttpResponse<unknown>> => {
          if (!last || !(error instanceof HttpErrorResponse) || error.status !== NOT_MODIFIED)
            return throwError(() => error);
          return of(new HttpResponse({ body: last.body, status: 200, headers: error.headers, url: request.url }));
        }),
        tap((event) => {
          if (event instanceof HttpResponse)
            answers.keep(address, { body: event.body, tag: event.headers.get('ETag') ?? undefined });
        }),
      );
    }),
  );
};
