import { type Landmark, type PlanHive, type SitePlan, type Spot, setHives } from '../site';
import { EARTH, type Point } from '../units';

/** A site with what stands on it. */
export interface SiteOnEarth extends Point {
  readonly id: string;
  readonly name: string;
  /** Height above the sea, m. */
  readonly altitude: number;
  readonly plan: SitePlan | null;
  readonly hives: readonly PlanHive[];
}

type Position = readonly [longitude: number, latitude: number];
type Geometry =
  | { readonly type: 'Point'; readonly coordinates: Position }
  | { readonly type: 'LineString'; readonly coordinates: readonly Position[] };

/** A feature of GeoJSON. Its `kind` says what it is: site, stand, hive, path, barrier, tree or gate. */
export interface SiteFeature {
  readonly type: 'Feature';
  readonly id: string;
  readonly geometry: Geometry;
  readonly properties: Readonly<Record<string, string | number | null>>;
}
export interface SiteFeatures {
  readonly type: 'FeatureCollection';
  readonly features: readonly SiteFeature[];
}

const DEGREE = 180 / Math.PI;
/** Seven decimals are a centimetre. */
const rounded = (degrees: number): number => Math.round(degrees * 1e7) / 1e7;
/** Longitudes go on from -180 beyond the date line. */
const wrapped = (longitude: number): number => ((((longitude + 180) % 360) + 360) % 360) - 180;

/**
 * A spot of a site's plan on the earth. The plan is flat, the earth a sphere: a kilometre from the middle this makes some centimetres.
 *
 * @param origin the site's place, degrees
 * @param spot metres east and north of it
 * @returns longitude and latitude, degrees, in that order, as RFC 7946 has them
 * @example onEarth({ latitude: 0, longitude: 0 }, { east: 0, north: 111195 }) // [ 0, 0.9999993 ]
 */
export function onEarth({ latitude, longitude }: Point, { east, north }: Spot): Position {
  const metres = EARTH * 1000;
  return [
    rounded(wrapped(longitude + (east / (metres * Math.max(1e-9, Math.cos(latitude / DEGREE)))) * DEGREE)),
    rounded(Math.min(90, Math.max(-90, latitude + (north / metres) * DEGREE))),
  ];
}

const feature = (
  id: string,
  geometry: Geometry,
  properties: Readonly<Record<string, string | number | null>>,
): SiteFeature => ({ type: 'Feature', id, geometry, properties });

function landmarkFeature(site: SiteOnEarth, mark: Landmark): SiteFeature {
  const { id, kind, name } = mark;
  const said = { kind, name, site: site.name };
  if (kind === 'path' || kind === 'barrier') {
    const coordinates = mark.along.map((spot) => onEarth(site, spot));
    const size = kind === 'path' ? { width_m: mark.width } : { height_m: mark.height };
    return feature(id, { type: 'LineString', coordinates }, { ...said, ...size });
  }
  const geometry = { type: 'Point', coordinates: onEarth(site, mark.at) } as const;
  return feature(id, geometry, kind === 'tree' ? { ...said, radius_m: mark.radius } : said);
}

/**
 * Sites as GeoJSON (RFC 7946): a point for each site, stand, hive, tree and gate, a line for each path and barrier.
 *
 * @param sites with their plans; hives that are not set out are left out
 * @returns a feature collection; positions are longitude and latitude, WGS 84
 */
export const siteFeatures = (sites: readonly SiteOnEarth[]): SiteFeatures => ({
  type: 'FeatureCollection',
  features: sites.flatMap((site) => {
    const { id, name, altitude, plan, hives } = site;
    const point = (spot: Spot) => ({ type: 'Point', coordinates: onEarth(site, spot) }) as const;
    return [
      feature(id, point({ east: 0, north: 0 }), { kind: 'site', name, altitude_m: altitude }),
      ...(plan?.stands ?? []).map((stand) =>
        feature(stand.id, point(stand), {
          ...{ kind: 'stand', name: stand.name, site: name },
          ...{ faces_degrees: stand.faces, height_cm: stand.height },
        }),
      ),
      ...setHives(hives).map((hive) =>
        feature(hive.id, point(hive.place), {
          ...{ kind: 'hive', number: hive.number, stand: hive.stand, site: name },
          faces_degrees: hive.place.faces,
        }),
      ),
      ...(plan?.landmarks ?? []).map((mark) => landmarkFeature(site, mark)),
    ];
  }),
});
