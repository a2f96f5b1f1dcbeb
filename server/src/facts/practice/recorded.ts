import type { Output, endpoints } from '@brave-comb/contract';
import { colonyLines } from '@brave-comb/core/practice';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { decisionsOf } from '../../records/care';
import type { NamedVisit } from '../../records/inspection';
import { judge } from '../care';

/** A closed visit as it can be practised on. */
export async function recordOf(
  context: Context,
  visit: NamedVisit,
): Promise<Output<(typeof endpoints)['practice']>['records'][number]> {
  const { now, facts, advice } = await judge(context, visit);
  const decisions = await decisionsOf(context.db, visit.school, visit.id);
  const last = decisions.at(-1);
  return {
    visit: visit.id,
    hive: visit.hive_number,
    day: dateAt(visit.zone, visit.started_at),
    sides: Object.values(now.record.sides).map(({ address, side }) => ({ address, side })),
    lines: colonyLines(facts),
    advice: [...advice],
    decision: last ? `${last.by_name}: ${last.verdict}, ${last.action}${last.reason ? ` (${last.reason})` : ''}` : null,
  };
}
