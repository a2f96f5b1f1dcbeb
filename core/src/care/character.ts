import type { VisitRecord } from '../inspection';
import { temperOf } from '../inspection';
import { type CivilDate, addDays } from '../units';
import type { ColonyEvent } from './colony-event';

/** What was noted of a colony's nature, as far as it is its queen's. */
export const TRAITS = [
  'gentle',
  'productive',
  'builds-in-dearth',
  'winters-well',
  'clean',
  'sharp',
  'follows',
  'runs-on-comb',
  'swarms-small',
  'chalkbrood-again',
] as const;
export type Trait = (typeof TRAITS)[number];

/** Traits that speak for raising daughters. */
export const GOOD_TRAITS: ReadonlySet<Trait> = new Set<Trait>([
  'gentle',
  'productive',
  'builds-in-dearth',
  'winters-well',
  'clean',
]);

/** What is known of a colony's nature since its queen's own bees fill it. */
export interface Character {
  /** Each trait with the number of days on which somebody noted it. */
  readonly traits: readonly { readonly trait: Trait; readonly days: number }[];
  /** Temper at each look, 1 gentle to 5 not fit for beginners, the latest last. */
  readonly tempers: readonly number[];
}

export const NO_CHARACTER: Character = { traits: [], tempers: [] };

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
