import { type Members, type OnHand, type PlanBoard, endpoints } from '@brave-comb/contract';
import type supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, pathOf } from './school';

/** Sessions that somebody makes without the planner: for tomorrow, moved, called off, with a word to those concerned. */

type Agent = ReturnType<typeof supertest.agent>;
let school: School;
let morag: Agent;
let salma: Agent;

beforeAll(async () => {
  school = await openSchool('', 'by_hand');
  [morag, salma] = [await school.signIn('morag'), await school.signIn('salma')];
}, 120_000);
afterAll(() => school.close());

const hand = async (query: Record<string, string> = {}): Promise<OnHand> => {
  const answer = await morag.get(`${endpoints.handSession.path}?${new URLSearchParams(query).toString()}`);
  expect(answer.status, answer.text.slice(0, 300)).toBe(200);
  return answer.body as OnHand;
};
type Told = { session: string; told: number; message: string; problem: string };
const keep = async (session: string, body: object): Promise<{ status: number; body: Told }> =>
  await morag.post(pathOf(endpoints.keepHandSession, { session })).send(body);
const inbox = async (agent: Agent) =>
  ((await agent.get(endpoints.messages.path).expect(200)).body as { messages: { id: string; lines: string[] }[] })
    .messages;
const outbox = async () =>
  ((await morag.get(endpoints.outbox.path).expect(200)).body as { mails: { to: string }[] }).mails;

/** What the form sends when nobody changes what it proposes. */
const proposed = (form: OnHand) => ({
  version: 0,
  site: form.site.id,
  date: form.date,
  from: form.from,
  to: form.to,
  depth: form.depth,
  parts: form.groups.flatMap(({ id: group, hive, supervisor }) =>
    hive === null || supervisor === null ? [] : [{ group, hive, supervisor }],
  ),
  anyway: '',
  tell: true,
  word: '',
});
const planned = async (session: string) =>
  (await morag.get(pathOf(endpoints.plannedSession, { session })).expect(200)).body as {
    version: number;
    status: string;
    byHand: boolean;
    begun: boolean;
    off: { why: string; word: string; by: string } | null;
    parts: { groupName: string; number: string; supervisorName: string }[];
    from: string;
    told: number;
  };

describe('a session made by hand', () => {
  it('opens with tomorrow, hours that are fit, a rested hive for each group and somebody to lead', async () => {
    const form = await hand();
    expect(form).toMatchObject({ today: '2026-05-14', date: '2026-05-15', site: { name: 'Home orchard' } });
    expect(form.from < form.to).toBe(true);
    expect(form.spans[0]!.from).toBe('00:00');
    // Whoever gets no hive cannot come, or there is none left for them.
    for (const { hive, comes, hives } of form.groups)
      expect(hive !== null || comes !== null || hives.every(({ barred }) => barred)).toBe(true);
    const days = await Promise.all(['2026-05-17', '2026-05-21', '2026-05-24'].map((date) => hand({ date })));
    const given = days
      .find(({ groups }) => groups.some(({ hive }) => hive !== null))!
      .groups.filter(({ hive }) => hive !== null);
    expect(given.length).toBeGreaterThan(0);
    expect(new Set(given.map(({ hive }) => hive)).size).toBe(given.length);
    expect(new Set(given.map(({ supervisor }) => supervisor)).size).toBe(given.length);
    for (const { hive, hives, comes } of given) {
      expect(comes).toBeNull();
      expect(hives.find(({ id }) => id === hive)).toMatchObject({ barred: false });
    }
    // Why not is said for every hive that may not be opened.
    for (const { hives } of form.groups) for (const { barred, says } of hives) if (barred) expect(says).not.toBeNull();
  });

  it('takes the hours that somebody chooses, and says how fit they are', async () => {
    const [day, night] = [await hand({ from: '13:00', to: '15:00' }), await hand({ from: '02:00', to: '04:00' })];
    expect(day.depth).not.toBe('outside');
    expect(night.fit === null || night.depth === 'outside').toBe(true);
    expect((await hand({ date: '2026-09-20' })).fit).toBeNull();
  });

  it('is made as it is proposed, and everybody concerned is told once', async () => {
    // The nearest day on which somebody may come and a hive has rested.
    const days = await Promise.all(
      ['2026-05-19', '2026-05-21', '2026-05-23', '2026-05-28'].map((date) => hand({ date })),
    );
    const form = days.find((each) => proposed(each).parts.length > 0) ?? expect.fail('no day is free');
    const wish = { ...proposed(form), word: 'Veils on at the gate.', anyway: 'a trial' };
    const [id, before] = [uuid(), (await outbox()).length];
    const { status, body } = await keep(id, wish);
    expect([status, body.message]).toEqual([200, undefined]);
    expect(body.told).toBeGreaterThan(1);
    expect(await outbox()).toHaveLength(before + body.told);
    // Sent twice it is made and told once.
    expect((await keep(id, wish)).body).toEqual({ session: id, told: 0 });
    expect(await outbox()).toHaveLength(before + body.told);
    const kept = await planned(id);
    expect(kept).toMatchObject({ version: 1, status: 'planned', byHand: true, begun: false, told: body.told });
    expect(kept.parts).toHaveLength(wish.parts.length);
    await morag.get(pathOf(endpoints.daySheet, { session: id })).expect(200);
    // It lies in the next one's way: neither group, hive nor leader is proposed a second time.
    const again = await hand({ site: form.site.id, date: form.date, from: form.from, to: form.to });
    for (const { group, hive, supervisor } of wish.parts) {
      expect(again.groups.find((each) => each.id === group)).toMatchObject({ hive: null, comes: expect.any(String) });
      expect(again.groups[0]!.hives.find((each) => each.id === hive)).toMatchObject({ barred: true });
      expect(again.supervisors.find((each) => each.id === supervisor)!.away).toBe('leads another session then');
    }
    // While it is changed it is in nobody's way.
    const own = await hand({ site: form.site.id, date: form.date, from: form.from, to: form.to, session: id });
    expect(own.groups.find((each) => each.id === wish.parts[0]!.group)!.comes).toBeNull();
  });

  it('asks why it is held where something does not fit, and takes the answer', async () => {
    const form = await hand({ date: '2026-05-30' });
    const group = form.groups.find(({ name }) => name === 'Curlew')!;
    const barred = form.groups[0]!.hives.find((each) => each.barred) ?? expect.fail('every hive may be opened');
    const supervisor = form.supervisors.find(({ away }) => away === null)!.id;
    const wish = { ...proposed(form), parts: [{ group: group.id, hive: barred.id, supervisor }], tell: false };
    const [refused, id] = [await keep(uuid(), wish), uuid()];
    expect([refused.status, refused.body.problem]).toEqual([422, 'does-not-fit']);
    expect(refused.body.message).toContain('say why it is held anyway');
    expect((await keep(id, { ...wish, anyway: 'The inspector comes.' })).status).toBe(200);
  });

  it.each<[string, (form: OnHand) => object, number]>([
    ['hours turned round', () => ({ from: '15:00', to: '13:00' }), 422],
    ['a day that is over', () => ({ date: '2026-05-01' }), 422],
    ['no group', () => ({ parts: [] }), 422],
    [
      'one hive for two groups',
      ({ groups, supervisors }) => ({
        parts: groups.slice(0, 2).map(({ id }, at) => ({
          group: id,
          hive: groups[0]!.hives[0]!.id,
          supervisor: supervisors[at]!.id,
        })),
      }),
      422,
    ],
    ['a site that is not there', () => ({ site: uuid() }), 404],
    [
      'a group that is not there',
      ({ groups, supervisors }) => ({
        parts: [{ group: uuid(), hive: groups[0]!.hives[0]!.id, supervisor: supervisors[0]!.id }],
      }),
      404,
    ],
    ['a session that is not there', () => ({ version: 2 }), 404],
  ])('is refused for %s', async (_what, change, status) => {
    const form = await hand({ date: '2026-05-28' });
    const first = {
      group: form.groups[0]!.id,
      hive: form.groups[0]!.hives[0]!.id,
      supervisor: form.supervisors[0]!.id,
    };
    const answer = await keep(uuid(), { ...proposed(form), parts: [first], anyway: 'a trial', ...change(form) });
    expect(answer.status, answer.body.message).toBe(status);
  });

  it('is moved, called off with a word, and brought back; each time those concerned are told', async () => {
    const { groups: members, people } = (await morag.get(endpoints.members.path)).body as Members;
    const curlew = members.find(({ name }) => name === 'Curlew')!.id;
    const form = await hand({ date: '2026-06-04' });
    const hive = form.groups.find(({ id }) => id === curlew)!.hives[0]!.id;
    const supervisor = people.find(({ name }) => name.startsWith('Tomasz'))!.id;
    const wish = { ...proposed(form), parts: [{ group: curlew, hive, supervisor }], anyway: 'a trial' };
    const id = uuid();
    await keep(id, wish);
    const [first] = await inbox(salma);
    expect(first!.lines[0]).toContain('Curlew: new, ');
    expect(
      (await keep(id, { ...wish, version: 1, from: '14:00', to: '16:00', word: 'Bring the sketch.' })).status,
    ).toBe(200);
    const [moved] = await inbox(salma);
    expect(moved!.lines[0]).toContain('Curlew: moved from ');
    expect(moved!.lines[1]).toBe('Bring the sketch.');
    // Who saves the older version is told so.
    expect((await keep(id, { ...wish, version: 1 })).body.problem).toBe('changed-meanwhile');
    const off = (body: object) => morag.post(pathOf(endpoints.callOffSession, { session: id })).send(body);
    const call = { off: true, why: 'weather', tell: true, word: 'Saturday instead.' };
    expect((await off(call)).status).toBe(200);
    expect((await off(call)).body).toMatchObject({ told: 0 });
    expect(await planned(id)).toMatchObject({
      status: 'called-off',
      off: { why: 'weather', word: 'Saturday instead.' },
    });
    const [calledOff, ...before] = await inbox(salma);
    expect(calledOff!.lines[0]).toContain('does not take place because of the weather');
    expect(before[0]!.id).toBe(moved!.id);
    expect((await off({ ...call, off: false, word: '' })).status).toBe(200);
    expect((await inbox(salma))[0]!.lines[0]).toContain('takes place after all');
    expect(await planned(id)).toMatchObject({ status: 'planned', off: null });
  });

  it('is left alone by the plan, which works round it', async () => {
    const form = await hand({ date: '2026-05-20', from: '09:00', to: '11:00' });
    const group = form.groups.find(({ name }) => name === 'Dipper')!.id;
    const hive = form.groups[0]!.hives.find(({ number }) => number === '2') ?? form.groups[0]!.hives[0]!;
    const supervisor = form.supervisors.find(({ away }) => away === null)!.id;
    const id = uuid();
    const wish = { ...proposed(form), parts: [{ group, hive: hive.id, supervisor }], tell: false, anyway: 'a trial' };
    expect((await keep(id, wish)).status).toBe(200);
    const board = (await morag.get(endpoints.planBoard.path).expect(200)).body as PlanBoard;
    const sixth = board.problem.slots.filter(({ day }) => day === 6).map((slot) => slot.id);
    const comes = board.problem.groups.find((each) => each.id === group)!.slots;
    expect(sixth.filter((slot) => comes.includes(slot))).toEqual([]);
    const rests = (board.problem.forbids ?? []).filter((each) => each.hive === hive.id).map((each) => each.slot);
    expect(sixth.filter((slot) => !rests.includes(slot))).toEqual([]);
    expect(sixth).not.toEqual([]);
    // A plan without it is published, and it still stands.
    const body = {
      id: uuid(),
      after: board.published?.version ?? null,
      forecast: board.forecast.issuedAt,
      sessions: [],
      staff: [],
      reason: 'a trial',
    };
    const { status } = await morag.post(endpoints.publishPlan.path).send(body);
    expect([200, 422]).toContain(status);
    expect((await planned(id)).status).toBe('planned');
  });

  it('and the plan go on when a hive, a group and a supervisor of theirs go out of use', async () => {
    const board = async () => (await morag.get(endpoints.planBoard.path).expect(200)).body as PlanBoard;
    const form = await hand({ date: '2026-05-24' });
    const [part] = proposed(form).parts;
    const free = form.supervisors.find(({ away }) => away === null)!.id;
    const chosen = part ?? { group: form.groups[0]!.id, hive: form.groups[0]!.hives[0]!.id, supervisor: free };
    const id = uuid();
    expect((await keep(id, { ...proposed(form), parts: [chosen], tell: false, anyway: 'a trial' })).status).toBe(200);
    // As the planner would have made it, and fixed.
    await school.db('sessions').where({ id }).update({ by_hand: false });
    const slot = (await board()).problem.slots[0]!.id;
    for (const what of [{ pin: { group: chosen.group, slot } }, { forbid: { hive: chosen.hive, slot } }])
      await morag.post(endpoints.pinPlan.path).send({ id: uuid(), what }).expect(200);
    const now = { retired_at: new Date() };
    for (const [table, which] of [
      ['hives', chosen.hive],
      ['trainee_groups', chosen.group],
      ['people', chosen.supervisor],
    ] as const) {
      await school.db(table).where({ id: which }).update(now);
      await school.db('revisions').increment('number', 1);
      const { problem } = await board();
      expect(JSON.stringify([problem.hives, problem.groups, problem.supervisors])).not.toContain(which);
      for (const endpoint of [endpoints.mySessions, endpoints.coverage, endpoints.traineeMatrix, endpoints.colonyList])
        await morag.get(endpoint.path).expect(200);
      await morag.get(pathOf(endpoints.daySheet, { session: id })).expect(200);
    }
  });
});
