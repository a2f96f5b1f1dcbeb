import type { Input, Output, endpoints } from '@brave-comb/contract';
import { indoorPlan, progressOf } from '@brave-comb/core/practice';
import { isOpen, readingAgreement } from '@brave-comb/core/skills';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { traineesOf } from '../people/store';
import { Refusal, notFound } from '../problem';
import { readingPairsOf } from '../skills/reading-store';
import { schoolStandings } from '../skills/standings';
import { shownResult } from './drills';
import { groupsSeen } from '../skills/access';
import { resultsOf } from './store';

type Endpoint = (typeof endpoints)['indoorPlan'];
/** Answers of each trainee that a plan looks at. */
const RESULTS = 200;

/** A session indoors from what a group is weakest at. */
export async function planIndoors(
  context: Context,
  actor: Actor,
  group: string,
  { minutes, stations }: Input<Endpoint>['query'],
): Promise<Output<Endpoint>> {
  const { db, clock } = context;
  const own = (await groupsSeen(context, actor)).find(({ id }) => id === group);
  if (!own) throw notFound('group');
  const trainees = await traineesOf(db, actor.school, [group]);
  if (trainees.length === 0) throw new Refusal(422, 'nobody in it', 'The group has no trainees. Choose another group.');
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
