import type { Knex } from 'knex';
import { saidIn } from './said-in';

/** Tables of records that somebody sees, changes and retires. */
export type Versioned = 'sites' | 'hives' | 'people' | 'trainee_groups' | 'sessions';

/** What every such record carries. */
export interface VersionedRow {
  readonly version: number;
  readonly changed_by: string | null;
  readonly changed_at: Date | null;
  readonly retired_at: Date | null;
}

export interface Version {
  readonly school: string;
  readonly id: string;
  /** The version that was read before it was changed. */
  readonly version: number;
}

/** Values by the column or what else they are called. */
export type Values = Readonly<Record<string, string | null>>;

/** A line of who changed what: `was` is null for what was made, both hold what differs. */
export interface RecordChange {
  readonly school: string;
  readonly person: string;
  readonly at: Date;
  readonly thing: Versioned | 'schools';
  readonly record: string;
  readonly name: string;
  readonly was: Values | null;
  readonly is: Values | null;
}

/** What a record is called by. */
const NAMED_BY: Readonly<Record<Versioned, string>> = {
  sites: 'name',
  hives: 'number',
  people: 'name',
  trainee_groups: 'name',
  sessions: 'starts_at',
};
/** Columns whose values are told by name elsewhere, or to nobody. */
const NOT_TOLD: ReadonlySet<string> = new Set(['site', 'place', 'plan', 'password_hash', 'sign_in']);
/** What it says is private; that it was changed is not. */
const HIDDEN = 'emergency_note';

/** A value as it is compared and told; JSON comes as an object from the database and as a text on its way there. */
function told(column: string, value: unknown): string | null {
  if (value === null || value === undefined) return null;
  if (column === HIDDEN) return '…';
  if (value instanceof Date) return value.toISOString();
  const held: unknown =
    typeof value === 'string' && (column === 'stack' || column === 'emergency' || column === 'called_off')
      ? JSON.parse(value)
      : value;
  if (column === 'stack') return (held as readonly { id: string }[]).map(({ id }) => id).join(', ');
  if (typeof held === 'object' && held !== null)
    return Object.values(held)
      .filter((each) => each !== '')
      .join('; ');
  if (typeof held === 'boolean') return `${Number(held)}`;
  return `${held as string | number}`;
}

/**
 * Changes a record if nobody has since it was read, and writes down what was changed.
 *
 * @param also what else was changed with it, told by name
 * @returns 'changed'; 'gone' where the school has none such; else who changed it meanwhile, and when
 */
export async function changeVersion(
  trx: Knex,
  table: Versioned,
  { school, id, version }: Version,
  by: string,
  at: Date,
  change: object,
  also: { readonly was: Values; readonly is: Values } = { was: {}, is: {} },
): Promise<'changed' | 'gone' | { readonly by: string | null; readonly at: Date | null }> {
  const was = await trx(table)
    .where({ school, id })
    .forUpdate()
    .first<(VersionedRow & Readonly<Record<string, unknown>>) | undefined>();
  if (!was) return 'gone';
  if (was.version !== version) {
    const names = await changersOf(trx, [was]);
    return { by: names.get(was.changed_by ?? '') ?? null, at: was.changed_at };
  }
  await trx(table)
    .where({ school, id })
    .update({ ...change, version: version + 1, changed_by: by, changed_at: at });
  const differs = Object.entries(change).filter(
    ([column, value]) =>
      !NOT_TOLD.has(column) &&
      (column === HIDDEN ? was[column] !== value : told(column, was[column]) !== told(column, value)),
  );
  const before = Object.fromEntries(differs.map(([column]) => [column, told(column, was[column])]));
  const after = Object.fromEntries(differs.map(([column, value]) => [column, told(column, value)]));
  const line = { was: { ...before, ...also.was }, is: { ...after, ...also.is } };
  if (Object.keys(line.is).length > 0)
    await writeChanges(trx, [
      { school, person: by, at, thing: table, record: id, name: told('', was[NAMED_BY[table]]) ?? '', ...line },
    ]);
  return 'changed';
}

/** Writes down who changed or made what. */
export async function writeChanges(trx: Knex, changes: readonly RecordChange[]): Promise<void> {
  if (changes.length > 0)
    await trx('record_changes').insert(
      changes.map(({ was, is, name, ...change }) => ({
        ...change,
        name: name.slice(0, 120),
        was: was && JSON.stringify(was),
        is: is && JSON.stringify(is),
      })),
    );
}

/** Forgets what was written down of somebody's own record. */
export const forgetChanges = (trx: Knex, record: string): Promise<number> =>
  trx('record_changes').where({ record }).delete();

/** Changes of a school's records before a moment that some words are said in, the newest first. */
export const recordChanges = (
  db: Knex,
  school: string,
  before: Date,
  words: string,
  count: number,
): Promise<(RecordChange & { readonly by: string })[]> =>
  db('record_changes')
    .join('people', 'people.id', 'record_changes.person')
    .where('record_changes.school', school)
    .where('record_changes.at', '<', before)
    .where(saidIn(words, ['record_changes.name', 'people.name', 'record_changes.was', 'record_changes.is']))
    .orderBy('record_changes.seq', 'desc')
    .limit(count)
    .select('record_changes.*', 'people.name as by');

/** All changes of one kind of record of a school, the newest first. */
export const changesOfThing = (
  db: Knex,
  school: string,
  thing: RecordChange['thing'],
): Promise<(RecordChange & { readonly by: string })[]> =>
  db('record_changes')
    .join('people', 'people.id', 'record_changes.person')
    .where({ 'record_changes.school': school, thing })
    .orderBy('record_changes.seq', 'desc')
    .select('record_changes.*', 'people.name as by');

/** Names of those who changed some records last. */
export async function changersOf(db: Knex, rows: readonly VersionedRow[]): Promise<ReadonlyMap<string, string>> {
  const ids = [...new Set(rows.flatMap((row) => row.changed_by ?? []))];
  const people = await db('people').whereIn('id', ids).select<{ id: string; name: string }[]>('id', 'name');
  return new Map(people.map(({ id, name }) => [id, name]));
}
