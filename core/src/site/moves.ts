import type { Said } from '../language';
import { type Point, kmBetween } from '../units';
import { type HivePlace, metresBetween } from './plan';
import { say } from './said';

/** A hive is moved so far in a day and its foragers still find it, m. Common practice: a yard. */
const A_DAY = 1;
/** Beyond this foragers meet nothing that they know, km. Common practice: three miles. */
const FAR = 5;
/** How long a colony stays away until its foragers have forgotten the old place, days. Common practice: three weeks. */
const AWAY_DAYS = 21;
/** By how much an entrance is turned in a day, degrees. From memory. */
const A_TURN = 45;
/** Beyond so many metres day by day makes no sense. */
const BY_STEPS = 10;

const turn = (was: number, is: number): number => Math.abs(((((is - was + 180) % 360) + 360) % 360) - 180);

/**
 * What a move within a site means for the bees that are out flying.
 *
 * @param was where the hive stood
 * @param is where it comes to stand
 * @returns what to do; `null` where bees notice nothing
 */
export function moveWithin(was: HivePlace, is: HivePlace): Said | null {
  const metres = Math.round(metresBetween(was, is) * 10) / 10;
  const degrees = turn(was.faces, is.faces);
  if (metres <= A_DAY)
    return degrees > A_TURN
      ? say('turn-by-steps', { degrees, days: Math.ceil(degrees / A_TURN) })
      : metres > 0.3
        ? say('move-small', { metres })
        : null;
  return say('move-too-far', { metres, days: metres <= BY_STEPS ? Math.ceil(metres / A_DAY) : 0 });
}

/**
 * What a move from one site to another means for the bees that are out flying.
 *
 * @param from the old site, degrees
 * @param to the new site, degrees
 * @returns what to do
 */
export function moveBetween(from: Point, to: Point): Said {
  const km = Math.round(kmBetween(from, to) * 10) / 10;
  return km >= FAR ? say('move-far-enough', { km }) : say('move-between', { km, days: AWAY_DAYS });
}
