import { DAY, addDays } from '@brave-comb/core/units';
import express, { type Express, type Request } from 'express';
import { weighed } from './generator';

const LONGEST = 800 * DAY;
const FILTER = /^phenomenonTime ge (\d{4}-\d\d-\d\d)T[\d:.]+Z and phenomenonTime lt (\d{4}-\d\d-\d\d)T[\d:.]+Z$/;
/** When the hives are weighed: in the small hours. */
const WEIGHED_AT = 'T03:00:00.000Z';

/** A parameter of an address; the parser that is set knows nothing but texts. */
const asked = (request: Request, name: string): string => (request.query[name] ?? '') as string;

/**
 * A scale service that ships with the application: daily weights of any hive, as a service of the OGC SensorThings API (18-088) tells them. It
 * has a stream of every name, and knows the filters that are asked for.
 */
export function scaleStandIn(): Express {
  const app = express().disable('x-powered-by').set('query parser', 'simple');
  app.get('/Datastreams', (request, response) => {
    const scale = /^name eq '((?:[^']|'')*)'/.exec(asked(request, '$filter'))?.[1]?.replaceAll("''", "'");
    if (!scale || scale.length > 80) {
      response.status(400).json({ code: 400, message: "Ask for a stream by its name: $filter=name eq 'scale 4'." });
      return;
    }
    response.json({
      value: [
        {
          '@iot.id': scale,
          name: scale,
          description: 'weight of a hive',
          observationType: 'http://www.opengis.net/def/observationType/OGC-OM/2.0/OM_Measurement',
          unitOfMeasurement: { name: 'kilogram', symbol: 'kg', definition: 'http://www.opengis.net/def/uom/UCUM/kg' },
          'Observations@iot.navigationLink': `Datastreams('${encodeURIComponent(scale.replaceAll("'", "''"))}')/Observations`,
        },
      ],
    });
  });
  app.get('/:stream/Observations', (request, response) => {
    const scale = /^Datastreams\('(.+)'\)$/.exec(request.params.stream)?.[1]?.replaceAll("''", "'");
    const [, from, end] = FILTER.exec(asked(request, '$filter')) ?? [];
    const span = from && end ? Date.parse(end) - Date.parse(from) : -1;
    if (!scale || !from || !end || !(span > 0 && span <= LONGEST)) {
      response.status(400).json({
        code: 400,
        message: 'Ask with $filter=phenomenonTime ge … and phenomenonTime lt …, 800 days at most.',
      });
      return;
    }
    const days = weighed(scale, from, addDays(end, -1));
    const [skip, top] = [Number(asked(request, '$skip')), Math.min(1000, Number(asked(request, '$top') || 100))];
    const rest = new URLSearchParams({ ...(request.query as Record<string, string>), $skip: `${skip + top}` });
    response.json({
      ...(skip + top < days.length ? { '@iot.nextLink': `${request.path.slice(1)}?${rest.toString()}` } : {}),
      value: days
        .slice(skip, skip + top)
        .map(({ date, kg }) => ({ phenomenonTime: `${date}${WEIGHED_AT}`, result: kg })),
    });
  });
  return app;
}
