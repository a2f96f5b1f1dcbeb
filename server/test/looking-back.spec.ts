import { type DaySheet, type Output, endpoints } from '@brave-comb/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, openVisit, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
type Visits = Output<typeof endpoints.recentVisits>;
type Mine = Output<typeof endpoints.mySessions>;
type Combs = Output<typeof endpoints.combLedger>;

let school: School;
let [morag, tomasz, nadia, salma, ines]: Agent[] = [];

beforeAll(async () => {
  school = await openSchool('', 'looking_back');
  [morag, tomasz, nadia, salma, ines] = await Promise.all(
    ['morag', 'tomasz', 'nadia', 'salma', 'ines'].map((name) => school.signIn(name)),
  );
});
afterAll(() => school.close());

const visits = async (agent: Agent, before?: string): Promise<Visits> =>
  (
    await agent
      .get(endpoints.recentVisits.path)
      .query(before === undefined ? {} : { before })
      .expect(200)
  ).body as Visits;
/** Every visit that somebody may look back on, page by page, as the screen fetches them. */
async function allVisits(agent: Agent) {
  const found = new Map<string, Visits['visits'][number]>();
  let before: string | undefined;
  for (let pages = 1; pages < 100; pages++) {
    const { visits: page, more } = await visits(agent, before);
    for (const visit of page) found.set(visit.id, visit);
    if (!more) return { pages, visits: [...found.values()] };
    before = page.at(-1)!.startedAt;
  }
  throw new Error('the pages have no end');
}

describe('visits to look back on', () => {
  it('come newest first, a page at a time, each of them once, until there is no more', async () => {
    const { pages, visits: all } = await allVisits(morag!);
    const [{ count }] = (await school
      .db('visits')
      .join('schools', 'schools.id', 'visits.school')
      .where('schools.name', 'like', 'Brenna%')
      .count({ count: '*' })) as [{ count: number }];
    expect(all).toHaveLength(count);
    expect(pages).toBe(Math.max(1, Math.ceil(all.length / 40)));
    const times = all.map(({ startedAt }) => startedAt);
    expect(times).toEqual(times.toSorted((a, b) => b.localeCompare(a)));
  });

  it('before a moment are none from after it, and none at all before the first', async () => {
    const { visits: all } = await allVisits(morag!);
    const middle = all[Math.floor(all.length / 2)]!.startedAt;
    const { visits: older } = await visits(morag!, middle);
    expect(older.length).toBeGreaterThan(0);
    expect(older.every(({ startedAt }) => startedAt <= middle)).toBe(true);
    expect(await visits(morag!, '2020-01-01T00:00:00.000Z')).toEqual({ visits: [], more: false });
    await morag!.get(endpoints.recentVisits.path).query({ before: 'yesterday' }).expect(422);
  });

  it('are a trainee’s own group’s only, and nothing of another school', async () => {
    const groups = async (agent: Agent) =>
      [...new Set((await allVisits(agent)).visits.map(({ group }) => group.name))].sort();
    expect(await groups(salma!)).toEqual(['Curlew']);
    expect(await groups(nadia!)).toEqual(['Dipper']);
    const ours = new Set((await allVisits(morag!)).visits.map(({ id }) => id));
    expect((await allVisits(ines!)).visits.some(({ id }) => ours.has(id))).toBe(false);
  });

  it('show one that was opened just now first, and as open', async () => {
    const visit = await openVisit(tomasz!, '4');
    const [first] = (await visits(tomasz!)).visits;
    expect(first).toMatchObject({ id: visit, hiveNumber: '4', closedAt: null });
  });
});

describe('the emergency card before a hive is open', () => {
  const card = async (agent: Agent) => {
    const { session } = (await agent.get(endpoints.nextSession.path).expect(200)).body as { session: string };
    return ((await agent.get(pathOf(endpoints.daySheet, { session })).expect(200)).body as DaySheet).emergency;
  };

  it('says whom to call, where one is and what to do, and to staff who gave a note', async () => {
    const told = await card(morag!);
    expect(told.number).toBe('112');
    expect(told.grid).toMatch(/^\d+\.\d{4}° [NS], \d+\.\d{4}° [EW]$/);
    expect(told.steps.length).toBeGreaterThan(3);
    expect(told.people.map(({ name }) => name)).toContain('Nadia');
  });

  it('tells a trainee nobody’s note but the own one', async () => {
    expect((await card(nadia!)).people.map(({ name }) => name)).toEqual(['Nadia']);
    expect((await card(salma!)).people).toEqual([]);
    expect((await card(salma!)).number).toBe('112');
  });
});

describe('what can be learned at a session', () => {
  const mine = async (agent: Agent) => ((await agent.get(endpoints.mySessions.path).expect(200)).body as Mine).sessions;

  it('has the odds of each skill at each hive, the ones worth most first, and none that is hopeless', async () => {
    const learned = (await mine(salma!)).flatMap(({ hives }) => hives.flatMap(({ learn }) => learn));
    expect(learned.length).toBeGreaterThan(0);
    for (const { name, chance } of learned) {
      expect(name).not.toBe('');
      expect(chance).toBeGreaterThanOrEqual(0.2);
      expect(chance).toBeLessThanOrEqual(1);
    }
  });

  it('is for a trainee what they have not achieved yet', async () => {
    const { session } = (await salma!.get(endpoints.nextSession.path).expect(200)).body as { session: string };
    const sheet = (await salma!.get(pathOf(endpoints.daySheet, { session })).expect(200)).body as DaySheet;
    const here = (await mine(salma!))
      .filter((each) => each.session === session)
      .flatMap(({ hives }) => hives.flatMap(({ learn }) => learn.map(({ name }) => name)));
    expect(here.length).toBeGreaterThan(0);
    for (const name of here) expect(sheet.mine!.openSkills).toContain(name);
  });
});

describe('the comb store', () => {
  it('names kinds and stores by their ids, so that each reader’s language calls them', async () => {
    const ledger = (await morag!.get(endpoints.combLedger.path).expect(200)).body as Combs;
    expect(ledger.combs.length).toBeGreaterThan(100);
    expect(new Set(ledger.combs.map(({ comb }) => comb.kind))).toEqual(new Set(['drawn']));
    for (const { hiveNumber, store } of ledger.combs) expect((hiveNumber === null) === (store !== null)).toBe(true);
  });
});
