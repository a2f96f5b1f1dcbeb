import { type PlanBoard, type PlanJob, endpoints } from '@brave-comb/contract';
import type supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { startPlanRunner } from '../src/jobs/planning/runner';
import { type School, openSchool, pathOf } from './school';

/** A runner whose threads do not give way: what else runs on the machine must not decide how a test ends. */
export const startRunner = (context: Parameters<typeof startPlanRunner>[0], memory?: number) =>
  startPlanRunner(context, { nice: 0, ...(memory === undefined ? {} : { memory }) });

export type Agent = ReturnType<typeof supertest.agent>;

/** A demo school of its own whose lead plans. */
export async function openPlanning(name: string) {
  const school: School = await openSchool('', name);
  const lead: Agent = await school.signIn('morag');
  const board = async (agent = lead) => (await agent.get(endpoints.planBoard.path).expect(200)).body as PlanBoard;
  const jobOf = async (id: string) =>
    (await lead.get(pathOf(endpoints.planJob, { job: id })).expect(200)).body as PlanJob;
  const ask = async (seconds = 2, id = uuid()) =>
    (await lead.post(endpoints.askPlan.path).send({ id, seconds, seed: 7 }).expect(200)).body as PlanJob;
  const until = async (id: string, good: (job: PlanJob) => boolean) => {
    for (let tries = 0; tries < 2_000; tries += 1) {
      const job = await jobOf(id);
      if (good(job)) return job;
      await new Promise((done) => setTimeout(done, 50));
    }
    throw new Error(`the job did not come so far: ${JSON.stringify(await jobOf(id)).slice(0, 300)}`);
  };
  /** Has a plan reckoned by a runner of this test's own. */
  const planned = async (seconds = 2): Promise<{ job: PlanJob; board: PlanBoard }> => {
    const runner = startRunner(school.context);
    try {
      const { id } = await ask(seconds);
      const job = await until(id, ({ status }) => status === 'done');
      return { job, board: await board() };
    } finally {
      await runner.stop();
    }
  };
  const publish = (body: object, agent = lead) => agent.post(endpoints.publishPlan.path).send(body);
  return { school, lead, board, jobOf, ask, until, planned, publish };
}
export type Planning = Awaited<ReturnType<typeof openPlanning>>;

/** What is sent to publish a plan that was reckoned. */
export const publication = ({ job, board }: { job: PlanJob; board: PlanBoard }) => ({
  id: uuid(),
  after: board.published?.version ?? null,
  forecast: board.forecast.issuedAt,
  sessions: job.plan!.sessions,
  staff: job.plan!.staff,
  reason: '',
});
