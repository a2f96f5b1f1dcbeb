import { type HouseDues, type HouseCare, DEFAULT_CALENDAR, DEFAULT_CARE } from '../care';
import { DEFAULT_PLANNING, type HousePlanning } from '../planning';
import { DEFAULT_TRIGGERS, type Trigger } from '../season';
import { FORGETTING, type Forgetting } from '../skills';
import type { UnitSystem } from '../units';
import { DEFAULT_LIMITS, type Depth, type Limits } from '../weather';

/** House practice: what a school does as a matter of course. Figures that it does not set are the trade's. */
export interface HousePractice {
  readonly limits: Readonly<Record<Depth, Limits>>;
  readonly care: HouseCare;
  readonly calendar: HouseDues;
  /** Tasks that events at a site set going. */
  readonly triggers: readonly Trigger[];
  /** Most trainees at one hive. */
  readonly groupLimit: number;
  /** Most openings of one hive in thirty days. */
  readonly openingLimit: number;
  /** What one and two people may lift, kg. */
  readonly lift: { readonly one: number; readonly two: number };
  /** How long a hive may lie open, minutes. */
  readonly openMinutes: number;
  /** Hours of the day, at the site, within which people are out. */
  readonly workingHours: readonly [number, number];
  readonly planning: HousePlanning;
  /** How long a skill holds after it was last shown. */
  readonly forgetting: Forgetting;
  /** Drawn combs that the school wants to own by next spring. */
  readonly combGoal: number;
  /** Units of whoever did not choose any. */
  readonly units: UnitSystem;
}

export const DEFAULT_PRACTICE: HousePractice = {
  limits: DEFAULT_LIMITS,
  care: DEFAULT_CARE,
  calendar: DEFAULT_CALENDAR,
  triggers: DEFAULT_TRIGGERS,
  groupLimit: 7,
  openingLimit: 4,
  lift: { one: 16, two: 24 },
  openMinutes: 25,
  workingHours: [8, 19],
  planning: DEFAULT_PLANNING,
  forgetting: FORGETTING,
  combGoal: 0,
  units: 'metric',
};
