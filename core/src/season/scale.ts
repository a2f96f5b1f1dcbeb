import { medianOf } from '../statistics';
import type { CivilDate } from '../units';
import { daysBetween } from '../units';
import { say } from './said';
import type { Text } from '../language';

/** Weight of a hive on its scale, at the same hour of each day. */
export interface ScaleDay {
  readonly date: CivilDate;
  readonly kg: number;
}

export const SCALE_EVENTS = ['swarm', 'robbing', 'flow', 'box-on', 'box-off', 'fed'] as const;
export type ScaleEventKind = (typeof SCALE_EVENTS)[number];

/** Something that shows in the weights. */
export interface ScaleEvent {
  readonly kind: ScaleEventKind;
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** Change over it, kg. */
  readonly kg: number;
  readonly says: Text;
}

/**
 * Bounds on a day's change, kg. A prime swarm weighs 1.5 to 3 kg with the honey it carries. A strong colony eats and dries up to a kilogram on a
 * wet day after a flow: only more than that, two days running, looks like robbers. From memory.
 */
const BOUNDS = { box: 4.5, swarm: [1.2, 4.4], robbed: 1.2, flow: 0.3, fed: 1.2, quiet: 0.45 } as const;

interface Step {
  readonly date: CivilDate;
  readonly kg: number;
}

/** Change from each day to the next, per day where days are missing. */
const stepsOf = (days: readonly ScaleDay[]): readonly Step[] =>
  days.slice(1).map(({ date, kg }, index) => ({
    date,
    kg: (kg - days[index]!.kg) / Math.max(1, daysBetween(days[index]!.date, date)),
  }));

/**
 * Reads swarms, robbing, flows, feeding and boxes out of daily weights.
 *
 * @param days one weight a day, oldest first; days may be missing
 * @returns events in order of time
 * @throws RangeError for malformed dates
 */
export function scaleEvents(days: readonly ScaleDay[]): readonly ScaleEvent[] {
  const steps = stepsOf(days);
  const around = (index: number) => {
    const near = [...steps.slice(Math.max(0, index - 3), index), ...steps.slice(index + 1, index + 4)];
    return near.length === 0 ? 0 : medianOf(near.map(({ kg }) => kg));
  };
  // A swarm leaves once; a colony that goes on losing the day after eats, dries or is robbed.
  const goesOn = (index: number) => (steps[index + 1]?.kg ?? 0) < -BOUNDS.quiet;
  const events: ScaleEvent[] = [];
  const used = new Set<number>();
  const add = (kind: ScaleEventKind, first: number, last: number, says: Text) => {
    for (let index = first; index <= last; index += 1) used.add(index);
    const kg = steps.slice(first, last + 1).reduce((sum, step) => sum + step.kg, 0);
    events.push({ kind, from: steps[first]!.date, to: steps[last]!.date, kg, says });
  };
  steps.forEach(({ kg }, index) => {
    if (Math.abs(kg) >= BOUNDS.box)
      add(kg > 0 ? 'box-on' : 'box-off', index, index, kg > 0 ? say('box-feed-put') : say('box-taken-off'));
  });
  runs(steps, (step, index) => !used.has(index) && step.kg <= -BOUNDS.robbed, 2).forEach(([first, last]) =>
    add('robbing', first, last, say('weight-falls-day-after-day')),
  );
  steps.forEach(({ kg }, index) => {
    if (used.has(index)) return;
    const odd = kg - around(index);
    if (odd <= -BOUNDS.swarm[0] && odd >= -BOUNDS.swarm[1] && kg < -BOUNDS.quiet && !goesOn(index))
      add('swarm', index, index, say('sudden-loss-one-day-swarm'));
    else if (odd >= BOUNDS.fed && Math.abs(around(index)) < BOUNDS.quiet && (steps[index - 1]?.kg ?? 0) < BOUNDS.flow)
      add('fed', index, index, say('sudden-gain-one-day-fed'));
  });
  runs(steps, (step, index) => !used.has(index) && step.kg >= BOUNDS.flow, 3).forEach(([first, last]) =>
    add('flow', first, last, say('nectar-comes')),
  );
  return events.sort((a, b) => daysBetween(b.from, a.from));
}

/** Stretches in which a condition holds for at least some days, one weak day in between allowed where it lasts on. */
function runs(
  steps: readonly Step[],
  holds: (step: Step, index: number) => boolean,
  least: number,
): readonly (readonly [number, number])[] {
  const found: [number, number][] = [];
  for (let first = 0; first < steps.length;) {
    let end = first;
    while (end < steps.length && holds(steps[end]!, end)) end += 1;
    if (end - first >= least) found.push([first, end - 1]);
    first = Math.max(end, first + 1);
  }
  return found.reduce<[number, number][]>((joined, run) => {
    const last = joined.at(-1);
    if (last && least > 2 && run[0] - last[1] === 2) last[1] = run[1];
    else joined.push(run);
    return joined;
  }, []);
}

/**
 * What the hive gained each day by itself: the changes without those that a swarm, a feeder or a box made.
 *
 * @param days one weight a day, oldest first
 * @returns kg a day, oldest first
 */
export function naturalGains(days: readonly ScaleDay[]): readonly number[] {
  const odd = scaleEvents(days).filter((event) => event.kind !== 'flow');
  return stepsOf(days)
    .filter(({ date }) => !odd.some((event) => daysBetween(event.from, date) >= 0 && daysBetween(date, event.to) >= 0))
    .map((step) => step.kg);
}
