import { HttpErrorResponse } from '@angular/common/http';
import { Injectable, inject } from '@angular/core';
import type { Endpoint, Output } from '@brave-comb/contract';
import { firstValueFrom, throwError } from 'rxjs';
import { WHO } from './who';
import { faultOf } from './contract-client';

/** A large file on its way. */
export interface Upload<T> {
  readonly answer: Promise<T>;
  /** Ends it: the server keeps nothing of it. */
  cancel(): void;
}

/** Sends files that are too large to be held, and says how far they are: `fetch` cannot tell. */
@Injectable({ providedIn: 'root' })
export class FileUpload {
  private readonly who = inject(WHO);

  /**
   * Sends a file as the body of an endpoint that takes one.
   *
   * @param sent told the share that was sent, 0 to 1
   * @returns the answer; it rejects with a `CallFault`, and as without connection when it is cancelled
   */
  send<E extends Endpoint>(
    endpoint: E,
    query: Readonly<Record<string, string>>,
    file: Blob,
    sent: (share: number) => void,
  ): Upload<Output<E>> {
    const request = new XMLHttpRequest();
    const answer = new Promise<Output<E>>((done) => {
      // As every other call, it fails with words for the person at the screen.
      const refused = (status: number, error: unknown): void =>
        done(firstValueFrom(throwError(() => faultOf(new HttpErrorResponse({ status, error })))));
      request.upload.onprogress = ({ loaded, total }) => sent(total > 0 ? loaded / total : 0);
      request.onload = () => {
        const body = parsed(request.responseText);
        if (request.status === 200) done(body as Output<E>);
        else refused(request.status, body);
      };
      request.onerror = request.onabort = () => refused(0, null);
      request.open('POST', `${endpoint.path}?${new URLSearchParams(query).toString()}`);
      request.setRequestHeader('Content-Type', 'application/octet-stream');
      const person = this.who();
      if (person !== null) request.setRequestHeader('X-Person', person);
      request.send(file);
    });
    return { answer, cancel: () => request.abort() };
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
