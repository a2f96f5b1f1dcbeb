import type { Knex } from 'knex';

type Table = Knex.CreateTableBuilder;

const tables: readonly [name: string, define: (table: Table) => void][] = [
  [
    'combs',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.enum('kind', ['drawn', 'foundation', 'food', 'drone', 'foundationless']).notNullable();
      t.integer('since');
      t.uuid('donor').references('colonies.id');
      t.string('label', 40).notNullable();
      // In a hive, with box and place from 1, or in a store.
      t.uuid('hive').references('hives.id');
      t.string('box', 40);
      t.integer('place');
      t.string('store', 40);
      // The moment of the move that brought it there: an older one, sent later, does not undo it.
      t.datetime('moved_at', { precision: 3 }).notNullable();
      t.index(['school', 'hive', 'box', 'place']);
      t.index(['school', 'store']);
    },
  ],
  [
    'comb_moves',
    (t) => {
      // The entry that told of it.
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('comb').notNullable();
      t.uuid('visit').notNullable().references('visits.id');
      t.string('label', 40).notNullable();
      t.string('from_where', 120).notNullable();
      t.string('to_where', 120).notNullable();
      t.string('reason', 500).notNullable();
      t.datetime('at', { precision: 3 }).notNullable();
      t.index(['school', 'at']);
      t.index(['visit']);
    },
  ],
  [
    'photos',
    (t) => {
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('visit').notNullable().references('visits.id');
      t.uuid('by_person').notNullable().references('people.id');
      t.datetime('taken_at', { precision: 3 }).notNullable();
      t.specificType('jpeg', 'MEDIUMBLOB').notNullable();
      t.index(['school', 'visit']);
    },
  ],
  [
    'asked_questions',
    (t) => {
      // The entry in which it was asked.
      t.uuid('id').primary();
      t.uuid('school').notNullable().references('schools.id');
      t.uuid('visit').notNullable().references('visits.id');
      t.uuid('asked_by').notNullable().references('people.id');
      t.uuid('person').references('people.id');
      t.datetime('asked_at', { precision: 3 }).notNullable();
      t.string('text', 500).notNullable();
      t.json('spot');
      t.uuid('photo');
      t.integer('sure');
      t.boolean('withdrawn').notNullable().defaultTo(false);
      t.string('answer', 1000);
      t.uuid('answered_by').references('people.id');
      t.datetime('answered_at', { precision: 3 });
      t.index(['school', 'asked_at']);
      t.index(['visit']);
    },
  ],
];

/** Combs with their moves, photos, questions asked at the hive, and the combs of a visit as they were found. */
export async function up(db: Knex): Promise<void> {
  for (const [name, define] of tables) if (!(await db.schema.hasTable(name))) await db.schema.createTable(name, define);
  if (!(await db.schema.hasColumn('visits', 'combs')))
    await db.schema.alterTable('visits', (t) => void t.json('combs'));
}

export { noWayBack as down } from './parts';
