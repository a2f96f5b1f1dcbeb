import * as z from 'zod';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import { ROLES, endpoint } from './endpoint';
import { Id, Instant, list } from './parts';

export const Standing = z.object({
  skill: z.string(),
  name: z.string(),
  stage: z.string(),
  shownBy: z.string(),
  level: z.enum(SKILL_LEVELS).nullable(),
  open: z.boolean(),
  lastAt: Instant.nullable(),
});

export const standings = endpoint({
  method: 'GET',
  path: '/api/trainees/:trainee/standings',
  access: ROLES,
  summary: "A trainee's standing in every skill; trainees may ask for their own only",
  params: z.object({ trainee: Id }),
  response: z.object({ trainee: z.object({ id: Id, name: z.string() }), standings: list(Standing) }),
});
