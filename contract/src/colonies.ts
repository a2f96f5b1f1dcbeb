import { ADVICE_KINDS, ATTENTION, COLONY_AIMS, OUTCOMES, SELECTIONS } from '@brave-comb/core/care';
import { MARK_COLOURS } from '@brave-comb/core/biology';
import { PHASES } from '@brave-comb/core/season';
import * as z from 'zod';
import { Decision, Errand, Estimate } from './care';
import { ROLES, endpoint } from './endpoint';
import { Stack } from './equipment';
import { FrameSides } from './inspection-sides';
import { CivilDate, Id, Instant, list, siteQuery } from './parts';
import { HivePlace } from './site-plan';

const STRICT = ['must', 'should', 'may'] as const;

const Asks = z.object({
  key: z.string(),
  what: z.string(),
  why: z.string(),
  from: CivilDate,
  by: CivilDate,
  strict: z.enum(STRICT),
  toDecide: z.boolean(),
  errand: Errand,
  bring: z.string().nullable(),
});

/** What is to be minded at a colony: that stops work there, that is watched, or that is good to know. */
const Mind = z.object({ text: z.string(), level: z.enum(['stop', 'watch', 'know']) });

const Queen = z.object({
  year: z.int().nullable(),
  colour: z.enum(MARK_COLOURS).nullable(),
  marked: z.boolean(),
  says: z.string(),
});

/** Mites in a sample, in 100 bees, with the range that holds it 19 times in 20. */
const MitesCounted = z.object({
  date: CivilDate,
  method: z.string(),
  bees: z.int(),
  mites: z.int(),
  inHundred: Estimate,
});

export const ColonyLine = z.object({
  hive: Id,
  number: z.string(),
  site: z.object({ id: Id, name: z.string() }),
  stand: z.string(),
  /** 1 quiet to 5, the worst of late; `null` where nobody noted it. */
  temper: z.number().nullable(),
  frames: list(FrameSides),
  queen: Queen,
  /** Bees and brood at the last visits that read the combs, frames, the oldest first. */
  course: list(z.object({ date: CivilDate, bees: z.number().nullable(), brood: z.number() })),
  /** What is expected today. */
  bees: Estimate.nullable(),
  brood: Estimate.nullable(),
  storesKg: Estimate.nullable(),
  /** Days that the food lasts when nothing comes in; `null` without a figure or an end. */
  foodDays: z.number().nullable(),
  gaining: z.boolean(),
  mites: MitesCounted.nullable(),
  miteLimit: z.number(),
  attention: z.enum(ATTENTION),
  asks: list(Asks),
  /** The visit whose advice waits for a decision. */
  decideAt: Id.nullable(),
  next: z.object({ session: Id, startsAt: Instant, group: z.string() }).nullable(),
  mind: list(Mind),
  opened: z.object({ times: z.int(), limit: z.int() }),
  /** May go to people who are new to it: quiet, at ease, and nothing stops work there. */
  forNovices: z.boolean(),
});
export type ColonyLine = z.output<typeof ColonyLine>;

export const ColonyList = z.object({
  today: CivilDate,
  zone: z.string(),
  sites: list(z.object({ id: Id, name: z.string() })),
  colonies: list(ColonyLine),
});
export type ColonyList = z.output<typeof ColonyList>;

export const colonyList = endpoint({
  method: 'GET',
  path: '/api/care/colonies',
  access: ROLES,
  summary: 'All colonies of the school by how soon each needs somebody, with what it asks for and how it stands',
  response: ColonyList,
});

/** What a word of the glossary means at this school. */
export const WordHere = z.object({
  /** What the house does about it as a matter of course. */
  rules: list(z.string()),
  /** Colonies that showed it at their last visit, the latest first. */
  seen: list(z.object({ hive: Id, number: z.string(), date: CivilDate, where: z.string() })),
});
export type WordHere = z.output<typeof WordHere>;

export const wordHere = endpoint({
  method: 'GET',
  path: '/api/care/words/:word',
  access: ROLES,
  summary: 'What house practice says on a word of the glossary, and in which colonies it was seen last',
  params: z.object({ word: z.string().min(1).max(40) }),
  response: WordHere,
});

const SeenThen = z.object({
  day: z.int(),
  bees: Estimate.nullable(),
  eggs: Estimate.nullable(),
  larvae: Estimate.nullable(),
  sealed: Estimate.nullable(),
  storesKg: Estimate.nullable(),
  sample: z.object({ bees: z.int(), mites: z.int() }).nullable(),
  frames: z.int(),
  holdsKg: z.number(),
  foodMoved: z.boolean(),
});
const Day = z.object({
  laying: z.number(),
  life: z.number(),
  broodPerBees: z.number(),
  incomeKg: z.number(),
  fedKg: z.number(),
  clustered: z.boolean(),
  drones: z.number(),
  mitesKilled: z.number(),
});
/** What a forecast rests on: devices reckon it themselves. */
export const ForecastKnown = z.object({
  first: CivilDate,
  facts: z.object({
    seen: list(SeenThen),
    days: list(Day),
    nest: z.object({ cellsPerFrame: z.number(), beesPerFrame: z.number() }),
    draws: z.int(),
    seed: z.int(),
  }),
});
export type ForecastKnown = z.output<typeof ForecastKnown>;

/** How much of a hive a visit looked at. */
export const LOOKS = ['full', 'part', 'outside'] as const;

export const ColonyStory = z.object({
  hive: Id,
  number: z.string(),
  site: z.object({ id: Id, name: z.string() }),
  stand: z.string(),
  zone: z.string(),
  today: CivilDate,
  says: z.string(),
  line: ColonyLine,
  stack: Stack,
  combs: list(z.object({ place: z.int(), year: z.int().nullable(), says: z.string(), toRenew: z.boolean() })),
  /** What stands in place of a forecast where there is none. */
  noForecast: z.string().nullable(),
  forecast: ForecastKnown.nullable(),
  /** Limits that the forecast is held against. */
  limits: z.object({ roomFrames: z.number(), leastKg: z.number(), mites: z.number() }),
  phases: list(z.object({ phase: z.enum(PHASES), from: CivilDate, to: CivilDate })),
  visits: list(
    z.object({
      id: Id,
      date: CivilDate,
      look: z.enum(LOOKS),
      frames: list(FrameSides),
      bees: Estimate.nullable(),
      brood: Estimate.nullable(),
      storesKg: Estimate.nullable(),
      superKg: z.number().nullable(),
      temper: z.number().nullable(),
      queen: z.enum(['seen', 'eggs', 'not-seen', 'not-looked']),
      /** Whether who asks may open its review. */
      open: z.boolean(),
    }),
  ),
  /** What it is kept for; `null` where nobody said. */
  aim: z.enum(COLONY_AIMS).nullable(),
  /** What its looks say of its queen's stock, where there is anything to go by. */
  stock: z
    .object({
      verdict: z.enum(SELECTIONS),
      reasons: list(z.object({ text: z.string(), weight: z.number(), sense: z.enum(['for', 'against']) })),
    })
    .nullable(),
  samples: list(MitesCounted),
  weights: list(z.object({ date: CivilDate, kg: z.number(), by: z.enum(['scale', 'heft']) })),
  courses: list(
    z.object({
      medicine: z.string(),
      from: CivilDate,
      end: CivilDate,
      ended: z.boolean(),
      freeFrom: CivilDate.nullable(),
      supersAllowed: z.boolean(),
      /** How many of 100 mites it took, in words; `null` where that was not counted. */
      worked: z.string().nullable(),
    }),
  ),
  events: list(z.object({ date: CivilDate, kind: z.string(), words: z.string(), by: z.string() })),
  decisions: list(z.object({ date: CivilDate, visit: Id, decision: Decision, cameOut: z.enum(OUTCOMES) })),
  /** Sessions to come that open this hive. */
  planned: list(z.object({ session: Id, date: CivilDate, group: z.string() })),
  before: z.object({ hive: Id, number: z.string() }).nullable(),
  after: z.object({ hive: Id, number: z.string() }).nullable(),
});
export type ColonyStory = z.output<typeof ColonyStory>;

export const colonyStory = endpoint({
  method: 'GET',
  path: '/api/care/colonies/:hive',
  access: ROLES,
  summary:
    'The story of one colony: visits, queens, mites, food, medicines and decisions, and what a forecast rests on',
  params: z.object({ hive: Id }),
  response: ColonyStory,
});

const RoundJob = Asks.extend({
  /** Where it is done: on this round, in its evening, or at a planned session. */
  goesTo: z.enum(['round', 'evening', 'session']),
  session: z.object({ id: Id, date: CivilDate, group: z.string() }).nullable(),
});

export const YardRound = z.object({
  site: z.object({ id: Id, name: z.string() }),
  sites: list(z.object({ id: Id, name: z.string() })),
  today: CivilDate,
  /** Last day that is looked ahead to. */
  until: CivilDate,
  colonies: list(
    z.object({
      hive: Id,
      number: z.string(),
      stand: z.string(),
      place: HivePlace.nullable(),
      suspected: z.boolean(),
      temper: z.number().nullable(),
      /** Why it is left alone, where it is. */
      alone: z.string().nullable(),
      decideAt: Id.nullable(),
      jobs: list(RoundJob),
    }),
  ),
  /** Combs in store that could be used. */
  store: z.object({ drawn: z.int(), foundation: z.int() }),
  /** Small colonies that hold a queen in reserve, those that could go today first. */
  reserves: list(z.object({ number: z.string(), ready: z.boolean(), says: z.string() })),
  /** Colonies that could give to each other, and what stands against it. */
  matches: list(
    z.object({
      from: z.string(),
      to: z.string(),
      what: z.enum(['brood', 'food', 'queen']),
      says: z.string(),
      why: z.string(),
    }),
  ),
});
export type YardRound = z.output<typeof YardRound>;

export const yardRound = endpoint({
  method: 'GET',
  path: '/api/care/yard-round',
  access: ['lead', 'supervisor'],
  summary: 'What all colonies of a site ask for in the coming week, with what it takes, and where it can be done',
  query: siteQuery,
  response: YardRound,
});

export const sendToSession = endpoint({
  method: 'POST',
  path: '/api/care/yard-round/hives/:hive/tasks',
  access: ['lead', 'supervisor'],
  summary: 'Put an advice of the last visit on the list of whoever opens that hive next; sent twice, it is there once',
  params: z.object({ hive: Id }),
  body: z.object({ id: Id, advice: z.enum(ADVICE_KINDS) }),
  response: YardRound,
});
