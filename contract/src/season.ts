import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { CivilDate, Id, Instant, Span, list } from './parts';

export const StripDay = z.object({
  date: CivilDate,
  observed: z.boolean(),
  warmest: Span.nullable(),
  rain: z.tuple([z.number(), z.number()]).readonly().nullable(),
  hours: z.object({ lid: Span, 'one frame': Span, full: Span }).nullable(),
});
export type StripDay = z.output<typeof StripDay>;

export const Strip = z.object({
  site: z.object({ id: Id, name: z.string(), zone: z.string() }),
  sites: list(z.object({ id: Id, name: z.string() })),
  today: CivilDate,
  forecast: z.object({ issuedAt: Instant.nullable(), problem: z.string().nullable() }),
  days: list(StripDay),
  bloom: list(
    z.object({
      plant: z.string(),
      gives: z.enum(['nectar', 'pollen', 'nectar and pollen']),
      from: CivilDate,
      to: CivilDate,
      giveOrTake: z.number(),
    }),
  ),
  sessions: list(
    z.object({ id: Id, date: CivilDate, groups: z.int(), status: z.enum(['planned', 'held', 'called off']) }),
  ),
  due: list(
    z.object({ id: Id, hive: z.string(), from: CivilDate, due: CivilDate, question: z.string(), done: z.boolean() }),
  ),
});
export type Strip = z.output<typeof Strip>;

export const seasonStrip = endpoint({
  method: 'GET',
  path: '/api/season/strip',
  access: ROLES,
  summary: 'Three weeks around today at one site: fit hours, weather, bloom, sessions and what is due',
  query: z.object({ site: Id.optional(), from: CivilDate.optional() }),
  response: Strip,
});
