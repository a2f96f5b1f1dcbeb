import * as z from 'zod';
import { DEPTHS, HINDRANCES } from '@brave-comb/core/weather';
import { ROLES, endpoint } from './endpoint';
import { WeighedLayer } from './equipment';
import { FrameSides } from './inspection';
import { CivilDate, Id, Instant, Share, Span, list } from './parts';

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
      sense: z.enum(['at least', 'at most']),
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
      chance: z.object({ outside: Share, lid: Share, 'one frame': Share, full: Share }),
    }),
  ),
  stillPossible: Hours.nullable(),
  nextBest: z.object({ from: Instant, to: Instant, chance: Share }).nullable(),
});
export type DayVerdict = z.output<typeof DayVerdict>;

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
  due: list(z.object({ question: z.string(), due: CivilDate, daysLeft: z.int() })),
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
    status: z.enum(['planned', 'held', 'called off']),
  }),
  forecast: z.object({ issuedAt: Instant.nullable(), problem: z.string().nullable() }),
  verdict: DayVerdict.nullable(),
  groups: list(GroupSheet),
  kit: list(z.object({ count: z.int(), what: z.string(), hives: list(z.string()) })),
  say: list(z.object({ kind: z.enum(['person', 'hive', 'place', 'weather']), head: z.string(), text: z.string() })),
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
  response: z.object({ session: Id.nullable() }),
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
