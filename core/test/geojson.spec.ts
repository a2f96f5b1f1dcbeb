import { getIssues } from '@placemarkio/check-geojson';
import fc from 'fast-check';
import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { onEarth, siteFeatures } from '../src/exchange';
import { BARE_PLAN } from '../src/site';

const SITE = {
  ...{ id: 'site', name: 'Salt flat', latitude: -42.9, longitude: 179.9999, altitude: 12 },
  plan: {
    stands: [{ id: 'a', name: 'A', east: 4, north: 6, faces: 20, height: 40 }],
    landmarks: [
      {
        id: 'p',
        kind: 'path',
        name: 'path',
        along: [
          { east: 0, north: 0 },
          { east: 20, north: 0 },
        ],
        width: 1,
      },
      {
        id: 'h',
        kind: 'barrier',
        name: 'hedge',
        along: [
          { east: 0, north: 9 },
          { east: 20, north: 9 },
        ],
        height: 2,
      },
      { id: 't', kind: 'tree', name: 'tea tree', at: { east: 9, north: 9 }, radius: 1 },
      { id: 'g', kind: 'gate', name: 'gate', at: { east: 0, north: 0 } },
    ],
    wind: null,
  },
  hives: [
    { id: '1', number: '1', stand: 'A', place: { east: 4, north: 6, faces: 20 } },
    { id: '2', number: '2', stand: 'A', place: null },
  ],
} as const;

describe('sites as GeoJSON', () => {
  it('is what RFC 7946 asks for, read by a checker that is not ours, also across the date line', () => {
    expect(getIssues(JSON.stringify(siteFeatures([SITE, { ...SITE, id: 'other', plan: null }])))).toEqual([]);
    const broken = JSON.stringify(siteFeatures([SITE])).replace('"coordinates":[', '"coordinates":["');
    expect(getIssues(broken)).not.toEqual([]);
  });

  it('says what each thing is, with its size, and leaves out what is not set out', () => {
    const { features } = siteFeatures([SITE]);
    expect(features.map(({ id, properties: { kind } }) => [id, kind])).toEqual([
      ['site', 'site'],
      ['a', 'stand'],
      ['1', 'hive'],
      ['p', 'path'],
      ['h', 'barrier'],
      ['t', 'tree'],
      ['g', 'gate'],
    ]);
    expect(features[1]!.properties).toEqual({
      kind: 'stand',
      name: 'A',
      site: 'Salt flat',
      faces_degrees: 20,
      height_cm: 40,
    });
    expect(siteFeatures([{ ...SITE, plan: BARE_PLAN, hives: [] }]).features).toHaveLength(1);
  });

  // Karney's geodesics on WGS 84 (GeographicLib): an independent reckoning of how far apart two positions are, and in which direction.
  it('puts a spot as far away, and in the direction, that the plan says: within one part in a hundred', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -70, max: 70, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        (latitude, longitude, metres, degrees) => {
          const angle = (degrees * Math.PI) / 180;
          const [east, north] = [metres * Math.sin(angle), metres * Math.cos(angle)];
          const [lon, lat] = onEarth({ latitude, longitude }, { east, north });
          const { s12, azi1 } = geodesic.Geodesic.WGS84.Inverse(latitude, longitude, lat, lon);
          expect(Math.abs(s12! - metres)).toBeLessThan(0.01 * metres + 0.02);
          const off = Math.abs(((((azi1! - degrees + 180) % 360) + 360) % 360) - 180);
          expect((off * Math.PI * metres) / 180).toBeLessThan(0.01 * metres + 0.03);
        },
      ),
    );
  });
});
