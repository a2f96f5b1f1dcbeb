import { type PlanJob, endpoints } from '@brave-comb/contract';
import { checkPlan, conflictOf, obstaclesTo, type PlanningProblem } from '@brave-comb/core/planning';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  type PinRow,
  claimJob,
  giveJobBack,
  othersWait,
  endJob,
  keepPin,
  LOST_AFTER,
} from '../src/records/planning/plan-store';
import { type Agent, openPlanning, type Planning, publication, startRunner } from './planning';
import { type School, pathOf } from './school';

let school: School;
let lead: Agent;
let supervisor: Agent;
let trainee: Agent;
let board: Planning['board'];
let jobOf: Planning['jobOf'];
let ask: Planning['ask'];
let until: Planning['until'];
let planned: Planning['planned'];
let publish: Planning['publish'];

beforeAll(async () => {
  ({ school, lead, board, jobOf, ask, until, planned, publish } = await openPlanning('planner'));
  supervisor = await school.signIn('ruth');
  trainee = await school.signIn('ife');
});
afterAll(() => school.close());

describe('the board', () => {
  it('offers slots of both sites from the forecast, groups with their times, hives with what is due', async () => {
    const now = await board();
    const sites = new Set(now.slots.map(({ site }) => site));
    for (const site of ['Home orchard', 'Moor edge']) expect(sites).toContain(site);
    expect(now.slots.length).toBeGreaterThan(8);
    for (const slot of now.slots) expect(slot.fit).toBeGreaterThanOrEqual(0);
    expect(now.groups.map(({ name }) => name)).toEqual(['Curlew', 'Dipper', 'Lapwing']);
    expect(now.hives.length).toBe(14);
    expect(now.hopeless).toBeNull();
    expect(now.conflict).toBeNull();
    const [dipper] = now.groups.filter(({ name }) => name === 'Dipper');
    const tuesday = now.slots.find(({ date }) => date === '2026-05-19');
    if (tuesday) expect(now.away[`${dipper!.id} ${tuesday.id}`]).toBe('not on this weekday');
    expect(new Set(Object.values(now.away))).toContain('exam');
  });

  it('keeps published sessions as slots at the very hours that people were told', async () => {
    const now = await board();
    const told = now.problem.published?.sessions ?? [];
    expect(told.length).toBeGreaterThan(0);
    const slots = new Set(now.slots.map(({ id }) => id));
    for (const { slot } of told) expect(slots.has(slot)).toBe(true);
  });

  it('is for those who lead and supervise; only the lead plans', async () => {
    await trainee.get(endpoints.planBoard.path).expect(403);
    expect((await board(supervisor)).mayPlan).toBe(false);
    await supervisor.post(endpoints.askPlan.path).send({ id: uuid(), seconds: 2, seed: 1 }).expect(403);
  });
});

describe('a planning job', () => {
  it('is reckoned in a thread, keeps every rule and says how good it is', async () => {
    const { job, board: now } = await planned();
    const problem = now.problem as PlanningProblem;
    const { violations, objective } = checkPlan(problem, job.plan!);
    expect(violations).toEqual([]);
    expect(objective).toBeCloseTo(job.plan!.objective, 6);
    expect(job.plan!.bound).toBeGreaterThanOrEqual(job.plan!.objective - 1e-6);
    expect(job.plan!.sessions.length).toBeGreaterThan(3);
    expect(job.course.length).toBeGreaterThan(0);
    expect(job.trouble).toBeNull();
  });

  it('asked for twice is reckoned once', async () => {
    const id = uuid();
    const [first, second] = [await ask(1, id), await ask(1, id)];
    expect(second.id).toBe(first.id);
    expect(second.askedAt).toBe(first.askedAt);
    await lead.post(pathOf(endpoints.stopPlanJob, { job: id })).expect(200);
  });

  it('stops when told with the best plan so far, and goes on from there', async () => {
    const runner = startRunner(school.context);
    const { id } = await ask(60);
    const going = await until(id, ({ plan }) => plan !== null);
    expect(going.status).toBe('running');
    await lead.post(pathOf(endpoints.stopPlanJob, { job: id })).expect(200);
    const stopped = await until(id, ({ status }) => status === 'stopped' || status === 'done');
    expect(stopped.plan).not.toBeNull();
    await lead
      .post(pathOf(endpoints.resumePlanJob, { job: id }))
      .send({ seconds: 1 })
      .expect(200);
    const done = await until(id, ({ status }) => status === 'done');
    expect(done.plan!.objective).toBeGreaterThanOrEqual(stopped.plan!.objective - 1e-9);
    expect(done.course.length).toBeGreaterThanOrEqual(stopped.course.length - 1);
    await runner.stop();
  });

  it('is taken up again from its best plan when the server that worked on it is gone', async () => {
    const kept = (await planned(1)).job.plan!;
    const { id } = await ask(1);
    const claimed = await claimJob(school.db, 'a server that died');
    expect(claimed?.id).toBe(id);
    expect(await claimJob(school.db, 'another server')).toBeUndefined();
    await school
      .db('plan_jobs')
      .where({ id })
      .update({
        plan: JSON.stringify(kept),
        beat: school.db.raw(`utc_timestamp(3) - interval ${LOST_AFTER + 1} second`),
      });
    const runner = startRunner(school.context);
    const done = await until(id, ({ status }) => status === 'done');
    expect(done.plan!.objective).toBeGreaterThanOrEqual(kept.objective - 1e-9);
    await runner.stop();
    // The server that was thought dead comes back late: it can change nothing any more.
    expect(await endJob(school.db, id, 'a server that died', { status: 'failed', trouble: 'x' })).toBe(0);
    expect((await jobOf(id)).status).toBe('done');
  });

  it('whose thread runs out of memory each time is given up with words that say what to do, and can be asked again', async () => {
    const quiet = {
      ...school.context,
      log: { ...school.context.log, error: () => undefined },
    } as typeof school.context;
    const small = startRunner(quiet, 4);
    const { id } = await ask(1);
    const failed = await until(id, ({ status }) => status === 'failed');
    await small.stop();
    expect(failed.trouble).toContain('Plan fewer days or groups at once');
    await lead
      .post(pathOf(endpoints.resumePlanJob, { job: id }))
      .send({ seconds: 1 })
      .expect(200);
    const runner = startRunner(school.context);
    expect((await until(id, ({ status }) => status === 'done')).plan).not.toBeNull();
    await runner.stop();
  });

  it('is left to the next start by a server that goes down', async () => {
    const first = startRunner(school.context);
    const { id } = await ask(60);
    await until(id, ({ plan }) => plan !== null);
    await first.stop();
    expect((await jobOf(id)).status).toBe('running');
    await school.db('plan_jobs').where({ id }).update({ beat: null, seconds: 2 });
    const second = startRunner(school.context);
    expect((await until(id, ({ status }) => status === 'done')).plan).not.toBeNull();
    await second.stop();
  });

  it('is given up in words when its worker dies again and again, or cannot be read', async () => {
    const [often, odd] = [await ask(1), await ask(1)];
    await school.db('plan_jobs').where({ id: often.id }).update({ claims: 9 });
    await school.db('plan_jobs').where({ id: odd.id }).update({ problem: '{"format":"of tomorrow"}' });
    const runner = startRunner(school.context);
    expect((await until(often.id, ({ status }) => status === 'failed')).trouble).toContain('Plan fewer days');
    expect((await until(odd.id, ({ status }) => status === 'failed')).trouble).toContain('Plan again');
    await runner.stop();
  });

  it('is claimed by one server only, however many look, and one of each school at a time', async () => {
    const ids = [(await ask(1)).id, (await ask(1)).id, (await ask(1)).id];
    const full = await lead.post(endpoints.askPlan.path).send({ id: uuid(), seconds: 1, seed: 7 });
    expect([full.status, (full.body as { message: string }).message]).toEqual([
      409,
      expect.stringMatching(/two are waiting/),
    ]);
    const ines = await school.signIn('ines');
    const other = uuid();
    await ines.post(endpoints.askPlan.path).send({ id: other, seconds: 1, seed: 7 }).expect(200);
    const takenBy = async (count: number) =>
      (
        await Promise.all(Array.from({ length: count }, (_, server) => claimJob(school.db, `server ${server}`)))
      ).flatMap((job) => job?.id ?? []);
    const taken = [...(await takenBy(6)), ...(await takenBy(6))];
    expect(taken).toHaveLength(2);
    expect(taken).toContain(other);
    expect(ids).toContain(taken.find((id) => id !== other));
    await school
      .db('plan_jobs')
      .whereIn('id', [...ids, other])
      .update({ status: 'done' });
  });

  it('of one school does not hold up another school’s', async () => {
    const runner = startRunner(school.context);
    const long = [(await ask(60)).id, (await ask(60)).id];
    const ines = await school.signIn('ines');
    const other = uuid();
    await ines.post(endpoints.askPlan.path).send({ id: other, seconds: 1, seed: 7 }).expect(200);
    const statusOf = async () =>
      ((await ines.get(pathOf(endpoints.planJob, { job: other })).expect(200)).body as PlanJob).status;
    for (let tries = 0; (await statusOf()) !== 'done' && tries < 2_000; tries += 1)
      await new Promise((done) => setTimeout(done, 50));
    expect(await statusOf()).toBe('done');
    for (const id of long) await lead.post(pathOf(endpoints.stopPlanJob, { job: id })).expect(200);
    for (const id of long) await until(id, ({ status }) => status === 'stopped' || status === 'done');
    await runner.stop();
  });

  it('that made room is taken up after those that waited longer, and counts no fault', async () => {
    const [first, second] = [await ask(5), await ask(5)];
    const claimed = await claimJob(school.db, 'a server');
    expect(claimed?.id).toBe(first.id);
    expect(await othersWait(school.db, claimed!.school)).toBe(false);
    await giveJobBack(school.db, first.id, 'a server', true);
    expect((await claimJob(school.db, 'a server'))?.id).toBe(second.id);
    await giveJobBack(school.db, second.id, 'a server', true);
    expect(await claimJob(school.db, 'a server')).toMatchObject({ id: first.id, claims: 1 });
    await school.db('plan_jobs').whereIn('id', [first.id, second.id]).update({ status: 'done' });
  });

  it('is told of as it goes, over server-sent events', async () => {
    const server = createServer(school.app).listen(0, '127.0.0.1');
    await new Promise((done) => server.once('listening', done));
    const { port } = server.address() as AddressInfo;
    const { id } = await ask(1);
    const signedIn = await fetch(`http://127.0.0.1:${port}${endpoints.signIn.path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'morag', password: 'willow-before-gorse' }),
    });
    const cookie = signedIn.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; ');
    const runner = startRunner(school.context);
    const answer = await fetch(`http://127.0.0.1:${port}${pathOf(endpoints.watchPlanJob, { job: id })}`, {
      headers: { cookie },
    });
    expect(answer.headers.get('content-type')).toContain('text/event-stream');
    const events = (await answer.text())
      .split('\n\n')
      .filter((each) => each.startsWith('data: '))
      .map((each) => JSON.parse(each.slice(6)) as PlanJob);
    expect(events.length).toBeGreaterThan(1);
    expect(events.at(-1)!.status).toBe('done');
    const worths = events.flatMap(({ plan }) => plan?.objective ?? []);
    expect(worths).toEqual(worths.toSorted((a, b) => a - b));
    await runner.stop();
    await lead.get(pathOf(endpoints.watchPlanJob)).expect(404);
    server.closeAllConnections();
    server.close();
  });
});

describe('pins', () => {
  it('are seen by everybody who plans, hold in the next plan, and can be taken back', async () => {
    const now = await board();
    const [group] = now.groups;
    const slot = now.slots.find(
      ({ id }) => !(`${group!.id} ${id}` in now.away) && now.problem.groups[0]!.slots.includes(id),
    )!;
    const id = uuid();
    const what = { forbid: { group: group!.id, slot: slot.id } };
    await lead.post(endpoints.pinPlan.path).send({ id, what }).expect(200);
    await lead.post(endpoints.pinPlan.path).send({ id, what }).expect(200);
    const seen = await board(supervisor);
    expect(seen.pins).toMatchObject([{ id, by: 'Morag Selkirk', what }]);
    expect(seen.problem.forbids).toContainEqual(what.forbid);
    await lead.post(pathOf(endpoints.unpinPlan, { pin: id })).expect(200);
    expect((await board()).pins).toEqual([]);
  });

  it('that cannot be kept are refused at once; those that stopped being so are named with the rule, and the job says what to do', async () => {
    const now = await board();
    const group = now.problem.groups[0]!;
    const dayOf = new Map(now.problem.slots.map(({ id, day }) => [id, day]));
    const alone = (slot: string) =>
      conflictOf({ ...(now.problem as PlanningProblem), locks: [{ group: group.id, slot }] }) === null;
    const able = group.slots.filter(alone);
    const [first, second] = able
      .flatMap((a) => able.map((b) => [a, b] as const))
      .find(([a, b]) => a !== b && Math.abs(dayOf.get(a)! - dayOf.get(b)!) < group.gapDays)!;
    const pins = [first, second].map((slot) => ({ id: uuid(), what: { pin: { group: group.id, slot } } }));
    await lead.post(endpoints.pinPlan.path).send(pins[0]).expect(200);
    const refused = await lead.post(endpoints.pinPlan.path).send(pins[1]).expect(422);
    expect((refused.body as { message: string }).message).toMatch(/^This slot cannot be fixed\. .*days/);
    expect((await board()).pins).toHaveLength(1);
    const away = now.groups.flatMap(({ id, name }) =>
      now.slots.flatMap((slot) =>
        `${id} ${slot.id}` in now.away ? [{ pin: { group: id, slot: slot.id }, name }] : [],
      ),
    )[0]!;
    const never = await lead
      .post(endpoints.pinPlan.path)
      .send({ id: uuid(), what: { pin: away.pin } })
      .expect(422);
    expect((never.body as { message: string }).message).toMatch(
      new RegExp(`^${away.name} cannot come .*: .*Choose another slot`),
    );
    // A pin that could be kept when it was set, and cannot any more.
    const set = await school.context.db('plan_pins').where({ id: pins[0]!.id }).first<PinRow>();
    await keepPin(school.context.db, { ...pins[1]!, school: set.school, by_person: set.by_person, at: set.at });
    await school.wrote();
    const { conflict } = await board();
    expect(conflict?.pins.toSorted()).toEqual(pins.map(({ id }) => id).toSorted());
    expect(conflict?.rules.map(({ rule }) => rule)).toContain('group-gap');
    const runner = startRunner(school.context);
    const { id } = await ask(6);
    const failed = await until(id, ({ status }) => status === 'failed');
    expect(failed.trouble).toContain('The fixed slots cannot all be kept');
    await runner.stop();
    for (const { id: pin } of pins) await lead.post(pathOf(endpoints.unpinPlan, { pin })).expect(200);
    expect((await board()).conflict).toBeNull();
  });

  it('need something to name', async () => {
    await lead
      .post(endpoints.pinPlan.path)
      .send({ id: uuid(), what: { forbid: {} } })
      .expect(422);
  });
});

describe('publishing', () => {
  it('sets the sessions, tells those whose day changed, and is done once however often it is sent', async () => {
    const plan = await planned();
    const body = publication(plan);
    const first = await publish(body).expect(200);
    const { version, told } = first.body as { version: number; told: number };
    expect(version).toBe((plan.board.published?.version ?? 0) + 1);
    expect(told).toBeGreaterThan(5);
    const again = await publish(body).expect(200);
    expect(again.body).toMatchObject({ version, told: 0 });
    const now = await board();
    const plain = (sessions: readonly { group: string; slot: string; hives: readonly string[] }[]) =>
      sessions.map(({ group, slot, hives }) => `${group} ${slot} ${hives.toSorted().join()}`).toSorted();
    expect(plain(now.problem.published!.sessions)).toEqual(plain(plan.job.plan!.sessions));
    expect(now.published).toMatchObject({ version, by: 'Morag Selkirk' });
    const mine = await trainee.get(endpoints.messages.path).expect(200);
    const { messages } = mine.body as { messages: { id: string; subject: string; lines: string[]; read: boolean }[] };
    for (const line of messages[0]!.lines) expect(line).toMatch(/^Curlew: (new|moved|called off)|now hive/);
    const read = await trainee.post(pathOf(endpoints.readMessage, { message: messages[0]!.id })).expect(200);
    expect((read.body as { messages: { read: boolean }[] }).messages[0]!.read).toBe(true);
    const { mails } = (await lead.get(endpoints.outbox.path).expect(200)).body as { mails: { to: string }[] };
    expect(mails).toHaveLength(told);
    expect(mails.map(({ to }) => to)).toContain('Ife');
    expect(mails.map(({ to }) => to)).not.toContain('Morag Selkirk');
  });

  it('of the same plan again changes nothing and tells nobody; its sessions keep their ids', async () => {
    const now = await board();
    const before = await school.db('sessions').where({ status: 'planned' }).pluck<string[]>('id');
    const sessions = now.published!.plan.sessions;
    const answer = await publish({
      id: uuid(),
      after: now.published!.version,
      forecast: now.forecast.issuedAt,
      sessions,
      staff: now.published!.plan.staff,
      reason: 'once more',
    }).expect(200);
    const last = await school.db('plan_versions').orderBy('version', 'desc').first<{ changes: string[] }>('changes');
    expect(last?.changes).toEqual([]);
    expect(answer.body).toMatchObject({ told: 0 });
    const after = await school.db('sessions').where({ status: 'planned' }).pluck<string[]>('id');
    expect(after.toSorted()).toEqual(before.toSorted());
    const { versions } = (await lead.get(endpoints.planVersions.path).expect(200)).body as {
      versions: { version: number; changes: string[]; reason: string }[];
    };
    expect(versions[0]).toMatchObject({ reason: 'once more', changes: [] });
  });

  it('after somebody else did is refused with what they changed, and the plan is kept', async () => {
    const now = await board();
    const { sessions } = now.published!.plan;
    const kept = sessions.slice(0, -1);
    const common = { forecast: now.forecast.issuedAt, staff: now.published!.plan.staff, reason: '' };
    const after = now.published!.version;
    await publish({ id: uuid(), after, sessions: kept, ...common }).expect(200);
    const late = await publish({ id: uuid(), after, sessions, ...common }).expect(409);
    expect(late.body).toMatchObject({ problem: 'published-meanwhile' });
    expect((late.body as { message: string }).message).toMatch(/called off.*Your plan is kept/);
    await publish({ id: uuid(), after: after + 1, sessions, ...common }).expect(200);
  });

  it('by a forecast that is not the one in use any more is refused in words', async () => {
    const now = await board();
    const { plan, version } = now.published!;
    const late = await publish({
      id: uuid(),
      after: version,
      forecast: '2026-05-13T18:10:00.000Z',
      sessions: plan.sessions,
      staff: plan.staff,
      reason: '',
    }).expect(409);
    expect((late.body as { message: string }).message).toContain('new forecast');
  });

  it('of what breaks a rule or names what is not there is refused, with names instead of ids', async () => {
    const now = await board();
    const { plan, version } = now.published!;
    const common = { id: uuid(), after: version, forecast: now.forecast.issuedAt, staff: [], reason: '' };
    const [first] = plan.sessions;
    const twice = await publish({ ...common, sessions: [first, first] }).expect(422);
    const { message } = twice.body as { message: string };
    expect(message).toMatch(/Curlew|Dipper|Lapwing/);
    expect(message).not.toMatch(/[0-9a-f]{8}-/);
    await publish({ ...common, sessions: [{ ...first, hives: [uuid()] }] }).expect(422);
    await publish({ ...common, sessions: [{ ...first, slot: '2026-05-14T03:00/nowhere' }] }).expect(409);
    expect((await board()).published!.version).toBe(version);
  });

  it('lets staff open hives alone, under a group of their own that no trainee is in', async () => {
    const now = await board();
    const { version, plan } = now.published!;
    const problem = now.problem as PlanningProblem;
    const [visit] = problem.slots.flatMap(({ id: slot }) =>
      problem.hives.flatMap(({ id: hive }) =>
        obstaclesTo(problem, plan, { kind: 'staff', slot, hive }).length === 0 ? [{ slot, hive }] : [],
      ),
    );
    const staff = [visit!];
    const { sessions } = plan;
    await publish({
      id: uuid(),
      after: version,
      forecast: now.forecast.issuedAt,
      sessions,
      staff,
      reason: '',
    }).expect(200);
    const after = await board();
    expect(after.groups.map(({ name }) => name)).toEqual(['Curlew', 'Dipper', 'Lapwing']);
    const next = await lead
      .get(pathOf(endpoints.sessionOn, { date: now.slots.find(({ id }) => id === visit!.slot)!.date }))
      .expect(200);
    const session = (next.body as { session: string | null }).session;
    if (session) await lead.get(pathOf(endpoints.daySheet, { session })).expect(200);
  });
});

describe('terms', () => {
  it('say when somebody can come and what may be lifted, and change the board at once', async () => {
    const { owners } = (await lead.get(endpoints.planningTerms.path).expect(200)).body as {
      owners: { id: string; name: string; terms: { kind: string } }[];
    };
    expect(owners.find(({ name }) => name === 'Niamh')?.terms).toMatchObject({
      kind: 'trainee',
      liftKg: 10,
      seated: true,
    });
    const curlew = owners.find(({ name }) => name === 'Curlew')!;
    const never = { ...curlew.terms, times: { weekly: [], away: [] } };
    await lead
      .post(pathOf(endpoints.setPlanningTerms, { owner: curlew.id }))
      .send({ terms: never })
      .expect(200);
    expect((await board()).problem.groups.find(({ id }) => id === curlew.id)!.slots).toEqual([]);
    await lead
      .post(pathOf(endpoints.setPlanningTerms, { owner: curlew.id }))
      .send({ terms: curlew.terms })
      .expect(200);
    expect((await board()).problem.groups.find(({ id }) => id === curlew.id)!.slots.length).toBeGreaterThan(0);
  });

  it('are refused for the wrong kind and for hours that end before they begin', async () => {
    const { owners } = (await lead.get(endpoints.planningTerms.path).expect(200)).body as {
      owners: { id: string; terms: { kind: string; times: { weekly: unknown[]; away: unknown[] } } }[];
    };
    const group = owners.find(({ terms }) => terms.kind === 'group')!;
    const post = (terms: object) => lead.post(pathOf(endpoints.setPlanningTerms, { owner: group.id })).send({ terms });
    await post({ kind: 'trainee', liftKg: 5, seated: false }).expect(422);
    await post({ ...group.terms, times: { weekly: [{ weekday: 1, from: 900, to: 600 }], away: [] } }).expect(422);
  });
});
