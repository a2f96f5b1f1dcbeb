import { type DaySheet, type Input, type Output, type endpoints } from '@brave-comb/contract';
import { kitList } from '@brave-comb/core/planning';
import { isOpen } from '@brave-comb/core/skills';
import { supers } from '@brave-comb/core/equipment';
import { addDays } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import { colonyStates } from '../care/colony-state';
import type { Actor, Context } from '../context';
import { dateAt, hourAt, iso } from '../dates';
import { type SiteRow, hivesById, hivesOf, siteById } from '../equipment/store';
import { visitMoods, visitsOfSession } from '../inspection/store';
import { groupsOf, practiceOf, traineesOf } from '../people/store';
import { notFound } from '../problem';
import { rolesPlayed } from '../skills/roles-played';
import { schoolStandings } from '../skills/standings';
import { forecastInUse } from '../weather/service';
import { siteSeason } from '../season/site-season';
import { type SheetFacts, duesAt, groupSheet } from './group-sheet';
import { sayFirst } from './say-first';
import {
  type NamedSessionGroup,
  type SessionGroupRow,
  type SessionRow,
  groupsOfSession,
  insertSession,
  nextSession as nextSessionRow,
  sessionById,
  sessionsBetween,
} from './store';
import { staffGroup, traineeGroups, traineeLimits } from './plan-store';
import { dayVerdict } from './verdict';

export async function addSession(
  { db }: Context,
  session: Omit<SessionRow, 'id'>,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<string> {
  const id = uuid();
  await db.transaction((trx) => insertSession(trx, { id, ...session }, groups));
  return id;
}

/** The next session to go to: today's stays the next one until midnight, also when it is over. */
export async function nextSession({ db, clock }: Context, actor: Actor): Promise<Output<typeof endpoints.nextSession>> {
  const now = clock.now();
  const coming = await nextSessionRow(db, actor, now);
  // What was opened outside the plan does not stand before the day's session.
  const earlierToday = (await sessionsBetween(db, actor, new Date(now.getTime() - 20 * 3_600_000), now)).findLast(
    ({ status }) => status !== 'held',
  );
  const zone = earlierToday ? (await siteById(db, actor.school, earlierToday.site))?.zone : undefined;
  const stillToday =
    earlierToday && zone && dateAt(zone, earlierToday.starts_at) === dateAt(zone, now) ? earlierToday : undefined;
  const session = stillToday ?? coming;
  const at = session && (await siteById(db, actor.school, session.site));
  const date = session && at ? dateAt(at.zone, session.starts_at) : null;
  return { session: session?.id ?? null, date, today: date !== null && date === dateAt(at!.zone, now) };
}

/** How long a session that nobody planned is taken to last, ms. */
const UNPLANNED = 2 * 3_600_000;

/**
 * A session of now for one hive, led by whoever asks: a colony does not wait for the plan. Sent twice it is made once; a session of today that
 * has the hive already is used instead.
 *
 * @throws Refusal when the hive is not there, stands empty, or the group is not one of the school
 */
export async function openUnplanned(
  { db, clock }: Context,
  actor: Actor,
  body: Input<typeof endpoints.openUnplanned>['body'],
): Promise<Output<typeof endpoints.openUnplanned>> {
  const [hive] = await hivesById(db, actor.school, [body.hive]);
  const site = hive && (await siteById(db, actor.school, hive.site));
  if (!hive || !site) throw notFound('hive');
  const now = clock.now();
  const day = 86_400_000;
  const near = await sessionsBetween(db, actor, new Date(now.getTime() - day), new Date(now.getTime() + day), site.id);
  for (const session of near) {
    if (session.status === 'called off' || dateAt(site.zone, session.starts_at) !== dateAt(site.zone, now)) continue;
    if (session.id === body.id) return { session: session.id };
    if ((await groupsOfSession(db, session.id)).some((each) => each.hive === hive.id)) return { session: session.id };
  }
  if (body.group && !(await traineeGroups(db, actor.school)).some(({ id }) => id === body.group))
    throw notFound('group');
  await db.transaction(async (trx) => {
    const group = body.group ?? (await staffGroup(trx, actor.school, uuid())).id;
    await insertSession(
      trx,
      {
        id: body.id,
        school: actor.school,
        site: site.id,
        starts_at: now,
        ends_at: new Date(now.getTime() + UNPLANNED),
        depth: 'full',
        status: 'held',
      },
      [{ trainee_group: group, hive: hive.id, supervisor: actor.id, starts_at: now, reasons: null }],
    );
  });
  return { session: body.id };
}

export async function sessionOn(
  { db }: Context,
  actor: Actor,
  date: string,
  site: string | undefined,
): Promise<Output<typeof endpoints.sessionOn>> {
  const near = await sessionsBetween(
    db,
    actor,
    new Date(`${addDays(date, -1)}T00:00:00Z`),
    new Date(`${addDays(date, 2)}T00:00:00Z`),
    site,
  );
  for (const session of near) {
    const zone = (await siteById(db, actor.school, session.site))?.zone;
    if (zone && dateAt(zone, session.starts_at) === date) return { session: session.id };
  }
  return { session: null };
}

/** Everything on the day sheet of one session. A trainee sees the own group, without other people's notes. */
export async function daySheet(context: Context, actor: Actor, id: string): Promise<DaySheet> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, id);
  if (!session) throw notFound('session');
  const site = await siteById(db, actor.school, session.site);
  if (!site) throw notFound('site');
  const practice = await practiceOf(db, actor.school);
  const allGroups = await groupsOfSession(db, session.id);
  const own = actor.role === 'trainee' ? await groupsOf(db, actor.id) : null;
  const groups = allGroups.filter((group) => !own || own.includes(group.trainee_group));
  const facts = await sheetFacts(context, actor, session, site, groups);
  const sheets = await Promise.all(groups.map((group) => groupSheet(context, facts, practice, group)));
  const forecast = await forecastInUse(context, site);
  const largest = Math.max(0, ...sheets.map((sheet) => sheet.size));
  return {
    session: {
      id: session.id,
      site: { id: site.id, name: site.name },
      zone: site.zone,
      date: facts.date,
      startsAt: iso(session.starts_at),
      endsAt: iso(session.ends_at),
      depth: session.depth,
      status: session.status,
    },
    forecast: { issuedAt: forecast.ensemble?.issued ?? null, problem: forecast.problem },
    verdict: forecast.ensemble ? dayVerdict(forecast.ensemble, site, session, practice, largest) : null,
    groups: sheets,
    kit: kitList({
      groups: new Set(groups.map((group) => group.trainee_group)).size,
      trainees: facts.trainees.length,
      supervisors: new Set(groups.map((group) => group.supervisor)).size,
      jobs: facts.hives.flatMap(({ id, number }) =>
        duesAt(facts, id)
          .filter((due) => !due.id.startsWith('ordinary:'))
          .map(({ title, bring }) => ({ hive: number, question: title, bring })),
      ),
      liftedParts: facts.hives.reduce((sum, hive) => sum + supers(hive.stack).length + 1, 0),
    }),
    say: sayFirst(sheets, facts.trainees, facts.limits, actor.role === 'trainee'),
    mine: actor.role === 'trainee' ? mine(actor, sheets, facts) : null,
    mayStart:
      actor.role !== 'trainee' && dateAt(site.zone, clock.now()) === facts.date && session.status !== 'called off',
  };
}

async function sheetFacts(
  context: Context,
  actor: Actor,
  session: SessionRow,
  site: SiteRow,
  groups: readonly NamedSessionGroup[],
): Promise<SheetFacts> {
  const { db } = context;
  const date = dateAt(site.zone, session.starts_at);
  const hiveIds = groups.map((group) => group.hive);
  const trainees = await traineesOf(
    db,
    actor.school,
    groups.map((group) => group.trainee_group),
  );
  const dayStart = new Date(hourAt(site.zone, date, 0));
  const [hives, siteHives, states, moods, visits, limits, skills, played] = await Promise.all([
    hivesById(db, actor.school, hiveIds),
    hivesOf(db, actor.school, site.id),
    statesOn(context, site, date, hiveIds),
    visitMoods(db, actor.school, new Date(dayStart.getTime() - 200 * 86_400_000), dayStart),
    visitsOfSession(db, actor.school, session.id),
    traineeLimits(db, actor.school),
    schoolStandings(
      context,
      actor.school,
      trainees.map((trainee) => trainee.id),
    ),
    rolesPlayed(
      db,
      actor.school,
      groups.map((group) => group.trainee_group),
      session.starts_at,
    ),
  ]);
  return {
    school: actor.school,
    zone: site.zone,
    date,
    dayStart,
    hives,
    openings: groups,
    siteHives,
    states: new Map(states.map((state) => [state.hive.id, state])),
    moods,
    visits,
    trainees,
    skills,
    played,
    limits,
  };
}

/** The colony calendars of some hives; a day that is past has nothing due any more. */
async function statesOn(context: Context, site: SiteRow, date: string, hives: readonly string[]) {
  const season = await siteSeason(context, site);
  return date < season.today ? [] : colonyStates(context, season, hives);
}

function mine(actor: Actor, sheets: DaySheet['groups'], facts: SheetFacts): DaySheet['mine'] {
  const first = actor.name;
  const roles = sheets.flatMap((sheet) =>
    sheet.rota.flatMap((turn) =>
      Object.entries(turn.roles).flatMap(([role, names]) =>
        names.includes(first) ? [`frames ${turn.fromFrame}–${turn.toFrame}: ${role}`] : [],
      ),
    ),
  );
  const { checklist, standing } = facts.skills;
  const openSkills = checklist.skills.filter(({ id }) => isOpen(standing(actor.id, id))).map(({ name }) => name);
  return { roles, openSkills };
}
