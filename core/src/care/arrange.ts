import type { FrameSides, Letter } from '../inspection';
import type { Text } from '../language';
import { medianOf } from '../statistics';
import { say } from './said';

/** What frames of a nest are put in order for. */
export const ARRANGE_AIMS = ['brood-together', 'bare-beside-brood', 'food-outward'] as const;
export type ArrangeAim = (typeof ARRANGE_AIMS)[number];

/** What a frame is, for its place in the nest. */
export const COMB_ROLES = ['brood', 'pollen', 'drawn', 'bare', 'food', 'unread'] as const;
export type CombRole = (typeof COMB_ROLES)[number];

/** A frame taken to another place: by its number as it stands, and between which it then hangs. */
export interface FrameMove {
  readonly frame: number;
  /** The frame, by its number as it stands, on whose right it goes; `null` for the left wall. */
  readonly after: number | null;
}

/** What an order of frames means for the nest. */
export interface OrderRead {
  /** Frames that stand between brood without any. */
  readonly gaps: readonly number[];
  /** Bare frames between brood. */
  readonly bareBetween: readonly number[];
  /** Brood at a wall, where it is coldest. */
  readonly broodAtWall: boolean;
  /** Sides of the nest, 0 to 2, on which food hangs within reach of a cluster. */
  readonly foodBeside: number;
  readonly says: readonly Text[];
}

/** Eighths of both sides together from which a frame is of a kind. Common practice. */
const OF_KIND = { brood: 1, pollen: 3, bare: 12, food: 7 } as const;
/** Eighths of both sides together from which a comb feeds a cluster that reaches it: a rim of honey. Common practice. */
const FEEDS = 4;
/** Frames from the nest within which a cluster reaches food. Common practice. */
const REACH = 2;

/** Eighths of both sides; a side that nobody read is taken to be like the other. */
function eighthsOf({ low, high }: FrameSides, letters: readonly Letter[]): number {
  const sides = [low, high].filter((side) => side !== null);
  const sum = sides.reduce(
    (all, { eighths }) => all + letters.reduce((part, letter) => part + (eighths[letter] ?? 0), 0),
    0,
  );
  return sides.length === 0 ? 0 : (sum * 2) / sides.length;
}

/**
 * What a frame is, for its place in the nest.
 *
 * @param frame both sides as they were read
 * @returns brood before all else, then pollen, foundation, food; drawn comb otherwise, `unread` where no side was
 */
export function roleOf(frame: FrameSides): CombRole {
  if (!frame.low && !frame.high) return 'unread';
  const of = (...letters: readonly Letter[]) => eighthsOf(frame, letters);
  if (of('E', 'L', 'S') >= OF_KIND.brood) return 'brood';
  if (of('F') >= OF_KIND.bare) return 'bare';
  if (of('P') >= OF_KIND.pollen) return 'pollen';
  return of('H', 'N') >= OF_KIND.food ? 'food' : 'drawn';
}

/** From the nest outward, by what the frames are put in order for; frames of one rank keep their order. */
const OUTWARD: Readonly<Record<ArrangeAim, Readonly<Record<CombRole, number>>>> = {
  'brood-together': { brood: 0, pollen: 1, drawn: 1, bare: 1, food: 1, unread: 1 },
  'bare-beside-brood': { brood: 0, bare: 1, pollen: 2, drawn: 2, food: 2, unread: 2 },
  'food-outward': { brood: 0, pollen: 1, drawn: 2, unread: 2, bare: 3, food: 4 },
};

/**
 * The order of frames that an aim asks for. Brood stays in one block, in its order and about where it is: the nest is a ball.
 *
 * @param roles what each frame is, from the left wall
 * @param aim what they are put in order for
 * @returns frame numbers, from 1, in the order in which they should hang; as they are where there is no brood
 * Source: common practice.
 * @example arrangedFor(['food', 'brood', 'drawn', 'brood', 'food'], 'brood-together') // [1, 2, 4, 3, 5]
 */
export function arrangedFor(roles: readonly CombRole[], aim: ArrangeAim): readonly number[] {
  const numbers = roles.map((_, index) => index + 1);
  const brood = numbers.filter((frame) => roles[frame - 1] === 'brood');
  if (brood.length === 0) return numbers;
  const middle = medianOf(brood);
  const rank = (frame: number) => OUTWARD[aim][roles[frame - 1]!];
  const others = numbers.filter((frame) => !brood.includes(frame));
  const outward = (side: readonly number[]) => side.toSorted((a, b) => rank(a) - rank(b));
  const left = outward(others.filter((frame) => frame < middle).toReversed()).toReversed();
  const right = outward(others.filter((frame) => frame >= middle));
  return [...left, ...brood, ...right];
}

/**
 * The fewest frames that have to be lifted to come from one order to another, in the order in which they are.
 *
 * @param order frame numbers as they should hang; each of 1 to n once
 * @returns one move a frame, from the left; all others only slide along
 * @throws RangeError when a number is missing or doubled
 * @example movesTo([1, 3, 2, 4]) // [{ frame: 2, after: 3 }]
 */
export function movesTo(order: readonly number[]): readonly FrameMove[] {
  const wanted = new Set(order);
  if (wanted.size !== order.length || order.some((frame) => frame < 1 || frame > order.length || frame % 1 !== 0))
    throw new RangeError(`an order names each frame from 1 to ${order.length} once`);
  const stay = new Set(longestRise(order));
  return order.flatMap((frame, at): FrameMove[] =>
    stay.has(frame) ? [] : [{ frame, after: at === 0 ? null : order[at - 1]! }],
  );
}

/** The longest run of numbers that rise, not necessarily next to one another; of several the one that keeps the first frames. */
function longestRise(order: readonly number[]): readonly number[] {
  const best: (readonly number[])[] = [];
  for (const [at, frame] of order.entries()) {
    const before = best
      .slice(0, at)
      .filter((run) => run.at(-1)! < frame)
      .reduce<readonly number[]>((longest, run) => (run.length > longest.length ? run : longest), []);
    best.push([...before, frame]);
  }
  return best.reduce((longest, run) => (run.length > longest.length ? run : longest), []);
}

/**
 * What an order of frames means for the nest.
 *
 * @param frames both sides of each frame, from the left wall as they stand
 * @param order frame numbers as they would hang
 * @returns gaps in the nest, bare frames in it, brood at a wall, food within reach, in figures and in words
 * Source: common practice.
 */
export function readOrder(frames: readonly FrameSides[], order: readonly number[]): OrderRead {
  const hung = order.map((frame) => ({
    frame,
    role: roleOf(frames[frame - 1]!),
    feeds: eighthsOf(frames[frame - 1]!, ['H', 'N']) >= FEEDS,
  }));
  const places = hung.flatMap(({ role }, at) => (role === 'brood' ? [at] : []));
  const [first, last] = [places[0], places.at(-1)];
  if (first === undefined || last === undefined)
    return { gaps: [], bareBetween: [], broodAtWall: false, foodBeside: 0, says: [say('no-brood-to-arrange')] };
  const between = hung.slice(first, last + 1).filter(({ role }) => role !== 'brood');
  const gaps = between.map(({ frame }) => frame);
  const bareBetween = between.filter(({ role }) => role === 'bare').map(({ frame }) => frame);
  const broodAtWall = order.length > places.length && (first === 0 || last === order.length - 1);
  const foodBeside =
    Number(hung.slice(Math.max(0, first - REACH), first).some(({ feeds }) => feeds)) +
    Number(hung.slice(last + 1, last + 1 + REACH).some(({ feeds }) => feeds));
  return {
    gaps,
    bareBetween,
    broodAtWall,
    foodBeside,
    says: [
      gaps.length === 0 ? say('brood-in-one-block', { frames: places.length }) : say('brood-apart', { frames: gaps }),
      ...(bareBetween.length > 0 ? [say('bare-splits-brood', { frames: bareBetween })] : []),
      ...(broodAtWall ? [say('brood-at-a-wall')] : []),
      say('food-beside-brood', { sides: foodBeside }),
    ],
  };
}
