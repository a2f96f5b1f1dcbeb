import { supers } from '@brave-comb/core/equipment';
import { PLANTS } from '@brave-comb/core/season';
import { DAY, lastOf } from '@brave-comb/core/units';
import {
  ALIVE_TAPS,
  COLONY_EVENTS,
  COURSES,
  DECISIONS,
  DEMO_PASSWORD,
  type DemoAssignment,
  type DemoSession,
  type DemoVisit,
  FLOW_TICKS,
  FOLLOW_UPS,
  FORAGE,
  GROUP_TERMS,
  HAPPENINGS,
  HIVES,
  PEOPLE,
  POLLEN_SEEN,
  SALTPAN_SESSIONS,
  SALTPAN_VISITS,
  PLANS,
  SCHOOLS,
  SESSIONS,
  SUPERVISOR_TERMS,
  TRAINEE_TERMS,
  VISITS,
} from '@brave-comb/demo';
import { DateTime } from 'luxon';
import type { SitePlan } from '@brave-comb/core/site';
import { v7 as uuid } from 'uuid';
import { recordEntries, startVisit } from '../acts/inspection/visits';
import { fixedClock } from '../clock/clock';
import type { Actor, Context } from '../context';
import { plantOfList } from '../facts/season';
import { insertDecision, insertFollowUp, logColonyEvent } from '../records/care';
import { addHive, addSite, hivesById, type SiteRow, turnOf } from '../records/equipment';
import { visitsOfHives } from '../records/inspection';
import { addGroup, addPerson, addSchool } from '../records/people';
import { addSession, setPlanningTerms } from '../records/planning';
import { addPlant, logSeasonEvent, noteBloom, seePollen, tapAlive, tickFlowSigns } from '../records/season';
import { loadPastEvidence } from './evidence';
import { markInvented, schoolNames } from './store';
import { visitEntries } from './visit-entries';

/** The demo opens here: a Thursday morning in mid-May at Brenna Fell. */
export const DEMO_START = '2026-05-14T06:40:00Z';

/** Ids of one school by the names that the demo data uses. */
interface Names {
  readonly school: string;
  readonly schoolName: string;
  readonly sites: Map<string, { readonly id: string; readonly zone: string }>;
  readonly people: Map<string, Actor>;
  readonly groups: Map<string, { readonly id: string; readonly trainees: readonly string[] }>;
  readonly hives: Map<string, string>;
}

const found = <T>(map: ReadonlyMap<string, T>, name: string): T => {
  const value = map.get(name);
  if (value === undefined) throw new RangeError(`the demo data names ${name}, which it does not define`);
  return value;
};

/** Loads the invented schools through the services, all or nothing. A second start finds them there. */
export async function loadDemo(context: Context): Promise<void> {
  if ((await schoolNames(context.db)).length > 0) return;
  await context.db.transaction(async (trx) => {
    const within: Context = { ...context, db: trx };
    for (const { name } of SCHOOLS) {
      const names = await loadSchool(within, name);
      const first = name === SCHOOLS[0].name;
      await loadSessions(within, names, first ? SESSIONS : SALTPAN_SESSIONS, first ? VISITS : SALTPAN_VISITS);
      if (first) {
        await loadFollowUps(within, names);
        await loadDecisions(within, names);
        await loadHappenings(within, names);
        await loadTerms(within, names);
      }
    }
    await markInvented(trx);
  });
}

/** The plan of a site as it is drawn. */
function planOf(school: string, site: string): SitePlan | null {
  const drawn = PLANS.find((each) => each.school === school && each.site === site);
  if (!drawn) return null;
  const { stands, landmarks, wind } = drawn;
  return {
    stands: stands.map((stand) => ({ id: uuid(), ...stand })),
    landmarks: landmarks.map((mark) => ({ id: uuid(), ...mark })),
    wind,
  };
}

async function loadSchool(context: Context, name: string): Promise<Names> {
  const school = await addSchool(context, name, {});
  const names: Names = {
    school,
    schoolName: name,
    sites: new Map(),
    people: new Map(),
    groups: new Map(),
    hives: new Map(),
  };
  for (const site of SCHOOLS.find((each) => each.name === name)!.sites) {
    const plan = planOf(name, site.name);
    const id = await addSite(context, { school, ...site, plan });
    names.sites.set(site.name, { id, zone: site.zone });
    await loadPlants(context, { ...site, id, school, turn: null, degree_days: 'single-sine', plan });
  }
  const { staff, groups } = PEOPLE.find((each) => each.school === name)!;
  const add = async (person: (typeof staff)[number]) => {
    const id = await addPerson(context, { school, ...person, password: DEMO_PASSWORD, owner: person.role === 'lead' });
    names.people.set(person.signIn, { id, name: person.name, role: person.role, school, schoolName: name });
    return id;
  };
  for (const person of staff) await add(person);
  for (const group of groups) {
    const trainees: string[] = [];
    for (const person of group.trainees) trainees.push(await add(person));
    names.groups.set(group.name, { id: await addGroup(context, school, group.name, trainees), trainees });
  }
  for (const { site, since, origin, queen, ...hive } of HIVES.find((each) => each.school === name)!.hives) {
    const id = await addHive(context, {
      school,
      site: found(names.sites, site).id,
      ...hive,
      colony: { since, origin, queen },
    });
    names.hives.set(hive.number, id);
  }
  for (const [group, { trainees }] of names.groups) await loadPastEvidence(context, names, group, trainees);
  return names;
}

async function loadPlants(context: Context, site: SiteRow): Promise<void> {
  const turn = turnOf(site);
  for (const { id, seen } of FORAGE.find((each) => each.site === site.name)?.plants ?? []) {
    const listed = PLANTS.find((plant) => plant.id === id);
    if (!listed) throw new RangeError(`the demo data names the plant ${id}, which the list does not have`);
    await addPlant(context, site, plantOfList(listed, turn));
    for (const [first, last] of seen)
      await noteBloom(context, null, site, { plant: id, year: lastOf(turn, (first ?? last)!), first, last });
  }
}

/** What was seen at the sites and done to the colonies this year. */
async function loadHappenings(context: Context, names: Names): Promise<void> {
  const actor = (by: string) => found(names.people, by);
  const siteId = (site: string) => found(names.sites, site).id;
  const on = (date: string): Context => ({ ...context, clock: fixedClock(`${date}T16:00:00Z`) });
  for (const { site, by, ...event } of HAPPENINGS)
    await logSeasonEvent(on(event.date), actor(by), siteId(site), { id: uuid(), ...event });
  for (const { site, by, hive, date, sign, says } of FLOW_TICKS)
    await tickFlowSigns(on(date), actor(by), siteId(site), {
      date,
      hive: found(names.hives, hive),
      signs: [{ id: uuid(), sign, says }],
    });
  for (const { site, by, ...seen } of POLLEN_SEEN)
    await seePollen(on(seen.date), actor(by), siteId(site), { id: uuid(), ...seen });
  for (const { hive, by, date, detail } of COLONY_EVENTS)
    await logColonyEvent(on(date), actor(by), found(names.hives, hive), { id: uuid(), date, detail });
  for (const { date, alive } of ALIVE_TAPS)
    for (const hive of alive)
      await tapAlive(on(date), actor('morag'), found(names.hives, hive), { state: 'alive', date });
}

/** When groups and supervisors can come, what backs allow. */
async function loadTerms(context: Context, names: Names): Promise<void> {
  const morag = found(names.people, 'morag');
  for (const { group, ...terms } of GROUP_TERMS)
    await setPlanningTerms(context, morag, found(names.groups, group).id, { kind: 'group', ...terms });
  for (const { person, ...terms } of SUPERVISOR_TERMS)
    await setPlanningTerms(context, morag, found(names.people, person).id, { kind: 'supervisor', ...terms });
  for (const { person, ...terms } of TRAINEE_TERMS)
    await setPlanningTerms(context, morag, found(names.people, person).id, { kind: 'trainee', ...terms });
}

async function loadSessions(
  context: Context,
  names: Names,
  sessions: readonly DemoSession[],
  visits: readonly DemoVisit[],
): Promise<void> {
  for (const session of sessions) {
    const site = found(names.sites, session.site);
    const at = (time: string) => DateTime.fromISO(`${session.date}T${time}`, { zone: site.zone }).toJSDate();
    const id = await addSession(
      context,
      {
        school: names.school,
        site: site.id,
        starts_at: at(session.from),
        ends_at: at(session.to),
        depth: session.depth,
        status: session.status,
      },
      session.groups.map((each) => ({
        trainee_group: found(names.groups, each.group).id,
        reasons: null,
        hive: found(names.hives, each.hive),
        supervisor: found(names.people, each.supervisor).id,
        starts_at: at(each.at),
      })),
    );
    if (session.status !== 'held') continue;
    for (const assignment of session.groups) {
      const visit = visits.find((each) => each.hive === assignment.hive && each.date === session.date);
      if (!visit)
        throw new RangeError(
          `hive ${assignment.hive} was opened on ${session.date}, but no visit tells what was found`,
        );
      await loadVisit(context, names, id, assignment, visit, at(assignment.at));
    }
  }
}

async function loadVisit(
  context: Context,
  names: Names,
  session: string,
  assignment: DemoAssignment,
  visit: DemoVisit,
  at: Date,
): Promise<void> {
  const actor = found(names.people, assignment.supervisor);
  const then: Context = { ...context, clock: fixedClock(at.toISOString()) };
  const opened = await startVisit(then, actor, {
    id: uuid(),
    session,
    hive: found(names.hives, visit.hive),
    startedAt: at.toISOString(),
    questions: ['laying', 'stores'],
  });
  const [hive] = await hivesById(context.db, names.school, [opened.hive]);
  const { trainees } = found(names.groups, assignment.group);
  const ahead = COURSES.find(({ group }) => group === assignment.group)?.ahead ?? 1;
  const entries = visitEntries(visit, hive!.stack, supers(hive!.stack), { trainees, ahead }, at);
  for (let from = 0; from < entries.length; from += 150) {
    await recordEntries(then, actor, opened.id, entries.slice(from, from + 150));
  }
}

async function loadFollowUps(context: Context, names: Names): Promise<void> {
  for (const { hive, question, from, due } of FOLLOW_UPS) {
    await insertFollowUp(context.db, {
      id: uuid(),
      school: names.school,
      hive: found(names.hives, hive),
      visit: null,
      decision: null,
      question,
      from_date: from,
      due,
      answered_by: null,
    });
  }
}

async function loadDecisions({ db }: Context, names: Names): Promise<void> {
  for (const { hive, date, by, ...decision } of DECISIONS) {
    const from = new Date(`${date}T00:00:00Z`);
    const [visit] = await visitsOfHives(db, names.school, [found(names.hives, hive)], from, new Date(+from + DAY));
    if (!visit) throw new RangeError(`the demo data decides on hive ${hive} on ${date}, but nobody opened it`);
    await insertDecision(db, {
      id: uuid(),
      school: names.school,
      visit: visit.id,
      ...decision,
      on_day: null,
      with_group: null,
      by_person: found(names.people, by).id,
      at: new Date(+from + DAY * 0.75),
      withdrawn_at: null,
    });
  }
}
