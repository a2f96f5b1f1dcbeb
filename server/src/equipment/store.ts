import type { HiveTypeId, Stack } from '@brave-comb/core/equipment';
import type { Knex } from 'knex';

export interface SiteRow {
  readonly id: string;
  readonly school: string;
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly altitude: number;
  readonly zone: string;
  readonly emergency: {
    readonly number: string;
    readonly place: string;
    readonly signal: string;
    readonly school: string;
    readonly kit: string;
  };
}

export interface HiveRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly number: string;
  readonly stand: string;
  readonly type: HiveTypeId;
  readonly stack: Stack;
}

export interface ColonyRow {
  readonly id: string;
  readonly school: string;
  readonly hive: string;
  readonly since: string;
  readonly until: string | null;
  readonly origin: string;
  readonly queen_year: number | null;
  readonly queen_marked: 0 | 1 | boolean;
}

export const insertSite = (db: Knex, row: SiteRow) =>
  db('sites').insert({ ...row, emergency: JSON.stringify(row.emergency) });
export const insertHive = (db: Knex, row: HiveRow) => db('hives').insert({ ...row, stack: JSON.stringify(row.stack) });
export const insertColony = (db: Knex, row: ColonyRow) => db('colonies').insert(row);

export const sitesOf = (db: Knex, school: string): Promise<SiteRow[]> =>
  db<SiteRow>('sites').where({ school }).orderBy('id').select();
export const siteById = (db: Knex, school: string, id: string): Promise<SiteRow | undefined> =>
  db<SiteRow>('sites').where({ school, id }).first();

export const hivesById = (db: Knex, school: string, ids: readonly string[]): Promise<HiveRow[]> =>
  db<HiveRow>('hives').where({ school }).whereIn('id', ids).select();

/** The colony that lives in a hive now. */
export const colonyIn = (db: Knex, school: string, hive: string): Promise<ColonyRow | undefined> =>
  db<ColonyRow>('colonies').where({ school, hive }).whereNull('until').orderBy('since', 'desc').first();
