import { type VisitRecord, tasksOf } from '@brave-comb/core/inspection';
import { v5 as uuidOf } from 'uuid';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { siteSeason } from '../../facts/season';
import { replaceTasks, settleInVisit } from '../../records/care';
import { siteById } from '../../records/equipment';
import type { NamedVisit } from '../../records/inspection';

/** Brings the tasks that a visit leaves, and those that it settled, up to its entries. */
export async function projectTasks(context: Context, visit: NamedVisit, record: VisitRecord): Promise<void> {
  const { db: trx } = context;
  const date = dateAt(visit.zone, visit.started_at);
  const late = record.defects.some(({ until }) => until === 'before-winter');
  const tasks = tasksOf(record, { date, winter: late ? await winterFrom(context, visit, date) : null });
  await replaceTasks(
    trx,
    visit.id,
    tasks.map(({ key, what, from, due, bring }) => ({
      id: uuidOf(formerKey(key), visit.id),
      school: visit.school,
      hive: visit.hive,
      visit: visit.id,
      decision: null,
      task: key,
      question: what,
      from_date: from,
      due,
      bring,
      answered_by: null,
    })),
  );
  await settleInVisit(
    trx,
    visit,
    record.tasks.filter(({ done }) => done).map(({ task, by, at }) => ({ task, by, at: new Date(at) })),
  );
}

/** A task's id stays what it was when findings were named with spaces: whoever settled it has settled it. */
const formerKey = (key: string): string => (key.startsWith('unsure/') ? key.replaceAll('-', ' ') : key);

/** First day on which the hives of a site are shut for winter. */
async function winterFrom(context: Context, visit: NamedVisit, date: string): Promise<string | null> {
  const site = await siteById(context.db, visit.school, visit.site);
  if (!site) return null;
  const { phases } = await siteSeason(context, site, date);
  return (
    phases.find(({ phase, from }) => (phase === 'closing-down' || phase === 'winter-rest') && from > date)?.from ?? null
  );
}
