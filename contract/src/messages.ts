import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { Id, Instant, list } from './parts';

const Messages = z.object({
  messages: list(
    z.object({
      id: Id,
      at: Instant,
      subject: z.string(),
      lines: list(z.string()),
      read: z.boolean(),
    }),
  ),
});

export const messages = endpoint({
  method: 'GET',
  path: '/api/people/messages',
  access: ROLES,
  summary: 'What one was told, the newest first',
  response: Messages,
});

export const readMessage = endpoint({
  method: 'POST',
  path: '/api/people/messages/:message/read',
  access: ROLES,
  summary: 'Mark a message as read',
  params: z.object({ message: Id }),
  response: Messages,
});

export const outbox = endpoint({
  method: 'GET',
  path: '/api/people/outbox',
  access: ['lead'],
  summary: 'What people were told, and what became of it as a mail',
  response: z.object({
    sends: z.boolean().describe('Whether this installation sends mails.'),
    mails: list(
      z.object({
        id: Id,
        at: Instant,
        to: z.string(),
        subject: z.string(),
        lines: list(z.string()),
        mail: z
          .object({ sent: Instant.nullable(), tries: z.int(), fault: z.string().nullable() })
          .nullable()
          .describe('What became of it as a mail; null for somebody without an address.'),
      }),
    ),
  }),
});
