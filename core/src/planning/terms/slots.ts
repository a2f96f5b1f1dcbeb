import type { Text } from '../../language';
import { say } from '../said';
import { quantile } from '../../statistics';
import { type CivilDate, daysBetween } from '../../units';
import { DEPTHS, depthSteps, type Depth, MINUTE, type Outlook, weatherAt } from '../../weather';
import type { Temp } from '../solver/problem';

/** Hours in which a session could be held, with the odds of its weather. Instants in ms since 1970. */
export interface FitSlot {
  readonly from: number;
  readonly to: number;
  /** Share of the forecasts in which the whole of it is fit. */
  readonly fit: number;
  /** Middle forecast's warmth in the middle of it, °C. */
  readonly temperature: number;
}

export interface SlotNeed {
  readonly depth: Depth;
  /** Longest and shortest session, minutes. */
  readonly longest: number;
  readonly shortest: number;
  /** Odds under which a slot is not worth offering, 0 to 1. */
  readonly leastFit: number;
  /** Most slots in one day. */
  readonly most: number;
  /** Minutes between two slots of a day. */
  readonly pause: number;
}

/** Minutes between the times at which a session may begin. */
const STEP = 10;
/** What a session's odds are worth against its length: twice as long at the same odds is a third better. */
const LENGTH_WORTH = 0.4;

/**
 * The best hours of a day for sessions: likely to stay fit from start to end, long enough, not overlapping.
 *
 * @param outlook forecast, place, house practice
 * @param hours first and last instant at which people are out, ms since 1970
 * @param need depth, lengths, odds
 * @returns slots in the order of the day; none where no stretch is likely enough or the forecast does not reach
 */
export function fitSlots(outlook: Outlook, hours: readonly [number, number], need: SlotNeed): readonly FitSlot[] {
  const least = DEPTHS.indexOf(need.depth);
  const steps = depthSteps(outlook, ...hours);
  const members = outlook.ensemble.members.length;
  // For each member and step the number of steps from there that stay fit.
  const runs = Array.from({ length: members }, (_, member) => {
    const run = new Array<number>(steps.length + 1).fill(0);
    for (let at = steps.length - 1; at >= 0; at -= 1) run[at] = steps[at]![member]! >= least ? run[at + 1]! + 1 : 0;
    return run;
  });
  const offers: { first: number; length: number; fit: number; worth: number }[] = [];
  for (let first = 0; first < steps.length; first += 3)
    for (let length = need.longest / STEP; length >= need.shortest / STEP; length -= 3) {
      if (first + length > steps.length) continue;
      const fit = runs.filter((run) => run[first]! >= length).length / members;
      if (fit >= need.leastFit) offers.push({ first, length, fit, worth: fit * length ** LENGTH_WORTH });
    }
  offers.sort((a, b) => b.worth - a.worth || a.first - b.first);
  const chosen: typeof offers = [];
  const apart = need.pause / STEP;
  for (const offer of offers) {
    const clear = chosen.every(
      (other) => offer.first >= other.first + other.length + apart || other.first >= offer.first + offer.length + apart,
    );
    if (clear && chosen.length < need.most) chosen.push(offer);
  }
  return chosen
    .sort((a, b) => a.first - b.first)
    .map(({ first, length, fit }) => {
      const from = hours[0] + first * STEP * MINUTE;
      const to = from + length * STEP * MINUTE;
      return { from, to, fit, temperature: temperatureAt(outlook, (from + to) / 2) };
    });
}

/** Middle forecast's warmth at an instant, °C; NaN is never returned: outside the forecast it is 15. */
export function temperatureAt({ ensemble }: Outlook, at: number): number {
  const start = Date.parse(ensemble.start);
  const temperatures = ensemble.members.flatMap((member) => weatherAt(member, start, at)?.temperature ?? []);
  return temperatures.length === 0 ? 15 : quantile(temperatures, 0.5);
}

/** How the warmth disturbs an open colony. Limits: common practice. */
export function tempOf(temperature: number): Temp {
  if (temperature < 14) return 'cool';
  if (temperature < 19) return 'mild';
  return temperature <= 28 ? 'warm' : 'hot';
}

/** Hours of the week at which somebody can come, and the days on which not. */
export interface Times {
  readonly weekly: readonly {
    /** 1 Monday to 7 Sunday. */
    readonly weekday: number;
    /** Minutes of the day. */
    readonly from: number;
    readonly to: number;
  }[];
  readonly away: readonly { readonly from: CivilDate; readonly to: CivilDate; readonly why: string }[];
}

/** Hours of a day at a place. */
export interface DayHours {
  readonly date: CivilDate;
  /** Minute of the day. */
  readonly start: number;
  readonly minutes: number;
}

/**
 * Why somebody cannot come.
 *
 * @param times hours of the week, days away
 * @param hours date, start and length
 * @returns the reason, or null if the person or group can come for the whole of it
 */
export function cannotCome({ weekly, away }: Times, { date, start, minutes }: DayHours): Text | null {
  const off = away.find(({ from, to }) => date >= from && date <= to);
  if (off !== undefined) return off.why;
  // 1 January 2024 was a Monday.
  const weekday = (((daysBetween('2024-01-01', date) % 7) + 7) % 7) + 1;
  const day = weekly.filter((each) => each.weekday === weekday);
  if (day.length === 0) return say('not-weekday');
  return day.some((each) => each.from <= start && start + minutes <= each.to) ? null : say('not-these-hours');
}
