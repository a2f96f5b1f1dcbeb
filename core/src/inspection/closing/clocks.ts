import { within } from '../../units';
import { say } from '../said';
import type { Text } from '../../language';

/** Part of the allowed time from which closing starts. */
export const START_CLOSING = 0.8;

export type ClockState = 'not-open' | 'well' | 'start-closing' | 'shut-now' | 'closed';

export interface ClockReading {
  readonly state: ClockState;
  readonly minutes: number;
  /** Negative when overdrawn. */
  readonly left: number;
}

/**
 * How a clock stands against what is allowed. It counts on past its end and locks nothing: there may be a reason.
 *
 * @param from start, ms since 1970; `null` before that
 * @param to end; `null` while it runs
 * @param now ms since 1970
 * @param allowed minutes, 0 or more
 * @returns state, minutes gone and left
 * @throws RangeError for negative minutes
 * @example readClock(0, null, 9 * 60_000, 10).state // 'start-closing'
 */
export function readClock(from: number | null, to: number | null, now: number, allowed: number): ClockReading {
  within('minutes allowed', allowed, 0);
  if (from === null) return { state: 'not-open', minutes: 0, left: allowed };
  const minutes = Math.max(0, (to ?? now) - from) / 60_000;
  const left = allowed - minutes;
  if (to !== null) return { state: 'closed', minutes, left };
  const state = left <= 0 ? 'shut-now' : minutes >= allowed * START_CLOSING ? 'start-closing' : 'well';
  return { state, minutes, left };
}

/** What shortens the time that a hive may stand open. */
export interface OpenConditions {
  /** °C at the hive; `null` when not known. */
  readonly temperature: number | null;
  /** Dearth or autumn: nothing to gather, so they rob. */
  readonly robbingSeason: boolean;
  /** Wasps or robbers were seen. */
  readonly pressed: boolean;
  /** No new queen can be had any more this year. */
  readonly late: boolean;
}

/**
 * Minutes that a hive may stand open in this hour.
 *
 * @param house minutes by house practice in good weather
 * @param conditions the hour and the season
 * @returns minutes and what shortened them. Common practice
 * @example openMinutes(25, { temperature: 12, robbingSeason: false, pressed: false, late: false }).minutes // 10
 */
export function openMinutes(
  house: number,
  { temperature, robbingSeason, pressed, late }: OpenConditions,
): { readonly minutes: number; readonly because: readonly Text[] } {
  const limits: readonly (readonly [boolean, number, Text])[] = [
    [temperature !== null && temperature < 10, 3, say('under-c-lid-only')],
    [temperature !== null && temperature >= 10 && temperature < 13, 10, say('under-celsius', { celsius: 13 })],
    [temperature !== null && temperature >= 13 && temperature < 15, 15, say('under-celsius', { celsius: 15 })],
    [robbingSeason, 15, say('nothing-gather-rob')],
    [pressed, 8, say('wasps-robbers-hive')],
    [late, 15, say('late-year')],
  ];
  const held = limits.filter(([applies, minutes]) => applies && minutes < house);
  return { minutes: Math.min(house, ...held.map(([, minutes]) => minutes)), because: held.map(([, , why]) => why) };
}

/** What may ask for the lid to go on now. */
export interface CloseFacts {
  readonly temper: 'go-on' | 'smoke' | 'pause' | 'close';
  readonly clock: ClockState;
  /** Minutes that the brood frame in hand is out, and how many it may. */
  readonly broodOut: number | null;
  readonly broodAllowed: number;
  readonly temperature: number | null;
  /** Minutes until rain; `null` when none is in sight. */
  readonly rainIn: number | null;
  readonly robbing: boolean;
}

/**
 * Whether to close, and why. The strongest reason comes first.
 *
 * @param facts bees, clock, weather
 * @returns level: go on, hurry (finish this frame, then close) or close now; reasons in words
 */
export function closeAdvice(facts: CloseFacts): {
  readonly level: 'go-on' | 'hurry' | 'close-now';
  readonly reasons: readonly Text[];
} {
  const { temper, clock, broodOut, broodAllowed, temperature, rainIn, robbing } = facts;
  const now = [
    robbing ? say('robbing-every-minute-open-feeds') : null,
    temper === 'close' ? say('bees-ask-signs-stings-one') : null,
    rainIn !== null && rainIn <= 0 ? say('rains-open-brood') : null,
    temperature !== null && temperature < 8 && broodOut !== null ? say('c-brood-chills', { temperature }) : null,
    clock === 'shut-now' ? say('open-longer-than-allowed') : null,
  ].filter((each) => each !== null);
  const soon = [
    broodOut !== null && broodOut >= broodAllowed
      ? say('brood-out-min-allowed-put', { broodOut: Math.floor(broodOut), broodAllowed })
      : null,
    temper === 'pause' ? say('two-signs-short-time-finish') : null,
    rainIn !== null && rainIn > 0 && rainIn <= 10 ? say('rain-about-min', { rainIn }) : null,
    clock === 'start-closing' ? say('time-nearly-up-start-closing') : null,
  ].filter((each) => each !== null);
  return { level: now.length > 0 ? 'close-now' : soon.length > 0 ? 'hurry' : 'go-on', reasons: [...now, ...soon] };
}
