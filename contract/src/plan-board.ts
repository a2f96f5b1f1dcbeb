import * as z from 'zod';
import { HOPELESS, PLAN_RULES } from '@brave-comb/core/planning';
import { endpoint } from './endpoint';
import { CivilDate, ForecastInUse, Id, Instant, field, list } from './parts';
import { InspectionPlanJson, PlanningProblemJson } from './planning-problem';

const Key = z.string().min(1).max(120);
const Minute = z.int().min(0).max(1440);

/** Hours of the week at which a group or supervisor can come, and the days on which not. */
export const Times = z.object({
  weekly: list(
    z
      .object({ weekday: z.int().min(1).max(7), from: Minute, to: Minute })
      .refine(({ from, to }) => from < to, 'The end must come after the start.')
      .meta({ example: { weekday: 2, from: 615, to: 1020 } }),
  ),
  away: list(
    z
      .object({ from: CivilDate, to: CivilDate, why: z.string().trim().min(1).max(60) })
      .refine(({ from, to }) => from <= to, 'The last day away must not come before the first.'),
  ),
});

export const PlanningTerms = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('group'),
    times: Times,
    /** Sessions in one plan, days between two, highest mood of a hive. */
    sessions: z.int().min(0).max(14),
    gapDays: z.int().min(0).max(30),
    maxTemper: z.int().min(1).max(5),
    until: CivilDate.nullable(),
  }),
  z.object({ kind: z.literal('supervisor'), times: Times, senior: z.boolean() }),
  z.object({ kind: z.literal('trainee'), liftKg: z.number().min(0).max(60).nullable(), seated: z.boolean() }),
]);
export type PlanningTerms = z.output<typeof PlanningTerms>;

const Pin = z.union([
  z.object({ pin: z.object({ group: Id, slot: Key, hives: z.array(Id).optional(), supervisor: Id.optional() }) }),
  z.object({ pin: z.object({ staff: z.literal(true), hive: Id, slot: Key }) }),
  z.object({
    forbid: z
      .object({ group: Id.optional(), slot: Key.optional(), hive: Id.optional(), staff: z.literal(true).optional() })
      .refine(
        ({ group, slot, hive }) => group !== undefined || slot !== undefined || hive !== undefined,
        'Name a group, a slot or a hive.',
      ),
  }),
]);
export type Pin = z.output<typeof Pin>;

const Violation = z.object({
  rule: z.enum(PLAN_RULES),
  group: z.string().optional(),
  slot: z.string().optional(),
  hive: z.string().optional(),
  supervisor: z.string().optional(),
  says: z.string(),
});

export const PLAN_JOB_STATES = ['waiting', 'running', 'done', 'stopped', 'failed'] as const;

export const PlanJob = z.object({
  id: Id,
  status: z.enum(PLAN_JOB_STATES),
  askedBy: z.string(),
  askedAt: Instant,
  /** Seconds of work so far, and at most. */
  seconds: z.number(),
  limit: z.number(),
  /** Worth of the best plan and the bound on any, as they came. */
  course: list(z.object({ at: z.number(), objective: z.number(), bound: z.number().nullable() })),
  plan: InspectionPlanJson.nullable(),
  /** What went wrong and what to do, `null` while nothing did. */
  trouble: z.string().nullable(),
});
export type PlanJob = z.output<typeof PlanJob>;

const Published = z.object({
  version: z.int(),
  by: z.string(),
  at: Instant,
  /** Forecast that it was made by; `null` when none was in use. */
  forecast: Instant.nullable(),
  /** Odds of each slot when it was published. */
  fits: z.record(z.string(), z.number()),
  plan: InspectionPlanJson,
});

export const PlanBoard = z.object({
  today: CivilDate,
  forecast: ForecastInUse,
  slots: list(
    z.object({
      id: Key,
      site: z.string(),
      date: CivilDate,
      startsAt: Instant,
      endsAt: Instant,
      zone: z.string(),
      fit: z.number(),
      temperature: z.number(),
      /** Why nobody may plan here any more. */
      past: z.boolean(),
    }),
  ),
  groups: list(z.object({ id: Id, name: z.string(), size: z.int(), openSkills: z.int() })),
  supervisors: list(z.object({ id: Id, name: z.string(), senior: z.boolean() })),
  hives: list(
    z.object({ id: Id, number: z.string(), stand: z.string(), site: z.string(), due: z.string().nullable() }),
  ),
  /** The checklist, and how each skill is practised without bees. */
  skills: list(z.object({ id: z.string(), name: z.string(), indoors: z.string().nullable() })),
  /** Why somebody cannot come: `who slot`. */
  away: z.record(z.string(), z.string()),
  /** What the season forbids, with why. */
  closed: list(
    z.object({
      group: z.string().optional(),
      slot: z.string().optional(),
      hive: z.string().optional(),
      why: z.string(),
    }),
  ),
  problem: PlanningProblemJson,
  pins: list(z.object({ id: Id, by: z.string(), at: Instant, what: Pin })),
  /** Why nothing can be planned, or which pins cannot be kept together. */
  hopeless: z.enum(HOPELESS).nullable(),
  conflict: z.object({ pins: list(Id), rules: list(Violation) }).nullable(),
  /** Sessions and staff visits as people were told, with who leads them. */
  told: InspectionPlanJson.pick({ sessions: true, staff: true }),
  published: Published.nullable(),
  job: PlanJob.nullable(),
  mayPlan: z.boolean(),
});
export type PlanBoard = z.output<typeof PlanBoard>;

export const planBoard = endpoint({
  method: 'GET',
  path: '/api/planning/board',
  access: field,
  summary: 'Slots, groups, hives, pins, the published plan and the last one that was reckoned',
  response: PlanBoard,
});

export const askPlan = endpoint({
  method: 'POST',
  path: '/api/planning/jobs',
  access: ['lead'],
  summary: 'Have a plan reckoned from the season as it is now',
  body: z.object({
    id: Id,
    /** Longest time to spend, seconds. */
    seconds: z.number().min(1).max(600),
    seed: z.int().min(1).max(2_000_000_000),
  }),
  response: PlanJob,
});

const oneJob = z.object({ job: Id });

export const planJob = endpoint({
  method: 'GET',
  path: '/api/planning/jobs/:job',
  access: field,
  summary: 'How far a plan has come',
  everNew: true,
  params: oneJob,
  response: PlanJob,
});

export const watchPlanJob = endpoint({
  method: 'GET',
  path: '/api/planning/jobs/:job/events',
  access: field,
  summary: 'The same as server-sent events, one for each change, until it ends',
  params: oneJob,
  response: PlanJob,
  streams: true,
});

export const stopPlanJob = endpoint({
  method: 'POST',
  path: '/api/planning/jobs/:job/stop',
  access: ['lead'],
  summary: 'Stop and keep the best plan so far',
  params: oneJob,
  response: PlanJob,
});

export const resumePlanJob = endpoint({
  method: 'POST',
  path: '/api/planning/jobs/:job/resume',
  access: ['lead'],
  summary: 'Go on from the best plan so far',
  params: oneJob,
  body: z.object({ seconds: z.number().min(1).max(600) }),
  response: PlanJob,
});

export const pinPlan = endpoint({
  method: 'POST',
  path: '/api/planning/pins',
  access: ['lead'],
  summary: 'Say that something must be, or may not be; all who plan see it',
  body: z.object({ id: Id, what: Pin }),
  response: PlanBoard,
});

export const unpinPlan = endpoint({
  method: 'POST',
  path: '/api/planning/pins/:pin/withdraw',
  access: ['lead'],
  summary: 'Take a pin back',
  params: z.object({ pin: Id }),
  response: PlanBoard,
});

export const publishPlan = endpoint({
  method: 'POST',
  path: '/api/planning/publish',
  access: ['lead'],
  summary: 'Make a plan the one that holds: sessions are set and everybody whose day changed is told',
  body: z.object({
    id: Id,
    /** Version that the plan was made against, `null` when none was published. */
    after: z.int().nullable(),
    /** Forecast that it was made by. */
    forecast: Instant.nullable(),
    sessions: InspectionPlanJson.shape.sessions.max(500),
    staff: InspectionPlanJson.shape.staff.max(500),
    reason: z.string().trim().max(300),
  }),
  response: z.object({ version: z.int(), told: z.int(), board: PlanBoard }),
});

export const planVersions = endpoint({
  method: 'GET',
  path: '/api/planning/versions',
  access: field,
  summary: 'Published plans, the newest first',
  response: z.object({
    versions: list(
      z.object({
        version: z.int(),
        by: z.string(),
        at: Instant,
        forecast: Instant.nullable(),
        objective: z.number(),
        bound: z.number().nullable(),
        reason: z.string(),
        changes: list(z.string()),
      }),
    ),
  }),
});

const Terms = z.object({
  owners: list(z.object({ id: Id, name: z.string(), group: z.string().nullable(), terms: PlanningTerms })),
});

export const planningTerms = endpoint({
  method: 'GET',
  path: '/api/planning/terms',
  access: ['lead'],
  summary: 'When groups and supervisors can come, what trainees may lift',
  response: Terms,
});

export const setPlanningTerms = endpoint({
  method: 'POST',
  path: '/api/planning/terms/:owner',
  access: ['lead'],
  summary: 'Change when somebody can come or what somebody may lift',
  params: z.object({ owner: Id }),
  body: z.object({ terms: PlanningTerms }),
  response: Terms,
});

export const coverage = endpoint({
  method: 'GET',
  path: '/api/planning/coverage',
  access: field,
  summary: 'Which skills nobody has seen yet, when the season shows them, and the next chance of each group',
  response: z.object({
    today: CivilDate,
    groups: list(z.object({ id: Id, name: z.string(), size: z.int() })),
    skills: list(
      z.object({
        id: z.string(),
        name: z.string(),
        seasonal: z.boolean(),
        window: z.object({ from: CivilDate, to: CivilDate }).nullable(),
        nobody: z.boolean(),
        groups: list(
          z.object({
            group: Id,
            seen: z.int(),
            /** Of these, those who were seen at it since the season began to show it. */
            since: z.int(),
            open: z.int(),
            next: z
              .object({
                startsAt: Instant,
                zone: z.string(),
                hive: z.string(),
                chance: z.number(),
                planned: z.boolean(),
              })
              .nullable(),
          }),
        ),
        /** Planned sessions that offer it, with the showings that may be expected of each. */
        offers: list(z.object({ startsAt: Instant, group: Id, showings: z.number() })),
      }),
    ),
  }),
});
export type Coverage = z.output<typeof coverage.response>;
