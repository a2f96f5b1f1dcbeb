import { COLONY_CLASSES } from '@brave-comb/core/care';
import * as z from 'zod';
import {
  COMB_GRADES,
  COMB_KINDS,
  COMB_STORES,
  QUESTIONS,
  JOBS,
  STEP_IDS,
  VISIT_DEPTHS,
  STRAY_CAUSES,
  STRAY_CONTENTS,
} from '@brave-comb/core/inspection';
import { SKILL_PHASES } from '@brave-comb/core/skills';
import { ExpectedState } from './dues';
import { Emergency, Layer, HiveTypeName, Stack, Standing, WeighedLayer } from './equipment';
import { ROLES, endpoint } from './endpoint';
import { EntryBody, OutsideLook } from './inspection-entries';
import { AddressedSide, Comb, PartName, Spot } from './inspection-sides';
import { CivilDate, Id, Instant, Problem, field, list } from './parts';
import { wrong } from './wrong';

/** An entry as a device sends it. */
export const NewEntry = z.object({ id: Id, at: Instant, body: EntryBody });
export type NewEntry = z.output<typeof NewEntry>;
export const VisitEntry = NewEntry.extend({ by: Id });

const Visit = z.object({
  id: Id,
  hive: Id,
  hiveNumber: z.string(),
  site: z.string(),
  siteId: Id.optional(),
  zone: z.string(),
  stand: z.string(),
  session: Id,
  group: z.object({ id: Id, name: z.string() }),
  supervisor: z.object({ id: Id, name: z.string() }),
  startedAt: Instant,
  closedAt: Instant.nullable(),
  questions: list(z.enum(QUESTIONS)),
});
export type Visit = z.output<typeof Visit>;

/** All that is needed at the hive, also without signal. */
export const VisitFile = z.object({
  visit: Visit,
  hiveType: HiveTypeName,
  stack: Stack,
  box: Layer,
  /** Questions left open by earlier visits. */
  asked: list(z.string()),
  queen: z.object({ year: z.int(), marked: z.boolean() }).nullable(),
  last: z.object({ visit: Id, at: Instant, sides: list(AddressedSide), look: OutsideLook.nullable() }).nullable(),
  /** What the colony should look like today; `null` without an earlier visit. */
  expected: ExpectedState.nullable(),
  entries: list(VisitEntry),
  /** How many entries the server had; what comes after them is asked for by this. */
  heard: z.int(),
  /** Combs of each box as they were found, in order. */
  combs: list(z.object({ box: PartName, combs: list(Comb) })),
  /** Combs that are in store and could go in, and the other hives of the site. */
  reserve: list(z.object({ comb: Comb, store: z.enum(COMB_STORES) })),
  neighbours: list(z.object({ id: Id, number: z.string(), stack: Stack })),
  /** How deep the hour and the season let anybody go, and why. */
  depth: z.object({ allowed: z.enum(VISIT_DEPTHS), why: z.string() }),
  /** What speaks for care with this colony, most pressing first. */
  cautions: list(z.string()),
  /** Why it must be left alone, what disease is suspected; `null` where nothing is. */
  lock: z.string().nullable(),
  /** What the inspector ordered of this colony, `null` while nothing is. */
  ordered: z.string().nullable().default(null),
  suspicion: z.string().nullable(),
  late: z.boolean(),
  robbingSeason: z.boolean(),
  /** What each part above the nest would weigh, and who lifts it. */
  lifting: list(WeighedLayer),
  /** Worst mood of the colony at its last visits, 1 quiet to 5 close. */
  temper: z.int().nullable(),
  trainees: list(
    z.object({
      id: Id,
      name: z.string(),
      seated: z.boolean(),
      note: z.string().nullable(),
      /** Skills that guard against stings and are not held yet: without them nobody handles frames of a defensive colony. */
      barred: list(z.string()),
      /** Visits in which they had each role. */
      had: z.partialRecord(z.enum(JOBS), z.int()),
    }),
  ),
  /** The checklist: what a skill is shown by, what each level sounds like, and who still has to show it. */
  skills: list(
    z.object({
      id: z.string(),
      name: z.string(),
      phase: z.enum(SKILL_PHASES),
      role: z.enum([...JOBS, 'everybody']),
      shownBy: z.string(),
      says: list(z.string()),
      open: list(Id),
    }),
  ),
  weather: z.object({ temperature: z.number(), gust: z.number(), rainFrom: Instant.nullable() }).nullable(),
  /** Minutes that the hive and a brood frame may be open, and what shortened the hive's. */
  limits: z.object({ openMinutes: z.number(), because: list(z.string()), broodMinutes: z.number() }),
  /** Repairs and the like that earlier visits left to be done here. */
  tasks: list(z.object({ id: Id, what: z.string(), due: CivilDate, bring: z.string().nullable() })),
  /** Where the colony comes from, how much is asked of it, and its temper at the last visits, oldest first. */
  colony: z.object({
    origin: z.string(),
    since: CivilDate,
    class: z.enum(COLONY_CLASSES),
    tempers: list(z.int()),
    temperSays: z.string(),
  }),
  /** Where it stands among its neighbours and who stands where; `null` while nobody placed it. */
  standing: Standing.nullable(),
  /** What the work planned here asks to be brought. */
  kit: list(z.string()),
  /** What the lead answered to what was asked at this hive. */
  answers: list(z.object({ question: z.string(), answer: z.string() })),
  emergency: Emergency,
});
export type VisitFile = z.output<typeof VisitFile>;

const visitParam = z.object({ visit: Id });
const anyRole = ROLES;

export const startVisit = endpoint({
  method: 'POST',
  path: '/api/visits',
  access: field,
  summary: 'Open a visit to one hive within a session; sent twice, it is opened once',
  body: z.object({
    id: Id,
    session: Id,
    hive: Id,
    startedAt: Instant,
    questions: list(z.enum(QUESTIONS)).optional(),
  }),
  response: Visit,
});

export const hiveList = endpoint({
  method: 'GET',
  path: '/api/hives',
  access: field,
  summary: 'All hives of the school with where they stand, to open one or to print its label',
  response: z.object({
    /** Address that people type, for labels; `null` when whoever runs the server has not said. */
    address: z.string().nullable(),
    hives: list(z.object({ id: Id, number: z.string(), site: Id, siteName: z.string(), stand: z.string() })),
  }),
});

export const openUnplanned = endpoint({
  method: 'POST',
  path: '/api/sessions/unplanned',
  access: field,
  summary:
    'Make a session of now for one hive that no session of today is planned for, led by whoever asks; sent twice, it is made once',
  body: z.object({ id: Id, hive: Id, group: Id.nullable().default(null) }),
  response: z.object({ session: Id }),
});

export const visitFile = endpoint({
  method: 'GET',
  path: '/api/visits/:visit',
  access: anyRole,
  summary: 'A visit with everything needed at the hive; a trainee of the group may record in it',
  params: visitParam,
  response: VisitFile,
});

export const recentVisits = endpoint({
  method: 'GET',
  path: '/api/visits',
  access: anyRole,
  summary:
    'The latest visits of the groups that one may see, newest first; the ones before a moment to look further back',
  query: z.object({ before: Instant.optional() }),
  response: z.object({ visits: list(Visit), more: z.boolean() }),
});

export const visitEntries = endpoint({
  method: 'GET',
  // Not among what devices keep for times without signal.
  path: '/api/live/visits/:visit/entries',
  access: anyRole,
  summary: 'Entries of a visit that came after so many: what other devices entered meanwhile',
  params: visitParam,
  query: z.object({ after: z.coerce.number().int().min(0) }),
  response: z.object({ entries: list(VisitEntry), heard: z.int() }),
});

/** What became of one entry. */
export const EntryVerdict = z.object({
  id: z.string(),
  outcome: z.enum(['kept', 'known-already', 'refused']),
  problem: Problem.optional(),
});
export type EntryVerdict = z.output<typeof EntryVerdict>;

export const recordEntries = endpoint({
  method: 'POST',
  path: '/api/visits/:visit/entries',
  access: anyRole,
  summary:
    'Record entries of a visit, in order; entries known already do no harm, a refused one leaves the others standing',
  params: visitParam,
  body: z.object({
    entries: z.array(z.unknown()).min(1, 'Send at least one entry.').max(200, 'Send at most 200 at a time.'),
  }),
  response: z.object({ verdicts: list(EntryVerdict) }),
});

export const preparedVisit = endpoint({
  method: 'GET',
  path: '/api/sessions/:session/hives/:hive/visit-file',
  access: field,
  summary:
    'What a device needs to open a visit later without signal: the file of a visit not yet started, with an id to start it by',
  params: z.object({ session: Id, hive: Id }),
  response: VisitFile,
});

const ATTACHMENT_LIMIT = 1_000_000;
const ATTACHMENT_TYPES = ['image/jpeg', 'audio/webm', 'audio/ogg', 'audio/mp4'] as const;

export const keepAttachment = endpoint({
  method: 'POST',
  path: '/api/visits/:visit/attachments',
  access: anyRole,
  summary: 'Keep a photo, scaled down on the device, or a voice note of a visit; sent twice, it is kept once',
  params: visitParam,
  body: z.object({
    id: Id,
    takenAt: Instant,
    type: z.enum(ATTACHMENT_TYPES),
    /** The file in base64, without a data prefix. */
    content: z
      .string()
      .regex(/^[A-Za-z0-9+/]+={0,2}$/, 'The file is not base64.')
      .max(ATTACHMENT_LIMIT, 'The file is too large: scale a photo down to 1600 points, speak three minutes at most.'),
  }),
  response: z.object({ id: Id }),
});

export const attachment = endpoint({
  method: 'GET',
  path: '/api/attachments/:attachment',
  access: anyRole,
  summary: 'A photo or voice note of a visit that one may see',
  params: z.object({ attachment: Id }),
  response: z.object({ id: Id, visit: Id, takenAt: Instant, type: z.enum(ATTACHMENT_TYPES), content: z.string() }),
});

const AskedQuestion = z.object({
  id: Id,
  visit: Id,
  hiveNumber: z.string(),
  group: z.string(),
  text: z.string(),
  askedBy: z.string(),
  /** Trainee whose question it is, when somebody else wrote it down. */
  person: z.string().nullable(),
  askedAt: Instant,
  zone: z.string(),
  spot: Spot.nullable(),
  photo: Id.nullable(),
  sure: z.int().nullable(),
  answer: z.object({ text: z.string(), by: z.string(), at: Instant }).nullable(),
});
export type AskedQuestion = z.output<typeof AskedQuestion>;

export const askedQuestions = endpoint({
  method: 'GET',
  path: '/api/questions',
  access: anyRole,
  summary: 'Questions asked and marks that nobody could name, open ones first',
  response: z.object({ questions: list(AskedQuestion) }),
});

export const answerQuestion = endpoint({
  method: 'POST',
  path: '/api/questions/:question/answer',
  access: field,
  summary: 'Answer a question; a later answer replaces an earlier one',
  params: z.object({ question: Id }),
  body: z.object({ text: z.string().trim().min(1, 'Write the answer.').max(1000) }),
  response: AskedQuestion,
});

/** One hive of a session as it stands now. */
const LiveVisit = z.object({
  visit: Id,
  hiveNumber: z.string(),
  group: z.string(),
  supervisor: z.string(),
  step: z.enum(STEP_IDS),
  openedAt: Instant.nullable(),
  closedAt: Instant.nullable(),
  allowedMinutes: z.number(),
  sidesRead: z.int(),
  sides: z.int(),
  mood: z.int().nullable(),
  stings: z.int(),
  lastEntryAt: Instant.nullable(),
  /** What wants the lead's eye, most pressing first. */
  warnings: list(z.string()),
});
export type LiveVisit = z.output<typeof LiveVisit>;
const LiveSession = z.object({
  session: Id,
  at: Instant,
  visits: list(LiveVisit),
  /** Groups that have not opened a hive yet. */
  waiting: list(z.object({ group: z.string(), hiveNumber: z.string() })),
});
export type LiveSession = z.output<typeof LiveSession>;

const sessionParam = z.object({ session: Id });
export const liveSession = endpoint({
  method: 'GET',
  path: '/api/live/sessions/:session',
  access: field,
  summary: 'All hives of a session as they stand now',
  params: sessionParam,
  response: LiveSession,
});

export const liveSessionStream = endpoint({
  method: 'GET',
  path: '/api/live/sessions/:session/stream',
  access: field,
  summary: 'All hives of a session, again whenever something changes',
  params: sessionParam,
  response: LiveSession,
  streams: true,
});

const Task = z.object({
  id: Id,
  hiveNumber: z.string(),
  what: z.string(),
  from: CivilDate,
  due: CivilDate,
  bring: z.string().nullable(),
  /** The visit that left it. */
  visit: Id.nullable(),
  source: z.enum(['visit', 'yard-round', 'by-hand']),
  settled: z.object({ by: z.string(), at: Instant }).nullable(),
});

export const yardBook = endpoint({
  method: 'GET',
  path: '/api/yard-book',
  access: field,
  summary: 'What visits left to be done, stray comb with its causes, wax saved, and how hives changed',
  response: z.object({
    zone: z.string(),
    today: CivilDate,
    tasks: list(Task),
    hives: list(z.object({ id: Id, number: z.string() })),
    strayCombs: list(
      z.object({
        visit: Id,
        hiveNumber: z.string(),
        at: Instant,
        where: z.string(),
        content: z.enum(STRAY_CONTENTS),
        cause: z.enum(STRAY_CAUSES),
        mend: z.string(),
        removed: z.boolean(),
      }),
    ),
    /** Scraps by session day, kg, the latest first. */
    scraps: list(z.object({ date: CivilDate, kg: z.number(), hives: list(z.string()) })),
    /** How stuck each hive was when it was noted last, 0 free to 3 glued solid. */
    stuck: list(z.object({ hiveNumber: z.string(), part: z.string(), grade: z.int(), says: z.string(), at: Instant })),
    stackChanges: list(
      z.object({ visit: Id, hiveNumber: z.string(), at: Instant, words: z.string(), reason: z.string() }),
    ),
  }),
});

export const addTask = endpoint({
  method: 'POST',
  path: '/api/yard-book/hives/:hive/tasks',
  access: field,
  summary: 'Leave something for whoever opens a hive next; sent twice, it is there once',
  params: z.object({ hive: Id }),
  body: z.object({
    id: Id,
    what: z.string().trim().min(1, wrong('to-do')).max(600),
    due: CivilDate,
  }),
  response: z.object({ kept: z.literal(true) }),
});

export const settleTask = endpoint({
  method: 'POST',
  path: '/api/yard-book/tasks/:task',
  access: field,
  summary: 'Say that a task is done, or not after all',
  params: z.object({ task: Id }),
  body: z.object({ done: z.boolean() }),
  response: z.object({ kept: z.literal(true) }),
});

export const predictions = endpoint({
  method: 'GET',
  path: '/api/predictions',
  access: anyRole,
  summary: 'How well each trainee predicted sides before they were turned, visit by visit; trainees see their own',
  response: z.object({
    zone: z.string(),
    people: list(
      z.object({
        id: Id,
        name: z.string(),
        visits: list(
          z.object({
            visit: Id,
            hiveNumber: z.string(),
            at: Instant,
            guesses: z.int(),
            /** Mean score of the visit, 0 to 1. */
            score: z.number(),
            missed: list(z.string()),
          }),
        ),
      }),
    ),
  }),
});

const StoredComb = z.object({
  comb: Comb,
  /** Where it is: hive, box and place, or a store. */
  hiveNumber: z.string().nullable(),
  box: z.string().nullable(),
  place: z.int().nullable(),
  store: z.enum(COMB_STORES).nullable(),
  donorNumber: z.string().nullable(),
  since: CivilDate,
  /** Grade by age and what was seen on it last. */
  grade: z.enum(COMB_GRADES),
  why: z.string(),
});
export const combLedger = endpoint({
  method: 'GET',
  path: '/api/combs',
  access: field,
  summary: 'Combs in store and those due for renewal, with where every moved comb came from and went',
  response: z.object({
    stock: list(z.object({ store: z.enum(COMB_STORES), kind: z.enum(COMB_KINDS), count: z.int() })),
    /** What planned jobs ask for and the stores do not hold. */
    shortfall: list(z.object({ kind: z.enum(COMB_KINDS), need: z.int(), have: z.int(), hives: list(z.string()) })),
    combs: list(StoredComb),
    moves: list(
      z.object({
        at: Instant,
        visit: Id,
        label: z.string(),
        from: z.string(),
        to: z.string(),
        reason: z.string(),
      }),
    ),
  }),
});
