import { type CivilDate, addDays, daysBetween } from '../units';
import type { ColonyEvent } from './colony-event';

type Feed = Extract<ColonyEvent, { kind: 'feed' }>;

/** Taken in a day by a frame of bees, kg of syrup, of solid feed, and of patty: 0.45 kg of patty a week in a brimming deep box. */
export const TAKES = { syrup: 0.12, solid: 0.02, patty: 0.0065 } as const;

/**
 * Day on which a feed is eaten or carried down.
 *
 * @param date day on which it was given
 * @param kg what was given, 0 or more
 * @param perFrame what a frame of bees takes in a day, kg
 * @param frames frames of bees; fewer than two take as much as two
 * @returns a civil date, two days to six weeks after
 * @throws RangeError for a malformed date
 * Source: common practice.
 */
export const runsOut = (date: CivilDate, kg: number, perFrame: number, frames: number): CivilDate =>
  addDays(date, Math.min(42, Math.max(2, Math.round(kg / (perFrame * Math.max(2, frames))))));

/** What a frame of bees takes of a feed in a day, kg. */
export const dailyOf = ({ what }: Pick<Feed, 'what'>): number => (what.includes('syrup') ? TAKES.syrup : TAKES.solid);

/** A feed and the last day on which bees carry of it. */
export interface Feeding {
  readonly what: Feed['what'];
  readonly from: CivilDate;
  readonly until: CivilDate;
}

/**
 * Every feed of a colony with the days on which it is carried into the combs: until somebody saw the feeder empty, else until they will have
 * taken it.
 *
 * @param events what was logged, in any order
 * @param framesOfBees how many take it
 * @returns feedings in the order in which they were given
 * @throws RangeError for a malformed date
 * Source: common practice.
 */
export function feedingsOf(events: readonly ColonyEvent[], framesOfBees: number): readonly Feeding[] {
  const inOrder = [...events].sort((a, b) => daysBetween(b.date, a.date));
  return inOrder.flatMap((event, index) => {
    if (event.kind !== 'feed') return [];
    const empty = inOrder.slice(index + 1).find(({ kind }) => kind === 'feeder-empty');
    const taken = runsOut(event.date, event.kg, dailyOf(event), framesOfBees);
    return [{ what: event.what, from: event.date, until: empty && empty.date < taken ? empty.date : taken }];
  });
}
