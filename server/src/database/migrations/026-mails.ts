import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** What became of a message as a mail. */
export async function up(db: Knex): Promise<void> {
  if (await db.schema.hasColumn('messages', 'mail_tries')) return;
  await db.schema.alterTable('messages', (t) => {
    t.datetime('mailed_at', { precision: 3 });
    t.integer('mail_tries').notNullable().defaultTo(0);
    t.datetime('mail_next', { precision: 3 });
    t.string('mail_fault', 200);
    t.index(['mailed_at', 'at']);
  });
}

export const down = noWayBack;
