import { say } from '../words';
import type { RequestHandler } from 'express';
import type { Context } from '../context';
import { lane } from '../lanes';
import { Refusal } from '../problem';
import { ownerOfFeed } from '../records/care';
import { hashOf } from '../secrets';
import { calendarText } from '../views/care/calendar-feed';

/** Serves the secret addresses: no sign-in, only the secret. A wrong or revoked one is simply not there. */
export function serveCalendarFeeds(context: Context): RequestHandler {
  // Programs ask every few hours, many at the same minute: they wait for each other and not in the way of people.
  const turn = lane({ atOnce: 1, waiting: 200, each: 4, patience: 25_000 });
  return async (request, response) => {
    const token = /^([\w-]{32})\.ics$/.exec(String(request.params.file))?.[1];
    const owner = token && (await ownerOfFeed(context.db, hashOf(token)));
    if (!owner) throw new Refusal(404, 'not-found', say('calendar-address-gone'));
    const text = await turn(owner.id, () => calendarText(context, owner));
    response.set('Cache-Control', 'private, max-age=900').type('text/calendar; charset=utf-8').send(text);
  };
}
