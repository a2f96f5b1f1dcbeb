import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { insertFollowUpOnce, ownTask } from '../../records/care';
import { hivesById, siteOf } from '../../records/equipment';
import { say } from '../../words';

/**
 * Leaves something to be done at a hive, in somebody's own words, until it is settled. Sent twice, it is there once.
 *
 * @throws Refusal when the hive is not there, or the day is past
 */
export async function addTask(
  context: Context,
  actor: Actor,
  hiveId: string,
  { id, what, due }: Body<'addTask'>,
): Promise<{ kept: true }> {
  const { db, clock } = context;
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  if (!hive) throw notFound('hive');
  const { site } = await siteOf(context, actor.school, hive.site);
  const today = dateAt(site.zone, clock.now());
  if (due < today) throw new Refusal(422, 'in-the-past', say('task-in-the-past', { due }));
  await revise(db, actor.school, (trx) =>
    insertFollowUpOnce(trx, {
      id,
      school: actor.school,
      hive: hive.id,
      visit: null,
      decision: null,
      question: what,
      from_date: today,
      due,
      task: ownTask(id),
      answered_by: null,
    }),
  );
  return { kept: true };
}
