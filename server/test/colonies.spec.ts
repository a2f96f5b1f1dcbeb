import {
  type Calendars,
  type ColonyList,
  type ColonyStory,
  type DaySheet,
  type Increase,
  type Review,
  type YardRound,
  endpoints,
} from '@brave-comb/contract';
import { forecastColony } from '@brave-comb/core/biology';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;
let tomasz: Agent;
let salma: Agent;

beforeAll(async () => {
  school = await openSchool('', 'colonies');
  morag = await school.signIn('morag');
  tomasz = await school.signIn('tomasz');
  salma = await school.signIn('salma');
});
afterAll(() => school.close());

const list = async (agent = morag) => (await agent.get(endpoints.colonyList.path).expect(200)).body as ColonyList;
const line = async (number: string) => (await list()).colonies.find((each) => each.number === number)!;
const story = async (number: string, agent = morag) => {
  const { hive } = await line(number);
  return (await agent.get(pathOf(endpoints.colonyStory, { hive })).expect(200)).body as ColonyStory;
};

describe('what a colony is kept for', () => {
  const log = async (number: string, detail: object, agent = morag) => {
    const { hive } = await line(number);
    const body = { id: uuid(), date: '2026-05-14', detail };
    return agent.post(pathOf(endpoints.logColonyEvent, { hive })).send(body);
  };

  it('is logged by who opens hives, stands in its story, and leans its advice; a trainee may not', async () => {
    expect((await story('4')).aim).toBeNull();
    expect((await log('4', { kind: 'aim', of: 'survival' }, salma)).status).toBe(403);
    expect((await log('4', { kind: 'aim', of: 'money' })).status).toBe(422);
    expect((await log('4', { kind: 'aim', of: 'survival' })).status).toBe(200);
    const told = await story('4');
    expect(told.aim).toBe('survival');
    expect(told.events.at(-1)?.words ?? '').toContain('to live through by itself');
    expect((await log('4', { kind: 'aim', of: 'honey' })).status).toBe(200);
    expect((await story('4')).aim).toBe('honey');
  });

  it('is not what its queen’s stock is: traits are noted for that', async () => {
    expect((await story('9')).stock?.verdict).not.toBe('requeen');
    await log('9', { kind: 'trait', trait: 'follows' });
    const { hive } = await line('9');
    await morag
      .post(pathOf(endpoints.logColonyEvent, { hive }))
      .send({ id: uuid(), date: '2026-05-07', detail: { kind: 'trait', trait: 'follows' } })
      .expect(200);
    const { stock } = await story('9');
    expect(stock?.verdict).toBe('requeen');
    expect(stock?.reasons.map(({ text }) => text)).toContain('Noted on 2 days: follows people away from the hive');
  });
});

describe('increase', () => {
  const ask = async (query: object = {}, agent = morag) =>
    (await agent.get(endpoints.increase.path).query(query).expect(200)).body as Increase;

  it('counts drawn comb against the goal that the lead set', async () => {
    const { combs } = await ask();
    expect(combs.goal).toBe(0);
    expect(combs.inHives).toBeGreaterThan(50);
    await tomasz.post(endpoints.setCombGoal.path).send({ goal: 400 }).expect(403);
    await morag.post(endpoints.setCombGoal.path).send({ goal: 400 }).expect(200);
    const after = (await ask()).combs;
    expect(after).toMatchObject({ goal: 400, short: 400 - combs.inHives - combs.inStore });
    expect(after.buy).toBe(Math.max(0, after.short - after.foundation));
  });

  it('plans a division by the source of the queens', async () => {
    const { sites, site: home } = await ask();
    expect((await ask({ source: 'graft' })).plan.not).toMatch(/^Disease is suspected in this yard/);
    const site = sites.find(({ id }) => id !== home.id)!.id;
    const graft = (await ask({ site, source: 'graft', wanted: 3 })).plan;
    const bought = (await ask({ site, source: 'buy-mated', wanted: 3 })).plan;
    expect(graft.steps.map(({ key }) => key)).toContain('graft');
    expect(bought.steps.map(({ key }) => key)).not.toContain('graft');
    expect(bought.laying!.to < graft.laying!.to).toBe(true);
    const late = (await ask({ site, source: 'graft', by: '2026-05-20' })).plan;
    expect(late.not).toContain('No queen can lay by 20 May');
    await morag.get(endpoints.increase.path).query({ wanted: 0 }).expect(422);
  });

  it('begins a trial once, however often it is sent, ends it, and takes it back', async () => {
    const { site, hives } = await ask();
    const trial = uuid();
    const body = {
      id: trial,
      question: 'Super on top or beneath?',
      one: 'on top',
      other: 'beneath',
      measure: 'honey',
      revisit: '2026-06-14',
      hives: hives.map(({ hive }) => hive),
    };
    const at = pathOf(endpoints.beginTrial, { site: site.id });
    const refused = await morag.post(at).send({ ...body, revisit: '2026-05-14' });
    expect(refused.status).toBe(422);
    expect((refused.body as { message: string }).message).toContain('after today');
    await morag.post(at).send(body).expect(200);
    await morag.post(at).send(body).expect(200);
    const [begun, ...others] = (await ask()).trials;
    expect(others).toEqual([]);
    expect(begun).toMatchObject({
      one: 'on top',
      verdict: 'open',
      begun: '2026-05-14',
      by: expect.any(String) as string,
    });
    expect(begun!.pairs.length).toBeGreaterThan(0);
    const end = pathOf(endpoints.endTrial, { trial });
    await morag.post(end).send({ how: 'ended' }).expect(200);
    expect((await ask()).trials[0]!.ended).toBe('2026-05-14');
    await morag.post(end).send({ how: 'withdrawn' }).expect(200);
    expect((await ask()).trials).toEqual([]);
  });
});

describe('how advice came out', () => {
  const review = async (visit: string) =>
    (await morag.get(pathOf(endpoints.visitReview, { visit })).expect(200)).body as Review;
  const decided = async (hive: string, advice: string) =>
    (await story(hive)).decisions.find(({ decision }) => decision.advice === advice)!;

  it('is told by the next look: feed was declined, and they found enough', async () => {
    expect(await decided('9', 'feed')).toMatchObject({ decision: { verdict: 'declined' }, cameOut: 'wrong' });
  });

  it('is counted for the next advice of its kind', async () => {
    const { visits } = await story('6');
    const visit = visits.at(-2)!.id;
    const [first] = (await review(visit)).advice;
    const { kind } = first!.advice;
    const recordOf = async () =>
      (await review(visit)).advice.find(({ advice }) => advice.kind === kind)!.record ?? { right: 0, of: 0 };
    const before = await recordOf();
    await morag
      .post(pathOf(endpoints.decide, { visit }))
      .send({ id: uuid(), advice: kind, verdict: 'accepted', action: '', reason: '' })
      .expect(200);
    const { cameOut } = await decided('6', kind);
    expect(['right', 'wrong']).toContain(cameOut);
    const right = cameOut === 'right' ? 1 : 0;
    expect(await recordOf()).toEqual({ right: before.right + right, of: before.of + 1 });
  });

  it('is not known before somebody looks again', async () => {
    const { decideAt } = await line('11');
    await morag
      .post(pathOf(endpoints.decide, { visit: decideAt! }))
      .send({ id: uuid(), advice: 'mites', verdict: 'declined', action: '', reason: 'Waits for the lead.' })
      .expect(200);
    const waiting = await decided('11', 'mites');
    expect(waiting.cameOut).toBe('open');
    await morag.post(pathOf(endpoints.withdrawDecision, { decision: waiting.decision.id })).expect(200);
  });
});

describe('the list of colonies', () => {
  it('has every hive of every site once, the soonest first, and none of another school', async () => {
    const { colonies, today, sites } = await list();
    expect(colonies.map(({ number }) => Number(number)).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 14 }, (_, index) => index + 1),
    );
    expect(sites.map(({ name }) => name)).toEqual(['Home orchard', 'Moor edge']);
    const bands = colonies.map(({ attention }) => ['now', 'this-week', 'later', 'nothing'].indexOf(attention));
    expect(bands).toEqual([...bands].sort((a, b) => a - b));
    const now = colonies.filter(({ attention }) => attention === 'now');
    const soonest = now.map(({ asks }) => asks.find(({ strict }) => strict !== 'may')!.by);
    expect(soonest).toEqual([...soonest].sort());
    expect(today).toBe('2026-05-14');
    const ines = await school.signIn('ines');
    expect((await list(ines)).colonies).toHaveLength(3);
  });

  it('tells of a colony what its last visits found', async () => {
    expect(await line('4')).toMatchObject({
      queen: { year: 2025, colour: 'blue', marked: true, says: 'seen 5 May' },
      mites: { bees: 300, mites: 1, date: '2026-04-26', method: 'alcohol wash' },
      temper: 1,
      forNovices: true,
      opened: { times: 2, limit: 4 },
    });
    const seven = await line('7');
    expect(seven.queen.says).toMatch(/^young queen, should lay by /);
  });

  it('keeps a hive under suspicion from people who are new to it, and says so first', async () => {
    const three = await line('3');
    expect(three.forNovices).toBe(false);
    expect(three.mind[0]).toEqual({ level: 'stop', text: 'Disease suspected: uneven cappings on 4' });
  });

  it('knows nothing of a swarm that nobody opened, and guesses nothing', async () => {
    expect(await line('14')).toMatchObject({ bees: null, storesKg: null, mites: null, course: [], temper: null });
  });

  it('says once what a count of mites asks for, until somebody decides', async () => {
    const before = await line('11');
    const mites = before.asks.filter(({ what }) => /mites/i.test(what));
    expect(mites).toHaveLength(1);
    expect(mites[0]).toMatchObject({ toDecide: true });
    const visit = before.decideAt!;
    const review = (await morag.get(pathOf(endpoints.visitReview, { visit })).expect(200)).body as Review;
    expect(review.advice.some(({ advice }) => advice.kind === 'mites')).toBe(true);
    await morag
      .post(pathOf(endpoints.decide, { visit }))
      .send({ id: uuid(), advice: 'mites', verdict: 'declined', reason: 'Counted again next week.' })
      .expect(200);
    const after = await line('11');
    expect(after.asks.filter(({ what, toDecide }) => toDecide && /mites/i.test(what))).toEqual([]);
    expect((await story('11')).decisions.at(-1)).toMatchObject({
      visit,
      decision: { advice: 'mites', verdict: 'declined', reason: 'Counted again next week.' },
    });
  });
});

describe('the story of a colony', () => {
  it('joins visits, samples, medicines, feeds and decisions, the oldest first', async () => {
    const four = await story('4');
    expect(four.visits.map(({ date }) => date)).toEqual(['2026-04-12', '2026-04-26', '2026-05-05']);
    expect(four.visits.at(-1)).toMatchObject({ look: 'full', queen: 'seen', temper: 1, open: true });
    expect(four.visits.at(-1)!.superKg).toBeGreaterThan(3);
    expect(four.courses.map(({ medicine, from, end, ended }) => [medicine, from, end, ended])).toEqual([
      ['thymol, gel', '2025-08-16', '2025-09-13', true],
      ['oxalic acid, trickled', '2025-12-20', '2025-12-20', true],
    ]);
    expect(four.decisions).toHaveLength(1);
    expect(four.planned.map(({ group }) => group)).toContain('Curlew');
    expect([four.before?.number, four.after?.number]).toEqual(['3', '5']);
  });

  it('lets a supervisor open the reviews of their own visits only, and tells a trainee the same story', async () => {
    const all = [...(await story('4', tomasz)).visits, ...(await story('10', tomasz)).visits];
    expect(new Set(all.map(({ open }) => open)).size).toBe(2);
    for (const { id: visit, open } of all)
      await tomasz.get(pathOf(endpoints.visitReview, { visit })).expect(open ? 200 : 404);
    expect((await story('4', salma)).visits.map(({ date }) => date)).toHaveLength(3);
  });

  it('brings what a forecast rests on: it can be reckoned, and nothing is laid until a young queen can', async () => {
    const four = await story('4');
    expect(four.noForecast).toBeNull();
    const { from, bands, hindsight } = forecastColony(four.forecast!.facts);
    expect(four.forecast!.first).toBe('2026-04-12');
    expect(from).toBe(23);
    expect(bands.bees!.at(-1)!.p50).toBeGreaterThan(bands.bees![0]!.p50);
    expect(bands.mites).not.toBeNull();
    expect(hindsight.length).toBeGreaterThan(3);
    const seven = await story('7');
    const laid = seven.forecast!.facts.days.map(({ laying }) => laying);
    expect(laid.some((eggs, day) => eggs === 0 && (laid[day - 1] ?? 0) > 0)).toBe(true);
    expect(laid.at(-1)).toBeGreaterThan(0);
  });

  it('says why there is no forecast where nobody read a comb', async () => {
    const swarm = await story('14');
    expect(swarm.forecast).toBeNull();
    expect(swarm.noForecast).toMatch(/nothing to forecast from/);
  });

  it('shows a medicine that was logged, and from when a super may go on', async () => {
    const { hive } = await line('10');
    const detail = {
      kind: 'treatment',
      medicine: 'formic acid, pads',
      repeatAfter: null,
      doses: 1,
      removeAfter: 10,
      withdrawal: 14,
    };
    const { body } = await morag
      .post(pathOf(endpoints.logColonyEvent, { hive }))
      .send({ id: uuid(), date: '2026-05-13', detail })
      .expect(200);
    expect((body as Calendars).colonies.length).toBeGreaterThan(0);
    const course = (await story('10')).courses.at(-1)!;
    expect(course).toMatchObject({ medicine: 'formic acid, pads', ended: false, freeFrom: '2026-06-06' });
    expect((await line('10')).mind.some(({ text }) => text === 'In the hive: formic acid, pads')).toBe(true);
  });

  it('is not there for a hive of another school', async () => {
    const { hive } = await line('4');
    const ines = await school.signIn('ines');
    await ines.get(pathOf(endpoints.colonyStory, { hive })).expect(404);
  });
});

describe('the yard round', () => {
  const round = async (agent = morag) => (await agent.get(endpoints.yardRound.path).expect(200)).body as YardRound;
  const at = async (number: string) => (await round()).colonies.find((each) => each.number === number)!;

  it('has what must or should be done within the week at every hive of one site, and where', async () => {
    const { colonies, until, site } = await round();
    expect([site.name, until]).toEqual(['Home orchard', '2026-05-21']);
    expect(colonies.map(({ number }) => number)).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9']);
    const jobs = colonies.flatMap(({ jobs: each }) => each);
    expect(jobs.length).toBeGreaterThan(8);
    expect(jobs.every(({ by, strict }) => by <= until && strict !== 'may')).toBe(true);
    expect((await at('3')).suspected).toBe(true);
    expect((await at('4')).place).not.toBeNull();
    // Today's session opens hive 4: what is late there waits for it, and no second walk.
    const cells = (await at('4')).jobs.find(({ what }) => what === 'Look for queen cells')!;
    expect(cells).toMatchObject({ goesTo: 'session', session: { date: '2026-05-14', group: 'Curlew' } });
  });

  it('moves no comb while disease is suspected in the yard', async () => {
    expect((await round()).matches).toEqual([]);
  });

  it('puts an advice on the list of whoever opens that hive next, once, with what it takes', async () => {
    const { hive, jobs } = await at('4');
    const advice = jobs.find(({ key }) => key.startsWith('advice:'))!;
    const send = { id: uuid(), advice: advice.key.slice('advice:'.length) };
    const path = pathOf(endpoints.sendToSession, { hive });
    await morag.post(path).send(send).expect(200);
    await morag.post(path).send(send).expect(200);
    const after = (await at('4')).jobs.filter(({ what }) => what === advice.what);
    expect(after).toHaveLength(1);
    expect(after[0]).toMatchObject({ toDecide: false, goesTo: 'session' });
    const next = (await morag.get(endpoints.nextSession.path).expect(200)).body as { session: string };
    const { body } = await morag.get(pathOf(endpoints.daySheet, { session: next.session })).expect(200);
    const card = (body as DaySheet).groups.find((each) => each.hive.number === '4')!;
    expect(card.due.map(({ question }) => question)).toContain(advice.what);
  });

  it('sends nothing that the last visit does not advise', async () => {
    const { hive } = await at('8');
    await morag.post(pathOf(endpoints.sendToSession, { hive })).send({ id: uuid(), advice: 'health' }).expect(409);
    await salma.post(pathOf(endpoints.sendToSession, { hive })).send({ id: uuid(), advice: 'health' }).expect(403);
  });
});

describe('a treatment that was counted on both sides', () => {
  const washed = async (number: string, date: string, mites: number) => {
    const { id: visit } = (await story(number)).visits.find((each) => each.date === date)!;
    const measure = { what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites } as const;
    const { body } = await morag
      .post(pathOf(endpoints.recordEntries, { visit }))
      .send({ entries: [{ id: uuid(), at: '2026-05-14T12:00:00Z', body: { kind: 'measured', measure } }] })
      .expect(200);
    expect(body).toBeDefined();
    return visit;
  };

  it('is held against colonies that were given nothing, alike in its story, its review and the yard', async () => {
    const { hive } = await line('9');
    const detail = {
      kind: 'treatment',
      medicine: 'formic acid, pads',
      repeatAfter: null,
      doses: 1,
      removeAfter: 5,
      withdrawal: 0,
    };
    const log = (date: string, each: object) =>
      morag.post(pathOf(endpoints.logColonyEvent, { hive })).send({ id: uuid(), date, detail: each }).expect(200);
    await log('2026-04-27', detail);
    await log('2026-05-02', { kind: 'treatment-out', medicine: 'formic acid, pads' });
    const visit = await washed('9', '2026-05-10', 15);
    const review = async () =>
      ((await morag.get(pathOf(endpoints.visitReview, { visit })).expect(200)).body as Review).advice
        .find(({ advice }) => advice.kind === 'mites')!
        .advice.reasons.map(({ text }) => text)
        .join('; ');
    expect(await review()).toContain('formic acid, pads did not hold the mites: 0.7 per 100 bees before, 5 after');
    expect(await review()).not.toContain('untreated');
    // In hive 6 nobody did anything, and mites grew as much: 2 of 310 to 15 of 300.
    await washed('6', '2026-05-07', 15);
    expect(await review()).toMatch(
      /(took \S+ % of the mites|did not hold the mites): 0.7 per 100 bees before, 5 after, held against untreated/,
    );
    expect((await story('9')).courses.at(-1)!.worked).toContain('held against one untreated colony');
  });
});
