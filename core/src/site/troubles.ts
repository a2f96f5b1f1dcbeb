import { JOBS, type Job } from '../inspection';
import type { Said } from '../language';
import { compassPoint } from '../units';
import { metresToLine, paths, screened, spotsOf, standable } from './ground';
import {
  HIVE_WIDTH,
  type PlanHive,
  type PlanStand,
  type SetHive,
  type SitePlan,
  type Spot,
  awayFrom,
  hivesOn,
  metresBetween,
  setHives,
} from './plan';
import { say } from './said';
import { FLIGHT_LANE, type PlacedHive, inFlightLane, standingPlan } from './standing-place';

/** What is wrong where a stand is. */
export interface PlanTrouble {
  /** Id of the stand. */
  readonly stand: string;
  readonly says: Said;
  /** Whether somebody can be hurt or the work cannot be done; else it is worth knowing. */
  readonly serious: boolean;
  /** The spot that it is about, to be shown on the plan. */
  readonly at: Spot;
}

/** What a plan is judged by. */
export interface Around {
  /** Degrees, north positive: by it the sun stands in the south or in the north. */
  readonly latitude: number;
  /** Trainees of a group who stand at one hive. */
  readonly group: number;
}

/** Room for a person to work behind a hive while others pass on a path, m. Common practice. */
const BEHIND = 2;
/** How far to the side of a hive people stand behind it, m. */
const BESIDE = 1;
/** From middle to middle, m: nearer, neighbours are stirred by each other's lids, and roofs find no place. Common practice. */
const CLOSE = 0.7;
/** Heights between which boxes are lifted with a straight back, cm. Common practice: brood box at knuckle height, supers below the shoulder. */
const [LOW, HIGH] = [20, 60];
/** How near entrances may look into the wind, or away from the sun, degrees. */
const [WINDWARD, POLEWARD] = [45, 50];
/** Shelter within this many metres breaks the wind: ten times its height. Common practice for wind breaks. */
const LEE = 10;

const turned = (degrees: number): number => Math.abs(((((degrees + 180) % 360) + 360) % 360) - 180);
const tenth = (metres: number): number => Math.round(metres * 10) / 10;

/** A hive as standing places are reckoned with. */
export const asPlaced = ({ number, place: { east, north, faces } }: SetHive): PlacedHive => ({
  ...{ number, x: east, y: north, faces },
});

const covers = (hive: SetHive, spot: Spot): boolean => inFlightLane(asPlaced(hive), spot.east, spot.north);
const numbers = (hives: readonly SetHive[]): string[] =>
  [...new Set(hives.map(({ number }) => number))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

/** Nearest of some spots to any of some hives. */
function nearest(hives: readonly SetHive[], spots: (hive: SetHive) => readonly Spot[]) {
  return hives
    .flatMap((hive) => spots(hive).map((spot) => ({ spot, metres: metresBetween(hive.place, spot) })))
    .toSorted((a, b) => a.metres - b.metres)[0];
}

/** A stand of which the ground around is judged. */
interface Judged {
  readonly plan: SitePlan;
  readonly stand: PlanStand;
  readonly here: readonly SetHive[];
  readonly others: readonly SetHive[];
  readonly around: Around;
}
type Judge = (of: Judged) => readonly Omit<PlanTrouble, 'stand'>[];

const serious = (says: Said, at: Spot) => ({ says, at, serious: true });
const worthKnowing = (says: Said, at: Spot) => ({ says, at, serious: false });

const lanesOnPaths: Judge = ({ plan, here }) =>
  paths(plan).flatMap((path) => {
    const spots = spotsOf(path);
    const found = nearest(here, (hive) =>
      spots.filter((spot) => covers(hive, spot) && !screened(plan, hive.place, spot)),
    );
    if (!found) return [];
    const { metres } = FLIGHT_LANE;
    return [serious(say('lane-on-path', { path: path.name, metres: tenth(found.metres), wants: metres }), found.spot)];
  });

const lanesOnGates: Judge = ({ plan, here }) =>
  plan.landmarks.flatMap((each) => {
    if (each.kind !== 'gate') return [];
    const found = nearest(here, (hive) =>
      covers(hive, each.at) && !screened(plan, hive.place, each.at) ? [each.at] : [],
    );
    return found ? [serious(say('lane-on-gate', { gate: each.name, metres: tenth(found.metres) }), each.at)] : [];
  });

const lanesOnHives: Judge = ({ plan, here, others }) => {
  const hit = others.filter((other) =>
    here.some((hive) => covers(hive, other.place) && !screened(plan, hive.place, other.place)),
  );
  if (hit.length === 0) return [];
  const found = nearest(hit, (other) => here.filter((hive) => covers(hive, other.place)).map(({ place }) => place))!;
  const near = hit.toSorted((a, b) => metresBetween(a.place, found.spot) - metresBetween(b.place, found.spot))[0]!;
  return [serious(say('lane-on-hives', { hives: numbers(hit), metres: tenth(found.metres) }), near.place)];
};

const pathsBehind: Judge = ({ plan, here }) =>
  paths(plan).flatMap((path) => {
    const spots = spotsOf(path);
    const [near] = here
      .map((hive) => {
        const back = awayFrom(hive.place, hive.place.faces + 180, HIVE_WIDTH / 2);
        const behind = spots.filter((spot) => {
          const [forth, aside] = seenFrom(hive, spot);
          return forth < 0 && Math.abs(aside) <= BESIDE;
        });
        return { back, faces: hive.place.faces, metres: Math.min(...behind.map((spot) => metresBetween(back, spot))) };
      })
      .toSorted((a, b) => a.metres - b.metres);
    if (!near || near.metres >= BEHIND) return [];
    const at = awayFrom(near.back, near.faces + 180, near.metres);
    return [serious(say('path-behind', { path: path.name, metres: tenth(near.metres), wants: BEHIND }), at)];
  });

/** How far before a hive and to its side a spot lies, m. */
function seenFrom({ place }: SetHive, spot: Spot): readonly [forth: number, aside: number] {
  const [dx, dy] = [spot.east - place.east, spot.north - place.north];
  const angle = (place.faces * Math.PI) / 180;
  return [dx * Math.sin(angle) + dy * Math.cos(angle), dx * Math.cos(angle) - dy * Math.sin(angle)];
}

/** Hives that would stand in a hedge, on a wall or against a tree. */
const groundTaken: Judge = ({ plan, here }) => {
  const inIt = here.filter(({ place }) => !standable(plan, place, place));
  if (inIt.length === 0) return [];
  return [serious(say('stands-in', { hives: numbers(inIt) }), inIt[0]!.place)];
};

const closeHives: Judge = ({ here, others }) => {
  const pairs = here.flatMap((hive, at) =>
    [...here.slice(at + 1), ...others].map((other) => ({
      hives: [hive, other],
      metres: metresBetween(hive.place, other.place),
    })),
  );
  const near = pairs.filter(({ metres }) => metres < CLOSE);
  const within = near.filter(({ metres }) => metres < HIVE_WIDTH);
  const [worst] = near.toSorted((a, b) => a.metres - b.metres);
  if (!worst) return [];
  const at = worst.hives[0]!.place;
  if (within.length > 0)
    return [serious(say('hives-overlap', { hives: numbers(within.flatMap(({ hives }) => hives)) }), at)];
  const hives = numbers(near.flatMap((each) => each.hives));
  return [worthKnowing(say('hives-close', { hives, metres: tenth(worst.metres) }), at)];
};

/** Jobs of a group at a hive: one smokes, one records, one keeps the time, the rest hold frames and watch. */
export function jobsOf(group: number): Readonly<Record<Job, number>> {
  const order: readonly Job[] = ['frames', 'smoke', 'record', 'clock'];
  const jobs = Object.fromEntries(JOBS.map((job) => [job, 0])) as Record<Job, number>;
  for (let person = 0; person < group; person += 1) jobs[order[person] ?? 'watch'] += 1;
  return jobs;
}

const roomBehind: Judge = ({ plan, here, others, around }) => {
  const all = [...here, ...others];
  const without = here
    .map((hive) => {
      const neighbours = all.filter(({ id }) => id !== hive.id).map(asPlaced);
      const free = (x: number, y: number) => standable(plan, hive.place, { east: x, north: y });
      const { noPlace } = standingPlan(asPlaced(hive), neighbours, jobsOf(around.group), free);
      return { hive, people: noPlace.length };
    })
    .filter(({ people }) => people > 0);
  const [worst] = without.toSorted((a, b) => b.people - a.people);
  if (!worst) return [];
  const hives = numbers(without.map(({ hive }) => hive));
  return [serious(say('no-room-behind', { hives, people: worst.people }), worst.hive.place)];
};

const heights: Judge = ({ stand }) => {
  if (stand.height === null) return [];
  if (stand.height < LOW) return [worthKnowing(say('stand-low', { cm: stand.height }), stand)];
  return stand.height > HIGH ? [worthKnowing(say('stand-high', { cm: stand.height }), stand)] : [];
};

const weatherSide: Judge = ({ plan, stand, here, around }) => {
  const [first] = here;
  if (!first) return [];
  const { faces } = first.place;
  const pole = around.latitude < 0 ? 180 : 0;
  // Between the tropics the sun stands on both sides.
  const dark = Math.abs(around.latitude) > 23.5 && turned(faces - pole) < POLEWARD;
  const windward = plan.wind !== null && turned(faces - plan.wind) <= WINDWARD && !sheltered(plan, stand);
  return [
    ...(windward ? [worthKnowing(say('into-wind', { from: compassPoint(plan.wind) }), stand)] : []),
    ...(dark ? [worthKnowing(say('from-the-sun', { faces: compassPoint(faces) }), stand)] : []),
  ];
};

/** Whether a hedge, a wall or trees stand to windward of a stand, near enough to break the wind. */
function sheltered(plan: SitePlan, stand: PlanStand): boolean {
  const windward = awayFrom(stand, plan.wind!, LEE);
  return plan.landmarks.some((each) => {
    if (each.kind === 'tree') return metresToLine(each.at, [stand, windward]) <= each.radius;
    return (
      each.kind === 'barrier' &&
      screened({ ...plan, landmarks: [{ ...each, height: 2 * each.height }] }, stand, windward)
    );
  });
}

const QUICK: readonly Judge[] = [groundTaken, lanesOnPaths, lanesOnGates, lanesOnHives, pathsBehind, closeHives];
const REST: readonly Judge[] = [roomBehind, heights, weatherSide];

function judged(
  judges: readonly Judge[],
  plan: SitePlan,
  hives: readonly PlanHive[],
  around: Around,
  stands: readonly PlanStand[],
): readonly PlanTrouble[] {
  const all = setHives(hives);
  return stands.flatMap((stand) => {
    const here = hivesOn(stand, hives);
    const others = all.filter((hive) => hive.stand !== stand.name);
    return judges
      .flatMap((judge) => judge({ plan, stand, here, others, around }))
      .map((trouble) => ({ stand: stand.id, ...trouble }));
  });
}

/**
 * What is wrong with the plan of a site: bees that fly across paths, gates and other hives; people who would stand on a path or find no
 * room; hives against each other; heights that bend backs; entrances into the wind or away from the sun.
 *
 * @param plan of the site
 * @param hives of the site; those that are not set out count for nothing
 * @param around the place and how many come
 * @returns troubles, stand by stand, the serious ones first; cases in `docs/cases/site-plan.md`
 */
export const planTroubles = (plan: SitePlan, hives: readonly PlanHive[], around: Around): readonly PlanTrouble[] =>
  judged([...QUICK, ...REST], plan, hives, around, plan.stands).toSorted(
    (a, b) => Number(b.serious) - Number(a.serious),
  );

/** What can hurt somebody around one stand, without looking for the places of single people. */
export const laneTroubles = (plan: SitePlan, hives: readonly PlanHive[], around: Around): readonly PlanTrouble[] =>
  judged(QUICK, plan, hives, around, plan.stands).filter((trouble) => trouble.serious);
