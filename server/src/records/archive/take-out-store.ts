import type { ArchiveRow } from '@brave-comb/core/exchange';
import type { Knex } from 'knex';
import { type Table, ofSchool } from './tables-store';

/** Rows that are read at once; of tables with large ones, so many. */
const PAGE = 400;
const LARGE_PAGE = 8;
const LARGE: ReadonlySet<string> = new Set([
  'attachments',
  'forecasts',
  'climates',
  'observed_days',
  'plan_jobs',
  'plan_versions',
]);

/** Rows of a school in a table. A plan that is being reckoned is not one yet. */
const rowsOf = (db: Knex, table: Table, school: string): Knex.QueryBuilder => {
  const rows = ofSchool(db, table, school);
  return table.name === 'plan_jobs' ? rows.whereNotIn('status', ['waiting', 'running']) : rows;
};

export async function countRows(db: Knex, table: Table, school: string): Promise<number> {
  const row = (await rowsOf(db, table, school).count<{ rows: number | string }[]>({ rows: '*' }))[0];
  return Number(row?.rows ?? 0);
}

const selected = (db: Knex, { columns }: Table) =>
  columns.map(({ name, holds }) => (holds === 'json' ? db.raw('cast(?? as char) as ??', [name, name]) : name));

/** A row as it stands in a file: moments in ISO, JSON as itself, files in base64. */
function written({ columns }: Table, row: Readonly<Record<string, unknown>>): ArchiveRow {
  return Object.fromEntries(
    columns.map(({ name, holds }) => {
      const value = row[name];
      if (value === null || value === undefined) return [name, null];
      if (holds === 'json') return [name, JSON.parse(value as string)];
      if (value instanceof Date) return [name, value.toISOString()];
      return [name, Buffer.isBuffer(value) ? value.toString('base64') : value];
    }),
  );
}

/** The rows of a school's table, some at a time: as much as is asked for is read. Their keys are found once, so that none is sought for again. */
export async function* rowsForArchive(db: Knex, table: Table, school: string): AsyncGenerator<ArchiveRow> {
  const key = [...table.key];
  const order = key.map((column) => ({ column }));
  const keys = await rowsOf(db, table, school).orderBy(order).select<Readonly<Record<string, string>>[]>(key);
  const page = LARGE.has(table.name) ? LARGE_PAGE : PAGE;
  for (let from = 0; from < keys.length; from += page) {
    const wanted = keys.slice(from, from + page).map((row) => key.map((column) => row[column]!));
    const rows = await db(table.name)
      .whereIn(key, wanted)
      .orderBy(order)
      .select<Readonly<Record<string, unknown>>[]>(...selected(db, table));
    for (const row of rows) yield written(table, row);
  }
}

/** What stands of the school itself. */
export const schoolRow = (db: Knex, school: string): Promise<{ name: string; practice: unknown; home: unknown }> =>
  db('schools').where({ id: school }).first('name', 'practice', 'home');

/** Columns that name people without being held to it by the database. */
const NAMES_PEOPLE: Readonly<Record<string, string>> = {
  people: 'id',
  planning_terms: 'owner',
  record_changes: 'record',
};

/** Rows of a table that name somebody, in any column or in what was entered at a hive; files are counted only. */
export async function rowsNaming(
  db: Knex,
  table: Table,
  school: string,
  person: string,
): Promise<readonly ArchiveRow[]> {
  const by = table.references.filter((each) => each.table === 'people').map(({ column }) => column);
  const own = NAMES_PEOPLE[table.name];
  if (own !== undefined) by.push(own);
  if (by.length === 0) return [];
  const columns = table.columns.filter(({ holds }) => holds !== 'bytes');
  const rows = await ofSchool(db, table, school)
    .where((any) => {
      for (const column of by) void any.orWhere(`${table.name}.${column}`, person);
      if (table.name === 'visit_entries') void any.orWhere('body', 'like', `%${person}%`);
    })
    .orderBy(table.key.map((column) => ({ column })))
    .select<Readonly<Record<string, unknown>>[]>(...selected(db, { ...table, columns }));
  return rows.map((row) => written({ ...table, columns }, row));
}
