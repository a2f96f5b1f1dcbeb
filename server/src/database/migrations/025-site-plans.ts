import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** What is on the ground of a site: stands, paths, hedges, gates. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('sites', 'plan'))) await db.schema.alterTable('sites', (t) => void t.json('plan'));
}

export const down = noWayBack;
