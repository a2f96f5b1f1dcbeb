import {
  COLONY_AIMS,
  COLONY_CLASSES,
  COLONY_EVENT_KINDS,
  NEW_COLONIES,
  REST_CAUSES,
  STRAINS,
  TRAITS,
} from '@brave-comb/core/care';
import { QUEEN_STARTS } from '@brave-comb/core/biology';
import { PHASES } from '@brave-comb/core/season';
import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { CivilDate, Id, Instant, field, list, siteQuery, SiteNames } from './parts';

const Expected = z.object({ value: z.number(), low: z.number(), high: z.number() });

export const ExpectedState = z.object({
  phase: z.enum(PHASES).nullable(),
  days: z.int(),
  bees: Expected,
  eggs: Expected,
  larvae: Expected,
  sealed: Expected,
  brood: Expected,
  drone: Expected,
  storesKg: Expected,
  mood: z.string(),
  stale: z.string().nullable(),
  because: list(z.string()),
});
export type ExpectedState = z.output<typeof ExpectedState>;

export const Finding = z.object({
  lines: list(
    z.object({
      measure: z.string(),
      unit: z.enum(['frames', 'kg']),
      expected: Expected,
      found: z.number(),
      word: z.enum(['normal', 'more-than-expected', 'less-than-expected']),
    }),
  ),
  says: z.string(),
  why: list(z.string()),
});

const days = z.int().min(1).max(365);
export const Detail = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hived'), as: z.enum(NEW_COLONIES) }),
  z.object({ kind: z.literal('queen'), start: z.enum(QUEEN_STARTS) }),
  z.object({ kind: z.literal('eggs-seen') }),
  z.object({
    kind: z.literal('treatment'),
    medicine: z.string().trim().min(1, 'Name the active ingredient and its form.').max(120),
    repeatAfter: days.nullable(),
    doses: z.int().min(1).max(20),
    removeAfter: days.nullable(),
    withdrawal: z.int().min(0).max(365).nullable(),
    supersAllowed: z.boolean().optional(),
  }),
  z.object({ kind: z.literal('treatment-out'), medicine: z.string().trim().min(1).max(120).optional() }),
  z.object({
    kind: z.literal('feed'),
    what: z.enum(['thin-syrup', 'thick-syrup', 'fondant', 'dry-sugar']),
    kg: z.number().min(0.1).max(40),
  }),
  z.object({ kind: z.literal('patty'), kg: z.number().min(0.05).max(5) }),
  z.object({ kind: z.literal('feeder-empty') }),
  z.object({ kind: z.literal('super-on'), holdsKg: z.number().min(1).max(40) }),
  z.object({ kind: z.literal('super-off') }),
  z.object({ kind: z.literal('super-left-as-winter-food') }),
  z.object({ kind: z.literal('drone-comb-in') }),
  z.object({ kind: z.literal('drone-comb-out') }),
  z.object({ kind: z.literal('brood-stopped') }),
  z.object({ kind: z.literal('suspicion'), of: z.string().trim().min(1, 'Say what is suspected.').max(120) }),
  z.object({ kind: z.literal('suspicion-settled') }),
  z.object({
    kind: z.literal('ordered-by-the-inspector'),
    what: z.string().trim().min(1, 'Say what the inspector ordered, and who.').max(300),
  }),
  z.object({ kind: z.literal('aim'), of: z.enum(COLONY_AIMS) }),
  z.object({ kind: z.literal('trait'), trait: z.enum(TRAITS) }),
]);

export const ColonyEventKind = z.enum(COLONY_EVENT_KINDS);

export const Due = z.object({
  id: z.string(),
  title: z.string(),
  from: CivilDate,
  due: CivilDate,
  why: z.string(),
  strict: z.enum(['must', 'should', 'may']),
  question: z.string().nullable(),
  bring: z.string().nullable(),
  opens: z.boolean(),
  clash: z.string().nullable(),
});
export type Due = z.output<typeof Due>;

export const ColonyCalendar = z.object({
  hive: Id,
  number: z.string(),
  stand: z.string(),
  colony: Id,
  since: CivilDate,
  origin: z.string(),
  class: z.enum(COLONY_CLASSES),
  strain: z.enum(STRAINS),
  lastOpened: CivilDate.nullable(),
  dues: list(Due),
  rests: list(
    z.object({
      cause: z.enum(REST_CAUSES),
      from: CivilDate,
      to: CivilDate,
      why: z.string(),
      strict: z.enum(['must', 'should']),
    }),
  ),
  /** Questions that nobody answered in time; they are not asked any more. */
  lapsed: list(z.object({ title: z.string(), due: CivilDate })),
  /** What medicines and feeds mean for honey: from when a new super may go on, and which boxes are not for harvest. */
  honey: z.object({
    superOnFrom: CivilDate.nullable(),
    fedUntil: CivilDate.nullable(),
    standing: list(z.string()),
    unknown: list(z.string()),
    locked: list(z.object({ name: z.string(), why: z.string() })),
    says: z.string().nullable(),
  }),
  /** Medicines that lie in the hive now. */
  inHive: list(z.string()),
  openFrom: CivilDate,
  load: z.object({
    openings: z.int(),
    minutes: z.number(),
    stings: z.int(),
    over: list(z.enum(['openings', 'minutes', 'stings'])),
  }),
  expected: ExpectedState.nullable(),
  starvation: z
    .object({ level: z.enum(['none', 'watch', 'feed-now']), days: z.number().nullable(), reasons: list(z.string()) })
    .nullable(),
  swarm: z
    .object({
      level: z.enum(['low', 'watch', 'high', 'leaving']),
      window: z.object({ from: CivilDate, to: CivilDate }).nullable(),
      fullOn: CivilDate.nullable(),
      beesDue: z.number(),
      reasons: list(z.string()),
      otherSchool: z.string(),
    })
    .nullable(),
  events: list(
    z.object({ id: Id, date: CivilDate, kind: ColonyEventKind, words: z.string(), by: z.string(), at: Instant }),
  ),
});
export type ColonyCalendar = z.output<typeof ColonyCalendar>;

export const Calendars = z.object({
  ...SiteNames,
  today: CivilDate,
  loadLimit: z.object({ openings: z.int(), minutes: z.int(), stings: z.int() }),
  catchCells: z.boolean(),
  restDays: z.int(),
  swarmIntervalDays: z.int(),
  colonies: list(ColonyCalendar),
  mayEdit: z.boolean(),
  mayLead: z.boolean(),
});
export type Calendars = z.output<typeof Calendars>;

export const colonyCalendars = endpoint({
  method: 'GET',
  path: '/api/care/dues',
  access: ROLES,
  summary:
    'For each colony of a site: what is due, why and how strictly, until when it is left alone, its load, and what to expect',
  query: siteQuery,
  response: Calendars,
});

export const logColonyEvent = endpoint({
  method: 'POST',
  path: '/api/care/calendar/hives/:hive/events',
  access: field,
  summary:
    'Log what was done to a colony or seen on it and sets dates: queens, treatments, feeds, supers, drone comb. Sent twice, it is logged once',
  params: z.object({ hive: Id }),
  body: z.object({ id: Id, date: CivilDate, detail: Detail }),
  response: Calendars,
});

export const withdrawColonyEvent = endpoint({
  method: 'POST',
  path: '/api/care/calendar/events/:event/withdraw',
  access: field,
  summary: 'Take a colony event back',
  params: z.object({ event: Id }),
  response: Calendars,
});

export const setColony = endpoint({
  method: 'POST',
  path: '/api/care/calendar/hives/:hive/colony',
  access: field,
  summary: 'How much is asked of a colony, and how its strain answers a dearth',
  params: z.object({ hive: Id }),
  body: z.object({ class: z.enum(COLONY_CLASSES), strain: z.enum(STRAINS) }),
  response: Calendars,
});

export const setCalendarPractice = endpoint({
  method: 'POST',
  path: '/api/care/calendar/practice',
  access: ['lead'],
  summary: 'House practice: intervals, rest between openings, and how much teaching a colony bears in thirty days',
  body: z.object({
    catchCells: z.boolean(),
    swarmIntervalDays: z.int().min(3).max(21),
    restDays: z.int().min(0).max(21),
    load: z.object({
      openings: z.int().min(1).max(30),
      minutes: z.int().min(10).max(1200),
      stings: z.int().min(1).max(200),
    }),
  }),
  response: z.object({ kept: z.literal(true) }),
});

export const calendarFeed = endpoint({
  method: 'GET',
  path: '/api/care/calendar/feed',
  access: ROLES,
  summary: 'Whether one’s own calendar can be subscribed to, and since when',
  response: z.object({ since: Instant.nullable() }),
});

export const createCalendarFeed = endpoint({
  method: 'POST',
  path: '/api/care/calendar/feed',
  access: ROLES,
  summary: 'Make a secret address for one’s own calendar; an earlier one stops working. It is shown this once',
  response: z.object({ path: z.string(), since: Instant }),
});

export const revokeCalendarFeed = endpoint({
  method: 'POST',
  path: '/api/care/calendar/feed/revoke',
  access: ROLES,
  summary: 'Make the secret address stop working',
  response: z.object({ revoked: z.literal(true) }),
});
