import type { Knex } from 'knex';

/** What is written down of the doors: who came in, who did not, what was taken out. */
export type AuditWhat =
  | 'signed-in'
  | 'sign-in-refused'
  | 'sign-in-slowed-down'
  | 'signed-out'
  | 'person-erased'
  | 'records-taken-out'
  | 'demo-begun-again';

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

/** The newest lines of a school. */
export const auditOf = (db: Knex, school: string, count: number) =>
  db('audit_log')
    .leftJoin('people', 'people.id', 'audit_log.person')
    .where('audit_log.school', school)
    .orderBy('audit_log.seq', 'desc')
    .limit(count)
    .select<(AuditEntry & { readonly seq: number; readonly at: Date; readonly name: string | null })[]>(
      'audit_log.*',
      'people.name',
    );
