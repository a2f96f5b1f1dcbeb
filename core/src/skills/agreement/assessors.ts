import { type SkillLevel, SKILL_LEVELS } from '../../inspection';
import { meanOf } from '../../statistics';
import { levelRank } from '../demonstration';
import { cohenKappa, fleissKappa, type Kappa, LINEAR } from './kappa';
import { TOLD_FROM } from './hidden-readings';

/** One judgement as assessors are compared by. */
export interface AssessedDemonstration {
  readonly trainee: string;
  readonly skill: string;
  /** Civil date: what two people judged on one day was one demonstration. */
  readonly day: string;
  /** ISO instant: of several words of one assessor the latest holds. */
  readonly at: string;
  readonly assessor: string;
  readonly level: SkillLevel;
}

export interface AssessorAgreement {
  /** Both in the order of their ids. */
  readonly assessors: readonly [string, string];
  readonly kappa: Kappa;
}

/** How an assessor lies against the others. */
export interface AssessorHabit {
  readonly assessor: string;
  readonly judged: number;
  /** Demonstrations that somebody else judged too. */
  readonly shared: number;
  /** Levels above (lenient) or below (severe) the others on the mean; `null` with fewer than ten shared. */
  readonly leniency: number | null;
  /** How much more lenient the later half was than the earlier one; `null` with fewer than ten shared. */
  readonly drift: number | null;
}

/**
 * Pairs of assessors who judged the same demonstrations.
 *
 * @param judgements of a school
 * @returns for each pair agreement on levels beyond chance, near levels weighing less; most shared first
 */
export function assessorPairs(judgements: readonly AssessedDemonstration[]): readonly AssessorAgreement[] {
  const tables = new Map<string, number[][]>();
  for (const shown of sharedOf(judgements))
    for (const [at, first] of shown.entries())
      for (const second of shown.slice(at + 1)) {
        const [one, other] = first.assessor < second.assessor ? [first, second] : [second, first];
        const key = `${one.assessor} ${other.assessor}`;
        const table = tables.get(key) ?? Array.from({ length: SKILL_LEVELS.length }, () => SKILL_LEVELS.map(() => 0));
        table[levelRank(one.level)]![levelRank(other.level)]! += 1;
        tables.set(key, table);
      }
  return [...tables]
    .map(([key, table]) => ({ assessors: key.split(' ') as [string, string], kappa: cohenKappa(table, LINEAR) }))
    .sort((a, b) => b.kappa.count - a.kappa.count);
}

/** Judges of one demonstration that are compared when all assessors are taken together. */
const TWO = 2;

/**
 * All assessors of a school together: how well two of them, whoever they were, agree on the level of one demonstration.
 *
 * @param judgements of a school
 * @returns Fleiss' kappa over what was judged by two and more, of each the first two by id; `null` while nothing was judged twice
 */
export function assessorsTogether(judgements: readonly AssessedDemonstration[]): Kappa | null {
  const subjects = sharedOf(judgements).map((shown) => {
    const two = shown.toSorted((a, b) => a.assessor.localeCompare(b.assessor)).slice(0, TWO);
    return SKILL_LEVELS.map((level) => two.filter((each) => each.level === level).length);
  });
  return subjects.length === 0 ? null : fleissKappa(subjects);
}

/**
 * How severe assessors are against each other, and whether that moves.
 *
 * @param judgements of a school
 * @returns one line for each assessor, the most severe first
 */
export function assessorHabits(judgements: readonly AssessedDemonstration[]): readonly AssessorHabit[] {
  const shared = sharedOf(judgements);
  return [...new Set(judgements.map(({ assessor }) => assessor))]
    .map((assessor): AssessorHabit => {
      const against = shared.flatMap((shown) => {
        const own = shown.find((each) => each.assessor === assessor);
        const others = shown.filter((each) => each.assessor !== assessor).map(({ level }) => levelRank(level));
        return own && others.length > 0 ? [{ day: own.day, by: levelRank(own.level) - meanOf(others) }] : [];
      });
      const inTime = against.toSorted((a, b) => a.day.localeCompare(b.day)).map(({ by }) => by);
      const half = Math.floor(inTime.length / 2);
      return {
        assessor,
        judged: judgements.filter((each) => each.assessor === assessor).length,
        shared: inTime.length,
        leniency: inTime.length < TOLD_FROM ? null : meanOf(inTime),
        drift: inTime.length < TOLD_FROM ? null : meanOf(inTime.slice(-half)) - meanOf(inTime.slice(0, half)),
      };
    })
    .sort((a, b) => (a.leniency ?? 0) - (b.leniency ?? 0) || b.judged - a.judged);
}

/** Demonstrations that several judged: the last word of each. */
function sharedOf(judgements: readonly AssessedDemonstration[]): readonly (readonly AssessedDemonstration[])[] {
  const shown = new Map<string, AssessedDemonstration[]>();
  for (const each of judgements) {
    const key = `${each.trainee} ${each.skill} ${each.day}`;
    const words = shown.get(key);
    if (!words) {
      shown.set(key, [each]);
      continue;
    }
    const own = words.findIndex(({ assessor }) => assessor === each.assessor);
    if (own < 0) words.push(each);
    else if (words[own]!.at <= each.at) words[own] = each;
  }
  return [...shown.values()].filter((words) => words.length > 1);
}
