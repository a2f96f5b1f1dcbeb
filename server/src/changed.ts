import type { Actor, Context } from './context';
import type { Db } from './database/db';
import { iso } from './dates';
import {
  type Values,
  type Version,
  type Versioned,
  type VersionedRow,
  changeVersion,
  changersOf,
  writeChanges,
} from './database/versioned-store';
import { Refusal, notFound } from './problem';
import { type Thing, say } from './words';

const THING: Readonly<Record<Versioned, Thing>> = {
  sites: 'site',
  hives: 'hive',
  people: 'person',
  sessions: 'session',
  trainee_groups: 'group',
};

/**
 * Changes a record that somebody read before: what another has changed meanwhile is never written over unseen, and what differs is written
 * down.
 *
 * @param also what else was changed with it, told by name
 * @throws Refusal 404 where there is none, 409 with who changed it and when
 */
export async function changeRecord(
  trx: Db,
  { clock }: Context,
  actor: Actor,
  table: Versioned,
  which: Omit<Version, 'school'>,
  change: object,
  also?: { readonly was: Values; readonly is: Values },
): Promise<void> {
  const version = { school: actor.school, ...which };
  const done = await changeVersion(trx, table, version, actor.id, clock.now(), change, also);
  if (done === 'gone') throw notFound(THING[table]);
  if (done !== 'changed')
    throw new Refusal(
      409,
      'changed-meanwhile',
      say('changed-meanwhile', { by: done.by, at: done.at === null ? null : iso(done.at) }),
    );
}

/** Writes down that records were made. */
export const recordsMade = (
  trx: Db,
  { clock }: Context,
  actor: Actor,
  thing: Versioned,
  made: readonly { readonly id: string; readonly name: string }[],
): Promise<void> =>
  writeChanges(
    trx,
    made.map(({ id, name }) => ({
      school: actor.school,
      person: actor.id,
      at: clock.now(),
      thing,
      record: id,
      name,
      was: null,
      is: null,
    })),
  );

/** Shows of each record who changed it last, and when. */
export async function lastChanges(db: Db, rows: readonly VersionedRow[]) {
  const names = await changersOf(db, rows);
  return ({ changed_by, changed_at, version, retired_at }: VersionedRow) => ({
    version,
    retired: retired_at === null ? null : iso(retired_at),
    changed:
      changed_by === null || changed_at === null ? null : { by: names.get(changed_by) ?? '', at: iso(changed_at) },
  });
}
