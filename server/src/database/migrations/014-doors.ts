import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Signed-in sessions belong to a person and end for good; invented schools are marked; what happens at the doors is written down; a session that a plan let go can still be held. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('web_sessions', 'person'))) {
    await db.schema.alterTable('web_sessions', (t) => {
      t.uuid('person').index();
      t.datetime('started_at', { precision: 3 });
    });
  }
  await db('web_sessions')
    .whereNull('started_at')
    .update({ person: db.raw("json_value(sess, '$.actor.id')"), started_at: new Date() });
  if (!(await db.schema.hasColumn('schools', 'invented'))) {
    await db.schema.alterTable('schools', (t) => {
      t.boolean('invented').notNullable().defaultTo(false);
    });
    // Until now a school could come from the demo only.
    await db('schools').update({ invented: true });
  }
  if (!(await db.schema.hasColumn('attachments', 'bytes'))) {
    await db.schema.alterTable('attachments', (t) => {
      t.integer('bytes').notNullable().defaultTo(0);
      t.index(['school', 'by_person']);
    });
    await db('attachments').update({ bytes: db.raw('length(content)') });
  }
  await makeTables(db, {
    dropped_sessions: (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.json('session').notNullable();
      t.json('groups').notNullable();
      t.datetime('dropped_at', { precision: 3 }).notNullable();
      t.index(['school', 'dropped_at']);
    },
    audit_log: (t) => {
      t.bigIncrements('seq');
      t.datetime('at', { precision: 3 }).notNullable();
      t.uuid('school').references('schools.id');
      t.uuid('person').references('people.id');
      t.string('what', 40).notNullable();
      t.string('about', 200).notNullable();
      t.string('address', 60).notNullable();
      t.index(['school', 'at']);
    },
    known_devices: (t) => {
      t.string('token_hash', 64).notNullable();
      t.uuid('person').notNullable().references('people.id');
      t.datetime('since', { precision: 3 }).notNullable().index();
      t.primary(['token_hash', 'person']);
    },
  });
}

export const down = noWayBack;
