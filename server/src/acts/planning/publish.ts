import type { Text } from '@brave-comb/core/language';
import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import { checkPlan, planOf } from '@brave-comb/core/planning';
import { MINUTE } from '@brave-comb/core/weather';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import {
  openingKey,
  planningNames,
  planningSeason,
  type PlanningSeason,
  publishedReasons,
  type SiteSlot,
  slotSaid,
  WALK_OUT,
} from '../../facts/planning';
import { Refusal } from '../../problem';
import { lockSchool, staffGroup, tell } from '../../records/people';
import {
  dropSessions,
  insertSession,
  insertVersion,
  latestVersion,
  plannedFrom,
  type PlannedRow,
  type SessionGroupRow,
  versionById,
  versionsOf,
} from '../../records/planning';

type Body = Input<(typeof endpoints)['publishPlan']>['body'];

/** One group's session as people are told of it. */
interface Told {
  readonly group: string;
  readonly slot: SiteSlot;
  readonly supervisor: string;
  readonly hives: readonly string[];
}

/**
 * Makes a plan the one that holds. Sent twice it is published once.
 *
 * @param context database, clock, weather
 * @param actor who publishes
 * @param body the plan, the version and forecast that it was made against
 * @returns the version, and how many were told
 * @throws Refusal when somebody else published meanwhile, the forecast has changed, or the plan breaks a rule
 */
export async function publishPlan(
  context: Context,
  actor: Actor,
  body: Body,
): Promise<{ readonly version: number; readonly told: number }> {
  const { db, clock } = context;
  const before = await versionById(db, actor.school, body.id);
  if (before) return { version: before.version, told: 0 };
  const season = await planningSeason(context, actor.school);
  refuseOldForecast(season, body);
  const plan = checked(season, body);
  const reasons = await publishedReasons(season, plan);
  let version = 0;
  let told = 0;
  await revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const latest = await latestVersion(trx, actor.school);
    if ((latest?.version ?? null) !== body.after) {
      const since = (await versionsOf(trx, actor.school)).filter((each) => each.version > (body.after ?? 0));
      const changes = since.flatMap((each) => each.changes);
      throw new Refusal(
        409,
        'published-meanwhile',
        say('published-meanwhile', { by: latest?.by_name ?? null, version: latest?.version ?? 0, changes }),
        changes.map((message) => ({ path: 'changes', message })),
      );
    }
    version = (latest?.version ?? 0) + 1;
    const old = await plannedFrom(trx, actor.school, clock.now(), new Date(season.slots.at(-1)?.to ?? 0));
    const was = toldBefore(season, old);
    const now = toldNow(season, body);
    const changes = [...changesOf(season, was, now), ...staffChanges(season, actor, body, old)];
    await writeSessions(trx, actor, season, body, old, reasons, clock.now());
    await insertVersion(trx, {
      id: body.id,
      school: actor.school,
      version,
      by_person: actor.id,
      at: clock.now(),
      forecast: body.forecast === null ? null : new Date(body.forecast),
      problem: season.problem,
      plan,
      changes: changes.map(({ says }) => says),
      reason: body.reason,
    });
    const messages = messagesFor(season, actor, changes);
    told = messages.length;
    await tell(trx, actor.school, clock.now(), messages);
  });
  return { version, told };
}

function refuseOldForecast({ forecast }: PlanningSeason, body: Body): void {
  const same =
    forecast.issuedAt === null || body.forecast === null
      ? forecast.issuedAt === body.forecast
      : Date.parse(forecast.issuedAt) === Date.parse(body.forecast);
  if (same) return;
  throw new Refusal(409, 'newer-forecast', say('newer-forecast'));
}

function checked(season: PlanningSeason, body: Body) {
  const known = new Set(season.slots.map(({ id }) => id));
  const gone = [...body.sessions, ...body.staff].find(({ slot }) => !known.has(slot));
  if (gone) {
    const [day = '', time = ''] = gone.slot.split('/')[0]!.split('T');
    throw new Refusal(409, 'slot-is-gone', say('slot-is-gone', { day, time }));
  }
  const plan = { sessions: body.sessions, staff: body.staff };
  let check;
  try {
    check = checkPlan(season.problem, plan);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new Refusal(422, 'unknown-names', say('unknown-names'));
  }
  if (check.violations.length > 0) {
    const called = planningNames(season);
    const words = check.violations.map(({ says }) => called(says));
    throw new Refusal(
      422,
      'breaks-a-rule',
      say('plan-cannot-be-held', { rules: words.slice(0, 3) }),
      words.map((message) => ({ path: 'plan', message })),
    );
  }
  return planOf(season.problem, plan, check.objective, null);
}

function toldNow(season: PlanningSeason, body: Body): Told[] {
  const slot = (id: string) => season.slots.find((each) => each.id === id)!;
  return body.sessions.map((each) => ({ ...each, slot: slot(each.slot) }));
}

function toldBefore(season: PlanningSeason, rows: readonly PlannedRow[]): Told[] {
  const told = new Map<string, { group: string; slot: SiteSlot; supervisor: string; hives: string[] }>();
  for (const row of rows) {
    const slot = season.slots.find((each) => each.site === row.site && each.from === row.from.getTime());
    if (row.staff === 1 || slot === undefined) continue;
    const key = `${row.group} ${slot.id}`;
    const session = told.get(key) ?? { group: row.group, slot, supervisor: row.supervisor, hives: [] };
    told.set(key, session);
    session.hives.push(row.hive);
  }
  return [...told.values()];
}

interface Change {
  /** Null for what staff do alone. */
  readonly group: string | null;
  readonly supervisors: readonly string[];
  readonly says: Text;
}

/** What is different for each group, in words. */
function changesOf(season: PlanningSeason, was: readonly Told[], now: readonly Told[]): Change[] {
  const nameOf = (id: string) => season.groups.find((each) => each.id === id)?.name ?? null;
  const who = (id: string) => season.supervisors.find((each) => each.id === id)?.name ?? null;
  const hives = (ids: readonly string[]) => {
    const numbers = ids.map((id) => season.colonies.find(({ hive }) => hive.id === id)?.hive.number ?? '?');
    return say('hives', { numbers });
  };
  const full = ({ slot, supervisor, hives: opened }: Told) =>
    say('session-told', {
      when: slotSaid(slot),
      site: slot.siteName,
      hives: hives(opened),
      supervisor: who(supervisor),
    });
  const changes: Change[] = [];
  for (const { id: group } of season.groups) {
    const old = was.filter((each) => each.group === group);
    const fresh = now.filter((each) => each.group === group);
    const gone = old.filter((each) => !fresh.some((other) => other.slot.id === each.slot.id));
    const come = fresh.filter((each) => !old.some((other) => other.slot.id === each.slot.id));
    while (gone.length > 0 || come.length > 0) {
      const [from, to] = [gone.shift(), come.shift()];
      const supervisors = [from, to].flatMap((each) => each?.supervisor ?? []);
      const says =
        to === undefined
          ? say('session-called-off', { group: nameOf(group), when: slotSaid(from!.slot) })
          : from === undefined
            ? say('session-new', { group: nameOf(group), told: full(to) })
            : say('session-moved', { group: nameOf(group), from: slotSaid(from.slot), told: full(to) });
      changes.push({ group, supervisors, says });
    }
    for (const session of fresh) {
      const before = old.find((each) => each.slot.id === session.slot.id);
      if (before === undefined) continue;
      const sameHives =
        before.hives.length === session.hives.length && before.hives.every((hive) => session.hives.includes(hive));
      if (sameHives && before.supervisor === session.supervisor) continue;
      changes.push({
        group,
        supervisors: [before.supervisor, session.supervisor],
        says: say('session-changed', {
          group: nameOf(group),
          when: slotSaid(session.slot),
          hives: hives(session.hives),
          supervisor: who(session.supervisor),
          wereHives: hives(before.hives),
          wasWith: who(before.supervisor),
        }),
      });
    }
  }
  return changes;
}

/** Who goes when staff open hives alone: somebody who can come and leads no group meanwhile. */
function staffLeader(
  { problem }: PlanningSeason,
  actor: Actor,
  { sessions }: Pick<Body, 'sessions'>,
  slot: string,
): string {
  const busy = sessions.filter((each) => each.slot === slot).map(({ supervisor }) => supervisor);
  return problem.supervisors.find(({ id, slots }) => slots.includes(slot) && !busy.includes(id))?.id ?? actor.id;
}

/** Visits of the staff that are new or gone, for those who make them. */
function staffChanges(season: PlanningSeason, actor: Actor, body: Body, rows: readonly PlannedRow[]): Change[] {
  const slots = new Map(season.slots.map((slot) => [slot.id, slot]));
  const was = rows.flatMap(({ staff, site, from, hive, supervisor }) => {
    const slot = season.slots.find((each) => each.site === site && each.from === from.getTime());
    return staff === 1 && slot !== undefined ? [{ slot: slot.id, hive, supervisor }] : [];
  });
  const now = body.staff.map(({ slot, hive }) => ({ slot, hive, supervisor: staffLeader(season, actor, body, slot) }));
  type Visit = (typeof now)[number];
  const same = (a: Visit) => (b: Visit) => a.slot === b.slot && a.hive === b.hive && a.supervisor === b.supervisor;
  const says = (what: 'new' | 'called-off', { slot, hive, supervisor }: Visit): Change => {
    const number = season.colonies.find((each) => each.hive.id === hive)?.hive.number ?? '?';
    const place = slots.get(slot)!;
    return {
      group: null,
      supervisors: [supervisor],
      says: say('staff-alone', { what, when: slotSaid(place), site: place.siteName, hive: number }),
    };
  };
  return [
    ...was.filter((visit) => !now.some(same(visit))).map((visit) => says('called-off', visit)),
    ...now.filter((visit) => !was.some(same(visit))).map((visit) => says('new', visit)),
  ];
}

/** One message for each person whose day changed, with only what concerns the person. */
function messagesFor(season: PlanningSeason, actor: Actor, changes: readonly Change[]) {
  const people = new Map<string, Text[]>();
  for (const { group, supervisors, says } of changes) {
    const trainees = season.groups.find((each) => each.id === group)?.trainees ?? [];
    for (const person of new Set([...trainees.map(({ id }) => id), ...supervisors]))
      people.set(person, [...(people.get(person) ?? []), says]);
  }
  people.delete(actor.id);
  return [...people].map(([person, lines]) => ({
    person,
    subject: say('sessions-changed', { count: lines.length }),
    lines,
  }));
}

/** Replaces the planned sessions by those of the plan; a session that stays keeps its id. */
async function writeSessions(
  db: Context['db'],
  actor: Actor,
  season: PlanningSeason,
  body: Body,
  old: readonly PlannedRow[],
  reasons: Awaited<ReturnType<typeof publishedReasons>>,
  at: Date,
): Promise<void> {
  const keptIds = new Map(old.map((row) => [`${row.site} ${row.from.getTime()}`, row.session]));
  await dropSessions(db, actor.school, [...new Set(old.map(({ session }) => session))], at);
  const minutesOf = (hive: string, group: string | null) => {
    const pace = season.problem.groups.find(({ id }) => id === group)?.pace ?? 1;
    return Math.ceil((season.problem.hives.find(({ id }) => id === hive)?.minutes ?? 20) * pace);
  };
  const staff = body.staff.length === 0 ? null : await staffGroup(db, actor.school, uuid());
  for (const slot of season.slots) {
    const sessions = body.sessions.filter((each) => each.slot === slot.id);
    const visits = body.staff.filter((each) => each.slot === slot.id);
    if (sessions.length === 0 && visits.length === 0) continue;
    const queue = [
      ...sessions.map(({ group, supervisor, hives }) => ({ group, supervisor, hives, pace: group })),
      ...(staff === null || visits.length === 0
        ? []
        : [
            {
              group: staff.id,
              supervisor: staffLeader(season, actor, body, slot.id),
              hives: visits.map(({ hive }) => hive),
              pace: null,
            },
          ]),
    ];
    const rows = queue.flatMap(({ group, supervisor, hives, pace }) => {
      let at = slot.from + WALK_OUT * MINUTE;
      return hives.map((hive): Omit<SessionGroupRow, 'session'> => {
        const starts = new Date(at);
        at += minutesOf(hive, pace) * MINUTE;
        const why = reasons.get(openingKey(pace, slot.id, hive)) ?? null;
        return { trainee_group: group, hive, supervisor, starts_at: starts, reasons: why };
      });
    });
    await insertSession(
      db,
      {
        id: keptIds.get(`${slot.site} ${slot.from}`) ?? uuid(),
        school: actor.school,
        site: slot.site,
        starts_at: new Date(slot.from),
        ends_at: new Date(slot.to),
        depth: 'full',
        status: 'planned',
      },
      rows,
    );
  }
}
