import { CHECKLIST, HELD_FROM, isOpen, levelRank, type Standings } from '../skills';
import { type CivilDate, daysBetween } from '../units';
import type { PlanGroup } from './problem';

/** What a house says of one trainee's work at the hive. */
export interface TraineeTerms {
  /** Most that the trainee lifts, kg; null for what everybody lifts. */
  readonly liftKg: number | null;
  /** Works sitting: no boxes to lift, frames only at a hive that stands at table height. */
  readonly seated: boolean;
}

export interface GroupTerms {
  readonly id: string;
  readonly trainees: readonly (TraineeTerms & { readonly id: string })[];
  readonly sessions: number;
  readonly gapDays: number;
  /** Highest mood of a hive that this group may open, 1 to 5. */
  readonly maxTemper: number;
  /** Last day of the course, null while it is open. */
  readonly until: CivilDate | null;
  /** Recorded visits: minutes taken and minutes that were reckoned at pace 1. */
  readonly visits: readonly { readonly took: number; readonly reckoned: number }[];
  /** Slots in which the group can come. */
  readonly slots: readonly string[];
}

/** Beginners take half as long again; what was recorded outweighs that after some visits. Common practice. */
const BEGINNERS = { pace: 1.5, visits: 3 } as const;

/**
 * How long a group takes at a hive, times what people take who know it.
 *
 * @param visits recorded visits; a few odd ones hardly move it
 * @returns 0.7 to 2.5
 */
export function paceOf(visits: GroupTerms['visits']): number {
  const ratios = visits.filter(({ reckoned }) => reckoned > 0).map(({ took, reckoned }) => took / reckoned);
  const known = ratios.map((ratio) => Math.min(2.5, Math.max(0.7, ratio)));
  const sum = known.reduce((total, ratio) => total + ratio, BEGINNERS.pace * BEGINNERS.visits);
  return Math.round((sum / (known.length + BEGINNERS.visits)) * 100) / 100;
}

/** Weeks before the end of the course in which open skills begin to press. */
const PRESSING_WEEKS = 6;

/** Mark of a skill that somebody who works sitting can only show at a hive of table height. */
const SEATED = '~seated';
/** Skills of the hands at the frames. */
const AT_THE_FRAMES: ReadonlySet<string> = new Set(
  CHECKLIST.filter(({ stage }) => stage === 'frames').map(({ id }) => id),
);

/** A skill of the planner's list as the checklist has it, and whether it is meant for those who work sitting. */
export const plannedSkill = (key: string): { readonly skill: string; readonly seated: boolean } => ({
  skill: key.replace(SEATED, ''),
  seated: key.endsWith(SEATED),
});

/**
 * Chances at a hive with those of trainees who work sitting: they hold frames only where the hive stands at table height.
 *
 * @param chances by skill, 0 to 1
 * @param horizontal whether one can sit at the hive
 * @returns the same and, for a horizontal hive, those of seated trainees
 */
export const withSeated = (chances: Readonly<Record<string, number>>, horizontal: boolean): Record<string, number> => ({
  ...chances,
  ...(horizontal
    ? Object.fromEntries([...AT_THE_FRAMES].map((skill) => [`${skill}${SEATED}`, chances[skill] ?? 0]))
    : {}),
});

/**
 * What a group still has to learn: one point is one open skill practised once by one trainee.
 *
 * @param trainees ids, and who works sitting
 * @param standing where each stands
 * @param weeksLeft weeks to the end of the course, null while it is open
 * @returns by skill the points, and the share that those who need it have already
 */
export function needsOf(
  trainees: readonly { readonly id: string; readonly seated: boolean }[],
  standing: Standings,
  weeksLeft: number | null,
): PlanGroup['needs'] {
  const pressing = weeksLeft === null ? 1 : 1 + Math.max(0, Math.min(1, (PRESSING_WEEKS - weeksLeft) / PRESSING_WEEKS));
  const needFor = (key: string, id: string, among: typeof trainees) => {
    const open = among.flatMap((trainee) => (isOpen(standing(trainee.id, id)) ? [trainee.id] : []));
    if (open.length === 0) return [];
    const held = levelRank(HELD_FROM);
    const had = open.map((trainee) => {
      const level = standing(trainee, id);
      return level === null ? 0 : Math.max(0, levelRank(level)) / held;
    });
    const covered = had.reduce((sum, each) => sum + each, 0) / open.length / 2;
    return [[key, { weight: open.length * pressing, covered: Math.min(1, covered) }] as const];
  };
  const [seated, standingUp] = [trainees.filter((each) => each.seated), trainees.filter((each) => !each.seated)];
  return Object.fromEntries(
    CHECKLIST.flatMap(({ id }) =>
      AT_THE_FRAMES.has(id)
        ? [...needFor(id, id, standingUp), ...needFor(`${id}${SEATED}`, id, seated)]
        : needFor(id, id, trainees),
    ),
  );
}

/**
 * A group as the planner needs it.
 *
 * @param terms what the house says of it
 * @param standing where its trainees stand
 * @param today first day of the plan
 * @returns the group; lateness begins when its sessions, evenly spread, should have been held
 */
export function planGroup(terms: GroupTerms, standing: Standings, today: CivilDate): PlanGroup {
  const weeksLeft = terms.until === null ? null : daysBetween(today, terms.until) / 7;
  return {
    id: terms.id,
    size: terms.trainees.length,
    sessions: terms.sessions,
    gapDays: terms.gapDays,
    slots: terms.slots,
    pace: paceOf(terms.visits),
    maxTemper: terms.maxTemper,
    lateAfter: Math.max(7, terms.sessions * terms.gapDays),
    needs: needsOf(terms.trainees, standing, weeksLeft),
  };
}

/**
 * Why a group should not open a hive with a part so heavy: too few who may lift it, the supervisor counted.
 *
 * @param trainees terms of each trainee
 * @param heaviestKg the heaviest part that has to come off, null when nothing does
 * @param lift what one and two people may lift, kg
 * @returns the reason, or null
 */
export function cannotLift(
  trainees: readonly TraineeTerms[],
  heaviestKg: number | null,
  lift: { readonly one: number; readonly two: number },
): string | null {
  if (heaviestKg === null || heaviestKg > lift.two) return null; // Heavier than two may lift is taken apart by frames.
  const two = heaviestKg > lift.one;
  const each = two ? heaviestKg / 2 : heaviestKg;
  const able = trainees.filter(({ liftKg, seated }) => !seated && each <= (liftKg ?? lift.one)).length + 1;
  const needed = two ? 2 : 1;
  return able >= needed ? null : `${Math.round(heaviestKg)} kg to lift, ${able} can`;
}
