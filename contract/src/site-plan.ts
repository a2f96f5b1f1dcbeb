import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { Changed, Version } from './equipment';
import { Id, Instant, list, onSite } from './parts';
import { wrong } from './wrong';

const Spot = z.object({ east: z.number().min(-2000).max(2000), north: z.number().min(-2000).max(2000) });

/** Where a hive stands: metres east and north of a fixed point of its site, entrance in degrees from north. */
export const HivePlace = Spot.extend({ faces: z.int().min(0).max(359) });
export type HivePlace = z.output<typeof HivePlace>;

const StandName = z.string().trim().min(1, wrong('no-name')).max(40);
const Words = z.string().trim().max(40);
const mark = { id: Id, name: Words };
const Line = list(Spot)
  .refine((along) => along.length >= 2 && along.length <= 40, wrong('line-points'))
  .meta({
    example: [
      { east: 0, north: 3 },
      { east: 20, north: 3 },
    ],
  });

export const SitePlan = z.object({
  stands: list(
    HivePlace.extend({
      id: Id,
      name: StandName,
      height: z.int().min(0).max(200).nullable().describe('Of its rails above the ground, cm.'),
    }),
  )
    .refine((stands) => stands.length <= 100, wrong('many-stands'))
    .refine(
      (stands) => new Set(stands.map(({ name }) => name.toLowerCase())).size === stands.length,
      wrong('stand-twice'),
    ),
  landmarks: list(
    z.discriminatedUnion('kind', [
      z.object({ ...mark, kind: z.literal('path'), along: Line, width: z.number().min(0.3).max(10) }),
      z.object({ ...mark, kind: z.literal('barrier'), along: Line, height: z.number().min(0.2).max(10) }),
      z.object({ ...mark, kind: z.literal('tree'), at: Spot, radius: z.number().min(0.2).max(20) }),
      z.object({ ...mark, kind: z.literal('gate'), at: Spot }),
    ]),
  ).refine((landmarks) => landmarks.length <= 200, wrong('many-landmarks')),
  wind: z.int().min(0).max(359).nullable().describe('Where the wind mostly comes from, degrees from north.'),
});
export type SitePlan = z.output<typeof SitePlan>;

const PlanHive = z.object({ id: Id, stand: StandName, place: HivePlace.nullable() });

const Plan = z.object({
  site: z.object({
    id: Id,
    name: z.string(),
    latitude: z.number(),
    longitude: z.number(),
    version: Version,
    changed: Changed,
    retired: Instant.nullable(),
  }),
  plan: SitePlan,
  hives: list(PlanHive.extend({ number: z.string() })),
  group: z.int().describe('Trainees of the largest group.'),
});
export type SitePlanView = z.output<typeof Plan>;

export const sitePlan = endpoint({
  method: 'GET',
  path: '/api/equipment/sites/:site/plan',
  access: ROLES,
  summary: 'The plan of a site: stands, hives, flight lanes, paths, hedges, gates',
  params: onSite,
  response: Plan,
});

export const keepSitePlan = endpoint({
  method: 'POST',
  path: '/api/equipment/sites/:site/plan',
  access: ['lead'],
  summary: 'Change the plan of a site and where its hives stand on it: all of it or nothing',
  params: onSite,
  body: z.object({ version: Version, plan: SitePlan, hives: list(PlanHive) }),
  response: Plan,
});

export const sitesOut = endpoint({
  method: 'GET',
  path: '/api/equipment/sites.geojson',
  access: ['lead'],
  summary: 'Sites, stands, hives and what is on the ground as GeoJSON (RFC 7946)',
  response: z.null(),
  file: { way: 'out', type: 'application/geo+json' },
});
