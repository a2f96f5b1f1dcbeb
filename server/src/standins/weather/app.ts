import { DAY } from '@brave-comb/core/units';
import express, { type Express } from 'express';
import * as z from 'zod';
import { forecastAt, observedBetween } from './generator';
import { toCoverage } from '../../records/weather';

const Point = { latitude: z.coerce.number().min(-90).max(90), longitude: z.coerce.number().min(-180).max(180) };
const Forecast = z.object({ ...Point, at: z.iso.datetime() });
const Observed = z.object({ ...Point, from: z.iso.datetime(), to: z.iso.datetime() });
const LONGEST = 400 * DAY;

/** A weather service that ships with the application: believable weather for any place and date, over HTTP, as CoverageJSON. */
export function weatherStandIn(): Express {
  const app = express().disable('x-powered-by');
  app.get('/forecast', (request, response) => {
    const read = Forecast.safeParse(request.query);
    if (!read.success) {
      response.status(422).json({ message: 'Ask with latitude, longitude and at (UTC).' });
      return;
    }
    const { at, ...place } = read.data;
    response.type('application/prs.coverage+json').json(toCoverage(forecastAt(place, Date.parse(at)), place));
  });
  app.get('/observed', (request, response) => {
    const read = Observed.safeParse(request.query);
    const span = read.success ? Date.parse(read.data.to) - Date.parse(read.data.from) : -1;
    if (!read.success || span <= 0 || span > LONGEST) {
      response
        .status(422)
        .json({ message: 'Ask with latitude, longitude, from and a later to (UTC), 400 days at most.' });
      return;
    }
    const { from, to, ...place } = read.data;
    response
      .type('application/prs.coverage+json')
      .json(toCoverage(observedBetween(place, Date.parse(from), Date.parse(to)), place));
  });
  return app;
}
