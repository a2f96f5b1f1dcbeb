import { named } from '../../language';
import type { SkillLevel } from '../../inspection';
import { type Phase, PHASES } from '../../season';
import type { EvidenceRule, Skill, SkillPhase, WordedSkill } from '../skill';

/** The year from one phase to another, both with it. */
const between = (first: Phase, last: Phase): readonly Phase[] =>
  PHASES.slice(PHASES.indexOf(first), PHASES.indexOf(last) + 1);
export const BROOD_TIME = between('first-brood', 'making-winter-bees');
export const DRONE_TIME = between('build-up', 'late-flow');
export const SUPER_TIME = between('swarm-season', 'making-winter-bees');
export const SWARM_TIME: readonly Phase[] = ['swarm-season'];
export const ROBBING_TIME: readonly Phase[] = ['dearth', 'late-flow', 'making-winter-bees', 'closing-down'];
export const FORAGE_TIME = between('first-brood', 'late-flow');

/** So many times at a level, on two days where there is more than one; the rest as a course usually asks it. */
export const usualRule = (times: number, level: SkillLevel, more: Partial<EvidenceRule> = {}): EvidenceRule => ({
  level,
  times,
  days: Math.min(2, times),
  colonies: 1,
  assessors: 1,
  lead: false,
  months: 12,
  indoors: 0,
  within: null,
  ...more,
});

type Told = Pick<Skill, 'id' | 'rule'> &
  Partial<Pick<Skill, 'needs' | 'season' | 'colony' | 'role' | 'risk' | 'gate'>> & {
    /** How many faults are usual. */
    readonly faults: number;
    /** Whether it can be practised without bees; or as which other skill it is. */
    readonly indoors?: true | string;
    readonly gear?: readonly string[];
    /** Levels that sound otherwise than they do for every skill. */
    readonly sounds?: readonly SkillLevel[];
  };

/** What most skills have. */
const USUAL = {
  needs: [],
  season: null,
  colony: [],
  gear: [],
  role: 'everybody',
  risk: null,
  gate: false,
  indoors: null,
  from: [],
} as const;

/**
 * A skill that somebody adds to a list in own words, the rest left at what most skills have.
 *
 * @param told its id, phase, name, and how it is seen
 * @returns the skill, to be shown twice alone
 */
export const ownSkill = (told: Pick<WordedSkill, 'id' | 'phase' | 'name' | 'shownBy'>): WordedSkill => ({
  ...USUAL,
  faults: [],
  levels: {},
  rule: usualRule(2, 'alone'),
  ...told,
});

/** A skill of the usual checklist, what is not said left at what most skills have. Its words are those of its id. */
export const skillIn =
  (phase: SkillPhase) =>
  ({ id, faults, indoors, gear = [], sounds = [], ...told }: Told): Skill => ({
    id,
    phase,
    name: named('skillName', id),
    shownBy: named('skillShownBy', id),
    faults: Array.from({ length: faults }, (_, index) => named('skillFault', `${id}-${index + 1}`)),
    ...USUAL,
    gear: gear.map((each) => named('skillGear', each)),
    indoors: indoors === undefined ? null : named('skillIndoors', indoors === true ? id : indoors),
    levels: Object.fromEntries(sounds.map((level) => [level, named('skillSounds', `${id}-${level}`)])),
    ...told,
  });
