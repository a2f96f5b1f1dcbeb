import { type AdviceKind, type Outcome, outcomeOf } from '@brave-comb/core/care';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { factsOfRead } from '../../facts/care';
import { onceARevision } from '../../kept';
import { decisionsOfVisits } from '../../records/care';
import { sitesOf } from '../../records/equipment';
import { coloniesAt } from './colonies';

/** How a decision came out by the next look into its hive. */
export interface CameOut {
  readonly advice: AdviceKind;
  readonly outcome: Outcome;
}

/**
 * How the decisions of this year of growth came out.
 *
 * @param context database and clock
 * @param actor of whose school
 * @returns by the decision's id; "open" while nobody has looked again
 */
export const outcomesOf = (context: Context, actor: Actor): Promise<ReadonlyMap<string, CameOut>> =>
  onceARevision(context, actor.school, 'outcomes', async () => {
    const { db } = context;
    const sites = await sitesOf(db, actor.school);
    const known = (await Promise.all(sites.map((site) => coloniesAt(context, actor, site)))).flat();
    const visits = known.flatMap(({ state, season, practice }) =>
      state.reads.map((read, at) => ({ read, at, state, season, practice })),
    );
    const byVisit = new Map(visits.map((each) => [each.read.visit.id, each]));
    const decisions = await decisionsOfVisits(db, actor.school, [...byVisit.keys()]);
    return new Map(
      decisions.map(({ id, visit, advice, verdict }): [string, CameOut] => {
        const { read, at, state, season, practice } = byVisit.get(visit)!;
        const after = factsOfRead(state, season, practice, at + 1);
        const decidedOn = dateAt(season.site.zone, read.visit.started_at);
        return [id, { advice, outcome: after ? outcomeOf(advice, verdict, decidedOn, after) : 'open' }];
      }),
    );
  });

/** How often each kind of advice came out right, of those that were settled. */
export function recordsOf(
  outcomes: Iterable<CameOut>,
): ReadonlyMap<AdviceKind, { readonly right: number; readonly of: number }> {
  const records = new Map<AdviceKind, { readonly right: number; readonly of: number }>();
  for (const { advice, outcome } of outcomes) {
    if (outcome === 'open') continue;
    const { right, of } = records.get(advice) ?? { right: 0, of: 0 };
    records.set(advice, { right: right + (outcome === 'right' ? 1 : 0), of: of + 1 });
  }
  return records;
}
