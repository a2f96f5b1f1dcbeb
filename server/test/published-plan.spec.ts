import { inEnglish } from '../src/words';
import { type Coverage, type DaySheet, type MySession, type PlanBoard, endpoints } from '@brave-comb/contract';
import { obstaclesTo, type PlanningProblem } from '@brave-comb/core/planning';
import { DEFAULT_CHECKLIST } from '@brave-comb/core/skills';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Agent, openPlanning, type Planning, publication } from './planning';
import { pathOf } from './school';

let planning: Planning;
let trainee: Agent;
let supervisor: Agent;
let board: PlanBoard;

beforeAll(async () => {
  planning = await openPlanning('published');
  trainee = await planning.school.signIn('ife');
  supervisor = await planning.school.signIn('ruth');
  await planning.publish(publication(await planning.planned())).expect(200);
  board = await planning.board();
});
afterAll(() => planning.school.close());

const sheetOn = async (agent: Agent, date: string) => {
  const { body } = await agent.get(pathOf(endpoints.sessionOn, { date })).expect(200);
  const { session } = body as { session: string };
  return (await agent.get(pathOf(endpoints.daySheet, { session })).expect(200)).body as DaySheet;
};
const dates = () => [
  ...new Set(
    board.told.sessions
      .map(({ slot }) => board.slots.find(({ id }) => id === slot)!.date)
      .filter((date) => date > board.today),
  ),
];
const mine = async (agent: Agent) =>
  ((await agent.get(endpoints.mySessions.path).expect(200)).body as { sessions: MySession[] }).sessions;

describe('the day sheet of a published plan', () => {
  it('gives the reasons of the plan itself, first, and several hives of a group in the order of opening', async () => {
    let reasons = 0;
    for (const date of dates()) {
      const sheet = await sheetOn(planning.lead, date);
      for (const { group, hive, why, startsAt } of sheet.groups) {
        expect(why.length).toBeGreaterThan(0);
        expect(why.length).toBeLessThanOrEqual(4);
        if (why.some((line) => line.startsWith('To practise: ') || line.endsWith('in its days'))) reasons += 1;
        const told = board.told.sessions.find(
          (each) => each.group === group.id && each.hives.includes(hive.id) && each.slot.startsWith(date),
        );
        if (told === undefined) continue;
        const starts = sheet.groups.filter((each) => each.group.id === group.id).map((each) => each.startsAt);
        if (told.hives.indexOf(hive.id) === 0) expect(starts.every((start) => start >= startsAt)).toBe(true);
      }
    }
    expect(reasons).toBeGreaterThan(3);
  });

  it('counts kit and people once for a group that opens two hives', async () => {
    for (const date of dates()) {
      const sheet = await sheetOn(planning.lead, date);
      const sizes = new Map(sheet.groups.map(({ group, size }) => [group.id, size]));
      const supervisors = new Set(sheet.groups.map((each) => each.supervisor.id)).size;
      const gloves = sheet.kit.find(({ what }) => what === 'pairs of gloves')!.count;
      expect(gloves).toBe([...sizes.values()].reduce((a, b) => a + b, 0) + supervisors);
      expect(sheet.kit.find(({ what }) => what.startsWith('smokers'))!.count).toBe(sizes.size + 1);
    }
  });

  it('says what is done on a wet day where the odds are low, and only there', async () => {
    const rows = await planning.school
      .db('session_groups')
      .join('sessions', 'sessions.id', 'session_groups.session')
      .whereNotNull('reasons')
      .select<{ reasons: { ifWet: unknown }; starts_at: Date; site: string; trainee_group: string }[]>(
        'reasons',
        'sessions.starts_at',
        'sessions.site',
        'trainee_group',
      );
    expect(rows.length).toBeGreaterThan(3);
    const groups = new Set(board.groups.map(({ id }) => id));
    for (const { reasons, starts_at, site } of rows.filter((row) => groups.has(row.trainee_group))) {
      const slot = board.slots.find(
        ({ id, startsAt }) => Date.parse(startsAt) === starts_at.getTime() && id.endsWith(`/${site}`),
      )!;
      expect(reasons.ifWet === null).toBe(slot.fit >= 0.6);
    }
  });

  it('says where to stand, how to set boxes down, and who may not lift', async () => {
    const { groups, say } = await sheetOn(planning.lead, board.today);
    for (const { standing, hive } of groups) {
      expect(standing!.says[0]).toMatch(/Entrance faces \w/);
      expect(standing!.neighbours.map(({ number }) => number)).not.toContain(hive.number);
      expect(standing!.marks.length).toBeGreaterThan(3);
    }
    const heavy = groups.flatMap(({ lifting }) => lifting);
    expect(heavy.length).toBeGreaterThan(0);
    for (const line of heavy) expect(line).toMatch(/\d+ kg: (one person|two people|by frames)/);
    expect(say.find(({ head }) => head === 'Niamh:')).toBeDefined();
    const own = await sheetOn(trainee, board.today);
    expect(own.say.filter(({ kind }) => kind === 'person')).toEqual([]);
  });
});

describe('own sessions', () => {
  it('of a trainee are those of the own group, with the own jobs and what can be learnt', async () => {
    const sessions = await mine(trainee);
    expect(sessions.length).toBeGreaterThan(1);
    expect(new Set(sessions.map(({ group }) => group))).toEqual(new Set(['Curlew']));
    for (const { hives } of sessions)
      for (const { jobs, learn } of hives) {
        expect(jobs.length).toBeGreaterThan(0);
        for (const { names } of jobs) expect(names).toEqual([]);
        for (const { name: skill } of learn)
          expect(DEFAULT_CHECKLIST.skills.map(({ name }) => inEnglish(name))).toContain(skill);
      }
    expect(sessions.map(({ startsAt }) => startsAt)).toEqual(sessions.map(({ startsAt }) => startsAt).toSorted());
  });

  it('of a supervisor are those that she leads, with everybody by name; of the lead all', async () => {
    const led = await mine(supervisor);
    for (const { supervisor: who } of led) expect(who).toMatch(/^Ruth/);
    const jobs = led.flatMap(({ hives }) => hives.flatMap((hive) => hive.jobs));
    for (const { names } of jobs) expect(names.length).toBeGreaterThan(0);
    expect((await mine(planning.lead)).length).toBeGreaterThanOrEqual(led.length);
  });
});

describe('the next hives', () => {
  const next = async (session: string) =>
    (await planning.lead.get(pathOf(endpoints.nextHives, { session })).expect(200)).body as {
      groups: {
        group: string;
        minutesLeft: number;
        hives: { id: string; leaves: number | null; says: string | null }[];
      }[];
    };

  it('fit the minutes of each group, and none that another group opens', async () => {
    const sheet = await sheetOn(planning.lead, board.today);
    const { groups } = await next(sheet.session.id);
    expect(groups.map(({ group }) => group).toSorted()).toEqual(
      [...new Set(sheet.groups.map(({ group }) => group.id))].toSorted(),
    );
    for (const { group, minutesLeft, hives } of groups) {
      expect(minutesLeft).toBeGreaterThan(60);
      const others = sheet.groups.filter((each) => each.group.id !== group).map(({ hive }) => hive.id);
      for (const { id, leaves, says } of hives) {
        expect(others).not.toContain(id);
        expect(leaves === null).toBe(says !== null);
        if (says !== null) expect(says).not.toMatch(/[0-9a-f]{8}-|\bday \d/);
      }
      expect(hives.some(({ says }) => says === null)).toBe(true);
    }
    await trainee.get(pathOf(endpoints.nextHives, { session: sheet.session.id })).expect(403);
    await planning.lead.get(pathOf(endpoints.nextHives, { session: uuid() })).expect(404);
  });
});

describe('coverage', () => {
  it('has every skill with each group, the window of the season and the next chance', async () => {
    const { skills, groups } = (await supervisor.get(endpoints.coverage.path).expect(200)).body as Coverage;
    expect(skills.map(({ id }) => id).toSorted()).toEqual(DEFAULT_CHECKLIST.skills.map(({ id }) => id).toSorted());
    expect(groups.map(({ name }) => name)).toEqual(['Curlew', 'Dipper', 'Lapwing']);
    const cells = skills.find(({ id }) => id === 'tells-cells')!;
    expect(cells.seasonal).toBe(true);
    expect(cells.window!.to > board.today).toBe(true);
    for (const { groups: rows } of skills) for (const { seen, open } of rows) expect(seen + open).toBeGreaterThan(0);
    const planned = skills.flatMap(({ groups: rows }) => rows.filter(({ next }) => next?.planned));
    expect(planned.length).toBeGreaterThan(10);
    await trainee.get(endpoints.coverage.path).expect(403);
  });
});

describe('a session without reasons', () => {
  it('that staff hold alone has no jobs and no wet-day plan', async () => {
    const problem = board.problem as PlanningProblem;
    const [visit] = problem.slots.flatMap(({ id: slot }) =>
      problem.hives.flatMap(({ id: hive }) =>
        obstaclesTo(problem, board.told, { kind: 'staff', slot, hive }).length === 0 ? [{ slot, hive }] : [],
      ),
    );
    await planning
      .publish({
        id: uuid(),
        after: board.published!.version,
        forecast: board.forecast.issuedAt,
        sessions: board.published!.plan.sessions,
        staff: [...board.published!.plan.staff, visit],
        reason: '',
      })
      .expect(200);
    const { mails } = (await planning.lead.get(endpoints.outbox.path).expect(200)).body as {
      mails: { to: string; lines: string[] }[];
    };
    const told = mails.flatMap(({ lines }) => lines).filter((line) => line.startsWith('Staff alone: new, '));
    const led = await planning.school
      .db('session_groups')
      .join('trainee_groups', 'trainee_groups.id', 'session_groups.trainee_group')
      .join('people', 'people.id', 'session_groups.supervisor')
      .where({ staff: 1 })
      .pluck<string[]>('people.name');
    // The lead who publishes needs no message.
    if (led.some((name) => name !== 'Morag Selkirk')) expect(told.length).toBeGreaterThan(0);
    expect(led.length).toBeGreaterThan(0);
    const staff = (await mine(planning.lead)).filter(({ group }) => group === 'Staff');
    expect(staff.length).toBeGreaterThan(0);
    for (const { hives, ifWet } of staff) {
      expect(ifWet).toBeNull();
      for (const { jobs } of hives) expect(jobs).toEqual([]);
    }
  });
});

describe('a session that a new plan lets go', () => {
  it('can still be held by a device that had it prepared and no signal; it comes back with its groups', async () => {
    const { school, lead } = planning;
    const own = await school.db('people').where({ sign_in: 'ruth' }).first<{ school: string }>('school');
    const before = await school
      .db('session_groups')
      .join('sessions', 'sessions.id', 'session_groups.session')
      .join('people', 'people.id', 'session_groups.supervisor')
      .where({ status: 'planned', 'sessions.school': own.school })
      .whereNot({ 'people.role': 'lead' })
      .where('sessions.starts_at', '>', new Date(school.context.clock.now().getTime() + 86_400_000))
      .orderBy('sessions.starts_at')
      .first<{ session: string; hive: string; trainee_group: string; day: Date; sign_in: string }>(
        'session',
        'hive',
        'trainee_group',
        'sessions.starts_at as day',
        'people.sign_in',
      );
    const otherDay = ({ slot }: { readonly slot: string }) => !slot.startsWith(before.day.toISOString().slice(0, 10));
    const { session, hive } = before;
    const leader = await school.signIn(before.sign_in);
    await leader.get(pathOf(endpoints.preparedVisit, { session, hive })).expect(200);
    const now = await planning.board();
    await planning
      .publish({
        id: uuid(),
        after: now.published!.version,
        forecast: now.forecast.issuedAt,
        sessions: now.published!.plan.sessions.filter(otherDay),
        staff: now.published!.plan.staff.filter(otherDay),
        reason: 'the hive rests',
      })
      .expect(200);
    expect(await school.db('sessions').where({ id: session })).toEqual([]);
    const start = { id: uuid(), session, hive, startedAt: '2026-05-14T06:30:00.000Z' };
    const stranger = await school.signIn('ines');
    expect((await stranger.post(endpoints.startVisit.path).send(start)).status).toBe(404);
    const answers = await Promise.all([1, 2, 3].map(() => leader.post(endpoints.startVisit.path).send(start)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(await school.db('visits').where({ session, hive })).toHaveLength(1);
    expect(await school.db('session_groups').where({ session, trainee_group: before.trainee_group })).not.toHaveLength(
      0,
    );
    await lead.get(pathOf(endpoints.daySheet, { session })).expect(200);
  });
});
