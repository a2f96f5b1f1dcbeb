import 'express-session';
import type { Endpoint, Input, Output } from '@brave-comb/contract';
import type { Request, RequestHandler, Response, Router } from 'express';
import type * as z from 'zod';
import type { Actor } from './context';
import { Refusal } from './problem';

declare module 'express-session' {
  interface SessionData {
    actor?: Actor;
  }
}

/** What a handler knows of the request beyond its contract. */
export interface Call {
  readonly request: Request;
  readonly response: Response;
}

type Answer<E extends Endpoint> = E extends { readonly streams: true } ? AsyncIterable<Output<E>> : Promise<Output<E>>;

type Handler<E extends Endpoint> = (
  input: Input<E>,
  /** Nobody, where anyone may call and nobody is signed in. */
  actor: 'anyone' extends E['access'] ? Actor | null : Actor,
  call: Call,
) => Answer<E>;

/** Serves one endpoint of the contract on an application. */
export type Serve = <E extends Endpoint>(endpoint: E, handler: Handler<E>) => void;

/** Parameters name things: a malformed id is simply not there. */
function parse(shape: z.ZodType | undefined, value: unknown, where: 'params' | 'query' | 'body'): unknown {
  if (!shape) return undefined;
  const read = shape.safeParse(value);
  if (read.success) return read.data;
  if (where === 'params')
    throw new Refusal(404, 'not found', 'The address names nothing. Go back and open it from the list.');
  const details = read.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
  const [first] = details;
  const what = where === 'query' ? 'The address' : 'What was sent';
  const named = first?.path ? ` (${first.path})` : '';
  throw new Refusal(
    422,
    'not valid',
    `${what} cannot be used${named}: ${first?.message ?? 'it has the wrong form'}`,
    details,
  );
}

/**
 * Serves one endpoint of the contract: checks who asks, reads what was sent, runs the handler.
 *
 * @param router where to serve it
 * @param endpoint the contract's endpoint
 * @param handler what it does; returns the response by contract
 * @param checked whether to check the response against the contract too (in tests)
 */
export function serveEndpoint<E extends Endpoint>(
  router: Router,
  endpoint: E,
  handler: Handler<E>,
  checked = false,
): void {
  const handle: RequestHandler = async (request, response) => {
    const actor = request.session.actor ?? null;
    admit(endpoint.access, actor);
    const input = {
      params: parse(endpoint.params, request.params, 'params'),
      query: parse(endpoint.query, request.query, 'query'),
      body: parse(endpoint.body, request.body, 'body'),
    } as Input<E>;
    const answer = handler(input, actor as never, { request, response });
    const read = (output: unknown) => (checked ? endpoint.response.parse(output) : output);
    if (endpoint.streams) await stream(response, answer as AsyncIterable<unknown>, read);
    else response.json(read(await answer));
  };
  if (endpoint.method === 'GET') router.get(endpoint.path, handle);
  else router.post(endpoint.path, handle);
}

/** Sends what comes as server-sent events until it ends or nobody listens. A fault before the first is answered as usual. */
async function stream(
  response: Response,
  events: AsyncIterable<unknown>,
  read: (event: unknown) => unknown,
): Promise<void> {
  for await (const event of events) {
    if (response.closed) break;
    if (!response.headersSent) {
      // No transform: compression would hold events back.
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' }).flushHeaders();
    }
    response.write(`data: ${JSON.stringify(read(event))}\n\n`);
  }
  response.end();
}

function admit(access: Endpoint['access'], actor: Actor | null): void {
  if (access === 'anyone') return;
  if (!actor)
    throw new Refusal(
      401,
      'not signed in',
      'Sign in first. What you entered on this device is kept and sent afterwards.',
    );
  if (!access.includes(actor.role)) {
    throw new Refusal(403, 'not allowed', 'This is for supervisors or the lead instructor. Ask one of them to do it.');
  }
}
