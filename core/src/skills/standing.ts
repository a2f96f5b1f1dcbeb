import { SKILL_LEVELS, type SkillLevel } from '../inspection';

/** One time a skill was shown and judged. */
export interface Demonstration {
  readonly skill: string;
  readonly trainee: string;
  readonly level: SkillLevel;
  /** ISO instant. */
  readonly at: string;
}

/** Judged "alone" or better, a skill is held. */
export const HELD_FROM: SkillLevel = 'alone';

export const levelRank = (level: SkillLevel): number => SKILL_LEVELS.indexOf(level);

/**
 * Where a trainee stands in a skill: the best of the last three demonstrations, so that one good day long ago does not count for ever.
 *
 * @param demonstrations any trainee's and skill's
 * @param trainee whose
 * @param skill which
 * @returns the level, or `null` when it was never shown
 * @example standingIn(demonstrations, 'salma', 'finds-eggs') // 'with a word'
 */
export function standingIn(
  demonstrations: readonly Demonstration[],
  trainee: string,
  skill: string,
): SkillLevel | null {
  const recent = demonstrations
    .filter((each) => each.trainee === trainee && each.skill === skill)
    .sort((a, b) => b.at.localeCompare(a.at))
    .slice(0, 3);
  return recent.reduce<SkillLevel | null>(
    (best, { level }) => (best === null || levelRank(level) > levelRank(best) ? level : best),
    null,
  );
}

/** Whether a standing means that the skill still has to be practised. */
export const isOpen = (standing: SkillLevel | null): boolean =>
  standing === null || levelRank(standing) < levelRank(HELD_FROM);
