import type { Knex } from 'knex';
import type { Actor } from '../../context';
import { seenBy } from '../../inspection/store';

export interface SignatureRow {
  readonly id: string;
  readonly school: string;
  readonly session: string;
  readonly revision: string;
  readonly parts: readonly string[];
  readonly by: string;
  readonly at: Date;
}

/** Keeps a signature once. */
export const insertSignature = (db: Knex, row: SignatureRow) =>
  db('debrief_signatures')
    .insert({ ...row, parts: JSON.stringify(row.parts) })
    .onConflict('id')
    .ignore();

export const lastSignature = (db: Knex, school: string, session: string) =>
  db('debrief_signatures')
    .join('people', 'people.id', 'debrief_signatures.by')
    .where({ 'debrief_signatures.school': school, session })
    .orderBy('debrief_signatures.at', 'desc')
    .select<(SignatureRow & { by_name: string })[]>('debrief_signatures.*', 'people.name as by_name')
    .first();

export interface SentBackRow {
  readonly id: string;
  readonly school: string;
  readonly session: string;
  readonly supervisor: string;
  readonly note: string;
  readonly by: string;
  readonly at: Date;
}

export const sentBackById = (db: Knex, school: string, id: string): Promise<SentBackRow | undefined> =>
  db<SentBackRow>('debriefs_sent_back').where({ school, id }).first();

export const insertSentBack = (db: Knex, row: SentBackRow) => db('debriefs_sent_back').insert(row);

export const sentBackOf = (db: Knex, school: string, session: string) =>
  db('debriefs_sent_back')
    .join('people as supervisors', 'supervisors.id', 'debriefs_sent_back.supervisor')
    .join('people as leads', 'leads.id', 'debriefs_sent_back.by')
    .where({ 'debriefs_sent_back.school': school, session })
    .orderBy('debriefs_sent_back.at', 'desc')
    .select<(SentBackRow & { to_name: string; by_name: string })[]>(
      'debriefs_sent_back.*',
      'supervisors.name as to_name',
      'leads.name as by_name',
    );

/** Sessions with visits that somebody may see, the newest first. */
export const visitedSessions = (db: Knex, actor: Actor, most: number) =>
  seenBy(
    db('visits')
      .join('sessions', 'sessions.id', 'visits.session')
      .join('sites', 'sites.id', 'sessions.site')
      .join('trainee_groups', 'trainee_groups.id', 'visits.trainee_group')
      .where('visits.school', actor.school)
      .groupBy('sessions.id', 'sessions.starts_at', 'sites.zone', 'sites.name')
      .orderBy('sessions.starts_at', 'desc')
      .limit(most)
      .select<{ id: string; starts_at: Date; zone: string; site: string; groups: string }[]>(
        'sessions.id',
        'sessions.starts_at',
        'sites.zone',
        'sites.name as site',
        db.raw("group_concat(distinct trainee_groups.name order by trainee_groups.name separator ', ') as `groups`"),
      ),
    db,
    actor,
  );

/** Who held frames and who was there in each visit of a group with a kept rota, oldest first, up to a moment. */
export const rotasOf = (db: Knex, school: string, group: string, until: Date) =>
  db('visits')
    .where({ school, trainee_group: group })
    .where('started_at', '<=', until)
    .whereNotNull('rota')
    .orderBy('started_at')
    .select<{ id: string; rota: readonly { readonly roles: Readonly<Record<string, readonly string[]>> }[] }[]>(
      'id',
      'rota',
    );

/** Follow-ups that visits of a session made. */
export const followUpsOfSession = (db: Knex, school: string, session: string) =>
  db('follow_ups')
    .join('visits', 'visits.id', 'follow_ups.visit')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .where({ 'follow_ups.school': school, 'visits.session': session })
    .orderBy('follow_ups.due')
    .select<{ question: string; due: string; hive: string; bring: string | null }[]>(
      'follow_ups.question',
      'follow_ups.due',
      'hives.number as hive',
      'follow_ups.bring',
    );
