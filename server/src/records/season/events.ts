import { say } from '../../words';
import { inOne } from '@brave-comb/core/language';
import { tasksFor } from '@brave-comb/core/season';
import { lastOf } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { notAhead } from '../../not-ahead';
import { Refusal, notFound } from '../../problem';
import { insertFollowUp, withdrawEventTasks } from '../care';
import { coloniesIn, hivesOf, siteOf, type SiteRow, turnOf } from '../equipment';
import { changeHousePractice, housePracticeOf } from '../people';
import { noteBloom } from './plants';
import { insertSeasonEvent, seasonEventById, withdrawEvent } from './store';

/**
 * Logs an event and makes the tasks that house practice ties to it, for every colony of the site: both or neither. A first bloom also corrects
 * the forage calendar.
 */
export async function logSeasonEvent(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'logSeasonEvent'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  const today = dateAt(site.zone, context.clock.now());
  notAhead(body.date, today);
  if (body.kind === 'first-bloom' && body.plant === null)
    throw new Refusal(422, 'not-valid', say('which-plant'), [{ path: 'plant', message: say('choose-a-plant') }]);
  const before = await seasonEventById(context.db, actor.school, body.id);
  if (before && before.site !== site.id) throw new Refusal(409, 'id-in-use', say('id-of-another-sites-event'));
  if (!before) await revise(context.db, actor.school, (trx) => record({ ...context, db: trx }, actor, site, body));
  return site.id;
}

async function record(context: Context, actor: Actor, site: SiteRow, body: Body<'logSeasonEvent'>): Promise<void> {
  const { db, clock } = context;
  await insertSeasonEvent(db, {
    id: body.id,
    school: actor.school,
    site: site.id,
    kind: body.kind,
    plant: body.plant,
    date: body.date,
    by_person: actor.id,
    at: clock.now(),
    withdrawn_at: null,
  });
  if (body.kind === 'first-bloom' && body.plant !== null)
    await noteBloom(context, actor.id, site, {
      plant: body.plant,
      year: lastOf(turnOf(site), body.date),
      first: body.date,
    });
  const practice = await housePracticeOf(db, actor.school);
  const tasks = tasksFor(body, practice.triggers);
  const hives = await hivesOf(db, actor.school, site.id);
  const lived = new Set(
    (
      await coloniesIn(
        db,
        actor.school,
        hives.map((hive) => hive.id),
      )
    ).map((colony) => colony.hive),
  );
  for (const hive of hives.filter((each) => lived.has(each.id)))
    for (const task of tasks)
      await insertFollowUp(db, {
        id: uuid(),
        school: actor.school,
        hive: hive.id,
        visit: null,
        decision: null,
        question: inOne([task.task, task.question], '. '),
        from_date: task.from,
        due: task.due,
        answered_by: null,
        event: body.id,
        bring: task.bring,
      });
}

export async function withdrawSeasonEvent(context: Context, actor: Actor, id: string): Promise<string> {
  const event = await seasonEventById(context.db, actor.school, id);
  if (!event) throw notFound('event');
  await revise(context.db, actor.school, async (trx) => {
    await withdrawEventTasks(trx, actor.school, id);
    await withdrawEvent(trx, actor.school, id, context.clock.now());
  });
  return event.site;
}

export async function setTriggers(context: Context, actor: Actor, { triggers }: Body<'setTriggers'>) {
  await changeHousePractice(context, actor, () => ({ triggers }));
  return { kept: triggers.length };
}
