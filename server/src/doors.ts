import { say } from './words';
import type { Request, RequestHandler } from 'express';
import type { Text } from '@brave-comb/core/language';
import type { Config } from './config';
import { Refusal } from './problem';

const hostOf = (origin: string): string | null => (URL.canParse(origin) ? new URL(origin).host : null);

/**
 * Lets no page of another site write in somebody's name. Browsers say where a request comes from; where they do not, the origin must be this
 * server's own address, or the public one.
 */
export function fromHere({ publicUrl }: Pick<Config, 'publicUrl'>): RequestHandler {
  const known = hostOf(publicUrl);
  return (request, response, next) => {
    response.set('Cache-Control', 'no-store');
    const site = request.get('sec-fetch-site');
    const origin = request.get('origin');
    const same = origin === undefined || [request.get('host'), request.host, known].includes(hostOf(origin) ?? '');
    const own = site === undefined ? same : site === 'same-origin' || site === 'none';
    if (request.method !== 'GET' && !own)
      throw new Refusal(
        403,
        'other-site',
        known === null || known === hostOf(origin ?? '') ? say('other-site') : say('other-address', { publicUrl }),
      );
    next();
  };
}

/** Where the public address is https, whoever is let through by the proxy came over it, unless the proxy says otherwise. */
export function overTls({ https }: Pick<Config, 'https'>): RequestHandler {
  return (request, _response, next) => {
    if (https) request.headers['x-forwarded-proto'] ??= 'https';
    next();
  };
}

/**
 * What is wrong with the way a request came in, for whoever runs the server and for the person at the sign-in page.
 *
 * @returns words, or null when all is well
 */
export function doorProblem(request: Request, { https, publicUrl }: Pick<Config, 'https' | 'publicUrl'>): Text | null {
  const forwarded = ['x-forwarded-for', 'x-forwarded-host', 'forwarded'].some(
    (name) => request.get(name) !== undefined,
  );
  const trusts = request.app.get('trust proxy fn') as (address: string, hop: number) => boolean;
  const peer = request.socket.remoteAddress ?? '';
  if (forwarded && !trusts(peer, 0)) return say('proxy-not-trusted', { peer });
  if (https && request.get('x-forwarded-proto')?.split(',')[0]?.trim() === 'http')
    return say('not-protected', { publicUrl });
  return null;
}
