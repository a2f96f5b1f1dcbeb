import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** Entries are found by their kind without every body being read. */
export async function up(db: Knex): Promise<void> {
  if (await db.schema.hasColumn('visit_entries', 'kind')) return;
  await db.schema.alterTable('visit_entries', (t) => {
    t.specificType('kind', "varchar(60) as (json_value(body, '$.kind')) virtual");
    t.index(['kind', 'visit']);
  });
}

export const down = noWayBack;
