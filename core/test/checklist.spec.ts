import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import { inEnglish } from '../src/words';
import { JOBS, SKILL_LEVELS } from '../src/inspection';
import {
  checklistProblem as saidChecklistProblem,
  DEFAULT_CHECKLIST,
  levelSays,
  SKILL_PHASES,
  skillOf,
} from '../src/skills';
import { listWith } from './evidence';

const checklistProblem = answersInEnglish(saidChecklistProblem);

const { skills } = inEnglish(DEFAULT_CHECKLIST);

describe('the default checklist', () => {
  it('holds together: one of each id, prerequisites that are on it, none that wait for each other', () => {
    expect(checklistProblem(DEFAULT_CHECKLIST)).toBeNull();
    expect(skills.length).toBeGreaterThanOrEqual(60);
    expect(new Set(skills.map(({ name }) => name)).size).toBe(skills.length);
  });

  it('has all ten phases in their order, and every role something to show', () => {
    expect([...new Set(skills.map(({ phase }) => phase))]).toEqual(SKILL_PHASES);
    for (const role of JOBS)
      expect(
        skills.some((skill) => skill.role === role),
        role,
      ).toBe(true);
  });

  it('says of each skill what one sees, what goes wrong, and asks for no more days or people than times', () => {
    for (const { id, shownBy, faults, rule } of skills) {
      expect(shownBy.length, id).toBeGreaterThan(10);
      expect(faults.length, id).toBeGreaterThan(0);
      expect(Math.max(rule.days, rule.colonies, rule.assessors), id).toBeLessThanOrEqual(rule.times);
      expect(rule.indoors, id).toBeLessThanOrEqual(rule.times);
    }
  });

  it('lets practice stand in only where the skill can be practised indoors', () => {
    const standsIn = skills.filter(({ rule }) => rule.indoors > 0);
    expect(standsIn.length).toBeGreaterThan(0);
    for (const { id, indoors } of standsIn) expect(indoors, id).not.toBeNull();
  });

  it('has a sentence for every level, and lets a skill have its own', () => {
    for (const level of SKILL_LEVELS) expect(inEnglish(levelSays({ levels: {} }, level))).toMatch(/^[A-Z].*\.$/);
    const eggs = skillOf(DEFAULT_CHECKLIST, 'finds-eggs')!;
    expect(inEnglish(levelSays(eggs, 'alone'))).toBe('Found fresh eggs unprompted and said what they prove.');
    expect(inEnglish(levelSays({ levels: {} }, 'alone'))).toBe(
      'Did all of it unprompted, in the right order, and said what it showed.',
    );
    expect(skillOf(DEFAULT_CHECKLIST, 'juggles')).toBeNull();
  });
});

describe('a list that somebody writes', () => {
  it.each([
    ['no skills', { skills: [] }, /at least one/],
    ['two of an id', { skills: [skills[0]!, { ...skills[1]!, id: skills[0]!.id }] }, /Two skills have the id/],
    ['a skill without a name', listWith('finds-eggs', { name: '  ' }), /needs a name/],
    ['a need that is not on it', listWith('finds-eggs', { needs: ['juggles'] }), /needs juggles first/],
    ['a circle', listWith('light-behind', { needs: ['proves-queen'] }), /wait for each other: .*finds eggs/],
  ])('is refused with %s', (_, list, says) => {
    expect(checklistProblem(list)).toMatch(says);
  });
});
