import { DAY } from '@brave-comb/core/units';
import type { Ensemble } from '@brave-comb/core/weather';
import express, { type Express, type Request, type RequestHandler } from 'express';
import * as z from 'zod';
import { describedParameters, toCoverage } from '../../records/weather';
import { forecastAt, observedBetween } from './generator';

const LONGEST = 400 * DAY;
const Query = z.object({
  coords: z.string().regex(/^POINT\s*\(\s*-?\d+(\.\d+)?\s+-?\d+(\.\d+)?\s*\)$/i),
  datetime: z.string().regex(/^[\dT:.Z+-]+(\/([\dT:.Z+-]+|\.\.))?$/),
});

interface Asked {
  readonly place: { readonly latitude: number; readonly longitude: number };
  readonly from: number;
  /** Infinite where the end is open. */
  readonly to: number;
}

function askedIn(request: Request): Asked | null {
  const query = Query.safeParse(request.query);
  if (!query.success) return null;
  const [longitude, latitude] = query.data.coords.match(/-?\d+(\.\d+)?/g)!.map(Number) as [number, number];
  const [from, to] = query.data.datetime.split('/').map((each) => (each === '..' ? Infinity : Date.parse(each)));
  const end = to ?? from!;
  const there = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 && !Number.isNaN(from) && !Number.isNaN(end);
  return there ? { place: { latitude, longitude }, from: from!, to: end } : null;
}

/** What there is, with the days that it reaches from now, `null` for the year 2000. */
const COLLECTIONS = [
  { id: 'forecast', title: 'Forecast of 15 days, 24 members', from: 0, to: 15 },
  { id: 'observed', title: 'What was observed', from: null, to: 0 },
] as const;
const reached = (days: number | null): string =>
  days === null ? '2000-01-01T00:00:00Z' : new Date(Date.now() + days * DAY).toISOString();

/**
 * A weather service that ships with the application: believable weather for any place and date, as a service of the OGC API – Environmental Data
 * Retrieval tells it. A forecast is the newest that was issued at or before the time from which it is asked.
 */
export function weatherStandIn(): Express {
  const app = express().disable('x-powered-by');
  app.get(['/', '/conformance'], (_request, response) => {
    response.json({
      title: 'Weather that ships with the application',
      conformsTo: ['http://www.opengis.net/spec/ogcapi-edr-1/1.1/conf/core'],
    });
  });
  const described = ({ id, title, from, to }: (typeof COLLECTIONS)[number]) => ({
    id,
    title,
    extent: {
      spatial: { bbox: [[-180, -90, 180, 90]], crs: 'CRS84' },
      temporal: { interval: [[reached(from), reached(to)]], trs: 'Gregorian' },
    },
    data_queries: { position: { link: { href: `/collections/${id}/position`, rel: 'data' } } },
    crs: ['CRS84'],
    output_formats: ['CoverageJSON'],
    parameter_names: describedParameters(),
  });
  app.get('/collections', (_request, response) => {
    response.json({ links: [], collections: COLLECTIONS.map(described) });
  });
  const position =
    (answer: (asked: Asked) => Ensemble | null): RequestHandler =>
    (request, response) => {
      const asked = askedIn(request);
      const ensemble = asked && answer(asked);
      if (!ensemble) {
        response.status(400).json({
          code: 'InvalidParameterValue',
          description: 'Ask with coords=POINT(longitude latitude) and datetime=from/to (UTC), 400 days at most.',
        });
        return;
      }
      response.type('application/prs.coverage+json').json(toCoverage(ensemble, asked.place));
    };
  app.get(
    '/collections/forecast/position',
    position(({ place, from }) => forecastAt(place, from)),
  );
  app.get(
    '/collections/observed/position',
    position(({ place, from, to }) =>
      to - from > 0 && to - from <= LONGEST ? observedBetween(place, from, to) : null,
    ),
  );
  return app;
}
