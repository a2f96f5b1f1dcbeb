import { type Hives, type Members, type Sites, endpoints } from '@brave-comb/contract';
import { newStack } from '@brave-comb/core/equipment';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyAll } from '../src/demo/store';
import { newStartCode } from '../src/records/people';
import { type School, openSchool, pathOf } from './school';

/** A school that nobody has entered anything for: its owner sets it up, and its people come in by links. */

type Agent = ReturnType<typeof supertest.agent>;
let school: School;
let owner: Agent;

const PASSWORD = 'three plain words';
beforeAll(async () => {
  school = await openSchool('', 'records');
  await school.db.transaction(emptyAll);
  const code = (await newStartCode(school.db)) ?? expect.fail('no code for an empty installation');
  owner = supertest.agent(school.app);
  const home = { zone: 'Pacific/Noumea', latitude: -42.9, longitude: 160.2, south: true };
  const who = { name: 'Inés Quiroga', signIn: 'ines', password: PASSWORD };
  await owner
    .post(endpoints.beginSchool.path)
    .send({ code, ...who, school: 'Saltpan Road', units: 'metric', home })
    .expect(200);
}, 120_000);
afterAll(() => school.close());

type Answer<T> = { status: number; body: T & { message: string; problem: string } };
const post = async <T>(path: string, body: object = {}, agent = owner): Promise<Answer<T>> =>
  await agent.post(path).send(body);
const kept = async <T>(path: string, body: object = {}, agent = owner): Promise<T> => {
  const answer = await post<T>(path, body, agent);
  expect(answer.status, answer.body.message).toBe(200);
  return answer.body;
};
const read = async (path: string): Promise<unknown> => {
  const answer = await owner.get(path);
  expect(answer.status, `${path}: ${answer.text.slice(0, 300)}`).toBe(200);
  return answer.body;
};
const sites = async () => (await owner.get(endpoints.schoolSites.path).expect(200)).body as Sites;
const hives = async () => (await owner.get(endpoints.schoolHives.path).expect(200)).body as Hives;
const members = async () => (await owner.get(endpoints.members.path).expect(200)).body as Members;

const SITE = {
  version: 0,
  name: 'Salt flat',
  latitude: -42.9,
  longitude: 160.2,
  altitude: 40,
  zone: 'Pacific/Noumea',
  emergency: { number: '112', place: 'Gate by the salt shed', signal: '', school: '', kit: '' },
};
const keepSite = (id: string, change: object = {}) =>
  post<Sites>(pathOf(endpoints.keepSite, { site: id }), { ...SITE, ...change });
const hiveForm = (site: string, number: string, change: object = {}) => ({
  id: uuid(),
  known: false,
  number,
  site,
  stand: 'A',
  type: 'langstroth-10',
  stack: newStack({ type: 'langstroth-10', brood: 1, supers: 0, frames: null }),
  scale: null,
  colony: { origin: 'bought as a nucleus', since: '2026-03-01', queen: { year: 2025, marked: true } },
  ...change,
});
const addHives = (...rows: object[]) => post<Hives>(endpoints.addHives.path, { hives: rows });
const person = (name: string, change: object = {}) => ({
  id: uuid(),
  known: false,
  name,
  role: 'trainee',
  groups: [] as string[],
  mail: null,
  emergency: null,
  ...change,
});
const addPeople = (...people: object[]) => post<Members>(endpoints.addMembers.path, { people });
const [SALT, RIDGE] = [uuid(), uuid()];

describe('sites', () => {
  it('begin where the school is at home; a first one makes the day that of its place', async () => {
    expect(await sites()).toEqual({ sites: [], home: { zone: 'Pacific/Noumea', latitude: -42.9, longitude: 160.2 } });
    const { body } = await keepSite(SALT);
    expect(body.sites).toMatchObject([
      { id: SALT, name: 'Salt flat', hives: 0, version: 1, changed: null, retired: null },
    ]);
    await owner.get(endpoints.seasonStrip.path).expect(200);
  });

  it('are set up once where the answer was lost, and two have no one name', async () => {
    expect((await keepSite(SALT)).body.sites).toHaveLength(1);
    const { status, body } = await keepSite(RIDGE, { name: 'SALT FLAT' });
    expect([status, body.problem]).toEqual([409, 'name-in-use']);
    expect((await keepSite(RIDGE, { name: 'Ridge', zone: 'Australia/Perth' })).body.sites).toHaveLength(2);
  });

  it('say what is wrong with a form', async () => {
    for (const wrong of [{ latitude: 91 }, { zone: 'Nowhere/At all' }, { name: ' ' }])
      expect((await keepSite(uuid(), wrong)).status).toBe(422);
    expect((await sites()).sites).toHaveLength(2);
  });

  it('tell whoever saves last that somebody was before, and keep what that one wrote', async () => {
    expect((await keepSite(SALT, { version: 1, altitude: 55 })).status).toBe(200);
    const late = await keepSite(SALT, { version: 1, altitude: 70 });
    expect([late.status, late.body.problem]).toEqual([409, 'changed-meanwhile']);
    expect(late.body.message).toContain('Inés Quiroga has changed this');
    const [salt] = (await sites()).sites;
    expect(salt).toMatchObject({ altitude: 55, version: 2, changed: { by: 'Inés Quiroga' } });
    expect((await keepSite(uuid(), { version: 3, name: 'Other' })).status).toBe(404);
  });
});

describe('hives', () => {
  it('come in by a list, all of them or none', async () => {
    const [one, two] = [hiveForm(SALT, '1'), hiveForm(SALT, '2', { colony: null })];
    expect((await addHives(one, two, hiveForm(uuid(), '3'))).status).toBe(404);
    const wrongBox = { type: 'national' };
    expect((await addHives(one, hiveForm(SALT, '4', wrongBox))).status).toBe(422);
    const twice = await addHives(one, two, hiveForm(RIDGE, '1'));
    expect([twice.status, twice.body.problem]).toEqual([409, 'name-in-use']);
    expect((await hives()).hives).toEqual([]);
    const { body } = await addHives(one, two);
    expect(body.hives).toMatchObject([
      { number: '1', siteName: 'Salt flat', colony: { since: '2026-03-01', queen: { year: 2025, marked: true } } },
      { number: '2', colony: null },
    ]);
    // The answer was lost and the list is sent again.
    expect((await addHives(one, two)).body.hives).toHaveLength(2);
    expect((await hives()).usual).toBe('langstroth-10');
  });

  it('take a list of two thousand, and no more', async () => {
    const many = Array.from({ length: 2001 }, (_, at) => hiveForm(SALT, `x${at}`));
    expect((await addHives(...many)).status).toBe(422);
    expect((await addHives(...many.slice(1))).body.hives).toHaveLength(2002);
    await school
      .db('colonies')
      .delete()
      .whereIn('hive', school.db('hives').where('number', 'like', 'x%').select('id'));
    await school.db('hives').where('number', 'like', 'x%').delete();
  }, 60_000);

  it('move to another site, where their place on the old plan says nothing', async () => {
    const [one] = (await hives()).hives;
    const place = JSON.stringify({ east: 1, north: 2, faces: 90 });
    await school.db('hives').where({ id: one!.id }).update({ place });
    const form = { ...one, site: RIDGE, stand: 'B', version: 1, colony: null };
    const change = (more: object) => post<Hives>(pathOf(endpoints.changeHive, { hive: one!.id }), { ...form, ...more });
    expect((await change({})).body.hives[0]).toMatchObject({ siteName: 'Ridge', stand: 'B', version: 2 });
    expect((await school.db('hives').where({ id: one!.id }).first<{ place: null }>('place')).place).toBeNull();
    expect((await change({})).status).toBe(409);
    expect((await change({ version: 2, number: '2' })).body.problem).toBe('name-in-use');
    // What lives in a hive is not written over by hiving a second colony.
    const other = { id: uuid(), origin: 'a swarm', since: '2026-04-01', queen: null };
    expect((await change({ version: 2, colony: other })).body.hives[0]!.colony?.origin).toBe('bought as a nucleus');
  });

  it('are retired with what became of the bees, and a site only when it is empty', async () => {
    const [one, two] = (await hives()).hives;
    const retire = (hive: string, body: object) => post<Hives>(pathOf(endpoints.retireHive, { hive }), body);
    const retireRidge = () => post<Sites>(pathOf(endpoints.retireSite, { site: RIDGE }), { version: 1, retired: true });
    expect((await retireRidge()).body.problem).toBe('hives-stand-there');
    expect((await retire(one!.id, { version: 3, retired: true, bees: null })).body.problem).toBe('bees-in-it');
    const retired = await retire(one!.id, { version: 3, retired: true, bees: 'united' });
    expect(retired.status, retired.body.message).toBe(200);
    const { hives: left } = retired.body;
    expect(left.map(({ number, retired, colony }) => [number, retired !== null, colony])).toEqual([
      ['2', false, null],
      ['1', true, null],
    ]);
    // Its number stays with its records.
    expect((await addHives(hiveForm(SALT, '1'))).body.problem).toBe('name-in-use');
    expect((await retireRidge()).status).toBe(200);
    expect((await owner.get(endpoints.colonyList.path).expect(200)).body).toMatchObject({ today: expect.any(String) });
    expect((await retire(one!.id, { version: 4, retired: false, bees: null })).body.hives).toHaveLength(2);
    expect(two!.number).toBe('2');
  });
});

describe('people', () => {
  it('come in by a list, with groups that are made as they are named', async () => {
    const [nadia, jun] = [
      person('Nadia Koskinen', { groups: ['Dipper'] }),
      person('Jun Sato', { groups: ['dipper', 'Curlew'] }),
    ];
    const leilani = person('Leilani Kealoha', { role: 'supervisor', mail: 'leilani@brenna-fell.example' });
    const { body } = await addPeople(nadia, jun, leilani);
    expect(body.groups.map(({ name }) => name)).toEqual(['Curlew', 'Dipper']);
    expect(body.people.map((each) => [each.name, each.role, each.groups.length, each.wayIn])).toEqual([
      ['Inés Quiroga', 'lead', 0, 'password'],
      ['Jun Sato', 'trainee', 2, 'none'],
      ['Leilani Kealoha', 'supervisor', 0, 'none'],
      ['Nadia Koskinen', 'trainee', 1, 'none'],
    ]);
    expect((await addPeople(nadia, jun, leilani)).body.people).toHaveLength(4);
    const again = { ...nadia, known: true, groups: ['Curlew'] };
    expect((await addPeople(again)).body.people.find(({ id }) => id === nadia.id)!.groups).toHaveLength(2);
    expect((await addPeople({ ...again, id: uuid() })).status).toBe(404);
  });

  it('keep names of any script and length, and two of one name', async () => {
    const long = 'Maria del Carmen Ruiz y Fernández de la Vega-Hernández von der Mühlen zu Altenstein';
    const { body } = await addPeople(person('李文昭'), person(long), person('Jun Sato'));
    const names = body.people.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['李文昭', long]));
    expect(names.filter((name) => name === 'Jun Sato')).toHaveLength(2);
  });

  it('come in by a link that is good once, and choose what they sign in with', async () => {
    const leilani = (await members()).people.find(({ name }) => name === 'Leilani Kealoha')!;
    const invite = async () => {
      const path = pathOf(endpoints.invite, { person: leilani.id });
      return (await kept<{ link: string }>(path)).link.split('#')[1]!;
    };
    const [old, token] = [await invite(), await invite()];
    const stranger = supertest.agent(school.app);
    const look = (of: string) =>
      post<{ signIn: string; known: boolean }>(endpoints.lookAtInvitation.path, { token: of }, stranger);
    expect((await look(old)).body.problem).toBe('invitation-over');
    expect((await look(token)).body).toMatchObject({ signIn: 'leilani@brenna-fell.example', known: false });
    const accept = (change: object, agent = stranger) =>
      post<object>(endpoints.acceptInvitation.path, { token, signIn: 'leilani', password: PASSWORD, ...change }, agent);
    expect((await accept({ password: 'short' })).status).toBe(422);
    expect((await accept({ signIn: 'INES' })).body.problem).toBe('name-in-use');
    // Twice at once: it is used once.
    const both = await Promise.all([accept({}), accept({}, supertest.agent(school.app))]);
    expect(both.map(({ status }) => status).toSorted()).toEqual([200, 404]);
    expect((await members()).people.find(({ id }) => id === leilani.id)).toMatchObject({
      wayIn: 'password',
      signIn: 'leilani',
    });
    const leaves = supertest.agent(school.app);
    await leaves.post(endpoints.signIn.path).send({ name: 'Leilani', password: PASSWORD }).expect(200);
    await leaves.get(endpoints.members.path).expect(403);
  });

  it('whose password was lost get a link that ends their sessions and keeps their name', async () => {
    const leilani = (await members()).people.find(({ name }) => name === 'Leilani Kealoha')!;
    const here = supertest.agent(school.app);
    await here.post(endpoints.signIn.path).send({ name: 'leilani', password: PASSWORD }).expect(200);
    const { link } = await kept<{ link: string }>(pathOf(endpoints.invite, { person: leilani.id }));
    const token = link.split('#')[1]!;
    const stranger = supertest.agent(school.app);
    const look = await kept<object>(endpoints.lookAtInvitation.path, { token }, stranger);
    expect(look).toMatchObject({ signIn: 'leilani', known: true });
    const other = 'four other plain words';
    await kept(endpoints.acceptInvitation.path, { token, signIn: 'leilani', password: other }, stranger);
    expect(((await here.get(endpoints.whoAmI.path)).body as { person: null }).person).toBeNull();
    await supertest(school.app).post(endpoints.signIn.path).send({ name: 'leilani', password: PASSWORD }).expect(401);
    // One's own password is changed by the one so far, and signs out elsewhere.
    const change = (password: string) =>
      post<{ ended: number }>(endpoints.changePassword.path, { password, next: PASSWORD }, stranger);
    const elsewhere = supertest.agent(school.app);
    await elsewhere.post(endpoints.signIn.path).send({ name: 'leilani', password: other }).expect(200);
    expect((await change('wrong')).status).toBe(422);
    expect((await change(other)).body).toEqual({ ended: 1 });
    await stranger.get(endpoints.messages.path).expect(200);
  });

  it('see where they are signed in, and sign out there', async () => {
    const [one, two, three] = [0, 1, 2].map(() => supertest.agent(school.app)) as [Agent, Agent, Agent];
    const firefox = 'Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0';
    for (const agent of [one, two, three])
      await agent
        .post(endpoints.signIn.path)
        .set('user-agent', firefox)
        .send({ name: 'ines', password: PASSWORD })
        .expect(200);
    type Seen = { sessions: { id: string; device: string; here: boolean }[] };
    const seen = (await one.get(endpoints.mySignIns.path).expect(200)).body as Seen;
    expect(seen.sessions.filter(({ here }) => here)).toHaveLength(1);
    expect(seen.sessions[0]).toMatchObject({ here: true, device: 'Firefox, Linux' });
    const their = (await two.get(endpoints.mySignIns.path).expect(200)).body as Seen;
    const { sessions } = await kept<Seen>(endpoints.endSignIns.path, { id: their.sessions[0]!.id }, one);
    expect(sessions).toHaveLength(seen.sessions.length - 1);
    await two.get(endpoints.mySignIns.path).expect(401);
    expect((await kept<Seen>(endpoints.endSignIns.path, { id: null }, three)).sessions).toHaveLength(1);
    await one.get(endpoints.mySignIns.path).expect(401);
    await owner.post(endpoints.signIn.path).send({ name: 'ines', password: PASSWORD }).expect(200);
  });

  it('are changed, leave and come back; leads are made by the owner, who stays', async () => {
    const [leilani, ines] = ['Leilani Kealoha', 'Inés Quiroga'].map((name) =>
      members().then(({ people }) => people.find((each) => each.name === name)!),
    ) as [Promise<Members['people'][number]>, Promise<Members['people'][number]>];
    const { id, version } = await leilani;
    const change = (body: object, agent = owner) =>
      post<Members>(
        pathOf(endpoints.changeMember, { person: id }),
        { name: 'Leilani Kealoha', mail: null, groups: [], ...body },
        agent,
      );
    expect((await change({ version, role: 'lead' })).status).toBe(200);
    const lead = supertest.agent(school.app);
    await lead.post(endpoints.signIn.path).send({ name: 'leilani', password: PASSWORD }).expect(200);
    // A lead who does not own the school makes and unmakes no leads, and takes no link for one.
    expect((await change({ version: version + 1, role: 'trainee' }, lead)).status).toBe(403);
    expect((await addPeople(person('Somebody', { role: 'lead' }))).status).toBe(200);
    expect((await post(endpoints.addMembers.path, { people: [person('Else', { role: 'lead' })] }, lead)).status).toBe(
      403,
    );
    expect((await post(pathOf(endpoints.invite, { person: (await ines).id }), {}, lead)).status).toBe(403);
    const owners = { name: 'Somebody else', role: 'lead', mail: null, groups: [], version: (await ines).version };
    expect((await post(pathOf(endpoints.changeMember, { person: (await ines).id }), owners, lead)).status).toBe(403);
    const retire = (person: string, seen: number, retired: boolean) =>
      post<Members>(pathOf(endpoints.retireMember, { person }), { version: seen, retired });
    expect((await retire((await ines).id, (await ines).version, true)).body.problem).toBe('owner-stays');
    expect((await retire(id, version + 1, true)).status).toBe(200);
    await lead.get(endpoints.messages.path).expect(401);
    await supertest(school.app).post(endpoints.signIn.path).send({ name: 'leilani', password: PASSWORD }).expect(401);
    expect((await retire(id, version + 2, false)).status).toBe(200);
    await lead.post(endpoints.signIn.path).send({ name: 'leilani', password: PASSWORD }).expect(200);
  });

  it('have a note that is read by name and date', async () => {
    const nadia = (await members()).people.find(({ name }) => name === 'Nadia Koskinen')!;
    expect(nadia.note).toBe(false);
    const path = pathOf(endpoints.changeMember, { person: nadia.id });
    const form = { name: nadia.name, role: 'trainee', mail: null, groups: nadia.groups };
    await kept(path, { ...form, version: nadia.version, emergency: 'Sting allergy.' });
    expect((await members()).people.find(({ id }) => id === nadia.id)!.note).toBe(true);
    // Left out it stays.
    await kept(path, { ...form, version: nadia.version + 1 });
    const read = pathOf(endpoints.readEmergencyNote, { person: nadia.id });
    expect(await kept(read)).toMatchObject({ note: 'Sting allergy.', readers: [{ by: 'Inés Quiroga' }] });
    expect((await kept<{ readers: object[] }>(read)).readers).toHaveLength(2);
    expect(JSON.stringify(await members())).not.toContain('Sting allergy');
  });
});

describe('groups', () => {
  it('are made, named and ended; one without trainees hurts nothing', async () => {
    const [id, curlew] = [uuid(), (await members()).groups.find(({ name }) => name === 'Curlew')!];
    const keep = (group: string, body: object) => post<Members>(pathOf(endpoints.keepGroup, { group }), body);
    expect((await keep(id, { version: 0, name: 'Lapwing' })).status).toBe(200);
    expect((await keep(id, { version: 0, name: 'Lapwing' })).status).toBe(200);
    expect((await keep(uuid(), { version: 0, name: 'lapwing' })).body.problem).toBe('name-in-use');
    expect((await keep(curlew.id, { version: curlew.version, name: 'Whimbrel' })).status).toBe(200);
    expect((await keep(curlew.id, { version: curlew.version, name: 'Dunlin' })).body.problem).toBe('changed-meanwhile');
    for (const endpoint of [endpoints.planBoard, endpoints.coverage, endpoints.traineeMatrix, endpoints.planningTerms])
      await read(endpoint.path);
    const retire = pathOf(endpoints.retireGroup, { group: id });
    const { groups } = await kept<Members>(retire, { version: 1, retired: true });
    expect(groups.at(-1)).toMatchObject({ name: 'Lapwing', retired: expect.any(String) });
    const { owners } = (await owner.get(endpoints.planningTerms.path)).body as { owners: { name: string }[] };
    expect(owners.map(({ name }) => name)).not.toContain('Lapwing');
  });
});

describe('who changed what', () => {
  type Log = {
    lines: { by: string; thing: string | null; name: string; made: boolean; parts: object[]; door: string | null }[];
    more: boolean;
  };
  const log = async (query: Record<string, string> = {}): Promise<Log> =>
    (await read(`${endpoints.changeLog.path}?${new URLSearchParams(query).toString()}`)) as Log;

  it('is told with before and after, found by words, and without what is private', async () => {
    const { lines } = await log({ words: 'Nadia', doors: 'without' });
    const fields = lines.map(({ made, parts }) => (made ? 'made' : JSON.stringify(parts)));
    expect(fields).toEqual([JSON.stringify([{ field: 'emergency_note', was: null, is: '…' }]), 'made']);
    const all = JSON.stringify(await log());
    expect(all).not.toMatch(/Sting allergy|argon2|three plain words/);
    const moved = (await log({ words: 'Ridge' })).lines.find(({ thing, name }) => thing === 'hives' && name === '1');
    expect(moved).toMatchObject({ by: 'Inés Quiroga', made: false });
    expect(moved!.parts).toContainEqual({ field: 'site', was: 'Salt flat', is: 'Ridge' });
    expect(moved!.parts).toContainEqual({ field: 'stand', was: 'A', is: 'B' });
    expect(
      (await log({ words: 'Salt altitude' })).lines.length + (await log({ words: '55' })).lines.length,
    ).toBeGreaterThan(0);
    expect((await log({ words: '100%_' })).lines).toEqual([]);
  });

  it('tells whose note was read by whom, and comes a page at a time', async () => {
    const { lines } = await log({ words: 'Inés' });
    expect(lines.find(({ door }) => door === 'note-read')).toMatchObject({ name: 'Nadia Koskinen' });
    const first = await log();
    const last = first.lines.at(-1) as unknown as { at: string };
    const next = (await log({ before: last.at })).lines as unknown as { at: string }[];
    expect(next.every(({ at }) => at < last.at)).toBe(true);
  });

  it('says nothing of somebody once they are erased', async () => {
    const jun = (await members()).people.find(({ name }) => name === 'Jun Sato')!;
    await kept(pathOf(endpoints.eraseTrainee, { trainee: jun.id }), { name: 'Jun Sato' });
    const still = (await members()).people.filter(({ name }) => name === 'Jun Sato').length;
    expect((await log({ words: 'Jun' })).lines.filter(({ made }) => made)).toHaveLength(still);
    expect(await school.db('invitations').where({ person: jun.id })).toEqual([]);
    expect(await school.db('people').where({ id: jun.id }).first('mail')).toEqual({ mail: null });
  });
});
