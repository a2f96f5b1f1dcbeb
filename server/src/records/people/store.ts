import type { Role, SchoolHome } from '@brave-comb/contract';
import type { UnitSystem } from '@brave-comb/core/units';
import type { Knex } from 'knex';
import type { Units } from '../../context';
import { DEFAULT_PRACTICE, type HousePractice } from '@brave-comb/core/house';

export interface PersonRow {
  readonly id: string;
  readonly school: string;
  readonly name: string;
  readonly sign_in: string;
  readonly password_hash: string;
  readonly role: Role;
  readonly emergency_note: string | null;
  readonly owner: boolean | 0 | 1;
}

export const insertSchool = (db: Knex, row: { id: string; name: string; practice: object; home: SchoolHome | null }) =>
  db('schools').insert({
    ...row,
    practice: JSON.stringify(row.practice),
    home: row.home && JSON.stringify(row.home),
  });

export const insertPerson = (db: Knex, row: PersonRow) => db('people').insert(row);

export const personBySignIn = (db: Knex, signIn: string) =>
  db<PersonRow>('people')
    .join('schools', 'schools.id', 'people.school')
    .where('people.sign_in', signIn)
    .whereNull('people.retired_at')
    .first<(PersonRow & { school_name: string }) | undefined>('people.*', 'schools.name as school_name');

export const signInOf = async (db: Knex, id: string): Promise<string> =>
  (await db('people').where({ id }).first<{ sign_in: string }>('sign_in')).sign_in;

export const peopleOf = (db: Knex, school: string, ids: readonly string[]): Promise<PersonRow[]> =>
  db<PersonRow>('people').where({ school }).whereIn('id', ids).select();

export async function insertGroup(
  db: Knex,
  row: { id: string; school: string; name: string },
  members: readonly string[],
): Promise<void> {
  await db('trainee_groups').insert(row);
  if (members.length > 0)
    await db('group_members').insert(members.map((person) => ({ trainee_group: row.id, person })));
}

/** Trainees of some groups, in the order of their names. */
export const traineesOf = (db: Knex, school: string, groups: readonly string[]) =>
  db('group_members')
    .join('people', 'people.id', 'group_members.person')
    .where('people.school', school)
    .whereIn('group_members.trainee_group', groups)
    .whereNull('people.retired_at')
    .orderBy('people.name')
    .select<{ group: string; id: string; name: string; emergency_note: string | null }[]>(
      'group_members.trainee_group as group',
      'people.id',
      'people.name',
      'people.emergency_note',
    );

/** Ids of all trainees of a school, without those who were erased or have left. */
export const learnersOf = (db: Knex, school: string): Promise<string[]> =>
  db('people').where({ school, role: 'trainee' }).whereNull('erased_at').whereNull('retired_at').pluck('id');

export const groupsOf = (db: Knex, person: string): Promise<string[]> =>
  db('group_members').where({ person }).pluck('trainee_group');

/** In which units somebody reads: the own choice, and that of the school. */
export async function unitsOf(db: Knex, person: string): Promise<Units> {
  const row = await db('people')
    .join('schools', 'schools.id', 'people.school')
    .where('people.id', person)
    .first<{ units: UnitSystem | null; practice: OwnHousePractice }>('people.units', 'schools.practice');
  return { own: row.units, school: row.practice.units ?? DEFAULT_PRACTICE.units };
}

export const keepUnits = (db: Knex, person: string, units: UnitSystem | null) =>
  db('people').where({ id: person }).update({ units });

/** What a school has set itself; the rest is the trade's. */
export type OwnHousePractice = {
  readonly [Part in keyof HousePractice]?: HousePractice[Part] extends object
    ? Partial<HousePractice[Part]>
    : HousePractice[Part];
};

const ownHousePractice = async (db: Knex, school: string): Promise<OwnHousePractice> =>
  (await db<{ id: string; practice: OwnHousePractice }>('schools').where({ id: school }).first())?.practice ?? {};

export async function housePracticeOf(db: Knex, school: string): Promise<HousePractice> {
  const own = await ownHousePractice(db, school);
  return {
    ...DEFAULT_PRACTICE,
    ...own,
    limits: { ...DEFAULT_PRACTICE.limits, ...own.limits },
    care: { ...DEFAULT_PRACTICE.care, ...own.care },
    calendar: { ...DEFAULT_PRACTICE.calendar, ...own.calendar },
    planning: { ...DEFAULT_PRACTICE.planning, ...own.planning },
  } as HousePractice;
}

/** Changes some parts of the house practice and leaves the others as they are. */
export async function writeHousePractice(db: Knex, school: string, change: OwnHousePractice): Promise<void> {
  const own = await ownHousePractice(db, school);
  await db('schools')
    .where({ id: school })
    .update({ practice: JSON.stringify({ ...own, ...change }) });
}

/** Whether somebody signed in on a device before. */
export const knowsDevice = async (db: Knex, tokenHash: string, signIn: string): Promise<boolean> => {
  const row = await db('known_devices')
    .join('people', 'people.id', 'known_devices.person')
    .where({ 'known_devices.token_hash': tokenHash, 'people.sign_in': signIn })
    .first<object | undefined>('people.id');
  return row !== undefined;
};

/** Remembers that somebody signed in on a device; several may share one. */
export const knowDevice = (db: Knex, tokenHash: string, person: string, since: Date) =>
  db('known_devices')
    .insert({ token_hash: tokenHash, person, since })
    .onConflict(['token_hash', 'person'])
    .merge(['since']);

/** Forgets devices that nobody signed in on for long. */
export const forgetDevices = (db: Knex, before: Date) => db('known_devices').where('since', '<', before).delete();

/** Whoever changes something that a whole school shares waits here for the one before. */
export const lockSchool = (db: Knex, id: string) => db('schools').where({ id }).forUpdate().first('id');
