import type { Output, Pin, PlanBoard, PlanJob, endpoints } from '@brave-comb/contract';
import { conflictOf, hopelessBecause, type PlanningProblem } from '@brave-comb/core/planning';
import { isOpen } from '@brave-comb/core/skills';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { Refusal, notFound } from '../problem';
import { planningNames } from './names';
import {
  changeJob,
  insertJob,
  jobsGoing,
  jobById,
  jobRevision,
  type JobRow,
  keepPin,
  latestJob,
  latestVersion,
  lockJob,
  withdrawPin,
  pinById,
} from './plan-store';
import { type PlanningSeason, lockOf, planningSeason } from './season-facts';

/** Everything on the planner board. */
export async function planBoard(context: Context, actor: Actor): Promise<PlanBoard> {
  const { db, clock } = context;
  const season = await planningSeason(context, actor.school);
  const [version, job] = await Promise.all([latestVersion(db, actor.school), latestJob(db, actor.school)]);
  const now = clock.now().getTime();
  return {
    today: season.today,
    forecast: season.forecast,
    slots: season.slots.map(({ id, siteName, date, from, to, zone, fit, temperature }) => ({
      id,
      site: siteName,
      date,
      startsAt: iso(from),
      endsAt: iso(to),
      zone,
      fit,
      temperature,
      past: from <= now,
    })),
    groups: season.groups.map(({ id, name, trainees }) => ({
      id,
      name,
      size: trainees.length,
      openSkills: season.checklist.skills.filter(({ id: skill }) =>
        trainees.some((each) => isOpen(season.standing(each.id, skill))),
      ).length,
    })),
    supervisors: season.supervisors.map(({ id, name, senior }) => ({ id, name, senior })),
    hives: season.colonies.map(({ hive, site, calendar }) => ({
      id: hive.id,
      number: hive.number,
      stand: hive.stand,
      site: site.name,
      due: calendar.dues.find(({ opens }) => opens)?.title ?? null,
    })),
    skills: season.checklist.skills.map(({ id, name, indoors }) => ({ id, name, indoors })),
    away: Object.fromEntries(season.away),
    closed: season.forbids.map(({ group, slot, hive, why }) => ({ group, slot, hive, why })),
    problem: season.problem as PlanBoard['problem'],
    pins: season.pins.map(({ id, by_name, at, what }) => ({ id, by: by_name, at: iso(at), what })),
    hopeless: hopelessBecause(season.problem),
    conflict: conflictIn(season),
    told: {
      sessions: season.told.sessions.map((each) => ({ ...each, hives: [...each.hives] })),
      staff: [...season.told.staff],
    },
    published:
      version === undefined
        ? null
        : {
            version: version.version,
            by: version.by_name,
            at: iso(version.at),
            forecast: version.forecast && iso(version.forecast),
            fits: Object.fromEntries(
              (JSON.parse(version.problem) as PlanningProblem).slots.map(({ id, fit }) => [id, fit] as const),
            ),
            plan: JSON.parse(version.plan) as NonNullable<PlanJob['plan']>,
          },
    job: job === undefined ? null : jobView(job),
    mayPlan: actor.role === 'lead',
  };
}

/** Pins that cannot be kept together, by their own ids. */
function conflictIn({ problem, pins }: PlanningSeason): PlanBoard['conflict'] {
  const conflict = conflictOf(problem);
  if (conflict === null) return null;
  const same = (what: Pin, lock: (typeof conflict.locks)[number]) =>
    'pin' in what &&
    what.pin.slot === lock.slot &&
    ('staff' in what.pin
      ? lock.staff === true && what.pin.hive === lock.hive
      : lock.staff !== true && what.pin.group === lock.group);
  return {
    pins: pins.filter(({ what }) => conflict.locks.some((lock) => same(what, lock))).map(({ id }) => id),
    rules: conflict.rules.map(({ rule, group, slot, hive, supervisor, says }) => ({
      rule,
      group,
      slot,
      hive,
      supervisor,
      says,
    })),
  };
}

function jobView(job: JobRow & { readonly by_name: string }): PlanJob {
  return {
    id: job.id,
    status: job.status,
    askedBy: job.by_name,
    askedAt: iso(job.asked_at),
    seconds: Math.round(job.spent * 10) / 10,
    limit: job.seconds,
    course: JSON.parse(job.course) as PlanJob['course'],
    plan: job.plan === null ? null : (JSON.parse(job.plan) as PlanJob['plan']),
    trouble: job.trouble,
  };
}

/** One is worked on, two wait. */
const MOST_GOING = 3;

/** Has a plan reckoned by the season as it is now. Sent twice, it is asked once. */
export async function askPlan(
  context: Context,
  actor: Actor,
  body: { readonly id: string; readonly seconds: number; readonly seed: number },
): Promise<PlanJob> {
  const { db, clock } = context;
  if ((await jobById(db, actor.school, body.id)) === undefined) {
    if ((await jobsGoing(db, actor.school)) >= MOST_GOING)
      throw new Refusal(
        409,
        'enough plans wait',
        'One plan is being reckoned and two wait already. Stop one of them, or wait until one is done.',
      );
    const { problem } = await planningSeason(context, actor.school);
    await insertJob(db, { ...body, school: actor.school, asked_by: actor.id, asked_at: clock.now(), problem });
  }
  return planJob(context, actor, body.id);
}

export async function planJob({ db }: Context, actor: Actor, id: string): Promise<PlanJob> {
  const job = await jobById(db, actor.school, id);
  if (!job) throw notFound('planning job');
  return jobView(job);
}

const STILL_GOING = ['waiting', 'running'];
const LOOK_EVERY = 200;

/** A job each time that something about it changed, until it has ended. */
export async function* watchPlanJob(
  context: Context,
  actor: Actor,
  id: string,
): AsyncGenerator<Output<(typeof endpoints)['watchPlanJob']>> {
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

export async function stopPlanJob(context: Context, actor: Actor, id: string): Promise<PlanJob> {
  await context.db.transaction(async (trx) => {
    const job = await lockJob(trx, actor.school, id);
    if (!job) throw notFound('planning job');
    if (job.status === 'waiting') await changeJob(trx, id, { status: 'stopped' });
    else if (job.status === 'running') await changeJob(trx, id, { stop_asked: 1 });
  });
  return planJob(context, actor, id);
}

/** Goes on from the best plan so far; a job that still runs is left alone. */
export async function resumePlanJob(context: Context, actor: Actor, id: string, seconds: number): Promise<PlanJob> {
  await context.db.transaction(async (trx) => {
    const job = await lockJob(trx, actor.school, id);
    if (!job) throw notFound('planning job');
    if (STILL_GOING.includes(job.status)) return;
    if ((await jobsGoing(trx, actor.school)) >= MOST_GOING)
      throw new Refusal(
        409,
        'enough plans wait',
        'One plan is being reckoned and two wait already. Stop one of them first.',
      );
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

export async function pinPlan(context: Context, actor: Actor, id: string, what: Pin): Promise<PlanBoard> {
  const before = await planningSeason(context, actor.school);
  const known = before.pins.some((pin) => pin.id === id);
  if (!known) refuseForeign(before, what);
  if (!known && 'pin' in what) refuseHopelessPin(before, what.pin);
  await keepPin(context.db, { id, school: actor.school, what, by_person: actor.id, at: context.clock.now() });
  return planBoard(context, actor);
}

/** Groups, hives and people in a pin are the school's own. */
function refuseForeign({ problem }: PlanningSeason, what: Pin): void {
  const named: Readonly<Partial<Record<'group' | 'hive' | 'supervisor', string | undefined>>> & {
    readonly hives?: readonly string[] | undefined;
  } = 'pin' in what ? what.pin : what.forbid;
  const known = (all: readonly { readonly id: string }[], id: string | undefined) =>
    id === undefined || all.some((each) => each.id === id);
  if (!known(problem.groups, named.group)) throw notFound('group');
  if (!known(problem.supervisors, named.supervisor)) throw notFound('supervisor');
  if (![named.hive, ...(named.hives ?? [])].every((hive) => known(problem.hives, hive))) throw notFound('hive');
}

/** A pin that cannot be kept is refused at once, with the rule or the other pin that stands against it. */
function refuseHopelessPin(season: PlanningSeason, pin: Extract<Pin, { pin: unknown }>['pin']): void {
  const { problem } = season;
  if (!problem.slots.some(({ id }) => id === pin.slot)) return;
  const say = planningNames(season);
  if (!('staff' in pin)) {
    const away = season.away.get(`${pin.group} ${pin.slot}`);
    if (away !== undefined)
      throw new Refusal(
        422,
        'cannot be kept',
        `${say(pin.group)} cannot come ${say(pin.slot)}: ${say(away)}. Choose other hours, or change when they can come.`,
      );
  }
  if (conflictOf(problem) !== null) return;
  const conflict = conflictOf({ ...problem, locks: [...problem.locks, lockOf(pin)] });
  if (conflict === null) return;
  const rules = conflict.rules.map(({ says }) => say(says)).join(' ');
  throw new Refusal(
    422,
    'cannot be kept',
    `This pin cannot be kept. ${rules || 'Another pin, or what people were told for today, stands against it.'}`,
  );
}

export async function unpinPlan(context: Context, actor: Actor, id: string): Promise<PlanBoard> {
  if (!(await pinById(context.db, actor.school, id))) throw notFound('pin');
  await withdrawPin(context.db, actor.school, id, context.clock.now());
  return planBoard(context, actor);
}
