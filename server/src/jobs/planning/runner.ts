import { say } from '../../words';
import { Worker } from 'node:worker_threads';
import { type PlanJob, InspectionPlanJson, PlanningProblemJson } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import { revise } from '../../database/revision-store';
import { claimJob, endJob, giveJobBack, type JobRow, othersWait, reportJob } from '../../records/planning';
import type { PlanNews, PlanTask } from './plan.worker';

const LOOK_EVERY = 250;
const REPORT_EVERY = 250;
/** Jobs that one server works on at a time, each of another school. */
const AT_ONCE = 2;
/** So long a job is worked on before it makes room for another school's that waits, ms. */
const SLICE = 30_000;
/** A job whose worker died so often would only kill the next one. */
const MOST_CLAIMS = 4;
const MEMORY_MB = 400;
const POINTS = 120;

type Point = PlanJob['course'][number];

/**
 * Works on planning jobs of the database, a few at a time, until it is stopped.
 *
 * @param context database and log
 * @param limits most that a planning thread may take, MB, and how far it gives way to requests, 0 to 19
 * @returns what stops it; a job that is worked on is left for the next start
 */
export function startPlanRunner(
  context: Pick<Context, 'db' | 'log'>,
  limits: { readonly nice: number; readonly memory?: number },
): { stop: () => Promise<void> } {
  const { db, log } = context;
  const { memory = MEMORY_MB, nice } = limits;
  const me = uuid();
  let stopping = false;
  const running = new Map<string, { readonly end: () => void; readonly done: Promise<void> }>();
  let timer: NodeJS.Timeout;

  const look = async (): Promise<void> => {
    try {
      while (running.size < AT_ONCE && !stopping) {
        const job = await claimJob(db, me);
        if (!job) break;
        begin(job);
      }
    } catch (error) {
      log.warn({ err: error }, 'planning jobs cannot be looked at');
    }
    if (!stopping) timer = setTimeout(() => void (current = look()), LOOK_EVERY);
  };

  const begin = (job: JobRow): void => {
    let end = (): void => undefined;
    const done = work(job, (how) => (end = how))
      .catch((error: unknown) => log.warn({ err: error }, 'a planning job cannot be worked on'))
      .finally(() => running.delete(job.id));
    running.set(job.id, { end: () => end(), done });
  };

  const work = async (job: JobRow, endBy: (end: () => void) => void): Promise<void> => {
    const ended = (how: Parameters<typeof endJob>[3]) => revise(db, job.school, (trx) => endJob(trx, job.id, me, how));
    if (job.claims > MOST_CLAIMS) {
      await ended({ status: 'failed', trouble: say('planning-died') });
      return;
    }
    const task = taskOf(job, nice);
    if (task === null) {
      await ended({ status: 'failed', trouble: say('plan-unreadable') });
      return;
    }
    const course = JSON.parse(job.course) as Point[];
    const began = performance.now();
    const spent = () => job.spent + (performance.now() - began) / 1000;
    let latest: string | undefined;
    const end: { as: 'done' | 'stopped' | 'pins' | 'died' | 'not-ours' | 'made-room' | null } = { as: null };

    const worker = planThread(task, memory);
    endBy(() => void worker.terminate());
    const finished = new Promise<void>((done) => {
      worker.on('message', (news: PlanNews) => {
        if (news.kind === 'end') end.as ??= news.pins ? 'pins' : 'done';
        else {
          if (news.plan) latest = JSON.stringify(news.plan);
          keepPoint(course, { at: Math.round(spent() * 100) / 100, objective: news.objective, bound: news.bound });
        }
      });
      worker.on('error', (error) => {
        log.error({ err: error }, 'a planning thread died');
        end.as ??= 'died';
      });
      worker.on('exit', () => {
        end.as ??= 'died';
        done();
      });
    });
    const report = async () => {
      const found = latest;
      latest = undefined;
      const answer = await reportJob(db, job.id, me, {
        course: JSON.stringify(course),
        spent: spent(),
        ...(found === undefined ? {} : { plan: found }),
      }).catch((error: unknown) => {
        latest ??= found;
        throw error;
      });
      const full = running.size >= AT_ONCE && performance.now() - began > SLICE;
      if (answer === 'go-on' && !(full && (await othersWait(db, job.school)))) return;
      end.as ??= answer === 'stop' ? 'stopped' : answer === 'go-on' ? 'made-room' : 'not-ours';
      await worker.terminate();
    };
    const beat = setInterval(
      () => void report().catch((error: unknown) => log.warn({ err: error }, 'a planning job cannot be reported')),
      REPORT_EVERY,
    );
    await finished;
    clearInterval(beat);
    // A server that goes down leaves the job as it is: the next one takes it up from its best plan.
    if (stopping && end.as === 'died') return;
    const found = latest === undefined ? {} : { plan: latest };
    const common = { course: JSON.stringify(course), spent: spent(), ...found };
    if (end.as === 'died' || end.as === 'made-room') {
      await reportJob(db, job.id, me, common);
      await revise(db, job.school, (trx) => giveJobBack(trx, job.id, me, end.as === 'made-room'));
    } else if (end.as === 'pins')
      await ended({
        ...common,
        status: 'failed',
        trouble: say('pins-not-kept'),
      });
    else await ended({ ...common, status: end.as === 'stopped' ? 'stopped' : 'done', trouble: null });
  };

  let current = look();
  return {
    stop: async () => {
      stopping = true;
      clearTimeout(timer);
      await current.catch(() => undefined);
      for (const { end } of running.values()) end();
      await Promise.all([...running.values()].map(({ done }) => done));
    },
  };
}

/** What the thread is given; null for what another version of this application wrote and this one cannot read. */
function taskOf(job: JobRow, nice: number): PlanTask | null {
  const problem = PlanningProblemJson.safeParse(JSON.parse(job.problem));
  const plan = InspectionPlanJson.nullable().safeParse(JSON.parse(job.plan ?? 'null'));
  if (!problem.success || !plan.success) return null;
  return {
    problem: problem.data,
    plan: plan.data,
    nice,
    seed: job.seed + job.claims + Math.floor(job.spent),
    seconds: Math.max(0.5, job.seconds - job.spent),
  };
}

/** Keeps the course short: of many points the newest and every other older one. */
function keepPoint(course: Point[], point: Point): void {
  const last = course.at(-1);
  if (last?.objective === point.objective && last.bound === point.bound && course.length > 1) course.pop();
  course.push(point);
  if (course.length > POINTS)
    course.splice(0, course.length, ...course.filter((_, at) => at % 2 === 0 || at === course.length - 1));
}

/** One thread a job: its memory goes with it, and it can be ended from outside. */
function planThread(task: PlanTask, memory: number): Worker {
  const options = { workerData: task, resourceLimits: { maxOldGenerationSizeMb: memory } };
  if (!import.meta.url.endsWith('.ts')) return new Worker(new URL('./plan.worker.js', import.meta.url), options);
  // Tests run TypeScript: a thread does not get the loader by itself.
  const file = JSON.stringify(new URL('./plan.worker.ts', import.meta.url).href);
  const code = `import('tsx/esm/api').then(({ register }) => { register(); return import(${file}); })`;
  return new Worker(code, { ...options, eval: true });
}
