import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express, { type Express } from 'express';
import { inEnglish } from '../src/words';
import { afterEach, describe, expect, it } from 'vitest';
import { httpWeather, saidToBeMadeUp } from '../src/records/weather/http-source';
import { weatherStandIn } from '../src/standins/weather/app';
import { observedBetween } from '../src/standins/weather/generator';

const PLACE = { latitude: 55.1, longitude: -3.3 };
const AT = new Date('2026-05-14T06:40:00Z');
const servers: Server[] = [];
afterEach(() => Promise.all(servers.splice(0).map((server) => new Promise((done) => server.close(done)))));

async function serve(app: Express, under = ''): Promise<string> {
  const server = createServer(under === '' ? app : express().use(under, app));
  servers.push(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}${under}`;
}
const refusal = async (work: Promise<unknown>): Promise<string> => {
  const error = await work.then(
    () => expect.fail('nothing was refused'),
    (thrown: unknown) => thrown as { says?: Parameters<typeof inEnglish>[0]; message: string },
  );
  return error.says === undefined ? error.message : (inEnglish(error.says) as string);
};

/** A service as a national one might be: its own names, SI units, three-hourly, under a path, with much that is not used. */
function national(
  asked: URLSearchParams[],
  change: (document: Record<string, unknown>) => void = () => undefined,
): Express {
  const app = express();
  const named = {
    t2m: {
      type: 'Parameter',
      observedProperty: { id: 'https://codes.example/cf/air_temperature' },
      unit: { symbol: 'K' },
    },
    ff: {
      type: 'Parameter',
      observedProperty: { id: 'https://codes.example/cf/wind_speed' },
      unit: { symbol: 'm s-1' },
    },
    rr: {
      type: 'Parameter',
      observedProperty: { id: 'https://codes.example/cf/precipitation_amount' },
      unit: { symbol: 'kg m-2' },
      measurementType: { method: 'sum', period: '-PT3H/PT0M' },
    },
    swh: {
      type: 'Parameter',
      observedProperty: { id: 'https://codes.example/cf/sea_surface_wave_height' },
      unit: { symbol: 'm' },
    },
  };
  app.get('/collections', (_request, response) => {
    response.json({
      collections: [
        { id: 'waves', data_queries: { position: {} }, parameter_names: { swh: named.swh } },
        {
          id: 'model 2 km',
          data_queries: { position: {} },
          extent: { temporal: { interval: [['2026-05-14T00:00:00Z', '2026-05-20T00:00:00Z']] } },
          parameter_names: named,
        },
      ],
    });
  });
  app.get('/collections/:id/position', (request, response) => {
    asked.push(new URLSearchParams(request.query as Record<string, string>));
    const times = [6, 9, 12].map((hour) => `2026-05-14T${`${hour}`.padStart(2, '0')}:00Z`);
    const range = (values: number[]) => ({ type: 'NdArray', axisNames: ['t', 'z'], shape: [3, 1], values });
    const document = {
      type: 'CoverageCollection',
      parameters: named,
      coverages: [
        {
          type: 'Coverage',
          domain: { axes: { x: { values: [-3.3] }, y: { values: [55.1] }, z: { values: [2] }, t: { values: times } } },
          ranges: { t2m: range([283.15, 286.15, 289.15]), ff: range([2, 3, 4]), rr: range([0, 3, 0]) },
        },
      ],
    };
    change(document);
    response.set('Last-Modified', 'Thu, 14 May 2026 05:30:00 GMT').json(document);
  });
  return app;
}

describe('a service of environmental data', () => {
  it('that ships with the application is asked as any other', async () => {
    const source = httpWeather(await serve(weatherStandIn()));
    const from = new Date('2026-05-10T00:00:00Z');
    const to = new Date('2026-05-11T00:00:00Z');
    expect((await source.forecast(PLACE, AT)).members).toHaveLength(24);
    expect(await source.observed(PLACE, from, to)).toEqual(observedBetween(PLACE, from.getTime(), to.getTime()));
  });

  it('of somebody else is asked for a point, for what is used, and read in its own units and steps', async () => {
    const asked: URLSearchParams[] = [];
    const source = httpWeather(await serve(national(asked), '/edr/v1'));
    const { issued, start, members, note } = await source.forecast(PLACE, AT);
    expect(Object.fromEntries(asked[0]!)).toEqual({
      coords: 'POINT(-3.3 55.1)',
      datetime: '2026-05-14T06:40:00.000Z/..',
      'parameter-name': 't2m,ff,rr',
      f: 'CoverageJSON',
    });
    expect(issued).toBe('2026-05-14T05:30:00.000Z');
    expect(start).toBe('2026-05-14T06:00:00.000Z');
    const [hours] = members;
    expect(hours!.map(({ temperature }) => Math.round(temperature * 10) / 10)).toEqual([10, 11, 12, 13, 14, 15]);
    expect(hours!.map(({ rain }) => rain)).toEqual([1, 1, 1, 0, 0, 0]);
    expect(hours![0]!.wind).toBeCloseTo(7.2, 6);
    expect(inEnglish(note!)).toMatch(/left out .*gusts.*three or six hours at a time/s);
  });

  it('is asked for its collections once, and again after it failed', async () => {
    let [times, down] = [0, true];
    const app = express();
    app.get('/collections', (_request, response, next) => {
      times += 1;
      if (down) response.status(503).end();
      else next();
    });
    app.use(national([]));
    const source = httpWeather(await serve(app));
    expect(await refusal(source.forecast(PLACE, AT))).toMatch(/status 503/);
    down = false;
    await source.forecast(PLACE, AT);
    await source.forecast(PLACE, AT);
    expect(times).toBe(2);
  });

  it('without what is needed is refused with what to do', async () => {
    const sea = express().get('/collections', (_request, response) => {
      response.json({ collections: [{ id: 'waves', data_queries: { position: {} }, parameter_names: { swh: {} } }] });
    });
    expect(await refusal(httpWeather(await serve(sea)).forecast(PLACE, AT))).toMatch(
      /WEATHER_FORECAST and WEATHER_OBSERVED/,
    );
    const named = httpWeather(await serve(national([])), { forecast: 'model 3 km', observed: '' });
    expect(await refusal(named.forecast(PLACE, AT))).toMatch(/WEATHER_FORECAST/);
    const torn = national([], (document) => {
      delete document.coverages;
    });
    expect(await refusal(httpWeather(await serve(torn)).forecast(PLACE, AT))).toMatch(/answered without domain/);
  });

  it('that is made up says so in every forecast of a real school, beside what else is to be said', async () => {
    const made = saidToBeMadeUp(httpWeather(await serve(weatherStandIn())));
    const { note, ...forecast } = await made.forecast(PLACE, AT);
    expect(inEnglish(note!)).toMatch(/^This weather is made up: no service is set\./);
    expect(forecast).toEqual(await httpWeather(await serve(weatherStandIn())).forecast(PLACE, AT));
    const both = await saidToBeMadeUp(httpWeather(await serve(national([])))).forecast(PLACE, AT);
    expect(inEnglish(both.note!)).toMatch(/made up.*three or six hours at a time/s);
  });
});
