import { DEPTHS } from '@brave-comb/core/weather';
import * as z from 'zod';
import { endpoint } from './endpoint';
import { CivilDate, Id, Instant, SessionStatus, SiteNames, list } from './parts';
import { Version } from './equipment';
import { wrong } from './wrong';

/** A time of the day at the site. */
const Clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, wrong('clock'));
const Depth = z.enum(DEPTHS);
const Word = z.string().trim().max(400);

/** A group's part of a session. */
const Part = z.object({ group: Id, hive: Id, supervisor: Id });

export const CALLED_OFF = ['weather', 'bees', 'nobody-leads', 'other'] as const;

const OnHand = z.object({
  ...SiteNames,
  date: CivilDate,
  today: CivilDate,
  from: Clock,
  to: Clock,
  depth: Depth,
  spans: list(z.object({ depth: Depth.nullable(), from: Clock, to: Clock, chance: z.number() })).describe(
    'What the weather allows through the day; empty where no forecast reaches.',
  ),
  turns: z.string().nullable().describe('What ends the hours that are fit, and when.'),
  fit: z.number().nullable().describe('Share of the forecasts in which the chosen hours are fit; null beyond them.'),
  groups: list(
    z.object({
      id: Id,
      name: z.string(),
      size: z.int(),
      comes: z.string().nullable().describe('Why the group cannot come; null when it can.'),
      next: Instant.nullable().describe('Their next session as things stand.'),
      hives: list(
        z.object({
          id: Id,
          number: z.string(),
          minutes: z.int(),
          barred: z.boolean(),
          says: z.string().nullable(),
          asks: z.string().nullable().describe('What is due at it.'),
        }),
      ).describe('Hives of the site, the most useful first.'),
      hive: Id.nullable().describe('The one to open; null where none may be.'),
      supervisor: Id.nullable(),
    }),
  ),
  supervisors: list(z.object({ id: Id, name: z.string(), away: z.string().nullable() })),
});
export type OnHand = z.output<typeof OnHand>;

export const handSession = endpoint({
  method: 'GET',
  path: '/api/planning/by-hand',
  access: ['lead'],
  summary: 'What a session made by hand could be: hours that are fit, hives for each group and who leads',
  query: z.object({
    site: Id.optional(),
    date: CivilDate.optional(),
    from: Clock.optional(),
    to: Clock.optional(),
    session: Id.optional().describe('The session that is being changed: it stands in nobody’s way.'),
  }),
  response: OnHand,
});

const Kept = z.object({ session: Id, told: z.int() });
const onSession = z.object({ session: Id });

/** Where and when a session is, and how deep it goes. */
const planned = { site: Id, date: CivilDate, from: Clock, to: Clock, depth: Depth };

export const keepHandSession = endpoint({
  method: 'POST',
  path: '/api/planning/by-hand/:session',
  access: ['lead'],
  summary: 'Make a session by hand, or change one that is planned, and tell those concerned. The plan works round it',
  params: onSession,
  body: z.object({
    version: Version,
    ...planned,
    parts: list(Part)
      .refine((parts) => parts.length > 0, wrong('no-group'))
      .refine((parts) => parts.length <= 40, wrong('no-group')),
    anyway: Word.describe('Why it is held although something does not fit; empty where all does.'),
    tell: z.boolean(),
    word: Word.describe('Added to day, place and hive in what people are told.'),
  }),
  response: Kept,
});

export const callOffSession = endpoint({
  method: 'POST',
  path: '/api/planning/by-hand/:session/call-off',
  access: ['lead'],
  summary: 'Call a planned session off with a word to those concerned, or take that back',
  params: onSession,
  body: z.object({ off: z.boolean(), why: z.enum(CALLED_OFF), tell: z.boolean(), word: Word }),
  response: Kept,
});

export const plannedSession = endpoint({
  method: 'GET',
  path: '/api/planning/by-hand/:session',
  access: ['lead'],
  summary: 'A session as it stands, to be moved, changed or called off',
  params: onSession,
  response: z.object({
    id: Id,
    version: Version,
    ...planned,
    status: SessionStatus,
    begun: z.boolean().describe('Whether a hive was opened in it: then it is changed no more.'),
    byHand: z.boolean(),
    off: z.object({ why: z.enum(CALLED_OFF), word: z.string(), by: z.string(), at: Instant }).nullable(),
    parts: list(Part.extend({ groupName: z.string(), number: z.string(), supervisorName: z.string() })),
    told: z.int().describe('People whom it concerns, without whoever asks.'),
  }),
});
