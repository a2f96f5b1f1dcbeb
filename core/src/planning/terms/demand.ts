import type { Phase, PhaseSpan } from '../../season';
import type { Skill } from '../../skills';
import { addDays, type CivilDate, daysBetween, earlierOf, laterOf } from '../../units';

/** Weeks left in which a skill can be shown; `null` without an end. */
export type Weeks = (skill: Pick<Skill, 'season'>) => number | null;

/**
 * Weeks left in which a skill can be shown: those of its season that lie before the end of the course.
 *
 * @param season phases of the year in which it can be shown, `null` for any opening
 * @param phases the year of the place
 * @param today first day that counts
 * @param until last day of the course, `null` while it is open
 * @returns weeks, 0 when its season is over for the course; `null` for any time in a course without an end
 */
export function weeksToShow(
  season: readonly Phase[] | null,
  phases: readonly PhaseSpan[],
  today: CivilDate,
  until: CivilDate | null,
): number | null {
  if (season === null) return until === null ? null : Math.max(0, daysBetween(today, until) + 1) / 7;
  const days = phases
    .filter(({ phase }) => season.includes(phase))
    .map(({ from, to }) => {
      const [first, last] = [laterOf(from, today), until === null ? to : earlierOf(to, until)];
      return Math.max(0, daysBetween(first, last) + 1);
    })
    .reduce((sum, each) => sum + each, 0);
  return days / 7;
}

/**
 * The days in one piece on which the year is in one of these phases: the piece that today lies in, else the next one.
 *
 * @param season phases
 * @param phases the year of the place
 * @param today last days before it are over
 * @returns first and last day, `null` when none are left
 */
export function windowOf(
  season: readonly Phase[],
  phases: readonly PhaseSpan[],
  today: CivilDate,
): { readonly from: CivilDate; readonly to: CivilDate } | null {
  const pieces = phases
    .filter(({ phase }) => season.includes(phase))
    .toSorted((a, b) => a.from.localeCompare(b.from))
    .reduce<readonly { readonly from: CivilDate; readonly to: CivilDate }[]>((joined, { from, to }) => {
      const last = joined.at(-1);
      if (last === undefined || from > addDays(last.to, 1)) return [...joined, { from, to }];
      return [...joined.slice(0, -1), { from: last.from, to: laterOf(last.to, to) }];
    }, []);
  return pieces.find(({ to }) => to >= today) ?? null;
}
