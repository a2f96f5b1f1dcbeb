import type { Knex } from 'knex';

/** The day from which a version of a checklist is in force; what was put in force before is so from the day on which it was made. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('checklists', 'starts')))
    await db.schema.alterTable('checklists', (t) => {
      // None for a draft and for the list that a school began with.
      t.date('starts');
      // A list that waits for its day carries over what is held then, once.
      t.boolean('to_carry').notNullable().defaultTo(false);
    });
  await db('checklists')
    .whereNotNull('version')
    .whereNotNull('made_by')
    .whereNull('starts')
    .update({ starts: db.raw('DATE(made_at)') });
}

export { noWayBack as down } from './parts';
