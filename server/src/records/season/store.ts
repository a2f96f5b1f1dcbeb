import type { BloomSeen, SeasonEventKind, SignSeen, SitePlant } from '@brave-comb/core/season';
import type { Knex } from 'knex';

interface PlantRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly plant: string;
  readonly name: string;
  readonly nectar: number;
  readonly pollen: number;
  readonly kind: 'degree-days' | 'dates';
  readonly base: number | null;
  readonly sum: number | null;
  readonly opens: string | null;
  readonly days: number;
}

export async function plantsOf(db: Knex, school: string, site: string): Promise<SitePlant[]> {
  const rows = await db<PlantRow>('site_plants').where({ school, site }).orderBy('name').select();
  return rows.map(({ plant, name, nectar, pollen, kind, base, sum, opens, days }) => ({
    id: plant,
    name,
    nectar,
    pollen,
    model: kind === 'dates' ? { kind, opens: opens ?? '01-01', days } : { kind, base: base ?? 5, sum: sum ?? 1, days },
  }));
}

export async function upsertPlant(
  db: Knex,
  row: { readonly id: string; readonly school: string; readonly site: string },
  plant: SitePlant,
): Promise<void> {
  const { model } = plant;
  const warm = model.kind === 'degree-days' ? model : null;
  const columns = {
    name: plant.name,
    nectar: plant.nectar,
    pollen: plant.pollen,
    kind: model.kind,
    base: warm?.base ?? null,
    sum: warm?.sum ?? null,
    opens: model.kind === 'dates' ? model.opens : null,
    days: model.days,
  };
  await db('site_plants')
    .insert({ ...row, plant: plant.id, ...columns })
    .onConflict(['site', 'plant'])
    .merge(columns);
}

export const deletePlant = (db: Knex, school: string, site: string, plant: string) =>
  db<PlantRow>('site_plants').where({ school, site, plant }).delete();

export interface BloomRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly plant: string;
  readonly year_of_growth: string;
  readonly first_seen: string | null;
  readonly last_seen: string | null;
  readonly by_person: string | null;
  readonly at: Date;
}

export const bloomsSeen = (db: Knex, school: string, site: string) =>
  db('bloom_seen')
    .leftJoin('people', 'people.id', 'bloom_seen.by_person')
    .where({ 'bloom_seen.school': school, 'bloom_seen.site': site })
    .orderBy('year_of_growth')
    .select<(BloomRow & { by_name: string | null })[]>('bloom_seen.*', 'people.name as by_name');

export const seenOf = (rows: readonly BloomRow[]): BloomSeen[] =>
  rows.map(({ plant, first_seen, last_seen }) => ({ plant, first: first_seen, last: last_seen }));

export const upsertBloom = (db: Knex, row: BloomRow) =>
  db('bloom_seen')
    .insert(row)
    .onConflict(['site', 'plant', 'year_of_growth'])
    .merge(['first_seen', 'last_seen', 'by_person', 'at']);

export interface SeasonEventRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly kind: SeasonEventKind;
  readonly plant: string | null;
  readonly date: string;
  readonly by_person: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
}

export const insertSeasonEvent = (db: Knex, row: SeasonEventRow) => db('season_events').insert(row);

export const seasonEventById = (db: Knex, school: string, id: string): Promise<SeasonEventRow | undefined> =>
  db<SeasonEventRow>('season_events').where({ school, id }).first();

/** Events of a site that stand, newest first, with who saw them and how many tasks they made. */
export const seasonEvents = (
  db: Knex,
  school: string,
  site: string,
  since: string,
): Promise<(SeasonEventRow & { by_name: string; tasks: number })[]> =>
  db('season_events')
    .join('people', 'people.id', 'season_events.by_person')
    .where({ 'season_events.school': school, 'season_events.site': site })
    .whereNull('season_events.withdrawn_at')
    .where('season_events.date', '>=', since)
    .orderBy('season_events.date', 'desc')
    .select(
      'season_events.*',
      'people.name as by_name',
      db('follow_ups').count('*').whereRaw('follow_ups.event = season_events.id').as('tasks'),
    );

export const withdrawEvent = (db: Knex, school: string, id: string, at: Date) =>
  db<SeasonEventRow>('season_events').where({ school, id }).update({ withdrawn_at: at });

interface FlowSignRow extends SignSeen {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly hive: string | null;
  readonly by_person: string;
  readonly at: Date;
}

export const insertFlowSigns = (db: Knex, rows: readonly FlowSignRow[]) =>
  db('flow_signs')
    .insert([...rows])
    .onConflict('id')
    .ignore();

export const flowSigns = (db: Knex, school: string, site: string, from: string, to: string): Promise<SignSeen[]> =>
  db<FlowSignRow>('flow_signs').where({ school, site }).whereBetween('date', [from, to]).select('sign', 'says', 'date');

export interface PollenRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly colour: string;
  readonly date: string;
  readonly plant: string | null;
  readonly by_person: string;
  readonly at: Date;
}

export const insertPollen = (db: Knex, row: PollenRow) => db('pollen_seen').insert(row).onConflict('id').ignore();
export const pollenById = (db: Knex, school: string, id: string): Promise<PollenRow | undefined> =>
  db<PollenRow>('pollen_seen').where({ school, id }).first();
export const settle = (db: Knex, school: string, id: string, plant: string | null) =>
  db<PollenRow>('pollen_seen').where({ school, id }).update({ plant });
export const pollenSeen = (db: Knex, school: string, site: string) =>
  db('pollen_seen')
    .join('people', 'people.id', 'pollen_seen.by_person')
    .where({ 'pollen_seen.school': school, 'pollen_seen.site': site })
    .orderBy('pollen_seen.date', 'desc')
    .select<(PollenRow & { by_name: string })[]>('pollen_seen.*', 'people.name as by_name');

export interface AliveRow {
  readonly id: string;
  readonly school: string;
  readonly hive: string;
  readonly year_of_growth: string;
  readonly date: string;
  readonly state: 'alive' | 'dead' | 'unsure';
  readonly by_person: string;
  readonly at: Date;
}

export const aliveTaps = (db: Knex, school: string, hives: readonly string[]): Promise<AliveRow[]> =>
  db<AliveRow>('alive_taps').where({ school }).whereIn('hive', hives).select();
export const upsertAlive = (db: Knex, row: AliveRow) =>
  db('alive_taps').insert(row).onConflict(['hive', 'year_of_growth']).merge(['state', 'date', 'by_person', 'at']);
export const deleteAlive = (db: Knex, school: string, hive: string, year: string) =>
  db<AliveRow>('alive_taps').where({ school, hive, year_of_growth: year }).delete();

export interface ScaleDayRow {
  readonly hive: string;
  readonly date: string;
  readonly kg: number;
}

export const scaleDays = (db: Knex, hive: string, from: string, to: string): Promise<ScaleDayRow[]> =>
  db<ScaleDayRow>('scale_days').where({ hive }).whereBetween('date', [from, to]).orderBy('date').select();
export async function keepScaleDays(db: Knex, rows: readonly ScaleDayRow[]): Promise<void> {
  if (rows.length > 0)
    await db('scale_days')
      .insert([...rows])
      .onConflict(['hive', 'date'])
      .merge();
}
