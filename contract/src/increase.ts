import { MOST_PAIRS, QUEEN_SOURCES, TRIAL_MEASURES } from '@brave-comb/core/care';
import * as z from 'zod';
import { endpoint } from './endpoint';
import { CivilDate, Id, field, list, siteQuery } from './parts';

const Step = z.object({ key: z.string(), from: CivilDate, to: CivilDate, title: z.string(), why: z.string() });

const Trial = z.object({
  id: Id,
  question: z.string(),
  one: z.string(),
  other: z.string(),
  measure: z.enum(TRIAL_MEASURES),
  begun: CivilDate,
  revisit: CivilDate,
  ended: CivilDate.nullable(),
  by: z.string(),
  /** Hives by number, with what was measured at the beginning and last. */
  pairs: list(
    z.object({
      one: z.object({ number: z.string(), begin: z.number().nullable(), now: z.number().nullable() }),
      other: z.object({ number: z.string(), begin: z.number().nullable(), now: z.number().nullable() }),
    }),
  ),
  measured: z.int(),
  difference: z.number().nullable(),
  verdict: z.enum(['one', 'other', 'no-difference', 'too-few', 'open']),
  says: z.string(),
});

export const Increase = z.object({
  site: z.object({ id: Id, name: z.string() }),
  sites: list(z.object({ id: Id, name: z.string() })),
  today: CivilDate,
  combs: z.object({
    inHives: z.number(),
    inStore: z.int(),
    foundation: z.int(),
    goal: z.int(),
    short: z.number(),
    buy: z.number(),
    worthKg: z.number(),
    reached: z.boolean().nullable(),
    says: z.string(),
    /** Hives of which no comb was read lately: their combs are not counted. */
    unread: list(z.string()),
  }),
  plan: z.object({
    source: z.enum(QUEEN_SOURCES),
    wanted: z.int(),
    readyBy: CivilDate.nullable(),
    steps: list(Step),
    laying: z.object({ from: CivilDate, to: CivilDate }).nullable(),
    proven: CivilDate.nullable(),
    givers: list(z.object({ number: z.string(), units: z.int(), says: z.string() })),
    units: z.int(),
    not: z.string().nullable(),
    minds: list(z.string()),
    otherSchool: z.string(),
  }),
  trials: list(Trial),
  /** Hives that may take part in a trial, with their strength at the last look. */
  hives: list(z.object({ hive: Id, number: z.string(), bees: z.number(), brood: z.number() })),
});
export type Increase = z.output<typeof Increase>;

export const increase = endpoint({
  method: 'GET',
  path: '/api/care/increase',
  access: field,
  summary:
    'Drawn comb against its goal, a plan for dividing colonies by the source of their queens, and trials of methods on like hives',
  query: siteQuery.extend({
    source: z.enum(QUEEN_SOURCES).default('graft'),
    wanted: z.coerce.number().int().min(1, 'Say how many new colonies are wanted.').max(50).default(2),
    by: CivilDate.optional(),
  }),
  response: Increase,
});

export const setCombGoal = endpoint({
  method: 'POST',
  path: '/api/care/comb-goal',
  access: ['lead'],
  summary: 'Set how many drawn combs the school wants to own by next spring',
  body: z.object({ goal: z.int().min(0, 'A goal is 0 combs or more.').max(10_000) }),
  response: z.object({ kept: z.literal(true) }),
});

export const beginTrial = endpoint({
  method: 'POST',
  path: '/api/care/sites/:site/trials',
  access: ['lead'],
  summary:
    'Begin a trial of two methods: like hives are paired and chance says which gets which. Sent twice, it is begun once',
  params: z.object({ site: Id }),
  body: z.object({
    id: Id,
    question: z.string().trim().min(3, 'Say what the trial is to answer.').max(200),
    one: z.string().trim().min(1, 'Name the first method.').max(80),
    other: z.string().trim().min(1, 'Name the second method.').max(80),
    measure: z.enum(TRIAL_MEASURES),
    revisit: CivilDate,
    hives: z
      .array(Id)
      .min(2, 'Choose two hives or more.')
      .max(MOST_PAIRS * 2)
      .readonly(),
  }),
  response: Increase,
});

export const endTrial = endpoint({
  method: 'POST',
  path: '/api/care/trials/:trial/end',
  access: ['lead'],
  summary: 'End a trial, so that later looks count no more; or take it back as if it had never begun',
  params: z.object({ trial: Id }),
  body: z.object({ how: z.enum(['ended', 'withdrawn']) }),
  response: Increase,
});
