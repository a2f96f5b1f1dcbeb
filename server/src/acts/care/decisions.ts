import { say } from '../../words';
import type { Sayable } from '@brave-comb/core/language';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { type Advice, type FollowUp, ONLY_LOOKS, taskOfAdvice } from '@brave-comb/core/care';
import { type CivilDate, addDays, daysBetween, earlierOf, laterOf } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { judge } from '../../facts/care';
import { Refusal, notFound } from '../../problem';
import {
  decisionById,
  decisionsOf,
  followUpsOfVisit,
  insertDecision,
  insertFollowUp,
  shownDecision,
  shownFollowUp,
  withdraw,
  withdrawSent,
} from '../../records/care';
import { openVisit } from '../../records/inspection';
import { traineeGroups } from '../../records/people';
import { advisedTask } from './advised-task';

/**
 * Records what was decided on an advice, and the follow-up that it makes. Sent twice, it is recorded once; a new decision on the same
 * advice takes the place of the old one.
 */
export async function decide(
  context: Context,
  actor: Actor,
  id: string,
  body: Input<typeof endpoints.decide>['body'],
): Promise<Sayable<Output<typeof endpoints.decide>>> {
  const { db, clock } = context;
  const visit = await openVisit(db, actor, id);
  const repeated = await decisionById(db, actor.school, body.id);
  if (repeated && repeated.visit !== visit.id) {
    throw new Refusal(409, 'id-in-use', say('id-of-another-visits-decision'));
  }
  if (!repeated) {
    const { advice } = await judge(context, visit);
    const advised = advice.find((each) => each.kind === body.advice);
    if (!advised) {
      throw new Refusal(409, 'not-advised', say('not-advised', { advice: body.advice }));
    }
    const today = dateAt(visit.zone, visit.started_at);
    if (body.on && body.on < today) throw new Refusal(422, 'in-the-past', say('done-in-the-past', { on: body.on }));
    if (body.group && !(await traineeGroups(db, actor.school)).some(({ id: group }) => group === body.group))
      throw notFound('group');
    if (body.due && body.due < today)
      throw new Refusal(422, 'in-the-past', say('follow-up-in-the-past', { due: body.due }));
    await revise(db, actor.school, async (trx) => {
      for (const old of await decisionsOf(trx, actor.school, visit.id)) {
        if (old.advice === body.advice) await withdraw(trx, actor.school, old.id, clock.now());
      }
      await insertDecision(trx, {
        id: body.id,
        school: actor.school,
        visit: visit.id,
        advice: body.advice,
        verdict: body.verdict,
        action: body.action || (body.verdict === 'accepted' ? advised.title : ''),
        reason: body.reason,
        on_day: body.on ?? null,
        with_group: body.group ?? null,
        by_person: actor.id,
        at: clock.now(),
        withdrawn_at: null,
      });
      const asked: readonly FollowUp[] = askedAfter(advised, body, today);
      for (const each of asked)
        await insertFollowUp(trx, {
          id: uuid(),
          school: actor.school,
          hive: visit.hive,
          visit: visit.id,
          decision: body.id,
          question: each.question,
          from_date: each.from,
          due: each.due,
          answered_by: null,
        });
      if (body.verdict === 'declined' || ONLY_LOOKS.has(body.advice)) return;
      await withdrawSent(trx, actor.school, visit.hive, taskOfAdvice(body.advice));
      const place = { id: uuid(), school: actor.school, hive: visit.hive, decision: body.id };
      await insertFollowUp(trx, advisedTask(place, advised, body.on, body.action));
    });
  }
  const decision = await decisionById(db, actor.school, body.id);
  const followUp = (await followUpsOfVisit(db, actor.school, visit.id)).find((each) => each.decision === body.id);
  return { decision: shownDecision(decision!), followUp: followUp ? shownFollowUp(followUp) : null };
}

type Said = Pick<Input<typeof endpoints.decide>['body'], 'verdict' | 'due' | 'on'>;

/** What is looked at again: of what is done on another day than advised, so many days later or earlier. */
function askedAfter(advised: Advice, { verdict, due, on }: Said, today: CivilDate): readonly FollowUp[] {
  if (verdict === 'declined' && !due) return [];
  const moved = on ? daysBetween(advised.by, on) : 0;
  const move = (each: FollowUp): FollowUp => ({
    ...each,
    from: laterOf(today, addDays(each.from, moved)),
    due: laterOf(today, addDays(each.due, moved)),
  });
  const [first, ...more] = advised.followUps;
  const asked = move(first);
  const by = due ?? asked.due;
  const again = { question: asked.question, from: earlierOf(asked.from, by), due: by };
  return verdict === 'accepted' ? [again, ...more.map(move)] : [again];
}

export async function withdrawDecision(context: Context, actor: Actor, id: string): Promise<{ withdrawn: true }> {
  const decision = await decisionById(context.db, actor.school, id);
  if (!decision) throw notFound('decision');
  await openVisit(context.db, actor, decision.visit);
  await revise(context.db, actor.school, (trx) => withdraw(trx, actor.school, id, context.clock.now()));
  return { withdrawn: true };
}
