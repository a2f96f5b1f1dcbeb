import type { Job } from '../inspection';
import type { Text } from '../language';
import { compassPoint } from '../units';
import { say } from './said';

/** A hive on the plan of its site: metres east and north of any fixed point, entrance by the compass. */
export interface PlacedHive {
  readonly number: string;
  readonly x: number;
  readonly y: number;
  /** Degrees clockwise from north to which the entrance faces. */
  readonly faces: number;
}

/** A place for one person, metres east and north of the hive. */
export interface StandingMark {
  readonly role: Job;
  readonly x: number;
  readonly y: number;
}

export interface StandingPlan {
  readonly marks: readonly StandingMark[];
  /** Jobs for which there was no clear place near the hive. */
  readonly noPlace: readonly Job[];
  /** Neighbours whose bees fly where somebody would otherwise stand, or who stand close. */
  readonly inTheWay: readonly string[];
  /** Where to stand, in words. */
  readonly says: readonly Text[];
}

/** Bees rise and turn within some metres before the entrance: this far and wide it is kept open. Common practice. */
export const FLIGHT_LANE = { metres: 4, halfAngle: 25, halfWidth: 0.5 } as const;
/** Room that a person and a hive take, metres. */
const [PERSON, HIVE] = [0.6, 0.7];
/** Hives nearer than this are stirred by what is done at their neighbour. Common practice. */
const CLOSE = 1;

/** Where each job is best done, degrees from the entrance and metres: the frames from behind, smoke from the side. */
const BEST: Readonly<Record<Job, { readonly angle: number; readonly metres: number }>> = {
  frames: { angle: 180, metres: 0.8 },
  smoke: { angle: 110, metres: 0.9 },
  record: { angle: 225, metres: 1.6 },
  clock: { angle: 140, metres: 1.7 },
  watch: { angle: 180, metres: 2.4 },
};
const ORDER: readonly Job[] = ['frames', 'smoke', 'record', 'clock', 'watch'];

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const turned = (degrees: number) => ((((degrees + 180) % 360) + 360) % 360) - 180;

/**
 * Whether a place lies in the flight lane of a hive.
 *
 * @param hive the hive
 * @param x metres east, on the plan that the hive is on
 * @param y metres north
 * @returns true within the lane
 */
export function inFlightLane(hive: PlacedHive, x: number, y: number): boolean {
  const [dx, dy] = [x - hive.x, y - hive.y];
  const along = dx * Math.sin(rad(hive.faces)) + dy * Math.cos(rad(hive.faces));
  const across = Math.abs(dx * Math.cos(rad(hive.faces)) - dy * Math.sin(rad(hive.faces)));
  return (
    along > 1e-6 &&
    Math.hypot(dx, dy) <= FLIGHT_LANE.metres &&
    (across <= FLIGHT_LANE.halfWidth || across <= along * Math.tan(rad(FLIGHT_LANE.halfAngle)))
  );
}

/**
 * Where everybody stands at a hive: behind it and beside it, out of every flight lane, nobody against a neighbour.
 *
 * @param hive the hive to be opened
 * @param neighbours the other hives of its site
 * @param people how many there are in each job, the supervisor not counted
 * @param free whether somebody can stand at a spot, metres on the plan that the hives are on
 * @returns a mark for each of them as far as there is room within four metres, and the words
 */
export function standingPlan(
  hive: PlacedHive,
  neighbours: readonly PlacedHive[],
  people: Readonly<Record<Job, number>>,
  free: (x: number, y: number) => boolean = () => true,
): StandingPlan {
  const near = neighbours.filter((each) => Math.hypot(each.x - hive.x, each.y - hive.y) < 10);
  const marks: StandingMark[] = [];
  const noPlace: Job[] = [];
  const blocked = new Set<string>();
  for (const role of ORDER) {
    for (let person = 0; person < people[role]; person += 1) {
      const { mark, avoided } = placeFor(role, hive, near, marks, free);
      for (const number of avoided) blocked.add(number);
      if (mark === null) noPlace.push(role);
      else marks.push(mark);
    }
  }
  const close = near.filter((each) => Math.hypot(each.x - hive.x, each.y - hive.y) < CLOSE);
  for (const each of close) blocked.add(each.number);
  const inTheWay = [...blocked].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  const says = [
    say('stand-behind', {
      faces: compassPoint(hive.faces),
      behind: compassPoint(hive.faces + 180),
      metres: FLIGHT_LANE.metres,
    }),
    ...(inTheWay.length === 0 ? [] : [say('mind-hives', { hives: inTheWay })]),
    ...(noPlace.length === 0 ? [] : [say('no-clear-place', { people: noPlace.length, metres: FLIGHT_LANE.metres })]),
  ];
  return { marks, noPlace, inTheWay, says };
}

/** The clear place nearest to the best one. Angles in steps of ten degrees, distances of thirty centimetres. */
function placeFor(
  role: Job,
  hive: PlacedHive,
  near: readonly PlacedHive[],
  marks: readonly StandingMark[],
  free: (x: number, y: number) => boolean,
) {
  const best = BEST[role];
  const offers = [];
  for (let metres = best.metres; metres <= FLIGHT_LANE.metres + 1e-9; metres += 0.3)
    for (let angle = 0; angle < 360; angle += 10) {
      const bearing = rad(hive.faces + angle);
      offers.push({
        x: metres * Math.sin(bearing),
        y: metres * Math.cos(bearing),
        cost: Math.abs(turned(angle - best.angle)) / 40 + (metres - best.metres) / 0.6,
      });
    }
  const avoided: string[] = [];
  for (const { x, y } of offers.sort((a, b) => a.cost - b.cost)) {
    const [atX, atY] = [hive.x + x, hive.y + y];
    if (
      !free(atX, atY) ||
      inFlightLane(hive, atX, atY) ||
      marks.some((mark) => Math.hypot(mark.x - x, mark.y - y) < PERSON)
    )
      continue;
    const inWay = near.filter((each) => inFlightLane(each, atX, atY) || Math.hypot(each.x - atX, each.y - atY) < HIVE);
    if (inWay.length === 0) return { mark: { role, x, y }, avoided };
    avoided.push(...inWay.map(({ number }) => number));
  }
  return { mark: null, avoided };
}
