import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quantile } from '../src/statistics';
import {
  DEFAULT_LIMITS,
  DEPTHS,
  type Ensemble,
  HOUR,
  MINUTE,
  type Outlook,
  type Weather,
  bestStretch,
  broodMinutes,
  chanceOfStretch,
  dayOutlook,
  fitDepth,
  hourOutlooks,
  judgeSession,
  nextBest,
  sunElevation,
  turnOf,
  weatherAt,
} from '../src/weather';

const place = { latitude: 55.1, longitude: -3.3 };
const FINE: Weather = { temperature: 17, dewPoint: 8, wind: 10, gust: 18, rain: 0, cloud: 0.3, thunder: 0 };
const start = Date.parse('2026-05-14T00:00:00Z');
const at = (hour: number) => start + hour * HOUR;

/** An ensemble of members, each a fine day with changes from an hour on. */
function ensembleOf(...members: ((hour: number) => Partial<Weather>)[]): Ensemble {
  return {
    issued: new Date(start).toISOString(),
    start: new Date(start).toISOString(),
    members: members.map((change) => Array.from({ length: 72 }, (_, hour) => ({ ...FINE, ...change(hour) }))),
  };
}
const outlookOf = (...members: Parameters<typeof ensembleOf>): Outlook => ({
  ensemble: ensembleOf(...members),
  place,
  limits: DEFAULT_LIMITS,
});
const fine = () => ({});
const rainFrom = (first: number) => (hour: number) => (hour >= first && hour < first + 8 ? { rain: 1.5 } : {});
const need = { depth: 'full' as const, from: at(12), to: at(14), largestGroup: 6, groupLimit: 7 };
const day = { from: at(7), to: at(18) };

describe('sun', () => {
  it('stands 58 to 59 degrees high at noon of midsummer at 55° N (90 − 55.1 + 23.4)', () => {
    expect(sunElevation(place, Date.parse('2026-06-21T12:13:00Z'))).toBeGreaterThan(58);
    expect(sunElevation(place, Date.parse('2026-06-21T12:13:00Z'))).toBeLessThan(58.7);
  });

  it('is low in the north when it is high in the south', () => {
    const noon = Date.parse('2026-12-21T12:00:00Z');
    expect(sunElevation(place, noon)).toBeLessThan(13);
    expect(sunElevation({ latitude: -42.9, longitude: 0 }, noon)).toBeGreaterThan(65);
  });
});

describe('fit for opening', () => {
  const depth = (change: Partial<Weather>, elevation = 40) =>
    DEPTHS[fitDepth({ ...FINE, ...change }, elevation, DEFAULT_LIMITS)];

  it('goes deeper with warmth: lid, a frame, all of it', () => {
    // A winter treatment or a cake of fondant needs the lid off for a minute, also at 4 °C.
    expect([0, 4, 11, 13.5, 15].map((temperature) => depth({ temperature }))).toEqual([
      'outside',
      'lid',
      'lid',
      'one-frame',
      'full',
    ]);
  });

  it('gives way to gusts, rain and poor light', () => {
    expect(depth({ gust: 31 })).toBe('one-frame');
    expect(depth({ rain: 0.2 })).toBe('lid');
    expect(depth({ rain: 3 })).toBeUndefined();
    expect(depth({ cloud: 1 }, 20)).toBe('one-frame');
    expect(depth({}, -3)).toBeUndefined();
  });

  it('ends with thunder, however warm', () => {
    expect(depth({ temperature: 25, thunder: 0.5 })).toBeUndefined();
  });

  it('never allows deeper when it grows colder, windier or wetter', () => {
    const weather = fc.record({
      temperature: fc.double({ min: -5, max: 35, noNaN: true }),
      gust: fc.double({ min: 0, max: 80, noNaN: true }),
      rain: fc.double({ min: 0, max: 4, noNaN: true }),
    });
    fc.assert(
      fc.property(weather, fc.double({ min: 0, max: 60, noNaN: true }), (change, elevation) => {
        const better = fitDepth({ ...FINE, ...change }, elevation, DEFAULT_LIMITS);
        const worse = { ...FINE, temperature: change.temperature - 1, gust: change.gust + 5, rain: change.rain + 0.2 };
        expect(fitDepth(worse, elevation, DEFAULT_LIMITS)).toBeLessThanOrEqual(better);
      }),
    );
  });

  it('keeps brood in below 10 °C and out longer when warm', () => {
    expect([8, 11, 14, 16, 22].map(broodMinutes)).toEqual([0, 2, 3, 5, 8]);
  });
});

describe('hours and days', () => {
  it('run evenly between the middles of hours, but rain belongs to its hour', () => {
    const member = [
      { ...FINE, temperature: 10, rain: 0 },
      { ...FINE, temperature: 14, rain: 2 },
    ];
    expect(weatherAt(member, start, start + 30 * MINUTE)?.temperature).toBe(10);
    expect(weatherAt(member, start, start + 60 * MINUTE)).toMatchObject({ temperature: 12, rain: 2 });
    expect(weatherAt(member, start, start + 3 * HOUR)).toBeNull();
  });

  it('are counted member by member', () => {
    const { ensemble } = outlookOf(fine, rainFrom(12), fine, fine);
    const [noon] = hourOutlooks(ensemble, place, DEFAULT_LIMITS, at(12), at(13));
    expect(noon?.chance.full).toBe(0.75);
    expect(noon?.rainChance).toBe(0.25);
    const whole = dayOutlook(ensemble, place, DEFAULT_LIMITS, at(0), at(24));
    expect(whole?.hours.full[0]).toBeLessThan(whole?.hours.full[2] ?? 0);
    expect(whole?.warmest[1]).toBe(17);
  });

  it('are unknown beyond the forecast', () => {
    expect(dayOutlook(ensembleOf(fine), place, DEFAULT_LIMITS, at(96), at(120))).toBeNull();
  });

  it('have quantiles by linear ranks', () => {
    expect(quantile([4, 1, 3, 2], 0.5)).toBe(2.5);
    expect(quantile([1, 2, 3, 4, 5], 0.1)).toBeCloseTo(1.4);
    expect(() => quantile([], 0.5)).toThrow(RangeError);
  });
});

describe('stretches', () => {
  it('are as likely as the share of members that stay fit throughout', () => {
    const outlook = outlookOf(fine, rainFrom(13), rainFrom(16), fine);
    expect(chanceOfStretch(outlook, 'full', at(12), at(14))).toBe(0.75);
    expect(chanceOfStretch(outlook, 'full', at(12), at(16) + 20 * MINUTE)).toBe(0.5);
  });

  it('stay near the wished start when all are equally likely', () => {
    const best = bestStretch(outlookOf(fine), 'full', 120, [day.from, day.to], at(12));
    expect(best).toMatchObject({ from: at(12), to: at(14), chance: 1 });
  });

  it('turn when the middle member turns, and say why', () => {
    const turn = turnOf(outlookOf(rainFrom(15), rainFrom(16), rainFrom(17)), 'full', at(12), day.to);
    expect(turn).toMatchObject({ at: at(16), why: 'rain', chance: 1 });
    expect(turn?.giveOrTake).toBeGreaterThan(0);
    expect(turnOf(outlookOf(fine, fine, rainFrom(15)), 'full', at(12), at(16))).toBeNull();
  });

  it('name gusts and cold where no rain follows', () => {
    const gusty = (hour: number) => (hour >= 15 ? { gust: 44 } : {});
    const cold = (hour: number) => (hour >= 15 ? { temperature: 9 } : {});
    expect(turnOf(outlookOf(gusty), 'full', at(12), day.to)?.why).toBe('gusts');
    expect(turnOf(outlookOf(cold), 'full', at(12), day.to)?.why).toBe('cold');
  });
});

describe('the verdict', () => {
  it('is go when the hours hold', () => {
    const verdict = judgeSession(outlookOf(fine, fine, fine, rainFrom(13)), need, day);
    expect(verdict).toMatchObject({ word: 'go', chance: 0.75, best: { from: need.from, to: need.to, depth: 'full' } });
  });

  it('is move when the morning holds and the afternoon does not', () => {
    const verdict = judgeSession(outlookOf(rainFrom(12), rainFrom(12)), need, day);
    expect(verdict.word).toBe('move');
    expect(verdict.best?.to).toBeLessThanOrEqual(at(12));
  });

  it('is short when only an hour or a shallower look fits', () => {
    const cool = () => ({ temperature: 13.5 });
    expect(judgeSession(outlookOf(cool, cool), need, day)).toMatchObject({
      word: 'short',
      best: { depth: 'one-frame' },
    });
    const between = (hour: number) => (hour === 12 ? {} : { rain: 1 });
    expect(judgeSession(outlookOf(between), need, day)).toMatchObject({ word: 'short', best: { depth: 'full' } });
  });

  it('is no in lasting rain, and names what can still be done', () => {
    const wet = (hour: number) => (hour < 9 ? { temperature: 11 } : { rain: 2, temperature: 11 });
    const verdict = judgeSession(outlookOf(wet, wet), need, day);
    expect(verdict).toMatchObject({ word: 'no', best: null, stillPossible: { depth: 'lid' } });
    expect(verdict.gauges.find((gauge) => gauge.id === 'dry')?.state).toBe('outside');
    expect(verdict.gauges.find((gauge) => gauge.id === 'warmth')?.state).toBe('outside');
  });

  it('calls a gauge tight when only its worst tenth misses the limit', () => {
    const members = Array.from({ length: 12 }, (_, member) => () => (member < 2 ? { temperature: 14 } : {}));
    const verdict = judgeSession(outlookOf(...members), need, day);
    expect(verdict.gauges[0]).toMatchObject({ id: 'warmth', state: 'tight' });
    expect(judgeSession(outlookOf(fine), { ...need, largestGroup: 9 }, day).gauges[4]).toMatchObject({
      state: 'outside',
    });
  });

  it('finds the next day that would do', () => {
    const wetTomorrow = (hour: number) => (hour >= 24 && hour < 48 ? { rain: 2 } : {});
    const days = [1, 2].map((later) => ({ from: day.from + later * 24 * HOUR, to: day.to + later * 24 * HOUR }));
    const next = nextBest(outlookOf(wetTomorrow), need, days);
    expect(next).toMatchObject({ from: need.from + 48 * HOUR, chance: 1 });
    expect(
      nextBest(
        outlookOf(() => ({ rain: 2 })),
        need,
        days,
      ),
    ).toBeNull();
  });
});
