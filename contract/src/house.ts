import { CHAPTERS, FIGURES, type FigureId } from '@brave-comb/core/house';
import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { CivilDate, Id, Instant, list } from './parts';

const FigureName = z.enum(Object.keys(FIGURES) as [FigureId, ...FigureId[]]);
const Value = z.union([z.number(), z.boolean(), z.string().max(40)]);
const Changes = z
  .partialRecord(FigureName, Value)
  .refine((changes) => Object.keys(changes).length > 0 && Object.keys(changes).length <= 60)
  .meta({ example: { 'full-warmth': 16 } });

const Trouble = z.object({
  figure: FigureName,
  says: z.string(),
  refused: z.boolean().describe('Whether it cannot be kept; else it is only unusual.'),
});

const HousePractice = z.object({
  mayChange: z.boolean(),
  chapters: list(
    z.object({
      id: z.enum(CHAPTERS),
      name: z.string(),
      figures: list(
        z.object({
          id: FigureName,
          name: z.string(),
          meaning: z.string(),
          holds: z.enum(['number', 'yes-no', 'choice']),
          measure: z.string().nullable().describe('In what a number is told; quantities in the unit of the core.'),
          least: z.number().nullable(),
          most: z.number().nullable(),
          step: z.number().nullable(),
          usual: z.tuple([z.number(), z.number()]).nullable().describe('What the trade uses.'),
          choices: list(z.object({ value: z.string(), name: z.string() })),
          others: list(z.object({ value: Value, why: z.string() })).describe('What others do, and why.'),
          ours: Value,
          standard: Value.describe('What holds where a house sets nothing.'),
          changed: z.object({ by: z.string(), at: Instant }).nullable(),
        }),
      ),
    }),
  ),
  troubles: list(Trouble),
});
export type HousePracticeForm = z.output<typeof HousePractice>;

export const housePractice = endpoint({
  method: 'GET',
  path: '/api/people/house-practice',
  access: ROLES,
  summary: 'The figures by which the school works: meaning, ours, the default, what others do and why',
  response: HousePractice,
});

const Tried = z.object({
  troubles: list(Trouble),
  sites: list(
    z.object({
      id: Id,
      name: z.string(),
      days: list(z.object({ date: CivilDate, before: z.number(), after: z.number() })).describe(
        'Working hours that are expected to be fit for a full opening, by the forecast.',
      ),
    }),
  ),
  sessions: list(z.object({ at: Instant, site: z.string(), before: z.number(), after: z.number() })).describe(
    'Planned sessions whose chance of fit hours changes, 0 to 1.',
  ),
});
export type TriedPractice = z.output<typeof Tried>;

export const tryHousePractice = endpoint({
  method: 'POST',
  path: '/api/people/house-practice/try',
  access: ['lead'],
  summary: 'What would change in the coming days with other figures; nothing is kept',
  body: z.object({ changes: Changes }),
  response: Tried,
});

export const keepHousePractice = endpoint({
  method: 'POST',
  path: '/api/people/house-practice',
  access: ['lead'],
  summary: 'Change figures of the house practice: all of them or none',
  body: z.object({
    changes: Changes,
    was: z
      .partialRecord(FigureName, Value)
      .describe('What they were when they were read: what another changed meanwhile is not written over.'),
  }),
  response: z.object({ kept: z.literal(true) }),
});
