import type { Knex } from 'knex';

/** What a column holds, where it is not told by JSON as it stands. */
export type Holds = 'plain' | 'moment' | 'json' | 'bytes';

export interface Column {
  readonly name: string;
  readonly holds: Holds;
  readonly nullable: boolean;
}

/** A column that names a row of another table, by its id. */
export interface Reference {
  readonly column: string;
  readonly table: string;
}

/** A table that belongs to a school, as the database itself describes it. */
export interface Table {
  readonly name: string;
  readonly columns: readonly Column[];
  /** Columns by which its rows stand in order. */
  readonly key: readonly string[];
  /** Whether the key only counts: rows are counted anew where they are brought in, in the same order. */
  readonly counted: boolean;
  /** How a row is known to be a school's: by its own column, or by the row that it belongs to. */
  readonly of: 'school' | Reference;
  readonly references: readonly Reference[];
}

/** What belongs to an installation, its doors and what it does at the moment, and not to a school. */
const STAYS: ReadonlySet<string> = new Set([
  'schools',
  'audit_log',
  'calendar_feeds',
  'demo_clock',
  'invitations',
  'knex_migrations',
  'knex_migrations_lock',
  'known_devices',
  'leases',
  'rate_limits',
  'revisions',
  'start_codes',
  'weather_refreshes',
  'web_sessions',
]);
/** How somebody gets in is an installation's. */
const OWN_COLUMNS: Readonly<Record<string, ReadonlySet<string>>> = {
  people: new Set(['sign_in', 'password_hash']),
};

interface ColumnRow {
  readonly table_name: string;
  readonly column_name: string;
  readonly data_type: string;
  readonly is_nullable: string;
  readonly extra: string;
  readonly column_key: string;
}

const HOLDS: Readonly<Record<string, Holds>> = {
  datetime: 'moment',
  timestamp: 'moment',
  mediumblob: 'bytes',
  blob: 'bytes',
};

/**
 * The tables of a school in an order in which what a row points to stands before it. Read from the database, so that a new table is never
 * forgotten.
 */
export async function schoolTables(db: Knex): Promise<readonly Table[]> {
  const [columns, keys, jsons] = await Promise.all([
    db('information_schema.columns')
      .whereRaw('table_schema = database()')
      .where('is_generated', 'NEVER')
      .orderBy(['table_name', 'ordinal_position'])
      .select<ColumnRow[]>(
        ['table_name', 'column_name', 'data_type', 'is_nullable', 'extra', 'column_key'].map(
          (name) => `${name} as ${name}`,
        ),
      ),
    db('information_schema.key_column_usage')
      .whereRaw('table_schema = database()')
      .whereRaw("(constraint_name = 'PRIMARY' or referenced_table_name is not null)")
      .orderBy(['table_name', 'constraint_name', 'ordinal_position'])
      .select<{ table: string; column: string; to: string | null }[]>(
        'table_name as table',
        'column_name as column',
        'referenced_table_name as to',
      ),
    db('information_schema.check_constraints')
      .whereRaw('constraint_schema = database()')
      .whereRaw("check_clause like 'json_valid(%'")
      .select<{ table: string; clause: string }[]>('table_name as table', 'check_clause as clause'),
  ]);
  const isJson = new Set(jsons.map(({ table, clause }) => `${table} ${/`([^`]+)`/.exec(clause)?.[1] ?? ''}`));
  const names = [...new Set(columns.map((each) => each.table_name))].filter((name) => !STAYS.has(name));
  const tables = names.map((name): Table => {
    const own = columns.filter((each) => each.table_name === name);
    const key = keys.filter((each) => each.table === name && each.to === null).map(({ column }) => column);
    const counted = own.some(({ extra }) => extra.includes('auto_increment'));
    const references = keys.flatMap(({ table, column, to }) =>
      table === name && to !== null && to !== 'schools' ? [{ column, table: to }] : [],
    );
    const [parent] = references.filter(({ column, table }) => key.includes(column) || table === 'visits');
    const ofSchool = own.some((each) => each.column_name === 'school');
    if (!ofSchool && !parent) throw new Error(`nothing says whose the rows of ${name} are`);
    return {
      name,
      columns: own
        .filter(({ column_name, extra }) => !extra.includes('auto_increment') && !OWN_COLUMNS[name]?.has(column_name))
        .map(({ column_name, data_type, is_nullable }) => ({
          name: column_name,
          holds: isJson.has(`${name} ${column_name}`) ? 'json' : (HOLDS[data_type] ?? 'plain'),
          nullable: is_nullable === 'YES',
        })),
      key,
      counted,
      of: ofSchool ? 'school' : parent!,
      references,
    };
  });
  return inOrder(tables);
}

/** What is pointed to before what points to it; a row that points to its own table is seen to when it is brought in. */
function inOrder(tables: readonly Table[]): readonly Table[] {
  const placed: Table[] = [];
  let left = [...tables];
  while (left.length > 0) {
    const waiting = new Set(left.map(({ name }) => name));
    const next = left.filter(({ name, references }) =>
      references.every(({ table }) => table === name || !waiting.has(table)),
    );
    if (next.length === 0) throw new Error(`tables point to each other: ${[...waiting].join(', ')}`);
    placed.push(...next);
    left = left.filter((each) => !next.includes(each));
  }
  return placed;
}

/** References to tables of a school from tables that stay with the installation. */
export async function referencesFromOutside(
  db: Knex,
): Promise<readonly (Reference & { from: string; nullable: boolean })[]> {
  const rows = await db('information_schema.key_column_usage as k')
    .join('information_schema.columns as c', function () {
      this.on('c.table_schema', 'k.table_schema')
        .andOn('c.table_name', 'k.table_name')
        .andOn('c.column_name', 'k.column_name');
    })
    .whereRaw('k.table_schema = database()')
    .whereNotNull('k.referenced_table_name')
    .whereNot('k.referenced_table_name', 'schools')
    .whereIn('k.table_name', [...STAYS])
    .select<{ from: string; column: string; table: string; nullable: string }[]>(
      'k.table_name as from',
      'k.column_name as column',
      'k.referenced_table_name as table',
      'c.is_nullable as nullable',
    );
  return rows.map(({ nullable, ...row }) => ({ ...row, nullable: nullable === 'YES' }));
}

/** The rows of one school. */
export function ofSchool(db: Knex, { name, of }: Table, school: string): Knex.QueryBuilder {
  const rows = db(name);
  if (of === 'school') return rows.where(`${name}.school`, school);
  return rows.whereIn(`${name}.${of.column}`, db(of.table).where({ school }).select('id'));
}
