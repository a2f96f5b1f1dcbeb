import * as z from 'zod';
import { JOBS } from '@brave-comb/core/inspection';
import { DEPTHS, HINDRANCES } from '@brave-comb/core/weather';
import { ROLES, endpoint } from './endpoint';
import { Emergency, Standing, WeighedLayer } from './equipment';
import { FrameSides } from './inspection-sides';
import { CivilDate, Id, Instant, SessionStatus, Share, Span, field, list } from './parts';

const Depth = z.enum(DEPTHS);
const Hours = z.object({ from: Instant, to: Instant, chance: Share, depth: Depth });
const Name = z.object({ id: Id, name: z.string() });

export const DayVerdict = z.object({
  word: z.enum(['go', 'move', 'short', 'no']),
  best: Hours.nullable(),
  chance: Share,
  gauges: list(
    z.object({
      id: z.enum(['warmth', 'gusts', 'dry', 'light', 'group']),
      value: Span,
      limit: z.number(),
      sense: z.enum(['at-least', 'at-most']),
      state: z.enum(['inside', 'tight', 'outside']),
    }),
  ),
  turn: z
    .object({
      at: Instant,
      giveOrTake: z.number(),
      why: z.enum(HINDRANCES),
      chance: Share,
    })
    .nullable(),
  hours: list(
    z.object({
      at: Instant,
      temperature: Span,
      gust: Span,
      rain: z.tuple([z.number(), z.number()]).readonly(),
      rainChance: Share,
      chance: z.object({ outside: Share, lid: Share, 'one-frame': Share, full: Share }),
    }),
  ),
  stillPossible: Hours.nullable(),
  nextBest: z.object({ from: Instant, to: Instant, chance: Share }).nullable(),
});
export type DayVerdict = z.output<typeof DayVerdict>;

/** What a session's hive was planned for, as it was published. */
export const PlanReasons = z.object({
  /** Points that the opening adds to the plan, and in words what for. */
  points: z.number(),
  lines: list(z.string()),
  /** Skills of the checklist that gain most. */
  skills: list(z.string()),
  /** What is done instead when the weather does not come; `null` where that is likely enough. */
  ifWet: z
    .object({
      reserve: z.object({ startsAt: Instant, supervisor: z.string(), hives: list(z.string()) }).nullable(),
      staff: list(z.object({ startsAt: Instant, hive: z.string() })),
      indoors: list(z.object({ skill: z.string(), name: z.string().optional(), how: z.string() })),
    })
    .nullable(),
});
export type PlanReasons = z.output<typeof PlanReasons>;

export const GroupSheet = z.object({
  group: Name,
  size: z.int(),
  supervisor: Name,
  hive: z.object({ id: Id, number: z.string(), stand: z.string(), type: z.string() }),
  startsAt: Instant,
  why: list(z.string()),
  lastTime: z
    .object({
      visit: Id,
      daysAgo: z.int(),
      bees: z.number().nullable(),
      brood: z.number(),
      storesKg: z.number(),
      frames: list(FrameSides),
      /** The two sides that say most. */
      telling: list(z.object({ frame: z.int(), face: z.enum(['low', 'high']) })),
      queenOn: z.int().nullable(),
    })
    .nullable(),
  frameCount: z.int(),
  stack: list(WeighedLayer),
  queenMark: z.string().nullable(),
  /** What the colony calendar asks on that day, the soonest first. */
  due: list(
    z.object({
      id: z.string(),
      question: z.string(),
      due: CivilDate,
      daysLeft: z.int(),
      strict: z.enum(['must', 'should', 'may']),
    }),
  ),
  /** Why the colony is better left alone on that day, and until when. */
  alone: z.object({ until: CivilDate, why: z.string(), strict: z.enum(['must', 'should']) }).nullable(),
  rota: list(
    z.object({
      fromFrame: z.int(),
      toFrame: z.int(),
      roles: z.object({
        smoke: list(z.string()),
        frames: list(z.string()),
        record: list(z.string()),
        clock: list(z.string()),
        watch: list(z.string()),
      }),
    }),
  ),
  visit: z.object({ id: Id, closed: z.boolean() }).nullable(),
  ifWet: PlanReasons.shape.ifWet,
  /** Parts to be lifted off, and where they are set down. */
  lifting: list(z.string()),
  /** Where everybody stands, metres east and north of the hive; `null` while it is not known how the hive faces. */
  standing: Standing.nullable(),
});
export type GroupSheet = z.output<typeof GroupSheet>;

export const DaySheet = z.object({
  session: z.object({
    id: Id,
    site: Name,
    zone: z.string(),
    date: CivilDate,
    startsAt: Instant,
    endsAt: Instant,
    depth: Depth,
    status: SessionStatus,
  }),
  forecast: z.object({ issuedAt: Instant.nullable(), problem: z.string().nullable() }),
  verdict: DayVerdict.nullable(),
  groups: list(GroupSheet),
  kit: list(z.object({ count: z.int(), what: z.string(), hives: list(z.string()) })),
  say: list(z.object({ kind: z.enum(['person', 'hive', 'place', 'weather']), head: z.string(), text: z.string() })),
  /** Whom to call and what to do, with the notes of those who gave one; a trainee sees the own note only. */
  emergency: Emergency,
  /** A trainee's own part; `null` for everybody else. */
  mine: z.object({ roles: list(z.string()), openSkills: list(z.string()) }).nullable(),
  mayStart: z.boolean(),
});
export type DaySheet = z.output<typeof DaySheet>;

export const nextSession = endpoint({
  method: 'GET',
  path: '/api/sessions/next',
  access: ROLES,
  summary: 'The next session that one takes part in, today or later',
  response: z.object({ session: Id.nullable(), date: CivilDate.nullable(), today: z.boolean() }),
});

export const sessionOn = endpoint({
  method: 'GET',
  path: '/api/sessions/on/:date',
  access: ROLES,
  summary: 'The session on a day that one takes part in, if there is one',
  params: z.object({ date: CivilDate }),
  query: z.object({ site: Id.optional() }),
  response: z.object({ session: Id.nullable() }),
});

export const daySheet = endpoint({
  method: 'GET',
  path: '/api/sessions/:session/day-sheet',
  access: ROLES,
  summary: 'Go or no-go, groups, hives, what is due, kit and cautions of one session',
  params: z.object({ session: Id }),
  response: DaySheet,
});

export const nextHives = endpoint({
  method: 'GET',
  path: '/api/sessions/:session/next-hives',
  access: field,
  summary: 'Which hives each group opens in the minutes that are left, and why not the others',
  params: z.object({ session: Id }),
  response: z.object({
    at: Instant,
    groups: list(
      z.object({
        group: Id,
        minutesLeft: z.int(),
        hives: list(
          z.object({
            id: Id,
            number: z.string(),
            minutes: z.int(),
            points: z.number(),
            /** Minutes left after it; `null` for one that is not opened, with why. */
            leaves: z.int().nullable(),
            says: z.string().nullable(),
          }),
        ),
      }),
    ),
  }),
});

const MySession = z.object({
  session: Id,
  site: z.string(),
  zone: z.string(),
  startsAt: Instant,
  endsAt: Instant,
  group: z.string(),
  supervisor: z.string(),
  /** Odds of fit weather by the forecast in use, `null` beyond its end. */
  fit: Share.nullable(),
  hives: list(
    z.object({
      number: z.string(),
      at: Instant,
      why: list(z.string()),
      /** What one does there: the own jobs of a trainee, everybody's for who leads. */
      jobs: list(z.object({ role: z.enum(JOBS), fromFrame: z.int(), toFrame: z.int(), names: list(z.string()) })),
      /** The skills that one can best show there, with the odds that the hive gives the chance. */
      learn: list(z.object({ name: z.string(), chance: Share })),
    }),
  ),
  ifWet: PlanReasons.shape.ifWet,
});
export type MySession = z.output<typeof MySession>;

export const mySessions = endpoint({
  method: 'GET',
  path: '/api/sessions/mine',
  access: ROLES,
  summary: 'The coming sessions that one takes part in or leads, with what one does and learns there',
  response: z.object({ today: CivilDate, sessions: list(MySession) }),
});
