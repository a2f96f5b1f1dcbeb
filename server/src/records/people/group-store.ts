import type { Knex } from 'knex';

export interface GroupRow {
  readonly id: string;
  readonly school: string;
  readonly name: string;
  readonly staff: 0 | 1;
}

/** Groups of trainees, without those that ended and the staff's own. */
export const traineeGroups = (db: Knex, school: string): Promise<GroupRow[]> =>
  db('trainee_groups').where({ school, staff: 0 }).whereNull('retired_at').orderBy('name').select<GroupRow[]>();

/** The group under which staff open hives alone; made when it is first needed. */
export async function staffGroup(db: Knex, school: string, id: string): Promise<GroupRow> {
  const found = await db<GroupRow>('trainee_groups').where({ school, staff: 1 }).first();
  if (found) return found;
  const row = { id, school, name: 'Staff', staff: 1 } as const;
  await db('trainee_groups').insert(row);
  return row;
}
