import type { Knex } from 'knex';

type Table = Knex.CreateTableBuilder;

/** Columns that every written fact has: whose it is, who wrote it and when. */
const written = (t: Table): void => {
  t.uuid('id').primary();
  t.uuid('school').notNullable().references('schools.id');
  t.uuid('by_person').references('people.id');
  t.datetime('at', { precision: 3 }).notNullable();
};

const tables: readonly [name: string, define: (table: Table) => void][] = [
  [
    'site_plants',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('site').notNullable().references('sites.id');
      t.string('plant', 80).notNullable();
      t.string('name', 80).notNullable();
      t.integer('nectar').notNullable();
      t.integer('pollen').notNullable();
      t.enum('kind', ['degree days', 'dates']).notNullable();
      t.double('base');
      t.double('sum');
      t.string('opens', 5);
      t.integer('days').notNullable();
      t.unique(['site', 'plant']);
    },
  ],
  [
    'bloom_seen',
    (t) => {
      written(t);
      t.uuid('site').notNullable().references('sites.id');
      t.string('plant', 80).notNullable();
      t.date('year_of_growth').notNullable();
      t.date('first_seen');
      t.date('last_seen');
      t.unique(['site', 'plant', 'year_of_growth']);
    },
  ],
  [
    'observations',
    (t) => {
      t.uuid('site').notNullable().references('sites.id');
      t.datetime('hour').notNullable();
      t.enum('source', ['imported', 'entered']).notNullable();
      for (const figure of ['temperature', 'dew_point', 'wind', 'gust', 'rain', 'cloud', 'thunder']) t.double(figure);
      t.primary(['site', 'hour']);
    },
  ],
  [
    'weather_days',
    (t) => {
      t.uuid('site').notNullable().references('sites.id');
      t.date('date').notNullable();
      t.double('low').notNullable();
      t.double('high').notNullable();
      t.double('rain').notNullable();
      t.double('dew_point').notNullable();
      t.primary(['site', 'date']);
    },
  ],
  [
    'climates',
    (t) => {
      t.uuid('site').primary().references('sites.id');
      t.string('name', 200).notNullable();
      t.specificType('days', 'LONGTEXT').notNullable();
      t.uuid('by_person').references('people.id');
      t.datetime('at', { precision: 3 }).notNullable();
    },
  ],
  [
    'forecast_days',
    (t) => {
      t.uuid('site').notNullable().references('sites.id');
      t.date('date').notNullable();
      t.integer('lead').notNullable();
      t.double('chance').notNullable();
      t.double('warmest').notNullable();
      t.primary(['site', 'date', 'lead']);
    },
  ],
  [
    'season_events',
    (t) => {
      written(t);
      t.uuid('site').notNullable().references('sites.id');
      t.string('kind', 40).notNullable();
      t.string('plant', 80);
      t.date('date').notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'site', 'date']);
    },
  ],
  [
    'colony_events',
    (t) => {
      written(t);
      t.uuid('colony').notNullable().references('colonies.id');
      t.date('date').notNullable();
      t.string('kind', 40).notNullable();
      t.json('detail').notNullable();
      t.datetime('withdrawn_at', { precision: 3 });
      t.index(['school', 'colony', 'date']);
    },
  ],
  [
    'flow_signs',
    (t) => {
      written(t);
      t.uuid('site').notNullable().references('sites.id');
      t.uuid('hive').references('hives.id');
      t.string('sign', 20).notNullable();
      t.enum('says', ['flow', 'dearth']).notNullable();
      t.date('date').notNullable();
      t.index(['school', 'site', 'date']);
    },
  ],
  [
    'pollen_seen',
    (t) => {
      written(t);
      t.uuid('site').notNullable().references('sites.id');
      t.string('colour', 20).notNullable();
      t.date('date').notNullable();
      t.string('plant', 80);
      t.index(['school', 'site', 'date']);
    },
  ],
  [
    'alive_taps',
    (t) => {
      written(t);
      t.uuid('hive').notNullable().references('hives.id');
      t.date('year_of_growth').notNullable();
      t.date('date').notNullable();
      t.enum('state', ['alive', 'dead', 'unsure']).notNullable();
      t.unique(['hive', 'year_of_growth']);
    },
  ],
  [
    'scale_days',
    (t) => {
      t.uuid('hive').notNullable().references('hives.id');
      t.date('date').notNullable();
      t.double('kg').notNullable();
      t.primary(['hive', 'date']);
    },
  ],
  [
    'calendar_feeds',
    (t) => {
      t.uuid('id').primary();
      t.uuid('person').notNullable().references('people.id');
      t.string('token_hash', 64).notNullable().unique();
      t.datetime('created_at', { precision: 3 }).notNullable();
      t.datetime('revoked_at', { precision: 3 });
    },
  ],
];

const columns: readonly [table: string, column: string, define: (table: Knex.AlterTableBuilder) => void][] = [
  ['sites', 'turn', (t) => void t.string('turn', 5)],
  [
    'sites',
    'degree_days',
    (t) =>
      void t.enum('degree_days', ['average', 'clamped average', 'single sine']).notNullable().defaultTo('single sine'),
  ],
  [
    'colonies',
    'strain',
    (t) => void t.enum('strain', ['keeps laying', 'cuts down', 'stops']).notNullable().defaultTo('cuts down'),
  ],
  [
    'colonies',
    'class',
    (t) => void t.enum('class', ['production', 'teaching', 'nucleus', 'resting']).notNullable().defaultTo('teaching'),
  ],
  ['hives', 'scale', (t) => void t.string('scale', 80)],
  ['follow_ups', 'event', (t) => void t.uuid('event').references('season_events.id')],
  ['follow_ups', 'bring', (t) => void t.string('bring', 200)],
];

/** Steps are skipped where they are done already: a migration that was cut off can be run again. */
export async function up(db: Knex): Promise<void> {
  for (const [name, define] of tables) {
    if (!(await db.schema.hasTable(name))) await db.schema.createTable(name, define);
  }
  for (const [table, column, define] of columns) {
    if (!(await db.schema.hasColumn(table, column))) await db.schema.alterTable(table, define);
  }
  if (await db.schema.hasTable('forage')) {
    await keepForage(db);
    await db.schema.dropTable('forage');
  }
}

interface OldForage {
  readonly school: string;
  readonly site: string;
  readonly plant: string;
  readonly gives: string;
  readonly from_date: string;
  readonly to_date: string;
}

/** Plants with dates of one year become plants that bloom between dates. */
async function keepForage(db: Knex): Promise<void> {
  for (const row of await db<OldForage>('forage').select()) {
    const days = Math.round((Date.parse(row.to_date) - Date.parse(row.from_date)) / 86_400_000);
    await db('site_plants')
      .insert({
        id: db.raw('uuid()'),
        school: row.school,
        site: row.site,
        plant: row.plant.toLowerCase().replace(/[^a-z0-9]+/g, '-'),
        name: row.plant,
        nectar: row.gives === 'pollen' ? 0 : 3,
        pollen: row.gives === 'nectar' ? 0 : 3,
        kind: 'dates',
        opens: row.from_date.slice(5) === '02-29' ? '02-28' : row.from_date.slice(5),
        days,
      })
      .onConflict(['site', 'plant'])
      .ignore();
  }
}

export { noWayBack as down } from './parts';
