import type { Knex } from 'knex';

type Table = Knex.CreateTableBuilder;

const tables: readonly [name: string, define: (table: Table) => void][] = [
  [
    'planning_terms',
    (t) => {
      t.uuid('owner').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.enum('kind', ['group', 'supervisor', 'trainee']).notNullable();
      t.json('terms').notNullable();
      t.uuid('by_person').references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.index(['school', 'kind']);
    },
  ],
  [
    'plan_pins',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.json('what').notNullable();
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'withdrawn_at']);
    },
  ],
  [
    'plan_jobs',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('asked_by').notNullable().references('people.id');
      t.datetime('asked_at', { precision: 3 }).notNullable();
      t.enum('status', ['waiting', 'running', 'done', 'stopped', 'failed']).notNullable();
      t.boolean('stop_asked').notNullable().defaultTo(false);
      t.integer('seed').notNullable();
      t.double('seconds').notNullable();
      t.double('spent').notNullable().defaultTo(0);
      t.specificType('problem', 'LONGTEXT').notNullable();
      t.specificType('course', 'LONGTEXT').notNullable();
      t.specificType('plan', 'LONGTEXT');
      t.string('trouble', 500);
      t.integer('claims').notNullable().defaultTo(0);
      t.string('claimed_by', 36);
      // By the clock of the machine, not of the demo: it tells whether the worker still lives.
      t.datetime('beat', { precision: 3 });
      t.integer('revision').notNullable().defaultTo(0);
      t.index(['status', 'asked_at']);
      t.index(['school', 'asked_at']);
    },
  ],
  [
    'plan_versions',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.integer('version').notNullable();
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.datetime('forecast', { precision: 3 });
      t.specificType('problem', 'LONGTEXT').notNullable();
      t.specificType('plan', 'LONGTEXT').notNullable();
      t.json('changes').notNullable();
      t.string('reason', 300).notNullable();
      t.unique(['school', 'version']);
    },
  ],
  [
    'messages',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.string('subject', 200).notNullable();
      t.json('lines').notNullable();
      t.datetime('read_at', { precision: 3 });
      t.index(['person', 'at']);
      t.index(['school', 'at']);
    },
  ],
];

/** Steps are skipped where they are done already: a migration that was cut off can be run again. */
export async function up(db: Knex): Promise<void> {
  for (const [name, define] of tables) {
    if (!(await db.schema.hasTable(name))) await db.schema.createTable(name, define);
  }
  if (!(await db.schema.hasColumn('trainee_groups', 'staff')))
    await db.schema.alterTable('trainee_groups', (t) => void t.boolean('staff').notNullable().defaultTo(false));
}

export { noWayBack as down } from './parts';
