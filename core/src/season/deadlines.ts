import { daysToEmergence } from '../biology';
import { type CivilDate, addDays, dayOfYear, daysBetween, earlierOf, lastOf } from '../units';
import { type Forage, mainFlow } from './forage';
import { type PhaseFacts, winterOf } from './phase';
import { say } from './said';
import type { Text } from '../language';

/** A job with the last day on which it is in time. */
export interface Deadline {
  readonly id: string;
  readonly job: Text;
  /** When it is best begun, and the latest safe day. */
  readonly from: CivilDate;
  readonly by: CivilDate;
  /** What it is counted back from. */
  readonly before: 'winter' | 'main-flow';
  readonly why: Text;
}

/** Days of a year: a cold that begins no earlier never comes. */
const YEAR = 365;
/** Days from egg to bee. */
const DEVELOPMENT = daysToEmergence('worker');
/** Of the mites under cappings today half come out with their bee within so many days: few have to be left before the first winter bee is laid. */
const UNDER_LID = 7;
/** Longest common treatment, days. The label decides. */
const TREATMENT = 42;
/** Supers go on so many days before the main flow; feed and medicine are off by then. Common practice. */
const SUPERS_BEFORE = 10;
/** Days from a bee’s emergence until it forages (Winston 1987: about three weeks, from memory). */
const TO_FORAGER = 21;
/** Highest temperature of a day below which liquid feed is hardly taken, °C. Common practice. */
const FEED_WARMTH = 10;
/** Highest temperature of a day below which queens hardly fly to mate, °C. Common practice. */
const MATING_WARMTH = 18;

/**
 * Latest safe dates counted back from the first cold and from the main flow.
 *
 * @param facts climate and forage of the place
 * @param today civil date; deadlines of its year of growth are given
 * @returns deadlines in order of their last day
 * @throws RangeError for malformed dates
 */
export function deadlinesOf(facts: PhaseFacts, today: CivilDate): readonly Deadline[] {
  return [...beforeWinter(facts, today), ...beforeFlow(facts.forage, facts.turn, today)].sort(
    (a, b) => daysBetween(b.by, a.by) || a.id.localeCompare(b.id),
  );
}

function beforeWinter(facts: PhaseFacts, today: CivilDate): readonly Deadline[] {
  const { winterBees, closing, cold } = winterOf(facts, today);
  const begin = lastOf(facts.turn, today);
  const lastDay = (warmth: number) => {
    for (let day = 364; day > 180; day -= 1) {
      const date = addDays(begin, day);
      if (facts.usual[dayOfYear(date)]!.high >= warmth) return date;
    }
    return addDays(begin, 180);
  };
  const stores = earlierOf(addDays(lastDay(FEED_WARMTH), -7), addDays(cold, -14));
  return [
    {
      id: 'mites',
      job: say('mites-down'),
      from: addDays(winterBees, -UNDER_LID - TREATMENT),
      by: addDays(winterBees, -UNDER_LID),
      before: 'winter',
      why: say('bees-live-through-winter-reared', { winterBees, underLid: UNDER_LID }),
    },
    {
      id: 'queens',
      job: say('last-queens-mated'),
      from: addDays(lastDay(MATING_WARMTH), -42),
      by: lastDay(MATING_WARMTH),
      before: 'winter',
      why: say('after-days-rarely-reach-c', { matingWarmth: MATING_WARMTH }),
    },
    {
      id: 'winter-bees',
      job: say('winter-bees-reared'),
      from: winterBees,
      by: addDays(cold, -DEVELOPMENT - 7),
      before: 'winter',
      why: say('eggs-laid-then-emerge-fly', { cold }),
    },
    {
      id: 'stores',
      job: say('stores-capped'),
      from: addDays(stores, -35),
      by: stores,
      before: 'winter',
      why: say('liquid-feed-hardly-taken-once', { feedWarmth: FEED_WARMTH }),
    },
    {
      id: 'repairs',
      job: say('hives-repaired-entrances-guarded'),
      from: closing,
      by: addDays(cold, -7),
      before: 'winter',
      why: say('gaps-between-boxes-roofs-floors', { cold }),
    },
  ];
}

function beforeFlow(forage: readonly Forage[], turn: string, today: CivilDate): readonly Deadline[] {
  const begin = lastOf(turn, today);
  const main = mainFlow(forage, begin, addDays(begin, 364));
  if (!main) return [];
  const { from, plants } = main;
  const flow = say('main-flow-begins-about', { plants, from });
  return [
    {
      id: 'foragers',
      job: say('foragers-flow-laid'),
      from: addDays(from, -DEVELOPMENT - TO_FORAGER - 14),
      by: addDays(from, -DEVELOPMENT - TO_FORAGER + 7),
      before: 'main-flow',
      why: say('egg-forager-takes-about-six', { flow }),
    },
    {
      id: 'feed-off',
      job: say('feeding-ended'),
      from: addDays(from, -28),
      by: addDays(from, -SUPERS_BEFORE - 1),
      before: 'main-flow',
      why: say('syrup-must-get-into-honey', { flow }),
    },
    {
      id: 'withdrawal',
      job: say('medicines-out-withdrawal-over'),
      from: addDays(from, -SUPERS_BEFORE - TREATMENT),
      by: addDays(from, -SUPERS_BEFORE - 1),
      before: 'main-flow',
      why: say('nothing-may-left-when-first', { flow }),
    },
    {
      id: 'supers',
      job: say('supers-on'),
      from: addDays(from, -SUPERS_BEFORE),
      by: addDays(from, -2),
      before: 'main-flow',
      why: say('nectar-goes-among-brood-where', { flow }),
    },
  ];
}

/**
 * The day until which mites have to be few, so that the bees of winter grow up sound.
 *
 * @param facts climate and forage of the place
 * @param today civil date: that of its year of growth is given
 * @returns the day; `null` where there is no winter without brood
 * @throws RangeError for a malformed date
 */
export function mitesDownBy(facts: PhaseFacts, today: CivilDate): CivilDate | null {
  if (coldBegins(facts, today) === null) return null;
  return beforeWinter(facts, today).find(({ id }) => id === 'mites')?.by ?? null;
}

/**
 * The first day of the cold of a year of growth, from which it is too cold for brood.
 *
 * @param facts climate and forage of the place
 * @param today civil date: that of its year of growth is given
 * @returns the day; `null` where there is no such cold
 * @throws RangeError for a malformed date
 */
export function coldBegins(facts: PhaseFacts, today: CivilDate): CivilDate | null {
  const { cold } = winterOf(facts, today);
  return daysBetween(lastOf(facts.turn, today), cold) >= YEAR ? null : cold;
}
