import * as z from 'zod';
import {
  EVIDENCE_IDS,
  LETTERS,
  QUESTIONS,
  SKILL_LEVELS,
  SMOKE_PLACES,
  STEP_IDS,
  STOP_REASONS,
  TRAFFIC,
} from '@brave-comb/core/inspection';
import { ExpectedState } from './care-calendar';
import { Layer, HiveTypeName, Stack } from './equipment';
import { endpoint } from './endpoint';
import { Id, Instant, Problem, field, list } from './parts';

const Eighths = z.int('Write whole eighths from 0 to 8.').min(0).max(64);
const Letter = z.enum(LETTERS);

export const FrameSide = z.object({
  eighths: z.partialRecord(Letter, Eighths),
  trace: list(Letter),
  bees: z.int().min(0).max(64).nullable(),
  queen: z.boolean(),
  cells: z.int().min(0).max(999),
  doubtful: z.boolean(),
});
export const SideAddress = z.object({
  box: z.string().min(1).max(40),
  frame: z.int().min(1).max(40),
  face: z.enum(['low', 'high']),
});
export const AddressedSide = z.object({ address: SideAddress, side: FrameSide });
/** Both sides of each frame, in order; `null` for what was not read. */
export const FrameSides = z.object({ low: FrameSide.nullable(), high: FrameSide.nullable() });

const OutsideLook = z.object({
  traffic: z.enum(TRAFFIC),
  pollenIn: z.boolean(),
  deadBees: z.boolean(),
  intruders: z.boolean(),
  note: z.string().max(500),
});
const Heading = z.string().max(500);

export const EntryBody = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('step reached'), step: z.enum(STEP_IDS) }),
  z.object({ kind: z.literal('outside seen'), when: z.enum(['before', 'after']), look: OutsideLook }),
  z.object({ kind: z.literal('smoke given'), place: z.enum(SMOKE_PLACES) }),
  z.object({ kind: z.literal('part taken off'), part: z.string().max(40) }),
  z.object({ kind: z.literal('part put back'), part: z.string().max(40) }),
  z.object({ kind: z.literal('seams counted'), box: z.string().max(40), seams: z.number().min(0).max(40) }),
  z.object({ kind: z.literal('frame side recorded'), address: SideAddress, side: FrameSide, seen: Id.nullable() }),
  z.object({ kind: z.literal('reading settled'), address: SideAddress, keep: Id }),
  z.object({ kind: z.literal('evidence ticked'), evidence: z.enum(EVIDENCE_IDS), seen: z.boolean() }),
  z.object({ kind: z.literal('mood noted'), mood: z.int().min(1).max(5) }),
  z.object({ kind: z.literal('sting counted'), person: Id.nullable() }),
  z.object({ kind: z.literal('skill judged'), trainee: Id, skill: z.string().max(60), level: z.enum(SKILL_LEVELS) }),
  z.object({ kind: z.literal('note written'), text: z.string().min(1).max(2000) }),
  z.object({
    kind: z.literal('summed up'),
    summary: z.object({ bees: Heading, brood: Heading, food: Heading, health: Heading }),
  }),
  z.object({ kind: z.literal('entry undone'), entry: Id }),
  z.object({ kind: z.literal('visit closed'), reason: z.enum(STOP_REASONS), note: z.string().max(500) }),
]);

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

export const Emergency = z.object({
  number: z.string(),
  place: z.string(),
  grid: z.string(),
  signal: z.string(),
  school: z.string(),
  kit: z.string(),
  steps: list(z.string()),
  people: list(z.object({ name: z.string(), note: z.string() })),
});

/** All that is needed at the hive, also without signal. */
export const VisitFile = z.object({
  visit: Visit,
  hiveType: HiveTypeName,
  stack: Stack,
  box: Layer,
  /** Questions left open by earlier visits. */
  asked: list(z.string()),
  queen: z.object({ year: z.int(), marked: z.boolean() }).nullable(),
  last: z.object({ visit: Id, at: Instant, sides: list(AddressedSide) }).nullable(),
  /** What the colony should look like today; `null` without an earlier visit. */
  expected: ExpectedState.nullable(),
  entries: list(VisitEntry),
  trainees: list(z.object({ id: Id, name: z.string(), seated: z.boolean() })),
  /** Skills open in the group, those that most trainees need first. */
  skills: list(z.object({ id: z.string(), name: z.string(), open: list(Id) })),
  weather: z.object({ temperature: z.number(), gust: z.number(), rainFrom: Instant.nullable() }).nullable(),
  limits: z.object({ openMinutes: z.number(), broodMinutes: z.number() }),
  emergency: Emergency,
});
export type VisitFile = z.output<typeof VisitFile>;

const visitParam = z.object({ visit: Id });

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

export const visitFile = endpoint({
  method: 'GET',
  path: '/api/visits/:visit',
  access: field,
  summary: 'A visit with everything needed at the hive',
  params: visitParam,
  response: VisitFile,
});

export const recentVisits = endpoint({
  method: 'GET',
  path: '/api/visits',
  access: ['lead', 'supervisor', 'trainee'],
  summary: 'The latest visits of the groups that one may see, newest first',
  response: z.object({ visits: list(Visit) }),
});

/** What became of one entry. */
export const EntryVerdict = z.object({
  id: z.string(),
  outcome: z.enum(['kept', 'known already', 'refused']),
  problem: Problem.optional(),
});
export type EntryVerdict = z.output<typeof EntryVerdict>;

export const recordEntries = endpoint({
  method: 'POST',
  path: '/api/visits/:visit/entries',
  access: field,
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
