import type { Text } from '../../language';
import type { ColonyCalendar, ColonyRecord, Opening, Strict } from '../../care';
import type { Phase } from '../../season';
import type { Checklist, ColonyThing, Skill } from '../../skills';
import { meanOf } from '../../statistics';
import { addDays, type CivilDate, daysBetween, laterOf } from '../../units';
import { withSeated } from './group-terms';
import type { PlanHive } from '../solver/problem';

/** What is known of a colony when sessions are planned. Frames are full-frame equivalents. */
export interface ColonyFacts {
  readonly id: string;
  readonly site: string;
  /** Expected today; null where nothing was ever counted. */
  readonly expected: Omit<ColonyRecord, 'date' | 'frames'> | null;
  /** Frames standing in the nest, and supers on top. */
  readonly nestFrames: number;
  readonly supers: number;
  /** Stands at table height: one can sit at it. */
  readonly horizontal: boolean;
  /** Moods of the visits, 1 quiet to 5 close, the newest last. */
  readonly moods: readonly number[];
  readonly swarm: 'low' | 'watch' | 'high' | 'leaving' | null;
  /** Whether a notifiable or doubtful disease is suspected and not yet cleared. */
  readonly suspect: boolean;
  /** Whether something on its combs was doubtful at the last look and not cleared. */
  readonly doubtful?: boolean | undefined;
  readonly phase: Phase | null;
  readonly calendar: ColonyCalendar;
  readonly openings: readonly Opening[];
}

/** Minutes for one opening by people who know it: lid, each frame with both sides, each super lifted. Common practice. */
const MINUTES = { open: 5, frame: 1.6, super: 3 } as const;

/**
 * Minutes that a full look at a colony takes at pace 1.
 *
 * @param nestFrames frames in the nest
 * @param supers supers on top
 * @returns whole minutes
 */
export const openingMinutes = (nestFrames: number, supers: number) =>
  Math.round(MINUTES.open + MINUTES.frame * nestFrames + MINUTES.super * supers);

/** Chance of seeing something that fills so many frames: half a frame of it is found three times in four. Common practice. */
const seen = (frames: number) => Math.min(0.95, 1 - Math.exp(-frames / 0.36));

/** Chance of queen cells to look at, by the risk of a swarm. Common practice. */
const CELL_ODDS = { low: 0.05, watch: 0.35, high: 0.6, leaving: 0.85 } as const;
/** One trainee's turn at the frames, one of the group's. */
const HANDLING = 0.5;
/** And what everybody sees at once. Common practice. */
const TOGETHER = 0.8;

/** Chance of meeting each thing that skills are shown at, by what the colony holds today; ordinary odds for one never counted. */
function thingChances({ expected, supers, swarm, suspect, moods }: ColonyFacts): Readonly<Record<ColonyThing, number>> {
  return {
    eggs: expected === null ? 0.6 : seen(expected.eggs),
    larvae: expected === null ? 0.6 : seen(expected.larvae),
    'sealed-brood': expected === null ? 0.6 : seen(expected.sealed),
    'drone-brood': expected === null ? 0.3 : seen(expected.drone * 4),
    stores: expected === null ? 0.6 : seen(expected.storesKg / 3),
    super: supers > 0 ? 0.8 : 0.1,
    'lively-bees': moods.length === 0 ? 0.3 : Math.min(0.8, 0.1 + 0.25 * (meanOf(moods.slice(-3)) - 1)),
    'queen-cells': CELL_ODDS[swarm ?? 'low'],
    'doubtful-brood': suspect ? 0.7 : 0.05,
  };
}

/**
 * Chance that each skill of the checklist can be practised at a colony today: what it needs of the colony is there and its season is on; one
 * that needs nothing is shown by all together, or in turn.
 *
 * @param checklist the school's list
 * @param colony what is known of it
 * @returns chance by skill, 0 to 1
 */
export function skillChances(checklist: Checklist, colony: ColonyFacts): Readonly<Record<string, number>> {
  const things = thingChances(colony);
  const chance = ({ season, colony: needed, role }: Skill) => {
    if (season !== null && colony.phase !== null && !season.includes(colony.phase)) return 0;
    if (needed.length > 0) return needed.reduce((product, thing) => product * things[thing], 1);
    return role === 'everybody' ? TOGETHER : HANDLING;
  };
  return Object.fromEntries(checklist.skills.map((skill) => [skill.id, chance(skill)]));
}

/** Points of a due visit by how binding it is: a colony lost to a missed date outweighs a skill. Common practice. */
const DUE_WORTH: Readonly<Record<Strict, number>> = { must: 14, should: 9, may: 4 };
/** Openings in thirty days from which another is worth nothing for the colony. Common practice. */
const RARELY_OPENED = 3;

/** Points that one full opening takes out of a colony, by phase; more for a small one. Common practice. */
const DISTURBANCE: Readonly<Record<Phase, number>> = {
  'winter-rest': 12,
  'first-brood': 5,
  'build-up': 2,
  'swarm-season': 1.5,
  flow: 2.5,
  dearth: 2.5,
  'late-flow': 2.5,
  'making-winter-bees': 3,
  'closing-down': 6,
};
/** Frames of bees below which a colony counts as small. Common practice. */
const SMALL = 4;

/**
 * A colony as the planner needs it, days counted from the plan's first day.
 *
 * @param colony what is known of it
 * @param today first day of the plan
 * @param house rest after an opening in days, most openings in thirty days, the checklist
 * @returns minutes, temper, rest, due window, disturbance and chances
 */
export function planHive(
  colony: ColonyFacts,
  today: CivilDate,
  house: { readonly restDays: number; readonly openingLimit: number; readonly checklist: Checklist },
): PlanHive {
  const day = (date: CivilDate) => daysBetween(today, date);
  const { calendar, openings, moods, expected } = colony;
  const last = openings.at(-1)?.date ?? null;
  const small = expected !== null && expected.bees < SMALL ? 1.5 : 1;
  const loaded = openings.filter(({ date }) => daysBetween(date, today) < 30).length;
  return {
    id: colony.id,
    site: colony.site,
    minutes: openingMinutes(colony.nestFrames, colony.supers),
    temper: worstOfLate(moods) ?? 2,
    restDays: Math.max(1, house.restDays),
    lastOpened: last === null ? null : day(last),
    noOpenBefore: Math.max(0, day(laterOf(calendar.openFrom, loadFreeFrom(openings, today, house.openingLimit)))),
    due: dueOf(calendar, day),
    hygiene: colony.suspect ? 'suspect' : colony.doubtful ? 'doubtful' : 'clean',
    disturb: (DISTURBANCE[colony.phase ?? 'build-up'] + loaded / 2) * small,
    skills: withSeated(house.checklist, skillChances(house.checklist, colony), colony.horizontal),
  };
}

/**
 * How a colony is to be met: its worst mood at the last three visits.
 *
 * @param moods 1 quiet to 5 close, the newest last
 * @returns the mood, `null` without a visit
 * @example worstOfLate([5, 1, 1, 3]) // 3
 */
export const worstOfLate = (moods: readonly number[]): number | null =>
  moods.length === 0 ? null : Math.round(Math.max(...moods.slice(-3)));

/** First day on which one more opening keeps to the limit of thirty days. */
export function loadFreeFrom(openings: readonly Opening[], today: CivilDate, limit: number): CivilDate {
  const recent = openings.map(({ date }) => date).filter((date) => daysBetween(date, today) < 30);
  const blocking = recent[recent.length - limit];
  return blocking === undefined || limit < 1 ? today : addDays(blocking, 30);
}

/** The window of what is due first among the most binding, with half the points of everything else that is due in it, and when it comes again. */
function dueOf({ dues }: ColonyCalendar, day: (date: CivilDate) => number): PlanHive['due'] {
  const open = dues
    .filter(({ opens, clash }) => opens && clash === null)
    .map(({ from, due, strict, again }) => ({
      again,
      from: Math.max(0, day(from)),
      by: Math.max(0, day(due)),
      worth: DUE_WORTH[strict],
    }))
    .sort((a, b) => b.worth - a.worth || a.by - b.by);
  const [first, ...others] = open;
  if (first === undefined) return null;
  const along = others.filter(({ from, by }) => from <= first.by && by >= first.from);
  const weight = first.worth + along.reduce((sum, { worth }) => sum + worth / 2, 0);
  const again = [first, ...along].find((each) => each.again)?.again;
  return {
    from: first.from,
    by: first.by,
    weight,
    ...(again ? { every: again.every, until: day(again.until) } : {}),
  };
}

/** Days on which a colony must be left alone after the plan has begun. */
export function restsIn({ rests }: ColonyCalendar, date: CivilDate): Text | null {
  const rest = rests.find(({ from, to, strict }) => strict === 'must' && date >= from && date <= to);
  return rest?.why ?? null;
}

/** Points for opening the colony that was opened least, so that the easy hive is not opened every time. */
export const turnWorth = (openingsInThirtyDays: number) => Math.max(0, RARELY_OPENED - openingsInThirtyDays);
