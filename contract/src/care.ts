import { wrong } from './wrong';
import * as z from 'zod';
import { ADVICE_KINDS, BRINGS, type BringId, CONFIDENCES, HOLDINGS, VERDICTS } from '@brave-comb/core/care';
import { Finding } from './dues';
import { endpoint } from './endpoint';
import { FrameSides, Spot } from './inspection-sides';
import { CivilDate, Id, Instant, list } from './parts';
import { CLIMATE_BANDS } from '@brave-comb/core/season';
import { FRAME_CHANGES, EVIDENCE_IDS, CHANGE_WORDS, SKILL_LEVELS, QUEEN_VERDICTS } from '@brave-comb/core/inspection';

export const Decision = z.object({
  id: Id,
  advice: z.enum(ADVICE_KINDS),
  verdict: z.enum(VERDICTS),
  /** What will be done; the advice's own words when it was accepted. */
  action: z.string(),
  reason: z.string(),
  /** Day on which it is done, and the group that does it; `null` where nobody said. */
  on: CivilDate.nullable(),
  group: z.string().nullable(),
  by: z.string(),
  at: Instant,
});
export type Decision = z.output<typeof Decision>;

export const FollowUp = z.object({
  id: Id,
  hive: z.string(),
  question: z.string(),
  from: CivilDate,
  due: CivilDate,
  done: z.boolean(),
});

export const Estimate = z.object({ value: z.number(), low: z.number(), high: z.number() });

const Asked = z.object({ question: z.string(), from: CivilDate, due: CivilDate });

/** Things that advice asks to be brought. */
export const BringName = z.enum(Object.keys(BRINGS) as [BringId, ...BringId[]]);
export const Errand = z.object({
  minutes: z.number(),
  when: z.enum(['day', 'evening']),
  opens: z.boolean(),
  brings: list(z.object({ what: BringName, amount: z.number() })),
});

export const Advice = z.object({
  kind: z.enum(ADVICE_KINDS),
  title: z.string(),
  from: CivilDate,
  by: CivilDate,
  confidence: z.enum(CONFIDENCES),
  pressing: z.number(),
  reasons: list(z.object({ text: z.string(), weight: z.number(), sense: z.enum(['for', 'against']) })),
  otherSchool: z.string(),
  whereFrom: z.object({
    figure: z.string(),
    rule: z.string(),
    steps: list(z.tuple([z.string(), z.string()]).readonly()),
    source: z.string(),
  }),
  climate: z.object({ band: z.enum(CLIMATE_BANDS).nullable(), holding: z.enum(HOLDINGS), says: z.string() }),
  cautions: list(z.string()),
  turns: list(z.string()),
  ifItFails: z.string().nullable(),
  errand: Errand,
  followUps: z.tuple([Asked], Asked).readonly(),
});

export const Review = z.object({
  visit: Id,
  hive: z.string(),
  hiveId: Id,
  zone: z.string(),
  group: z.string(),
  supervisor: z.string(),
  openedAt: Instant,
  closedAt: Instant.nullable(),
  stopReason: z.string().nullable(),
  /** What the visit was asked and did not see: it is partial. */
  missing: list(z.enum(EVIDENCE_IDS)),
  frameKind: z.string(),
  last: z
    .object({
      visit: Id,
      at: Instant,
      /** As the combs stand now: those that changed places take their readings along. */
      frames: list(FrameSides),
      /** Combs that stood elsewhere, or came since. */
      moved: list(z.object({ frame: z.int(), was: z.string() })),
    })
    .nullable(),
  frames: list(FrameSides),
  changes: list(z.enum(FRAME_CHANGES)),
  inWords: list(z.string()),
  measures: list(
    z.object({
      measure: z.string(),
      unit: z.enum(['frames', 'kg']),
      last: Estimate.nullable(),
      now: Estimate.nullable(),
      difference: z.number().nullable(),
      word: z.enum(CHANGE_WORDS).nullable(),
    }),
  ),
  storesWhereFrom: z.object({ steps: list(z.tuple([z.string(), z.string()]).readonly()), source: z.string() }),
  /** How what was found compares with what was to be expected; `null` without an earlier visit. */
  finding: Finding.nullable(),
  advice: list(
    z.object({
      advice: Advice,
      decision: Decision.nullable(),
      /** How often advice of its kind came out right at this school, of those that were settled. */
      record: z.object({ right: z.int(), of: z.int() }).nullable(),
    }),
  ),
  /** Whether they are fed, and why, also when no advice says so. */
  feed: z.object({ feed: z.enum(['yes', 'no', 'not-known']), why: z.string() }),
  followUps: list(FollowUp),
  judgements: list(
    z.object({
      trainee: z.string(),
      skill: z.string(),
      level: z.enum(SKILL_LEVELS),
      by: z.string(),
      at: Instant,
      prompt: z.string(),
      note: z.string(),
    }),
  ),
  /** The visit in words, part by part. */
  told: list(z.object({ title: z.string(), lines: list(z.object({ text: z.string(), warns: z.boolean() })) })),
  /** What it adds up to beyond brood and bees. */
  sums: list(
    z.object({
      topic: z.string(),
      says: z.string(),
      level: z.enum(['well', 'watch', 'act']),
      asks: z.string().nullable(),
    }),
  ),
  queen: z.object({
    verdict: z.enum(QUEEN_VERDICTS),
    says: z.string(),
    laid: z.object({ from: CivilDate, to: CivilDate }).nullable(),
  }),
  /** Young bees due on each of the next 21 days. */
  youngBees: list(z.number()),
  temper: z.string(),
  /** The box whose frames are shown. */
  box: z.string(),
  attachments: list(
    z.object({
      id: Id,
      kind: z.enum(['photo', 'voice']),
      at: Instant,
      by: z.string(),
      of: z.string(),
      seconds: z.number().nullable(),
      spot: Spot.nullable(),
      where: z.string(),
    }),
  ),
  mayDecide: z.boolean(),
  /** Groups that may be asked to do what is decided; none for who may not decide. */
  groups: list(z.object({ id: Id, name: z.string() })),
  /** The coming days, and hours of each that are fit for lifting the lid, and for opening the hive wholly, by the middle forecast. */
  ahead: list(z.object({ date: CivilDate, lid: z.number(), full: z.number() })),
  next: z.object({ visit: Id, hive: z.string(), group: z.string() }).nullable(),
});
export type Review = z.output<typeof Review>;

const visitParam = z.object({ visit: Id });

export const visitReview = endpoint({
  method: 'GET',
  path: '/api/visits/:visit/review',
  access: ['lead', 'supervisor', 'trainee'],
  summary: 'A visit beside the one before it, with advice and what was decided',
  params: visitParam,
  response: Review,
});

export const decide = endpoint({
  method: 'POST',
  path: '/api/visits/:visit/decisions',
  access: ['lead', 'supervisor'],
  summary: 'Accept an advice, do otherwise or decline it; otherwise and declined need a reason',
  params: visitParam,
  body: z
    .object({
      id: Id,
      advice: z.enum(ADVICE_KINDS),
      verdict: z.enum(VERDICTS),
      action: z.string().trim().max(300).default(''),
      reason: z.string().trim().max(500).default(''),
      /** Day by which it is looked at again, where not as the advice says. */
      due: CivilDate.optional(),
      /** Day on which it is done, and the group that does it. */
      on: CivilDate.optional(),
      group: Id.optional(),
    })
    .refine((body) => body.verdict === 'accepted' || body.reason !== '', {
      path: ['reason'],
      error: wrong('no-reason'),
    })
    .refine((body) => body.verdict !== 'otherwise' || body.action !== '', {
      path: ['action'],
      error: wrong('nothing-instead'),
    }),
  response: z.object({ decision: Decision, followUp: FollowUp.nullable() }),
});

export const withdrawDecision = endpoint({
  method: 'POST',
  path: '/api/decisions/:decision/withdraw',
  access: ['lead', 'supervisor'],
  summary: 'Take a decision back, with the follow-up that it made',
  params: z.object({ decision: Id }),
  response: z.object({ withdrawn: z.literal(true) }),
});
