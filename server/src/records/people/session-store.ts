import type { UnitSystem } from '@brave-comb/core/units';
import { DEFAULT_PRACTICE } from '@brave-comb/core/house';
import type { Role } from '@brave-comb/contract';
import { DAY } from '@brave-comb/core/units';
import { type SessionData, Store } from 'express-session';
import { batched } from '../../database/batched';
import type { Db } from '../../database/db';

/** A session that is not used ends after this, ms. */
const IDLE = 14 * DAY;
/** Every session ends this long after signing in, ms. */
export const SIGNED_IN_AT_MOST = 60 * DAY;
/** How often a session that is used is written down as used, ms. */
const TOUCH_EVERY = 60_000;
/** Sessions of which this process remembers when they were last touched. */
const REMEMBERED = 10_000;

interface Row {
  readonly sid: string;
  readonly sess: SessionData | string;
  readonly expired: Date;
  readonly person: string | null;
  readonly started_at: Date;
}

interface RowWithPerson extends Row {
  readonly name: string | null;
  readonly role: Role | null;
  readonly owner: 0 | 1 | null;
  readonly school: string | null;
  readonly school_name: string | null;
  readonly units: UnitSystem | null;
  readonly school_units: UnitSystem | null;
  readonly revision: string | number | null;
}

/**
 * Signed-in sessions in the database, read with the person and the school's revision as they are now: a role that was taken away is gone at the
 * next request.
 *
 * A database that does not answer is told to whoever asked, as a refusal of that one request: nothing is thrown where nobody listens. Being
 * used is written down at most once a minute, and failing at it refuses nobody.
 */
export class SessionStore extends Store {
  private readonly touched = new Map<string, number>();

  constructor(private readonly db: Db) {
    super();
  }

  override get(sid: string, done: (error: unknown, session?: SessionData | null) => void): void {
    answer(this.read(sid), done);
  }

  private readonly living = batched<RowWithPerson>(async (sids) => {
    const rows = await living(this.db)
      .whereIn('sid', sids)
      .leftJoin('people', 'people.id', 'web_sessions.person')
      .leftJoin('schools', 'schools.id', 'people.school')
      .whereNull('people.erased_at')
      .whereNull('people.retired_at')
      .select<RowWithPerson[]>(
        'web_sessions.*',
        'people.name',
        'people.role',
        'people.owner',
        'people.school',
        'schools.name as school_name',
        'people.units',
        this.db.raw("json_value(schools.practice, '$.units') as school_units"),
        this.db.raw('(select sum(number) from revisions where revisions.school = people.school) as revision'),
      );
    return new Map(rows.map((row) => [row.sid, row]));
  });

  private async read(sid: string): Promise<SessionData | null> {
    const row = await this.living(sid);
    if (!row) return null;
    const session = (typeof row.sess === 'string' ? JSON.parse(row.sess) : row.sess) as SessionData;
    if (!session.actor) return session;
    const { person: id, name, role, school, school_name: schoolName } = row;
    if (id === null || name === null || role === null || school === null || schoolName === null) return null;
    const actor = { id, name, role, owner: Boolean(row.owner), school, schoolName };
    const units = { own: row.units, school: row.school_units ?? DEFAULT_PRACTICE.units };
    return { ...session, actor, units, revision: Number(row.revision ?? 0) };
  }

  override set(sid: string, session: SessionData, done?: (error?: unknown) => void): void {
    const now = new Date();
    const change = { sess: JSON.stringify(session), expired: expiry(), person: session.actor?.id ?? null };
    answer(
      this.db('web_sessions')
        .insert({ sid, ...change, started_at: now })
        .onConflict('sid')
        .merge(change),
      done,
    );
  }

  override destroy(sid: string, done?: (error?: unknown) => void): void {
    this.touched.delete(sid);
    answer(this.db('web_sessions').where({ sid }).delete(), done);
  }

  override touch(sid: string, _session: SessionData, done?: () => void): void {
    const now = Date.now();
    if (now - (this.touched.get(sid) ?? 0) >= TOUCH_EVERY) {
      if (this.touched.size >= REMEMBERED) this.touched.clear();
      this.touched.set(sid, now);
      this.db('web_sessions')
        .where({ sid })
        .update({ expired: expiry() })
        .catch(() => this.touched.delete(sid));
    }
    done?.();
  }
}

const expiry = (): Date => new Date(Date.now() + IDLE);

/** Sessions that have not ended. */
const living = (db: Db) =>
  db('web_sessions')
    .where('expired', '>', new Date())
    .where('started_at', '>', new Date(Date.now() - SIGNED_IN_AT_MOST));

/** The sessions of somebody that have not ended. */
export async function sessionsOf(db: Db, person: string) {
  const rows = await living(db).where({ person }).select<Row[]>();
  return rows.map(({ sid, sess, started_at, expired }) => {
    const { device = '' } = (typeof sess === 'string' ? JSON.parse(sess) : sess) as SessionData;
    return { sid, started_at, used_at: new Date(expired.getTime() - IDLE), device };
  });
}

export const endSession = (db: Db, sid: string): Promise<number> => db('web_sessions').where({ sid }).delete();

/** Whether a session goes on: what streams ask now and then. */
export const sessionGoesOn = async (db: Db, sid: string): Promise<boolean> => {
  const row = await living(db).where({ sid }).whereNotNull('person').first<object | undefined>('sid');
  return row !== undefined;
};

/** Deletes sessions that have ended; errors wait for the next time. */
export const sweepSessions = (db: Db): Promise<unknown> =>
  db('web_sessions')
    .where('expired', '<', new Date())
    .orWhere('started_at', '<', new Date(Date.now() - SIGNED_IN_AT_MOST))
    .delete();

function answer<T>(asked: PromiseLike<T>, done?: (error: unknown, found?: T) => void): void {
  asked.then(
    (found) => done?.(null, found),
    (error: unknown) => done?.(error),
  );
}
