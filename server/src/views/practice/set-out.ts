import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { dayAtSchool } from '../../records/equipment';
import { setOutFor } from '../../records/practice';

type SetOut = Output<(typeof endpoints)['practice']>['plans'];

/** A plan is shown until so many days after its day. */
const SHOWN = 7;

/** What is set out for the groups that somebody is in, or leads. */
export async function setOutPlans(
  { db, clock }: Context,
  actor: Actor,
  groups: readonly { readonly id: string }[],
): Promise<Sayable<SetOut>> {
  const today = await dayAtSchool(db, actor.school, clock.now());
  const ids = groups.map(({ id }) => id);
  return (await setOutFor(db, actor.school, ids, addDays(today, -SHOWN))).map((row) => ({
    id: row.id,
    group: { id: row.trainee_group, name: row.group_name },
    day: row.day,
    minutes: row.minutes,
    by: row.by_name,
    at: iso(row.made_at),
    stations: row.stations,
  }));
}
