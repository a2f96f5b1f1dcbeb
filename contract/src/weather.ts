import { wrong } from './wrong';
import { COMPASS_POINTS } from '@brave-comb/core/units';
import { DEPTHS, FIRE_DANGERS } from '@brave-comb/core/weather';
import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import {
  CivilDate,
  ForecastInUse,
  Id,
  Instant,
  SessionStatus,
  Share,
  field,
  list,
  onSite,
  siteQuery,
  SiteNames,
} from './parts';
import { Bloom, PhaseSpan } from './season';

export const Limits = z.object({
  warmth: z.number().min(-30).max(40),
  heat: z.number().min(0).max(60),
  gust: z.number().min(0).max(150),
  rain: z.number().min(0).max(50),
  light: z.number().min(-18).max(60),
  beesOut: z.boolean(),
});
export const AllLimits = z.object({ outside: Limits, lid: Limits, 'one-frame': Limits, full: Limits });

export const DayPage = z.object({
  ...SiteNames,
  date: CivilDate,
  today: CivilDate,
  observed: z.boolean(),
  forecast: ForecastInUse,
  /** Parts of the day by what may be opened, in order, and in words. */
  spans: list(
    z.object({
      depth: z.enum(DEPTHS).nullable(),
      from: Instant,
      to: Instant,
      chance: Share,
      limitedBy: z.string().nullable(),
      broodMinutes: z.number(),
      words: z.string(),
    }),
  ),
  hours: list(
    z.object({
      at: Instant,
      temperature: z.tuple([z.number(), z.number(), z.number()]).readonly(),
      gust: z.tuple([z.number(), z.number(), z.number()]).readonly(),
      rain: z.tuple([z.number(), z.number()]).readonly(),
      rainChance: Share,
      chance: z.record(z.enum(DEPTHS), Share),
      elevation: z.number(),
      broodMinutes: z.number(),
      light: z.enum(['good', 'poor', 'too-dark']),
    }),
  ),
  sun: z.object({
    dawn: Instant.nullable(),
    rise: Instant.nullable(),
    noon: Instant,
    set: Instant.nullable(),
    dusk: Instant.nullable(),
    hours: z.number(),
    eggs: z.object({ from: Instant, to: Instant }).nullable(),
    foraging: z.object({ from: Instant, to: Instant }),
    sunFrom: z.enum(COMPASS_POINTS),
  }),
  people: z
    .object({
      felt: z.number(),
      heat: z.string(),
      workMinutes: z.number().nullable(),
      breakMinutes: z.number(),
      waterLitres: z.number(),
      notes: list(z.string()),
      at: Instant,
      beaufort: z.int(),
      thunder: Share,
    })
    .nullable(),
  fire: z
    .object({ index: z.number(), danger: z.enum(FIRE_DANGERS), dryDays: z.number(), advice: list(z.string()) })
    .nullable(),
  phase: PhaseSpan.nullable(),
  bloom: list(Bloom),
  sessions: list(
    z.object({ id: Id, startsAt: Instant, endsAt: Instant, depth: z.enum(DEPTHS), status: SessionStatus }),
  ),
  dues: list(
    z.object({
      hive: z.string(),
      title: z.string(),
      due: CivilDate,
      strict: z.enum(['must', 'should', 'may']),
      why: z.string(),
    }),
  ),
  limits: AllLimits,
});
export type DayPage = z.output<typeof DayPage>;

export const dayPage = endpoint({
  method: 'GET',
  path: '/api/weather/days/:date',
  access: ROLES,
  summary: 'One day at a site hour by hour: what may be opened when, why, light, people, smoker fire, and what is due',
  params: z.object({ date: CivilDate }),
  query: siteQuery,
  response: DayPage,
});

export const Trust = z.object({
  ...SiteNames,
  /** First and last day that is known. */
  from: CivilDate.nullable(),
  to: CivilDate.nullable(),
  /** Days of which the forecast is still being looked up: ask again. */
  missing: z.int(),
  scores: list(
    z.object({
      lead: z.int(),
      days: z.int(),
      bias: z.number(),
      error: z.number(),
      hitRate: Share,
      brier: z.number(),
      skill: z.number().nullable(),
    }),
  ),
  trust: z.object({ plan: z.int().nullable(), pencil: z.int().nullable() }),
  /** Each day with what was said a week, three days and one day ahead. */
  days: list(
    z.object({
      date: CivilDate,
      fit: z.boolean(),
      warmest: z.number(),
      said: list(z.object({ lead: z.int(), chance: Share, warmest: z.number() })),
    }),
  ),
  forecast: ForecastInUse,
  climate: z.string(),
  observations: z.int(),
  limits: AllLimits,
  mayEdit: z.boolean(),
  mayLead: z.boolean(),
});
export type Trust = z.output<typeof Trust>;

export const forecastTrust = endpoint({
  method: 'GET',
  path: '/api/weather/trust',
  access: ROLES,
  summary: 'Forecast against what happened, by lead day, and the house’s weather limits',
  query: siteQuery,
  response: Trust,
});

export const setLimits = endpoint({
  method: 'POST',
  path: '/api/weather/limits',
  access: ['lead'],
  summary: 'House practice: what the weather must be for each depth of opening',
  body: AllLimits,
  response: z.object({ kept: z.literal(true) }),
});

export const importWeather = endpoint({
  method: 'POST',
  path: '/api/weather/sites/:site/import',
  access: field,
  summary: 'Import hours of observed weather from a CSV file; see docs/formats/weather.md',
  params: onSite,
  body: z.object({
    text: z
      .string()
      .min(1, 'The file is empty.')
      .max(4_000_000, 'The file is larger than 4 MB: send a year at a time.'),
  }),
  response: z.object({
    kept: z.int(),
    from: Instant.nullable(),
    to: Instant.nullable(),
    bad: list(z.object({ line: z.int(), message: z.string() })),
  }),
});

export const importClimate = endpoint({
  method: 'POST',
  path: '/api/weather/sites/:site/climate',
  access: field,
  summary: 'Import a typical-year file (EPW) as the usual weather of a site',
  params: onSite,
  body: z.object({ text: z.string().min(1, 'The file is empty.').max(4_000_000, 'The file is larger than 4 MB.') }),
  response: z.object({ place: z.string(), km: z.number(), coldest: z.number(), warmest: z.number() }),
});

export const enterObservation = endpoint({
  method: 'POST',
  path: '/api/weather/sites/:site/observations',
  access: field,
  summary:
    'Enter what the thermometer, the wind or the sky shows at the site now; it takes the place of the forecast for that hour',
  params: onSite,
  body: z
    .object({
      at: Instant,
      temperature: z.number().min(-70).max(60).nullable(),
      wind: z.number().min(0).max(300).nullable(),
      gust: z.number().min(0).max(400).nullable(),
      rain: z.number().min(0).max(300).nullable(),
      cloud: z.number().min(0).max(1).nullable(),
      thunder: z.boolean().nullable(),
    })
    .refine(
      (seen) =>
        [seen.temperature, seen.wind, seen.gust, seen.rain, seen.cloud, seen.thunder].some((each) => each !== null),
      {
        error: wrong('no-figure'),
      },
    ),
  response: z.object({ kept: z.literal(true) }),
});
