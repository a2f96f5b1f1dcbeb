import { type CivilDate, addDays, daysBetween, earlierOf, laterOf } from '../units';
import { DEVELOPMENT } from './development';

/** What a queen's timetable begins with. */
export const QUEEN_STARTS = [
  'cell-sealed',
  'cell-with-larva',
  'queen-lost',
  'virgin-emerged',
  'cell-put-in',
  'queen-put-in',
] as const;
export type QueenStart = (typeof QUEEN_STARTS)[number];

/** A day as a virgin sees it. */
export interface MatingDay {
  readonly date: CivilDate;
  /** Chance that some hours are warm, calm and dry enough to mate, 0 to 1. */
  readonly fit: number;
}

export interface QueenTimetable {
  /** From this day on the queen before her laid no more. */
  readonly stopped: CivilDate;
  /** `null` for a queen that came laying. */
  readonly emerges: { readonly from: CivilDate; readonly to: CivilDate } | null;
  readonly mature: CivilDate | null;
  /** When she can be mated, and how many days of that are fit by forecast or by what happened. */
  readonly mating: { readonly from: CivilDate; readonly to: CivilDate; readonly fitDays: number } | null;
  /** First and last day on which eggs should be there. */
  readonly laying: { readonly from: CivilDate; readonly to: CivilDate };
  /** Without eggs on this day something is wrong. */
  readonly worry: CivilDate;
  /** Until when she must be left alone, and from when. */
  readonly alone: { readonly from: CivilDate; readonly to: CivilDate };
}

/** Days from emergence until she flies to mate (Winston 1987, from memory). */
const MATURE = 5;
/** Days from emergence after which an unmated queen no longer mates (Winston 1987: three to four weeks, from memory). */
const LAST_MATING = 21;
/** Days from mating to the first eggs (Winston 1987, from memory). */
const TO_LAYING = [2, 4] as const;
/** Days from emergence after which eggs should be there, and their want is a worry. Common practice. */
const WORRY = 21;
/** Hours of the day in which queens and drones fly to mate (Winston 1987, from memory: early afternoon). */
export const MATING_HOURS = [11, 16] as const;
/** After two weeks one quick look for eggs harms no more, mated or not. Common practice. */
const PEEK = 14;
/** Fit days after which she is taken as mated: one is enough in three of four cases, two are safe. Common practice. */
const ENOUGH_FIT = 1.5;

/**
 * Days until she emerges, first and last, from each start. A cell that is seen sealed was sealed today or any day since it could be; a larva
 * seen is a day old or about to be sealed; a queen lost is replaced from larvae of up to a day.
 */
const EMERGES: Readonly<Record<Exclude<QueenStart, 'queen-put-in'>, readonly [number, number]>> = {
  'cell-with-larva': [DEVELOPMENT.queen.sealed, DEVELOPMENT.queen.sealed + DEVELOPMENT.queen.larva],
  'cell-sealed': [0, DEVELOPMENT.queen.sealed],
  'queen-lost': [10, 13],
  'virgin-emerged': [0, 0],
  'cell-put-in': [1, 2],
};

/** A swarm leaves when its first cell is sealed, and a lost queen is gone longer: days before a virgin emerges without eggs of another. */
const GONE_BEFORE_VIRGIN = Math.round(DEVELOPMENT.queen.sealed);

/**
 * From a queen cell, or a lost or given queen, to eggs: when she emerges, can mate, should lay, and when to worry. Days that are too cool or
 * windy to mate put everything off.
 *
 * @param start what was seen or done
 * @param date on which day
 * @param days weather of the days from then on, any order; unknown days count as half fit
 * @returns her timetable
 * @throws RangeError for a malformed date
 * @example queenTimetable('queen-lost', '2026-05-10', []).emerges // { from: '2026-05-20', to: '2026-05-23' }
 */
export function queenTimetable(start: QueenStart, date: CivilDate, days: readonly MatingDay[]): QueenTimetable {
  if (start === 'queen-put-in') {
    return {
      stopped: date,
      emerges: null,
      mature: null,
      mating: null,
      laying: { from: addDays(date, 3), to: addDays(date, 9) },
      worry: addDays(date, 14),
      alone: { from: date, to: addDays(date, 6) },
    };
  }
  const [soonest, latest] = EMERGES[start];
  const emerges = { from: addDays(date, Math.floor(soonest)), to: addDays(date, Math.ceil(latest)) };
  const mature = addDays(emerges.from, MATURE);
  const fitness = new Map(days.map((day) => [day.date, day.fit]));
  const end = addDays(emerges.to, LAST_MATING);
  const fitOn = (day: CivilDate) => fitness.get(day) ?? 0.5;
  // A queen that emerges on the last of the days in doubt flies so much later: she decides until when all are left alone.
  const late = addDays(emerges.to, MATURE);
  const lateDays = Array.from({ length: daysBetween(late, end) + 1 }, (_, index) => addDays(late, index));
  let sum = 0;
  const mated =
    lateDays.find((day) => {
      sum += fitOn(day);
      return sum >= ENOUGH_FIT;
    }) ?? end;
  const span = Array.from({ length: daysBetween(mature, mated) + 1 }, (_, index) => addDays(mature, index));
  const lastEggs = addDays(mated, TO_LAYING[1]);
  return {
    stopped: start === 'virgin-emerged' ? addDays(date, -GONE_BEFORE_VIRGIN) : date,
    emerges,
    mature,
    mating: {
      from: mature,
      to: mated,
      fitDays: Math.round(10 * span.reduce((all, day) => all + fitOn(day), 0)) / 10,
    },
    laying: { from: addDays(mature, TO_LAYING[0] + 1), to: lastEggs },
    worry: laterOf(addDays(emerges.to, WORRY), addDays(lastEggs, 4)),
    alone: {
      from: laterOf(date, addDays(emerges.from, -1)),
      to: earlierOf(addDays(mated, TO_LAYING[0]), addDays(emerges.to, PEEK)),
    },
  };
}
