import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import { indoorPlan, progressOf } from '@brave-comb/core/practice';
import { isOpen, readingAgreement } from '@brave-comb/core/skills';
import { daysBetween } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { schoolStandings } from '../../facts/skills';
import { Refusal, notFound } from '../../problem';
import { dayAtSchool } from '../../records/equipment';
import { traineesOf } from '../../records/people';
import { insertSetOut, resultsOf, setOutById, shownResult, withdrawSetOut } from '../../records/practice';
import { groupsSeen, readingPairsOf } from '../../records/skills';

type Endpoint = (typeof endpoints)['indoorPlan'];
/** Answers of each trainee that a plan looks at. */
const RESULTS = 200;

/** A plan can be set out from yesterday until in two months, days. */
const [BACK, AHEAD] = [1, 60];

/** A session indoors from what a group is weakest at. */
export async function planIndoors(
  context: Context,
  actor: Actor,
  group: string,
  { minutes, stations }: Input<Endpoint>['query'],
) {
  const { db, clock } = context;
  const own = (await groupsSeen(context, actor)).find(({ id }) => id === group);
  if (!own) throw notFound('group');
  const trainees = await traineesOf(db, actor.school, [group]);
  if (trainees.length === 0) throw new Refusal(422, 'nobody-in-it', say('nobody-in-it'));
  const ids = trainees.map(({ id }) => id);
  const [results, pairs, { checklist, standing }] = await Promise.all([
    resultsOf(db, actor.school, ids, RESULTS),
    readingPairsOf(db, actor.school, ids),
    schoolStandings(context, actor.school, ids),
  ]);
  const now = iso(clock.now());
  const members = ids.map((id) => ({
    trainee: id,
    progress: progressOf(results.filter(({ person }) => person === id).map(shownResult), now),
    readings: readingAgreement(pairs.filter(({ trainee }) => trainee === id)),
    open: checklist.skills.filter((skill) => isOpen(standing(id, skill.id))).map((skill) => skill.id),
  }));
  const names = new Map(trainees.map(({ id, name }) => [id, name]));
  return {
    group: { id: own.id, name: own.name },
    trainees: trainees.length,
    minutes,
    stations: indoorPlan(members, minutes, stations).map((station) => ({
      ...station,
      why: [...station.why],
      pairs: station.pairs.map((pair) => pair.map((id) => names.get(id) ?? '')),
    })),
  };
}

/** Sets a plan out for a group: from then on its trainees see it, as it stood. Sent twice it is there once. */
export async function setOut(
  context: Context,
  actor: Actor,
  group: string,
  { id, day, minutes, stations }: Input<(typeof endpoints)['setOutIndoorPlan']>['body'],
): Promise<void> {
  const { db, clock } = context;
  const known = await setOutById(db, actor.school, id);
  if (known && known.trainee_group !== group) throw new Refusal(409, 'taken', say('plan-of-another-group'));
  if (known) return;
  const away = daysBetween(await dayAtSchool(db, actor.school, clock.now()), day);
  if (away < -BACK || away > AHEAD) throw new Refusal(422, 'day', say('day-out-of-reach'));
  const plan = await planIndoors(context, actor, group, { minutes, stations });
  await revise(db, actor.school, (trx) =>
    insertSetOut(trx, {
      id,
      school: actor.school,
      trainee_group: group,
      day,
      minutes,
      stations: plan.stations.map(({ topic, minutes: each, how, pairs }) => ({ topic, minutes: each, how, pairs })),
      made_by: actor.id,
      made_at: clock.now(),
      withdrawn_at: null,
    }),
  );
}

/** Takes back what was set out, for a group that one leads. */
export async function takeBack(context: Context, actor: Actor, id: string): Promise<void> {
  const plan = await setOutById(context.db, actor.school, id);
  const groups = await groupsSeen(context, actor);
  if (!plan || !groups.some((group) => group.id === plan.trainee_group)) throw notFound('plan');
  await revise(context.db, actor.school, (trx) => withdrawSetOut(trx, id, context.clock.now()));
}
