import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  beaufort,
  heatIndex,
  lightningClear,
  lightningDistance,
  nesterov,
  peopleAdvice as peopleAdviceInCodes,
  relativeHumidity,
  smokerFire as smokerFireInCodes,
  windChill,
} from '../src/weather';
import { answersInEnglish } from './in-english';

const peopleAdvice = answersInEnglish(peopleAdviceInCodes);
const smokerFire = answersInEnglish(smokerFireInCodes);

const toC = (f: number) => (f - 32) / 1.8;
const toF = (c: number) => c * 1.8 + 32;
const hot = { temperature: 34, dewPoint: 24, wind: 6, gust: 10, rain: 0, cloud: 0.2, thunder: 0 };

describe('heat index (NWS, Rothfusz 1990, SR 90-23)', () => {
  it.each([
    [90, 50, 94.6],
    [104, 40, 118.88],
    [86, 90, 105.39],
    [100, 10, 94.12],
    [75, 50, 74.55],
    [80, 40, 79.58],
    [79, 80, 82.19],
  ])('of %d °F at %d %% is %d °F', (t, rh, wanted) => {
    expect(Math.abs(toF(heatIndex(toC(t), rh)) - wanted)).toBeLessThanOrEqual(0.05);
  });

  it.each([
    [80, 40, 80],
    [84, 60, 88],
    [88, 50, 91],
    [90, 40, 91],
    [94, 55, 106],
    [96, 50, 108],
    [100, 40, 109],
    [106, 40, 124],
    [110, 40, 136],
  ])('agrees with the printed chart at %d °F, %d %%', (t, rh, chart) => {
    expect(Math.abs(toF(heatIndex(toC(t), rh)) - chart)).toBeLessThanOrEqual(1);
  });

  it('works in °C and refuses a humidity that cannot be', () => {
    expect(heatIndex(32, 60)).toBeCloseTo(37.07, 1);
    expect(() => heatIndex(32, 120)).toThrow(/humidity/);
  });
});

describe('wind chill (NWS and Environment Canada 2001)', () => {
  it.each([
    [40, [5, 10, 15, 20, 30], [36, 34, 32, 30, 28]],
    [30, [5, 10, 15, 20, 40], [25, 21, 19, 17, 13]],
  ])('agrees with the printed table at %d °F', (t, winds, wanted) => {
    expect(winds.map((mph) => Math.round(toF(windChill(toC(t), mph * 1.609344))))).toEqual(wanted);
  });

  it.each([
    [0, 20, -5.24],
    [-10, 20, -17.86],
    [-20, 30, -32.57],
  ])('of %d °C at %d km/h is %d °C', (t, wind, wanted) => {
    expect(Math.abs(windChill(t, wind) - wanted)).toBeLessThanOrEqual(0.05);
  });

  it('is the temperature itself where the formula does not hold', () => {
    expect(windChill(15, 40)).toBe(15);
    expect(windChill(-5, 3)).toBe(-5);
  });
});

describe('lightning and wind force', () => {
  it('waits half an hour after the last thunder, which starts the wait again', () => {
    const at = (time: string) => Date.parse(`2026-06-20T${time}:00Z`);
    expect(lightningClear([at('14:05'), at('14:20')])).toBe(at('14:50'));
    expect(lightningClear([at('14:20'), at('14:05')])).toBe(at('14:50'));
    expect(lightningClear([])).toBeNull();
    expect(lightningDistance(30)).toBeCloseTo(10.3, 1);
  });

  it.each([
    [0.2, 0],
    [3.3, 2],
    [3.4, 3],
    [5.5, 4],
    [7.9, 4],
    [10.8, 6],
    [32.7, 12],
  ])('%d m/s is force %d (WMO)', (speed, force) => {
    expect(beaufort(speed * 3.6)).toBe(force);
  });

  it('never falls as the wind rises', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 50, noNaN: true }), (a, b) => {
        expect(beaufort(a + b)).toBeGreaterThanOrEqual(beaufort(a));
      }),
    );
  });
});

describe('advice for people', () => {
  it('shortens turns and adds water as it gets hotter in a suit', () => {
    const mild = peopleAdvice({ ...hot, temperature: 18, dewPoint: 9 });
    const warm = peopleAdvice({ ...hot, temperature: 29, dewPoint: 18 });
    const heavy = peopleAdvice(hot);
    expect(mild.heat).toBe('none');
    expect(warm.workMinutes).toBeLessThan(mild.workMinutes!);
    expect(heavy.workMinutes).toBeLessThan(warm.workMinutes!);
    expect(heavy.waterLitres).toBeGreaterThan(mild.waterLitres);
    expect(heavy.notes.join(' ')).toMatch(/emergency number/);
    expect(peopleAdvice({ ...hot, temperature: 46, dewPoint: 30 }).workMinutes).toBeNull();
  });

  it('speaks of cold hands in a cold wind', () => {
    expect(peopleAdvice({ ...hot, temperature: 2, dewPoint: 0, wind: 30 }).notes.join(' ')).toMatch(/cold hands/);
    expect(relativeHumidity(20, 20)).toBe(100);
    expect(relativeHumidity(20, 9.3)).toBeCloseTo(50, 0);
  });
});

describe('fire danger of a lit smoker (Nesterov 1949)', () => {
  it('sums temperature times dryness since the last rain of 3 mm', () => {
    // 20 · (20 − 10) = 200 a day; the third day's rain starts it again.
    const dry = { temperature: 20, dewPoint: 10, rain: 0 };
    expect(nesterov([dry, dry])).toBe(400);
    expect(nesterov([dry, dry, { ...dry, rain: 3 }, dry])).toBe(200);
    expect(nesterov([{ ...dry, temperature: -4 }])).toBe(0);
  });

  it('goes from a bucket of water to no smoker at all in a long drought', () => {
    const days = (count: number) => Array.from({ length: count }, () => ({ temperature: 30, dewPoint: 12, rain: 0 }));
    expect(smokerFire(days(1)).danger).toBe('low');
    expect(smokerFire(days(6)).danger).toBe('moderate');
    expect(smokerFire(days(12)).danger).toBe('high');
    const long = smokerFire(days(30));
    expect(long).toMatchObject({ danger: 'extreme', dryDays: 30 });
    expect(long.advice[0]).toMatch(/No smoker/);
  });
});
