import type { Input, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { judge } from '../../facts/care';
import { insertFollowUpOnce } from '../../records/care';
import { hivesById } from '../../records/equipment';
import { openVisit, visitBefore } from '../../records/inspection';
import { say } from '../../words';
import { advisedTask } from './advised-task';

/**
 * Puts an advice of a hive's last visit on the list of whoever opens that hive next, with what it takes. Sent twice, it is there once.
 *
 * @throws Refusal when the hive is not there, nobody visited it, or the last visit does not advise that
 * @returns the site of the hive
 */
export async function sendToSession(
  context: Context,
  actor: Actor,
  hiveId: string,
  { id, advice: kind }: Input<typeof endpoints.sendToSession>['body'],
): Promise<string> {
  const { db, clock } = context;
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  if (!hive) throw notFound('hive');
  const last = await visitBefore(db, actor.school, hive.id, clock.now());
  if (!last) throw notFound('visit');
  // Whoever plans a round may plan for every hive of it, whoever led its last visit.
  const visit = await openVisit(db, { ...actor, role: 'lead' }, last.id);
  const { advice } = await judge(context, visit);
  const advised = advice.find((each) => each.kind === kind);
  if (!advised) throw new Refusal(409, 'not-advised', say('not-advised', { advice: kind }));
  await revise(db, actor.school, (trx) =>
    insertFollowUpOnce(trx, advisedTask({ id, school: actor.school, hive: hive.id, decision: null }, advised)),
  );
  return hive.site;
}
