import 'express-session';
import type { Endpoint, Input, Output } from '@brave-comb/contract';
import { withIdsOfNow } from '@brave-comb/core/exchange';
import type { Sayable } from '@brave-comb/core/language';
import { languageFor } from '@brave-comb/core/words';
import type { Request, RequestHandler, Response, Router } from 'express';
import type * as z from 'zod';
import { createHash } from 'node:crypto';
import type { Actor, Context, Units } from './context';
import { worthAgain } from './faults';
import { Kept, momentAt } from './kept';
import { lane } from './lanes';
import { Refusal, wrongText } from './problem';
import { tornText } from './torn-text';
import { inLanguage, say } from './words';

declare module 'express-session' {
  interface SessionData {
    actor?: Actor;
    /** Revision of the person's school when the request came. */
    revision?: number;
    /** In which units the person reads, as it is now. */
    units?: Units;
    /** Browser and system with which the person signed in. */
    device?: string;
  }
}

/** What a handler knows of the request beyond its contract. */
export interface Call {
  readonly request: Request;
  readonly response: Response;
}

/** What is told may still be sentences without a language: it is put into words as it is sent. */
type Told<E extends Endpoint> = Sayable<Output<E>>;
type Answer<E extends Endpoint> = E extends { readonly streams: true } ? AsyncIterable<Told<E>> : Promise<Told<E>>;

type Handler<E extends Endpoint> = (
  input: Input<E>,
  /** Nobody, where anyone may call and nobody is signed in. */
  actor: 'anyone' extends E['access'] ? Actor | null : Actor,
  call: Call,
) => Answer<E>;

/** Serves one endpoint of the contract on an application. */
export type Serve = <E extends Endpoint>(endpoint: E, handler: Handler<E>) => void;

/** Entries of a visit are looked at one by one where they are recorded: a bad one does not hold up the others. */
const EACH_FOR_ITSELF = new Set(['entries']);

/** Parameters name things: a malformed id is simply not there. */
function parse(shape: z.ZodType | undefined, value: unknown, where: 'params' | 'query' | 'body'): unknown {
  if (!shape) return undefined;
  const torn = where === 'params' ? null : tornText(value, EACH_FOR_ITSELF);
  if (torn !== null)
    throw new Refusal(422, 'not-valid', say('half-a-character', { torn }), [
      { path: torn, message: 'half a character' },
    ]);
  const sent = shape.safeParse(value);
  // A page or a file of an older version may still name things as they were called then.
  const read = sent.success ? sent : shape.safeParse(withIdsOfNow(value));
  if (read.success) return read.data;
  if (where === 'params') throw new Refusal(404, 'not-found', say('address-names-nothing'));
  const details = read.error.issues.map((issue) => ({ path: issue.path.join('.'), message: wrongText(issue.message) }));
  const [first] = details;
  throw new Refusal(
    422,
    'not-valid',
    say('cannot-be-used', {
      what: where === 'query' ? 'address' : 'body',
      where: first && first.path !== '' ? first.path : null,
      why: first?.message ?? null,
    }),
    details,
  );
}

/** How the endpoints of one application are served. */
export interface Served {
  readonly clock: Context['clock'];
  readonly router: Router;
  /** Whether responses are checked against the contract too (in tests). */
  readonly checked: boolean;
  /** Whether a session goes on: streams ask it before they tell anything. */
  readonly goesOn: (session: string) => Promise<boolean>;
  /** Told of a request that is never done by itself. */
  readonly notAwaited: (request: Request) => void;
}

/** Longest that anybody waits for an answer, ms. */
const DEADLINE = 45_000;
const STREAMS_EACH = 6;
/** What is asked at a hive does not wait behind what is looked at on a desk. */
const AT_THE_HIVE = /^\/api\/(visits|sessions|live)\b/;

/**
 * Makes what serves endpoints of the contract: checks who asks, reads what was sent, waits for a turn, runs the handler.
 *
 * @param served where they are served, and how
 * @returns serves one endpoint with its handler
 */
export function serving({ clock, router, checked, goesOn, notAwaited }: Served): Serve {
  const lanes = {
    hive: lane({ atOnce: 3, waiting: 300, each: 12, patience: 15_000 }),
    desk: lane({ atOnce: 3, waiting: 150, each: 24, patience: 15_000 }),
    writes: lane({ atOnce: 6, waiting: 600, each: 40, patience: 20_000 }),
  };
  const kept = new Kept<Answered>(MOST_KEPT, ({ text }) => text.length);
  const streams = new Map<string, number>();

  return (endpoint, handler) => {
    const handle: RequestHandler = async (request, response) => {
      const actor = request.session.actor ?? null;
      admit(endpoint.access, actor);
      sameAs(request.get('x-person'), actor);
      const input = {
        params: parse(endpoint.params, request.params, 'params'),
        query: parse(endpoint.query, request.query, 'query'),
        body: parse(endpoint.body, request.body, 'body'),
      } as Input<typeof endpoint>;
      const language = languageFor(request.acceptsLanguages());
      const units = request.session.units?.own ?? request.session.units?.school ?? 'metric';
      response.vary('Accept-Language');
      const read = (output: unknown) => {
        const told = inLanguage(output, language, units);
        return checked ? endpoint.response.parse(told) : told;
      };
      const run = () => handler(input, actor as never, { request, response });
      if (endpoint.streams) {
        notAwaited(request);
        response.once('close', openStream(streams, actor?.id ?? request.ip ?? ''));
        await stream(response, run() as AsyncIterable<unknown>, read, () => goesOn(request.sessionID));
        return;
      }
      if (endpoint.file?.way === 'out') {
        await run();
        return;
      }
      const reckon = async () => JSON.stringify(read(await run()));
      const who = actor?.id ?? '';
      if (endpoint.file) {
        // What comes as a stream is read once: it cannot be done again.
        send(response, await reckon());
        return;
      }
      if (endpoint.method !== 'GET') {
        send(response, actor ? await lanes.writes(who, () => repeated(reckon)) : await reckon());
        return;
      }
      if (!actor) {
        send(response, await reckon());
        return;
      }
      const turn = AT_THE_HIVE.test(endpoint.path) ? lanes.hive : lanes.desk;
      if (endpoint.everNew || endpoint.access === 'anyone') {
        send(response, await turn(who, reckon));
        return;
      }
      const moment = momentAt(request.session.revision ?? 0, clock);
      const own = `${actor.role} ${who} ${language} ${units}`;
      const asked = request.get('if-none-match');
      if (asked?.startsWith(tagOf(moment, own))) {
        response.set('ETag', asked).status(304).end();
        return;
      }
      const { text, hash } = await kept.ask(`${own} ${request.originalUrl}`, moment, async () => {
        const reckoned = await turn(who, reckon);
        return { text: reckoned, hash: hashOf(reckoned) };
      });
      response.set('ETag', `${tagOf(moment, own)}${hash}"`);
      if (asked?.endsWith(`.${hash}"`)) response.status(304).end();
      else send(response, text);
    };
    if (endpoint.method === 'GET') router.get(endpoint.path, handle);
    else router.post(endpoint.path, handle);
  };
}

/** An answer as it is sent, and what tells it from another. */
interface Answered {
  readonly text: string;
  readonly hash: string;
}

/** Characters of answers that one process keeps. */
const MOST_KEPT = 40_000_000;

const hashOf = (text: string): string => createHash('sha256').update(text).digest('base64url').slice(0, 16);
/** How the tag of an answer begins that holds at a moment for somebody; the answer's own hash follows. */
const tagOf = (moment: string, who: string): string => `W/"${moment}.${hashOf(who)}.`;

function send(response: Response, text: string): void {
  if (!response.headersSent) response.type('json').send(text);
}

const MOST_TRIES = 4;

/** Writes are made to be sent twice: where two met, the second is simply done again and finds the first. */
async function repeated<T>(write: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await write();
    } catch (error) {
      if (!worthAgain(error) || tries >= MOST_TRIES) throw error;
      await new Promise((done) => setTimeout(done, Math.random() * 50 * tries));
    }
  }
}

/** Files that are as large as a school: they take as long as they take, and end with the connection. */
export const WHOLE_FILE = /^\/archive\/(school|lists\/)/;

/** Nobody waits for ever: what was not answered in time is refused; what goes on behind it is known again when it is sent again. */
export const deadline: RequestHandler = (request, response, next) => {
  if (WHOLE_FILE.test(request.path)) {
    next();
    return;
  }
  const timer = setTimeout(() => {
    if (!response.headersSent) next(new Refusal(503, 'too-slow', say('too-slow'), undefined, 5));
  }, DEADLINE);
  timer.unref();
  response.once('close', () => clearTimeout(timer));
  next();
};

/** Counts somebody's streams; returns what ends the count. */
function openStream(streams: Map<string, number>, person: string): () => void {
  const open = streams.get(person) ?? 0;
  if (open >= STREAMS_EACH) throw new Refusal(429, 'too-many-streams', say('too-many-streams'), undefined, 10);
  streams.set(person, open + 1);
  return () => {
    const left = (streams.get(person) ?? 1) - 1;
    if (left > 0) streams.set(person, left);
    else streams.delete(person);
  };
}

/** Sends what comes as server-sent events until it ends, nobody listens or the session is over. A fault before the first is answered as usual. */
async function stream(
  response: Response,
  events: AsyncIterable<unknown>,
  read: (event: unknown) => unknown,
  goesOn: () => Promise<boolean>,
): Promise<void> {
  for await (const event of events) {
    if (response.closed || !(await goesOn())) break;
    if (!response.headersSent) {
      // No transform: compression would hold events back.
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' }).flushHeaders();
    }
    response.write(`data: ${JSON.stringify(read(event))}\n\n`);
  }
  response.end();
}

/** A page that still shows somebody else, who was signed in on this device before, is told so: nothing is entered in a wrong name. */
function sameAs(asked: string | undefined, actor: Actor | null): void {
  if (asked === undefined || asked === actor?.id) return;
  throw new Refusal(401, 'somebody-else', say('somebody-else'));
}

function admit(access: Endpoint['access'], actor: Actor | null): void {
  if (access === 'anyone') return;
  if (!actor) throw new Refusal(401, 'not-signed-in', say('sign-in-first'));
  if (!access.includes(actor.role)) {
    throw new Refusal(403, 'not-allowed', say('not-allowed'));
  }
}
