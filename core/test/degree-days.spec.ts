import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import {
  type DayWeather,
  accumulate,
  averageDegreeDays,
  clampedDegreeDays,
  degreeDays,
  sineDegreeDays,
  usualByPlace,
  usualFrom,
} from '../src/season';

/** Open daily weather of Seattle 2012 to 2015 (NOAA, in the package vega-datasets 3.2.1). */
const file = fileURLToPath(new URL('../../node_modules/vega-datasets/data/seattle-weather.csv', import.meta.url));
const seattle: readonly DayWeather[] = Papa.parse<Record<string, string>>(readFileSync(file, 'utf8'), {
  header: true,
  skipEmptyLines: true,
}).data.map((row) => ({
  date: row.date!,
  low: Number(row.temp_min),
  high: Number(row.temp_max),
  rain: Number(row.precipitation),
}));
const yearOf = (year: number) => seattle.filter((day) => day.date.startsWith(`${year}-`));
const sumTo = (year: number, monthDay: string, method: Parameters<typeof accumulate>[2]) =>
  accumulate(yearOf(year), 10, method).find((each) => each.date === `${year}-${monthDay}`)!.sum;

describe('degree days of one day, base 10 °C', () => {
  it.each([
    // high, low, average, clamped (cap 30), single sine, sine with cap 30
    [25, 11, 8, 8, 8, 8],
    [15, 3, 0, 2.5, 1.4364, 1.4364],
    [18, 6, 2, 4, 3.017, 3.017],
    [9, 2, 0, 0, 0, 0],
    [30, -2, 4, 10, 7.253, 7.253],
  ])(
    'of %d and %d °C (Baskerville and Emin 1969; McMaster and Wilhelm 1997)',
    (high, low, simple, clamped, sine, capped) => {
      expect(averageDegreeDays(low, high, 10)).toBeCloseTo(simple, 3);
      expect(clampedDegreeDays(low, high, 10, 30)).toBeCloseTo(clamped, 3);
      expect(sineDegreeDays(low, high, 10)).toBeCloseTo(sine, 3);
      expect(sineDegreeDays(low, high, 10, 30)).toBeCloseTo(capped, 3);
    },
  );

  it('has the maize example in °F: 70/40 and 92/65 over 50', () => {
    expect(clampedDegreeDays(40, 70, 50, 86)).toBeCloseTo(10, 3);
    expect(clampedDegreeDays(65, 92, 50, 86)).toBeCloseTo(25.5, 3);
    expect(sineDegreeDays(40, 70, 50)).toBeCloseTo(7.542, 3);
  });

  it('is the area under the sine above the base, by summing it up in small steps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -15, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        (low, span) => {
          const [middle, swing] = [low + span / 2, span / 2];
          let area = 0;
          for (let step = 0; step < 4000; step += 1)
            area += Math.max(0, middle + swing * Math.sin((2 * Math.PI * (step + 0.5)) / 4000) - 10) / 4000;
          expect(sineDegreeDays(low, low + span, 10)).toBeCloseTo(area, 3);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('refuses a lowest above the highest temperature', () => {
    expect(() => degreeDays('average', 12, 8, 5)).toThrow(/must not lie above/);
  });
});

describe('degree days of Seattle', () => {
  it('has the whole file', () => {
    expect(seattle.length).toBe(1461);
    expect(seattle.filter(({ low, date }) => low <= 0 && date.startsWith('2012')).length).toBe(21);
  });

  it.each([
    [2012, '03-31', 2.55],
    [2012, '06-30', 271.7],
    [2012, '12-31', 1133.4],
    [2014, '05-31', 212.8],
    [2014, '12-31', 1490.2],
    [2015, '12-31', 1541.05],
  ])('by the average, %d to %s: %d (counted from the file)', (year, date, sum) => {
    expect(sumTo(year, date, 'average')).toBeCloseTo(sum, 1);
  });

  it.each([
    [2012, '04-30', 74.82],
    [2012, '06-30', 324.58],
    [2012, '12-31', 1201.7],
    [2015, '04-30', 152.19],
    [2015, '12-31', 1616.11],
  ])('by the single sine, %d to %s: %d', (year, date, sum) => {
    expect(sumTo(year, date, 'single-sine')).toBeCloseTo(sum, 1);
  });

  it.each([
    [2012, '04-30', 106.25],
    [2014, '12-31', 1610.65],
    [2015, '04-30', 207.3],
  ])('by the clamped average, %d to %s: %d', (year, date, sum) => {
    expect(sumTo(year, date, 'clamped-average')).toBeCloseTo(sum, 1);
  });

  it.each([
    [2012, ['2012-05-23', '2012-06-28', '2012-07-29']],
    [2014, ['2014-05-13', '2014-06-07', '2014-07-08']],
  ])('reaches 100, 250 and 500 in %d on the right days', (year, dates) => {
    const sums = accumulate(yearOf(year), 10, 'average');
    expect([100, 250, 500].map((goal) => sums.find((each) => each.sum >= goal)!.date)).toEqual(dates);
  });

  it('makes a usual year of it, warmest in summer, and refuses half a year', () => {
    const usual = usualFrom(seattle)!;
    const high = usual.map((day) => day.high);
    expect(high.indexOf(Math.max(...high))).toBeGreaterThan(190);
    expect(high.indexOf(Math.max(...high))).toBeLessThan(240);
    expect(usualFrom(seattle.slice(0, 180))).toBeNull();
  });
});

describe('a usual year by latitude', () => {
  it('turns round in the south and gets colder with height', () => {
    expect(usualByPlace({ latitude: -35, longitude: 150, altitude: 0 })[18]!.high).toBeGreaterThan(
      usualByPlace({ latitude: -35, longitude: 150, altitude: 0 })[200]!.high,
    );
    expect(usualByPlace({ latitude: 55, longitude: -3, altitude: 600 })[100]!.high).toBeLessThan(
      usualByPlace({ latitude: 55, longitude: -3, altitude: 100 })[100]!.high,
    );
  });
});
