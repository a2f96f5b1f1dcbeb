import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** On which day something decided is done, and with which group. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('decisions', 'on_day')))
    await db.schema.alterTable('decisions', (t) => void t.string('on_day', 10));
  if (!(await db.schema.hasColumn('decisions', 'with_group')))
    await db.schema.alterTable('decisions', (t) => void t.uuid('with_group').references('trainee_groups.id'));
}

export const down = noWayBack;
