import type { Checklist, Skill } from './skill';
import { isOpen, type Standings } from './standing';

/** Mood, 1 quiet to 5 close, from which a colony counts as defensive. Common practice. */
const DEFENSIVE_FROM = 3;

/**
 * What keeps a trainee from handling frames of a colony: skills that guard against stings and are not held yet.
 *
 * @param checklist the school's list
 * @param standing where trainees stand
 * @param trainee id
 * @param temper mood of the colony at its last visits, 1 to 5; `null` when it is not known
 * @returns the skills that are missing; none for a quiet colony
 * @example gateSkills(checklist, standing, 'ravi', 4).map(({ name }) => name) // ['fits the veil and has it checked']
 */
export const gateSkills = (
  checklist: Checklist,
  standing: Standings,
  trainee: string,
  temper: number | null,
): readonly Skill[] =>
  temper === null || temper < DEFENSIVE_FROM
    ? []
    : checklist.skills.filter(({ id, gate }) => gate && isOpen(standing(trainee, id)));
