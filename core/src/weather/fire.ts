import { within } from '../units';
import { say } from './said';
import { type Text } from '../language';

/** One day for the fire index. */
export interface FireDay {
  /** Early afternoon temperature, °C. */
  readonly temperature: number;
  /** Dew point then, °C. */
  readonly dewPoint: number;
  /** Rain of the day, mm. */
  readonly rain: number;
}

export const FIRE_DANGERS = ['none', 'low', 'moderate', 'high', 'extreme'] as const;
export type FireDanger = (typeof FIRE_DANGERS)[number];

/** Rain that starts the count again, mm a day, and the classes' upper bounds (Nesterov 1949; classes from memory). */
const ENDING_RAIN = 3;
const CLASSES: readonly (readonly [below: number, danger: FireDanger])[] = [
  [301, 'none'],
  [1001, 'low'],
  [4001, 'moderate'],
  [10_001, 'high'],
  [Infinity, 'extreme'],
];

/**
 * Nesterov's index of dryness: the sum of temperature times the gap to the dew point over the days since it last rained 3 mm. Days at or
 * below 0 °C add nothing.
 *
 * @param days one after another, oldest first
 * @returns °C², 0 or more
 * @throws RangeError for a negative rain
 * @example nesterov([{ temperature: 20, dewPoint: 10, rain: 0 }]) // 200
 */
export function nesterov(days: readonly FireDay[]): number {
  return days.reduce((sum, { temperature, dewPoint, rain }) => {
    if (within('rain in mm', rain, 0) >= ENDING_RAIN) return 0;
    return temperature > 0 ? sum + temperature * Math.max(0, temperature - dewPoint) : sum;
  }, 0);
}

/** What a lit smoker may set off, and what to do about it. */
export interface SmokerFire {
  readonly index: number;
  readonly danger: FireDanger;
  readonly dryDays: number;
  readonly advice: readonly Text[];
}

const ADVICE: Readonly<Record<FireDanger, readonly Text[]>> = {
  none: [say('empty-smoker-bare-ground-pour')],
  low: [say('empty-smoker-bare-ground-pour')],
  moderate: [say('set-smoker-plate-bare-ground')],
  high: [say('light-bare-ground-only-out'), say('ask-whether-open-fire-banned')],
  extreme: [say('smoker-use-spray-bottle-put'), say('keep-vehicles-off-dry-grass')],
};

/**
 * Fire danger of a lit smoker after the weather of the past weeks.
 *
 * @param days one after another, oldest first, the last being today
 * @returns index, class, days since it last rained 3 mm, and what to do; local fire bans decide
 */
export function smokerFire(days: readonly FireDay[]): SmokerFire {
  const index = Math.round(nesterov(days));
  const danger = CLASSES.find(([below]) => index < below)![1];
  const lastWet = days.findLastIndex((day) => day.rain >= ENDING_RAIN);
  return { index, danger, dryDays: days.length - 1 - lastWet, advice: ADVICE[danger] };
}
