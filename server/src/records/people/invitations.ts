import type { Output, endpoints } from '@brave-comb/contract';
import { DAY } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { raiseRevision, revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { hashOf, newSecret } from '../../secrets';
import { say } from '../../words';
import { audit } from './audit-store';
import { invitationHeld, keepInvitation, signInTaken, useInvitation } from './invitation-store';
import { endSessions, keepPassword, mayTypeName, membersOf } from './member-store';
import { members } from './members';
import { checkSignIn, hashed } from './service';
import { signInOf } from './store';

/** How long a link is good for, ms. */
const GOOD_FOR = 7 * DAY;

/**
 * Makes a link by which somebody chooses a password; earlier links of theirs end. Only the owner makes one for a lead, since whoever holds
 * it becomes that person.
 *
 * @returns the link, shown this once
 */
export async function invite(
  context: Context,
  actor: Actor,
  person: string,
): Promise<Output<(typeof endpoints)['invite']>> {
  const { link, until } = await revise(context.db, actor.school, (trx) => freshInvitation(trx, actor, person));
  return { link, until: iso(until), members: await members(context, actor) };
}

/**
 * A link for somebody of the school, written down as an invitation.
 *
 * @throws Refusal 403 for a lead's by somebody else than the owner
 */
export async function freshInvitation(
  trx: Db,
  actor: Actor,
  person: string,
): Promise<{ readonly link: string; readonly until: Date }> {
  const token = newSecret();
  const now = new Date();
  const until = new Date(now.getTime() + GOOD_FOR);
  const rows = await membersOf(trx, actor.school);
  const found = rows.find(({ id, retired_at: retired }) => id === person && retired === null);
  if (!found) throw notFound('person');
  const owns = rows.find(({ id }) => id === actor.id)?.owner;
  if (found.role === 'lead' && !owns && person !== actor.id)
    throw new Refusal(403, 'not-allowed', say('only-the-owner'));
  await keepInvitation(trx, {
    id: uuid(),
    person,
    token_hash: hashOf(token),
    made_by: actor.id,
    made_at: now,
    until,
  });
  if (person !== actor.id)
    await audit(trx, { school: actor.school, person: actor.id, what: 'invited', about: found.name, address: '' });
  return { link: `/invitation#${token}`, until };
}

async function heldInvitation(trx: Db, token: string) {
  const found = await invitationHeld(trx, hashOf(token));
  if (!found || found.used_at !== null || found.until < new Date())
    throw new Refusal(404, 'invitation-over', say('invitation-over'));
  return found;
}

/** Whom an invitation is for, with a sign-in name that is free. */
export async function lookAtInvitation(
  { db }: Context,
  { token }: Body<'lookAtInvitation'>,
): Promise<Output<(typeof endpoints)['lookAtInvitation']>> {
  return db.transaction(async (trx) => {
    const found = await heldInvitation(trx, token);
    const known = mayTypeName(found.sign_in);
    return {
      name: found.name,
      school: found.school_name,
      signIn: known ? found.sign_in : await freeSignIn(trx, found),
      known,
      until: iso(found.until),
    };
  });
}

/** The mail address, or the name in small letters, with a figure where it is taken. */
async function freeSignIn(
  db: Db,
  { person, name, mail }: { readonly person: string; readonly name: string; readonly mail: string | null },
): Promise<string> {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[^\p{L}\p{N}]+/gu, '.')
    .replaceAll(/^\.|\.$/g, '');
  const wanted = [mail?.toLowerCase(), plain.split('.')[0], plain].filter(
    (each): each is string => each !== undefined && each.length >= 2 && each.length <= 70,
  );
  for (const each of wanted) if (!(await signInTaken(db, each, person))) return each;
  for (let figure = 2; ; figure += 1) {
    const each = `${(wanted.at(-1) ?? 'bee').slice(0, 70)}${figure}`;
    if (!(await signInTaken(db, each, person))) return each;
  }
}

/**
 * Chooses a password by an invitation; it is used up by that, and other sessions of that person end.
 *
 * @returns who it is, to be signed in
 * @throws Refusal 404 for a link that is over, 409 for a sign-in name that is somebody's
 */
export async function acceptInvitation(
  { db }: Context,
  { token, signIn, password }: Body<'acceptInvitation'>,
  address: string,
): Promise<Actor> {
  const hash = await hashed(password);
  return db.transaction(async (trx) => {
    const found = await heldInvitation(trx, token);
    const name = signIn.toLowerCase();
    if (await signInTaken(trx, name, found.person))
      throw new Refusal(409, 'name-in-use', say('sign-in-taken', { name }), [{ path: 'signIn', message: 'taken' }]);
    await keepPassword(trx, found.person, name, hash);
    await useInvitation(trx, found.id, new Date());
    await endSessions(trx, found.person);
    const { person: id, school, school_name: schoolName, role, owner } = found;
    await audit(trx, { school, person: id, what: 'password-chosen', about: found.name, address });
    await raiseRevision(trx, school);
    return { id, name: found.name, role, owner: Boolean(owner), school, schoolName };
  });
}

/**
 * Changes one's own password; other sessions end.
 *
 * @throws Refusal 401 when the password so far is another
 */
export async function changePassword(
  context: Context,
  actor: Actor,
  { password, next }: Body<'changePassword'>,
  session: string,
): Promise<{ readonly ended: number }> {
  const signIn = await signInOf(context.db, actor.id);
  try {
    await checkSignIn(context, signIn, password);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    // Not 401: the session goes on, only the password was another.
    throw new Refusal(422, 'not-allowed', say('another-password'), [{ path: 'password', message: 'another' }]);
  }
  const hash = await hashed(next);
  return revise(context.db, actor.school, async (trx) => {
    await keepPassword(trx, actor.id, signIn, hash);
    await audit(trx, {
      school: actor.school,
      person: actor.id,
      what: 'password-changed',
      about: actor.name,
      address: '',
    });
    return { ended: await endSessions(trx, actor.id, session) };
  });
}
