import { type Landmark, type SitePlan, type Spot, metresBetween } from './plan';

type Path = Extract<Landmark, { kind: 'path' }>;
type Barrier = Extract<Landmark, { kind: 'barrier' }>;

/** Height over which bees rise and fly on above heads, m. Common practice: a hedge or screen as tall as a person. */
export const SCREEN = 1.8;
/** Half the depth of a hedge or wall, and the trunk of a tree with its roots, m. */
const [HALF_BARRIER, TRUNK] = [0.3, 0.5];
/** Between the points at which a line is looked at, m. */
const STEP = 0.25;

export const paths = ({ landmarks }: SitePlan): readonly Path[] => landmarks.filter((each) => each.kind === 'path');
const barriers = ({ landmarks }: SitePlan): readonly Barrier[] => landmarks.filter((each) => each.kind === 'barrier');

/** Spots of a path, so close that nobody stands between two: its edges and its middle. */
export function spotsOf({ along, width }: Path): readonly Spot[] {
  return along.slice(1).flatMap((to, at) => {
    const from = along[at]!;
    const metres = metresBetween(from, to);
    if (metres === 0) return [from];
    const steps = Math.ceil(metres / STEP);
    const [forth, aside] = [(to.east - from.east) / metres, (to.north - from.north) / metres];
    return Array.from({ length: steps + 1 }, (_, step) => (step * metres) / steps).flatMap((gone) =>
      [-width / 2, 0, width / 2].map((off) => ({
        east: from.east + forth * gone + aside * off,
        north: from.north + aside * gone - forth * off,
      })),
    );
  });
}

/** Metres from a spot to a line; none to a line of no points. */
export function metresToLine(spot: Spot, line: readonly Spot[]): number {
  if (line.length === 1) return metresBetween(spot, line[0]!);
  let nearest = Number.POSITIVE_INFINITY;
  for (let at = 1; at < line.length; at += 1) {
    const [from, to] = [line[at - 1]!, line[at]!];
    const [dx, dy] = [to.east - from.east, to.north - from.north];
    const length = dx * dx + dy * dy;
    const share = length === 0 ? 0 : ((spot.east - from.east) * dx + (spot.north - from.north) * dy) / length;
    const part = Math.min(1, Math.max(0, share));
    nearest = Math.min(nearest, metresBetween(spot, { east: from.east + part * dx, north: from.north + part * dy }));
  }
  return nearest;
}

/** On which side of a line from one spot to another a third lies. */
const side = (from: Spot, to: Spot, spot: Spot): number =>
  Math.sign((to.east - from.east) * (spot.north - from.north) - (to.north - from.north) * (spot.east - from.east));

const cross = (a: Spot, b: Spot, c: Spot, d: Spot): boolean =>
  side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b);

/** What stands across a way. */
const across = (plan: SitePlan, from: Spot, to: Spot): readonly Barrier[] =>
  barriers(plan).filter(({ along }) => along.slice(1).some((end, at) => cross(from, to, along[at]!, end)));

/**
 * Whether bees that fly from one spot toward another have to rise above heads between them.
 *
 * @param plan with its hedges, walls and screens
 * @param from the entrance
 * @param to where somebody may be
 * @returns true where something as tall as a person stands across the way
 */
export const screened = (plan: SitePlan, from: Spot, to: Spot): boolean =>
  across(plan, from, to).some(({ height }) => height >= SCREEN);

/**
 * Whether somebody can stand at a spot and work at a hive: on the same side of hedges and walls, not in them, nor against a tree.
 *
 * @param plan with its hedges, walls and trees
 * @param hive where it stands
 * @param spot where somebody would stand
 */
export const standable = (plan: SitePlan, hive: Spot, spot: Spot): boolean =>
  across(plan, hive, spot).length === 0 &&
  barriers(plan).every(({ along }) => metresToLine(spot, along) > HALF_BARRIER) &&
  plan.landmarks.every((each) => each.kind !== 'tree' || metresBetween(each.at, spot) > TRUNK);
