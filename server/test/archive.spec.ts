import { gunzipSync, gzipSync } from 'node:zlib';
import http from 'node:http';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { endpoints } from '@brave-comb/contract';
import fc from 'fast-check';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyAll } from '../src/demo/store';
import { newStartCode } from '../src/records/people';
import { type School, cameraPhoto, entry, openSchool, openVisit, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
type Row = Record<string, unknown>;
interface Line {
  head?: { school: { id: string; name: string }; tables: Record<string, number>; made: string };
  table?: string;
  row?: Row;
  end?: { rows: number };
}

const PATH = endpoints.takeOutArchive.path;
let school: School;
let morag: Agent;
let archive: Buffer;

const takenOut = async (agent: Agent): Promise<Buffer> =>
  (
    await agent
      .get(PATH)
      .buffer(true)
      .parse((response, done) => {
        const pieces: Buffer[] = [];
        response.on('data', (piece: Buffer) => pieces.push(piece));
        response.on('end', () => done(null, Buffer.concat(pieces)));
      })
      .expect(200)
  ).body as Buffer;
const linesIn = (file: Buffer): Line[] =>
  gunzipSync(file)
    .toString('utf8')
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Line);
const fileOf = (lines: readonly (Line | string)[]): Buffer =>
  gzipSync(lines.map((line) => `${typeof line === 'string' ? line : JSON.stringify(line)}\n`).join(''));
const bringIn = (agent: Agent, file: Buffer, query: object = {}) =>
  agent
    .post(PATH)
    .query({ replaces: 'Brenna Fell School of Beekeeping', ...query })
    .set('Content-Type', 'application/gzip')
    .send(file);
const told = (answer: { body: unknown }) => (answer.body as { message: string }).message;
/** All but when it was made. */
const content = (file: Buffer) => linesIn(file).map(({ head, ...line }) => (head ? head.tables : line));
const people = (file: Buffer) => linesIn(file).flatMap(({ table, row }) => (table === 'people' ? [row!] : []));

beforeAll(async () => {
  school = await openSchool('', 'archive');
  morag = await school.signIn('morag');
  const visit = await openVisit(morag);
  const photo = uuid();
  await morag
    .post(pathOf(endpoints.keepAttachment, { visit }))
    .send({ id: photo, takenAt: '2026-05-14T12:15:00.000Z', type: 'image/jpeg', content: await cameraPhoto() })
    .expect(200);
  const taken = entry({ kind: 'photo-taken', photo, of: 'eggs', spot: null });
  await morag
    .post(pathOf(endpoints.recordEntries, { visit }))
    .send({ entries: [taken] })
    .expect(200);
  archive = await takenOut(morag);
}, 180_000);
afterAll(() => school.close());

describe('an archive of a school', () => {
  it('holds every table of the database that is a school’s, and nothing of another school', async () => {
    const [first] = linesIn(archive);
    const staying = [
      'audit_log',
      'calendar_feeds',
      'demo_clock',
      'invitations',
      'known_devices',
      'leases',
      'rate_limits',
    ];
    staying.push(
      'revisions',
      'start_codes',
      'weather_refreshes',
      'web_sessions',
      'knex_migrations',
      'knex_migrations_lock',
    );
    const tables = await school
      .db('information_schema.tables')
      .whereRaw('table_schema = database()')
      .where({ table_type: 'BASE TABLE' })
      .pluck<string[]>('table_name');
    expect(Object.keys(first!.head!.tables).toSorted()).toEqual(
      tables.filter((name) => !staying.includes(name)).toSorted(),
    );
    const text = gunzipSync(archive).toString('utf8');
    const other = await school.db('people').where({ sign_in: 'ines' }).first<{ id: string; school: string }>();
    expect(text).not.toContain(other.id);
    expect(text).not.toContain(other.school);
    expect(text).not.toContain('$argon2');
    expect(first!.head!.tables.attachments).toBe(1);
    expect(first!.head!.tables.visit_entries).toBeGreaterThan(500);
  });

  it('brought in again, leaves the school as it was when it was made, and everybody’s way in', async () => {
    const salma = await school.signIn('salma');
    const hive = await school.db('hives').where({ number: '4' }).first<{ id: string }>('id');
    await school.db('hives').where(hive).update({ stand: 'moved since' });
    await school.db('sites').where({ name: 'Home orchard' }).update({ altitude: 1 });
    const done = await bringIn(morag, archive).expect(200);
    expect(done.body).toMatchObject({
      rows: linesIn(archive).at(-1)!.end!.rows,
      school: 'Brenna Fell School of Beekeeping',
      withoutWayIn: 0,
    });
    expect(content(await takenOut(morag))).toEqual(content(archive));
    expect((await salma.get(endpoints.whoAmI.path)).body).toMatchObject({ person: { name: 'Salma' } });
    await school.signIn('tomasz');
    const log = (await morag.get(endpoints.changeLog.path)).body as { lines: { door: string | null }[] };
    expect(log.lines.map(({ door }) => door)).toEqual(
      expect.arrayContaining(['archive-taken-out', 'archive-brought-in']),
    );
    // Photos too, bit by bit.
    const photos = linesIn(archive).filter(({ table }) => table === 'attachments');
    expect(photos[0]!.row!.content).toMatch(/^\/9j\//);
  }, 120_000);

  it('loses nothing of whatever was written', async () => {
    const [person] = await school.db('people').where({ sign_in: 'kwame' }).select<{ id: string }[]>('id');
    const [visit] = await school.db('visits').whereNotNull('closed_at').select<{ id: string }[]>('id');
    const text = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 });
    await fc.assert(
      fc.asyncProperty(text, text, fc.jsonValue({ maxDepth: 2 }), async (name, note, body) => {
        await school.db('people').where(person!).update({ name, emergency_note: note });
        await school
          .db('visit_entries')
          .where({ visit: visit!.id })
          .limit(1)
          .update({ body: JSON.stringify({ kind: 'note', body }) });
        await school.wrote();
        const before = await takenOut(morag);
        await bringIn(morag, before).expect(200);
        expect(content(await takenOut(morag))).toEqual(content(before));
      }),
      { numRuns: 4 },
    );
    await bringIn(morag, archive).expect(200);
  }, 240_000);
});

describe('an archive that does not fit', () => {
  const lines = () => linesIn(archive);
  /** The first row of a table, otherwise. */
  const otherwise = (table: string, change: Row): (Line | string)[] => {
    const all = lines();
    const row = all.find((line) => line.table === table)!;
    row.row = { ...row.row, ...change };
    return all;
  };
  const foreign = () =>
    school.db('people').where({ sign_in: 'ines' }).first<{ id: string; school: string }>('id', 'school');

  const cases: readonly (readonly [why: string, file: () => Buffer | Promise<Buffer>, says: RegExp])[] = [
    ['is cut off in the packing', () => archive.subarray(0, archive.length - 400), /cut off/],
    ['is cut off after a row', () => fileOf(lines().slice(0, 500)), /ends after line 500 and is not whole/],
    [
      'is damaged within',
      () => Buffer.concat([archive.subarray(0, 2000), Buffer.alloc(6000), archive.subarray(8000)]),
      /cannot be unpacked|damaged/,
    ],
    ['is another file', () => gzipSync('{"some":"json"}\n'), /no archive of a school/],
    ['is not packed', () => Buffer.from('id,name\n1,a\n'), /cannot be unpacked/],
    ['is empty', () => Buffer.alloc(0), /cannot be unpacked|no archive/],
    [
      'has a column that is not known',
      () => fileOf(otherwise('hives', { colour: 'blue' })),
      /column colour of hives.*update/,
    ],
    [
      'holds a row of another school',
      async () => fileOf(otherwise('hives', { school: (await foreign()).school })),
      /belongs to another school/,
    ],
    [
      'points to a person of another school',
      async () => fileOf(otherwise('visits', { supervisor: (await foreign()).id })),
      /names something of people that does not stand before it/,
    ],
    ['holds a text that is too long', () => fileOf(otherwise('sites', { name: 'x'.repeat(200) })), /too long/],
    [
      'holds a moment that is none',
      () => fileOf(otherwise('sessions', { starts_at: 'soon' })),
      /starts_at is nothing that can be kept/,
    ],
    [
      'holds one hive twice',
      () => {
        const all = lines();
        const at = all.findIndex(({ table }) => table === 'hives');
        all.splice(at, 0, all[at]!);
        all[0]!.head!.tables.hives! += 1;
        all.at(-1)!.end!.rows += 1;
        return fileOf(all);
      },
      /./,
    ],
  ];
  it.each(cases)('because it %s, changes nothing', async (_why, file, says) => {
    const before = content(await takenOut(morag));
    const answer = await bringIn(morag, await file());
    expect(answer.status, told(answer)).toBeGreaterThanOrEqual(400);
    expect(answer.status, told(answer)).toBeLessThan(500);
    expect(told(answer)).toMatch(says);
    expect(content(await takenOut(morag))).toEqual(before);
  });

  it('is brought in by the owner only, who types the name of what is replaced', async () => {
    expect(told(await bringIn(morag, archive, { replaces: 'brenna' }).expect(409))).toContain('Brenna Fell');
    await bringIn(await school.signIn('tomasz'), archive).expect(403);
    await school.db('people').where({ sign_in: 'morag' }).update({ owner: false });
    const again = await school.signIn('morag');
    await bringIn(again, archive).expect(403);
    expect(told(await again.get(PATH).expect(403))).toContain('owner');
    await school.db('people').where({ sign_in: 'morag' }).update({ owner: true });
    morag = await school.signIn('morag');
  });

  it('that is given up in the middle leaves the school as it was', async () => {
    const server = createServer(school.app);
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const { port } = server.address() as AddressInfo;
    const agent = supertest.agent(server);
    const signedIn = await agent
      .post(endpoints.signIn.path)
      .send({ name: 'morag', password: 'willow-before-gorse' })
      .expect(200);
    const cookie = (signedIn.headers['set-cookie'] as unknown as string[]).map((each) => each.split(';')[0]).join('; ');
    const before = content(await takenOut(morag));
    await new Promise<void>((done) => {
      const request = http.request({
        port,
        host: '127.0.0.1',
        method: 'POST',
        path: `${PATH}?replaces=Brenna%20Fell%20School%20of%20Beekeeping`,
        headers: { cookie, 'content-type': 'application/gzip', 'content-length': archive.length },
      });
      request.on('error', () => done());
      request.on('close', done);
      request.write(archive.subarray(0, Math.floor(archive.length * 0.7)), () => {
        setTimeout(() => request.destroy(), 600);
      });
    });
    await expect.poll(async () => content(await takenOut(morag)), { timeout: 20_000 }).toEqual(before);
    // Nobody holds the school any more.
    await bringIn(morag, archive).expect(200);
    await new Promise((done) => server.close(done));
  }, 120_000);
});

describe('an archive at another installation', () => {
  let other: School;
  let owner: Agent;
  let ownerId: string;
  beforeAll(async () => {
    other = await openSchool('', 'archive_other');
    await other.db.transaction(emptyAll);
    const code = await newStartCode(other.db);
    owner = supertest.agent(other.app);
    const begun = await owner
      .post(endpoints.beginSchool.path)
      .send({
        code,
        name: 'Ruaridh Beag',
        signIn: 'ruaridh',
        password: 'three plain words',
        school: 'New Ground',
        units: 'metric',
        home: { zone: 'Europe/London', latitude: 54.4, longitude: -2.9, south: false },
      })
      .expect(200);
    ownerId = (begun.body as { person: { id: string } }).person.id;
  }, 120_000);
  afterAll(() => other.close());

  it('takes the place of the empty school; labels still lead to their hives; the others have to be invited', async () => {
    const done = await bringIn(owner, archive, { replaces: 'New Ground' }).expect(200);
    const here = people(await takenOut(owner));
    expect(here.map(({ name }) => name)).toContain('Ruaridh Beag');
    expect(done.body).toMatchObject({
      school: 'Brenna Fell School of Beekeeping',
      withoutWayIn: here.filter((row) => !row.erased_at && !row.retired_at).length - 1,
    });
    const hives = (file: Buffer) => linesIn(file).flatMap(({ table, row }) => (table === 'hives' ? [row!.id] : []));
    expect(hives(await takenOut(owner))).toEqual(hives(archive));
    expect((await owner.get(endpoints.whoAmI.path)).body).toMatchObject({
      person: { name: 'Ruaridh Beag', owner: true },
    });
    await owner.get(endpoints.nextSession.path).expect(200);
    const owners = await other.db('people').where({ owner: true }).pluck<string[]>('name');
    expect(owners).toEqual(['Ruaridh Beag']);
  }, 60_000);

  it('lets whoever brings it in be somebody of it, with all that they did', async () => {
    const me = people(archive).find(({ name }) => name === 'Morag Selkirk')?.id as string;
    await bringIn(owner, archive, { replaces: 'Brenna Fell School of Beekeeping', me }).expect(200);
    const signed = await other.db('sign_offs').where({ by: ownerId }).count<{ n: number }[]>({ n: '*' });
    expect(signed[0]!.n).toBeGreaterThan(0);
    expect(people(await takenOut(owner))).toHaveLength(people(archive).length);
    expect((await owner.get(endpoints.whoAmI.path)).body).toMatchObject({
      person: { name: 'Morag Selkirk', owner: true },
    });
  }, 60_000);

  it('leaves whoever brings it in a lead at the school, whatever it says of them', async () => {
    const lines = linesIn(archive);
    const morags = lines.find(({ table, row }) => table === 'people' && row?.name === 'Morag Selkirk')!;
    morags.row = { ...morags.row, role: 'trainee', retired_at: '2026-05-01T00:00:00.000Z' };
    const me = morags.row.id as string;
    await bringIn(owner, fileOf(lines), { replaces: 'Brenna Fell School of Beekeeping', me }).expect(200);
    expect((await owner.get(endpoints.whoAmI.path)).body).toMatchObject({ person: { role: 'lead', owner: true } });
    await owner.get(endpoints.members.path).expect(200);
  }, 60_000);

  it('is a copy with ids of its own where another school has them', async () => {
    // The same installation, a second school.
    const second = await school.signIn('ines');
    const refused = await bringIn(second, archive, { replaces: 'Saltpan Road' }).expect(409);
    expect(told(refused)).toContain('as a copy');
    const before = content(archive);
    await bringIn(second, archive, { replaces: 'Saltpan Road', ids: 'new' }).expect(200);
    expect(content(await takenOut(morag))).toEqual(before);
    const copy = linesIn(await takenOut(second));
    const numbers = (lines: readonly Line[]) =>
      lines.flatMap(({ table, row }) => (table === 'hives' ? [row!.number] : [])).toSorted();
    expect(numbers(copy)).toEqual(numbers(linesIn(archive)));
    const strip = (lines: readonly Line[], table: string) => lines.filter((line) => line.table === table).length;
    for (const table of ['visits', 'visit_entries', 'demonstrations', 'combs', 'attachments'])
      expect(strip(copy, table), table).toBe(strip(linesIn(archive), table));
    // What was entered names people of the copy, not of the school that it was copied from.
    const ids = new Set(people(archive).map(({ id }) => id as string));
    expect(
      JSON.stringify(copy)
        .match(/[0-9a-f]{8}-[0-9a-f-]{27}/g)!
        .filter((each) => ids.has(each)),
    ).toEqual([]);
  }, 120_000);
});

describe('what is kept of one person', () => {
  it('is theirs to have, and a lead instructor’s; each time is written down', async () => {
    const salma = await school.signIn('salma');
    const { id } = await school.db('people').where({ sign_in: 'salma' }).first<{ id: string }>('id');
    const got = await salma.get(pathOf(endpoints.personalRecords, { person: id })).expect(200);
    expect(got.headers['content-disposition']).toContain('.json');
    const { tables, person } = got.body as { tables: Record<string, Row[]>; person: { name: string } };
    expect(person.name).toBe('Salma');
    expect(tables.people).toHaveLength(1);
    expect(tables.demonstrations!.length).toBeGreaterThan(5);
    expect(tables.demonstrations!.every(({ trainee, judged_by }) => trainee === id || judged_by === id)).toBe(true);
    expect(tables.visit_entries!.some(({ body }) => JSON.stringify(body).includes(id))).toBe(true);
    expect(JSON.stringify(got.body)).not.toContain('argon2');
    await (await school.signIn('tomasz')).get(pathOf(endpoints.personalRecords, { person: id })).expect(403);
    await (await school.signIn('ines')).get(pathOf(endpoints.personalRecords, { person: id })).expect(404);
    await morag.get(pathOf(endpoints.personalRecords, { person: id })).expect(200);
    const taken = await school.db('audit_log').where({ what: 'records-taken-out', about: 'Salma' });
    expect(taken).toHaveLength(2);
  });
});
