import { SKILL_LEVELS, type SkillLevel } from '../inspection';
import type { CivilDate } from '../units';

/** Where a demonstration comes from: judged in a visit, in the debrief, in practice indoors, claimed by the trainee, or in another school's passport. */
export const EVIDENCE_SOURCES = ['visit', 'debrief', 'practice', 'claim', 'passport'] as const;
export type EvidenceSource = (typeof EVIDENCE_SOURCES)[number];

/** One time a skill was shown and judged. */
export interface Demonstration {
  readonly id: string;
  readonly trainee: string;
  readonly skill: string;
  readonly level: SkillLevel;
  /** ISO instant, and the day that it was at its place: two showings of one day are one day also where the day begins before midnight UTC. */
  readonly at: string;
  readonly day: CivilDate;
  readonly source: EvidenceSource;
  /** Id of the hive at which it was shown, `null` without one. */
  readonly colony: string | null;
  /** Who judged it, or confirmed a claim; `null` for a claim that nobody has confirmed yet, and in practice. */
  readonly assessor: string | null;
  /** Whether that was a lead instructor. */
  readonly lead: boolean;
}

/** A later word on a demonstration: another level, or `null` when it does not count. The first word stays. */
export interface Correction {
  readonly demonstration: string;
  readonly level: SkillLevel | null;
  /** ISO instant; of several the latest holds. */
  readonly at: string;
  readonly by: string;
  readonly reason: string;
}

const RANKS = Object.fromEntries(SKILL_LEVELS.map((level, rank) => [level, rank])) as Readonly<
  Record<SkillLevel, number>
>;
export const levelRank = (level: SkillLevel): number => RANKS[level];

/** Whether a demonstration was judged by somebody who may: a claim waits for that. */
export const isJudged = ({ source, assessor }: Pick<Demonstration, 'source' | 'assessor'>): boolean =>
  source === 'practice' || assessor !== null;

/**
 * Demonstrations as they stand after corrections.
 *
 * @param demonstrations first judgements
 * @param corrections later words on them, in any order
 * @returns those that count, each at the level that was said last
 */
export function corrected(
  demonstrations: readonly Demonstration[],
  corrections: readonly Correction[],
): readonly Demonstration[] {
  if (corrections.length === 0) return demonstrations;
  const last = new Map<string, Correction>();
  for (const each of corrections) {
    const known = last.get(each.demonstration);
    if (!known || known.at <= each.at) last.set(each.demonstration, each);
  }
  return demonstrations.flatMap((each) => {
    const word = last.get(each.id);
    if (!word) return [each];
    return word.level === null ? [] : [{ ...each, level: word.level }];
  });
}
