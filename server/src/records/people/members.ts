import type { Output, endpoints } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import type { Body } from '../../body';
import { changeRecord, lastChanges, recordsMade } from '../../changed';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { say } from '../../words';
import { audit, readingsOf, notesShownSince } from './audit-store';
import {
  type MemberRow,
  endSessions,
  everyGroup,
  insertMember,
  joinGroups,
  leaveGroups,
  mayTypeName,
  memberships,
  membersOf,
  noteOf,
} from './member-store';
import { insertGroup, lockSchool } from './store';

type Members = Output<(typeof endpoints)['members']>;

/** The people of a school and their groups. */
export async function members({ db, mail }: Context, actor: Actor): Promise<Members> {
  const [rows, groups, belongs] = await Promise.all([
    membersOf(db, actor.school),
    everyGroup(db, actor.school),
    memberships(db, actor.school),
  ]);
  const last = await lastChanges(db, [...rows, ...groups]);
  const now = new Date();
  return {
    people: rows.map((row) => ({
      id: row.id,
      name: row.name,
      role: row.role,
      owner: Boolean(row.owner),
      mail: row.mail,
      groups: belongs.filter(({ person }) => person === row.id).map((each) => each.trainee_group),
      wayIn: wayIn(row, now),
      invitedUntil: row.invited_until === null ? null : iso(row.invited_until),
      signIn: mayTypeName(row.sign_in) ? row.sign_in : null,
      lastHere: row.last_here === null ? null : iso(row.last_here),
      note: Boolean(row.note),
      ...last(row),
    })),
    groups: groups.map((row) => ({ id: row.id, name: row.name, version: row.version, retired: last(row).retired })),
    mails: mail !== undefined,
  };
}

const wayIn = (
  { password_hash: hash, invited_until: until }: MemberRow,
  now: Date,
): Members['people'][number]['wayIn'] => {
  if (hash !== '') return 'password';
  if (until === null) return 'none';
  return until > now ? 'invited' : 'invitation-over';
};

/**
 * Takes people into the school with their groups, all or none; sent twice, they are taken in once.
 *
 * @throws Refusal 403 when somebody who is not the owner adds a lead, 404 when one who is said to be known is not
 */
export async function addMembers(context: Context, actor: Actor, { people }: Body<'addMembers'>): Promise<Members> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const there = new Map((await membersOf(trx, actor.school)).map((row) => [row.id, row]));
    const groups = new Map((await everyGroup(trx, actor.school)).map(({ id, name }) => [name.toLowerCase(), id]));
    const groupCalled = async (name: string): Promise<string> => {
      const known = groups.get(name.toLowerCase());
      if (known !== undefined) return known;
      const id = uuid();
      await insertGroup(trx, { id, school: actor.school, name }, []);
      groups.set(name.toLowerCase(), id);
      return id;
    };
    const made: { id: string; name: string }[] = [];
    for (const { id, known, name, role, groups: of, mail, emergency } of people) {
      if (known && !there.has(id)) throw notFound('person');
      if (!known && !there.has(id)) {
        if (role === 'lead') await onlyOwner(trx, actor);
        await insertMember(trx, { id, school: actor.school, name, role, mail, emergency_note: emergency });
        made.push({ id, name });
      }
      const ids: string[] = [];
      for (const each of of) ids.push(await groupCalled(each));
      await joinGroups(trx, id, ids);
    }
    await recordsMade(trx, context, actor, 'people', made);
  });
  return members(context, actor);
}

async function onlyOwner(db: Db, actor: Actor): Promise<void> {
  const own = (await membersOf(db, actor.school)).find(({ id }) => id === actor.id);
  if (!own?.owner) throw new Refusal(403, 'not-allowed', say('only-the-owner'));
}

/**
 * Changes somebody. Who is taken out of a group stays on its past sessions.
 *
 * @throws Refusal 403 when a lead is made or unmade by somebody else than the owner, 409 when somebody has changed them meanwhile
 */
export async function changeMember(
  context: Context,
  actor: Actor,
  id: string,
  { version, name, role, mail, groups, emergency }: Body<'changeMember'>,
): Promise<Members> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const was = await memberOf(trx, actor, id);
    // Leads are the owner's affair, but for what a lead says of themselves without ceasing to be one.
    if ((was.role === 'lead' || role === 'lead') && (id !== actor.id || was.role !== role)) await onlyOwner(trx, actor);
    if (was.owner && role !== 'lead') throw new Refusal(409, 'owner-stays', say('owner-stays'));
    const known = new Map((await everyGroup(trx, actor.school)).map((each) => [each.id, each.name]));
    if (groups.some((group) => !known.has(group))) throw notFound('group');
    const before = (await memberships(trx, actor.school)).filter(({ person }) => person === id);
    const named = (ids: readonly string[]) =>
      ids
        .map((each) => known.get(each) ?? '')
        .toSorted()
        .join(', ');
    const [left, come] = [named(before.map((each) => each.trainee_group)), named(groups)];
    const joined = left === come ? undefined : { was: { groups: left }, is: { groups: come } };
    const note = emergency === undefined ? {} : { emergency_note: emergency };
    await changeRecord(trx, context, actor, 'people', { id, version }, { name, role, mail, ...note }, joined);
    await leaveGroups(trx, id);
    await joinGroups(trx, id, groups);
  });
  return members(context, actor);
}

async function memberOf(db: Db, actor: Actor, id: string): Promise<MemberRow> {
  const found = (await membersOf(db, actor.school)).find((row) => row.id === id);
  if (!found) throw notFound('person');
  return found;
}

/**
 * Lets somebody leave the school, or come back. Whoever left is signed out everywhere and is planned for no more.
 *
 * @throws Refusal 409 for the owner and for oneself, 403 when a lead leaves by somebody else than the owner
 */
export async function retireMember(
  context: Context,
  actor: Actor,
  id: string,
  { version, retired }: Body<'retireMember'>,
): Promise<Members> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const was = await memberOf(trx, actor, id);
    if (was.owner || id === actor.id) throw new Refusal(409, 'owner-stays', say('owner-stays'));
    if (was.role === 'lead') await onlyOwner(trx, actor);
    const at = retired ? context.clock.now() : null;
    await changeRecord(trx, context, actor, 'people', { id, version }, { retired_at: at });
    if (retired) await endSessions(trx, id);
  });
  return members(context, actor);
}

/**
 * Makes a group, or gives one another name.
 *
 * @throws Refusal 409 when another group has the name, or somebody has changed it meanwhile
 */
export async function keepGroup(
  context: Context,
  actor: Actor,
  id: string,
  { version, name }: Body<'keepGroup'>,
): Promise<Members> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const groups = await everyGroup(trx, actor.school);
    const same = groups.find((group) => group.id !== id && group.name.toLowerCase() === name.toLowerCase());
    if (same) throw new Refusal(409, 'name-in-use', say('group-name-in-use', { name: same.name }));
    if (version > 0) await changeRecord(trx, context, actor, 'trainee_groups', { id, version }, { name });
    else if (!groups.some((group) => group.id === id)) {
      await insertGroup(trx, { id, school: actor.school, name }, []);
      await recordsMade(trx, context, actor, 'trainee_groups', [{ id, name }]);
    }
  });
  return members(context, actor);
}

/** Ends a group, or begins it again. */
export async function retireGroup(
  context: Context,
  actor: Actor,
  id: string,
  { version, retired }: Body<'retireGroup'>,
): Promise<Members> {
  await revise(context.db, actor.school, (trx) =>
    changeRecord(
      trx,
      context,
      actor,
      'trainee_groups',
      { id, version },
      {
        retired_at: retired ? context.clock.now() : null,
      },
    ),
  );
  return members(context, actor);
}

/** An emergency note with those who have read it; that it is read now is written down before it is told. */
export async function readEmergencyNote(
  { db }: Context,
  actor: Actor,
  id: string,
): Promise<Output<(typeof endpoints)['readEmergencyNote']>> {
  const note = await noteOf(db, actor.school, id);
  if (note === undefined) throw notFound('person');
  await audit(db, { school: actor.school, person: actor.id, what: 'note-read', about: id, address: '' });
  const readers = await readingsOf(db, actor.school, id);
  return { note, readers: readers.map(({ at, name }) => ({ by: name ?? '', at: iso(at) })) };
}

/** A sheet that is looked at again on the same day is one reading. */
const ONE_READING = 12 * 3_600_000;

/**
 * Writes down that somebody was shown emergency notes with a sheet of a session or a hive; the own one is nobody's business.
 *
 * @param people whose notes stood there
 */
export async function notesShown({ db }: Context, actor: Actor, people: readonly string[]): Promise<void> {
  const others = people.filter((id) => id !== actor.id);
  if (others.length === 0) return;
  const shown = await notesShownSince(db, actor.id, new Date(Date.now() - ONE_READING));
  for (const about of others.filter((id) => !shown.has(id)))
    await audit(db, { school: actor.school, person: actor.id, what: 'note-on-sheet', about, address: '' });
}
