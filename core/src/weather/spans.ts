import { quantile } from '../statistics';
import { DEPTHS, type Depth, type Hindrance, broodMinutes, hindrance } from './fitness';
import { MINUTE, weatherAt } from './hour';
import { type Outlook, depthSteps, rainAfter } from './stretch';
import { sunElevation } from './sun';

/** Part of a day in which one depth is the deepest that is likely fit. Instants in ms since 1970. */
export interface FitSpan {
  /** `null` while not even an outside look is fit. */
  readonly depth: Depth | null;
  readonly from: number;
  readonly to: number;
  /** Mean share of the forecasts in which the depth is fit. */
  readonly chance: number;
  /** What keeps it from being opened deeper, with the share of the forecasts that say so; `null` at full depth. */
  readonly limitedBy: { readonly why: Hindrance; readonly chance: number } | null;
  /** Minutes that a brood frame may be out at the middle forecast's temperature; 0 where no frame comes out. */
  readonly broodMinutes: number;
}

/** Between the moments at which an hour is looked at, ms. */
const STEP = 10 * MINUTE;

/**
 * A day cut into spans by what may be opened, each with what limits it.
 *
 * @param outlook forecast, place, house practice
 * @param from first instant, ms since 1970
 * @param to end, ms since 1970
 * @param likely share of the forecasts from which a depth counts as fit
 * @returns spans without gaps from `from` to `to`; empty outside the forecast
 */
export function fitSpans(outlook: Outlook, from: number, to: number, likely = 0.5): readonly FitSpan[] {
  const steps = depthSteps(outlook, from, to);
  const members = outlook.ensemble.members.length;
  const shareOf = (step: readonly number[], depth: number) => step.filter((each) => each >= depth).length / members;
  const deepest = steps.map((step) => {
    for (let depth = DEPTHS.length - 1; depth >= 0; depth -= 1) if (shareOf(step, depth) >= likely) return depth;
    return -1;
  });
  const spans: FitSpan[] = [];
  for (let first = 0; first < steps.length;) {
    const depth = deepest[first]!;
    let end = first;
    while (end < steps.length && deepest[end] === depth) end += 1;
    const shares = steps.slice(first, end).map((step) => (depth < 0 ? 1 - shareOf(step, 0) : shareOf(step, depth)));
    const within: readonly [number, number] = [from + first * STEP, Math.min(to, from + end * STEP)];
    if (known(outlook, within[0])) {
      spans.push({
        depth: depth < 0 ? null : DEPTHS[depth]!,
        from: within[0],
        to: within[1],
        chance: shares.reduce((sum, each) => sum + each, 0) / shares.length,
        limitedBy: depth === DEPTHS.length - 1 ? null : limitOf(outlook, DEPTHS[depth + 1]!, within),
        broodMinutes: depth < DEPTHS.indexOf('one-frame') ? 0 : brood(outlook, within),
      });
    }
    first = end;
  }
  return spans;
}

const known = ({ ensemble }: Outlook, at: number): boolean =>
  ensemble.members.some((member) => weatherAt(member, Date.parse(ensemble.start), at) !== null);

/** The commonest thing that forbids a depth over a span, over all members and steps. */
function limitOf(outlook: Outlook, depth: Depth, [from, to]: readonly [number, number]): FitSpan['limitedBy'] {
  const { ensemble, place, limits } = outlook;
  const start = Date.parse(ensemble.start);
  const counts = new Map<Hindrance, number>();
  let all = 0;
  for (let at = from; at < to; at += STEP) {
    const elevation = sunElevation(place, at);
    for (const member of ensemble.members) {
      const weather = weatherAt(member, start, at);
      if (!weather) continue;
      all += 1;
      const why = hindrance(weather, elevation, limits[depth], rainAfter(member, start, at));
      if (why) counts.set(why, (counts.get(why) ?? 0) + 1);
    }
  }
  const [commonest] = [...counts].sort((a, b) => b[1] - a[1]);
  return commonest ? { why: commonest[0], chance: commonest[1] / all } : null;
}

function brood({ ensemble }: Outlook, [from, to]: readonly [number, number]): number {
  const start = Date.parse(ensemble.start);
  const coolest = ensemble.members.flatMap((member) => {
    const temperatures: number[] = [];
    for (let at = from; at < to; at += STEP) {
      const weather = weatherAt(member, start, at);
      if (weather) temperatures.push(weather.temperature);
    }
    return temperatures.length > 0 ? [Math.min(...temperatures)] : [];
  });
  return coolest.length > 0 ? broodMinutes(quantile(coolest, 0.5)) : 0;
}
