import type { LiveSession } from '@brave-comb/contract';
import { Observable, catchError, defer, repeat, retry, timer } from 'rxjs';
import type { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';

/** How long after a broken stream it is asked for again, ms. Meanwhile the state is asked for. */
const AGAIN = 5_000;

/** The hives of a session as server-sent events. Errors when the stream breaks. */
function streamed(session: string): Observable<LiveSession> {
  return new Observable((seen) => {
    const source = new EventSource(endpoints.liveSessionStream.path.replace(':session', session));
    source.onmessage = ({ data }: MessageEvent<string>) => seen.next(JSON.parse(data) as LiveSession);
    source.onerror = () => seen.error(new Error('the stream broke'));
    return () => source.close();
  });
}

/**
 * The hives of a session, live. When the stream breaks the state is asked for once, then the stream again.
 *
 * @param client the contract's client
 * @param session id
 * @param broken told of each break
 * @returns the session again and again; never ends
 */
export function liveEvents(
  client: ContractClient,
  session: string,
  broken: (is: boolean) => void,
): Observable<LiveSession> {
  const asked = defer(() => client.call(endpoints.liveSession, { params: { session } }));
  return defer(() => streamed(session)).pipe(
    catchError(() => {
      broken(true);
      return asked.pipe(retry({ delay: () => timer(AGAIN) }));
    }),
    repeat({ delay: () => timer(AGAIN) }),
  );
}
