import { type CivilDate, daysBetween } from '../units';

/** A skill that the season shows only for a while, and how far the school has come with it. */
export interface SeasonalSkill {
  readonly window: { readonly from: CivilDate; readonly to: CivilDate } | null;
  /** Trainees who were seen at it since it began, and who still need it. */
  readonly since: number;
  readonly open: number;
}

/** What is left of a season for a skill. */
export interface SkillPace {
  /** Whole weeks until its last day, at least 0. */
  readonly weeksLeft: number;
  /** Whole weeks until it begins; 0 once it has. */
  readonly weeksUntil: number;
  /** How many of those who need it will have been seen at it by its last day if it goes on as it went; `null` before it has gone on for a week. */
  readonly atThisPace: number | null;
  /** Trainees that a week has to bring from now on for everybody to be seen at it. */
  readonly neededAWeek: number;
  /** Whether some will not be seen at it this year, as it goes. */
  readonly short: boolean;
}

const WEEK = 7;

/**
 * How the pace of showing a skill compares with the weeks that the season leaves for it. Common practice.
 *
 * @param skill its window, how many were seen at it since it began and how many still need it
 * @param today the day at the school
 * @returns weeks left and where this pace leads; `null` for a skill that every season shows or none this year
 */
export function paceOf({ window, since, open }: SeasonalSkill, today: CivilDate): SkillPace | null {
  if (window === null || window.to < today) return null;
  const days = daysBetween(today, window.to);
  const gone = daysBetween(window.from, today);
  // A week has to pass before a pace says something.
  const atThisPace = gone < WEEK ? null : Math.min(open, Math.floor((since / gone) * days));
  return {
    weeksLeft: Math.floor(days / WEEK),
    weeksUntil: Math.max(0, Math.ceil(-gone / WEEK)),
    atThisPace,
    neededAWeek: open / Math.max(1, Math.min(days, daysBetween(window.from, window.to)) / WEEK),
    short: open > 0 && atThisPace !== null && atThisPace < open,
  };
}
