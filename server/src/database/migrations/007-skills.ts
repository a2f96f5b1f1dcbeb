import type { Knex } from 'knex';
import { makeTables } from './parts';
import { dateAt } from '../../dates';

type Column = readonly [table: string, column: string, define: (table: Knex.AlterTableBuilder) => void];

const COLUMNS: readonly Column[] = [
  ['demonstrations', 'source', (t) => void t.string('source', 10).notNullable().defaultTo('visit')],
  ['demonstrations', 'hive', (t) => void t.uuid('hive').references('hives.id')],
  ['demonstrations', 'session', (t) => void t.uuid('session').references('sessions.id')],
  // The day at its place: two showings of one day are one day also where the day begins before midnight UTC.
  ['demonstrations', 'day', (t) => void t.date('day')],
  ['demonstrations', 'by_lead', (t) => void t.boolean('by_lead').notNullable().defaultTo(false)],
  ['demonstrations', 'version', (t) => void t.integer('version').notNullable().defaultTo(1)],
  ['demonstrations', 'prompt', (t) => void t.string('prompt', 500).notNullable().defaultTo('')],
  ['demonstrations', 'note', (t) => void t.string('note', 500).notNullable().defaultTo('')],
  ['demonstrations', 'elsewhere', (t) => void t.string('elsewhere', 120)],
  // Who did what by the rota when the visit began.
  ['visits', 'rota', (t) => void t.json('rota')],
  ['people', 'erased_at', (t) => void t.datetime('erased_at', { precision: 3 })],
];

const TABLES: Readonly<Record<string, (table: Knex.CreateTableBuilder) => void>> = {
  checklists: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    // The draft has none yet.
    t.integer('version');
    t.specificType('skills', 'LONGTEXT').notNullable();
    t.string('note', 300).notNullable();
    t.uuid('made_by').references('people.id');
    t.datetime('made_at', { precision: 3 }).notNullable();
    t.unique(['school', 'version']);
  },
  // Keyed by the demonstration without a reference: those of a visit are written anew whenever its entries change.
  demonstration_corrections: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('demonstration').notNullable();
    t.string('level', 20);
    t.string('reason', 500).notNullable();
    t.uuid('by').notNullable().references('people.id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['school', 'demonstration']);
  },
  // Sides that a trainee read hidden, beside what the supervisor read; written anew with the visit.
  reading_pairs: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('trainee').notNullable().references('people.id');
    t.uuid('visit').notNullable().references('visits.id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.json('own').notNullable();
    t.json('reference').notNullable();
    t.index(['school', 'trainee', 'at']);
    t.index(['visit']);
  },
  sign_offs: (t) => {
    t.uuid('id').primary();
    t.uuid('school').notNullable().references('schools.id');
    t.uuid('trainee').notNullable().references('people.id');
    t.string('skill', 60).notNullable();
    t.enum('kind', ['signed', 'carried']).notNullable();
    t.integer('version').notNullable();
    t.date('day').notNullable();
    t.string('note', 500).notNullable();
    t.uuid('by').notNullable().references('people.id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('withdrawn_at', { precision: 3 });
    t.uuid('withdrawn_by').references('people.id');
    t.string('withdrawn_why', 500);
    t.index(['school', 'trainee', 'skill']);
  },
};

/** Checklists of a school with their versions, evidence from elsewhere than visits, later words on it, signatures. */
export async function up(db: Knex): Promise<void> {
  for (const [table, column, define] of COLUMNS)
    if (!(await db.schema.hasColumn(table, column))) await db.schema.alterTable(table, define);
  await db.schema.alterTable('demonstrations', (t) => {
    t.uuid('visit').nullable().alter({ alterNullable: true, alterType: false });
    t.uuid('judged_by').nullable().alter({ alterNullable: true, alterType: false });
  });
  await makeTables(db, TABLES);
  await dateDemonstrations(db);
}

/** Gives what was judged before its hive and its day. */
async function dateDemonstrations(db: Knex): Promise<void> {
  const rows = await db('demonstrations')
    .join('visits', 'visits.id', 'demonstrations.visit')
    .join('hives', 'hives.id', 'visits.hive')
    .join('sites', 'sites.id', 'hives.site')
    .join('people', 'people.id', 'demonstrations.judged_by')
    .whereNull('demonstrations.day')
    .select<{ id: string; at: Date; hive: string; session: string; zone: string; role: string }[]>(
      'demonstrations.id',
      'demonstrations.at',
      'visits.hive',
      'visits.session',
      'sites.zone',
      'people.role',
    );
  for (const { id, at, hive, session, zone, role } of rows)
    await db('demonstrations')
      .where({ id })
      .update({ hive, session, by_lead: role === 'lead', day: dateAt(zone, at) });
}

export { noWayBack as down } from './parts';
