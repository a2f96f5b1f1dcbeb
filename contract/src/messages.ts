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
  summary: 'Mails that would have gone out; this installation sends none by itself',
  response: z.object({
    mails: list(z.object({ id: Id, at: Instant, to: z.string(), subject: z.string(), lines: list(z.string()) })),
  }),
});
