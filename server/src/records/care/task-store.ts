import type { Knex } from 'knex';
import { type FollowUpRow, keptFollowUp } from './store';

const OWN = 'own/';

/** The key of a task that somebody left in their own words. */
export const ownTask = (id: string): string => `${OWN}${id}`;

/** What left a task: a visit, a round of the yard, or somebody by hand. */
export const sourceOf = ({ visit, task }: Pick<FollowUpRow, 'visit' | 'task'>): 'visit' | 'yard-round' | 'by-hand' =>
  task?.startsWith(OWN) ? 'by-hand' : visit ? 'visit' : 'yard-round';

export type TaskRow = FollowUpRow & {
  readonly hive_number: string;
  readonly settled_by_name: string | null;
};

/** Brings the tasks of a visit up to what its entries tell; one that somebody settled stays. */
export async function replaceTasks(db: Knex, visit: string, rows: readonly FollowUpRow[]): Promise<void> {
  await db<FollowUpRow>('follow_ups')
    .where({ visit })
    .whereNotNull('task')
    .whereNull('settled_at')
    .whereNotIn(
      'id',
      rows.map(({ id }) => id),
    )
    .delete();
  if (rows.length > 0)
    await db('follow_ups')
      .insert(rows.map(keptFollowUp))
      .onConflict('id')
      .merge(['question', 'from_date', 'due', 'bring']);
}

/** Ids of all tasks of a hive. */
export const taskIdsOf = async (db: Knex, school: string, hive: string): Promise<readonly string[]> =>
  (await db<FollowUpRow>('follow_ups').where({ school, hive }).whereNotNull('task').select('id')).map(({ id }) => id);

/** Settles tasks during a visit; what that visit settled before and does not any more is open again. */
export async function settleInVisit(
  db: Knex,
  visit: { readonly id: string; readonly school: string; readonly hive: string },
  settled: readonly { readonly task: string; readonly by: string; readonly at: Date }[],
): Promise<void> {
  await db<FollowUpRow>('follow_ups')
    .where({ settled_in: visit.id })
    .update({ settled_at: null, settled_by: null, settled_in: null });
  for (const { task, by, at } of settled)
    await db<FollowUpRow>('follow_ups')
      .where({ id: task, school: visit.school, hive: visit.hive })
      .whereNull('settled_at')
      .update({ settled_at: at, settled_by: by, settled_in: visit.id });
}

const tasks = (db: Knex, school: string) =>
  db('follow_ups')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .leftJoin('people', 'people.id', 'follow_ups.settled_by')
    .where('follow_ups.school', school)
    .whereNotNull('follow_ups.task')
    .select<TaskRow[]>('follow_ups.*', 'hives.number as hive_number', 'people.name as settled_by_name');

/** Open tasks, the first due first, then those settled lately. */
export const tasksOfSchool = (db: Knex, school: string, since: Date) =>
  tasks(db, school)
    .where((which) => void which.whereNull('settled_at').orWhere('settled_at', '>=', since))
    .orderByRaw('settled_at is not null, due, hives.number');

export const settleTask = async (
  db: Knex,
  school: string,
  id: string,
  change: Pick<FollowUpRow, 'settled_at' | 'settled_by'>,
): Promise<boolean> =>
  (await db<FollowUpRow>('follow_ups')
    .where({ school, id })
    .whereNotNull('task')
    .update({ ...change, settled_in: null })) > 0;
