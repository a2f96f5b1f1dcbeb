import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kmBetween } from '../src/units';

const at = (latitude: number, longitude: number) => ({ latitude, longitude });
const place = fc.record({
  latitude: fc.double({ min: -90, max: 90, noNaN: true }),
  longitude: fc.double({ min: -180, max: 180, noNaN: true }),
});

describe('the distance of two places', () => {
  // On a sphere of the mean radius 6371.0088 km (Moritz 2000): a degree of arc is 111.195 km, a quarter 10,007.557 km, half of it round 20,015.115 km.
  it.each([
    ['a degree along a meridian', at(52, 0), at(53, 0), 111.195],
    ['a degree of longitude at 60°, half of that', at(60, 10), at(60, 11), 55.595],
    ['from the equator to a pole', at(0, 30), at(90, 0), 10_007.557],
    ['to the other side of the earth', at(35, -60), at(-35, 120), 20_015.115],
    ['across the date line', at(0, 179.9), at(0, -179.9), 22.239],
    ['nowhere', at(-41, 174), at(-41, 174), 0],
  ])('%s', (_what, from, to, km) => {
    expect(kmBetween(from, to)).toBeCloseTo(km, 2);
  });

  it('is the same both ways, and never longer than by way of a third', () => {
    fc.assert(
      fc.property(place, place, place, (a, b, c) => {
        expect(kmBetween(a, b)).toBeCloseTo(kmBetween(b, a), 6);
        expect(kmBetween(a, b)).toBeLessThanOrEqual(kmBetween(a, c) + kmBetween(c, b) + 1e-3);
      }),
    );
  });

  it('refuses what is no place', () => {
    expect(() => kmBetween(at(91, 0), at(0, 0))).toThrow(/-90 to 90/);
    expect(() => kmBetween(at(0, 0), at(0, NaN))).toThrow(/longitude/);
  });
});
