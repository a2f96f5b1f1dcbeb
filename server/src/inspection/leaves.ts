import { changeText, stackAfter } from '@brave-comb/core/equipment';
import { type VisitRecord, changesOf, tasksOf } from '@brave-comb/core/inspection';
import type { Knex } from 'knex';
import { v5 as uuidOf } from 'uuid';
import type { Context } from '../context';
import { dateAt } from '../dates';
import { siteById } from '../equipment/store';
import { siteSeason } from '../season/site-season';
import { keepStack, openedSince, replaceStackChanges } from './stack-store';
import type { NamedVisit } from './store';
import { replaceTasks, settleInVisit } from './task-store';

/** Brings the tasks that a visit leaves, and those that it settled, up to its entries. */
export async function projectTasks(context: Context, trx: Knex, visit: NamedVisit, record: VisitRecord): Promise<void> {
  const date = dateAt(visit.zone, visit.started_at);
  const late = record.defects.some(({ until }) => until === 'before winter');
  const tasks = tasksOf(record, { date, winter: late ? await winterFrom(context, visit, date) : null });
  await replaceTasks(
    trx,
    visit.id,
    tasks.map(({ key, what, from, due, bring }) => ({
      id: uuidOf(key, visit.id),
      school: visit.school,
      hive: visit.hive,
      visit: visit.id,
      decision: null,
      task: key,
      question: what.slice(0, 200),
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

/** First day on which the hives of a site are shut for winter. */
async function winterFrom(context: Context, visit: NamedVisit, date: string): Promise<string | null> {
  const site = await siteById(context.db, visit.school, visit.site);
  if (!site) return null;
  const { phases } = await siteSeason(context, site, date);
  return (
    phases.find(({ phase, from }) => (phase === 'closing down' || phase === 'winter rest') && from > date)?.from ?? null
  );
}

/** Brings the hive's parts and their history up to what the visit tells; a visit that came after leaves them as they are. */
export async function projectStack(trx: Knex, visit: NamedVisit, record: VisitRecord): Promise<void> {
  const told = await replaceStackChanges(
    trx,
    visit.id,
    record.stackChanges.map(({ id, at, change, reason }) => ({
      id,
      school: visit.school,
      hive: visit.hive,
      visit: visit.id,
      words: changeText(change).slice(0, 200),
      reason,
      at: new Date(at),
    })),
  );
  if (!told && record.stackChanges.length === 0) return;
  if (await openedSince(trx, visit.hive, visit.started_at)) return;
  await keepStack(trx, visit.hive, stackAfter(visit.stack, changesOf(record)));
}
