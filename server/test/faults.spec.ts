import { inEnglish } from '../src/words';
import { endpoints } from '@brave-comb/contract';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { refusalOf, withoutValues } from '../src/faults';
import { type School, entry, openSchool, openVisit, pathOf, sideOf, today } from './school';

let school: School;
let tomasz: Awaited<ReturnType<School['signIn']>>;
let visit: string;
beforeAll(async () => {
  school = await openSchool();
  tomasz = await school.signIn('tomasz');
  visit = await openVisit(tomasz);
});
afterAll(() => school.close());

const count = async () => Number((await school.db('visit_entries').where({ visit }).count('* as n'))[0]?.n);
const send = (...entries: unknown[]) => tomasz.post(pathOf(endpoints.recordEntries, { visit })).send({ entries });
const sideEntry = (eighths: Record<string, number>, address: object = {}) =>
  entry({
    kind: 'frame-side-recorded',
    address: { box: 'brood box', frame: 6, face: 'low', ...address },
    side: sideOf(eighths),
    seen: null,
  });

describe('what cannot be kept is refused in words, and leaves the data as it was', () => {
  it.each([
    ['nine eighths', () => sideEntry({ S: 5, H: 4 }), /9 eighths.*only 8/],
    [
      'a frame that the box does not have',
      () => sideEntry({ S: 8 }, { frame: 12 }),
      /has 11 frames, there is no frame 12/,
    ],
    ['a box that the hive does not have', () => sideEntry({ S: 8 }, { box: 'attic' }), /no box called attic/],
    [
      'an unknown skill',
      () => entry({ kind: 'skill-judged', trainee: uuid(), skill: 'juggles', level: 'alone' }),
      /no skill called juggles/,
    ],
    [
      'somebody of another group',
      () => entry({ kind: 'skill-judged', trainee: uuid(), skill: 'finds-eggs', level: 'alone' }),
      /not a trainee of a group that you have led/,
    ],
    [
      'a date before the colony',
      () => entry({ kind: 'mood-noted', mood: 1 }, '2019-05-14T12:20:00.000Z'),
      /since 28 May 2023/,
    ],
    ['a date to come', () => entry({ kind: 'mood-noted', mood: 1 }, '2026-06-14T12:20:00.000Z'), /in the future/],
    ['an undo of nothing', () => entry({ kind: 'entry-undone', entry: uuid() }), /no such entry/],
    ['an unknown part', () => entry({ kind: 'part-taken-off', part: 'chimney' }), /no part called chimney/],
    ['half an entry', () => ({ id: uuid() }), /cannot be read/],
    ['something else', () => 'honey', /cannot be read/],
  ])('%s', async (_what, make, words) => {
    const before = await count();
    const { status, body } = await send(make());
    expect(status).toBe(422);
    expect((body as { message: string }).message).toMatch(words);
    expect(await count()).toBe(before);
  });

  it('keeps the good entries beside a bad one and says which is which', async () => {
    const before = await count();
    const good = sideEntry({ S: 8 });
    const bad = sideEntry({ S: 9 });
    const { body } = await send(good, bad).expect(200);
    expect((body as { verdicts: object[] }).verdicts).toEqual([
      { id: good.id, outcome: 'kept' },
      {
        id: bad.id,
        outcome: 'refused',
        problem: { problem: 'over-eight-eighths', message: expect.stringContaining('Remove 1') as string },
      },
    ]);
    expect(await count()).toBe(before + 1);
  });

  it('a hive that stands elsewhere', async () => {
    const { session } = await today(tomasz);
    const [far] = await school.db('hives').where({ number: '11' }).select<{ id: string }[]>('id');
    const start = { id: uuid(), session, hive: far?.id, startedAt: '2026-05-14T12:00:00Z' };
    const { status, body } = await tomasz.post(endpoints.startVisit.path).send(start);
    expect(status).toBe(409);
    expect((body as { message: string }).message).toBe(
      'Hive 11 stands at Moor edge, the session is at Home orchard. Choose a hive of this site.',
    );
  });

  it('a visit before the colony came', async () => {
    const { session, hive } = await today(await school.signIn('leilani'), '7');
    const start = { id: uuid(), session, hive, startedAt: '2020-05-14T12:00:00Z' };
    const { status, body } = await tomasz.post(endpoints.startVisit.path).send(start);
    expect(status).toBe(422);
    expect((body as { message: string }).message).toMatch(/since 3 Aug 2025.*date of your device/);
  });

  it('a decision otherwise without a reason', async () => {
    const { status, body } = await tomasz
      .post(pathOf(endpoints.decide, { visit }))
      .send({ id: uuid(), advice: 'feed', verdict: 'declined' });
    expect(status).toBe(422);
    expect((body as { message: string }).message).toMatch(/Say why/);
  });
});

describe('bodies that are none', () => {
  for (const [name, endpoint] of Object.entries(endpoints)) {
    if (!endpoint.body) continue;
    const post = () => tomasz.post(pathOf(endpoint, { visit })).set('content-type', 'application/json');
    const lead = endpoint.access !== 'anyone' && !(endpoint.access as readonly string[]).includes('supervisor');
    const file = ['importWeather', 'importClimate', 'keepAttachment', 'addHives', 'addMembers'].includes(name);

    it(`${name} refuses what is no JSON with 400`, async () => {
      const { status, body } = await post().send('{"entries": [');
      expect(status).toBe(400);
      expect((body as { message: string }).message).toMatch(/not JSON/);
    });

    it(`${name} refuses ${file ? 5 : 1} MB of junk with 413`, async () => {
      const { status, body } = await post().send('x'.repeat((file ? 5 : 1) * 1024 * 1024));
      expect(status).toBe(413);
      expect((body as { message: string }).message).toMatch(file ? /4200 kB/ : /512 kB/);
    });

    it(`${name} refuses the wrong form with 422`, async () => {
      for (const junk of [[], 'null', { entries: 'all of them', name: 7, id: {} }]) {
        const { status } = await post().send(typeof junk === 'string' ? junk : JSON.stringify(junk));
        expect(lead ? [400, 403] : [400, 422]).toContain(status);
      }
    });
  }

  it('says so for an address that there is not', async () => {
    const { status, body } = await tomasz.get('/api/honey');
    expect(status).toBe(404);
    expect((body as { message: string }).message).toMatch(/api\/docs/);
    await tomasz.get('/api/visits/%E0%A4%A').expect(400);
    await tomasz.get('/api/visits/not-an-id').expect(404);
  });
});

describe('signing in', () => {
  const attempt = (name: string, password: string) =>
    supertest(school.app).post(endpoints.signIn.path).send({ name, password });

  it('answers a wrong password and an unknown name alike, in words and in time', async () => {
    const wrong = await attempt('salma', 'not hers');
    const unknown = await attempt('nobody at all', 'not hers');
    expect(wrong.status).toBe(401);
    expect(unknown.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
    const times = async (name: string) => {
      const spans: number[] = [];
      for (let i = 0; i < 4; i += 1) {
        const began = performance.now();
        await attempt(`${name}${i}`, 'not hers');
        spans.push(performance.now() - began);
      }
      return Math.min(...spans);
    };
    const [known, stranger] = [await times('jun'), await times('stranger')];
    expect(stranger / known).toBeGreaterThan(0.4);
    expect(stranger / known).toBeLessThan(2.5);
  });

  it('slows guessing down and names the wait', async () => {
    let last;
    for (let i = 0; i < 11; i += 1) last = await attempt('greta', `guess ${i}`);
    expect(last?.status).toBe(429);
    expect((last?.body as { message: string } | undefined)?.message).toMatch(/in \d+ minutes/);
  });

  it('gives a new session cookie that scripts cannot read', async () => {
    const { headers } = await attempt('mateo', 'willow-before-gorse');
    const cookies = headers['set-cookie'] as unknown as string[];
    expect(cookies.find((each) => each.startsWith('brave_comb='))).toMatch(/HttpOnly.*SameSite=Lax/);
    expect(cookies.find((each) => each.startsWith('brave_comb_device='))).toMatch(/HttpOnly.*SameSite=Strict/);
  });

  it('keeps passwords as argon2id', async () => {
    const hashes = await school.db('people').pluck<string[]>('password_hash');
    expect(hashes.every((hash) => hash.startsWith('$argon2id$v=19$m=19456,t=2,p=1$'))).toBe(true);
  });

  it('ends with signing out', async () => {
    const agent = await school.signIn('piotr');
    await agent.get(endpoints.nextSession.path).expect(200);
    await agent.post(endpoints.signOut.path).send({}).expect(200);
    await agent.get(endpoints.nextSession.path).expect(401);
  });

  it('refuses writes that come from another web site', async () => {
    const { status } = await tomasz.post(endpoints.signOut.path).set('Origin', 'https://elsewhere.example').send({});
    expect(status).toBe(403);
    await tomasz.post(endpoints.signOut.path).set('Origin', 'null').send({}).expect(403);
    await tomasz.get(endpoints.nextSession.path).expect(200);
  });
});

describe('a full disk', () => {
  it('is answered with 507 and what to do', () => {
    const full = Object.assign(new Error('full'), { errno: 1114, sqlMessage: "The table 'visit_entries' is full" });
    const { status, says } = refusalOf(full);
    expect(status).toBe(507);
    expect(inEnglish(says)).toContain('Free some space');
  });
});

describe('what goes to the log', () => {
  it('of a failed statement is its number and where, never what people entered', async () => {
    const secret = 'Nadia is allergic';
    const error: unknown = await school
      .db('messages')
      .insert({
        id: uuid(),
        school: uuid(),
        person: uuid(),
        at: new Date(),
        subject: JSON.stringify(secret),
        lines: '[]',
      })
      .catch((fault: unknown) => fault);
    expect(JSON.stringify(withoutValues(error))).toMatch(/ER_NO_REFERENCED_ROW_2/);
    expect(JSON.stringify(withoutValues(error))).not.toContain(secret);
    expect((error as Error).message).not.toContain(secret);
  });
});

describe('half a character', () => {
  it.each([['a text', { triggers: [{ task: 'Look \ud83d', question: 'Is there room?' }] }, endpoints.setTriggers]])(
    'in %s is refused in words',
    async (_what, body, endpoint) => {
      const lead = await school.signIn('morag');
      const { status, body: said } = await lead
        .post(pathOf(endpoint))
        .send(JSON.stringify(body))
        .set('content-type', 'application/json');
      expect(status).toBe(422);
      expect((said as { message: string }).message).toMatch(/half a character \(triggers\.0\.task\)/);
    },
  );

  it('in one entry leaves the others of the batch standing', async () => {
    const good = entry({ kind: 'mood-noted', mood: 2 });
    const torn = entry({ kind: 'note-written', text: 'bees \ud83d' });
    const { body } = await send(torn, good).expect(200);
    expect((body as { verdicts: { id: string; outcome: string }[] }).verdicts).toMatchObject([
      { id: torn.id, outcome: 'refused', problem: { message: expect.stringContaining('half a character') as string } },
      { id: good.id, outcome: 'kept' },
    ]);
  });
});

describe('one bad entry', () => {
  it('that takes a comb from a colony that is not there is refused in words', async () => {
    const comb = { id: uuid(), kind: 'drawn', since: null, donor: uuid(), label: 'A1' };
    const moved = entry({
      kind: 'comb-moved',
      comb,
      to: { in: 'store', store: 'drawn-reserve' },
      reason: 'room',
    } as never);
    const { status, body } = await send(moved);
    expect(status).toBe(422);
    expect((body as { message: string }).message).toMatch(/does not belong to this school/);
  });
});
