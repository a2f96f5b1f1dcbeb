import { type Course, type MiteSample, coursesOf, untreatedDuring } from '@brave-comb/core/care';
import { dateAt } from '../../dates';
import type { ColonyRead } from '../inspection';
import type { SiteSeason } from '../season';
import type { ColonyState } from './colony-state';

/** Mites on bees that visits counted, the oldest first. */
export const mitesCounted = (reads: readonly ColonyRead[], zone: string): readonly MiteSample[] =>
  reads.flatMap(({ visit, record }) =>
    record.measures.flatMap(({ measure }) =>
      measure.what === 'mites-on-bees' && measure.bees > 0
        ? [{ date: dateAt(zone, visit.started_at), method: measure.method, bees: measure.bees, mites: measure.mites }]
        : [],
    ),
  );

/**
 * Mites counted in the other colonies of a site that were given nothing while one was treated.
 *
 * @param states all colonies of the site
 * @param hive id of the hive of the treated one
 * @param course its treatment
 */
export const untreatedBeside = (
  states: readonly ColonyState[],
  hive: string,
  course: Course,
  { site, today }: Pick<SiteSeason, 'site' | 'today'>,
): readonly (readonly MiteSample[])[] =>
  states.flatMap((each) => {
    const samples = each.hive.id === hive ? [] : mitesCounted(each.reads, site.zone);
    return samples.length > 1 && untreatedDuring(coursesOf(each.known, today), course) ? [samples] : [];
  });
