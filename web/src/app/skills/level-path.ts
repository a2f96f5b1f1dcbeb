import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';

/** A frame being put together: bar saw it, one side helped, two sides with a word, closed alone. */
const STROKES = ['M1.5 5h21', 'M5.5 5v15.5', 'M18.5 5v15.5', 'M4 20h16'] as const;

/** How far the frame of a level is put together, as one path; nothing while nothing was shown. */
export const levelPath = (level: SkillLevel | null): string =>
  level === null ? '' : STROKES.slice(0, SKILL_LEVELS.indexOf(level) + 1).join('');
