import { inEnglish } from '../src/words';
import { refusalBy } from './in-english';
import { quantile } from '@brave-comb/core/statistics';
import { DEFAULT_LIMITS, dayOutlook } from '@brave-comb/core/weather';
import supertest from 'supertest';
import { describe, expect, it } from 'vitest';
import { weatherStandIn } from '../src/standins/weather/app';
import { forecastAt, observedBetween } from '../src/standins/weather/generator';
import { fromCoverage, toCoverage } from '../src/records/weather/coverage-json';

const north = { latitude: 55.1, longitude: -3.3 };
const south = { latitude: -42.9, longitude: 160.2 };
const instant = (text: string) => Date.parse(text);
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('the weather stand-in', () => {
  it('answers over HTTP in CoverageJSON, which reads back to the same ensemble', async () => {
    const { body } = await supertest(weatherStandIn())
      .get('/collections/forecast/position')
      .query({ coords: 'POINT(-3.3 55.1)', datetime: '2026-05-14T06:40:00Z/..' })
      .expect(200);
    const ensemble = fromCoverage(body);
    expect(ensemble).toEqual(forecastAt(north, instant('2026-05-14T06:40:00Z')));
    expect(ensemble.members.length).toBeGreaterThanOrEqual(20);
    expect(ensemble.members[0]?.length).toBeGreaterThanOrEqual(240);
    expect(body).toMatchObject({ type: 'Coverage', domain: { type: 'Domain' } });
  });

  it('refuses a question that it cannot understand', async () => {
    const app = supertest(weatherStandIn());
    const wrong = [
      ['forecast', { coords: 'POINT(0 95)', datetime: '2026-05-14T06:40:00Z/..' }],
      ['forecast', { coords: 'POINT(0)', datetime: '2026-05-14T06:40:00Z/..' }],
      ['forecast', { coords: 'POINT(0 1)', datetime: 'soon' }],
      ['observed', { coords: 'POINT(-3.3 55.1)', datetime: '2026-05-14T00:00:00Z/2026-05-13T00:00:00Z' }],
      ['observed', { coords: 'POINT(-3.3 55.1)', datetime: '2020-05-14T00:00:00Z/..' }],
    ] as const;
    for (const [which, query] of wrong) await app.get(`/collections/${which}/position`).query(query).expect(400);
  });

  it('tells its collections as the standard asks', async () => {
    const { body } = await supertest(weatherStandIn()).get('/collections').expect(200);
    const { collections } = body as {
      collections: { id: string; extent: { temporal: { interval: string[][] } }; parameter_names: object }[];
    };
    expect(collections.map(({ id }) => id)).toEqual(['forecast', 'observed']);
    for (const { parameter_names, extent } of collections) {
      expect(parameter_names).toMatchObject({ wind: { unit: { symbol: { value: 'km/h' } } } });
      expect(extent.temporal.interval[0]).toHaveLength(2);
    }
  });

  it('has the same weather for the same place and hour, every time', () => {
    const from = instant('2026-05-10T00:00:00Z');
    expect(observedBetween(north, from, from + 86_400_000)).toEqual(observedBetween(north, from, from + 86_400_000));
    expect(observedBetween(north, from, from + 86_400_000)).not.toEqual(
      observedBetween(south, from, from + 86_400_000),
    );
  });

  it('is warm in July in the north and in January in the south', () => {
    const month = (place: typeof north, of: string) => {
      const { members } = observedBetween(place, instant(`${of}-01T00:00:00Z`), instant(`${of}-28T00:00:00Z`));
      return mean(members[0]!.map((hour) => hour.temperature));
    };
    expect(month(north, '2026-07') - month(north, '2026-01')).toBeGreaterThan(6);
    expect(month(south, '2026-01') - month(south, '2026-07')).toBeGreaterThan(6);
  });

  it('is warmest in the afternoon', () => {
    const { members } = observedBetween(north, instant('2026-06-01T00:00:00Z'), instant('2026-07-01T00:00:00Z'));
    const at = (hour: number) =>
      mean(members[0]!.filter((_, index) => index % 24 === hour).map((each) => each.temperature));
    expect(at(14)).toBeGreaterThan(at(4) + 3);
    expect(at(14)).toBeGreaterThan(at(20));
  });

  it('forecasts tomorrow better than the day after next week', () => {
    const error = (days: number) => {
      const errors: number[] = [];
      for (let start = 0; start < 10; start += 1) {
        const made = instant('2026-04-01T06:40:00Z') + start * 3 * 86_400_000;
        const at = made + days * 86_400_000;
        const truth = observedBetween(north, at, at + 3_600_000 * 12).members[0]!;
        const forecast = forecastAt(north, made);
        const offset = Math.round((Math.floor(at / 3_600_000) * 3_600_000 - instant(forecast.start)) / 3_600_000);
        for (const member of forecast.members.slice(0, 6)) {
          truth.forEach((hour, index) => errors.push(Math.abs(member[offset + index]!.temperature - hour.temperature)));
        }
      }
      return mean(errors);
    };
    expect(error(1)).toBeLessThan(error(5));
    expect(error(5)).toBeLessThan(error(9) * 1.05);
  });

  it('changes its mind from one issue to the next, and spreads with lead', () => {
    const first = forecastAt(north, instant('2026-05-10T06:40:00Z'));
    const second = forecastAt(north, instant('2026-05-11T06:40:00Z'));
    expect(second.issued).not.toBe(first.issued);
    expect(second.members[0]!.slice(96, 120)).not.toEqual(first.members[0]!.slice(120, 144));
    const spread = (hour: number) => {
      const values = first.members.map((member) => member[hour]!.temperature);
      return quantile(values, 0.9) - quantile(values, 0.1);
    };
    expect(mean([200, 210, 220, 230].map(spread))).toBeGreaterThan(mean([6, 8, 10, 12].map(spread)));
  });

  it('opens the demo on unsettled days: some fit, some not', () => {
    const ensemble = forecastAt(north, instant('2026-05-14T06:40:00Z'));
    const hours = Array.from({ length: 10 }, (_, day) => {
      const midnight = instant('2026-05-13T23:00:00Z') + day * 86_400_000;
      return dayOutlook(ensemble, north, DEFAULT_LIMITS, midnight, midnight + 86_400_000)!.hours.full[1];
    });
    expect(hours.some((fit) => fit >= 3)).toBe(true);
    expect(hours.some((fit) => fit === 0)).toBe(true);
  });
});

describe('reading CoverageJSON', () => {
  const good = () =>
    JSON.parse(
      JSON.stringify(
        toCoverage(observedBetween(north, instant('2026-05-14T00:00:00Z'), instant('2026-05-14T03:00:00Z')), north),
      ),
    ) as {
      domain: { axes: { t: { values: string[] } } };
      ranges: Record<string, { values: (number | null)[] }>;
    };

  it('says which part is missing', async () => {
    const noWind = good();
    delete noWind.ranges.wind;
    expect(await refusalBy(() => fromCoverage(noWind))).toMatch(/ranges.wind/);
    expect(await refusalBy(() => fromCoverage({ hello: 'bees' }))).toMatch(/weather service answered without/);
  });

  it('fills gusts, dew point, cloud and thunder that are left out, and short gaps, and says so', () => {
    const partial = good();
    const whole = fromCoverage(good()).members[0]!;
    delete partial.ranges.gust;
    partial.ranges.temperature!.values[1] = null;
    const { members, note } = fromCoverage(partial);
    expect(members[0]![1]!.temperature).toBeCloseTo((whole[0]!.temperature + whole[2]!.temperature) / 2, 5);
    expect(members[0]![0]!.gust).toBeCloseTo(whole[0]!.wind * 1.6, 5);
    expect(inEnglish(note!)).toMatch(/left out gusts: usual.*1 missing value was/s);
    expect(fromCoverage(good()).note).toBeUndefined();
  });

  it('does not guess at a long gap', async () => {
    const long = JSON.parse(
      JSON.stringify(
        toCoverage(observedBetween(north, instant('2026-05-14T00:00:00Z'), instant('2026-05-14T12:00:00Z')), north),
      ),
    ) as { ranges: Record<string, { values: (number | null)[] }> };
    for (const hour of [3, 4, 5, 6]) long.ranges.rain!.values[hour] = null;
    expect(await refusalBy(() => fromCoverage(long))).toMatch(/4 hours of rain in a row/);
  });

  it('says when values or hours are left out', async () => {
    const short = good();
    short.ranges.rain?.values.pop();
    expect(await refusalBy(() => fromCoverage(short))).toMatch(/2 values of rain for 3 hours/);
    const gap = good();
    gap.domain.axes.t.values[2] = '2026-05-14T05:00:00.000Z';
    expect(await refusalBy(() => fromCoverage(gap))).toMatch(/left out the hour/);
  });
});
