import { wilson } from '../statistics';
import type { Text } from '../language';

/** How a colony was found after winter, from outside. */
export const ALIVE_STATES = ['alive', 'dead', 'unsure'] as const;
export type AliveState = (typeof ALIVE_STATES)[number];

/** One colony of the round with what may have made the difference. */
export interface AliveTap {
  readonly state: AliveState;
  /** Set-up by name, such as boxes, floor, feed or site. */
  readonly setUp: Readonly<Record<string, string>>;
}

/** Survivors out of those known, with the range that holds the true share 19 times in 20. */
export interface Survival {
  readonly alive: number;
  readonly dead: number;
  readonly unsure: number;
  /** Share of those that are known; `null` when none is. */
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
}

/**
 * Survival of a round.
 *
 * @param taps one a colony
 * @returns counts, share and range
 */
export function survivalOf(taps: readonly AliveTap[]): Survival {
  const count = (state: AliveState) => taps.filter((tap) => tap.state === state).length;
  const [alive, dead, unsure] = [count('alive'), count('dead'), count('unsure')];
  const known = alive + dead;
  const [low, high] = known > 0 ? wilson(alive, known) : [0, 1];
  return { alive, dead, unsure, share: known > 0 ? alive / known : null, low, high };
}

/**
 * Survival for each set-up that occurs, so that what helped can be guessed at; few colonies prove nothing, and the ranges say so.
 *
 * @param taps one a colony
 * @returns by name of the set-up and its value, in alphabetical order; names under which all are alike are left out
 */
export function survivalBySetUp(
  taps: readonly AliveTap[],
): readonly { readonly name: Text; readonly value: Text; readonly survival: Survival }[] {
  const all = [...new Set(taps.flatMap((tap) => Object.keys(tap.setUp)))].sort();
  return all.flatMap((name) => {
    const values = [...new Set(taps.flatMap((tap) => tap.setUp[name] ?? []))].sort();
    if (values.length < 2) return [];
    return values.map((value) => ({
      name,
      value,
      survival: survivalOf(taps.filter((tap) => tap.setUp[name] === value)),
    }));
  });
}
