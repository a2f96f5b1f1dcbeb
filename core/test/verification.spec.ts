import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DEFAULT_LIMITS,
  type Ensemble,
  type Verified,
  type Weather,
  brierScore,
  fitSpans,
  scoresByLead,
  sessionChance,
  trustOf,
  widen,
} from '../src/weather';

const HOUR = 3_600_000;
const place = { latitude: 55.1, longitude: -3.3 };
const midnight = Date.parse('2026-06-20T23:00:00Z');
const fine: Weather = { temperature: 18, dewPoint: 8, wind: 8, gust: 14, rain: 0, cloud: 0.2, thunder: 0 };
/** A day of two members, each hour as a function says. */
const day = (...members: ((hour: number) => Partial<Weather>)[]): Ensemble => ({
  issued: '2026-06-20T22:10:00Z',
  start: new Date(midnight).toISOString(),
  members: members.map((of) => Array.from({ length: 24 }, (_, hour) => ({ ...fine, ...of(hour) }))),
});

describe('Brier score (Brier 1950)', () => {
  it('of his worked form: 0.7 that came, 0.3 that did not, is 0.09; always saying half is 0.25', () => {
    expect(
      brierScore([
        [0.7, true],
        [0.3, false],
      ]),
    ).toBeCloseTo(0.09, 10);
    expect(
      brierScore([
        [0.5, true],
        [0.5, false],
        [0.5, true],
      ]),
    ).toBeCloseTo(0.25, 10);
    expect(
      brierScore([
        [1, true],
        [0, false],
      ]),
    ).toBe(0);
    expect(() => brierScore([])).toThrow(/at least one/);
  });

  it('is best in the long run for him who says what he believes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }), (hits, said) => {
        const days = Array.from({ length: 20 }, (_, index) => index < hits);
        const honest = brierScore(days.map((fit) => [hits / 20, fit]));
        expect(brierScore(days.map((fit) => [said / 20, fit]))).toBeGreaterThanOrEqual(honest - 1e-12);
      }),
    );
  });
});

describe('scores by lead day', () => {
  const verified = (
    lead: number,
    chance: number,
    happened: boolean,
    warmest: [number, number] = [18, 17],
  ): Verified => ({
    lead,
    chance,
    happened,
    warmest,
  });

  it('give bias, error, hits and skill over the usual share', () => {
    const [score] = scoresByLead([
      verified(1, 0.9, true, [19, 17]),
      verified(1, 0.2, false, [15, 16]),
      verified(1, 0.6, false, [18, 16]),
      verified(1, 0.4, true, [20, 19]),
    ]);
    expect(score).toMatchObject({ lead: 1, days: 4, bias: 1, error: 1.5, hitRate: 0.5 });
    // (0.01 + 0.04 + 0.36 + 0.36) / 4, against 0.25 for a share of one half.
    expect(score!.brier).toBeCloseTo(0.1925, 10);
    expect(score!.skill).toBeCloseTo(1 - 0.1925 / 0.25, 10);
  });

  it('say up to which day to plan by it, and nothing while few days are known', () => {
    const lead = (of: number, right: number) =>
      Array.from({ length: 20 }, (_, index) => verified(of, index % 2 === 0 ? right : 1 - right, index % 2 === 0));
    const scores = scoresByLead([
      ...lead(1, 0.95),
      ...lead(2, 0.8),
      ...lead(3, 0.55),
      ...lead(4, 0.4),
      ...lead(5, 0.9),
    ]);
    expect(trustOf(scores)).toEqual({ plan: 2, pencil: 3 });
    expect(trustOf(scoresByLead(lead(1, 0.95).slice(0, 6)))).toEqual({ plan: null, pencil: null });
  });
});

describe('chance of a session', () => {
  const span = [midnight, midnight + 24 * HOUR] as const;

  it('is the share of the members with two fit hours or more', () => {
    const ensemble = day(
      () => ({}),
      () => ({ rain: 2 }),
      (hour) => ({ rain: hour === 12 ? 0 : 2 }),
      (hour) => ({ rain: hour >= 12 && hour < 15 ? 0 : 2 }),
    );
    expect(sessionChance(ensemble, place, DEFAULT_LIMITS, 'full', span)?.chance).toBe(0.5);
    expect(
      sessionChance(ensemble, place, DEFAULT_LIMITS, 'full', [span[1] + 24 * HOUR, span[1] + 48 * HOUR]),
    ).toBeNull();
  });

  it('is never greater for a deeper opening', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            temperature: fc.integer({ min: 2, max: 36 }),
            rain: fc.constantFrom(0, 0, 0.2, 1),
            gust: fc.integer({ min: 0, max: 60 }),
          }),
          { minLength: 24, maxLength: 24 },
        ),
        (hours) => {
          const ensemble = day(
            (hour) => hours[hour]!,
            () => ({}),
          );
          const chances = (['outside', 'lid', 'one-frame', 'full'] as const).map(
            (depth) => sessionChance(ensemble, place, DEFAULT_LIMITS, depth, span)!.chance,
          );
          expect([...chances].sort((a, b) => b - a)).toEqual(chances);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a day cut into spans', () => {
  const outlook = (ensemble: Ensemble) => ({ ensemble, place, limits: DEFAULT_LIMITS });
  const spansOf = (ensemble: Ensemble) => fitSpans(outlook(ensemble), midnight, midnight + 24 * HOUR);

  it('has no gaps and no two neighbours alike, and says what limits each', () => {
    const spans = spansOf(day((hour) => ({ gust: hour >= 15 ? 44 : 14, wind: hour >= 15 ? 30 : 8 })));
    expect(spans[0]!.from).toBe(midnight);
    expect(spans.at(-1)!.to).toBe(midnight + 24 * HOUR);
    spans.slice(1).forEach((span, index) => {
      expect(span.from).toBe(spans[index]!.to);
      expect(span.depth).not.toBe(spans[index]!.depth);
    });
    const full = spans.find((span) => span.depth === 'full')!;
    const after = spans[spans.indexOf(full) + 1]!;
    expect(full.limitedBy).toBeNull();
    expect(full.broodMinutes).toBe(5);
    expect(after.limitedBy?.why).toBe('gusts');
    expect(new Date(full.to).getUTCHours()).toBeGreaterThanOrEqual(13);
    expect(new Date(full.to).getUTCHours()).toBeLessThanOrEqual(14);
  });

  it('ends a full opening in time to close before rain', () => {
    const spans = spansOf(day((hour) => ({ rain: hour >= 14 ? 3 : 0 })));
    const full = spans.find((span) => span.depth === 'full')!;
    const rain = midnight + 14 * HOUR;
    expect(rain - full.to).toBeGreaterThanOrEqual(15 * 60_000);
    expect(spans[spans.indexOf(full) + 1]!.limitedBy?.why).toMatch(/rain/);
  });

  it('leaves hives shut in thunder, whatever else', () => {
    const spans = spansOf(day((hour) => ({ thunder: hour >= 10 && hour < 16 ? 0.6 : 0 })));
    const shut = spans.filter((span) => span.depth === null && span.limitedBy?.why === 'thunder');
    expect(shut.reduce((sum, span) => sum + span.to - span.from, 0)).toBeGreaterThanOrEqual(5 * HOUR);
  });
});

describe('a forecast out of date', () => {
  const base = day(
    (hour) => ({ temperature: 12 + hour / 3 }),
    (hour) => ({ temperature: 13 + hour / 3 }),
    (hour) => ({ temperature: 14 + hour / 3 }),
  );
  const range = (ensemble: Ensemble, hour: number) => {
    const values = ensemble.members.map((member) => member[hour]!.temperature);
    return Math.max(...values) - Math.min(...values);
  };

  it('comes back as it is while it is fresh', () => {
    expect(widen(base, 0)).toBe(base);
    expect(() => widen(base, -1)).toThrow(/age/);
  });

  it('gets wider with its age, and keeps its middle', () => {
    const [old, older] = [widen(base, 24), widen(base, 72)];
    expect(range(old, 12)).toBeGreaterThan(range(base, 12));
    expect(range(older, 12)).toBeGreaterThan(range(old, 12));
    const mean = (ensemble: Ensemble) =>
      ensemble.members.reduce((sum, member) => sum + member[12]!.temperature, 0) / ensemble.members.length;
    expect(Math.abs(mean(older) - mean(base))).toBeLessThan(0.5);
  });

  it('of one course only becomes twenty, the more apart the farther ahead', () => {
    const single = widen(
      day(() => ({})),
      0,
    );
    expect(single.members).toHaveLength(20);
    expect(range(single, 22)).toBeGreaterThan(range(single, 2));
  });

  it('never has negative wind or gusts below the wind', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (hours) => {
        for (const member of widen(base, hours).members)
          for (const hour of member) {
            expect(hour.wind).toBeGreaterThanOrEqual(0);
            expect(hour.gust).toBeGreaterThanOrEqual(hour.wind);
          }
      }),
      { numRuns: 30 },
    );
  });
});
