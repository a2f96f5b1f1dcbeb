import type { SkillLevel } from '../src/inspection';
import {
  type Checklist,
  type Demonstration,
  DEFAULT_CHECKLIST,
  type EvidenceFacts,
  type EvidenceRule,
  type Skill,
  standingsFrom,
} from '../src/skills';

export const TODAY = '2026-05-14';

let made = 0;
/** A demonstration on a day at noon: hive 4, judged by Ruth, unless said otherwise. */
export const shown = (day: string, level: SkillLevel, more: Partial<Demonstration> = {}): Demonstration => {
  made += 1;
  const source = more.source ?? 'visit';
  const indoors = source === 'practice';
  return {
    id: `d${made}`,
    trainee: 'salma',
    skill: 'finds-eggs',
    level,
    at: `${day}T12:00:00.000Z`,
    day,
    source,
    colony: indoors ? null : 'hive 4',
    assessor: indoors ? null : 'ruth',
    lead: false,
    ...more,
  };
};

export const standings = (demonstrations: readonly Demonstration[], more: Partial<EvidenceFacts> = {}) =>
  standingsFrom({
    checklist: DEFAULT_CHECKLIST,
    demonstrations,
    signOffs: [],
    today: TODAY,
    now: `${TODAY}T15:00:00.000Z`,
    ...more,
  });

export const RULE: EvidenceRule = {
  level: 'alone',
  times: 3,
  days: 2,
  colonies: 2,
  assessors: 1,
  lead: false,
  months: 12,
  indoors: 1,
  within: null,
};

/** The default list with another rule, or another detail, of one skill. */
export const listWith = (id: string, change: Partial<Skill>): Checklist => ({
  version: 2,
  skills: DEFAULT_CHECKLIST.skills.map((skill) => (skill.id === id ? { ...skill, ...change } : skill)),
});
