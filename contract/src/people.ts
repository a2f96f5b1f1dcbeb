import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { LEAST_PASSWORD } from '@brave-comb/core/people';
import { UNIT_SYSTEMS } from '@brave-comb/core/units';
import { Id, Instant, Zone, list } from './parts';
import { wrong } from './wrong';

export const Person = z.object({
  id: Id,
  name: z.string(),
  role: z.enum(ROLES),
  owner: z.boolean().describe('Whether the school is theirs: they say who else may get in.'),
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

/** Where a school is at home: what its first site begins with. */
export const SchoolHome = z.object({
  zone: Zone,
  latitude: z.number().min(-90).max(90).nullable(),
  longitude: z.number().min(-180).max(180).nullable(),
  south: z.boolean(),
});
export type SchoolHome = z.output<typeof SchoolHome>;

export const NewPassword = z.string().min(LEAST_PASSWORD, wrong('short-password')).max(200);
export const NewSignIn = z
  .string()
  .trim()
  .min(2, wrong('no-name'))
  .max(80)
  .regex(/^[^\s<>"]+$/, wrong('sign-in-name'));
export const FullName = z.string().trim().min(1, wrong('no-name')).max(120);

export const beginSchool = endpoint({
  method: 'POST',
  path: '/api/people/first-owner',
  access: 'anyone',
  summary: 'Open the first school of an installation, with the code shown where the server was started',
  body: z.object({
    code: z.string().regex(/^\d{6}$/, wrong('start-code')),
    name: FullName,
    signIn: NewSignIn,
    password: NewPassword,
    school: FullName,
    units: z.enum(UNIT_SYSTEMS),
    home: SchoolHome,
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
    beginning: z.boolean().describe('Whether this installation holds no school yet and waits for its first owner.'),
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

/** What is written down beside records: who came in, who did not, what was taken out. */
export const DOOR_EVENTS = [
  'password-lost',
  'signed-in',
  'sign-in-refused',
  'sign-in-slowed-down',
  'signed-out',
  'signed-out-elsewhere',
  'person-erased',
  'records-taken-out',
  'demo-begun-again',
  'school-begun',
  'invited',
  'password-chosen',
  'password-changed',
  'note-read',
  'note-on-sheet',
  'archive-taken-out',
  'archive-brought-in',
] as const;
/** Records whose changes are written down. */
export const CHANGED_THINGS = ['sites', 'hives', 'people', 'trainee_groups', 'sessions', 'schools'] as const;

export const changeLog = endpoint({
  method: 'GET',
  path: '/api/people/changes',
  access: ['lead'],
  summary: 'Who changed what, came in, read a note or took records out, the newest first; searched by words',
  everNew: true,
  query: z.object({
    words: z.string().trim().max(80).optional(),
    before: Instant.optional().describe('Only what is older: the next page.'),
    doors: z
      .enum(['with', 'without'])
      .optional()
      .describe('Whether comings and goings are told too; they are by default.'),
  }),
  response: z.object({
    lines: list(
      z.object({
        at: Instant,
        by: z.string().nullable(),
        thing: z.enum(CHANGED_THINGS).nullable().describe('What kind of record was changed; null for what is none.'),
        door: z.enum(DOOR_EVENTS).nullable(),
        name: z.string(),
        made: z.boolean().describe('Whether the record was made then.'),
        parts: list(z.object({ field: z.string(), was: z.string().nullable(), is: z.string().nullable() })),
        address: z.string(),
      }),
    ),
    more: z.boolean(),
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
