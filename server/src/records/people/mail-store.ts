import type { Text } from '@brave-comb/core/language';
import type { UnitSystem } from '@brave-comb/core/units';
import type { Knex } from 'knex';

/** A message that is to go out as a mail. */
export interface UnsentRow {
  readonly id: string;
  readonly mail: string;
  readonly name: string;
  readonly school_name: string;
  readonly units: UnitSystem | null;
  readonly subject: Text;
  readonly lines: readonly Text[];
  readonly mail_tries: number;
}

/** Tries after which a mail is given up. */
export const MOST_TRIES = 6;

/** Messages since a moment of people with an address that no mail has gone out for, the oldest first. */
export const unsentMails = (db: Knex, since: Date, now: Date, count: number): Promise<UnsentRow[]> =>
  db('messages')
    .join('people', 'people.id', 'messages.person')
    .join('schools', 'schools.id', 'messages.school')
    .whereNull('messages.mailed_at')
    .where('messages.at', '>=', since)
    .where('messages.mail_tries', '<', MOST_TRIES)
    .where((due) => void due.whereNull('messages.mail_next').orWhere('messages.mail_next', '<=', now))
    .whereNotNull('people.mail')
    .whereNull('people.retired_at')
    .whereNull('people.erased_at')
    .orderBy('messages.at')
    .limit(count)
    .select<UnsentRow[]>(
      'messages.id',
      'messages.subject',
      'messages.lines',
      'messages.mail_tries',
      'people.mail',
      'people.name',
      'people.units',
      'schools.name as school_name',
    );

export const mailSent = (db: Knex, id: string, at: Date): Promise<number> =>
  db('messages').where({ id }).update({ mailed_at: at, mail_fault: null });

export const mailFailed = (db: Knex, id: string, tries: number, next: Date, fault: string): Promise<number> =>
  db('messages')
    .where({ id })
    .update({ mail_tries: tries, mail_next: next, mail_fault: fault.slice(0, 200) });

/** Whom a lost password may be of: by sign-in name or by address, those who can be written to. */
export const lostBy = (
  db: Knex,
  name: string,
): Promise<{ id: string; name: string; school: string; school_name: string; mail: string }[]> =>
  db('people')
    .join('schools', 'schools.id', 'people.school')
    .where((known) => void known.where('people.sign_in', name).orWhereRaw('lower(people.mail) = ?', [name]))
    .whereNotNull('people.mail')
    .whereNot('people.password_hash', '')
    .whereNull('people.retired_at')
    .whereNull('people.erased_at')
    .orderBy('people.id')
    .limit(5)
    .select('people.id', 'people.name', 'people.school', 'schools.name as school_name', 'people.mail');
