/** Weather at the hive during a slot, as it disturbs an open colony. */
export const TEMPS = ['cool', 'mild', 'warm', 'hot'] as const;
export type Temp = (typeof TEMPS)[number];

/** Parts of the objective that carry a weight. */
export interface PlanWeights {
  readonly skill: number;
  readonly session: number;
  readonly shortfall: number;
  readonly care: number;
  readonly disturb: number;
  readonly staffVisit: number;
  readonly late: number;
  readonly fairness: number;
  readonly changeSession: number;
  readonly changeHive: number;
}

/** What all groups and hives of a problem share. */
export interface PlanParams {
  /** Most hives opened in one session, at least 1. */
  readonly maxHives: number;
  /** Minutes before the first hive is open and after the last is closed. */
  readonly setupMinutes: number;
  /** Share of a care's worth that each day after its last day takes away, 0 to 1. */
  readonly careLateRate: number;
  readonly tempFactor: Readonly<Record<Temp, number>>;
  /** Highest chance of seeing a skill that one opening may count for, below 1. */
  readonly pMax: number;
  /** Worth F of the learning L, points of a rising concave curve from (0, 0), constant after the last. */
  readonly pwl: { readonly L: readonly number[]; readonly F: readonly number[] };
  readonly weights: PlanWeights;
}

/** A stretch of time in which sessions could be held. */
export interface PlanSlot {
  readonly id: string;
  /** Days from the problem's first day. */
  readonly day: number;
  /** Minute of the day. */
  readonly start: number;
  readonly minutes: number;
  /** Odds of weather fit for opening hives, 0 to 1. */
  readonly fit: number;
  readonly temp: Temp;
  /** Suits and veils there are. */
  readonly suits: number;
  /** Minutes in which staff can open hives without a group. */
  readonly staffMinutes: number;
  /** Most hives that staff open. */
  readonly staffVisits: number;
  /** Apiary, where there are several: its hives only are opened, and nobody is at another one meanwhile. */
  readonly site?: string | undefined;
}

export interface PlanGroup {
  readonly id: string;
  /** Trainees. */
  readonly size: number;
  /** Sessions to be held in this plan. */
  readonly sessions: number;
  /** Least days between two sessions. */
  readonly gapDays: number;
  /** Slots in which the group can come. */
  readonly slots: readonly string[];
  /** How long this group takes at a hive, times the hive's minutes. */
  readonly pace: number;
  /** Highest temper of a hive this group may open. */
  readonly maxTemper: number;
  /** Day after which each day costs lateness. */
  readonly lateAfter: number;
  /** Skills still open: how much each counts, and how much of it is covered, 0 to 1. */
  readonly needs: Readonly<Record<string, { readonly weight: number; readonly covered: number }>>;
}

export interface PlanSupervisor {
  readonly id: string;
  /** May lead the opening of a suspect hive. */
  readonly senior: boolean;
  readonly slots: readonly string[];
}

const HYGIENE = ['clean', 'doubtful', 'suspect'] as const;
/** Sound hives are opened before doubtful ones, and suspect ones last. */
export const soundFirst = (a: Pick<PlanHive, 'hygiene'>, b: Pick<PlanHive, 'hygiene'>): number =>
  HYGIENE.indexOf(a.hygiene) - HYGIENE.indexOf(b.hygiene);

/** What is due at a hive, by days of the plan. */
export interface PlanDue {
  /** First day on which a visit counts. */
  readonly from: number;
  /** Last day before it loses worth. */
  readonly by: number;
  readonly weight: number;
  /** Days after which it is due again, with the same weight; once when left out. */
  readonly every?: number | undefined;
  /** Last day on which a turn may begin; the horizon when left out. */
  readonly until?: number | undefined;
}

export interface PlanHive {
  readonly id: string;
  /** Minutes for one opening at pace 1. */
  readonly minutes: number;
  /** 1 calm to 5 close it. */
  readonly temper: number;
  /** Least days between two openings. */
  readonly restDays: number;
  /** Day of the last opening before the plan, mostly negative. */
  readonly lastOpened: number | null;
  /** First day on which it may be opened. */
  readonly noOpenBefore: number;
  readonly due: PlanDue | null;
  /** A suspect hive is opened last, under a senior; a doubtful one after those that are sound. */
  readonly hygiene: 'clean' | 'doubtful' | 'suspect';
  /** What one opening costs the colony, in points. */
  readonly disturb: number;
  /** Chance that each skill can be practised here, 0 to 1. */
  readonly skills: Readonly<Record<string, number>>;
  readonly site?: string | undefined;
}

/** A group's session that must be, or a hive that staff must open. */
export type PlanLock =
  | {
      readonly group: string;
      readonly slot: string;
      readonly hives?: readonly string[] | undefined;
      readonly supervisor?: string | undefined;
      readonly staff?: undefined;
    }
  | { readonly staff: true; readonly hive: string; readonly slot: string };

/** What may not be: everything that matches all the parts that are named. At least one is. */
export interface PlanForbid {
  readonly group?: string | undefined;
  readonly slot?: string | undefined;
  readonly hive?: string | undefined;
  /** Only the visits of the staff. */
  readonly staff?: true | undefined;
}

/** A session of a plan that people were told. */
export interface PublishedSession {
  readonly group: string;
  readonly slot: string;
  readonly hives: readonly string[];
  /** Who leads it, kept where that can be. */
  readonly supervisor?: string | undefined;
}

export const PROBLEM_FORMAT = 'inspection-plan-instance/1';
export const PLAN_FORMAT = 'inspection-plan/1';

/** Who could open which hive when: everything that the planner decides on. */
export interface PlanningProblem {
  readonly format: typeof PROBLEM_FORMAT;
  readonly name: string;
  readonly horizonDays: number;
  readonly params: PlanParams;
  readonly skills: readonly string[];
  readonly slots: readonly PlanSlot[];
  readonly groups: readonly PlanGroup[];
  readonly supervisors: readonly PlanSupervisor[];
  readonly hives: readonly PlanHive[];
  readonly locks: readonly PlanLock[];
  readonly forbids?: readonly PlanForbid[] | undefined;
  readonly published: { readonly sessions: readonly PublishedSession[] } | null;
}

export interface PlannedSession {
  readonly group: string;
  readonly slot: string;
  readonly supervisor: string;
  /** In the order of opening. */
  readonly hives: readonly string[];
}

/** A hive that staff open alone. */
export interface StaffVisit {
  readonly slot: string;
  readonly hive: string;
}

/** Sessions and visits without what they are worth. */
export interface Assignments {
  readonly sessions: readonly PlannedSession[];
  readonly staff: readonly StaffVisit[];
}

export interface InspectionPlan extends Assignments {
  readonly format: typeof PLAN_FORMAT;
  /** Name of the problem. */
  readonly instance: string;
  readonly objective: number;
  /** No plan is worth more than this; null while unknown. */
  readonly bound: number | null;
  /** (bound − objective) ÷ bound; null while the bound is unknown or not above 0. */
  readonly gap: number | null;
}

/**
 * A plan as it is handed out: with its worth and how far from the best possible it is.
 *
 * @param problem the problem that it answers
 * @param assignments sessions and staff visits
 * @param objective what it is worth
 * @param bound what no plan can beat, or null
 * @returns the plan
 */
export function planOf(
  problem: PlanningProblem,
  assignments: Assignments,
  objective: number,
  bound: number | null,
): InspectionPlan {
  return {
    format: PLAN_FORMAT,
    instance: problem.name,
    objective,
    bound,
    gap: bound === null || bound <= 0 ? null : Math.max(0, (bound - objective) / bound),
    sessions: assignments.sessions,
    staff: assignments.staff,
  };
}
