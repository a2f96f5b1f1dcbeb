/** How much help a demonstration took, from seeing it done to being able to teach it. */
export const SKILL_LEVELS = ['saw-it', 'helped', 'with-a-word', 'alone', 'can-teach'] as const;
export type SkillLevel = (typeof SKILL_LEVELS)[number];
