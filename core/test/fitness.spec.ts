import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS, DEPTHS, type Weather, broodMinutes, fitDepth, hindrance, hindrances } from '../src/weather';
import { rowsOf } from './case-tables';

const FINE: Weather = { temperature: 20, rain: 0, wind: 8, gust: 14, cloud: 0.2, thunder: 0, dewPoint: 8 };

describe('how deep a hive may be opened', () => {
  const rows = rowsOf(readFileSync(join(import.meta.dirname, '../../docs/cases/fitness.md'), 'utf8'));

  it.each(rows.map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, hour, fits, forbids] = row as [string, string, string, string];
    const given: Record<string, number> = { sun: 40, soon: 0 };
    for (const piece of hour.split(';').filter(Boolean)) {
      const [what, value] = piece.trim().split(' ');
      given[what!] = Number(value);
    }
    const { sun, soon, ...change } = given as { sun: number; soon: number };
    const weather = { ...FINE, ...change };
    expect(DEPTHS[fitDepth(weather, sun, DEFAULT_LIMITS, soon)] ?? 'none').toBe(fits);
    const all = hindrances(weather, sun, DEFAULT_LIMITS.full, soon);
    expect(all.join(', ') || 'nothing').toBe(forbids);
    expect(hindrance(weather, sun, DEFAULT_LIMITS.full, soon)).toBe(all[0] ?? null);
  });

  it('refuses a temperature that no air has', () => {
    expect(() => fitDepth({ ...FINE, temperature: 71 }, 40, DEFAULT_LIMITS)).toThrow(RangeError);
    expect(() => broodMinutes(-91)).toThrow(RangeError);
  });

  it.each([
    [9.9, 0],
    [10, 2],
    [12.9, 2],
    [13, 3],
    [14.9, 3],
    [15, 5],
    [20.9, 5],
    [21, 8],
  ])('at %d °C brood may be out for %d minutes', (temperature, minutes) =>
    expect(broodMinutes(temperature)).toBe(minutes),
  );
});
