import type { Stack } from '@brave-comb/core/equipment';
import type { Comb, EntryBody, Question, VisitEntry } from '@brave-comb/core/inspection';
import type { RotaTurn } from '@brave-comb/core/planning';
import type { Knex } from 'knex';
import type { Actor } from '../../context';
import { iso } from '../../dates';

export interface VisitRow {
  readonly id: string;
  readonly school: string;
  readonly session: string;
  readonly trainee_group: string;
  readonly hive: string;
  readonly colony: string;
  readonly supervisor: string;
  readonly box: string;
  /** The hive as it stood when it was opened. */
  readonly stack: Stack;
  readonly questions: readonly Question[];
  /** Combs of each box as they were found; `null` on visits from before combs were told apart. */
  readonly combs: Readonly<Record<string, readonly Comb[]>> | null;
  /** Who was to do what, by ids; `null` on visits from before that was kept. */
  readonly rota: readonly RotaTurn[] | null;
  readonly started_at: Date;
  readonly closed_at: Date | null;
  readonly mood: number | null;
}

/** A visit with the names that go with it. */
export interface NamedVisit extends VisitRow {
  readonly hive_number: string;
  readonly stand: string;
  readonly site: string;
  readonly site_name: string;
  readonly zone: string;
  readonly group_name: string;
  readonly supervisor_name: string;
}

interface EntryRow {
  readonly seq: number;
  readonly id: string;
  readonly visit: string;
  readonly by_person: string;
  readonly made_at: Date;
  readonly recorded_at: Date;
  readonly body: EntryBody;
}

export const insertVisit = (db: Knex, row: VisitRow) =>
  db('visits').insert({
    ...row,
    stack: JSON.stringify(row.stack),
    questions: JSON.stringify(row.questions),
    combs: row.combs && JSON.stringify(row.combs),
    rota: row.rota && JSON.stringify(row.rota),
  });

const named = (db: Knex, school: string) =>
  db('visits')
    .join('hives', 'hives.id', 'visits.hive')
    .join('sites', 'sites.id', 'hives.site')
    .join('trainee_groups', 'trainee_groups.id', 'visits.trainee_group')
    .join('people', 'people.id', 'visits.supervisor')
    .where('visits.school', school)
    .select<NamedVisit[]>(
      'visits.*',
      'hives.number as hive_number',
      'hives.stand',
      'hives.site',
      'sites.name as site_name',
      'sites.zone',
      'trainee_groups.name as group_name',
      'people.name as supervisor_name',
    );

/** Narrows visits to those that somebody may see: a lead all, a supervisor those of their sessions, a trainee those of their groups. */
export function seenBy<Query extends Pick<Knex.QueryBuilder, 'whereIn'>>(query: Query, db: Knex, actor: Actor): Query {
  if (actor.role === 'lead') return query;
  if (actor.role === 'supervisor') {
    query.whereIn('visits.session', db('session_groups').where('supervisor', actor.id).select('session'));
  } else {
    query.whereIn('visits.trainee_group', db('group_members').where('person', actor.id).select('trainee_group'));
  }
  return query;
}

export async function visitById(db: Knex, actor: Actor, id: string): Promise<NamedVisit | undefined> {
  const [visit] = await seenBy(named(db, actor.school), db, actor).where('visits.id', id);
  return visit;
}

/** Which of some visits somebody may see. */
export const visitsSeenBy = async (db: Knex, actor: Actor, ids: readonly string[]): Promise<ReadonlySet<string>> =>
  new Set(
    await seenBy(db('visits').where({ school: actor.school }).whereIn('id', ids), db, actor).pluck<string[]>('id'),
  );

export const anyVisit = (db: Knex, id: string): Promise<VisitRow | undefined> =>
  db<VisitRow>('visits').where({ id }).first();

export const visitsOfSession = (db: Knex, school: string, session: string): Promise<VisitRow[]> =>
  db<VisitRow>('visits').where({ school, session }).orderBy('started_at').select();

export const namedVisitsOfSession = (db: Knex, actor: Actor, session: string): Promise<NamedVisit[]> =>
  seenBy(named(db, actor.school), db, actor).where('visits.session', session).orderBy('visits.started_at');

/** Changes whenever a visit of the session is opened or an entry added to one. */
export async function lastSeqOfSession(db: Knex, school: string, session: string): Promise<string> {
  const row = await db('visits')
    .leftJoin('visit_entries', 'visit_entries.visit', 'visits.id')
    .where({ 'visits.school': school, 'visits.session': session })
    .first<{ last: number | null; visits: number }>(
      db.raw('max(visit_entries.seq) as last'),
      db.raw('count(distinct visits.id) as visits'),
    );
  return `${row.visits}/${row.last ?? 0}`;
}

export async function latestVisits(db: Knex, actor: Actor, by: Date, count: number): Promise<NamedVisit[]> {
  return seenBy(named(db, actor.school), db, actor)
    .where('visits.started_at', '<=', by)
    .orderBy([
      { column: 'visits.started_at', order: 'desc' },
      { column: 'visits.id', order: 'desc' },
    ])
    .limit(count);
}

/** The visit of a hive before a moment. */
export const visitBefore = (db: Knex, school: string, hive: string, before: Date): Promise<VisitRow | undefined> =>
  db<VisitRow>('visits').where({ school, hive }).where('started_at', '<', before).orderBy('started_at', 'desc').first();

/** Moods and times of all visits of a school since a moment, by hive. */
export const visitMoods = (db: Knex, school: string, since: Date, until: Date) =>
  db<VisitRow>('visits')
    .where({ school })
    .whereBetween('started_at', [since, until])
    .orderBy('started_at')
    .select('hive', 'mood', 'started_at');

/** Locks a visit, so that batches of entries are recorded one after another. */
export const lockVisit = (db: Knex, id: string): Promise<VisitRow | undefined> =>
  db<VisitRow>('visits').where({ id }).forUpdate().first();

export async function entriesOf(db: Knex, visit: string): Promise<VisitEntry[]> {
  const rows = await db<EntryRow>('visit_entries').where({ visit }).orderBy('seq').select();
  return rows.map((row) => ({ id: row.id, at: iso(row.made_at), by: row.by_person, body: row.body }));
}

/** Number of the latest entry of each of some visits that have any; it grows with every entry. */
export async function lastSeqs(db: Knex, visits: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const rows = await db<EntryRow>('visit_entries')
    .whereIn('visit', visits)
    .groupBy('visit')
    .select<{ visit: string; last: number }[]>('visit', db.raw('max(seq) as last'));
  return new Map(rows.map(({ visit, last }) => [visit, last]));
}

export const entryOwners = (db: Knex, ids: readonly string[]) =>
  db<EntryRow>('visit_entries').whereIn('id', ids).select('id', 'visit');

export const insertEntry = (db: Knex, visit: string, entry: VisitEntry, recordedAt: Date) =>
  db('visit_entries').insert({
    id: entry.id,
    visit,
    by_person: entry.by,
    made_at: new Date(entry.at),
    recorded_at: recordedAt,
    body: JSON.stringify(entry.body),
  });

export const updateVisit = (db: Knex, id: string, change: Pick<VisitRow, 'closed_at' | 'mood'>) =>
  db<VisitRow>('visits').where({ id }).update(change);

/** Visits of some hives between two moments, oldest first. */
export const visitsOfHives = (
  db: Knex,
  school: string,
  hives: readonly string[],
  from: Date,
  to: Date,
): Promise<VisitRow[]> =>
  db<VisitRow>('visits')
    .where({ school })
    .whereIn('hive', hives)
    .whereBetween('started_at', [from, to])
    .orderBy('started_at')
    .select();

/** Takes out what entries of visits say of somebody in words; what was counted stays. */
export async function forgetWordsInEntries(db: Knex, person: string): Promise<void> {
  await emptyWords(db, 'skill-judged', 'trainee', person, ['note', 'prompt']);
  await emptyWords(db, 'incident-noted', 'person', person, ['text']);
}

async function emptyWords(
  trx: Knex,
  kind: string,
  about: 'trainee' | 'person',
  person: string,
  words: readonly string[],
): Promise<void> {
  for (const word of words)
    await trx('visit_entries')
      .where({ kind })
      .whereRaw(`json_value(body, '$.${about}') = ?`, [person])
      .whereRaw(`json_exists(body, '$.${word}')`)
      .update({ body: trx.raw(`json_replace(body, '$.${word}', '')`) });
}
