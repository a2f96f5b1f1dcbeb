import type { Checklist, Skill } from './skill';
import { isOpen, type Standings } from './standing';

/** Mood, 1 quiet to 5 close, from which a colony counts as defensive. Common practice. */
const DEFENSIVE_FROM = 3;

/**
 * Whether a colony counts as defensive, by whatever is known of its mood.
 *
 * @param moods 1 quiet to 5 close, of its last visits and of this one; `null` where it is not known
 * @example isDefensive(2, 4) // true
 */
export const isDefensive = (...moods: readonly (number | null)[]): boolean =>
  moods.some((mood) => mood !== null && mood >= DEFENSIVE_FROM);

/**
 * Skills that guard against stings and that a trainee does not hold yet.
 *
 * @param checklist the school's list
 * @param standing where trainees stand
 * @param trainee id
 * @returns without these nobody handles frames of a defensive colony
 */
export const missingGates = (checklist: Checklist, standing: Standings, trainee: string): readonly Skill[] =>
  checklist.skills.filter(({ id, gate }) => gate && isOpen(standing(trainee, id)));

/**
 * What keeps a trainee from handling frames of a colony: skills that guard against stings and are not held yet.
 *
 * @param checklist the school's list
 * @param standing where trainees stand
 * @param trainee id
 * @param temper mood of the colony at its last visits, 1 to 5; `null` when it is not known
 * @returns the skills that are missing; none for a quiet colony
 */
export const gateSkills = (
  checklist: Checklist,
  standing: Standings,
  trainee: string,
  temper: number | null,
): readonly Skill[] => (isDefensive(temper) ? missingGates(checklist, standing, trainee) : []);
