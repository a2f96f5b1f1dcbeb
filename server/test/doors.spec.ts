import { endpoints } from '@brave-comb/contract';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildApp } from '../src/app';
import { type Config, SetUpError, configFromEnvironment } from '../src/config';
import { DEMO_START } from '../src/demo/load';
import { startServer } from '../src/main';
import { type School, openSchool, pathOf } from './school';

const PASSWORD = 'willow-before-gorse';
let school: School;
beforeAll(async () => {
  school = await openSchool();
});
afterAll(() => school.close());

const appWith = (env: NodeJS.ProcessEnv, more: Partial<Config> = {}) =>
  buildApp(
    { ...school.context, cookieName: configFromEnvironment(env).https ? '__Host-brave_comb' : 'brave_comb' },
    { ...configFromEnvironment(env), sessionSecret: 'only for tests', webDir: '/nowhere', ...more },
    () => school.refreshed(),
  );
const signIn = (app: School['app'], name = 'morag', password = PASSWORD) =>
  supertest(app).post(endpoints.signIn.path).send({ name, password });
const messageOf = ({ body }: supertest.Response) => (body as { message: string }).message;

describe('guessing at passwords', () => {
  const from = (address: string, name: string, password: string, cookie = '') =>
    signIn(school.app, name, password).set('X-Forwarded-For', address).set('Cookie', cookie);

  it('is counted before the password is looked at: of forty at once, ten are tried', async () => {
    const answers = await Promise.all(
      Array.from({ length: 40 }, (_, at) => from('198.51.100.1', 'jun', `wrong ${at}`)),
    );
    const tried = answers.filter(({ status }) => status === 401).length;
    expect(tried).toBe(10);
    const slowed = answers.filter(({ status }) => status === 429);
    expect(slowed).toHaveLength(30);
    expect(Number(slowed[0]!.headers['retry-after'])).toBeGreaterThan(0);
  });

  it('from one address locks out nobody at another, and not a device that the person knows', async () => {
    for (let at = 0; at < 10; at += 1) await from('198.51.100.2', 'hoa', `wrong ${at}`);
    expect((await from('198.51.100.2', 'hoa', PASSWORD)).status).toBe(429);
    const elsewhere = await from('198.51.100.3', 'hoa', PASSWORD).expect(200);
    const device = (elsewhere.headers['set-cookie'] as unknown as string[])
      .find((each) => each.startsWith('brave_comb_device='))!
      .split(';')[0]!;
    await from('198.51.100.2', 'hoa', PASSWORD, device).expect(200);
    // A device is known for those who signed in on it, and for nobody else.
    for (let at = 0; at < 10; at += 1) await from('198.51.100.2', 'nadia', `wrong ${at}`);
    expect((await from('198.51.100.2', 'nadia', PASSWORD, device)).status).toBe(429);
  });

  it('leaves a school behind one router in: its slips count, its right passwords do not', async () => {
    const people = ['salma', 'piotr', 'greta', 'mateo', 'ife'];
    for (const name of people) for (let at = 0; at < 6; at += 1) await from('198.51.100.4', name, `slip ${at}`);
    for (const name of people) await from('198.51.100.4', name, PASSWORD).expect(200);
  });
});

describe('where a request comes from', () => {
  const write = (app: School['app']) =>
    supertest(app).post(endpoints.signIn.path).send({ name: 'morag', password: PASSWORD });

  it('is told by the browser where it says so, whatever the proxy makes of the host', async () => {
    const app = appWith({});
    await write(app)
      .set('Host', 'inside:8080')
      .set('Origin', 'https://hives.example')
      .set('Sec-Fetch-Site', 'same-origin')
      .expect(200);
    await write(app).set('Sec-Fetch-Site', 'cross-site').expect(403);
    await write(app).set('Sec-Fetch-Site', 'same-site').expect(403);
  });

  it('is known by the public address where the proxy does not pass the host', async () => {
    const app = appWith({ PUBLIC_URL: 'http://hives.example' });
    await write(app).set('Host', 'inside:8080').set('Origin', 'http://hives.example').expect(200);
    const other = await write(app).set('Host', 'inside:8080').set('Origin', 'http://elsewhere.example');
    expect(other.status).toBe(403);
    expect(messageOf(other)).toContain('Open the application at http://hives.example');
  });
});

it('the cookie is given once: a late answer cannot bring back whoever signed in before', async () => {
  const app = appWith({});
  const { headers } = await signIn(app).expect(200);
  const cookie = (headers['set-cookie'] as unknown as string[]).map((each) => each.split(';')[0]).join('; ');
  const me = await supertest(app).get(endpoints.whoAmI.path).set('Cookie', cookie).expect(200);
  expect((me.body as { person: unknown }).person).not.toBeNull();
  expect(me.headers['set-cookie']).toBeUndefined();
});

describe('behind a proxy that ends TLS', () => {
  const env = { PUBLIC_URL: 'https://hives.example' };

  it('gives its cookie also where the proxy does not say how people came', async () => {
    const { headers } = await signIn(appWith(env)).expect(200);
    expect((headers['set-cookie'] as unknown as string[]).join()).toMatch(/__Host-brave_comb=[^;]+;.*Secure/);
  });

  it('lets nobody sign in over an address that is not protected, and says which is', async () => {
    const app = appWith(env);
    const answer = await signIn(app).set('X-Forwarded-Proto', 'http');
    expect(answer.status).toBe(403);
    expect(messageOf(answer)).toContain('Open https://hives.example');
    const me = await supertest(app).get(endpoints.whoAmI.path).set('X-Forwarded-Proto', 'http').expect(200);
    expect((me.body as { door: string }).door).toContain('https://hives.example');
  });

  it('names a proxy that it was not told of, on the sign-in page', async () => {
    const app = appWith({ TRUST_PROXY: '203.0.113.7' });
    const me = await supertest(app).get(endpoints.whoAmI.path).set('X-Forwarded-For', '198.51.100.9').expect(200);
    expect((me.body as { door: string }).door).toMatch(/TRUST_PROXY=.*127\.0\.0\.1/);
    const plain = await supertest(app).get(endpoints.whoAmI.path).expect(200);
    expect((plain.body as { door: string | null }).door).toBeNull();
  });

  it.each([
    ['PUBLIC_URL', 'hives.example'],
    ['PUBLIC_URL', 'https://hives.example/app'],
    ['TRUST_PROXY', 'everybody'],
    ['PLANNING_NICE', '20'],
    ['PLANNING_NICE', 'much'],
  ])('refuses to start with %s set to %s', (name, value) => {
    expect(() => configFromEnvironment({ [name]: value })).toThrow(SetUpError);
  });
});

describe('the demo’s clock', () => {
  it('goes two years on and no further, and says how to go back', async () => {
    const lead = await school.signIn('morag');
    const move = (to: string) => lead.post(endpoints.moveClock.path).send({ to });
    expect((await move('9999-12-31T00:00:00Z')).status).toBe(422);
    const answer = await move('2028-06-01T00:00:00Z');
    expect(answer.status).toBe(422);
    expect(messageOf(answer)).toMatch(/up to 13 May 2028.*start the demo again/);
  });

  it.each(['0001-01-01', '9999-12-31', '1899-12-31', '2101-01-01'])(
    'has no season for %s, which is refused in words',
    async (date) => {
      const lead = await school.signIn('morag');
      for (const address of [
        `${endpoints.seasonStrip.path}?from=${date}`,
        `${endpoints.seasonYear.path}?date=${date}`,
        pathOf(endpoints.sessionOn, { date }),
        pathOf(endpoints.dayPage, { date }),
      ])
        expect([404, 422]).toContain((await lead.get(address)).status);
    },
  );
});

describe('who came in', () => {
  it('is written down, with who did not, and the lead of the school reads it', async () => {
    await signIn(school.app, 'leilani', 'a slip');
    const leilani = await school.signIn('leilani');
    await leilani.post(endpoints.noteTakenOut.path).send({ file: 'hives.csv' }).expect(200);
    await leilani.get(endpoints.changeLog.path).expect(403);
    await leilani.post(endpoints.signOut.path).send({}).expect(200);
    const lead = await school.signIn('morag');
    const { lines } = (await lead.get(endpoints.changeLog.path).expect(200)).body as {
      lines: { door: string | null; by: string | null }[];
    };
    const of = lines.filter(({ by }) => by?.startsWith('Leilani')).map(({ door }) => door);
    expect(of).toEqual(['signed-out', 'records-taken-out', 'signed-in']);
    const refused = await school.db('audit_log').where({ what: 'sign-in-refused', about: 'leilani' });
    expect(refused).toHaveLength(1);
    expect(JSON.stringify(await school.db('audit_log'))).not.toMatch(/a slip|willow/);
    const other = await school.signIn('ines');
    expect(JSON.stringify((await other.get(endpoints.changeLog.path)).body)).not.toContain('Leilani');
  });
});

describe('the demo', () => {
  it('begins again as it was at first: entries gone, clock back, everybody signed out', async () => {
    const own = await openSchool('', 'again');
    try {
      const lead = await own.signIn('morag');
      await lead
        .post(endpoints.moveClock.path)
        .send({ minutes: 60 * 24 * 30 })
        .expect(200);
      await own.db('messages').delete();
      const before = await own.db('visits').count('* as n');
      await (await own.signIn('salma')).post(endpoints.beginDemoAgain.path).send({}).expect(403);
      await lead.post(endpoints.beginDemoAgain.path).send({}).expect(200);
      await lead.get(endpoints.messages.path).expect(401);
      expect(own.context.clock.now().toISOString()).toBe(new Date(DEMO_START).toISOString());
      expect(await own.db('visits').count('* as n')).toEqual(before);
      await (await own.signIn('morag')).get(endpoints.nextSession.path).expect(200);
    } finally {
      await own.close();
    }
  });
});

describe('a live stream', () => {
  const listening = async () => {
    const server = createServer(school.app).listen(0, '127.0.0.1');
    await new Promise((done) => server.once('listening', done));
    return { server, address: `http://127.0.0.1:${(server.address() as AddressInfo).port}` };
  };
  const cookieOf = (answer: Response) =>
    answer.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; ');

  it('ends with the sign-in that it was opened under, and one person opens a few only', async () => {
    const { server, address } = await listening();
    const enter = async (name: string) =>
      cookieOf(
        await fetch(address + endpoints.signIn.path, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ name, password: PASSWORD }),
        }),
      );
    const cookie = await enter('tomasz');
    const { session } = (await (await fetch(address + endpoints.nextSession.path, { headers: { cookie } })).json()) as {
      session: string;
    };
    const leave = new AbortController();
    const open = () =>
      fetch(address + pathOf(endpoints.liveSessionStream, { session }), { headers: { cookie }, signal: leave.signal });
    const first = await open();
    const reader = first.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
    expect(new TextDecoder().decode((await reader.read()).value)).toContain('data: ');
    const more = await Promise.all(Array.from({ length: 8 }, open));
    expect(more.filter(({ status }) => status === 429)).toHaveLength(3);

    await fetch(address + endpoints.signOut.path, { method: 'POST', headers: { cookie } });
    const morag = await school.signIn('morag');
    const start = { id: uuid(), session, startedAt: '2026-05-14T06:30:00.000Z' };
    const { groups } = (await morag.get(pathOf(endpoints.daySheet, { session }))).body as {
      groups: { hive: { id: string } }[];
    };
    await morag
      .post(endpoints.startVisit.path)
      .send({ ...start, hive: groups[0]!.hive.id })
      .expect(200);
    expect((await reader.read()).done).toBe(true);
    leave.abort();
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  });
});

describe('what goes with every answer', () => {
  it('is the server’s time and what pages may use; the document of the API is packed and kept', async () => {
    const me = await supertest(school.app).get(endpoints.whoAmI.path).expect(200);
    expect(me.headers['x-clock']).toBe(school.context.clock.now().toISOString());
    expect(me.headers['permissions-policy']).toMatch(/camera=\(self\).*geolocation=\(self\).*payment=\(\)/);
    const document = await supertest(school.app).get('/api/openapi.json').set('Accept-Encoding', 'gzip').expect(200);
    expect(document.headers).toMatchObject({ 'content-encoding': 'gzip', 'cache-control': 'public, max-age=3600' });
    await supertest(school.app)
      .get('/api/openapi.json')
      .set('If-None-Match', String(document.headers.etag))
      .expect(304);
  });

  it('refuses what is asked as somebody who is not signed in here any more', async () => {
    const lead = await school.signIn('morag');
    const answer = await lead.get(endpoints.messages.path).set('X-Person', uuid());
    expect([answer.status, messageOf(answer)]).toEqual([401, expect.stringMatching(/Somebody else is signed in/)]);
  });
});

describe('the demo’s invented schools', () => {
  const started = async (name: string, more: Partial<Config>) => {
    const url = new URL(process.env.DATABASE_URL ?? '');
    url.pathname = `${url.pathname}_${name}`;
    const config = {
      ...configFromEnvironment({ LOG_LEVEL: 'silent' }),
      port: 0,
      webDir: '/nowhere',
      databaseUrl: url.href,
    };
    return startServer({ ...config, ...more });
  };

  it('are not opened as a real school, and not thrown away unless that is said; a real one is no demo', async () => {
    const own = await openSchool('', 'real');
    try {
      await expect(started('real', { demo: false })).rejects.toThrow(/invented schools of the demo/);
      expect(await own.db('schools')).toHaveLength(2);
      const real = await started('real', { demo: false, removeDemo: true });
      const answer = await fetch(real.address + endpoints.signIn.path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: 'morag', password: PASSWORD }),
      });
      expect(answer.status).toBe(401);
      expect(await own.db('people')).toEqual([]);
      await real.stop();
      await own.db('schools').insert({ id: uuid(), name: 'A real school', practice: '{}' });
      await expect(started('real', { demo: true })).rejects.toThrow(/a real school/);
    } finally {
      await own.close();
    }
  });
});
