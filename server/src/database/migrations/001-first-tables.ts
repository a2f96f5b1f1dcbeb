import type { Knex } from 'knex';

type Table = Knex.CreateTableBuilder;

const tables: readonly [name: string, define: (table: Table) => void][] = [
  [
    'schools',
    (t) => {
      t.uuid('id').primary();
      t.string('name', 120).notNullable();
      t.json('practice').notNullable();
    },
  ],
  [
    'sites',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.string('name', 80).notNullable();
      t.double('latitude').notNullable();
      t.double('longitude').notNullable();
      t.integer('altitude').notNullable();
      t.string('zone', 60).notNullable();
      t.json('emergency').notNullable();
      t.unique(['school', 'name']);
    },
  ],
  [
    'people',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.string('name', 120).notNullable();
      t.string('sign_in', 80).notNullable().unique();
      t.string('password_hash', 200).notNullable();
      t.enum('role', ['lead', 'supervisor', 'trainee']).notNullable();
      t.string('emergency_note', 500);
      t.index(['school', 'role']);
    },
  ],
  [
    'trainee_groups',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.string('name', 60).notNullable();
      t.unique(['school', 'name']);
    },
  ],
  [
    'group_members',
    (t) => {
      t.uuid('trainee_group').notNullable().references('trainee_groups.id');
      t.uuid('person').notNullable().references('people.id');
      t.primary(['trainee_group', 'person']);
    },
  ],
  [
    'hives',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('site').notNullable().references('sites.id');
      t.string('number', 10).notNullable();
      t.string('stand', 40).notNullable();
      t.string('type', 40).notNullable();
      t.json('stack').notNullable();
      t.unique(['school', 'number']);
    },
  ],
  [
    'colonies',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('hive').notNullable().references('hives.id');
      t.date('since').notNullable();
      t.date('until');
      t.string('origin', 80).notNullable();
      t.integer('queen_year');
      t.boolean('queen_marked').notNullable().defaultTo(false);
      t.index(['school', 'hive']);
    },
  ],
  [
    'sessions',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('site').notNullable().references('sites.id');
      t.datetime('starts_at', { precision: 3 }).notNullable();
      t.datetime('ends_at', { precision: 3 }).notNullable();
      t.string('depth', 20).notNullable();
      t.enum('status', ['planned', 'held', 'called off']).notNullable();
      t.index(['school', 'starts_at']);
    },
  ],
  [
    'session_groups',
    (t) => {
      t.uuid('session').notNullable().references('sessions.id');
      t.uuid('trainee_group').notNullable().references('trainee_groups.id');
      t.uuid('hive').notNullable().references('hives.id');
      t.uuid('supervisor').notNullable().references('people.id');
      t.datetime('starts_at', { precision: 3 }).notNullable();
      t.primary(['session', 'trainee_group', 'hive']);
    },
  ],
  [
    'visits',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('session').notNullable().references('sessions.id');
      t.uuid('trainee_group').notNullable().references('trainee_groups.id');
      t.uuid('hive').notNullable().references('hives.id');
      t.uuid('colony').notNullable().references('colonies.id');
      t.uuid('supervisor').notNullable().references('people.id');
      t.string('box', 40).notNullable();
      t.json('stack').notNullable();
      t.json('questions').notNullable();
      t.datetime('started_at', { precision: 3 }).notNullable();
      t.datetime('closed_at', { precision: 3 });
      t.integer('mood');
      t.index(['school', 'hive', 'started_at']);
      t.index(['school', 'session']);
    },
  ],
  [
    'visit_entries',
    (t) => {
      t.bigIncrements('seq');
      t.uuid('id').notNullable().unique();
      t.uuid('visit').notNullable().references('visits.id');
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('made_at', { precision: 3 }).notNullable();
      t.datetime('recorded_at', { precision: 3 }).notNullable();
      t.json('body').notNullable();
      t.index(['visit', 'seq']);
    },
  ],
  [
    'demonstrations',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('trainee').notNullable().references('people.id');
      t.string('skill', 60).notNullable();
      t.string('level', 20).notNullable();
      t.uuid('visit').notNullable().references('visits.id');
      t.uuid('judged_by').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.index(['school', 'trainee', 'skill']);
    },
  ],
  [
    'decisions',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('visit').notNullable().references('visits.id');
      t.string('advice', 20).notNullable();
      t.enum('verdict', ['accepted', 'otherwise', 'declined']).notNullable();
      t.string('action', 300).notNullable();
      t.string('reason', 500).notNullable();
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'visit']);
    },
  ],
  [
    'follow_ups',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('hive').notNullable().references('hives.id');
      t.uuid('visit').references('visits.id');
      t.uuid('decision').references('decisions.id');
      t.string('question', 200).notNullable();
      t.date('from_date').notNullable();
      t.date('due').notNullable();
      t.uuid('answered_by').references('visits.id');
      t.index(['school', 'hive', 'due']);
    },
  ],
  [
    'forage',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('site').notNullable().references('sites.id');
      t.string('plant', 80).notNullable();
      t.enum('gives', ['nectar', 'pollen', 'nectar and pollen']).notNullable();
      t.date('from_date').notNullable();
      t.date('to_date').notNullable();
      t.integer('give_or_take').notNullable();
      t.index(['school', 'site', 'from_date']);
    },
  ],
  [
    'forecasts',
    (t) => {
      t.uuid('site').notNullable().references('sites.id');
      t.datetime('issued_at', { precision: 3 }).notNullable();
      t.specificType('payload', 'LONGTEXT').notNullable();
      t.primary(['site', 'issued_at']);
    },
  ],
  [
    'demo_clock',
    (t) => {
      t.integer('id').primary();
      t.datetime('base', { precision: 3 }).notNullable();
      t.datetime('anchor', { precision: 3 }).notNullable();
      t.datetime('beat', { precision: 3 }).notNullable();
    },
  ],
  [
    'web_sessions',
    (t) => {
      t.string('sid', 255).primary();
      t.json('sess').notNullable();
      t.datetime('expired', { precision: 3 }).notNullable().index();
    },
  ],
  [
    'rate_limits',
    (t) => {
      t.string('key', 255).collate('utf8mb4_bin').primary();
      t.integer('points').notNullable().defaultTo(0);
      t.specificType('expire', 'BIGINT UNSIGNED');
    },
  ],
];

/** Creates what is missing. MariaDB commits each table by itself, so a run that was cut off is simply run again. */
export async function up(db: Knex): Promise<void> {
  for (const [name, define] of tables) {
    if (!(await db.schema.hasTable(name))) await db.schema.createTable(name, define);
  }
}

export async function down(db: Knex): Promise<void> {
  for (const [name] of [...tables].reverse()) await db.schema.dropTableIfExists(name);
}
