import type { Knex } from 'knex';

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
