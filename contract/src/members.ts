import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { MOST_ROWS } from '@brave-comb/core/roster';
import { Changed, Version } from './equipment';
import { Id, Instant, list } from './parts';
import { ClockReading, FullName, NewPassword, NewSignIn, Person } from './people';
import { wrong } from './wrong';

const GroupName = z.string().trim().min(1, wrong('no-name')).max(60);
const Mail = z.email(wrong('mail')).max(254);
const EmergencyNote = z.string().trim().max(500);

/** How somebody gets in. */
export const WAYS_IN = ['none', 'invited', 'invitation-over', 'password'] as const;

const Members = z.object({
  people: list(
    z.object({
      id: Id,
      name: z.string(),
      role: z.enum(ROLES),
      owner: z.boolean(),
      mail: z.string().nullable(),
      groups: list(Id),
      wayIn: z.enum(WAYS_IN),
      invitedUntil: Instant.nullable(),
      signIn: z.string().nullable().describe('The name with which they sign in; null while they cannot.'),
      lastHere: Instant.nullable().describe('When they last signed in.'),
      note: z.boolean().describe('Whether there is an emergency note. What it says is told to those who need it only.'),
      version: Version,
      changed: Changed,
      retired: Instant.nullable(),
    }),
  ),
  groups: list(z.object({ id: Id, name: z.string(), version: Version, retired: Instant.nullable() })),
  mails: z.boolean().describe('Whether this installation sends mails.'),
});
export type Members = z.output<typeof Members>;

export const members = endpoint({
  method: 'GET',
  path: '/api/people/members',
  access: ['lead'],
  summary: 'The people of the school and their groups, retired ones last',
  response: Members,
});

export const addMembers = endpoint({
  method: 'POST',
  path: '/api/people/members',
  access: ['lead'],
  summary:
    'Take people into the school, or into further groups: all of them or none. Groups that are not there are made',
  body: z.object({
    people: list(
      z.object({
        id: Id,
        known: z.boolean().describe('Whether they are at the school already and only join groups.'),
        name: FullName,
        role: z.enum(ROLES),
        groups: list(GroupName),
        mail: Mail.nullable(),
        emergency: EmergencyNote.nullable(),
      }),
    ).refine((rows) => rows.length <= MOST_ROWS, wrong('many-rows')),
  }),
  response: Members,
});

const onPerson = z.object({ person: Id });

export const changeMember = endpoint({
  method: 'POST',
  path: '/api/people/members/:person',
  access: ['lead'],
  summary:
    'Change what somebody is called, what they are in the school, and in which groups. Leads are made by the owner',
  params: onPerson,
  body: z.object({
    version: Version,
    name: FullName,
    role: z.enum(ROLES),
    mail: Mail.nullable(),
    groups: list(Id),
    emergency: EmergencyNote.nullable()
      .optional()
      .describe('A new emergency note; null takes it away, and left out it stays as it is.'),
  }),
  response: Members,
});

export const retireMember = endpoint({
  method: 'POST',
  path: '/api/people/members/:person/retire',
  access: ['lead'],
  summary: 'Let somebody leave the school, or come back. They are signed out everywhere; what they did stays',
  params: onPerson,
  body: z.object({ version: Version, retired: z.boolean() }),
  response: Members,
});

const onGroup = z.object({ group: Id });

export const keepGroup = endpoint({
  method: 'POST',
  path: '/api/people/groups/:group',
  access: ['lead'],
  summary: 'Make a group, or give one another name',
  params: onGroup,
  body: z.object({ version: Version, name: GroupName }),
  response: Members,
});

export const retireGroup = endpoint({
  method: 'POST',
  path: '/api/people/groups/:group/retire',
  access: ['lead'],
  summary: 'End a group, or begin it again; its sessions stay',
  params: onGroup,
  body: z.object({ version: Version, retired: z.boolean() }),
  response: Members,
});

export const invite = endpoint({
  method: 'POST',
  path: '/api/people/members/:person/invitation',
  access: ['lead'],
  summary: 'Make a link by which somebody chooses their password, for the first time or anew. Earlier links end',
  params: onPerson,
  response: z.object({
    link: z.string().describe('Path within this installation, with a secret: shown once.'),
    until: Instant,
    members: Members,
  }),
});

export const mailInvitation = endpoint({
  method: 'POST',
  path: '/api/people/members/:person/invitation/mail',
  access: ['lead'],
  summary:
    'Send somebody a link by which they choose their password. Earlier links end once the mail server has taken it',
  params: onPerson,
  response: z.object({ until: Instant, members: Members }),
});

export const lostPassword = endpoint({
  method: 'POST',
  path: '/api/people/password/lost',
  access: 'anyone',
  summary:
    'Ask for a link for a new password, sent to the address that is known. What is answered tells nobody whether one is',
  body: z.object({ name: z.string().trim().min(1).max(254).describe('Sign-in name or mail address.') }),
  response: z.object({ mails: z.boolean().describe('Whether this installation sends mails at all.') }),
});

const Token = z.string().regex(/^[\w-]{43}$/, wrong('invitation'));

export const lookAtInvitation = endpoint({
  method: 'POST',
  path: '/api/people/invitation',
  access: 'anyone',
  summary: 'Whom an invitation is for',
  body: z.object({ token: Token }),
  response: z.object({
    name: z.string(),
    school: z.string(),
    signIn: z.string().describe('The name they sign in with, or one that is free.'),
    known: z.boolean().describe('Whether they have signed in before, and the password is a new one.'),
    until: Instant,
  }),
});

export const acceptInvitation = endpoint({
  method: 'POST',
  path: '/api/people/invitation/accept',
  access: 'anyone',
  summary: 'Choose a password by an invitation, and be signed in. Other sessions of that person end',
  body: z.object({ token: Token, signIn: NewSignIn, password: NewPassword }),
  response: z.object({ person: Person, clock: ClockReading }),
});

export const changePassword = endpoint({
  method: 'POST',
  path: '/api/people/password',
  access: ROLES,
  summary: 'Change one’s own password. Other sessions end',
  body: z.object({ password: z.string().min(1).max(200), next: NewPassword }),
  response: z.object({ ended: z.int().describe('Other sessions that were ended.') }),
});

const Sessions = z.object({
  sessions: list(z.object({ id: z.string(), since: Instant, used: Instant, device: z.string(), here: z.boolean() })),
});

export const mySignIns = endpoint({
  method: 'GET',
  path: '/api/people/sign-ins',
  access: ROLES,
  summary: 'Where one is signed in',
  everNew: true,
  response: Sessions,
});

export const endSignIns = endpoint({
  method: 'POST',
  path: '/api/people/sign-ins/end',
  access: ROLES,
  summary: 'Sign out elsewhere: one of the other sessions, or all of them',
  body: z.object({ id: z.string().max(64).nullable() }),
  response: Sessions,
});

export const readEmergencyNote = endpoint({
  method: 'POST',
  path: '/api/people/members/:person/emergency-note',
  access: ['lead'],
  summary: 'Read somebody’s emergency note. That it was read, by whom and when is written down',
  params: onPerson,
  response: z.object({
    note: z.string().nullable(),
    readers: list(z.object({ by: z.string(), at: Instant })),
  }),
});
