import { JOBS } from '@brave-comb/core/inspection';
import { inEnglish, say } from '../../words';
import { type DaySheet, type Output, type endpoints } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { supers } from '@brave-comb/core/equipment';
import { kitList } from '@brave-comb/core/planning';
import { isOpen } from '@brave-comb/core/skills';
import { addDays, DAY } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt, iso } from '../../dates';
import { colonyStates } from '../../facts/care';
import { emergencyCard } from '../../facts/inspection';
import { siteSeason } from '../../facts/season';
import { jobsDone, schoolStandings } from '../../facts/skills';
import { notFound } from '../../problem';
import { hivesById, hivesOf, siteById, type SiteRow } from '../../records/equipment';
import { visitMoods, visitsOfSession } from '../../records/inspection';
import { groupsOf, housePracticeOf, traineesOf } from '../../records/people';
import {
  groupsOfSessions,
  type NamedSessionGroup,
  nextSession as nextSessionRow,
  sessionById,
  type SessionRow,
  sessionsBetween,
  traineeLimits,
} from '../../records/planning';
import { forecastInUse } from '../../records/weather';
import { type SheetFacts, duesAt, groupSheet, type Sheet } from './group-sheet';
import { sayFirst } from './say-first';
import { dayVerdict } from './verdict';

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
export async function daySheet(context: Context, actor: Actor, id: string): Promise<Sayable<DaySheet>> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, id);
  if (!session) throw notFound('session');
  const site = await siteById(db, actor.school, session.site);
  if (!site) throw notFound('site');
  const practice = await housePracticeOf(db, actor.school);
  const allGroups = await groupsOfSessions(db, [session.id]);
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
          .map(({ title, bring, about }) => ({
            hive: number,
            question: inEnglish(title),
            bring: inEnglish(bring),
            about,
          })),
      ),
      liftedParts: facts.hives.reduce((sum, hive) => sum + supers(hive.stack).length + 1, 0),
    }),
    say: sayFirst(sheets, facts.trainees, facts.limits, actor.role === 'trainee'),
    // Other people's health is not for trainees.
    emergency: emergencyCard(
      site,
      actor.role === 'trainee' ? facts.trainees.filter(({ id: who }) => who === actor.id) : facts.trainees,
    ),
    mine: actor.role === 'trainee' ? mine(actor, sheets, facts) : null,
    mayStart:
      actor.role !== 'trainee' && dateAt(site.zone, clock.now()) === facts.date && session.status !== 'called-off',
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
    visitMoods(db, actor.school, new Date(dayStart.getTime() - 200 * DAY), dayStart),
    visitsOfSession(db, actor.school, session.id),
    traineeLimits(db, actor.school),
    schoolStandings(
      context,
      actor.school,
      trainees.map((trainee) => trainee.id),
    ),
    jobsDone(
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
    sitePlan: site.plan,
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

function mine(actor: Actor, sheets: readonly Sheet[], facts: SheetFacts): Sayable<DaySheet>['mine'] {
  const first = actor.name;
  const roles = sheets.flatMap((sheet) =>
    sheet.rota.flatMap((turn) =>
      JOBS.flatMap((role) =>
        turn.roles[role].includes(first) ? [say('turn', { from: turn.fromFrame, to: turn.toFrame, role })] : [],
      ),
    ),
  );
  const { checklist, standing } = facts.skills;
  const openSkills = checklist.skills.filter(({ id }) => isOpen(standing(actor.id, id))).map(({ name }) => name);
  return { roles, openSkills };
}
