import { supers } from '../equipment';
import type { HiveRead } from '../inspection';
import type { Text } from '../language';
import { type CivilDate, daysBetween } from '../units';
import { say } from './said';

/** Drawn comb of a school, counted. */
export interface CombStock {
  /** Drawn combs in hives, as the last looks read them, and in store. */
  readonly inHives: number;
  readonly inStore: number;
  /** Frames of foundation in store. */
  readonly foundation: number;
}

/**
 * Drawn combs in a hive, as a look read it: all of the nest but its foundation, and those of the supers of which a side was seen drawn.
 *
 * @param read the look
 * @returns combs, to tenths; 0 where no side was read
 */
export function drawnCombs({ nest, nestFrames, stack, record }: HiveRead): number {
  if (nest.sidesRead === 0) return 0;
  const bare = Math.min(1, (nest.foundation.value * 2) / nest.sidesRead);
  const boxes = new Set(supers(stack).map(({ id }) => id));
  const seen = Object.values(record.sides).filter(
    ({ address, side }) => boxes.has(address.box) && (side.eighths.F ?? 0) < ALL_BARE,
  );
  const above = new Set(seen.map(({ address }) => `${address.box} ${address.frame}`)).size;
  return Math.round((nestFrames * (1 - bare) + above) * 10) / 10;
}

/** Eighths of foundation from which a side is undrawn. */
const ALL_BARE = 6;

/** What drawn comb a school wants, and what it takes to have it. */
export interface CombPlan {
  readonly have: number;
  readonly wanted: number;
  readonly short: number;
  /** Combs that each colony that can build would have to draw, and those that it draws at most in the days left. */
  readonly each: number;
  readonly most: number;
  /** Whether it can be reached this season; `null` when nothing is short. */
  readonly reached: boolean | null;
  /** Foundation to buy. */
  readonly buy: number;
  /** Honey that bees would eat to build what is there anew, kg. */
  readonly worthKg: number;
  readonly says: Text;
}

/** Days in which a strong colony draws a comb in a flow. Common practice: a box of ten undrawn frames in about two weeks. */
const DAYS_A_COMB = 1.4;
/** Combs that one colony draws in a season at most: two boxes. Common practice. */
const A_SEASON = 20;
/** Frames of bees from which a colony draws comb for others as well. Common practice. */
export const BUILDS_FROM = 8;
/** Honey that a comb costs to build, kg: about 90 g of wax, and seven kilograms of honey for one of wax. Common practice. */
const COSTS_KG = 0.6;

/**
 * Drawn comb as an asset: what is there against the goal for next year, and what drawing the rest takes.
 *
 * @param stock combs counted
 * @param goal drawn combs wanted for next year, 0 or more
 * @param today civil date
 * @param flowTo last day on which comb is drawn this year, `null` when that is over or not known
 * @param builders colonies strong enough to draw
 * @returns the plan
 * @throws RangeError for a negative goal
 * Source: common practice.
 */
export function combPlan(
  stock: CombStock,
  goal: number,
  today: CivilDate,
  flowTo: CivilDate | null,
  builders: number,
): CombPlan {
  if (!(goal >= 0)) throw new RangeError('a goal of combs is 0 or more');
  const have = stock.inHives + stock.inStore;
  const short = Math.max(0, goal - have);
  const days = flowTo === null ? 0 : Math.max(0, daysBetween(today, flowTo));
  const most = Math.min(A_SEASON, Math.floor(days / DAYS_A_COMB));
  const each = builders > 0 ? Math.ceil(short / builders) : 0;
  const reached = short === 0 ? null : builders > 0 && each <= most;
  return {
    have,
    wanted: goal,
    short,
    each,
    most,
    reached,
    buy: Math.max(0, short - stock.foundation),
    worthKg: Math.round(have * COSTS_KG),
    says:
      short === 0
        ? say('combs-enough', { have, goal })
        : builders === 0
          ? say('combs-nobody-builds', { short })
          : reached
            ? say('combs-reached', { short, each, builders, flowTo: flowTo! })
            : say('combs-not-reached', { short, most: most * builders, days }),
  };
}

/**
 * How drawn and undrawn frames stand in a new box: every other one drawn, beginning beside the middle, so that bees meet drawn comb wherever they
 * come up; all foundation where no drawn comb is owned.
 *
 * @param frames frames of the box, 1 or more
 * @param drawn drawn combs at hand, 0 or more
 * @returns one a frame, in order: whether it is drawn
 * @example boxLayout(5, 2) // [false, true, false, true, false]
 * Source: common practice.
 */
export function boxLayout(frames: number, drawn: number): readonly boolean[] {
  const places = Array.from({ length: frames }, (_, at) => at);
  const middle = (frames - 1) / 2;
  const near = (a: number, b: number) => Math.abs(a - middle) - Math.abs(b - middle) || a - b;
  const odd = places.filter((at) => at % 2 === 1).toSorted(near);
  const even = places.filter((at) => at % 2 === 0).toSorted(near);
  const chosen = new Set([...odd, ...even].slice(0, Math.min(frames, drawn)));
  return places.map((at) => chosen.has(at));
}
