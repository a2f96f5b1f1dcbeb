import { say } from '../../words';
import { inOne } from '@brave-comb/core/language';
import { v5 as uuidv5 } from 'uuid';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { movePlan } from '../../facts/season';
import { Refusal, notFound } from '../../problem';
import { insertFollowUpOnce } from '../../records/care';
import { hivesById } from '../../records/equipment';

/** Puts a move's tasks on the calendars of some hives, all or none. */
export async function scheduleMove(context: Context, actor: Actor, body: Body<'scheduleMove'>) {
  const { plan } = await movePlan(context, actor, { ...body, hives: body.hives.length });
  if (!plan) throw notFound('flow-to-move-to');
  const hives = await hivesById(context.db, actor.school, body.hives);
  if (hives.length !== new Set(body.hives).size || hives.some((hive) => hive.site !== body.from))
    throw new Refusal(422, 'not-valid', say('hive-not-at-that-site'));
  await revise(context.db, actor.school, async (trx) => {
    for (const hive of hives)
      for (const [index, task] of plan.tasks.entries())
        await insertFollowUpOnce(trx, {
          id: uuidv5(`${hive.id} ${index}`, body.id),
          school: actor.school,
          hive: hive.id,
          visit: null,
          decision: null,
          question: inOne([task.title, `(${plan.plant}, ${plan.site})`]),
          from_date: task.from,
          due: task.due,
          answered_by: null,
          bring: null,
        });
  });
  return { tasks: plan.tasks.length * hives.length };
}
