import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { STANDING_STATES, type StandingState } from '@brave-comb/core/skills';
import { daysBetween } from '@brave-comb/core/units';
import { type Matrix, weeksLeft } from './matrix-rows';

const HELD: readonly StandingState[] = ['shown', 'signed-off'];
/** Weeks left below which a need presses. */
const SHORT = 6;

/** A skill that some trainees still need. */
export interface Need {
  readonly id: string;
  readonly name: string;
  /** How many trainees need it. */
  readonly open: number;
  /** Weeks in which it can be shown yet: of the season and of the course; `Infinity` for any time. */
  readonly weeks: number;
  readonly when: string;
  readonly short: boolean;
  readonly who: readonly Needy[];
}

/** Somebody who still needs a skill. */
interface Needy {
  readonly id: string;
  readonly name: string;
  readonly level: SkillLevel | null;
  readonly fading: boolean;
}

/** Somebody, and what they still need. */
interface Learner {
  readonly id: string;
  readonly name: string;
  readonly needs: readonly Need[];
}

/**
 * What a group, or all, still have to show: what has the fewest weeks left first, then what most need.
 *
 * @param matrix who stands where
 * @param group the group, `null` for all
 */
export function needsOf({ skills, today, groups }: Matrix, group: string | null): readonly Need[] {
  const own = groups.filter(({ id }) => group === null || id === group);
  const trainees = own.flatMap((each) => each.trainees);
  const until = own.flatMap((each) => each.until ?? []).sort()[0] ?? null;
  const over = until !== null && until < today;
  const course = until === null || over ? null : Math.ceil((daysBetween(today, until) + 1) / 7);
  const whenText = (text: string, weeks: number): string => {
    if (over) return $localize`the course is over`;
    if (text.startsWith('in')) return $localize`can be shown for ${text} weeks`;
    if (weeks === Infinity) return $localize`any time`;
    if (weeks <= 0) return $localize`not this season`;
    return $localize`${weeks} ${weeks === 1 ? $localize`week` : $localize`weeks`} left`;
  };
  return skills
    .map((skill, at) => {
      const text = weeksLeft(skill, today);
      const season = text === '–' || text.startsWith('in') ? null : Number(text);
      const weeks = Math.min(season ?? Infinity, course ?? Infinity);
      const who = trainees.flatMap(({ id, name, standings }): readonly Needy[] => {
        const state = STANDING_STATES[standings[at]?.[0] ?? 0]!;
        if (HELD.includes(state)) return [];
        return [{ id, name, level: SKILL_LEVELS[standings[at]?.[1] ?? -1] ?? null, fading: state === 'due-again' }];
      });
      return {
        id: skill.id,
        name: skill.name,
        open: who.length,
        who,
        weeks,
        when: whenText(text, weeks),
        short: !over && weeks < SHORT,
      };
    })
    .filter(({ open }) => open > 0)
    .sort((a, b) => a.weeks - b.weeks || b.open - a.open);
}

/**
 * The same needs by person, who has most of them first.
 *
 * @param needs as `needsOf` has them
 */
export function byPerson(needs: readonly Need[]): readonly Learner[] {
  const found = new Map<string, { readonly id: string; readonly name: string; readonly needs: Need[] }>();
  for (const need of needs)
    for (const { id, name } of need.who) {
      const known = found.get(id) ?? { id, name, needs: [] };
      known.needs.push(need);
      found.set(id, known);
    }
  return [...found.values()].sort((a, b) => b.needs.length - a.needs.length || a.name.localeCompare(b.name));
}

/**
 * A matrix with some of its skills only, in its own order.
 *
 * @param matrix who stands where
 * @param ids of the skills that stay
 */
export function withSkills(matrix: Matrix, ids: ReadonlySet<string>): Matrix {
  const stay = <T>(each: readonly T[]): T[] => each.filter((_, at) => ids.has(matrix.skills[at]?.id ?? ''));
  return {
    ...matrix,
    skills: stay(matrix.skills),
    groups: matrix.groups.map((group) => ({
      ...group,
      trainees: group.trainees.map((trainee) => ({ ...trainee, standings: stay(trainee.standings) })),
    })),
  };
}
