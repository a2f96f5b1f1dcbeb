import { say } from '../../words';
import type { Person, Role, SchoolHome } from '@brave-comb/contract';
import { hash, verify } from '@node-rs/argon2';
import { v7 as uuid } from 'uuid';
import type { Actor, Context, Units } from '../../context';
import type { Body } from '../../body';
import { revise } from '../../database/revision-store';
import { Refusal } from '../../problem';
import {
  writeHousePractice,
  insertGroup,
  insertPerson,
  insertSchool,
  keepUnits,
  personBySignIn,
  unitsOf,
} from './store';

/** Argon2id with 19 MiB and two passes, the least that OWASP's Password Storage Cheat Sheet asks for. */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** A password as it is kept. */
export const hashed = (password: string): Promise<string> => hash(password, ARGON2ID);

/** Checked against when a name is unknown, so that the answer takes the same time. */
const nobodysHash = hashed('no person has this password');

/**
 * Checks a name and a password.
 *
 * @returns the person
 * @throws Refusal 401, the same for an unknown name and a wrong password
 */
export async function checkSignIn({ db }: Context, name: string, password: string): Promise<Actor> {
  const person = await personBySignIn(db, name.toLowerCase());
  const right = await verify(person?.password_hash ?? (await nobodysHash), password);
  if (!person || !right) {
    throw new Refusal(401, 'not-signed-in', say('wrong-password'));
  }
  return {
    id: person.id,
    name: person.name,
    role: person.role,
    owner: Boolean(person.owner),
    school: person.school,
    schoolName: person.school_name,
  };
}

/** A person as the contract shows one. */
export const shown = (actor: Actor, units: Units): Person => ({
  id: actor.id,
  name: actor.name,
  role: actor.role,
  owner: actor.owner ?? false,
  school: { id: actor.school, name: actor.schoolName },
  units,
});

/** Keeps in which units somebody reads, and by a lead those of the school. */
export async function chooseUnits(
  { db }: Context,
  actor: Actor,
  { own, school }: Body<'chooseUnits'>,
): Promise<Person> {
  if (school !== undefined && actor.role !== 'lead') throw new Refusal(403, 'not-allowed', say('not-allowed'));
  await revise(db, actor.school, async (trx) => {
    await keepUnits(trx, actor.id, own);
    if (school !== undefined) await writeHousePractice(trx, actor.school, { units: school });
  });
  return shown(actor, await unitsOf(db, actor.id));
}

export async function addSchool(
  { db }: Context,
  name: string,
  practice: object,
  home: SchoolHome | null = null,
): Promise<string> {
  const id = uuid();
  await insertSchool(db, { id, name, practice, home });
  return id;
}

export interface NewPerson {
  readonly school: string;
  readonly name: string;
  readonly signIn: string;
  readonly password: string;
  readonly role: Role;
  readonly emergencyNote?: string | undefined;
  readonly owner?: boolean;
}

export async function addPerson({ db }: Context, person: NewPerson): Promise<string> {
  const id = uuid();
  await insertPerson(db, {
    id,
    school: person.school,
    name: person.name,
    sign_in: person.signIn.toLowerCase(),
    password_hash: await hashed(person.password),
    role: person.role,
    emergency_note: person.emergencyNote ?? null,
    owner: person.owner ?? false,
  });
  return id;
}

export async function addGroup(
  { db }: Context,
  school: string,
  name: string,
  members: readonly string[],
): Promise<string> {
  const id = uuid();
  await insertGroup(db, { id, school, name }, members);
  return id;
}
