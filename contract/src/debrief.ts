import { LETTERS, JOBS, SKILL_LEVELS } from '@brave-comb/core/inspection';
import { DEBRIEF_PARTS } from '@brave-comb/core/skills';
import * as z from 'zod';
import { endpoint } from './endpoint';
import { CivilDate, field, Id, Instant, list } from './parts';

const Line = z.object({ lead: z.string(), text: z.string() });
const Level = z.enum(SKILL_LEVELS);

/** Parts of the talk at the gate, in order. */
export const TALK_PARTS = ['did', 'found', 'well', 'learn', 'next'] as const;

/** A session afterwards, by trainee. */
export const Debrief = z.object({
  session: Id,
  day: CivilDate,
  zone: z.string(),
  site: z.string(),
  from: Instant.nullable(),
  to: Instant.nullable(),
  /** Changes whenever an entry is added to a visit of the session or a judgement to its trainees. */
  revision: z.string(),
  groups: list(
    z.object({
      visit: Id,
      hive: z.string(),
      group: z.string(),
      supervisor: z.object({ id: Id, name: z.string() }),
      openedAt: Instant.nullable(),
      closedAt: Instant.nullable(),
      /** What the visit says of itself: sides, where it stopped, roles that changed hands. */
      says: z.string(),
      frames: z.int(),
      trainees: list(
        z.object({
          id: Id,
          name: z.string(),
          /** Role at each frame; `null` where nobody lifted it. */
          roles: list(z.enum(JOBS).nullable()),
          judged: list(
            z.object({
              /** Of the checklist, and what it calls the skill. */
              skillId: z.string(),
              skill: z.string(),
              before: Level.nullable(),
              after: Level,
              by: z.string(),
              prompt: z.string(),
              note: z.string(),
            }),
          ),
          /** Eighths off on the mean of the readings given before the supervisor's was shown. */
          off: z
            .object({ eighths: z.number(), letter: z.enum(LETTERS).nullable(), by: z.number(), sides: z.int() })
            .nullable(),
          /** Visits running, this one the last, in which no frame was in hand. */
          withoutFrame: z.int(),
        }),
      ),
    }),
  ),
  toSign: list(
    z.object({
      part: z.enum(DEBRIEF_PARTS),
      text: z.string(),
      detail: z.string(),
      /** What bars the signature until it is settled; `null` when nothing does. */
      bars: z.string().nullable(),
      /** Where it is settled or read. */
      visit: Id.nullable(),
    }),
  ),
  signed: z.object({ by: z.string(), at: Instant, /** Something was added since. */ outdated: z.boolean() }).nullable(),
  sentBack: list(z.object({ to: z.string(), by: z.string(), at: Instant, note: z.string() })),
  wrong: list(z.object({ at: Instant, text: z.string() })),
  nobody: list(Line),
  open: list(Line),
  made: list(z.object({ due: CivilDate, text: z.string() })),
  notes: list(Line),
  /** The debrief in whole sentences to be said aloud, a minute a part, each with what the group is asked. */
  talk: list(z.object({ part: z.enum(TALK_PARTS), lines: list(z.string()), ask: z.string().nullable() })),
  /** Sessions with visits, the newest first. */
  sessions: list(z.object({ id: Id, day: CivilDate, groups: z.string() })),
});

export type Debrief = z.output<typeof Debrief>;

export const debrief = endpoint({
  method: 'GET',
  path: '/api/debriefs',
  access: field,
  summary:
    'A session afterwards, by trainee: who did what, what was judged, what is left; the latest one without a session',
  query: z.object({ session: Id.optional() }),
  response: Debrief.nullable(),
});

export const signDebrief = endpoint({
  method: 'POST',
  path: '/api/debriefs/:session/sign',
  access: ['lead'],
  summary: 'Sign a debrief: every part read, no double reading left, every visit closed',
  params: z.object({ session: Id }),
  body: z.object({
    id: Id,
    /** What was on the screen: nothing may have come since. */
    revision: z.string(),
    read: list(z.enum(DEBRIEF_PARTS)),
  }),
  response: Debrief.nullable(),
});

export const sendDebriefBack = endpoint({
  method: 'POST',
  path: '/api/debriefs/:session/back',
  access: ['lead'],
  summary: 'Send a debrief back to a supervisor with what is missing',
  params: z.object({ session: Id }),
  body: z.object({ id: Id, supervisor: Id, note: z.string().trim().min(3, 'Say what is missing.').max(500) }),
  response: Debrief.nullable(),
});
