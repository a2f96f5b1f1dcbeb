import type { Role, SchoolHome } from '@brave-comb/contract';
import type { Knex } from 'knex';
import type { VersionedRow } from '../../database/versioned-store';
import type { GroupRow } from './group-store';

/** Somebody of a school, with whether and how they get in. */
export interface MemberRow extends VersionedRow {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly owner: 0 | 1;
  readonly mail: string | null;
  readonly sign_in: string;
  readonly password_hash: string;
  readonly note: 0 | 1;
  readonly invited_until: Date | null;
  readonly last_here: Date | null;
}

/** Everybody of a school who was not erased, by name, retired ones last. */
export const membersOf = (db: Knex, school: string): Promise<MemberRow[]> =>
  db('people')
    .where({ school })
    .whereNull('erased_at')
    .orderByRaw('retired_at is not null, name')
    .select<MemberRow[]>(
      'people.*',
      db.raw('emergency_note is not null as note'),
      db('invitations')
        .max('until')
        .whereRaw('invitations.person = people.id')
        .whereNull('used_at')
        .as('invited_until'),
      db('audit_log').max('at').whereRaw('audit_log.person = people.id').where('what', 'signed-in').as('last_here'),
    );

/** Groups of trainees of a school by name, ended ones last. */
export const everyGroup = (db: Knex, school: string): Promise<(GroupRow & VersionedRow)[]> =>
  db('trainee_groups')
    .where({ school, staff: 0 })
    .orderByRaw('retired_at is not null, name')
    .select<(GroupRow & VersionedRow)[]>();

/** Who belongs to which group of a school. */
export const memberships = (db: Knex, school: string): Promise<{ trainee_group: string; person: string }[]> =>
  db('group_members')
    .join('trainee_groups', 'trainee_groups.id', 'group_members.trainee_group')
    .where('trainee_groups.school', school)
    .select('group_members.trainee_group', 'group_members.person');

export const insertMember = (
  db: Knex,
  row: {
    readonly id: string;
    readonly school: string;
    readonly name: string;
    readonly role: Role;
    readonly mail: string | null;
    readonly emergency_note: string | null;
  },
) => db('people').insert({ ...row, ...noWayIn(row.id) });

/** How somebody gets in who has not chosen it yet: by a sign-in name that nobody can type. */
export const noWayIn = (id: string) => ({ sign_in: `not yet ${id}`, password_hash: '' });

/** Whether somebody has chosen how to sign in. */
export const mayTypeName = (signIn: string): boolean => !signIn.includes(' ');

export const joinGroups = async (db: Knex, person: string, groups: readonly string[]): Promise<void> => {
  if (groups.length > 0)
    await db('group_members')
      .insert(groups.map((group) => ({ trainee_group: group, person })))
      .onConflict(['trainee_group', 'person'])
      .ignore();
};

export const leaveGroups = (db: Knex, person: string): Promise<number> =>
  db('group_members').where({ person }).delete();

/** Ends sessions of somebody, except one. */
export const endSessions = (db: Knex, person: string, except = ''): Promise<number> =>
  db('web_sessions').where({ person }).whereNot('sid', except).delete();

export const keepPassword = (db: Knex, person: string, signIn: string, hash: string) =>
  db('people').where({ id: person }).update({ sign_in: signIn, password_hash: hash });

export const noteOf = async (db: Knex, school: string, id: string): Promise<string | null | undefined> => {
  const row = await db('people')
    .where({ school, id })
    .whereNull('erased_at')
    .first<{ emergency_note: string | null } | undefined>('emergency_note');
  return row === undefined ? undefined : row.emergency_note;
};

/** Where a school is at home, as its owner said when it was opened. */
export const schoolHome = async (db: Knex, id: string): Promise<SchoolHome | null> =>
  (await db('schools').where({ id }).first<{ home: SchoolHome | null }>('home')).home;
