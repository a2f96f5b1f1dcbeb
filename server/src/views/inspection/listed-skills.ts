import type { Sayable } from '@brave-comb/core/language';
import type { VisitFile } from '@brave-comb/contract';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import { levelSays } from '@brave-comb/core/skills';
import { openSkills, type SchoolStandings } from '../../facts/skills';

/** The checklist as the hive needs it: what each skill is shown by and what its levels sound like, and who still has to show it. */
export function listedSkills(skills: SchoolStandings, trainees: readonly string[]): Sayable<VisitFile>['skills'] {
  const open = new Map(openSkills(skills, trainees).map((each) => [each.skill.id, each.open]));
  return skills.checklist.skills.map((skill) => ({
    id: skill.id,
    name: skill.name,
    phase: skill.phase,
    role: skill.role,
    shownBy: skill.shownBy,
    says: SKILL_LEVELS.map((level) => levelSays(skill, level)),
    open: open.get(skill.id) ?? [],
  }));
}
