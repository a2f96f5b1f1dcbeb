import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isZone, readPlace, zoneAt } from '../src/place';

/** A place as somebody writes it, and what it is. */
const PLACES: readonly (readonly [string, readonly [number, number] | null])[] = [
  ['54.4712, -1.2034', [54.4712, -1.2034]],
  ['54.4712 -1.2034', [54.4712, -1.2034]],
  ['-42.9;160.2', [-42.9, 160.2]],
  ['42.9° S, 160.2° E', [-42.9, 160.2]],
  ['42.9 s 160.2 e', [-42.9, 160.2]],
  ['S 42.9, E 160.2', [-42.9, 160.2]],
  // Longitude first, as some maps give it: the letters say so.
  ['160.2 E, 42.9 S', [-42.9, 160.2]],
  ['54,4712; -1,2034', [54.4712, -1.2034]],
  ['54,4712 -1,2034', [54.4712, -1.2034]],
  ['54,4712° N, 1,2034° W', [54.4712, -1.2034]],
  [`54°28'12"N 1°12'36"W`, [54.47, -1.21]],
  ['54° 28.2′ N, 1° 12.6′ W', [54.47, -1.21]],
  ['−42.9, 160.2', [-42.9, 160.2]],
  ['0, 0', [0, 0]],
  ['90, 180', [90, 180]],
  ['91, 0', null],
  ['0, 181', null],
  ['54.4712', null],
  ['54.4712, -1.2034, 12', null],
  ['behind the church', null],
  ['12 N, 13 N', null],
  // East in German, west in French: asked again rather than guessed.
  ['54.47 N, 1.20 O', null],
  ['12 E, 13 W', null],
  [`54°61'N 1°12'W`, null],
  ['', null],
];

describe('a place as people write it', () => {
  it.each(PLACES)('"%s"', (text, place) => {
    const read = readPlace(text);
    if (place === null) expect(read).toBeNull();
    else {
      expect(read!.latitude).toBeCloseTo(place[0], 10);
      expect(read!.longitude).toBeCloseTo(place[1], 10);
    }
  });

  it('is read back from figures with a point, and from figures with letters', () => {
    const figure = (most: number) =>
      fc.integer({ min: -most * 10_000, max: most * 10_000 }).map((each) => each / 10_000);
    fc.assert(
      fc.property(figure(90), figure(180), (latitude, longitude) => {
        const [north, east] = [latitude < 0 ? 'S' : 'N', longitude < 0 ? 'W' : 'E'];
        for (const text of [
          `${latitude}, ${longitude}`,
          `${Math.abs(latitude)} ${north} ${Math.abs(longitude)} ${east}`,
          `${Math.abs(longitude)}°${east}, ${Math.abs(latitude)}°${north}`,
        ])
          expect(readPlace(text)).toEqual({ latitude: latitude + 0, longitude: longitude + 0 });
      }),
    );
  });
});

describe('the time zone of a place', () => {
  // Coordinates and zones of the IANA time zone database, zone1970.tab.
  it.each([
    [51.508, -0.125, 'Europe/London'],
    [-42.883, 147.317, 'Australia/Hobart'],
    [-33.45, -70.667, 'America/Santiago'],
    [27.717, 85.317, 'Asia/Kathmandu'],
    [-43.95, -176.55, 'Pacific/Chatham'],
    [47.567, -52.717, 'America/St_Johns'],
  ])('%f, %f is in %s', (latitude, longitude, zone) => {
    expect(zoneAt({ latitude, longitude })).toBe(zone);
  });

  it('is one that the machine knows, at sea and at the poles too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (latitude, longitude) => {
          expect(isZone(zoneAt({ latitude, longitude }))).toBe(true);
        },
      ),
    );
  });

  it('is told from what is none', () => {
    expect(['UTC', 'Europe/London', 'Etc/GMT-11'].map(isZone)).toEqual([true, true, true]);
    expect(['', 'Nowhere/Land', 'half past two'].map(isZone)).toEqual([false, false, false]);
  });
});
