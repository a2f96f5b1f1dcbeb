import { JOBS } from '@brave-comb/core/inspection';
import { MOST_ROWS } from '@brave-comb/core/roster';
import * as z from 'zod';
import { BOXES, HIVE_TYPES, PLAIN_PARTS, type BoxKindId, type HiveTypeId } from '@brave-comb/core/equipment';
import { endpoint } from './endpoint';
import { CivilDate, Id, Instant, Zone, list, onSite } from './parts';
import { wrong } from './wrong';

const keys = <K extends string>(of: Readonly<Record<K, unknown>>) => Object.keys(of) as [K, ...K[]];

export const HiveTypeName = z.enum(keys<HiveTypeId>(HIVE_TYPES));
export const Layer = z.union([
  z.object({ id: z.string(), kind: z.enum(PLAIN_PARTS) }),
  z.object({
    id: z.string(),
    kind: z.literal('box'),
    box: z.enum(keys<BoxKindId>(BOXES)),
    frames: z.int().min(0).max(40),
    dummy: z.boolean().default(false),
  }),
]);
export const Stack = list(Layer);
const PartId = z.string().trim().min(1, 'Give the part a name.').max(40);
/** A part that came onto a hive for good, or left it. */
export const StackChange = z.discriminatedUnion('do', [
  z.object({
    do: z.literal('add'),
    layer: z.union([
      z.object({ id: PartId, kind: z.enum(PLAIN_PARTS) }),
      z.object({
        id: PartId,
        kind: z.literal('box'),
        box: z.enum(keys<BoxKindId>(BOXES)),
        frames: z.int().min(0).max(40),
        dummy: z.boolean(),
      }),
    ]),
    on: PartId,
  }),
  z.object({ do: z.literal('take'), part: PartId }),
  z.object({ do: z.literal('dummy'), box: PartId, in: z.boolean() }),
]);

/** A part of the hive with what it would weigh and who lifts it. */
export const WeighedLayer = z.object({
  layer: Layer,
  kg: z.number().nullable(),
  lift: z.enum(['one-lifts', 'two-lift', 'by-frames', 'stays-put']).nullable(),
});

/** Where a hive stands among its neighbours, metres east and north of it, and who stands where. */
export const Standing = z.object({
  faces: z.number(),
  marks: list(z.object({ role: z.enum(JOBS), x: z.number(), y: z.number() })),
  neighbours: list(z.object({ number: z.string(), x: z.number(), y: z.number(), faces: z.number() })),
  says: list(z.string()),
});
export type Standing = z.output<typeof Standing>;

/** What to do and say when a sting goes wrong, and where one is. */
export const Emergency = z.object({
  number: z.string(),
  place: z.string(),
  grid: z.string(),
  signal: z.string(),
  school: z.string(),
  kit: z.string(),
  steps: list(z.string()),
  people: list(z.object({ id: Id.optional(), name: z.string(), note: z.string() })),
});

/** Who changed a record last, and when; null where nobody has since it was made. */
export const Changed = z.object({ by: z.string(), at: Instant }).nullable();
/** A record as it was read: whoever saves says which version they changed. A record that is not there yet has 0. */
export const Version = z.int().min(0);
const words = (most: number) => z.string().trim().max(most);
const needed = (most: number) => words(most).min(1, wrong('no-name'));

export const SiteForm = z.object({
  name: needed(80),
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
  altitude: z.int().min(-430).max(6000),
  zone: Zone,
  emergency: z.object({
    number: needed(60),
    place: needed(300),
    signal: words(300),
    school: words(60),
    kit: words(300),
  }),
});
export type SiteForm = z.output<typeof SiteForm>;

const Sites = z.object({
  sites: list(
    SiteForm.extend({
      id: Id,
      version: Version,
      changed: Changed,
      retired: Instant.nullable(),
      hives: z.int().describe('Hives that stand there.'),
    }),
  ),
  home: z
    .object({ zone: z.string(), latitude: z.number().nullable(), longitude: z.number().nullable() })
    .nullable()
    .describe('Where the school is at home: what a first site begins with.'),
});
export type Sites = z.output<typeof Sites>;

export const schoolSites = endpoint({
  method: 'GET',
  path: '/api/equipment/sites',
  access: ['lead'],
  summary: 'The sites of the school, retired ones last',
  response: Sites,
});

export const keepSite = endpoint({
  method: 'POST',
  path: '/api/equipment/sites/:site',
  access: ['lead'],
  summary: 'Set up a site, or change one',
  params: onSite,
  body: SiteForm.extend({ version: Version }),
  response: Sites,
});

export const retireSite = endpoint({
  method: 'POST',
  path: '/api/equipment/sites/:site/retire',
  access: ['lead'],
  summary: 'Put a site out of use, or into use again; what was recorded there stays',
  params: onSite,
  body: z.object({ version: Version, retired: z.boolean() }),
  response: Sites,
});

const Queen = z.object({ year: z.int().min(1990).max(2100), marked: z.boolean() }).nullable();
const HiveNumber = needed(10);
const HiveForm = z.object({
  number: HiveNumber,
  site: Id,
  stand: needed(40),
  type: HiveTypeName,
  stack: Stack,
  scale: words(80).nullable(),
});

/** What lives in a hive. */
const ColonyForm = z.object({ origin: words(80), since: CivilDate, queen: Queen });

const Hives = z.object({
  hives: list(
    HiveForm.extend({
      id: Id,
      siteName: z.string(),
      version: Version,
      changed: Changed,
      retired: Instant.nullable(),
      colony: ColonyForm.extend({ id: Id }).nullable(),
    }),
  ),
  sites: list(z.object({ id: Id, name: z.string(), latitude: z.number(), longitude: z.number() })),
  usual: HiveTypeName.describe('What most hives of the school are.'),
  today: CivilDate,
});
export type Hives = z.output<typeof Hives>;

export const schoolHives = endpoint({
  method: 'GET',
  path: '/api/equipment/hives',
  access: ['lead'],
  summary: 'The hives of the school with their colonies, retired ones last',
  response: Hives,
});

export const addHives = endpoint({
  method: 'POST',
  path: '/api/equipment/hives',
  access: ['lead'],
  summary: 'Set up hives with their colonies, or change hives by a list: all of them or none',
  body: z.object({
    hives: list(
      HiveForm.extend({
        id: Id,
        known: z.boolean().describe('Whether the school has this hive already and it is changed.'),
        colony: ColonyForm.nullable(),
      }),
    ).refine((rows) => rows.length <= MOST_ROWS, wrong('many-rows')),
  }),
  response: Hives,
});

const onHive = z.object({ hive: Id });

export const changeHive = endpoint({
  method: 'POST',
  path: '/api/equipment/hives/:hive',
  access: ['lead'],
  summary: 'Change a hive: its number, where it stands, its parts; a colony is hived where none lives in it',
  params: onHive,
  body: HiveForm.extend({
    version: Version,
    colony: ColonyForm.extend({ id: Id }).nullable().describe('For an empty hive: what is hived in it.'),
  }),
  response: Hives,
});

/** What became of the bees of a hive that goes out of use. */
export const COLONY_ENDS = ['died', 'left', 'united', 'given-away'] as const;

export const retireHive = endpoint({
  method: 'POST',
  path: '/api/equipment/hives/:hive/retire',
  access: ['lead'],
  summary: 'Put a hive out of use, or into use again; its number and its records stay',
  params: onHive,
  body: z.object({
    version: Version,
    retired: z.boolean(),
    bees: z.enum(COLONY_ENDS).nullable().describe('What became of its colony; null where it had none.'),
  }),
  response: Hives,
});
