import type { Text } from '@brave-comb/core/language';
import { MINUTE } from '@brave-comb/core/weather';
import { DateTime } from 'luxon';
import type { Body } from '../../body';
import { changeRecord, recordsMade } from '../../changed';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { WALK_OUT, handFacts, handTroubles, slotSaid } from '../../facts/planning';
import { Refusal, notFound } from '../../problem';
import { hivesById, siteById } from '../../records/equipment';
import { lockSchool, tell, traineesOf } from '../../records/people';
import {
  type NamedSessionGroup,
  type SessionGroupRow,
  groupsOfSessions,
  insertSession,
  replaceParts,
  sessionRecord,
  wasBegun,
} from '../../records/planning';
import { say } from '../../words';

type Wish = Body<'keepHandSession'>;
interface Kept {
  readonly session: string;
  readonly told: number;
}

/**
 * Makes a session by hand, or changes one that is planned; those concerned are told. Sent twice it is made and told once.
 *
 * @throws Refusal 422 for hours that are over or turned round, and where something does not fit and nobody said why it is held all the same;
 * 409 when a hive was opened in it already, or somebody has changed it meanwhile
 */
export async function keepHandSession(context: Context, actor: Actor, id: string, wish: Wish): Promise<Kept> {
  const { db, clock } = context;
  const { version, site: siteId, date, from, to, depth, parts } = wish;
  const site = await siteById(db, actor.school, siteId);
  if (!site) throw notFound('site');
  const before = await sessionRecord(db, actor.school, id);
  if (!before && version > 0) throw notFound('session');
  // The answer to the first sending was lost: what stands there is what was meant.
  if (before && version === 0) return { session: id, told: 0 };
  const instant = (time: string) => DateTime.fromISO(`${date}T${time}`, { zone: site.zone }).toJSDate();
  const [starts_at, ends_at] = [instant(from), instant(to)];
  if (ends_at <= starts_at) throw new Refusal(422, 'not-valid', say('ends-before-it-begins'));
  if (ends_at <= clock.now()) throw new Refusal(422, 'in-the-past', say('session-in-the-past'));
  await checkParts(context, actor, parts);
  const facts = await handFacts(context, actor, { site: siteId, date, from, to, depth, session: id });
  for (const { group, supervisor } of parts) {
    if (!facts.groups.some((each) => each.id === group)) throw notFound('group');
    if (!facts.supervisors.some((each) => each.id === supervisor)) throw notFound('supervisor');
  }
  const troubles = handTroubles(facts, parts);
  if (troubles.length > 0 && wish.anyway === '')
    throw new Refusal(422, 'does-not-fit', say('does-not-fit-yet', { troubles }));
  const rows = parts.map((part): Omit<SessionGroupRow, 'session'> => ({
    trainee_group: part.group,
    hive: part.hive,
    supervisor: part.supervisor,
    starts_at: new Date(starts_at.getTime() + WALK_OUT * MINUTE),
    reasons: null,
  }));
  return revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const was = before ? await groupsOfSessions(trx, [id]) : [];
    const session = { school: actor.school, site: siteId, starts_at, ends_at, depth, status: 'planned' as const };
    if (before) {
      if (await wasBegun(trx, id)) throw new Refusal(409, 'not-ahead', say('session-begun'));
      const { school: _, ...change } = session;
      await changeRecord(
        trx,
        context,
        actor,
        'sessions',
        { id, version },
        {
          ...change,
          by_hand: true,
          called_off: null,
        },
      );
      await replaceParts(trx, id, rows);
    } else {
      await insertSession(trx, { id, by_hand: true, ...session }, rows);
      await recordsMade(trx, context, actor, 'sessions', [{ id, name: iso(starts_at) }]);
    }
    if (!wish.tell) return { session: id, told: 0 };
    const now = await groupsOfSessions(trx, [id]);
    const old = before && was.length > 0 ? slotOf(before, await siteZone(trx, actor, before.site)) : null;
    const lines = await changes(trx, actor, { zone: site.zone, name: site.name, session, old, was, now });
    return { session: id, told: await tellAll(trx, context, actor, lines, wish.word) };
  });
}

async function checkParts(context: Context, actor: Actor, parts: Wish['parts']): Promise<void> {
  const twice = (of: (part: Wish['parts'][number]) => string) => new Set(parts.map(of)).size < parts.length;
  if (twice(({ hive }) => hive)) throw new Refusal(422, 'not-valid', say('one-hive-twice'));
  if (twice(({ group }) => group)) throw new Refusal(422, 'not-valid', say('one-group-twice'));
  const hives = await hivesById(
    context.db,
    actor.school,
    parts.map(({ hive }) => hive),
  );
  if (hives.length < parts.length) throw notFound('hive');
}

const slotOf = ({ starts_at, ends_at }: { readonly starts_at: Date; readonly ends_at: Date }, zone: string) =>
  slotSaid({ from: starts_at.getTime(), to: ends_at.getTime(), zone });

const siteZone = async (db: Db, { school }: Actor, site: string): Promise<string> =>
  (await siteById(db, school, site))?.zone ?? 'UTC';

/** What one group is told, with those whom it concerns. */
interface Line {
  readonly group: string;
  readonly supervisors: readonly string[];
  readonly says: Text;
}

/** What is new for each group of a session. */
async function changes(
  db: Db,
  actor: Actor,
  {
    zone,
    name,
    session,
    old,
    was,
    now,
  }: {
    readonly zone: string;
    readonly name: string;
    readonly session: { readonly starts_at: Date; readonly ends_at: Date };
    readonly old: Text | null;
    readonly was: readonly NamedSessionGroup[];
    readonly now: readonly NamedSessionGroup[];
  },
): Promise<readonly Line[]> {
  const numbers = await numbersOf(db, actor, [...was, ...now]);
  const when = slotOf(session, zone);
  const told = (row: NamedSessionGroup) =>
    say('session-told', {
      when,
      site: name,
      hives: say('hives', { numbers: [numbers.get(row.hive) ?? '?'] }),
      supervisor: row.supervisor_name,
    });
  const come = now.map((row): Line => {
    const before = was.find((each) => each.trainee_group === row.trainee_group);
    const says =
      before === undefined || old === null
        ? say('session-new', { group: row.group_name, told: told(row) })
        : say('session-moved', { group: row.group_name, from: old, told: told(row) });
    return {
      group: row.trainee_group,
      supervisors: [row.supervisor, ...(before ? [before.supervisor] : [])],
      says,
    };
  });
  const gone = was
    .filter((row) => !now.some((each) => each.trainee_group === row.trainee_group))
    .map((row): Line => ({
      group: row.trainee_group,
      supervisors: [row.supervisor],
      says: say('session-called-off', { group: row.group_name, when: old ?? when }),
    }));
  return [...come, ...gone];
}

async function numbersOf(
  db: Db,
  { school }: Actor,
  rows: readonly NamedSessionGroup[],
): Promise<ReadonlyMap<string, string>> {
  const ids = [...new Set(rows.map(({ hive }) => hive))];
  return new Map((await hivesById(db, school, ids)).map(({ id, number }) => [id, number]));
}

/** Puts lines into the inboxes of those concerned, with a word added; returns how many were told. */
async function tellAll(
  trx: Db,
  { clock }: Context,
  actor: Actor,
  lines: readonly Line[],
  word: string,
): Promise<number> {
  const trainees = await traineesOf(
    trx,
    actor.school,
    lines.map(({ group }) => group),
  );
  const people = new Map<string, Text[]>();
  for (const { group, supervisors, says } of lines) {
    const own = trainees.filter((each) => each.group === group).map(({ id }) => id);
    for (const person of new Set([...own, ...supervisors])) people.set(person, [...(people.get(person) ?? []), says]);
  }
  people.delete(actor.id);
  const messages = [...people].map(([person, told]) => ({
    person,
    subject: say('sessions-changed', { count: told.length }),
    lines: word === '' ? told : [...told, word],
  }));
  await tell(trx, actor.school, clock.now(), messages);
  return messages.length;
}

/**
 * Calls a planned session off, or brings it back; those concerned are told with a word. Sent twice it is told once.
 *
 * @throws Refusal 409 when a hive was opened in it already or its hours are over
 */
export async function callOffSession(
  context: Context,
  actor: Actor,
  id: string,
  { off, why, tell: tells, word }: Body<'callOffSession'>,
): Promise<Kept> {
  const { db, clock } = context;
  return revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const session = await sessionRecord(trx, actor.school, id);
    const site = session && (await siteById(trx, actor.school, session.site));
    if (!session || !site) throw notFound('session');
    if (session.status === (off ? 'called-off' : 'planned')) return { session: id, told: 0 };
    if (session.status === 'held' || (await wasBegun(trx, id)))
      throw new Refusal(409, 'not-ahead', say('session-begun'));
    if (session.ends_at <= clock.now()) throw new Refusal(409, 'in-the-past', say('session-in-the-past'));
    const called_off = off ? JSON.stringify({ why, word, by: actor.name, at: iso(clock.now()) }) : null;
    const status = off ? 'called-off' : 'planned';
    // Whoever called it off decided by hand, and so did whoever brings it back.
    const change = { status, called_off, by_hand: true };
    await changeRecord(trx, context, actor, 'sessions', { id, version: session.version }, change);
    if (!tells) return { session: id, told: 0 };
    const rows = await groupsOfSessions(trx, [id]);
    const numbers = await numbersOf(trx, actor, rows);
    const when = slotOf(session, site.zone);
    const lines = rows.map((row): Line => {
      const hives = say('hives', { numbers: [numbers.get(row.hive) ?? '?'] });
      const told = say('session-told', { when, site: site.name, hives, supervisor: row.supervisor_name });
      const says = off
        ? say('session-off', { group: row.group_name, when, why })
        : say('session-on-again', { group: row.group_name, told });
      return { group: row.trainee_group, supervisors: [row.supervisor], says };
    });
    return { session: id, told: await tellAll(trx, context, actor, lines, word) };
  });
}
