import type { Sayable } from '@brave-comb/core/language';
import { say } from '../../words';
import type { Output, PlanJob, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { planningSeason } from '../../facts/planning';
import { Refusal, notFound } from '../../problem';
import { changeJob, insertJob, jobById, jobRevision, jobsGoing, jobView, lockJob } from '../../records/planning';

/** One is worked on, two wait. */
const MOST_GOING = 3;

/** Has a plan reckoned by the season as it is now. Sent twice, it is asked once. */
export async function askPlan(
  context: Context,
  actor: Actor,
  body: { readonly id: string; readonly seconds: number; readonly seed: number },
): Promise<Sayable<PlanJob>> {
  const { db, clock } = context;
  if ((await jobById(db, actor.school, body.id)) === undefined) {
    if ((await jobsGoing(db, actor.school)) >= MOST_GOING)
      throw new Refusal(409, 'enough-plans-wait', say('enough-plans-wait'));
    const { problem } = await planningSeason(context, actor.school);
    await revise(db, actor.school, (trx) =>
      insertJob(trx, { ...body, school: actor.school, asked_by: actor.id, asked_at: clock.now(), problem }),
    );
  }
  return planJob(context, actor, body.id);
}

export async function planJob({ db }: Context, actor: Actor, id: string): Promise<Sayable<PlanJob>> {
  const job = await jobById(db, actor.school, id);
  if (!job) throw notFound('planning-job');
  return jobView(job);
}

const STILL_GOING = ['waiting', 'running'];
const LOOK_EVERY = 200;

/** A job each time that something about it changed, until it has ended. */
export async function* watchPlanJob(
  context: Context,
  actor: Actor,
  id: string,
): AsyncGenerator<Sayable<Output<(typeof endpoints)['watchPlanJob']>>> {
  let seen = -1;
  for (let looked = 0; ; looked += 1) {
    const now = await jobRevision(context.db, id);
    // A sign of life now and then keeps proxies from closing what is silent.
    if (now === undefined || now.revision !== seen || looked % 60 === 0) {
      seen = now?.revision ?? seen;
      const job = await planJob(context, actor, id);
      yield job;
      if (!STILL_GOING.includes(job.status)) return;
    }
    await new Promise((done) => setTimeout(done, LOOK_EVERY));
  }
}

export async function stopPlanJob(context: Context, actor: Actor, id: string): Promise<Sayable<PlanJob>> {
  await revise(context.db, actor.school, async (trx) => {
    const job = await lockJob(trx, actor.school, id);
    if (!job) throw notFound('planning-job');
    if (job.status === 'waiting') await changeJob(trx, id, { status: 'stopped' });
    else if (job.status === 'running') await changeJob(trx, id, { stop_asked: 1 });
  });
  return planJob(context, actor, id);
}

/** Goes on from the best plan so far; a job that still runs is left alone. */
export async function resumePlanJob(
  context: Context,
  actor: Actor,
  id: string,
  seconds: number,
): Promise<Sayable<PlanJob>> {
  await revise(context.db, actor.school, async (trx) => {
    const job = await lockJob(trx, actor.school, id);
    if (!job) throw notFound('planning-job');
    if (STILL_GOING.includes(job.status)) return;
    if ((await jobsGoing(trx, actor.school)) >= MOST_GOING)
      throw new Refusal(409, 'enough-plans-wait', say('enough-plans-wait-stop-one'));
    await changeJob(trx, id, {
      status: 'waiting',
      stop_asked: 0,
      claims: 0,
      seconds: job.spent + seconds,
      trouble: null,
    });
  });
  return planJob(context, actor, id);
}
