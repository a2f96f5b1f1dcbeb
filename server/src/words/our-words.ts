import { type Said, isSaid } from '@brave-comb/core/language';
import { DEFAULT_CHECKLIST, type Skill } from '@brave-comb/core/skills';
import { ways } from './languages';

/** What the usual checklist says of each skill, by how it reads in any of our languages. */
const ours: ReadonlyMap<string, ReadonlyMap<string, Said>> = new Map(
  DEFAULT_CHECKLIST.skills.map((skill) => [skill.id, new Map(wordingsOf(skill))]),
);

function wordingsOf(value: unknown): (readonly [string, Said])[] {
  if (isSaid(value)) return Object.values(ways).map(({ metric }) => [metric.text(value), value] as const);
  return value !== null && typeof value === 'object' ? Object.values(value).flatMap(wordingsOf) : [];
}

/**
 * A skill of a list that was changed on a screen and sent back in that screen's language: what nobody changed is our
 * sentence again, so that others read it in theirs.
 *
 * @param skill the skill as it was kept
 * @returns the same, with the words of the usual checklist as sentences
 */
export function withOurSentences(skill: Skill): Skill {
  const known = ours.get(skill.id);
  if (!known) return skill;
  const again = <T>(text: T) => (typeof text === 'string' ? (known.get(text) ?? text) : text);
  return {
    ...skill,
    name: again(skill.name),
    shownBy: again(skill.shownBy),
    faults: skill.faults.map(again),
    gear: skill.gear.map(again),
    indoors: again(skill.indoors),
    levels: Object.fromEntries(Object.entries(skill.levels).map(([level, says]) => [level, again(says)])),
  };
}
