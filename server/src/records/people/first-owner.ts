import { randomInt, timingSafeEqual } from 'node:crypto';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { Refusal } from '../../problem';
import { hashOf } from '../../secrets';
import { say } from '../../words';
import { audit } from './audit-store';
import { addPerson, addSchool } from './service';
import { anySchool, countTry, dropStartCode, keepStartCode, startCode, startCodeHeld } from './start-code-store';

const TRIES = 5;
const PAUSE = 2 * 60_000;

/**
 * Makes the code with which somebody becomes the first owner of an installation that holds no school.
 *
 * @param db database
 * @returns six digits, to be shown where the server was started and nowhere else; `null` where there is a school
 */
export async function newStartCode(db: Db): Promise<string | null> {
  if (await anySchool(db)) {
    await dropStartCode(db);
    return null;
  }
  const code = `${randomInt(1_000_000)}`.padStart(6, '0');
  await keepStartCode(db, hashOf(code));
  return code;
}

/** Whether the installation waits for its first owner. */
export const awaitsOwner = async (db: Db): Promise<boolean> => (await startCode(db)) !== undefined;

/**
 * Opens the first school of an installation, with its owner, who is a lead instructor in it.
 *
 * @returns the owner, to be signed in
 * @throws Refusal 409 when there is an owner, 429 after too many wrong codes, 422 for a wrong code
 */
export async function beginSchool(context: Context, wish: Body<'beginSchool'>, address: string): Promise<Actor> {
  const { db } = context;
  if (!(await awaitsOwner(db))) throw new Refusal(409, 'has-owner', say('has-owner'));
  const now = new Date();
  if (!(await countTry(db, TRIES, new Date(now.getTime() - PAUSE), now)))
    throw new Refusal(
      429,
      'too-many-tries',
      say('wait-with-code', { minutes: PAUSE / 60_000 }),
      undefined,
      PAUSE / 1000,
    );
  return db.transaction(async (trx) => {
    const waiting = await startCodeHeld(trx);
    if (!waiting) throw new Refusal(409, 'has-owner', say('has-owner'));
    if (!timingSafeEqual(Buffer.from(hashOf(wish.code)), Buffer.from(waiting.code_hash)))
      throw new Refusal(422, 'wrong-code', say('wrong-code', { left: TRIES - waiting.tries }), [
        { path: 'code', message: 'wrong code' },
      ]);
    const within: Context = { ...context, db: trx };
    const { name, signIn, password } = wish;
    const school = await addSchool(within, wish.school, { units: wish.units }, wish.home);
    const id = await addPerson(within, { school, name, signIn, password, role: 'lead', owner: true });
    await dropStartCode(trx);
    await audit(trx, { school, person: id, what: 'school-begun', about: wish.school, address });
    return { id, name, role: 'lead', owner: true, school, schoolName: wish.school };
  });
}
