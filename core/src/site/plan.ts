/** A spot on the plan of a site: metres east and north of its fixed point, which is the place that its coordinates say. */
export interface Spot {
  readonly east: number;
  readonly north: number;
}

/** Where a hive stands and to which side its entrance looks, degrees clockwise from north. */
export interface HivePlace extends Spot {
  readonly faces: number;
}

/** What carries hives: its middle, the side to which entrances look, and how high its rails are, cm; `null` where nobody has measured. */
export interface PlanStand extends HivePlace {
  readonly id: string;
  readonly name: string;
  readonly height: number | null;
}

/** What else is on the ground and matters to bees and people. */
export type Landmark =
  | {
      readonly id: string;
      readonly kind: 'path';
      readonly name: string;
      readonly along: readonly Spot[];
      readonly width: number;
    }
  | {
      readonly id: string;
      readonly kind: 'barrier';
      readonly name: string;
      readonly along: readonly Spot[];
      readonly height: number;
    }
  | { readonly id: string; readonly kind: 'tree'; readonly name: string; readonly at: Spot; readonly radius: number }
  | { readonly id: string; readonly kind: 'gate'; readonly name: string; readonly at: Spot };

/** The plan of a site. */
export interface SitePlan {
  readonly stands: readonly PlanStand[];
  readonly landmarks: readonly Landmark[];
  /** Where the wind mostly comes from, degrees from north; `null` where nobody has said. */
  readonly wind: number | null;
}

/** A hive of a site; its place is `null` while nobody has set it out. */
export interface PlanHive {
  readonly id: string;
  readonly number: string;
  /** Name of its stand. */
  readonly stand: string;
  readonly place: HivePlace | null;
}

/** A hive that stands on the plan. */
export type SetHive = PlanHive & { readonly place: HivePlace };

/** A plan of bare ground. */
export const BARE_PLAN: SitePlan = { stands: [], landmarks: [], wind: null };

/** Outer width of a hive, m: that of the common boxes, rounded. */
export const HIVE_WIDTH = 0.5;
/** From middle to middle of two hives on a stand, m: room to set a roof down and to stand between. Common practice. */
const SPACING = 0.9;

const rad = (degrees: number): number => (degrees * Math.PI) / 180;
const tenth = (value: number): number => Math.round(value * 10) / 10;

/**
 * A bearing from 0 to 359, whole degrees.
 *
 * @param degrees any number of turns
 * @example bearing(-90) // 270
 */
export const bearing = (degrees: number): number => ((Math.round(degrees) % 360) + 360) % 360;

/**
 * A spot so many metres away in a direction.
 *
 * @param from where from
 * @param degrees clockwise from north
 * @param metres how far
 * @example awayFrom({ east: 0, north: 0 }, 90, 2) // { east: 2, north: 0 }
 */
export const awayFrom = ({ east, north }: Spot, degrees: number, metres: number): Spot => ({
  east: tidy(east + metres * Math.sin(rad(degrees))),
  north: tidy(north + metres * Math.cos(rad(degrees))),
});

/** Millimetres are enough, and no zero has a sign. */
const tidy = (value: number): number => Math.round(value * 1000) / 1000 + 0;

/** Metres between two spots. */
export const metresBetween = (one: Spot, other: Spot): number =>
  Math.hypot(one.east - other.east, one.north - other.north);

/** Hives that stand on the plan. */
export const setHives = (hives: readonly PlanHive[]): readonly SetHive[] =>
  hives.filter((hive): hive is SetHive => hive.place !== null);

/** Hives of a stand that stand on the plan. */
export const hivesOn = (stand: PlanStand, hives: readonly PlanHive[]): readonly SetHive[] =>
  setHives(hives).filter((hive) => hive.stand === stand.name);

/**
 * A stand and what is on it, moved as one.
 *
 * @param stand where it stood
 * @param to where its middle comes to stand, rounded to tenths of a metre, and to which side it looks then
 * @param hives of the site
 * @returns the stand, and all hives; those of other stands as they were
 */
export function movedStand(
  stand: PlanStand,
  to: HivePlace,
  hives: readonly PlanHive[],
): { readonly stand: PlanStand; readonly hives: readonly PlanHive[] } {
  const middle = { east: tenth(to.east) + 0, north: tenth(to.north) + 0, faces: bearing(to.faces) };
  const turn = middle.faces - stand.faces;
  return {
    stand: { ...stand, ...middle },
    hives: hives.map((hive) => {
      if (hive.stand !== stand.name || hive.place === null) return hive;
      const metres = metresBetween(stand, hive.place);
      const at = (Math.atan2(hive.place.east - stand.east, hive.place.north - stand.north) * 180) / Math.PI;
      return { ...hive, place: { ...awayFrom(middle, at + turn, metres), faces: bearing(hive.place.faces + turn) } };
    }),
  };
}

/**
 * The next free place on a stand: at its middle, then beside what stands there, left and right in turn.
 *
 * @param stand of the plan
 * @param hives of the site
 * @returns the place, looking where the stand looks
 * @example freePlace({ id: 'a', name: 'A', east: 4, north: 6, faces: 180, height: 40 }, []) // { east: 4, north: 6, faces: 180 }
 */
export function freePlace(stand: PlanStand, hives: readonly PlanHive[]): HivePlace {
  const there = setHives(hives).map(({ place }) => place);
  for (let step = 0; ; step += 1) {
    const side = step % 2 === 1 ? 90 : -90;
    const spot = awayFrom(stand, stand.faces + side, Math.ceil(step / 2) * SPACING);
    if (there.every((place) => metresBetween(place, spot) > SPACING - 0.05)) return { ...spot, faces: stand.faces };
  }
}

/**
 * Sets out what has no place yet: stands that hives are said to be on in rows from west to east, hives side by side on them.
 *
 * @param plan as it is
 * @param hives of the site
 * @param sunward the side to which entrances look where nothing is known: south in the northern half, north in the southern
 * @param id makes an id for a new stand
 * @returns plan and hives; what had a place keeps it
 */
export function setOut(
  plan: SitePlan,
  hives: readonly PlanHive[],
  sunward: number,
  id: () => string,
): { readonly plan: SitePlan; readonly hives: readonly PlanHive[] } {
  let stands = plan.stands;
  let out = hives;
  for (const name of new Set(hives.map(({ stand }) => stand))) {
    const here = hives.filter((hive) => hive.stand === name);
    let stand = stands.find((each) => each.name === name);
    if (!stand) {
      const known = setHives(here)[0]?.place;
      const last = Math.max(-6, ...stands.map(({ east }) => east), ...setHives(out).map(({ place }) => place.east));
      stand = {
        id: id(),
        name,
        ...(known ? middleOf(setHives(here)) : { east: tenth(last + 6), north: 0, faces: sunward }),
        height: null,
      };
      stands = [...stands, stand];
    }
    for (const hive of here)
      if (hive.place === null) {
        const place = freePlace(stand, out);
        out = out.map((each) => (each.id === hive.id ? { ...each, place } : each));
      }
  }
  return { plan: { ...plan, stands }, hives: out };
}

/** The middle of some hives, looking where the first looks. */
function middleOf(hives: readonly SetHive[]): HivePlace {
  const sum = (of: 'east' | 'north') => hives.reduce((total, { place }) => total + place[of], 0);
  return {
    east: tenth(sum('east') / hives.length) + 0,
    north: tenth(sum('north') / hives.length) + 0,
    faces: hives[0]!.place.faces,
  };
}

/** Where the rails of a stand end: beyond its outermost hives, at least so that one hive has room. */
export function railOf(stand: PlanStand, hives: readonly PlanHive[]): readonly [from: Spot, to: Spot] {
  const along = hivesOn(stand, hives).map(
    ({ place }) =>
      (place.east - stand.east) * Math.sin(rad(stand.faces + 90)) +
      (place.north - stand.north) * Math.cos(rad(stand.faces + 90)),
  );
  const reach = HIVE_WIDTH / 2 + 0.15;
  return [
    awayFrom(stand, stand.faces + 90, Math.min(0, ...along) - reach),
    awayFrom(stand, stand.faces + 90, Math.max(0, ...along) + reach),
  ];
}
