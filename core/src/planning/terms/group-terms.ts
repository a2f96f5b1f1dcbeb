import type { Text } from '../../language';
import { say } from '../said';
import type { PhaseSpan } from '../../season';
import { type Checklist, isOpen, type Skill, type Standings } from '../../skills';
import type { CivilDate } from '../../units';
import { weeksToShow, type Weeks } from './demand';
import type { PlanGroup } from '../solver/problem';

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

/** Weeks left to show a skill in from which on it begins to press. */
const PRESSING_WEEKS = 6;

/** Mark of a skill that somebody who works sitting can only show at a hive of table height. */
const SEATED = '~seated';
/** Whether a skill is one of the hands at the frames. */
const isAtFrames = ({ phase, role }: Skill): boolean => phase === 'handle' && role === 'frames';

/** A skill of the planner's list as the checklist has it, and whether it is meant for those who work sitting. */
export const plannedSkill = (key: string): { readonly skill: string; readonly seated: boolean } => ({
  skill: key.replace(SEATED, ''),
  seated: key.endsWith(SEATED),
});

/**
 * Chances at a hive with those of trainees who work sitting: they hold frames only where the hive stands at table height.
 *
 * @param checklist the school's list
 * @param chances by skill, 0 to 1
 * @param horizontal whether one can sit at the hive
 * @returns the same and, for a horizontal hive, those of seated trainees
 */
export const withSeated = (
  checklist: Checklist,
  chances: Readonly<Record<string, number>>,
  horizontal: boolean,
): Record<string, number> => ({
  ...chances,
  ...(horizontal
    ? Object.fromEntries(checklist.skills.filter(isAtFrames).map(({ id }) => [`${id}${SEATED}`, chances[id] ?? 0]))
    : {}),
});

/**
 * What a group still has to learn: one point is one open skill practised once by one trainee. A skill presses when few weeks are left in which
 * it can be shown, by the season or by the end of the course; one whose season is over is no need.
 *
 * @param checklist the school's list
 * @param trainees ids, and who works sitting
 * @param standing where each stands
 * @param weeks of each skill
 * @returns by skill the points, and the share that those who need it have already
 */
export function needsOf(
  checklist: Checklist,
  trainees: readonly { readonly id: string; readonly seated: boolean }[],
  standing: Standings,
  weeks: Weeks,
): PlanGroup['needs'] {
  const needFor = (key: string, skill: Skill, among: typeof trainees) => {
    const open = among.map((trainee) => standing(trainee.id, skill.id)).filter(isOpen);
    const left = weeks(skill);
    if (open.length === 0 || left === 0) return [];
    const pressing = left === null ? 1 : 1 + Math.max(0, Math.min(1, (PRESSING_WEEKS - left) / PRESSING_WEEKS));
    const covered = open.reduce((sum, { progress }) => sum + progress, 0) / open.length / 2;
    return [[key, { weight: open.length * pressing, covered: Math.min(1, covered) }] as const];
  };
  const [seated, standingUp] = [trainees.filter((each) => each.seated), trainees.filter((each) => !each.seated)];
  return Object.fromEntries(
    checklist.skills.flatMap((skill) =>
      isAtFrames(skill)
        ? [...needFor(skill.id, skill, standingUp), ...needFor(`${skill.id}${SEATED}`, skill, seated)]
        : needFor(skill.id, skill, trainees),
    ),
  );
}

/**
 * A group as the planner needs it.
 *
 * @param terms what the house says of it
 * @param facts the checklist, where its trainees stand, the first day of the plan, the phases of the year
 * @returns the group; lateness begins when its sessions, evenly spread, should have been held
 */
export function planGroup(
  terms: GroupTerms,
  facts: {
    readonly checklist: Checklist;
    readonly standing: Standings;
    readonly today: CivilDate;
    readonly phases: readonly PhaseSpan[];
  },
): PlanGroup {
  const weeks: Weeks = ({ season }) => weeksToShow(season, facts.phases, facts.today, terms.until);
  return {
    id: terms.id,
    size: terms.trainees.length,
    sessions: terms.sessions,
    gapDays: terms.gapDays,
    slots: terms.slots,
    pace: paceOf(terms.visits),
    maxTemper: terms.maxTemper,
    lateAfter: Math.max(7, terms.sessions * terms.gapDays),
    needs: needsOf(facts.checklist, terms.trainees, facts.standing, weeks),
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
): Text | null {
  if (heaviestKg === null || heaviestKg > lift.two) return null; // Heavier than two may lift is taken apart by frames.
  const two = heaviestKg > lift.one;
  const each = two ? heaviestKg / 2 : heaviestKg;
  const able = trainees.filter(({ liftKg, seated }) => !seated && each <= (liftKg ?? lift.one)).length + 1;
  const needed = two ? 2 : 1;
  return able >= needed ? null : say('too-heavy', { kg: Math.round(heaviestKg), able });
}
