import type { OnHand } from '@brave-comb/contract';
import { type Sayable, named } from '@brave-comb/core/language';
import { say } from '../../words';
import type { Actor, Context } from '../../context';
import { clockAt, dateAt, iso } from '../../dates';
import { type HandFacts, handFacts } from '../../facts/planning';
import { notFound } from '../../problem';
import { hivesById, siteById, siteNames } from '../../records/equipment';
import { traineesOf } from '../../records/people';
import { groupsOfSessions, sessionRecord, wasBegun } from '../../records/planning';

/** What a session made by hand could be, as its form shows it. */
export async function handSession(
  context: Context,
  actor: Actor,
  wish: Parameters<typeof handFacts>[2],
): Promise<Sayable<OnHand>> {
  const facts = await handFacts(context, actor, wish);
  const { found, season, spans, groups } = facts;
  const { zone } = found.site;
  const clock = (at: number) => clockAt(zone, at);
  const stateOf = new Map(season.colonies.map((each) => [each.hive.id, each]));
  const asks = (hive: string) => {
    const due = stateOf.get(hive)?.calendar.dues.find((each) => each.from <= facts.date && each.due >= facts.date);
    return due?.title ?? null;
  };
  return {
    ...siteNames(found),
    date: facts.date,
    today: facts.today,
    from: clock(facts.from),
    to: clock(facts.to),
    depth: facts.depth,
    spans: spans.map(({ depth, from, to, chance }) => ({ depth, from: clock(from), to: clock(to), chance })),
    turns: turns(facts, clock),
    fit: facts.fit,
    groups: groups.map(({ next, order, ...group }) => ({
      ...group,
      next: next === null ? null : iso(next),
      hives: order.map(({ hive, minutes, barred, says }) => {
        const near = facts.near(hive);
        return {
          id: hive,
          number: stateOf.get(hive)?.hive.number ?? '?',
          minutes,
          barred: barred || near !== null,
          says: near === null ? says : say('opened-on', { date: say('weekday', { date: dateAt(zone, near) }) }),
          asks: asks(hive),
        };
      }),
    })),
    supervisors: facts.supervisors,
  };
}

/** What ends the fit hours in which the session lies. */
function turns({ spans, to, depth }: HandFacts, clock: (at: number) => string) {
  const own = spans.find((span) => span.depth === depth && span.from < to && to <= span.to);
  const after = own ? spans[spans.indexOf(own) + 1] : undefined;
  if (!own || !after?.limitedBy) return null;
  return say('hand-turns', { why: named('hinders', after.limitedBy.why), at: clock(own.to) });
}

/** A session as it stands, to be moved, changed or called off. */
export async function plannedSession({ db }: Context, actor: Actor, id: string) {
  const session = await sessionRecord(db, actor.school, id);
  const site = session && (await siteById(db, actor.school, session.site));
  if (!session || !site) throw notFound('session');
  const rows = await groupsOfSessions(db, [id]);
  const [hives, trainees, begun] = await Promise.all([
    hivesById(
      db,
      actor.school,
      rows.map(({ hive }) => hive),
    ),
    traineesOf(
      db,
      actor.school,
      rows.map((row) => row.trainee_group),
    ),
    wasBegun(db, id),
  ]);
  const concerned = new Set([...trainees.map((each) => each.id), ...rows.map(({ supervisor }) => supervisor)]);
  concerned.delete(actor.id);
  return {
    id,
    version: session.version,
    site: site.id,
    date: dateAt(site.zone, session.starts_at),
    from: clockAt(site.zone, session.starts_at),
    to: clockAt(site.zone, session.ends_at),
    depth: session.depth,
    status: session.status,
    begun,
    byHand: Boolean(session.by_hand),
    off: session.called_off,
    parts: rows.map((row) => ({
      group: row.trainee_group,
      groupName: row.group_name,
      hive: row.hive,
      number: hives.find((hive) => hive.id === row.hive)?.number ?? '?',
      supervisor: row.supervisor,
      supervisorName: row.supervisor_name,
    })),
    told: concerned.size,
  };
}
