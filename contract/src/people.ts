import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { UNIT_SYSTEMS } from '@brave-comb/core/units';
import { Id, Instant, list } from './parts';

export const Person = z.object({
  id: Id,
  name: z.string(),
  role: z.enum(ROLES),
  school: z.object({ id: Id, name: z.string() }),
  units: z.object({
    own: z.enum(UNIT_SYSTEMS).nullable().describe('Own choice; null, as the school does.'),
    school: z.enum(UNIT_SYSTEMS),
  }),
});
export type Person = z.output<typeof Person>;

/** The one clock: a demo has its own, which can be moved on. */
export const ClockReading = z.object({ now: Instant, demo: z.boolean() });

export const signIn = endpoint({
  method: 'POST',
  path: '/api/people/sign-in',
  access: 'anyone',
  summary: 'Sign in with a name and a password',
  body: z.object({
    name: z.string().trim().min(1, 'Type your sign-in name.').max(80),
    password: z.string().min(1, 'Type your password.').max(200),
  }),
  response: z.object({ person: Person, clock: ClockReading }),
});

export const signOut = endpoint({
  method: 'POST',
  path: '/api/people/sign-out',
  access: ROLES,
  summary: 'Sign out and end the session',
  response: z.object({ signedOut: z.literal(true) }),
});

export const whoAmI = endpoint({
  method: 'GET',
  path: '/api/people/me',
  access: 'anyone',
  summary: 'Who is signed in, if anybody, and what time it is here',
  response: z.object({
    person: Person.nullable(),
    clock: ClockReading,
    door: z
      .string()
      .nullable()
      .describe('What is wrong with the way the request came in, in words; null when all is well.'),
  }),
});

export const chooseUnits = endpoint({
  method: 'POST',
  path: '/api/people/units',
  access: ROLES,
  summary: 'In which units figures are read and entered: for oneself, and by the lead for whoever did not choose',
  body: z.object({
    own: z.enum(UNIT_SYSTEMS).nullable(),
    school: z.enum(UNIT_SYSTEMS).optional().describe('For the lead instructor.'),
  }),
  response: Person,
});

export const moveClock = endpoint({
  method: 'POST',
  path: '/api/clock',
  access: ['lead'],
  summary: "Move the demo's clock on, at most two years beyond its beginning",
  body: z.object({
    to: Instant.optional().describe('The moment to move to; later than now.'),
    minutes: z
      .int()
      .min(1)
      .max(60 * 24 * 31)
      .optional()
      .describe('Minutes to move on by, when no moment is given.'),
  }),
  response: ClockReading,
});

export const beginDemoAgain = endpoint({
  method: 'POST',
  path: '/api/demo/begin-again',
  access: ['lead'],
  summary: 'Throw away what was entered in the demo and open it as it was at first; everybody is signed out',
  response: z.object({ begun: z.literal(true) }),
});

export const auditLog = endpoint({
  method: 'GET',
  path: '/api/people/audit',
  access: ['lead'],
  summary: 'Who signed in and out, what was refused, erased and taken out, the newest first',
  everNew: true,
  response: z.object({
    entries: list(
      z.object({ at: Instant, who: z.string().nullable(), what: z.string(), about: z.string(), address: z.string() }),
    ),
  }),
});

export const noteTakenOut = endpoint({
  method: 'POST',
  path: '/api/people/taken-out',
  access: ROLES,
  summary: 'Write down that somebody took records out as a file',
  body: z.object({ file: z.string().trim().min(1).max(120) }),
  response: z.object({ noted: z.literal(true) }),
});
