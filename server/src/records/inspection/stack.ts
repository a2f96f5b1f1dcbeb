import { changeText, stackAfter } from '@brave-comb/core/equipment';
import { type VisitRecord, changesOf } from '@brave-comb/core/inspection';
import type { Context } from '../../context';
import { keepStack } from '../equipment';
import { openedSince, replaceStackChanges } from './stack-store';
import type { NamedVisit } from './store';

/** Brings the hive's parts and their history up to what the visit tells; a visit that came after leaves them as they are. */
export async function projectStack({ db: trx }: Context, visit: NamedVisit, record: VisitRecord): Promise<void> {
  const told = await replaceStackChanges(
    trx,
    visit.id,
    record.stackChanges.map(({ id, at, change, reason }) => ({
      id,
      school: visit.school,
      hive: visit.hive,
      visit: visit.id,
      words: changeText(change),
      reason,
      at: new Date(at),
    })),
  );
  if (!told && record.stackChanges.length === 0) return;
  if (await openedSince(trx, visit.hive, visit.started_at)) return;
  await keepStack(trx, visit.hive, stackAfter(visit.stack, changesOf(record)));
}
