import { perBee } from '../inspection';
import { addDays, daysBetween } from '../units';
import type { MiteSample } from './facts';
import type { Course } from './treatments';

/** Mites on a number of bees, on a day. */
export type MiteCount = Pick<MiteSample, 'date' | 'bees' | 'mites'>;

/** Share of the mites that a treatment took, and how it was reckoned. */
export interface Efficacy {
  /** 1 took all, 0 none; less than none where they grew more than in untreated colonies. */
  readonly share: number;
  /** Against colonies that were given nothing, or only before against after. */
  readonly against: 'untreated' | 'before';
  readonly before: MiteCount;
  readonly after: MiteCount;
  /** Untreated colonies that were counted on both sides of it. */
  readonly controls: number;
}

/** Days before the first dose, and after the end, within which a count belongs to a treatment. Common practice. */
const COUNTED_BEFORE = 42;
const COUNTED_AFTER = 42;

/**
 * Part of the pests that a treatment took, in 0 to 1, corrected by colonies that were given nothing over the same time.
 *
 * @param treated mites per bee before and after, 0 or more
 * @param control the same of untreated colonies
 * @returns the share; `null` where nothing was there before, or the untreated have none to compare with
 * Source: Henderson & Tilton (1955), J. Econ. Entomol. 48, 157–161.
 * @example hendersonTilton({ before: 40, after: 4 }, { before: 40, after: 50 }) // 0.92
 */
export function hendersonTilton(
  treated: { readonly before: number; readonly after: number },
  control: { readonly before: number; readonly after: number },
): number | null {
  if (treated.before === 0 || control.before === 0 || control.after === 0) return null;
  return 1 - (treated.after * control.before) / (treated.before * control.after);
}

/** The counts that belong to a treatment: the last before it, and the first after its end. */
function countsOf({ from, end, ended }: Course, samples: readonly MiteCount[]) {
  const inOrder = samples.toSorted((a, b) => a.date.localeCompare(b.date));
  const before = inOrder.findLast(({ date }) => date <= from && daysBetween(date, from) <= COUNTED_BEFORE);
  const after = ended ? inOrder.find(({ date }) => date > end && daysBetween(end, date) <= COUNTED_AFTER) : undefined;
  return before && after ? { before, after } : null;
}

/**
 * Whether a colony was given nothing while another was treated and counted.
 *
 * @param courses its medicines, whenever they were given
 * @param course the treatment of the other
 * @returns whether none of them reaches into the days in which counts belong to that treatment
 * @throws RangeError for a malformed date
 */
export const untreatedDuring = (courses: readonly Course[], course: Course): boolean =>
  courses.every(
    ({ from, end }) => end < addDays(course.from, -COUNTED_BEFORE) || from > addDays(course.end, COUNTED_AFTER),
  );

const rateOf = ({ mites, bees }: MiteCount): number => perBee(mites, bees).value;

/**
 * How well a treatment worked.
 *
 * @param course the treatment
 * @param samples mites counted in its colony
 * @param untreated counts of colonies that were given nothing over that time, colony by colony
 * @returns the share it took, or `null` where it was not counted on both sides, or there were no mites before
 * Source: Henderson & Tilton (1955) where untreated colonies were counted too; else before against after.
 */
export function efficacyOf(
  course: Course,
  samples: readonly MiteCount[],
  untreated: readonly (readonly MiteCount[])[] = [],
): Efficacy | null {
  const counts = countsOf(course, samples);
  if (counts === null || counts.before.mites === 0) return null;
  const treated = { before: rateOf(counts.before), after: rateOf(counts.after) };
  const pairs = untreated.flatMap((each) => countsOf(course, each) ?? []);
  const mean = (side: 'before' | 'after') =>
    pairs.reduce((sum, pair) => sum + rateOf(pair[side]), 0) / Math.max(1, pairs.length);
  const corrected =
    pairs.length > 0 ? hendersonTilton(treated, { before: mean('before'), after: mean('after') }) : null;
  return {
    share: corrected ?? 1 - treated.after / treated.before,
    against: corrected === null ? 'before' : 'untreated',
    ...counts,
    controls: corrected === null ? 0 : pairs.length,
  };
}
