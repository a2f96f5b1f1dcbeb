import type { CivilDate } from '../units';
import { type Said, type Text, saying } from '../language';
import type { CommonKit, JobKit, SpareKit } from './day/kit-ids';

/** A day of the plan, counted from its first, as a sentence tells it: {@link dayOfPlan}. */
type PlanDay = Said;
interface PlannedSkill {
  readonly name: Text;
  readonly seated: boolean;
}

/** What this room says, with the facts of each sentence. Groups, slots, hives and supervisors are told by their ids: {@link withNames}. */
export interface PlanningSentences {
  day: { day: number };
  'wrong-instance': { instance: string; name: string };
  'wrong-worth': { stated: number; worth: number };
  'worth-over-bound': { worth: number; bound: number };
  'cannot-come': { who: string; slot: string };
  'hive-count': { group: string; count: number; slot: string; most: number };
  'hive-repeated': { group: string; slot: string };
  'session-too-long': { group: string; minutes: number; slot: string; has: number };
  'too-lively': { hive: string; temper: number; group: string; most: number };
  'other-place': { hive: string; slot: string };
  'suspect-last': { hive: string; group: string };
  'suspect-senior': { hive: string; supervisor: string };
  'too-many-sessions': { group: string; count: number; most: number };
  'group-twice': { group: string; slot: string };
  'gap-too-short': { group: string; first: PlanDay; second: PlanDay; gapDays: number };
  'several-groups': { supervisor: string; groups: number; slot: string };
  'two-places-at-once': { supervisor: string; slot: string };
  'too-few-suits': { needed: number; slot: string; there: number };
  'staff-visits': { count: number; slot: string; most: number };
  'staff-minutes': { minutes: number; slot: string; have: number };
  'staff-suspects': { slot: string };
  'too-early': { hive: string; day: PlanDay; from: PlanDay };
  'rests-since-last': { hive: string; lastOpened: PlanDay; restDays: number };
  'hive-shared': { hive: string; slot: string };
  'rests-between': { hive: string; first: PlanDay; second: PlanDay; restDays: number };
  'pinned-staff': { hive: string; slot: string };
  'pinned-session': { group: string; slot: string };
  'pinned-hive': { group: string; hive: string; slot: string };
  'pinned-supervisor': { supervisor: string; group: string; slot: string };
  'low-odds': { group: string; slot: string; tenths: number };
  'too-few-sessions': { group: string; held: number; wanted: number };
  'comes-late': { group: string; day: PlanDay; lateAfter: PlanDay };
  'little-time-over': { group: string; slot: string; left: number };
  'no-supervisor': null;
  'too-long-for-now': { hive: string; minutes: number; left: number };
  'others-worth-more': { hive: string; minutes: number };
  'adds-nothing': { hive: string };
  'group-session-today': null;
  'opened-today': null;
  'comes-by-hand': { date: CivilDate };
  'opened-by-hand': { date: CivilDate };
  'leads-by-hand': null;
  'not-weekday': null;
  'not-these-hours': null;
  'too-heavy': { kg: number; able: number };
  'pins-differ': null;
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
