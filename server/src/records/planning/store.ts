import type { Sayable } from '@brave-comb/core/language';
import type { CALLED_OFF } from '@brave-comb/contract';
import type { PlanReasons } from '@brave-comb/contract';
import type { Depth } from '@brave-comb/core/weather';
import { DAY } from '@brave-comb/core/units';
import type { Knex } from 'knex';
import type { Actor } from '../../context';

export interface SessionRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly starts_at: Date;
  readonly ends_at: Date;
  readonly depth: Depth;
  readonly status: 'planned' | 'held' | 'called-off';
  /** Whether it was made or changed by hand: plans leave it as it is. */
  readonly by_hand: boolean | 0 | 1;
}

/** Why a session does not take place. */
export interface CalledOff {
  readonly why: (typeof CALLED_OFF)[number];
  readonly word: string;
  readonly by: string;
  readonly at: string;
}

export interface SessionGroupRow {
  readonly session: string;
  readonly trainee_group: string;
  readonly hive: string;
  readonly supervisor: string;
  readonly starts_at: Date;
  /** What a published plan opens it for; null for what was set otherwise. */
  readonly reasons: Sayable<PlanReasons> | null;
}
export type NamedSessionGroup = SessionGroupRow & { readonly group_name: string; readonly supervisor_name: string };

export async function insertSession(
  db: Knex,
  { by_hand = false, ...row }: Omit<SessionRow, 'by_hand'> & Partial<Pick<SessionRow, 'by_hand'>>,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<void> {
  await db('sessions').insert({ ...row, by_hand });
  await insertParts(db, row.id, groups);
}

/** Puts groups with their hives into a session. */
async function insertParts(
  db: Knex,
  session: string,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<void> {
  await db('session_groups').insert(
    groups.map((group) => ({
      ...group,
      session,
      reasons: group.reasons === null ? null : JSON.stringify(group.reasons),
    })),
  );
}

const sessions = (db: Knex, school: string) => db<SessionRow>('sessions').where('sessions.school', school);

/** Narrows sessions to those that somebody takes part in. */
function attendedBy(query: ReturnType<typeof sessions>, db: Knex, actor: Actor): ReturnType<typeof sessions> {
  if (actor.role === 'lead') return query;
  if (actor.role === 'supervisor') {
    return query.whereIn('sessions.id', db('session_groups').where('supervisor', actor.id).select('session'));
  }
  const groups = db('group_members').where('person', actor.id).select('trainee_group');
  return query.whereIn('sessions.id', db('session_groups').whereIn('trainee_group', groups).select('session'));
}

export const sessionById = (db: Knex, actor: Actor, id: string): Promise<SessionRow | undefined> =>
  attendedBy(sessions(db, actor.school), db, actor).where('sessions.id', id).first();

/** The next session that is not over; on the day itself also one that is. */
export const nextSession = (db: Knex, actor: Actor, since: Date): Promise<SessionRow | undefined> =>
  attendedBy(sessions(db, actor.school), db, actor)
    .where('status', 'planned')
    .where('ends_at', '>=', since)
    .orderBy('starts_at')
    .first();

export const sessionsBetween = (db: Knex, actor: Actor, from: Date, to: Date, site?: string): Promise<SessionRow[]> =>
  attendedBy(sessions(db, actor.school), db, actor)
    .whereBetween('starts_at', [from, to])
    .modify((query) => {
      if (site) void query.where('site', site);
    })
    .orderBy('starts_at')
    .select();

export const groupsOfSessions = (db: Knex, sessions: readonly string[]): Promise<NamedSessionGroup[]> =>
  db('session_groups')
    .join('trainee_groups', 'trainee_groups.id', 'session_groups.trainee_group')
    .join('people', 'people.id', 'session_groups.supervisor')
    .whereIn('session_groups.session', sessions)
    .orderBy('session_groups.starts_at')
    .orderBy('trainee_groups.name')
    .select<NamedSessionGroup[]>(
      'session_groups.*',
      'trainee_groups.name as group_name',
      'people.name as supervisor_name',
    );

export async function groupCounts(db: Knex, sessionIds: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const rows = await db('session_groups')
    .whereIn('session', sessionIds)
    .groupBy('session')
    .select<{ session: string; groups: number }[]>('session', db.raw('count(*) as `groups`'));
  return new Map(rows.map((row) => [row.session, row.groups]));
}

/** Whether a supervisor has ever had a trainee's group. */
export async function supervisesTrainee(db: Knex, supervisor: string, trainee: string): Promise<boolean> {
  const row: unknown = await db('session_groups')
    .join('group_members', 'group_members.trainee_group', 'session_groups.trainee_group')
    .where({ supervisor, person: trainee })
    .first();
  return row !== undefined;
}

/** Groups that somebody has led. */
export const groupsLedBy = (db: Knex, supervisor: string): Promise<string[]> =>
  db('session_groups').where({ supervisor }).distinct().pluck('trainee_group');

/** Names of some groups with those who lead them, the one who led most first. */
export const groupsLedFor = (db: Knex, school: string, groups: readonly string[]) =>
  db('trainee_groups')
    .leftJoin('session_groups', 'session_groups.trainee_group', 'trainee_groups.id')
    .leftJoin('people', 'people.id', 'session_groups.supervisor')
    .where('trainee_groups.school', school)
    .whereIn('trainee_groups.id', groups)
    .groupBy('trainee_groups.name', 'people.name')
    .orderByRaw('count(*) desc')
    .select<{ group: string; supervisor: string | null }[]>(
      'trainee_groups.name as group',
      'people.name as supervisor',
    );

/** Who leads a group in a session of the school. */
export const supervisedIn = (db: Knex, school: string, session: string): Promise<string[]> =>
  db('session_groups')
    .join('sessions', 'sessions.id', 'session_groups.session')
    .where({ 'sessions.school': school, session })
    .pluck('session_groups.supervisor');

/** One opening that is planned, with its session. */
export interface PlannedRow {
  readonly session: string;
  readonly site: string;
  readonly zone: string;
  readonly from: Date;
  readonly to: Date;
  readonly group: string;
  readonly group_name: string;
  readonly staff: 0 | 1;
  readonly hive: string;
  readonly supervisor: string;
  readonly starts_at: Date;
}

/** Openings that a plan may move: planned between two moments by no hand, and none has begun. */
export const plannedFrom = (db: Knex, school: string, from: Date, until: Date): Promise<PlannedRow[]> =>
  planned(db, school, from, until).where('sessions.by_hand', false);

/** Openings of sessions that were made by hand and are still to be held. */
export const handMade = (db: Knex, school: string, from: Date, until: Date): Promise<PlannedRow[]> =>
  planned(db, school, from, until).where('sessions.by_hand', true);

const planned = (db: Knex, school: string, from: Date, until: Date) =>
  db('sessions')
    .join('session_groups', 'session_groups.session', 'sessions.id')
    .join('trainee_groups', 'trainee_groups.id', 'session_groups.trainee_group')
    .join('sites', 'sites.id', 'sessions.site')
    .where('sessions.school', school)
    .where('sessions.status', 'planned')
    .where('sessions.starts_at', '>', from)
    .where('sessions.starts_at', '<', until)
    .whereNotExists(db('visits').whereRaw('visits.session = sessions.id').select(db.raw('1')))
    .orderBy('sessions.starts_at')
    .orderBy('session_groups.starts_at')
    .select<PlannedRow[]>(
      'sessions.id as session',
      'sessions.site',
      'sites.zone',
      'sessions.starts_at as from',
      'sessions.ends_at as to',
      'session_groups.trainee_group as group',
      'trainee_groups.name as group_name',
      'trainee_groups.staff',
      'session_groups.hive',
      'session_groups.supervisor',
      'session_groups.starts_at',
    );

/** Openings of sessions that have begun since a moment: nothing that is planned now changes them. */
export const begunSince = (db: Knex, school: string, from: Date, now: Date) =>
  db('sessions')
    .join('session_groups', 'session_groups.session', 'sessions.id')
    .where('sessions.school', school)
    .whereNot('sessions.status', 'called-off')
    .where('sessions.starts_at', '>=', from)
    .where(
      (begun) =>
        void begun
          .where('sessions.starts_at', '<=', now)
          .orWhereExists(db('visits').whereRaw('visits.session = sessions.id').select(db.raw('1'))),
    )
    .where('sessions.starts_at', '<=', new Date(now.getTime() + DAY))
    .select<{ group: string; hive: string }[]>('session_groups.trainee_group as group', 'session_groups.hive');

/** Takes planned sessions out, with their openings. */
export async function dropSessions(db: Knex, school: string, ids: readonly string[], at: Date): Promise<void> {
  const rows = await sessions(db, school).whereIn('sessions.id', ids).select();
  const groups = await db<SessionGroupRow>('session_groups')
    .whereIn(
      'session',
      rows.map(({ id }) => id),
    )
    .select();
  for (const session of rows)
    await db('dropped_sessions')
      .insert({
        id: session.id,
        school,
        session: JSON.stringify(session),
        groups: JSON.stringify(groups.filter((each) => each.session === session.id)),
        dropped_at: at,
      })
      .onConflict('id')
      .merge();
  const own = db('sessions').where({ school }).whereIn('id', ids).select('id');
  await db('session_groups').whereIn('session', own).delete();
  await db('sessions').where({ school }).whereIn('id', ids).delete();
}

/** A session that a plan let go, where somebody was to lead in it or leads the school. */
export async function droppedSession(db: Knex, actor: Actor, id: string): Promise<SessionRow | undefined> {
  const row = await db<DroppedRow>('dropped_sessions').where({ school: actor.school, id }).first();
  if (!row) return undefined;
  const groups = fromJson(row.groups) as SessionGroupRow[];
  if (actor.role !== 'lead' && !groups.some(({ supervisor }) => supervisor === actor.id)) return undefined;
  return fromJson(row.session) as SessionRow;
}

/** Brings back a session that a plan let go: a device without signal had it prepared, and it was held. */
export async function reviveSession(trx: Knex, school: string, id: string): Promise<void> {
  const row = await trx<DroppedRow>('dropped_sessions').where({ school, id }).forUpdate().first();
  if (!row || (await trx('sessions').where({ id }).first('id'))) return;
  const { starts_at, ends_at, ...session } = fromJson(row.session) as SessionRow;
  const groups = fromJson(row.groups) as SessionGroupRow[];
  await insertSession(
    trx,
    { ...session, starts_at: new Date(starts_at), ends_at: new Date(ends_at) },
    groups.map(({ session: _, ...group }) => ({ ...group, starts_at: new Date(group.starts_at) })),
  );
  await trx('dropped_sessions').where({ school, id }).delete();
}

/** Locks a session, so that what is opened in it is opened one after another. */
export const lockSession = (trx: Knex, id: string) => trx('sessions').where({ id }).forUpdate().first<object>('id');

interface DroppedRow {
  readonly id: string;
  readonly school: string;
  readonly session: unknown;
  readonly groups: unknown;
}

const fromJson = (value: unknown): unknown => (typeof value === 'string' ? JSON.parse(value) : value);

/** Trainees of the groups that a supervisor leads or has led. */
export const learnersLedBy = (db: Knex, supervisor: string): Promise<string[]> =>
  db('session_groups')
    .join('group_members', 'group_members.trainee_group', 'session_groups.trainee_group')
    .join('people', 'people.id', 'group_members.person')
    .where('session_groups.supervisor', supervisor)
    .whereNull('people.erased_at')
    .distinct()
    .pluck('people.id');

/** Replaces the parts of a session. */
export async function replaceParts(
  trx: Knex,
  session: string,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<void> {
  await trx('session_groups').where({ session }).delete();
  await insertParts(trx, session, groups);
}

/** Whether a hive was opened in a session. */
export const wasBegun = async (db: Knex, session: string): Promise<boolean> =>
  (await db('visits').where({ session }).first<object | undefined>('id')) !== undefined;

/** A session with its version and why it was called off, if it was. */
export const sessionRecord = (db: Knex, school: string, id: string) =>
  db('sessions')
    .where({ school, id })
    .first<(SessionRow & { version: number; called_off: CalledOff | null }) | undefined>();

/** How often each supervisor led each group. */
export const ledCounts = (db: Knex, school: string) =>
  db('session_groups')
    .join('sessions', 'sessions.id', 'session_groups.session')
    .where('sessions.school', school)
    .groupBy('session_groups.trainee_group', 'session_groups.supervisor')
    .select<{ group: string; supervisor: string; times: number }[]>(
      'session_groups.trainee_group as group',
      'session_groups.supervisor',
      db.raw('count(*) as times'),
    );
