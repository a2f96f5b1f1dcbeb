import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** In which units somebody reads and enters figures; none, in those of the school. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('people', 'units')))
    await db.schema.alterTable('people', (t) => void t.string('units', 10));
}

export const down = noWayBack;
