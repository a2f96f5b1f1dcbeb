import { type CivilDate, daysBetween } from '../units';

/** A plant in bloom at a site, seen or expected. */
export interface Forage {
  readonly plant: string;
  readonly gives: 'nectar' | 'pollen' | 'nectar and pollen';
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** Days either way that the expected dates may be off; 0 for dates that were seen. */
  readonly giveOrTake: number;
}

/**
 * Plants in bloom on a day.
 *
 * @param forage plants of the site
 * @param date civil date
 * @returns those whose bloom spans the day
 * @throws RangeError for a malformed date
 * @example inBloom(forage, '2026-05-14').map((each) => each.plant) // ['Dandelion', 'Sycamore']
 */
export function inBloom(forage: readonly Forage[], date: CivilDate): readonly Forage[] {
  return forage.filter((each) => daysBetween(each.from, date) >= 0 && daysBetween(date, each.to) >= 0);
}

/** Plants of a list that give nectar. */
export const nectarOf = (forage: readonly Forage[]): readonly Forage[] =>
  forage.filter((each) => each.gives !== 'pollen');
