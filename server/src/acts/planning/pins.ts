import { say } from '../../words';
import type { Pin } from '@brave-comb/contract';
import { conflictOf } from '@brave-comb/core/planning';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { lockOf, planningNames, planningSeason, type PlanningSeason } from '../../facts/planning';
import { Refusal, notFound } from '../../problem';
import { keepPin, pinById, withdrawPin } from '../../records/planning';

export async function pinPlan(context: Context, actor: Actor, id: string, what: Pin): Promise<void> {
  const before = await planningSeason(context, actor.school);
  const known = before.pins.some((pin) => pin.id === id);
  if (!known) refuseForeign(before, what);
  if (!known && 'pin' in what) refuseHopelessPin(before, what.pin);
  await revise(context.db, actor.school, (trx) =>
    keepPin(trx, { id, school: actor.school, what, by_person: actor.id, at: context.clock.now() }),
  );
}

/** Groups, hives and people in a pin are the school's own. */
function refuseForeign({ problem }: PlanningSeason, what: Pin): void {
  const named: Readonly<Partial<Record<'group' | 'hive' | 'supervisor', string | undefined>>> & {
    readonly hives?: readonly string[] | undefined;
  } = 'pin' in what ? what.pin : what.forbid;
  const known = (all: readonly { readonly id: string }[], id: string | undefined) =>
    id === undefined || all.some((each) => each.id === id);
  if (!known(problem.groups, named.group)) throw notFound('group');
  if (!known(problem.supervisors, named.supervisor)) throw notFound('supervisor');
  if (![named.hive, ...(named.hives ?? [])].every((hive) => known(problem.hives, hive))) throw notFound('hive');
}

/** A pin that cannot be kept is refused at once, with the rule or the other pin that stands against it. */
function refuseHopelessPin(season: PlanningSeason, pin: Extract<Pin, { pin: unknown }>['pin']): void {
  const { problem } = season;
  if (!problem.slots.some(({ id }) => id === pin.slot)) return;
  const called = planningNames(season);
  if (!('staff' in pin)) {
    const away = season.away.get(`${pin.group} ${pin.slot}`);
    if (away !== undefined)
      throw new Refusal(
        422,
        'cannot-be-kept',
        say('pin-cannot-come', { group: called(pin.group), slot: called(pin.slot), why: away }),
      );
  }
  if (conflictOf(problem) !== null) return;
  const conflict = conflictOf({ ...problem, locks: [...problem.locks, lockOf(pin)] });
  if (conflict === null) return;
  const rules = conflict.rules.map(({ says }) => called(says));
  throw new Refusal(422, 'cannot-be-kept', say('pin-cannot-be-kept', { rules }));
}

export async function unpinPlan(context: Context, actor: Actor, id: string): Promise<void> {
  if (!(await pinById(context.db, actor.school, id))) throw notFound('pin');
  await revise(context.db, actor.school, (trx) => withdrawPin(trx, actor.school, id, context.clock.now()));
}
