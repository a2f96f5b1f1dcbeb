import type { ColonyClass, Strain } from '@brave-comb/core/care';
import type { HiveTypeId, Stack } from '@brave-comb/core/equipment';
import type { DegreeDayMethod } from '@brave-comb/core/season';
import type { HivePlace, SitePlan } from '@brave-comb/core/site';
import type { Knex } from 'knex';
import type { VersionedRow } from '../../database/versioned-store';

export interface SiteRow {
  readonly id: string;
  readonly school: string;
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly altitude: number;
  readonly zone: string;
  /** First day of the year of growth, `MM-DD`; `null` for the winter solstice of its half of the globe. */
  readonly turn: string | null;
  readonly degree_days: DegreeDayMethod;
  /** What is on its ground; null while nobody has drawn it. */
  readonly plan: SitePlan | null;
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
  /** Name of its scale at the scale service, if it stands on one. */
  readonly scale: string | null;
  /** Where it stands on its site and to which side it flies; null while nobody has said so. */
  readonly place: HivePlace | null;
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
  readonly strain: Strain;
  readonly class: ColonyClass;
}

export const insertSite = (db: Knex, row: SiteRow) =>
  db('sites').insert({ ...row, emergency: JSON.stringify(row.emergency), plan: row.plan && JSON.stringify(row.plan) });
export const insertHive = (db: Knex, row: HiveRow) =>
  db('hives').insert({ ...row, stack: JSON.stringify(row.stack), place: row.place && JSON.stringify(row.place) });
export const insertColony = (db: Knex, row: ColonyRow) => db('colonies').insert(row);

/** The sites of all schools that are in use. */
export const allSites = (db: Knex): Promise<SiteRow[]> => db('sites').whereNull('retired_at').select<SiteRow[]>();
/** The sites of a school that are in use. */
export const sitesOf = (db: Knex, school: string): Promise<SiteRow[]> =>
  db('sites').where({ school }).whereNull('retired_at').orderBy('id').select<SiteRow[]>();
/** The sites of a school, retired ones last. */
export const everySite = (db: Knex, school: string): Promise<(SiteRow & VersionedRow)[]> =>
  db('sites').where({ school }).orderByRaw('retired_at is not null, id').select<(SiteRow & VersionedRow)[]>();

export const siteById = (db: Knex, school: string, id: string): Promise<SiteRow | undefined> =>
  db<SiteRow>('sites').where({ school, id }).first();

export const changeSite = (db: Knex, school: string, id: string, change: Pick<SiteRow, 'turn' | 'degree_days'>) =>
  db<SiteRow>('sites').where({ school, id }).update(change);

export const hivesById = (db: Knex, school: string, ids: readonly string[]): Promise<HiveRow[]> =>
  db<HiveRow>('hives').where({ school }).whereIn('id', ids).select();

/** The colony that lives in a hive now. */
export const colonyIn = (db: Knex, school: string, hive: string): Promise<ColonyRow | undefined> =>
  db<ColonyRow>('colonies').where({ school, hive }).whereNull('until').orderBy('since', 'desc').first();

const byNumber = (a: HiveRow, b: HiveRow): number => a.number.localeCompare(b.number, 'en', { numeric: true });

/** The hives of a school that are in use, in the order of their numbers. */
export const allHives = async (db: Knex, school: string): Promise<(HiveRow & VersionedRow)[]> => {
  const rows = await db('hives').where({ school }).whereNull('retired_at').select<(HiveRow & VersionedRow)[]>();
  return rows.sort(byNumber);
};

type EveryHive = HiveRow & VersionedRow & { readonly site_name: string };
/** The hives of a school with the names of their sites, in the order of their numbers, retired ones last. */
export const everyHive = async (db: Knex, school: string): Promise<EveryHive[]> => {
  const rows = await db('hives')
    .join('sites', 'sites.id', 'hives.site')
    .where('hives.school', school)
    .select<EveryHive[]>('hives.*', 'sites.name as site_name');
  return rows.sort((a, b) => Number(a.retired_at !== null) - Number(b.retired_at !== null) || byNumber(a, b));
};

/** How many hives stand at each site. */
export async function countHives(db: Knex, school: string): Promise<ReadonlyMap<string, number>> {
  const rows = await db('hives')
    .where({ school })
    .whereNull('retired_at')
    .groupBy('site')
    .select<{ site: string; hives: number }[]>('site', db.raw('count(*) as hives'));
  return new Map(rows.map(({ site, hives }) => [site, hives]));
}

/** Hives of a site in the order of their numbers. */
export const hivesOf = async (db: Knex, school: string, site: string): Promise<(HiveRow & VersionedRow)[]> =>
  (await allHives(db, school)).filter((hive) => hive.site === site);

/** Colonies that live in some hives now. */
export const coloniesIn = (db: Knex, school: string, hives: readonly string[]): Promise<ColonyRow[]> =>
  db<ColonyRow>('colonies').where({ school }).whereIn('hive', hives).whereNull('until').select();

/** Ends a colony's life in its hive. */
export const endColony = (db: Knex, id: string, until: string, end: string) =>
  db('colonies').where({ id }).update({ until, ended: end });

export const coloniesById = (db: Knex, school: string, ids: readonly string[]): Promise<ColonyRow[]> =>
  db<ColonyRow>('colonies').where({ school }).whereIn('id', ids).select();

export const colonyById = (db: Knex, school: string, id: string): Promise<ColonyRow | undefined> =>
  db<ColonyRow>('colonies').where({ school, id }).first();

export const changeColony = (
  db: Knex,
  school: string,
  id: string,
  change: Partial<Pick<ColonyRow, 'strain' | 'class'>>,
) => db<ColonyRow>('colonies').where({ school, id }).update(change);

export const hiveOfColony = (db: Knex, school: string, colony: string): Promise<HiveRow | undefined> =>
  db('hives')
    .join('colonies', 'colonies.hive', 'hives.id')
    .where({ 'hives.school': school, 'colonies.id': colony })
    .first<HiveRow | undefined>('hives.*');

/** A hive's parts as they stand now. */
export const keepStack = (db: Knex, hive: string, stack: Stack) =>
  db('hives')
    .where({ id: hive })
    .update({ stack: JSON.stringify(stack) });
