import type { Calendars, Input, endpoints } from '@brave-comb/contract';
import { type ColonyEventKind, coursesOf } from '@brave-comb/core/care';
import { upperFirst } from '@brave-comb/core/units';
import type { Actor, Context } from '../context';
import { dateAt, iso } from '../dates';
import { changeColony, colonyIn, hiveOfColony, hivesById } from '../equipment/store';
import { changePractice, practiceOf } from '../people/store';
import { Refusal, notFound } from '../problem';
import { siteNames, siteOf, siteSeason } from '../season/site-season';
import { colonyStates } from './colony-state';
import { colonyEventById, insertColonyEvent, withdrawColonyEvent } from './store';

type Body<E extends keyof typeof endpoints> = Input<(typeof endpoints)[E]>['body'];
type Detail = Body<'logColonyEvent'>['detail'];

/** The calendars of all colonies at a site. */
export async function colonyCalendars(context: Context, actor: Actor, siteId?: string): Promise<Calendars> {
  const found = await siteOf(context, actor.school, siteId);
  const season = await siteSeason(context, found.site);
  const [states, practice] = await Promise.all([colonyStates(context, season), practiceOf(context.db, actor.school)]);
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
        words: eventWords({ ...detail, kind } as Detail),
        by: by_name,
        at: iso(at),
      })),
    })),
    mayEdit: actor.role !== 'trainee',
    mayLead: actor.role === 'lead',
  };
}

/** An event in words. */
function eventWords(detail: Detail): string {
  switch (detail.kind) {
    case 'hived':
      return `Hived as ${detail.as}`;
    case 'queen':
      return `Queen: ${detail.start}`;
    case 'treatment':
      return [
        detail.medicine,
        detail.doses > 1 && detail.repeatAfter ? `${detail.doses} doses, every ${detail.repeatAfter} days` : null,
        detail.removeAfter ? `out after ${detail.removeAfter} days` : null,
        detail.withdrawal === null ? 'withdrawal not entered' : `withdrawal ${detail.withdrawal} days`,
        detail.supersAllowed ? 'allowed with supers on' : null,
      ]
        .filter(Boolean)
        .join(', ');
    case 'treatment out':
      return detail.medicine ? `${detail.medicine} taken out` : 'Treatment taken out';
    case 'feed':
      return `${detail.kg} kg of ${detail.what}`;
    case 'patty':
      return `${detail.kg} kg of protein patty`;
    case 'super on':
      return `Super on, holds ${detail.holdsKg} kg`;
    case 'ordered by the inspector':
      return `Ordered by the inspector: ${detail.what}`;
    case 'suspicion':
      return `Suspicion of ${detail.of}`;
    default:
      return upperFirst(detail.kind);
  }
}

/** Logs what was done to a colony or seen on it. Sent twice, it is logged once. */
export async function logColonyEvent(
  context: Context,
  actor: Actor,
  hiveId: string,
  body: Body<'logColonyEvent'>,
): Promise<string> {
  const { db, clock } = context;
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  const colony = hive && (await colonyIn(db, actor.school, hive.id));
  if (!hive || !colony) throw notFound('colony in this hive');
  const { site } = await siteOf(context, actor.school, hive.site);
  const today = dateAt(site.zone, clock.now());
  if (body.date > today)
    throw new Refusal(
      422,
      'in the future',
      `${body.date} has not been yet: log what was done on the day, today or before.`,
    );
  const { kind, ...detail } = body.detail;
  await db.transaction(async (trx) => {
    const before = await colonyEventById(trx, actor.school, body.id);
    if (before && before.colony !== colony.id)
      throw new Refusal(409, 'id in use', 'An entry with this id belongs to another colony. Enter it again.');
    if (before) return;
    await insertColonyEvent(trx, {
      id: body.id,
      school: actor.school,
      colony: colony.id,
      date: body.date,
      kind,
      detail,
      by_person: actor.id,
      at: clock.now(),
      withdrawn_at: null,
    });
  });
  return hive.site;
}

export async function takeColonyEventBack(context: Context, actor: Actor, id: string): Promise<string | undefined> {
  const event = await colonyEventById(context.db, actor.school, id);
  if (!event) throw notFound('entry');
  await context.db.transaction((trx) => withdrawColonyEvent(trx, actor.school, id, context.clock.now()));
  return (await hiveOfColony(context.db, actor.school, event.colony))?.site;
}

export async function setColony(
  context: Context,
  actor: Actor,
  hiveId: string,
  body: Body<'setColony'>,
): Promise<string> {
  const [hive] = await hivesById(context.db, actor.school, [hiveId]);
  const colony = hive && (await colonyIn(context.db, actor.school, hive.id));
  if (!hive || !colony) throw notFound('colony in this hive');
  await changeColony(context.db, actor.school, colony.id, body);
  return hive.site;
}

export async function setCalendarPractice(
  { db }: Context,
  actor: Actor,
  body: Body<'setCalendarPractice'>,
): Promise<{ kept: true }> {
  await db.transaction((trx) => changePractice(trx, actor.school, { calendar: body }));
  return { kept: true };
}
