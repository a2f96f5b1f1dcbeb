import { quantile } from '../statistics';
import { CLOSING_MINUTES, DEPTHS, type Depth, type Hindrance, type Limits, fitDepth, hindrance } from './fitness';
import { type Ensemble, HOUR, MINUTE, type Weather, weatherAt } from './hour';
import { type Place, sunElevation } from './sun';

/** A stretch of time with the chance that it stays fit throughout. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly chance: number;
}

/** Between the moments at which an hour is looked at, ms. */
const STEP = 10 * MINUTE;
const CLOSING = CLOSING_MINUTES * MINUTE;

const rainAt = (member: readonly Weather[], start: number, at: number): number =>
  member[Math.floor((at - start) / HOUR)]?.rain ?? 0;

/** Rain in the hour in which a hive opened at an instant could be closed again, mm. */
export const rainAfter = (member: readonly Weather[], start: number, at: number): number =>
  rainAt(member, start, at + CLOSING);

/** The ensemble, the place and the house practice: what every question about a stretch needs. */
export interface Outlook {
  readonly ensemble: Ensemble;
  readonly place: Place;
  readonly limits: Readonly<Record<Depth, Limits>>;
}

/**
 * Depth reached by each member every ten minutes.
 *
 * @param outlook forecast, place, house practice
 * @param from first instant, ms since 1970
 * @param to end, ms since 1970
 * @returns for each step one index into {@link DEPTHS} a member, −1 for shut or outside the forecast
 */
export function depthSteps(outlook: Outlook, from: number, to: number): readonly (readonly number[])[] {
  const start = Date.parse(outlook.ensemble.start);
  const steps: number[][] = [];
  for (let at = from; at < to; at += STEP) {
    const elevation = sunElevation(outlook.place, at);
    steps.push(
      outlook.ensemble.members.map((member) => {
        const weather = weatherAt(member, start, at);
        return weather ? fitDepth(weather, elevation, outlook.limits, rainAfter(member, start, at)) : -1;
      }),
    );
  }
  return steps;
}

const share = (steps: readonly (readonly number[])[], least: number): number => {
  const members = steps[0]?.length ?? 0;
  if (members === 0) return 0;
  let fit = 0;
  for (let member = 0; member < members; member += 1) if (steps.every((step) => step[member]! >= least)) fit += 1;
  return fit / members;
};

/**
 * Chance that a stretch stays fit for a depth from start to end.
 *
 * @param outlook forecast, place, house practice
 * @param depth how deep
 * @param from start, ms since 1970
 * @param to end, ms since 1970
 * @returns 0 to 1, the share of the members in which every ten minutes are fit
 */
export function chanceOfStretch(outlook: Outlook, depth: Depth, from: number, to: number): number {
  return share(depthSteps(outlook, from, to), DEPTHS.indexOf(depth));
}

/**
 * The likeliest stretch of a given length; of equally likely ones the one nearest to a wished start.
 *
 * @param outlook forecast, place, house practice
 * @param depth how deep
 * @param minutes length
 * @param between earliest start and latest end, ms since 1970
 * @param wished start to stay near to, ms since 1970
 * @returns the stretch, or `null` when none fits between the two
 */
export function bestStretch(
  outlook: Outlook,
  depth: Depth,
  minutes: number,
  between: readonly [number, number],
  wished: number,
): Stretch | null {
  const steps = depthSteps(outlook, between[0], between[1]);
  const length = Math.ceil((minutes * MINUTE) / STEP);
  let best: Stretch | null = null;
  for (let first = 0; first + length <= steps.length; first += 1) {
    const from = between[0] + first * STEP;
    const chance = share(steps.slice(first, first + length), DEPTHS.indexOf(depth));
    const nearer = best !== null && chance === best.chance && Math.abs(from - wished) < Math.abs(best.from - wished);
    if (!best || chance > best.chance || nearer) best = { from, to: from + minutes * MINUTE, chance };
  }
  return best;
}

/** When a fit stretch turns unfit, and what turns it. */
export interface Turn {
  readonly at: number;
  /** Half the span between one in ten and nine in ten members, minutes. */
  readonly giveOrTake: number;
  readonly why: Hindrance;
  /** Share of the members that turn before the end of the day. */
  readonly chance: number;
}

/**
 * When the weather turns unfit for a depth after a start.
 *
 * @param outlook forecast, place, house practice
 * @param depth how deep
 * @param from start, ms since 1970
 * @param to end of the day, ms since 1970
 * @returns the middle of the members' turns, or `null` when fewer than half of those that were fit at the start turn at all
 */
export function turnOf(outlook: Outlook, depth: Depth, from: number, to: number): Turn | null {
  const steps = depthSteps(outlook, from, to);
  const least = DEPTHS.indexOf(depth);
  const start = Date.parse(outlook.ensemble.start);
  const turns: { readonly at: number; readonly why: Turn['why'] }[] = [];
  let fitAtStart = 0;
  outlook.ensemble.members.forEach((member, index) => {
    if ((steps[0]?.[index] ?? -1) < least) return;
    fitAtStart += 1;
    const step = steps.findIndex((each) => each[index]! < least);
    if (step < 0) return;
    const at = from + step * STEP;
    turns.push(turnAt(member, start, at, outlook.place, outlook.limits[depth]));
  });
  if (turns.length === 0 || turns.length < fitAtStart / 2) return null;
  const times = turns.map((turn) => turn.at);
  const reasons = turns.map((turn) => turn.why);
  const commonest = reasons.reduce((best, why) =>
    reasons.filter((each) => each === why).length > reasons.filter((each) => each === best).length ? why : best,
  );
  return {
    at: Math.round(quantile(times, 0.5) / STEP) * STEP,
    giveOrTake: Math.round((quantile(times, 0.9) - quantile(times, 0.1)) / 2 / MINUTE / 5) * 5,
    why: commonest,
    chance: turns.length / fitAtStart,
  };
}

/**
 * What makes an instant unfit, and when that comes itself: before rain the time to close is already gone. A front cools the air before it
 * rains: rain within the hour counts as the reason.
 */
function turnAt(
  member: readonly Weather[],
  start: number,
  at: number,
  place: Place,
  limits: Limits,
): { readonly at: number; readonly why: Hindrance } {
  const weather = weatherAt(member, start, at);
  if (!weather) return { at, why: 'dark' };
  const why = hindrance(weather, sunElevation(place, at), limits, rainAfter(member, start, at));
  if (why === 'rain-soon') return { at: at + CLOSING, why: 'rain' };
  const wetSoon = rainAt(member, start, at + HOUR) > limits.rain;
  return { at, why: wetSoon ? 'rain' : (why ?? 'dark') };
}
