import type { ColonyStory } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { type ScaleTime, scaleUtc } from 'd3-scale';
import { utcMonth } from 'd3-time';
import { monthOf } from '../ui/format';

/** Where the chart lies within its picture. */
export const STORY = { left: 104, right: 820, end: 940 } as const;
const AHEAD = 42;

/** First and last day that there is something to tell of. */
export function daysTold(story: ColonyStory): readonly [from: string, to: string] {
  const first = [
    ...story.visits.map(({ date }) => date),
    ...story.courses.map(({ from }) => from),
    ...story.events.map(({ date }) => date),
  ].reduce((least, date) => (date < least ? date : least), addDays(story.today, -30));
  return [addDays(first, -4), addDays(story.today, AHEAD)];
}

/** Places days across the picture. */
export const storyScale = ([from, to]: readonly [string, string]): ScaleTime<number, number> =>
  scaleUtc([new Date(from), new Date(to)], [STORY.left, STORY.right]);

/** The months that begin within the picture, with their names. */
export function monthsOn(scale: ScaleTime<number, number>): readonly { readonly x: number; readonly name: string }[] {
  const [from, to] = scale.domain() as [Date, Date];
  const months = utcMonth.range(utcMonth.floor(from), to);
  const every = Math.max(1, Math.ceil(months.length / 12));
  return months
    .filter((_, at) => at % every === 0)
    .map((at) => ({ x: Math.max(STORY.left, scale(at)), name: monthOf(at.toISOString().slice(0, 10)) }))
    .filter(({ x }, at, all) => (all[at + 1]?.x ?? STORY.right) - x > 26);
}
