import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { Id, Instant } from './parts';

export const Person = z.object({
  id: Id,
  name: z.string(),
  role: z.enum(ROLES),
  school: z.object({ id: Id, name: z.string() }),
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
  response: z.object({ person: Person.nullable(), clock: ClockReading }),
});

export const moveClock = endpoint({
  method: 'POST',
  path: '/api/clock',
  access: ['lead'],
  summary: "Move the demo's clock on",
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
