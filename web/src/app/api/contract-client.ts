import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { Injectable, inject } from '@angular/core';
import type { Endpoint, Output, Problem, ProblemId } from '@brave-comb/contract';
import { type Observable, catchError, throwError } from 'rxjs';
import type * as z from 'zod';

/** What is sent is read only: lists that nobody may change can be sent as they are. */
type Frozen<T> = T extends readonly (infer Each)[]
  ? readonly Frozen<Each>[]
  : T extends object
    ? { readonly [Key in keyof T]: Frozen<T[Key]> }
    : T;
type In<S> = S extends z.ZodType ? Frozen<z.input<S>> : undefined;
/** Parameters, query and body of a call, before the contract has checked them. */
export type Sent<E extends Endpoint> = (E['params'] extends z.ZodType ? { params: In<E['params']> } : object) &
  (E['query'] extends z.ZodType ? { query?: In<E['query']> } : object) &
  (E['body'] extends z.ZodType ? { body: In<E['body']> } : object);

/** The same of any endpoint, as it is kept and sent. */
export interface AnySent {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string | undefined>>;
  readonly body?: unknown;
}

/** What went wrong with a call, in words for the person at the screen. */
export interface CallFault {
  /** 0 when the server could not be reached. */
  readonly status: number;
  readonly problem: ProblemId;
  readonly message: string;
  readonly details: readonly { readonly path: string; readonly message: string }[];
}

/** The fault behind anything that a call threw. */
export function faultOf(error: unknown): CallFault {
  if (!(error instanceof HttpErrorResponse)) {
    return {
      status: -1,
      problem: 'fault',
      message: $localize`Something went wrong on this page. Reload it.`,
      details: [],
    };
  }
  const said = error.error as Partial<Problem> | null;
  if (error.status === 0 || error.status === 504) {
    return {
      status: 0,
      problem: 'no-connection',
      message: $localize`No connection. What you entered is saved on this device and sent when there is one.`,
      details: [],
    };
  }
  return {
    status: error.status,
    problem: said?.problem ?? 'fault',
    message: said?.message ?? $localize`The server answered with status ${error.status}. Try again.`,
    details: said?.details ?? [],
  };
}

/** Calls endpoints of the contract. */
@Injectable({ providedIn: 'root' })
export class ContractClient {
  private readonly http = inject(HttpClient);

  /**
   * Calls an endpoint.
   *
   * @param endpoint one of the contract's
   * @param sent parameters, query and body as it asks for
   * @returns its response once; errors are {@link CallFault}s
   */
  call<E extends Endpoint>(endpoint: E, sent: Sent<E>): Observable<Output<E>> {
    return this.send(endpoint, sent as AnySent) as Observable<Output<E>>;
  }

  /** Calls an endpoint that is known by its address only: what it asks for was checked where it was asked. */
  send({ method, path }: Pick<Endpoint, 'method' | 'path'>, { params, query, body }: AnySent): Observable<unknown> {
    const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params?.[name] ?? ''));
    const given = Object.fromEntries(
      Object.entries(query ?? {}).filter((pair): pair is [string, string] => pair[1] !== undefined),
    );
    return this.http
      .request<unknown>(method, filled, { params: given, body })
      .pipe(catchError((error: unknown) => throwError(() => faultOf(error))));
  }
}
