import type { ArchiveRow } from '@brave-comb/core/exchange';
import type { Knex } from 'knex';
import { mayTypeName, noWayIn } from '../people';
import { type Table, ofSchool, referencesFromOutside } from './tables-store';

/** Rows that are taken away at once, so that no statement takes long. */
const AWAY_AT_ONCE = 5_000;
/** What is written at once: so many rows, or so many bytes. */
const ROWS_AT_ONCE = 400;
const BYTES_AT_ONCE = 2_000_000;

/** How somebody gets in here. */
export interface WayIn {
  readonly sign_in: string;
  readonly password_hash: string;
  readonly owner: 0 | 1;
}

/** Holds a school for whoever replaces it: nothing is written there meanwhile. */
export const holdSchool = (trx: Knex, school: string): Promise<{ name: string }> =>
  trx('schools').where({ id: school }).forUpdate().first('name');

/** Whether an installation has a school of this id. */
export const hasSchool = async (trx: Knex, id: string): Promise<boolean> =>
  (await trx('schools').where({ id }).first<object | undefined>('id')) !== undefined;

/** How everybody of a school gets in, by id. */
export async function waysIn(trx: Knex, school: string): Promise<ReadonlyMap<string, WayIn>> {
  const rows = await trx('people')
    .where({ school })
    .select<(WayIn & { id: string })[]>('id', 'sign_in', 'password_hash', 'owner');
  return new Map(rows.map(({ id, ...way }) => [id, way]));
}

/** Somebody's row as it stands. */
export const personRow = (trx: Knex, id: string): Promise<Readonly<Record<string, unknown>>> =>
  trx('people').where({ id }).first();

export const keepPersonRow = (trx: Knex, row: Readonly<Record<string, unknown>>) =>
  trx('people').insert({ ...row, changed_by: null });

/** Takes away all rows of a school; what points to them from outside is seen to by {@link tidyOutside}. */
export async function emptySchool(trx: Knex, tables: readonly Table[], school: string): Promise<void> {
  await trx.raw('set foreign_key_checks = 0');
  try {
    for (const table of tables.toReversed()) {
      let gone: number;
      do gone = await ofSchool(trx, table, school).limit(AWAY_AT_ONCE).delete();
      while (gone === AWAY_AT_ONCE);
    }
  } finally {
    await trx.raw('set foreign_key_checks = 1');
  }
}

/** Writes rows of one table, some at once. */
export function writing(trx: Knex, table: Table) {
  const pointsHere = table.references.filter(({ table: to }) => to === table.name).map(({ column }) => column);
  const holds = new Map(table.columns.map(({ name, holds: what }) => [name, what]));
  const later: { id: string; values: Record<string, unknown> }[] = [];
  let held: Record<string, unknown>[] = [];
  let bytes = 0;
  const flush = async (): Promise<void> => {
    const rows = held;
    held = [];
    bytes = 0;
    if (rows.length > 0) await trx(table.name).insert(rows);
  };
  return {
    async add(row: ArchiveRow, more: object, size: number): Promise<void> {
      const values = Object.fromEntries(
        Object.entries(row).map(([name, value]) => [name, asKept(holds.get(name), value)]),
      );
      const pointing = pointsHere.filter((column) => typeof values[column] === 'string');
      if (pointing.length > 0) {
        later.push({
          id: values.id as string,
          values: Object.fromEntries(pointing.map((name) => [name, values[name]])),
        });
        for (const column of pointing) values[column] = null;
      }
      held.push({ ...values, ...more });
      bytes += size;
      if (held.length >= ROWS_AT_ONCE || bytes >= BYTES_AT_ONCE) await flush();
    },
    async done(): Promise<void> {
      await flush();
      for (const { id, values } of later) await trx(table.name).where({ id }).update(values);
    },
  };
}

function asKept(holds: Table['columns'][number]['holds'] | undefined, value: unknown): unknown {
  if (value === null) return null;
  if (holds === 'json') return JSON.stringify(value);
  if (holds === 'moment') return new Date(value as string);
  return holds === 'bytes' ? Buffer.from(value as string, 'base64') : value;
}

/** A row's way in: the one that somebody has here, or none until they are invited. */
export const wayInOf = (id: string, here: WayIn | undefined): WayIn => here ?? { ...noWayIn(id), owner: 0 };

/** Puts what a school is called and how it works in the place of what was. */
export const writeSchool = (trx: Knex, id: string, { name, practice, home }: ArchiveRow) =>
  trx('schools')
    .where({ id })
    .update({ name, practice: JSON.stringify(practice), home: home && JSON.stringify(home) });

/** Sessions, devices, invitations and the like of whoever and whatever is no longer there are taken away, or forget whom they named. */
export async function tidyOutside(trx: Knex, gone: Readonly<Record<string, readonly string[]>>): Promise<void> {
  for (const { from, column, table, nullable } of await referencesFromOutside(trx)) {
    const rows = trx(from).whereIn(column, gone[table] ?? []);
    await (nullable ? rows.update({ [column]: null }) : rows.delete());
  }
  await trx('web_sessions')
    .whereIn('person', gone.people ?? [])
    .delete();
}

export const idsOf = (trx: Knex, table: 'people' | 'sites', school: string): Promise<string[]> =>
  trx(table).where({ school }).pluck('id');

export async function withoutWayIn(trx: Knex, school: string): Promise<number> {
  const names = await trx('people')
    .where({ school })
    .whereNull('erased_at')
    .whereNull('retired_at')
    .pluck<string[]>('sign_in');
  return names.filter((name) => !mayTypeName(name)).length;
}
