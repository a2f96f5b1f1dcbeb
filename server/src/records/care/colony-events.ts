import { say } from '../../words';
import { type Text, named } from '@brave-comb/core/language';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { changeColony, colonyIn, hiveOfColony, hivesById, siteOf } from '../equipment';
import { changeHousePractice } from '../people';
import { colonyEventById, insertColonyEvent, withdrawColonyEvent } from './store';

export type Detail = Body<'logColonyEvent'>['detail'];

/** An event in words. */
export function eventSaid(detail: Detail): Text {
  switch (detail.kind) {
    case 'hived':
      return say('hived', { as: detail.as });
    case 'queen':
      return say('queen-begins', { start: detail.start });
    case 'treatment':
      return say('treated', detail);
    case 'treatment-out':
      return say('treatment-taken-out', { medicine: detail.medicine ?? null });
    case 'feed':
      return say('fed', { kg: detail.kg, what: detail.what });
    case 'patty':
      return say('patty-given', { kg: detail.kg });
    case 'super-on':
      return say('super-put-on', { kg: detail.holdsKg });
    case 'ordered-by-the-inspector':
      return say('ordered', { what: detail.what });
    case 'aim':
      return say('kept-for', { aim: detail.of });
    case 'trait':
      return say('trait-seen', { trait: detail.trait });
    case 'suspicion':
      return say('suspicion', { of: detail.of });
    default:
      return named('colonyEvent', detail.kind);
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
  if (!hive || !colony) throw notFound('colony-in-this-hive');
  const { site } = await siteOf(context, actor.school, hive.site);
  const today = dateAt(site.zone, clock.now());
  if (body.date > today) throw new Refusal(422, 'in-the-future', say('done-in-the-future', { date: body.date }));
  const { kind, ...detail } = body.detail;
  await revise(db, actor.school, async (trx) => {
    const before = await colonyEventById(trx, actor.school, body.id);
    if (before && before.colony !== colony.id) throw new Refusal(409, 'id-in-use', say('id-of-another-colonys-entry'));
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
  if (!hive || !colony) throw notFound('colony-in-this-hive');
  await revise(context.db, actor.school, (trx) => changeColony(trx, actor.school, colony.id, body));
  return hive.site;
}

export const setCombGoal = (context: Context, actor: Actor, { goal }: Body<'setCombGoal'>): Promise<{ kept: true }> =>
  changeHousePractice(context, actor, () => ({ combGoal: goal }));

export const setCalendarPractice = (
  context: Context,
  actor: Actor,
  body: Body<'setCalendarPractice'>,
): Promise<{ kept: true }> =>
  changeHousePractice(context, actor, ({ calendar }) => ({ calendar: { ...calendar, ...body } }));
