import * as z from 'zod';

export const ROLES = ['lead', 'supervisor', 'trainee'] as const;
/** What a person is in a school. A lead instructor may do what a supervisor may. */
export type Role = (typeof ROLES)[number];

/** Roles that may call an endpoint, or anyone. */
export type Access = 'anyone' | readonly Role[];

type Shape = z.ZodType | undefined;
type Out<S extends Shape> = S extends z.ZodType ? z.output<S> : undefined;

/** One endpoint, written once: routes, client, OpenAPI document and the authorisation test all come from it. */
export interface Endpoint<
  P extends Shape = Shape,
  Q extends Shape = Shape,
  B extends Shape = Shape,
  R extends z.ZodType = z.ZodType,
  A extends Access = Access,
  M extends 'GET' | 'POST' = 'GET' | 'POST',
> {
  readonly method: M;
  /** Path with `:parameters`. */
  readonly path: string;
  /** Roles that may call it; `anyone` needs no sign-in. */
  readonly access: A;
  readonly summary: string;
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  readonly response: R;
  /** Its answer changes also while nothing of the school does: it is kept nowhere. */
  readonly everNew?: true | undefined;
  /** Answers with server-sent events, each of the shape of the response. */
  readonly streams?: true | undefined;
  /** A file that is too large for one answer: given out, or taken in as the whole body. */
  readonly file?: { readonly way: 'out' | 'in'; readonly type: string } | undefined;
}

/** What a handler is given of a request. */
export interface Input<E extends Endpoint> {
  readonly params: Out<E['params']>;
  readonly query: Out<E['query']>;
  readonly body: Out<E['body']>;
}
export type Output<E extends Endpoint> = z.output<E['response']>;

/**
 * Declares an endpoint.
 *
 * @param definition method, path, access, summary, Zod for parameters, query, body and response
 * @returns the endpoint with its types
 * @example endpoint({ method: 'GET', path: '/api/health/ready', access: 'anyone', summary: 'Is the server up?', response: z.object({}) })
 */
export function endpoint<
  R extends z.ZodType,
  P extends Shape = undefined,
  Q extends Shape = undefined,
  B extends Shape = undefined,
  const A extends Access = Access,
  M extends 'GET' | 'POST' = 'GET' | 'POST',
  S extends true | undefined = undefined,
>(definition: {
  method: M;
  path: string;
  access: A;
  summary: string;
  response: R;
  params?: P;
  query?: Q;
  body?: B;
  everNew?: true;
  streams?: S;
  file?: Endpoint['file'];
}): Endpoint<P, Q, B, R, A, M> & { readonly streams: S } {
  return {
    ...definition,
    params: definition.params as P,
    query: definition.query as Q,
    body: definition.body as B,
    streams: definition.streams as S,
  };
}
