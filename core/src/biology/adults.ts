import { within } from '../units';

/** Adult bees by what they do. */
export interface Adults {
  /** Bees that work in the hive. */
  readonly house: number;
  readonly foragers: number;
}

/** Part of the house bees that goes out to forage each day where there are no foragers, and how much foragers hold that back. Khoury, Myerscough & Barron 2011. */
export const RECRUITED = 0.25;
export const HELD_BACK = 0.75;

/**
 * House bees and foragers a day later, after Khoury, Myerscough & Barron 2011 (PLoS ONE 6: e18491): the young work in the hive, foragers hold them
 * there, and only foragers die.
 *
 * @param adults today, 0 or more each
 * @param emerging bees that emerge that day, 0 or more
 * @param foragerDeath part of the foragers that dies that day, 0 to 1
 * @returns the next day, 0 or more each
 */
export function adultsNextDay({ house, foragers }: Adults, emerging: number, foragerDeath: number): Adults {
  const all = house + foragers;
  const goesOut = all > 0 ? house * (RECRUITED - (HELD_BACK * foragers) / all) : 0;
  return {
    house: Math.max(0, house + emerging - goesOut),
    foragers: Math.max(0, foragers + goesOut - foragers * foragerDeath),
  };
}

/**
 * Part of the adults that forages in a colony which neither grows nor shrinks: where as many go out as die. Of the foragers, 1 ÷ (life × share)
 * die each day.
 *
 * @param life days that a bee lives as an adult, more than 1 ÷ `RECRUITED`
 * @returns 0 to 1 ÷ 3
 * @throws RangeError for a shorter life
 */
export function foragerShare(life: number): number {
  within('days of life', life, 1 / RECRUITED);
  const both = RECRUITED + HELD_BACK;
  return (both - Math.sqrt(both ** 2 - 4 * HELD_BACK * (RECRUITED - 1 / life))) / (2 * HELD_BACK);
}

/** So many bees, of which as many forage as where bees live so long. */
export function adultsOf(bees: number, life: number): Adults {
  const share = foragerShare(life);
  return { house: bees * (1 - share), foragers: bees * share };
}
