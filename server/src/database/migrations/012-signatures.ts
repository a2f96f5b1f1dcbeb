import type { Knex } from 'knex';
import { makeTables, noWayBack } from './parts';

/** Signatures by exception are told apart, and a whole course is signed. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('sign_offs', 'by_exception'))) {
    await db.schema.alterTable('sign_offs', (t) => {
      t.boolean('by_exception').notNullable().defaultTo(false);
    });
    // A word was asked for when the rule was not met.
    await db('sign_offs').where({ kind: 'signed' }).whereNot({ note: '' }).update({ by_exception: true });
  }
  await makeTables(db, {
    course_sign_offs: (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('trainee').notNullable().references('people.id');
      t.string('day', 10).notNullable();
      t.integer('version').notNullable();
      t.integer('skills').notNullable();
      t.integer('exceptions').notNullable();
      t.string('note', 500).notNullable();
      t.uuid('by').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.uuid('withdrawn_by').references('people.id');
      t.string('withdrawn_why', 500);
      t.index(['school', 'trainee']);
    },
  });
}

export const down = noWayBack;
