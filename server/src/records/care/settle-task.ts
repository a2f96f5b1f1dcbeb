import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { notFound } from '../../problem';
import { settleTask as settle } from './task-store';

export async function settleTask(
  { db, clock }: Context,
  actor: Actor,
  id: string,
  done: boolean,
): Promise<{ kept: true }> {
  const change = done ? { settled_at: clock.now(), settled_by: actor.id } : { settled_at: null, settled_by: null };
  await revise(db, actor.school, async (trx) => {
    if (!(await settle(trx, actor.school, id, change))) throw notFound('task');
  });
  return { kept: true };
}
