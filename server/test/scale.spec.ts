import { naturalGains, scaleEvents } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import Papa from 'papaparse';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fixedClock } from '../src/clock/clock';
import { sitesOf } from '../src/records/equipment/store';
import { refreshScales, scalesOf } from '../src/records/season';
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

  it('answers as JSON and as CSV alike, and says what it cannot answer', async () => {
    const app = supertest(scaleStandIn());
    const query = { scale: 'hive-1', from: '2026-05-01', to: '2026-05-07' };
    const json = await app.get('/days').query(query).expect(200);
    expect(json.body).toEqual({ scale: 'hive-1', unit: 'kg', days: weighed('hive-1', '2026-05-01', '2026-05-07') });
    const csv = await app
      .get('/days.csv')
      .query(query)
      .expect(200)
      .expect('content-type', /text\/csv/);
    const read = Papa.parse<{ date: string; kg: string }>(csv.text, { header: true }).data;
    expect(read.map(({ date, kg }) => ({ date, kg: Number(kg) }))).toEqual((json.body as { days: unknown }).days);
    await app
      .get('/days')
      .query({ ...query, to: '2026-04-01' })
      .expect(422);
    await app.get('/days').query({ scale: 'hive-1' }).expect(422);
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
