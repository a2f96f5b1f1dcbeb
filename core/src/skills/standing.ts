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

/** Where a trainee stands in a skill, `null` when it was never shown. */
export type Standings = (trainee: string, skill: string) => SkillLevel | null;

/** Demonstrations that count: one good day long ago does not count for ever. */
const COUNTED = 3;

/**
 * Where trainees stand: in each skill the best of the last three demonstrations.
 *
 * @param demonstrations of any trainees in any skills
 * @returns the standing of one trainee in one skill
 * @example standingsFrom(demonstrations)('salma', 'finds-eggs') // 'with a word'
 */
export function standingsFrom(demonstrations: readonly Demonstration[]): Standings {
  const shown = new Map<string, Demonstration[]>();
  for (const each of demonstrations) {
    const key = `${each.trainee} ${each.skill}`;
    shown.set(key, [...(shown.get(key) ?? []), each]);
  }
  const levels = new Map<string, SkillLevel>();
  for (const [key, all] of shown) {
    const recent = all.sort((a, b) => b.at.localeCompare(a.at)).slice(0, COUNTED);
    levels.set(
      key,
      recent.map((each) => each.level).reduce((best, level) => (levelRank(level) > levelRank(best) ? level : best)),
    );
  }
  return (trainee, skill) => levels.get(`${trainee} ${skill}`) ?? null;
}

/** Whether a standing means that the skill still has to be practised. */
export const isOpen = (standing: SkillLevel | null): boolean =>
  standing === null || levelRank(standing) < levelRank(HELD_FROM);
