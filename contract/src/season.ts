import { wrong } from './wrong';
import { POLLEN_COLOUR_NAMES } from '@brave-comb/core/inspection';
import {
  ALIVE_STATES,
  CLIMATE_BANDS,
  DEGREE_DAY_METHODS,
  FLOW_SIGN_NAMES,
  FLOW_STATES,
  PHASES,
  SCALE_EVENTS,
  SEASON_EVENTS,
} from '@brave-comb/core/season';
import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import {
  CivilDate,
  ForecastInUse,
  Id,
  Instant,
  SessionStatus,
  Share,
  Span,
  field,
  list,
  onSite,
  siteQuery,
  SiteNames,
} from './parts';

const Worth = z.int().min(0).max(4);
const MonthDay = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Days of the year are written MM-DD, as 12-21.');

export const PhaseSpan = z.object({
  phase: z.enum(PHASES),
  from: CivilDate,
  to: CivilDate,
  /** The days of it on which swarms may leave. */
  swarming: z.object({ from: CivilDate, to: CivilDate }).nullable(),
  reasons: list(z.string()),
});
export type PhaseSpan = z.output<typeof PhaseSpan>;

export const Bloom = z.object({
  id: z.string(),
  plant: z.string(),
  nectar: Worth,
  pollen: Worth,
  from: CivilDate,
  to: CivilDate,
  giveOrTake: z.number(),
  toGiveOrTake: z.number(),
  state: z.enum(['seen', 'reckoned', 'expected']),
  ended: z.boolean(),
  usual: z.object({ from: CivilDate, to: CivilDate }),
  /** Days by which plants seen this year moved it. */
  movedBy: z.number(),
  sum: z.object({ now: z.number(), needed: z.number(), base: z.number() }).nullable(),
});
export type Bloom = z.output<typeof Bloom>;

export const StripDay = z.object({
  date: CivilDate,
  observed: z.boolean(),
  warmest: Span.nullable(),
  rain: z.tuple([z.number(), z.number()]).readonly().nullable(),
  hours: z.object({ lid: Span, 'one-frame': Span, full: Span }).nullable(),
  sun: z.object({ rise: Instant.nullable(), set: Instant.nullable(), hours: z.number() }),
});
export type StripDay = z.output<typeof StripDay>;

const StripSession = z.object({
  id: Id,
  date: CivilDate,
  groups: z.int(),
  status: SessionStatus,
});
const StripDue = z.object({
  id: z.string(),
  hive: z.string(),
  from: CivilDate,
  due: CivilDate,
  question: z.string(),
  why: z.string(),
  strict: z.enum(['must', 'should', 'may']),
  done: z.boolean(),
});

export const Strip = z.object({
  ...SiteNames,
  today: CivilDate,
  forecast: ForecastInUse,
  days: list(StripDay),
  phases: list(PhaseSpan),
  bloom: list(Bloom),
  sessions: list(StripSession),
  due: list(StripDue),
});
export type Strip = z.output<typeof Strip>;

export const seasonStrip = endpoint({
  method: 'GET',
  path: '/api/season/strip',
  access: ROLES,
  summary: 'Three weeks around today at one site: fit hours, weather, sun, phase, bloom, sessions and what is due',
  query: z.object({ site: Id.optional(), from: CivilDate.optional() }),
  response: Strip,
});

const FlowReason = z.object({ text: z.string(), says: z.enum(['flow', 'dearth']), weight: z.number() });
export const Flow = z.object({
  state: z.enum(FLOW_STATES),
  chance: Share,
  reasons: list(FlowReason),
  advice: z.string(),
});

const Deadline = z.object({
  id: z.string(),
  job: z.string(),
  from: CivilDate,
  by: CivilDate,
  before: z.enum(['winter', 'main-flow']),
  why: z.string(),
});

export const SeasonEvent = z.object({
  id: Id,
  kind: z.enum(SEASON_EVENTS),
  plant: z.string().nullable(),
  date: CivilDate,
  by: z.string(),
  /** Open and answered tasks that it made. */
  tasks: z.int(),
});
export type SeasonEvent = z.output<typeof SeasonEvent>;

const ScaleHive = z.object({
  hive: z.string(),
  days: list(z.object({ date: CivilDate, kg: z.number() })),
  events: list(
    z.object({ kind: z.enum(SCALE_EVENTS), from: CivilDate, to: CivilDate, kg: z.number(), says: z.string() }),
  ),
});

export const Year = z.object({
  ...SiteNames,
  today: CivilDate,
  /** First and last day of the year of growth that is shown. */
  from: CivilDate,
  to: CivilDate,
  climate: z.object({ band: z.enum(CLIMATE_BANDS), from: z.string(), turn: MonthDay }),
  forecast: ForecastInUse,
  phases: list(PhaseSpan),
  /** What the phase of today asks for. */
  now: z
    .object({
      phase: PhaseSpan,
      interval: z.tuple([z.number(), z.number()]).readonly().nullable(),
      purposes: list(z.string()),
      cautions: list(z.string()),
    })
    .nullable(),
  days: list(
    z.object({
      date: CivilDate,
      known: z.enum(['observed', 'forecast', 'usual']),
      low: z.number(),
      high: z.number(),
      rain: z.number(),
      sun: z.number(),
    }),
  ),
  bloom: list(Bloom),
  spans: list(
    z.object({
      kind: z.enum(['flow', 'gap']),
      from: CivilDate,
      to: CivilDate,
      plants: list(z.string()),
      giveOrTake: z.number(),
    }),
  ),
  flow: Flow,
  deadlines: list(Deadline),
  events: list(SeasonEvent),
  sessions: list(StripSession),
  colonies: list(
    z.object({
      hive: z.string(),
      dues: list(
        z.object({
          id: z.string(),
          title: z.string(),
          from: CivilDate,
          due: CivilDate,
          strict: z.enum(['must', 'should', 'may']),
        }),
      ),
      rests: list(z.object({ from: CivilDate, to: CivilDate, why: z.string() })),
      openings: list(CivilDate),
    }),
  ),
  scales: list(ScaleHive),
});
export type Year = z.output<typeof Year>;

export const seasonYear = endpoint({
  method: 'GET',
  path: '/api/season/year',
  access: ROLES,
  summary: 'The year of growth at one site: phases, weather, bloom, flows, deadlines, events, sessions and colonies',
  query: z.object({ site: Id.optional(), date: CivilDate.optional() }),
  response: Year,
});

const PlantModel = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('degree-days'),
    base: z.number().min(-5).max(15),
    sum: z.number().min(1).max(4000),
    days: z.int().min(3).max(200),
  }),
  z.object({ kind: z.literal('dates'), opens: MonthDay, days: z.int().min(3).max(200) }),
]);
export const SitePlant = z.object({
  id: z.string().min(1).max(80),
  name: z.string().trim().min(1, 'Name the plant.').max(80),
  nectar: Worth,
  pollen: Worth,
  model: PlantModel,
});
export type SitePlant = z.output<typeof SitePlant>;

const BloomSeen = z.object({
  plant: z.string(),
  year: CivilDate,
  first: CivilDate.nullable(),
  last: CivilDate.nullable(),
  by: z.string().nullable(),
});

export const Forage = z.object({
  ...SiteNames,
  today: CivilDate,
  turn: MonthDay,
  method: z.enum(DEGREE_DAY_METHODS),
  plants: list(SitePlant.extend({ bloom: Bloom.nullable(), latin: z.string().nullable(), seen: list(BloomSeen) })),
  /** Plants of the general list that the site does not have yet. */
  list: list(SitePlant.extend({ latin: z.string() })),
  mayEdit: z.boolean(),
});
export type Forage = z.output<typeof Forage>;

export const forage = endpoint({
  method: 'GET',
  path: '/api/season/forage',
  access: ROLES,
  summary: 'Plants of a site with this year’s bloom, and the general list to choose from',
  query: siteQuery,
  response: Forage,
});

export const keepPlant = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/plants',
  access: field,
  summary: 'Add a plant to a site, or change it',
  params: onSite,
  body: SitePlant,
  response: Forage,
});

export const dropPlant = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/plants/drop',
  access: field,
  summary: 'Take a plant off a site’s list; what was seen of it stays',
  params: onSite,
  body: z.object({ plant: z.string() }),
  response: Forage,
});

export const seeBloom = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/bloom',
  access: ROLES,
  summary:
    'First or last bloom seen on a day, or `null` to take it back; it moves this year’s dates of the plants behind it',
  params: onSite,
  body: z.object({
    plant: z.string().max(80),
    which: z.enum(['first', 'last']),
    date: CivilDate.nullable(),
    /** Any day of the year of growth that is meant; today’s without it. */
    year: CivilDate.optional(),
  }),
  response: Forage,
});

export const setClimate = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/climate',
  access: ['lead'],
  summary: 'Where the year of growth begins at a site, and how degree days are reckoned',
  params: onSite,
  body: z.object({ turn: MonthDay.nullable(), method: z.enum(DEGREE_DAY_METHODS) }),
  response: Forage,
});

export const Happenings = z.object({
  ...SiteNames,
  today: CivilDate,
  events: list(SeasonEvent),
  /** What each event sets going by house practice. */
  triggers: list(
    z.object({
      id: z.string(),
      on: z.enum(SEASON_EVENTS),
      plant: z.string().nullable(),
      task: z.string(),
      question: z.string(),
      bring: z.string(),
      from: z.int(),
      due: z.int(),
      why: z.string(),
      active: z.boolean(),
    }),
  ),
  meanings: list(z.object({ kind: z.enum(SEASON_EVENTS), means: z.string() })),
  plants: list(z.object({ id: z.string(), name: z.string() })),
  flow: Flow,
  pollen: z.object({
    seen: list(
      z.object({
        id: Id,
        colour: z.enum(POLLEN_COLOUR_NAMES),
        date: CivilDate,
        plant: z.string().nullable(),
        by: z.string(),
      }),
    ),
    /** This week's key: each colour with the plants that it may come from. */
    key: list(
      z.object({
        colour: z.enum(POLLEN_COLOUR_NAMES),
        shade: z.string(),
        guesses: list(z.object({ plant: z.string(), share: Share, why: z.string() })),
      }),
    ),
  }),
  scales: list(ScaleHive),
  mayEdit: z.boolean(),
});
export type Happenings = z.output<typeof Happenings>;

export const happenings = endpoint({
  method: 'GET',
  path: '/api/season/happenings',
  access: ROLES,
  summary: 'What was seen at a site: season events with their tasks, flow signs, pollen colours, the hive scale',
  query: siteQuery,
  response: Happenings,
});

export const logSeasonEvent = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/events',
  access: field,
  summary:
    'Log something seen at a site; house practice makes tasks of it for all its colonies. Sent twice, it is logged once',
  params: onSite,
  body: z.object({
    id: Id,
    kind: z.enum(SEASON_EVENTS),
    plant: z.string().max(80).nullable().default(null),
    date: CivilDate,
  }),
  response: Happenings,
});

export const withdrawSeasonEvent = endpoint({
  method: 'POST',
  path: '/api/season/events/:event/withdraw',
  access: field,
  summary: 'Take an event back, with the tasks that nobody has answered yet',
  params: z.object({ event: Id }),
  response: Happenings,
});

export const setTriggers = endpoint({
  method: 'POST',
  path: '/api/season/triggers',
  access: ['lead'],
  summary: 'House practice: which tasks an event sets going, and after how many days',
  body: z.object({
    triggers: list(
      z
        .object({
          id: z.string().min(1).max(60),
          on: z.enum(SEASON_EVENTS),
          plant: z.string().max(80).nullable(),
          task: z.string().trim().min(1, 'Name the task.').max(120),
          question: z.string().trim().min(1, 'Say what is to be looked for.').max(200),
          bring: z.string().trim().max(200),
          from: z.int().min(0).max(365),
          due: z.int().min(0).max(365),
          why: z.string().trim().max(400),
          active: z.boolean(),
        })
        .refine((each) => each.from <= each.due, { path: ['due'], error: wrong('due-before-begun') })
        .refine((each) => each.task.length + each.question.length <= 190, {
          path: ['question'],
          error: wrong('too-long-for-list'),
        }),
    ),
  }),
  response: z.object({ kept: z.int() }),
});

export const tickFlowSigns = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/flow-signs',
  access: ROLES,
  summary: 'Signs of a flow or a dearth seen on a day',
  params: onSite,
  body: z.object({
    date: CivilDate,
    hive: Id.nullable().default(null),
    signs: z
      .array(z.object({ id: Id, sign: z.enum(FLOW_SIGN_NAMES), says: z.enum(['flow', 'dearth']) }))
      .min(1, 'Tick at least one sign.')
      .readonly(),
  }),
  response: Happenings,
});

export const seePollen = endpoint({
  method: 'POST',
  path: '/api/season/sites/:site/pollen',
  access: ROLES,
  summary: 'A colour of pollen loads seen on a day, with its plant where somebody knows it',
  params: onSite,
  body: z.object({
    id: Id,
    colour: z.enum(POLLEN_COLOUR_NAMES),
    date: CivilDate,
    plant: z.string().max(80).nullable().default(null),
  }),
  response: Happenings,
});

export const settlePollen = endpoint({
  method: 'POST',
  path: '/api/season/pollen/:seen/settle',
  access: field,
  summary: 'Say which plant a pollen load was from, or that nobody knows after all',
  params: z.object({ seen: Id }),
  body: z.object({ plant: z.string().max(80).nullable() }),
  response: Happenings,
});

const Survival = z.object({
  alive: z.int(),
  dead: z.int(),
  unsure: z.int(),
  share: Share.nullable(),
  low: Share,
  high: Share,
});
export const AliveRound = z.object({
  ...SiteNames,
  today: CivilDate,
  year: CivilDate,
  hives: list(
    z.object({
      id: Id,
      number: z.string(),
      stand: z.string(),
      state: z.enum(ALIVE_STATES).nullable(),
      date: CivilDate.nullable(),
      setUp: z.record(z.string(), z.string()),
    }),
  ),
  survival: Survival,
  bySetUp: list(z.object({ name: z.string(), value: z.string(), survival: Survival })),
  earlier: list(z.object({ year: CivilDate, survival: Survival })),
});
export type AliveRound = z.output<typeof AliveRound>;

export const aliveRound = endpoint({
  method: 'GET',
  path: '/api/season/alive-round',
  access: ROLES,
  summary: 'Which colonies of a site came through winter, by set-up',
  query: siteQuery,
  response: AliveRound,
});

export const tapAlive = endpoint({
  method: 'POST',
  path: '/api/season/alive-round/:hive',
  access: field,
  summary: 'Tap a hive as alive, dead or unsure without opening it; `null` takes it back',
  params: z.object({ hive: Id }),
  body: z.object({ state: z.enum(ALIVE_STATES).nullable(), date: CivilDate }),
  response: AliveRound,
});

export const MovePlan = z.object({
  targets: list(
    z.object({ site: Id, name: z.string(), km: z.number(), plant: z.string(), from: CivilDate, to: CivilDate }),
  ),
  plan: z
    .object({
      site: z.string(),
      plant: z.string(),
      move: z.object({ from: CivilDate, due: CivilDate }),
      back: z.object({ from: CivilDate, due: CivilDate }),
      tasks: list(z.object({ title: z.string(), from: CivilDate, due: CivilDate, why: z.string() })),
      warnings: list(z.string()),
    })
    .nullable(),
});
export type MovePlan = z.output<typeof MovePlan>;

export const movePlan = endpoint({
  method: 'GET',
  path: '/api/season/move-plan',
  access: field,
  summary: 'Later flows at the school’s other sites, and a dated plan for moving hives to one of them and back',
  query: z.object({
    from: Id,
    to: Id.optional(),
    plant: z.string().optional(),
    hives: z.coerce.number().int().min(1).max(200).optional(),
  }),
  response: MovePlan,
});

export const scheduleMove = endpoint({
  method: 'POST',
  path: '/api/season/move-plan',
  access: field,
  summary: 'Put the tasks of a move on the calendars of some hives',
  body: z.object({
    id: Id,
    from: Id,
    to: Id,
    plant: z.string(),
    hives: z.array(Id).min(1, 'Choose at least one hive.').readonly(),
  }),
  response: z.object({ tasks: z.int() }),
});
