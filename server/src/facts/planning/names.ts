import type { Said, Text } from '@brave-comb/core/language';
import { say } from '../../words';
import { withNames } from '@brave-comb/core/planning';
import { addDays } from '@brave-comb/core/units';
import { clockAt, dateAt } from '../../dates';
import type { PlanningSeason, SiteSlot } from './season-facts';

/** A slot as people say it. */
export const slotSaid = ({ from, to, zone }: Pick<SiteSlot, 'from' | 'to' | 'zone'>): Said => {
  const date = dateAt(zone, new Date(from));
  return say('slot', { date, from: clockAt(zone, from), to: clockAt(zone, to) });
};

/**
 * Words of the core with names in place of ids, and dates in place of the plan's days.
 *
 * @param season the season whose things are named
 * @returns a function from the core's texts to those for people
 */
export function planningNames(season: Pick<PlanningSeason, 'groups' | 'supervisors' | 'colonies' | 'slots' | 'today'>) {
  const names = new Map<string, Text>([
    ...season.groups.map(({ id, name }) => [id, name] as const),
    ...season.supervisors.map(({ id, name }) => [id, name] as const),
    ...season.colonies.map(({ hive }) => [hive.id, say('hive', { hive: hive.number })] as const),
    ...season.slots.map((slot) => [slot.id, slotSaid(slot)] as const),
  ]);
  const dateOf = (day: number) => say('weekday', { date: addDays(season.today, day) });
  return (words: Text): Text => withNames(words, names, dateOf);
}
