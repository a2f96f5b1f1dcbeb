import { upperFirst, spoken } from '@brave-comb/core/units';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { changeColony, colonyIn, hiveOfColony, hivesById, siteOf } from '../equipment';
import { changePractice } from '../people';
import { colonyEventById, insertColonyEvent, withdrawColonyEvent } from './store';

export type Detail = Body<'logColonyEvent'>['detail'];

/** An event in words. */
export function eventWords(detail: Detail): string {
  switch (detail.kind) {
    case 'hived':
      return `Hived as ${spoken(detail.as)}`;
    case 'queen':
      return `Queen: ${spoken(detail.start)}`;
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
    case 'treatment-out':
      return detail.medicine ? `${detail.medicine} taken out` : 'Treatment taken out';
    case 'feed':
      return `${detail.kg} kg of ${spoken(detail.what)}`;
    case 'patty':
      return `${detail.kg} kg of protein patty`;
    case 'super-on':
      return `Super on, holds ${detail.holdsKg} kg`;
    case 'ordered-by-the-inspector':
      return `Ordered by the inspector: ${detail.what}`;
    case 'suspicion':
      return `Suspicion of ${detail.of}`;
    default:
      return upperFirst(spoken(detail.kind));
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
      'in-the-future',
      `${body.date} has not been yet: log what was done on the day, today or before.`,
    );
  const { kind, ...detail } = body.detail;
  await revise(db, actor.school, async (trx) => {
    const before = await colonyEventById(trx, actor.school, body.id);
    if (before && before.colony !== colony.id)
      throw new Refusal(409, 'id-in-use', 'An entry with this id belongs to another colony. Enter it again.');
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
  await revise(context.db, actor.school, (trx) => withdrawColonyEvent(trx, actor.school, id, context.clock.now()));
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
  await revise(context.db, actor.school, (trx) => changeColony(trx, actor.school, colony.id, body));
  return hive.site;
}

export async function setCalendarPractice(
  { db }: Context,
  actor: Actor,
  body: Body<'setCalendarPractice'>,
): Promise<{ kept: true }> {
  await revise(db, actor.school, (trx) => changePractice(trx, actor.school, { calendar: body }));
  return { kept: true };
}
