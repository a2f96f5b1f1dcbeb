import type { Checklist } from '../skill';
import { AFTER_THE_FRAMES } from './after';
import { BEFORE_THE_FRAMES } from './before';
import { CARE_AND_SAFETY } from './care';
import { AT_THE_FRAMES } from './frames';

/** The checklist that a new school starts with. Common practice of beekeeping courses. */
export const DEFAULT_CHECKLIST: Checklist = {
  version: 1,
  skills: [...BEFORE_THE_FRAMES, ...AT_THE_FRAMES, ...AFTER_THE_FRAMES, ...CARE_AND_SAFETY],
};

export { ownSkill, usualRule } from './make';
