import { endpoints } from '@brave-comb/contract';
import supertest from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyAll } from '../src/demo/store';
import { newStartCode } from '../src/records/people';
import { type School, openSchool, pathOf } from './school';

let school: School;
let code: string;

beforeAll(async () => {
  school = await openSchool('', 'first_owner');
});
afterAll(() => school.close());
beforeEach(async () => {
  await school.db.transaction(emptyAll);
  code = (await newStartCode(school.db)) ?? expect.fail('no code for an empty installation');
});

const WISH = {
  name: 'Inés Quiroga',
  signIn: 'Ines@saltpan-road.example',
  password: 'three plain words',
  school: 'Saltpan Road',
  units: 'metric',
  home: { zone: 'Pacific/Noumea', latitude: -42.9, longitude: 160.2, south: true },
};
const begin = (change: object = {}, agent = supertest.agent(school.app)) =>
  agent.post(endpoints.beginSchool.path).send({ code, ...WISH, ...change });
const told = ({ body }: { body: unknown }) => body as { message: string; person: { name: string } };
const who = async (agent = supertest.agent(school.app)) =>
  (await agent.get(endpoints.whoAmI.path).expect(200)).body as { beginning: boolean; person: object | null };
const wrongCode = () => `${(Number(code) + 1) % 1_000_000}`.padStart(6, '0');

describe('an installation without a school', () => {
  it('says that it waits for its first owner, until there is one', async () => {
    expect(await who()).toMatchObject({ beginning: true, person: null });
    const agent = supertest.agent(school.app);
    expect(told(await begin({}, agent).expect(200)).person).toMatchObject({
      name: 'Inés Quiroga',
      role: 'lead',
      owner: true,
      school: { name: 'Saltpan Road' },
      units: { own: null, school: 'metric' },
    });
    // Signed in at once, and from now on by name and password.
    expect(await who(agent)).toMatchObject({ beginning: false, person: { name: 'Inés Quiroga' } });
    expect((await who()).beginning).toBe(false);
    const { name, password } = { name: 'ines@saltpan-road.example', password: WISH.password };
    await supertest(school.app).post(endpoints.signIn.path).send({ name, password }).expect(200);
    const log = (await agent.get(endpoints.changeLog.path).expect(200)).body as { lines: { door: string }[] };
    expect(log.lines.map(({ door }) => door)).toContain('school-begun');
    expect(await newStartCode(school.db)).toBeNull();
  });

  it('has one owner where two come at once, and nothing of the other', async () => {
    const answers = await Promise.all([begin(), begin({ signIn: 'other@example.org', school: 'Other' })]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    expect(await school.db('schools').pluck('name')).toHaveLength(1);
    expect(await school.db('people').pluck('name')).toHaveLength(1);
    expect(told(await begin().expect(409)).message).toContain('has an owner already');
  });

  it('makes nobody its owner without the code, and slows guessing down', async () => {
    for (const left of [4, 3, 2, 1]) {
      const { message } = told(await begin({ code: wrongCode() }).expect(422));
      expect(message).toContain(`${left} ${left === 1 ? 'try' : 'tries'} left`);
    }
    expect(told(await begin({ code: wrongCode() }).expect(422)).message).toContain('Wait 2 minutes');
    // The right one too has to wait now.
    expect((await begin().expect(429)).headers['retry-after']).toBe('120');
    vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + 121_000 });
    await begin().expect(200);
    vi.useRealTimers();
    expect(await school.db('people').pluck('owner')).toEqual([1]);
  });

  it('opens its pages to the owner before there is a site', async () => {
    const agent = supertest.agent(school.app);
    await begin({}, agent).expect(200);
    for (const view of ['checklist', 'traineeMatrix', 'coverage', 'colonyList', 'mySessions', 'wordHere'] as const)
      await agent.get(pathOf(endpoints[view], { word: 'hefting' })).expect(200);
    const { skills } = (await agent.get(endpoints.traineeMatrix.path)).body as { skills: object[] };
    expect(skills.length).toBeGreaterThan(50);
  });

  it('takes an earlier code no more once the server was started again', async () => {
    const earlier = code;
    do code = (await newStartCode(school.db))!;
    while (code === earlier);
    await begin({ code: earlier }).expect(422);
    await begin().expect(200);
  });

  it.each([
    ['a short password', { password: 'short words' }, 'at least 12 characters'],
    ['a sign-in name with a space', { signIn: 'two words' }, 'no spaces'],
    ['no name', { name: '   ' }, 'Type a name'],
    ['half a code', { code: '123' }, 'six digits'],
    ['a time zone that is none', { home: { ...WISH.home, zone: 'Nowhere/Land' } }, 'time zone is not known'],
  ])('refuses %s in words, and counts no try for it', async (_what, change, words) => {
    const { body } = await begin(change).expect(422);
    expect(JSON.stringify(body)).toContain(words);
    expect(await school.db('start_codes').pluck('tries')).toEqual([0]);
  });

  it('takes names of any script, 120 letters long', async () => {
    const name = 'Ọlá Nguyễn 山田 '.padEnd(120, 'ß');
    expect(told(await begin({ name }).expect(200)).person.name).toBe(name);
  });
});
