import { createHash, randomBytes } from 'node:crypto';
import { addDays } from '@brave-comb/core/units';
import type { RequestHandler } from 'express';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { hivesById, sitesOf } from '../equipment/store';
import { groupsOf } from '../people/store';
import { groupsOfSession, sessionsBetween } from '../planning/store';
import { lane } from '../lobby';
import { Refusal } from '../problem';
import { siteSeason } from '../season/site-season';
import { colonyStates } from './colony-state';
import { feedOf, insertFeed, ownerOfFeed, revokeFeeds } from './store';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

export async function calendarFeed({ db }: Context, actor: Actor): Promise<{ since: string | null }> {
  const feed = await feedOf(db, actor.id);
  return { since: feed ? iso(feed.created_at) : null };
}

/** Makes a new secret address; earlier ones stop working. Only its hash is kept. */
export async function createCalendarFeed(
  { db, clock, publicUrl }: Context,
  actor: Actor,
): Promise<{ path: string; since: string }> {
  const token = randomBytes(24).toString('base64url');
  const now = clock.now();
  await db.transaction(async (trx) => {
    await revokeFeeds(trx, actor.id, now);
    await insertFeed(trx, {
      id: uuid(),
      person: actor.id,
      token_hash: hashOf(token),
      created_at: now,
      revoked_at: null,
    });
  });
  return { path: `${publicUrl}/calendar/${token}.ics`, since: iso(now) };
}

export async function revokeCalendarFeed({ db, clock }: Context, actor: Actor): Promise<{ revoked: true }> {
  await revokeFeeds(db, actor.id, clock.now());
  return { revoked: true };
}

const DAYS_BACK = 60;
const DAYS_AHEAD = 400;
const DEPTHS = { outside: 'outside look', lid: 'lid and feeder', 'one frame': 'quick look', full: 'full inspection' };

/** A person's calendar in iCalendar form (RFC 5545): sessions, and for those who open hives what is due. */
export async function calendarText(context: Context, actor: Actor): Promise<string> {
  const now = context.clock.now();
  const calendar = ical({
    name: `Brave Comb: ${actor.schoolName}`,
    prodId: { company: 'Brave Comb', product: 'Calendar', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 6 * 3600,
  });
  const day = 86_400_000;
  for (const site of await sitesOf(context.db, actor.school)) {
    const sessions = await sessionsBetween(
      context.db,
      actor,
      new Date(now.getTime() - DAYS_BACK * day),
      new Date(now.getTime() + DAYS_AHEAD * day),
      site.id,
    );
    const own = actor.role === 'trainee' ? await groupsOf(context.db, actor.id) : null;
    for (const session of sessions.filter((each) => each.status !== 'called off')) {
      const openings = (await groupsOfSession(context.db, session.id)).filter(
        (each) => !own || own.includes(each.trainee_group),
      );
      const hives = await hivesById(context.db, actor.school, [...new Set(openings.map(({ hive }) => hive))]);
      const lines = openings.map(
        ({ hive, group_name, supervisor_name }) =>
          `${group_name}: hive ${hives.find(({ id }) => id === hive)?.number ?? '?'}, with ${supervisor_name}`,
      );
      const groups = [...new Set(openings.map(({ group_name }) => group_name))];
      const numbers = [...new Set(hives.map(({ number }) => number))].sort((a, b) =>
        a.localeCompare(b, 'en', { numeric: true }),
      );
      calendar.createEvent({
        id: `${session.id}@brave-comb`,
        stamp: now,
        start: session.starts_at,
        end: session.ends_at,
        summary: [
          groups.join(', '),
          numbers.length > 0 ? `${numbers.length === 1 ? 'hive' : 'hives'} ${numbers.join(', ')}` : '',
          `${site.name}: ${DEPTHS[session.depth]}`,
        ]
          .filter(Boolean)
          .join(' · '),
        location: site.name,
        description: [...lines, 'Weather decides on the day: look at the day sheet before you leave.'].join('\n'),
      });
    }
    if (actor.role === 'trainee') continue;
    const season = await siteSeason(context, site);
    for (const { hive, calendar: own } of await colonyStates(context, season))
      for (const due of own.dues)
        calendar.createEvent({
          id: `${hive.id}-${due.id}@brave-comb`,
          stamp: now,
          start: `${due.from}T00:00:00Z`,
          end: `${addDays(due.due, 1)}T00:00:00Z`,
          allDay: true,
          transparency: ICalEventTransparency.TRANSPARENT,
          summary: `Hive ${hive.number}, ${site.name}: ${due.title}`,
          location: site.name,
          description: [due.why, due.bring ? `Bring: ${due.bring}` : ''].filter(Boolean).join('\n'),
        });
  }
  return calendar.toString();
}

/** Serves the secret addresses: no sign-in, only the secret. A wrong or revoked one is simply not there. */
export function serveCalendarFeeds(context: Context): RequestHandler {
  // Programs ask every few hours, many at the same minute: they wait for each other and not in the way of people.
  const turn = lane({ atOnce: 1, waiting: 200, each: 4, patience: 25_000 });
  return async (request, response) => {
    const token = /^([\w-]{32})\.ics$/.exec(String(request.params.file))?.[1];
    const owner = token && (await ownerOfFeed(context.db, hashOf(token)));
    if (!owner)
      throw new Refusal(
        404,
        'not found',
        'This calendar address does not work any more. Make a new one in the application.',
      );
    const text = await turn(owner.id, () => calendarText(context, owner));
    response.set('Cache-Control', 'private, max-age=900').type('text/calendar; charset=utf-8').send(text);
  };
}
