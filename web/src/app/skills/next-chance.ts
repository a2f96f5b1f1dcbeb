import { LOW_ODDS } from '@brave-comb/core/planning';
import type { Coverage } from '@brave-comb/contract';
import { dayOf, oddsText } from '../ui/format';

/** When a skill can next be shown. */
export interface NextChance {
  readonly planned: boolean;
  /** Day of the month, for where there is little room. */
  readonly day: string;
  readonly words: string;
  /** Whether it will probably not come to it. */
  readonly unlikely: boolean;
}

/**
 * The next chance of some groups to show a skill: a planned one before one that could be had, the soonest first.
 *
 * @param coverage what the planner knows
 * @param groups ids; all groups without them
 * @param skill its id
 * @returns `null` when nobody in them still has to show it, no chance when there is none in the days of the plan
 */
export function nextChance(
  coverage: Coverage,
  groups: readonly string[] | null,
  skill: string,
): { readonly chance: NextChance | null } | null {
  const found = coverage.skills.find(({ id }) => id === skill);
  const needed = (found?.groups ?? []).filter(({ group, open }) => open > 0 && (!groups || groups.includes(group)));
  if (needed.length === 0) return null;
  const [first] = needed
    .flatMap(({ next }) => next ?? [])
    .sort((a, b) => Number(b.planned) - Number(a.planned) || a.startsAt.localeCompare(b.startsAt));
  if (!first) return { chance: null };
  const day = dayOf(first.startsAt, first.zone);
  return {
    chance: {
      planned: first.planned,
      day: day.split(' ')[1] ?? '',
      unlikely: first.chance < LOW_ODDS,
      words: $localize`${day}, hive ${first.hive}, ${oddsText(first.chance)}${first.planned ? '' : $localize`, not planned yet`}`,
    },
  };
}
