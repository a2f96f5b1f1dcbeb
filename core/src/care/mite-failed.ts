import { roundTo } from '../units';
import { type Efficacy, efficacyOf } from './efficacy';
import type { ColonyFacts } from './facts';
import { type MiteProduct, WORKS } from './mite-products';
import type { Course } from './treatments';

/** Active ingredients that are given against mites; what a label calls it holds one of these. */
const ACTIVES = /formic|oxalic|thymol|amitraz|fluvalinate|flumethrin|coumaphos|hop/i;

/** Medicines against mites that a colony was given. */
export const against = ({ courses }: Pick<ColonyFacts, 'courses'>): readonly Course[] =>
  courses.filter(({ medicine }) => ACTIVES.test(medicine));

/** Part of the mites that a treatment is expected to take at least. Common practice. */
const WORKED = 0.8;

/** A treatment that took too few. */
export interface FailedCourse {
  readonly course: Course;
  readonly worked: Efficacy;
}

/** The last treatment against mites; `null` where none was given. */
export const lastAgainstMites = (facts: Pick<ColonyFacts, 'courses'>): Course | null =>
  against(facts)
    .toSorted((a, b) => a.end.localeCompare(b.end))
    .at(-1) ?? null;

/** The last treatment, where counts on both sides of it say that it took too few. */
export function failedCourse(facts: ColonyFacts): FailedCourse | null {
  const course = lastAgainstMites(facts);
  const worked = course ? efficacyOf(course, facts.samples, facts.untreated) : null;
  return course && worked && worked.share < WORKED ? { course, worked } : null;
}

/** Whether a product holds the active ingredient of a medicine. */
export const heldBy = ({ medicine }: Course, product: MiteProduct): boolean =>
  WORKS[product].holds?.test(medicine) ?? false;

export const tookOf = ({ share, before, after, against: how }: Efficacy) => ({
  share: Math.round(share * 100),
  before: roundTo((before.mites / before.bees) * 100, 1),
  after: roundTo((after.mites / after.bees) * 100, 1),
  untreated: how === 'untreated',
});
