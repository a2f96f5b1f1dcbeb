import { DAY } from '@brave-comb/core/units';
import express, { type Express } from 'express';
import Papa from 'papaparse';
import * as z from 'zod';
import { weighed } from './generator';

const Query = z.object({ scale: z.string().min(1).max(80), from: z.iso.date(), to: z.iso.date() });
const LONGEST = 800 * DAY;

/** A scale service that ships with the application: daily weights of any hive, over HTTP as JSON and CSV. */
export function scaleStandIn(): Express {
  const app = express().disable('x-powered-by');
  app.get(['/days', '/days.csv'], (request, response) => {
    const read = Query.safeParse(request.query);
    const span = read.success ? Date.parse(read.data.to) - Date.parse(read.data.from) : -1;
    if (!read.success || span < 0 || span > LONGEST) {
      response.status(422).json({ message: 'Ask with scale, from and a later to (YYYY-MM-DD), 800 days at most.' });
      return;
    }
    const days = weighed(read.data.scale, read.data.from, read.data.to);
    if (request.path.endsWith('.csv')) response.type('text/csv').send(Papa.unparse([...days]));
    else response.json({ scale: read.data.scale, unit: 'kg', days });
  });
  return app;
}
