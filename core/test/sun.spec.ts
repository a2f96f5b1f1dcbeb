import { Body, Observer, SearchRiseSet } from 'astronomy-engine';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { eggLight, lightPlan, sunBearing, sunElevation, sunTimes } from '../src/weather';

const MINUTE = 60_000;
/** Clock time at an offset from UTC, HH:MM. */
const clock = (at: number | null, offset: number) =>
  at === null ? null : new Date(at + offset * 3_600_000).toISOString().slice(11, 16);
const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/**
 * Rise, noon, set and minutes of light; the two public astronomy packages suncalc 2.0.2 and astronomy-engine 2.1.19 agree on each to seconds.
 */
const PUBLISHED = [
  ['Berlin, day before summer time', 52.52, 13.405, '2026-03-28', 1, '05:50', '12:11', '18:34', 763.1],
  ['Berlin, summer time begins', 52.52, 13.405, '2026-03-29', 2, '06:48', '13:11', '19:35', 767.2],
  ['Berlin, solstice', 52.52, 13.405, '2026-06-21', 2, '04:43', '13:08', '21:33', 1010.1],
  ['New York, summer time ends', 40.7128, -74.006, '2026-11-01', -5, '06:26', '11:40', '16:52', 625.8],
  ['Seattle', 47.6062, -122.3321, '2026-04-15', -7, '06:20', '13:09', '19:59', 819.1],
  ['Sydney, summer time begins', -33.8688, 151.2093, '2026-10-04', 11, '06:29', '12:44', '19:00', 751],
  ['Auckland', -36.8485, 174.7633, '2026-06-21', 12, '07:34', '12:23', '17:12', 577.9],
  ['Cape Town', -33.9249, 18.4241, '2026-07-15', 2, '07:49', '12:52', '17:55', 606.1],
  ['Quito, equinox', -0.1807, -78.4678, '2026-03-20', -5, '06:18', '12:21', '18:24', 726.5],
  ['Kathmandu', 27.7172, 85.324, '2026-05-01', 5.75, '05:25', '12:01', '18:37', 793],
  ['Tromsø', 69.6492, 18.9553, '2026-04-01', 2, '05:49', '12:48', '19:50', 840.6],
] as const;
const noonOf = (date: string, offset: number) => Date.parse(`${date}T12:00:00Z`) - offset * 3_600_000;

describe('sun times', () => {
  it.each(PUBLISHED)('of %s', (_name, latitude, longitude, date, offset, rise, noon, set, light) => {
    const sun = sunTimes({ latitude, longitude }, noonOf(date, offset));
    for (const [got, wanted] of [
      [clock(sun.rise, offset), rise],
      [clock(sun.noon, offset), noon],
      [clock(sun.set, offset), set],
    ] as const)
      expect(Math.abs(minutes(got!) - minutes(wanted)), `${got} for ${wanted}`).toBeLessThanOrEqual(2);
    expect(Math.abs(sun.dayLength * 60 - light)).toBeLessThanOrEqual(3);
  });

  it('has civil twilight as published for Berlin', () => {
    const sun = sunTimes({ latitude: 52.52, longitude: 13.405 }, noonOf('2026-03-29', 2));
    expect(Math.abs(minutes(clock(sun.dawn, 2)!) - minutes('06:14'))).toBeLessThanOrEqual(2);
    expect(Math.abs(minutes(clock(sun.dusk, 2)!) - minutes('20:10'))).toBeLessThanOrEqual(2);
  });

  it('knows the polar day and the polar night', () => {
    const tromso = { latitude: 69.6492, longitude: 18.9553 };
    const june = sunTimes(tromso, noonOf('2026-06-21', 2));
    expect([june.rise, june.set, june.dayLength]).toEqual([null, null, 24]);
    expect(Math.abs(minutes(clock(june.noon, 2)!) - minutes('12:46'))).toBeLessThanOrEqual(2);
    const december = sunTimes(tromso, noonOf('2026-12-21', 1));
    expect([december.rise, december.set, december.dayLength]).toEqual([null, null, 0]);
  });

  it('agrees with a second library anywhere that the sun rises and sets well clear of grazing the horizon', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: 0, max: 3650 }),
        (latitude, longitude, day) => {
          const noon = Date.UTC(2020, 0, 1, 12) + day * 86_400_000 - (longitude / 15) * 3_600_000;
          const sun = sunTimes({ latitude, longitude }, noon);
          const observer = new Observer(latitude, longitude, 0);
          const rise = SearchRiseSet(Body.Sun, observer, 1, new Date(noon - 12.2 * 3_600_000), 1)!.date.getTime();
          const set = SearchRiseSet(Body.Sun, observer, -1, new Date(noon), 1)!.date.getTime();
          expect(Math.abs(sun.rise! - rise)).toBeLessThan(2 * MINUTE);
          expect(Math.abs(sun.set! - set)).toBeLessThan(2 * MINUTE);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('stands in the south at noon in the north, in the north at noon in the south', () => {
    const north = { latitude: 55, longitude: 0 };
    const south = { latitude: -35, longitude: 0 };
    const noon = Date.UTC(2026, 4, 14, 12);
    expect(sunBearing(north, sunTimes(north, noon).noon)).toBeCloseTo(180, 0);
    const fromNorth = sunBearing(south, sunTimes(south, noon).noon);
    expect(Math.min(fromNorth, 360 - fromNorth)).toBeLessThan(1);
    expect(lightPlan(south, noon, 0).sunFrom).toBe('north');
  });

  it('works across the date line', () => {
    const noon = noonOf('2026-05-14', 12);
    const west = sunTimes({ latitude: -17, longitude: -179.99 }, noon);
    const east = sunTimes({ latitude: -17, longitude: 179.99 }, noon);
    expect(Math.abs(west.noon - east.noon)).toBeLessThan(MINUTE);
    expect(Math.abs(west.rise! - east.rise!)).toBeLessThan(MINUTE);
  });
});

describe('light for reading eggs', () => {
  const clear = { temperature: 18, dewPoint: 8, wind: 5, gust: 9, rain: 0, cloud: 0, thunder: 0 };

  it('is good in sun, poor under cloud at the same height, and asks for more on new comb', () => {
    expect(eggLight(clear, 18, 'dark-comb')).toBe('good');
    expect(eggLight(clear, 18, 'new-comb')).toBe('poor');
    expect(eggLight({ ...clear, cloud: 1 }, 18, 'dark-comb')).toBe('poor');
    expect(eggLight({ ...clear, cloud: 1 }, 12, 'dark-comb')).toBe('too-dark');
  });

  it('plans the reading hours and the noon slot for the flight', () => {
    const site = { latitude: 55.1, longitude: -3.4 };
    const plan = lightPlan(site, noonOf('2026-05-14', 1), 0.5);
    expect(sunElevation(site, plan.eggs!.from)).toBeGreaterThanOrEqual(20);
    expect(plan.foraging.to - plan.foraging.from).toBe(60 * MINUTE);
    expect(lightPlan({ latitude: 66, longitude: 20 }, noonOf('2026-12-21', 1), 0).eggs).toBeNull();
  });
});
