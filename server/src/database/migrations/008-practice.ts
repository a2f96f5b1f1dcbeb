import type { Knex } from 'knex';
import { makeTables } from './parts';

const TABLES: Readonly<Record<string, (table: Knex.CreateTableBuilder) => void>> = {
  photo_drills: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('attachment').notNullable().references('attachments.id');
    t.string('question', 300).notNullable();
    t.json('choices').notNullable();
    t.integer('answer').notNullable();
    t.string('says', 500).notNullable();
    t.uuid('made_by').notNullable().references('people.id');
    t.datetime('made_at', { precision: 3 }).notNullable();
    t.datetime('retired_at', { precision: 3 });
  },
  practice_results: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('person').notNullable().references('people.id');
    t.string('topic', 30).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.integer('level').notNullable();
    t.integer('seed').notNullable();
    t.float('seconds').notNullable();
    t.json('answer').notNullable();
    // The visit and side that a comb from the record shows. Visits are never deleted.
    t.json('recorded');
    t.uuid('photo_drill').references('photo_drills.id');
    t.float('score').notNullable();
    t.boolean('is_right').notNullable();
    t.string('grade', 10).notNullable();
    t.json('read_shares');
    t.json('true_shares');
    t.string('ground', 10);
    t.index(['school', 'person', 'at']);
  },
  polls: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    // A new plan may drop the session; what was said of its day stays.
    t.uuid('session').references('sessions.id').onDelete('SET NULL');
    t.datetime('starts_at', { precision: 3 }).notNullable();
    t.date('day').notNullable();
    t.uuid('trainee_group').notNullable().references('trainee_groups.id');
    t.json('questions').notNullable();
    t.uuid('made_by').notNullable().references('people.id');
    t.datetime('made_at', { precision: 3 }).notNullable();
    t.index(['school', 'trainee_group']);
  },
  poll_votes: (t) => {
    t.uuid('poll').notNullable().references('polls.id');
    t.uuid('person').notNullable().references('people.id');
    t.string('moment', 10).notNullable();
    t.integer('question').notNullable();
    t.string('answer', 10).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.primary(['poll', 'person', 'moment', 'question']);
  },
};

/** Results of practice, drills from own photos, and what groups say before and after a lesson. */
export async function up(db: Knex): Promise<void> {
  await makeTables(db, TABLES);
}

export { noWayBack as down } from './parts';
