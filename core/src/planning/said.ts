import { type Said, type Text, saying } from '../language';
import type { CommonKit, JobKit, SpareKit } from './day/kit-ids';
import type { CompassPoint } from './day/compass';

/** A day of the plan, counted from its first, as a sentence tells it: {@link dayOfPlan}. */
type PlanDay = Said;
interface PlannedSkill {
  readonly name: Text;
  readonly seated: boolean;
}

/** What this room says, with the facts of each sentence. Groups, slots, hives and supervisors are told by their ids: {@link withNames}. */
export interface PlanningSentences {
  day: { day: number };
  'plan-answers-not': { instance: string; name: string };
  'plan-states-worth': { objective: number; objective2: number };
  'plan-worth-more-than': { objective: number; bound: number };
  'cannot-come': { who: string; slot: string };
  'opens-hives-allowed': { group: string; openedCount: number; slot: string; maxHives: number };
  'opens-same-hive-twice': { group: string; slot: string };
  'needs-minutes-which': { group: string; minutes: number; slot: string; minutes2: number };
  'temper-may-open-up': { hive: string; temper: number; group: string; maxTemper: number };
  'does-not-stand-where': { hive: string; slot: string };
  'suspect-must-last-opens': { hive: string; group: string };
  'suspect-not-senior': { hive: string; supervisor: string };
  'sessions-most-allowed': { group: string; ownCount: number; sessions: number };
  'two-sessions': { group: string; slot: string };
  'comes-day-day-days': { group: string; day: PlanDay; day2: PlanDay; gapDays: number };
  'takes-groups': { id: string; taken: number; slot: string };
  'two-apiaries-once': { id: string; slot: string };
  'suits-needed-there': { people: number; slot: string; suits: number };
  'staff-open-hives-most': { visitsCount: number; slot: string; staffVisits: number };
  'staff-need-minutes-they': { minutes: number; slot: string; staffMinutes: number };
  'staff-open-more-than': { slot: string };
  'opened-day-not-before': { hive: string; day: PlanDay; noOpenBefore: PlanDay };
  'opened-day-rests-days': { hive: string; lastOpened: PlanDay; restDays: number };
  'opened-twice': { hive: string; slot: string };
  'opened-day-day-rests': { hive: string; day: PlanDay; day2: PlanDay; restDays: number };
  'staff-do-not-open': { hive: string; slot: string };
  'no-session-which-pinned': { group: string; slot: string };
  'does-not-open-which': { group: string; hive: string; slot: string };
  'not-which-pinned': { supervisor: string; group: string; slot: string };
  'fit-forecasts': { group: string; slot: string; round: number };
  sessions: { group: string; held: number; wanted: number };
  'comes-day-later-than': { group: string; day: PlanDay; lateAfter: PlanDay };
  'minutes-left-over': { group: string; slot: string; left: number };
  'there-no-supervisor': null;
  'takes-minutes-left': { hive: string; minutes: number; max: number };
  'takes-minutes-others-worth': { hive: string; minutes: number };
  'would-add-nothing-today': { hive: string };
  'entrance-faces-stand-behind': { faces: CompassPoint; behind: CompassPoint; metres: number };
  'mind-flight-lane-or': { inTheWayCount: number; inTheWay: string[] };
  'no-clear-place-group': { noPlaceCount: number; metres: number };
  'group-session-today': null;
  'opened-today-people-were': null;
  'not-weekday': null;
  'not-these-hours': null;
  'kg-lift-can': { round: number; able: number };
  'two-pins-name-different': null;
  'was-forbidden': { group: string | null; slot: string; hive: string | null };
  'due-not-opened': { hive: string; again: boolean; by: PlanDay; other: boolean };
  'due-opened-late': { hive: string; again: boolean; by: PlanDay; after: PlanDay };
  'why-due': { daysLeft: number; questions: number };
  'why-skill': { trainees: number; of: number; name: Text };
  'why-opened': { times: number; limit: number };
  'why-nothing-to-lift': null;
  'why-calmest': { of: number; mood: number; visits: number };
  'why-lively': { mood: number; visits: number };
  'why-easy': { mood: number; visits: number };
  'for-its-turn': null;
  'for-due': { title: string };
  'for-practice': { skills: readonly PlannedSkill[] };
  'kit-common': { kit: CommonKit; groups: number };
  'kit-job': { kit: JobKit; count: number };
  'kit-spare': { kit: SpareKit };
  'without-frame': { run: number };
}

export const say = saying<PlanningSentences>('planning');

/** A day of the plan, counted from its first. */
export const dayOfPlan = (day: number): PlanDay => say('day', { day });
