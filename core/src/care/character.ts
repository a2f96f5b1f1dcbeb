import type { VisitRecord } from '../inspection';
import { temperOf } from '../inspection';
import { type CivilDate, addDays } from '../units';
import type { ColonyEvent } from './colony-event';
import { type Character, TRAITS } from './stock';

/** Days from a new queen until the bees are hers: three weeks of brood, and the life of the summer bees before her. Common practice. */
const HER_OWN = 42;
const NEW_QUEEN: ReadonlySet<ColonyEvent['kind']> = new Set<ColonyEvent['kind']>(['queen', 'hived']);

/**
 * The nature of a colony under its queen of today: what was noted under the one before her is not hers.
 *
 * @param events what happened to it, with traits that were noted
 * @param looks records of its visits with their days
 * @returns traits and tempers since the bees are this queen's
 * Source: common practice.
 */
export function characterOf(
  events: readonly ColonyEvent[],
  looks: readonly { readonly date: CivilDate; readonly record: VisitRecord }[],
): Character {
  const began = events
    .filter(({ kind }) => NEW_QUEEN.has(kind))
    .reduce((last, { date }) => (date > last ? date : last), '');
  const own = began === '' ? '' : addDays(began, HER_OWN);
  const noted = events.flatMap((event) => (event.kind === 'trait' && event.date >= own ? [event] : []));
  return {
    traits: TRAITS.flatMap((trait) => {
      const days = new Set(noted.filter((each) => each.trait === trait).map(({ date }) => date)).size;
      return days > 0 ? [{ trait, days }] : [];
    }),
    tempers: looks.filter(({ date }) => date >= own).flatMap(({ record }) => temperOf(record) ?? []),
  };
}
