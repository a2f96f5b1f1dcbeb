import type { Advice } from '@brave-comb/core/care';
import type { SideReading } from '@brave-comb/core/inspection';
import { type Text, inOne } from '@brave-comb/core/language';
import { colonyLines } from '@brave-comb/core/practice';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { decisionsOf } from '../../records/care';
import type { NamedVisit } from '../../records/inspection';
import { judge } from '../care';

/** A closed visit as it can be practised on. */
export interface RecordedColony {
  readonly visit: string;
  readonly hive: string;
  readonly day: string;
  readonly sides: readonly Pick<SideReading, 'address' | 'side'>[];
  readonly lines: readonly Text[];
  readonly advice: readonly Advice[];
  readonly decision: Text | null;
}

export async function recordOf(context: Context, visit: NamedVisit): Promise<RecordedColony> {
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
    decision: last
      ? inOne([`${last.by_name}: ${last.verdict},`, last.action, ...(last.reason ? [`(${last.reason})`] : [])])
      : null,
  };
}
