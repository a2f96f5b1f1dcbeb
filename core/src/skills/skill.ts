import { type InWords, type Text, named } from '../language';
import type { Job, SkillLevel } from '../inspection';
import type { Phase } from '../season';

/** Parts of the work that skills are grouped by, in the order in which a visit meets them. */
export const SKILL_PHASES = [
  'prepare',
  'approach',
  'open',
  'handle',
  'read',
  'judge',
  'close',
  'record',
  'care',
  'safety',
] as const;
export type SkillPhase = (typeof SKILL_PHASES)[number];

/** What a colony must have for a skill to be shown at it. */
export const COLONY_THINGS = [
  'eggs',
  'larvae',
  'sealed-brood',
  'drone-brood',
  'stores',
  'super',
  'lively-bees',
  'queen-cells',
  'doubtful-brood',
] as const;
export type ColonyThing = (typeof COLONY_THINGS)[number];

/** What can hurt whoever practises it. */
export const SKILL_RISKS = ['stings', 'fire', 'lifting', 'acid', 'disease'] as const;

/** Who shows it at a hive: one role at a time, or everybody together. */
export type SkillJob = Job | 'everybody';

/** How long a skill holds after the last time: months, to the end of the year of growth, or `null` for good. */
export type HoldingTerm = number | 'season' | null;

/** What it takes until a skill is held. */
export interface EvidenceRule {
  /** Help that is still allowed. */
  readonly level: SkillLevel;
  /** Demonstrations at that level or better, on so many days and colonies, judged by so many people; 1 and more, one colony being no demand. */
  readonly times: number;
  readonly days: number;
  readonly colonies: number;
  readonly assessors: number;
  /** Whether one of them must be judged by a lead instructor. */
  readonly lead: boolean;
  readonly months: HoldingTerm;
  /** How many of the demonstrations may come from practice indoors. */
  readonly indoors: number;
  /** Eighths by which the trainee's hidden readings may be off on the mean; `null` where it does not matter. */
  readonly within: number | null;
}

/** One thing that a trainee is to show. */
export interface Skill {
  readonly id: string;
  readonly name: Text;
  readonly phase: SkillPhase;
  /** What an assessor sees or the record shows. */
  readonly shownBy: Text;
  readonly faults: readonly Text[];
  /** Ids of skills that come before it. */
  readonly needs: readonly string[];
  /** Phases of the colony's year in which it can be shown, `null` for any opening. */
  readonly season: readonly Phase[] | null;
  readonly colony: readonly ColonyThing[];
  readonly gear: readonly Text[];
  readonly role: SkillJob;
  readonly risk: (typeof SKILL_RISKS)[number] | null;
  /** Whether it must be held before frames of a defensive colony are handled. */
  readonly gate: boolean;
  /** How it is practised without bees, `null` where it cannot be. */
  readonly indoors: Text | null;
  readonly rule: EvidenceRule;
  /** What a level sounds like for this skill; the others read as for every skill. */
  readonly levels: Readonly<Partial<Record<SkillLevel, Text>>>;
  /** Ids of skills of earlier versions whose evidence counts for this one. */
  readonly from: readonly string[];
}

/** A skill whose words are in a language: as it is shown, changed and kept. */
export type WordedSkill = InWords<Skill>;

/** What a school asks for: one version of its list. */
export interface Checklist {
  readonly version: number;
  readonly skills: readonly Skill[];
}

/**
 * What a level sounds like for a skill.
 *
 * @param skill the skill
 * @param level level of help
 * @returns its own sentence, or the one for every skill
 */
export const levelSays = (skill: Pick<Skill, 'levels'>, level: SkillLevel): Text =>
  skill.levels[level] ?? named('levelSays', level);

/**
 * A skill of a checklist.
 *
 * @param checklist the list
 * @param id its id
 * @returns the skill, or `null` when the list has none of that id
 * @example skillOf(DEFAULT_CHECKLIST, 'finds-eggs')?.phase // 'read'
 */
export const skillOf = <Each extends { readonly id: string }>(
  checklist: { readonly skills: readonly Each[] },
  id: string,
): Each | null => checklist.skills.find((each) => each.id === id) ?? null;

/**
 * How the skills of a checklist are practised without bees.
 *
 * @param checklist the list
 * @returns by skill, those that can be
 */
export const indoorWaysOf = ({ skills }: Checklist): Readonly<Record<string, Text>> =>
  Object.fromEntries(skills.flatMap(({ id, indoors }) => (indoors === null ? [] : [[id, indoors]])));
