import { naturalGains, scaleEvents } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import express, { type Express } from 'express';
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import supertest from 'supertest';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { fixedClock } from '../src/clock/clock';
import { sitesOf } from '../src/records/equipment/store';
import { httpScale, refreshScales, scalesOf } from '../src/records/season';
import { inEnglish } from '../src/words';
import { scaleStandIn } from '../src/standins/scale/app';
import { weighed } from '../src/standins/scale/generator';
import type { ScaleSource } from '../src/sources';
import { type School, openSchool } from './school';

const year = (scale: string, of = 2026) => weighed(scale, `${of}-01-01`, `${of}-11-30`);
/** Scales enough to see each kind of event among them. */
const MANY = Array.from({ length: 24 }, (_, index) => `hive-${index}`);

describe('the scale stand-in', () => {
  it('weighs the same hive on the same day the same, whatever stretch is asked for', () => {
    const whole = year('hive-1');
    const part = weighed('hive-1', '2026-05-01', '2026-05-31');
    expect(part).toHaveLength(31);
    for (const day of part) expect(whole.find((each) => each.date === day.date)).toEqual(day);
  });

  it('has no two hives alike', () => {
    const seen = new Set(MANY.map((scale) => JSON.stringify(year(scale))));
    expect(seen.size).toBe(MANY.length);
  });

  it('shows swarms, robbing, boxes and flows in the series', () => {
    const kinds = new Set(MANY.flatMap((scale) => scaleEvents(year(scale)).map((event) => event.kind)));
    for (const kind of ['swarm', 'robbing', 'flow', 'box-on', 'box-off'] as const) expect(kinds).toContain(kind);
  });

  it('gains in early summer, eats in winter, in each half of the globe at its own time', () => {
    const gain = (scale: string, from: string, days: number) => {
      const gains = naturalGains(weighed(scale, from, addDays(from, days)));
      return gains.reduce((sum, each) => sum + each, 0) / gains.length;
    };
    const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
    expect(mean(MANY.map((scale) => gain(scale, '2026-06-20', 25)))).toBeGreaterThan(0.3);
    expect(mean(MANY.map((scale) => gain(scale, '2026-01-05', 40)))).toBeLessThan(0);
    const south = MANY.map((scale) => `${scale}-south`);
    expect(mean(south.map((scale) => gain(scale, '2025-12-20', 25)))).toBeGreaterThan(0.3);
    expect(mean(south.map((scale) => gain(scale, '2026-06-25', 40)))).toBeLessThan(0);
  });

  it('answers as a service of sensors does, page by page, and says what it cannot answer', async () => {
    const app = supertest(scaleStandIn());
    const { body } = await app
      .get('/Datastreams')
      .query({ $filter: "name eq 'hive-1' or Thing/name eq 'hive-1'" })
      .expect(200);
    expect(body).toMatchObject({ value: [{ name: 'hive-1', unitOfMeasurement: { symbol: 'kg' } }] });
    const stream = "/Datastreams('hive-1')/Observations";
    const $filter = 'phenomenonTime ge 2026-05-01T00:00:00.000Z and phenomenonTime lt 2026-05-08T00:00:00.000Z';
    const first = await app.get(stream).query({ $filter, $top: '4' }).expect(200);
    const page = first.body as { '@iot.nextLink': string; value: { phenomenonTime: string; result: number }[] };
    const second = await app.get(`/${page['@iot.nextLink']}`).expect(200);
    const all = [...page.value, ...(second.body as typeof page).value];
    expect(all.map(({ phenomenonTime, result }) => ({ date: phenomenonTime.slice(0, 10), kg: result }))).toEqual(
      weighed('hive-1', '2026-05-01', '2026-05-07'),
    );
    expect(second.body).not.toHaveProperty('@iot.nextLink');
    await app.get('/Datastreams').expect(400);
    await app.get(stream).query({ $filter: 'result gt 4' }).expect(400);
  });
});

describe('a service of scales', () => {
  const servers: Server[] = [];
  afterEach(() => Promise.all(servers.splice(0).map((server) => new Promise((done) => server.close(done)))));
  async function serve(app: Express): Promise<string> {
    const server = createServer(app);
    servers.push(server);
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  }
  const refusal = async (work: Promise<unknown>) =>
    work.then(
      () => expect.fail('nothing was refused'),
      (error: unknown) => inEnglish((error as { says: Parameters<typeof inEnglish>[0] }).says) as string,
    );

  it('that ships with the application is asked as any other', async () => {
    const source = httpScale(await serve(scaleStandIn()));
    expect(await source.days("O'Hara 4", '2026-05-01', '2026-05-31', -3.3)).toEqual(
      weighed("O'Hara 4", '2026-05-01', '2026-05-31'),
    );
  });

  it('of somebody else is found by name, converted, read over its pages, and thinned to one weight a night', async () => {
    const asked: string[] = [];
    const app = express().set('query parser', 'simple');
    app.get('/v1.1/Datastreams', (request, response) => {
      asked.push(request.query.$filter as string);
      response.json({
        value: [
          {
            name: 'hive 4, warmth',
            unitOfMeasurement: { symbol: '°C' },
            'Observations@iot.navigationLink': '/nowhere',
          },
          {
            name: 'hive 4, weight',
            unitOfMeasurement: { name: 'Gram', symbol: 'g' },
            'Observations@iot.navigationLink': '/v1.1/Datastreams(7)/Observations',
          },
        ],
      });
    });
    app.get('/v1.1/Datastreams\\(7\\)/Observations', (request, response) => {
      const page = Number(request.query.$skip ?? 0);
      const times = page === 0 ? ['T00:10:00Z', 'T02:50:00Z'] : ['T14:00:00Z', 'T23:30:00Z'];
      response.json({
        ...(page === 0 ? { '@iot.nextLink': '/v1.1/Datastreams(7)/Observations?$skip=2' } : {}),
        value: [
          ...times.map((time, index) => ({
            phenomenonTime: `2026-05-02${time}`,
            result: 30_000 + 100 * (page + index),
          })),
          { phenomenonTime: '2026-05-02T03:00:00Z', result: 'broken' },
          { phenomenonTime: '2026-05-02T03:00:00Z', result: 9_000_000 },
        ],
      });
    });
    const source = httpScale(`${await serve(app)}/v1.1`);
    expect(await source.days('hive 4', '2026-05-01', '2026-05-31', 0)).toEqual([{ date: '2026-05-02', kg: 30.1 }]);
    expect(asked[0]).toBe("name eq 'hive 4' or Thing/name eq 'hive 4'");
    // The small hours of the place: at 165° east the afternoon of London is the night.
    expect(await source.days('hive 4', '2026-05-01', '2026-05-31', 165)).toEqual([
      { date: '2026-05-02', kg: 30 },
      { date: '2026-05-03', kg: 30.2 },
    ]);
  });

  it('that has no such scale, answers otherwise or sends elsewhere is refused in words', async () => {
    const other = (body: object) =>
      serve(express().get('/Datastreams', (_request, response) => void response.json(body)));
    const days = async (base: string) => httpScale(base).days('hive 4', '2026-05-01', '2026-05-02', 0);
    expect(await refusal(days(await other({ value: [] })))).toMatch(/no weights of a scale called hive 4/);
    expect(await refusal(days(await other({ days: [] })))).toMatch(/not a list/);
    const lured = { unitOfMeasurement: { symbol: 'kg' }, 'Observations@iot.navigationLink': 'http://127.0.0.9:1/x' };
    expect(await refusal(days(await other({ value: [lured] })))).toMatch(/another address/);
    expect(await refusal(days(await serve(express())))).toMatch(/status 404/);
  });
});

describe('weights in the application', () => {
  let school: School;
  beforeAll(async () => {
    school = await openSchool();
  });
  afterAll(() => school.close());

  it('are fetched once, kept, and stay when the scale service is away', async () => {
    const { id } = await school.db('schools').first<{ id: string }>('id');
    const [home] = await sitesOf(school.db, id);
    await school.db('scale_days').delete();
    let asked = 0;
    const counted: ScaleSource = {
      days: (...query) => {
        asked += 1;
        return school.sources.scale.days(...query);
      },
    };
    expect(await refreshScales(school.context, counted, home!)).toBe(true);
    const [fresh] = await scalesOf(school.context, home!, '2026-03-01', '2026-05-14');
    expect(fresh!.days.at(-1)!.date).toBe('2026-05-13');
    expect(fresh!.days).toHaveLength(74);
    const turns = asked;
    expect(await refreshScales(school.context, counted, home!)).toBe(false);
    await refreshScales(school.context, counted, home!);
    expect(asked).toBe(turns);
    const later = { ...school.context, clock: fixedClock('2026-05-20T08:00:00Z') };
    const away: ScaleSource = { days: () => Promise.reject(new TypeError('fetch failed')) };
    expect(await refreshScales(later, away, home!)).toBe(false);
    expect((await scalesOf(later, home!, '2026-03-01', '2026-05-20'))[0]!.days).toEqual(fresh!.days);
  });
});
