import type { DOOR_EVENTS } from '@brave-comb/contract';
import type { Knex } from 'knex';
import { saidIn } from '../../database/said-in';

/** What is written down of the doors: who came in, who did not, what was taken out. */
export type AuditWhat = (typeof DOOR_EVENTS)[number];

export interface AuditEntry {
  readonly school: string | null;
  readonly person: string | null;
  readonly what: AuditWhat;
  /** Whom or what it was about; never a password. */
  readonly about: string;
  readonly address: string;
}

/** Writes a line of the audit log, by the machine's own clock. */
export const audit = (db: Knex, entry: AuditEntry): Promise<unknown> =>
  db('audit_log').insert({
    ...entry,
    about: entry.about.slice(0, 200),
    address: entry.address.slice(0, 60),
    at: new Date(),
  });

/** Lines of a school before a moment that some words are said in, the newest first. */
export const auditOf = (db: Knex, school: string, before: Date, words: string, count: number) =>
  db('audit_log')
    .leftJoin('people', 'people.id', 'audit_log.person')
    .where('audit_log.school', school)
    .where('audit_log.at', '<', before)
    .where(saidIn(words, ['audit_log.about', 'people.name']))
    .orderBy('audit_log.seq', 'desc')
    .limit(count)
    .select<(AuditEntry & { readonly at: Date; readonly name: string | null })[]>('audit_log.*', 'people.name');

/** Who has read somebody's emergency note, the newest first. */
export const readingsOf = (db: Knex, school: string, person: string) =>
  db('audit_log')
    .leftJoin('people', 'people.id', 'audit_log.person')
    .where({ 'audit_log.school': school, about: person })
    .whereIn('what', ['note-read', 'note-on-sheet'])
    .orderBy('audit_log.seq', 'desc')
    .limit(50)
    .select<{ at: Date; name: string | null }[]>('audit_log.at', 'people.name');

/** Whose notes somebody was shown on a sheet since a moment. */
export const notesShownSince = async (db: Knex, person: string, since: Date): Promise<ReadonlySet<string>> =>
  new Set(
    await db('audit_log').where({ person, what: 'note-on-sheet' }).where('at', '>', since).pluck<string[]>('about'),
  );
