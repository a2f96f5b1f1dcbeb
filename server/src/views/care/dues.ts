import type { Calendars } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { type ColonyEventKind, coursesOf } from '@brave-comb/core/care';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { colonyStates } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { type Detail, eventSaid } from '../../records/care';
import { siteNames, siteOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';

/** The calendars of all colonies at a site. */
export async function colonyCalendars(context: Context, actor: Actor, siteId?: string): Promise<Sayable<Calendars>> {
  const found = await siteOf(context, actor.school, siteId);
  const season = await siteSeason(context, found.site);
  const [states, practice] = await Promise.all([
    colonyStates(context, season),
    housePracticeOf(context.db, actor.school),
  ]);
  const { load, catchCells, restDays, swarmIntervalDays } = practice.calendar;
  return {
    ...siteNames(found),
    today: season.today,
    loadLimit: load,
    catchCells,
    restDays,
    swarmIntervalDays,
    colonies: states.map(({ hive, colony, calendar, openings, expected, starvation, swarm, events, known }) => ({
      hive: hive.id,
      number: hive.number,
      stand: hive.stand,
      colony: colony.id,
      since: colony.since,
      origin: colony.origin,
      class: colony.class,
      strain: colony.strain,
      lastOpened: openings.at(-1)?.date ?? null,
      ...calendar,
      inHive: coursesOf(known, season.today)
        .filter(({ toTakeOut }) => toTakeOut)
        .map(({ medicine }) => medicine),
      expected,
      starvation: starvation && {
        ...starvation,
        days: Number.isFinite(starvation.days) ? Math.floor(starvation.days) : null,
      },
      swarm,
      events: [...events].reverse().map(({ id, date, kind, detail, by_name, at }) => ({
        id,
        date,
        kind: kind as ColonyEventKind,
        words: eventSaid({ ...detail, kind } as Detail),
        by: by_name,
        at: iso(at),
      })),
    })),
    mayEdit: actor.role !== 'trainee',
    mayLead: actor.role === 'lead',
  };
}
