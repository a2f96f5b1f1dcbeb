import { inOne, named } from '@brave-comb/core/language';
import { inEnglish, say } from '../../words';
import { addDays, DAY } from '@brave-comb/core/units';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import type { Actor, Context } from '../../context';
import { colonyStates } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { hivesById, sitesOf } from '../../records/equipment';
import { groupsOf } from '../../records/people';
import { groupsOfSessions, sessionsBetween } from '../../records/planning';

const DAYS_BACK = 60;
const DAYS_AHEAD = 400;

/** A person's calendar in iCalendar form (RFC 5545): sessions, and for those who open hives what is due. */
export async function calendarText(context: Context, actor: Actor): Promise<string> {
  const now = context.clock.now();
  const calendar = ical({
    name: inEnglish(say('calendar', { school: actor.schoolName })),
    prodId: { company: 'Brave Comb', product: 'Calendar', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 6 * 3600,
  });
  const day = DAY;
  for (const site of await sitesOf(context.db, actor.school)) {
    const sessions = await sessionsBetween(
      context.db,
      actor,
      new Date(now.getTime() - DAYS_BACK * day),
      new Date(now.getTime() + DAYS_AHEAD * day),
      site.id,
    );
    const own = actor.role === 'trainee' ? await groupsOf(context.db, actor.id) : null;
    for (const session of sessions.filter((each) => each.status !== 'called-off')) {
      const openings = (await groupsOfSessions(context.db, [session.id])).filter(
        (each) => !own || own.includes(each.trainee_group),
      );
      const hives = await hivesById(context.db, actor.school, [...new Set(openings.map(({ hive }) => hive))]);
      const lines = openings.map(({ hive, group_name, supervisor_name }) =>
        say('group-hive-supervisor', {
          group: group_name,
          hive: hives.find(({ id }) => id === hive)?.number ?? '?',
          supervisor: supervisor_name,
        }),
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
        summary: inEnglish(
          inOne(
            [
              ...(groups.length > 0 ? [groups.join(', ')] : []),
              ...(numbers.length > 0 ? [say('hives', { numbers })] : []),
              inOne([`${site.name}:`, named('depthLook', session.depth)]),
            ],
            ' · ',
          ),
        ),
        location: site.name,
        description: inEnglish(inOne([...lines, say('weather-decides')], '\n')),
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
          summary: inEnglish(inOne([say('hive-at-site', { hive: hive.number, site: site.name }), due.title])),
          location: site.name,
          description: inEnglish(inOne(due.bring ? [due.why, say('bring', { what: due.bring })] : [due.why], '\n')),
        });
  }
  return calendar.toString();
}
