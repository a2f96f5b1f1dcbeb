import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { Id, list } from './parts';

/** How an archive of a school is sent. */
const ARCHIVE = 'application/gzip';

/** Lists that go out as CSV. */
export const LISTS = ['visits', 'frame-sides', 'samples', 'weights', 'trainees', 'evidence', 'weather'] as const;

export const listOut = endpoint({
  method: 'GET',
  path: '/api/archive/lists/:list',
  access: ['lead'],
  summary: 'A list of the school as CSV: visits, sides of frames, samples, weights, trainees, evidence or weather',
  params: z.object({ list: z.enum(LISTS) }),
  response: z.null(),
  file: { way: 'out', type: 'text/csv' },
});

export const archiveHere = endpoint({
  method: 'GET',
  path: '/api/archive/here',
  access: ['lead'],
  summary: 'What an archive of the school would hold now, to be compared with one that is to be brought in',
  response: z.object({
    school: z.object({ id: Id, name: z.string() }),
    mayUse: z.boolean().describe('Whether who asks may take out and bring in: the owner.'),
    tables: list(z.object({ name: z.string(), columns: list(z.string()), rows: z.int() })).describe(
      'In the order in which an archive holds them.',
    ),
  }),
});

export const takeOutArchive = endpoint({
  method: 'GET',
  path: '/api/archive/school',
  access: ['lead'],
  summary: 'The whole school as one file: JSON, a line each, compressed. For the owner',
  response: z.null(),
  file: { way: 'out', type: ARCHIVE },
});

export const bringInArchive = endpoint({
  method: 'POST',
  path: '/api/archive/school',
  access: ['lead'],
  summary: 'Replace the school by an archive: all of it or nothing. For the owner, who stays its owner',
  query: z.object({
    replaces: z.string().max(120).describe('The name of the school that is replaced, typed by whoever replaces it.'),
    ids: z
      .enum(['kept', 'new'])
      .optional()
      .describe(
        'Whether records keep their ids, so that printed labels lead to them; new where another school here has them.',
      ),
    me: Id.optional().describe('Who of the archive whoever brings it in is; left out where nobody is.'),
  }),
  response: z.object({
    rows: z.int(),
    school: z.string(),
    withoutWayIn: z.int().describe('People who have to be invited, because they have no password here.'),
  }),
  file: { way: 'in', type: ARCHIVE },
});

export const personalRecords = endpoint({
  method: 'GET',
  path: '/api/archive/people/:person',
  access: ROLES,
  summary:
    'All that is kept of one person, by table: for themselves, and for lead instructors. Emergency notes included',
  params: z.object({ person: Id }),
  response: z.null(),
  file: { way: 'out', type: 'application/json' },
});
