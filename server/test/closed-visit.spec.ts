import { type Calendars, type Output, type VisitFile, endpoints } from '@brave-comb/contract';
import { parseSide } from '@brave-comb/core/inspection';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, entry, openSchool, openVisit, pathOf, today } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let tomasz: Agent;
let salma: Agent;
let visit: string;
beforeAll(async () => {
  school = await openSchool('', 'closed');
  [tomasz, salma] = [await school.signIn('tomasz'), await school.signIn('salma')];
  visit = await openVisit(tomasz);
});
afterAll(() => school.close());

const record = (agent: Agent, entries: readonly ReturnType<typeof entry>[]) =>
  agent.post(pathOf(endpoints.recordEntries, { visit })).send({ entries });
const file = async (agent: Agent) =>
  (await agent.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as VisitFile;
const address = { box: 'brood box', frame: 4, face: 'low' as const };
const at = (minutes: number) => new Date(Date.parse('2026-05-14T12:20:00Z') + minutes * 60_000).toISOString();
const made = (body: Parameters<typeof entry>[0], minutes: number) => ({ ...entry(body), at: at(minutes) });

describe('a visit that is closed', () => {
  const side = made({ kind: 'frame-side-recorded', address, side: parseSide('1E 1L 6S'), seen: null }, 1);
  const closed = made({ kind: 'visit-closed', reason: 'question-answered', note: '' }, 10);

  it('keeps what other trainees read hidden until the side is read', async () => {
    const trainees = (await file(tomasz)).trainees;
    const [other, self] = [
      trainees.find(({ name }) => !name.startsWith('Salma'))!,
      trainees.find(({ name }) => name.startsWith('Salma'))!,
    ];
    const hidden = made({ kind: 'side-read-by-trainee', person: other.id, address, side: parseSide('8C') }, 0);
    const own = made({ kind: 'side-read-by-trainee', person: self.id, address, side: parseSide('8H') }, 0);
    await record(tomasz, [hidden, own]).expect(200);
    const seen = (await file(salma)).entries.map(({ id }) => id);
    expect(seen).toContain(own.id);
    expect(seen).not.toContain(hidden.id);
    await record(tomasz, [side]).expect(200);
    expect((await file(salma)).entries.map(({ id }) => id)).toContain(hidden.id);
  });

  it('is not rewritten by a trainee: nothing is added, taken back or opened again', async () => {
    await record(tomasz, [closed]).expect(200);
    const sent = [
      made({ kind: 'entry-undone', entry: side.id }, 20),
      made({ kind: 'entry-undone', entry: closed.id }, 20),
      made({ kind: 'frame-side-recorded', address, side: parseSide('8H'), seen: side.id }, 20),
      made({ kind: 'sting-counted', person: null }, 20),
      made({ kind: 'note-written', text: 'mine' }, 20),
    ];
    for (const each of sent) {
      const { body } = await record(salma, [each]).expect(422);
      expect((body as { message: string }).message).toMatch(/supervisor/);
    }
    expect((await file(tomasz)).visit.closedAt).not.toBeNull();
    await record(tomasz, [made({ kind: 'note-written', text: 'corrected by the supervisor' }, 25)]).expect(200);
  });

  it('still takes what a trainee entered in the field before it was closed and sent later', async () => {
    const late = made({ kind: 'note-written', text: 'from the field' }, 5);
    await record(salma, [late]).expect(200);
    expect((await file(tomasz)).entries.map(({ id }) => id)).toContain(late.id);
    const taken = made({ kind: 'entry-undone', entry: side.id }, 6);
    await record(salma, [taken]).expect(422);
  });
});

describe('a hive outside a planned session', () => {
  it('is opened by a supervisor, once however often it is sent, and stands in the record', async () => {
    const { hives } = (await tomasz.get(endpoints.hiveList.path).expect(200)).body as Output<
      (typeof endpoints)['hiveList']
    >;
    const thirteen = hives.find(({ number }) => number === '13')!;
    const body = { id: uuid(), hive: thirteen.id };
    for (let time = 0; time < 2; time += 1)
      expect((await tomasz.post(endpoints.openUnplanned.path).send(body).expect(200)).body).toEqual({
        session: body.id,
      });
    const again = await tomasz
      .post(endpoints.openUnplanned.path)
      .send({ ...body, id: uuid() })
      .expect(200);
    expect(again.body).toEqual({ session: body.id });
    const start = { id: uuid(), session: body.id, hive: thirteen.id, startedAt: at(0) };
    await tomasz.post(endpoints.startVisit.path).send(start).expect(200);
    const opened = (await tomasz.get(pathOf(endpoints.visitFile, { visit: start.id })).expect(200)).body as VisitFile;
    expect(opened.visit).toMatchObject({ hiveNumber: '13', supervisor: { name: 'Tomasz Wierzba' } });
    const { colonies } = (await tomasz.get(endpoints.colonyCalendars.path).query({ site: thirteen.site }).expect(200))
      .body as Calendars;
    expect(colonies.find(({ number }) => number === '13')?.lastOpened).toBe('2026-05-14');
    await salma.post(endpoints.openUnplanned.path).send({ id: uuid(), hive: thirteen.id }).expect(403);
    await tomasz.post(endpoints.openUnplanned.path).send({ id: uuid(), hive: uuid() }).expect(404);
  });

  it('may be any hive of the own session as well', async () => {
    const { session, sheet } = await today(tomasz);
    const planned = (sheet as unknown as { groups: { hive: { id: string } }[] }).groups.map(({ hive }) => hive.id);
    const { hives } = (await tomasz.get(endpoints.hiveList.path).expect(200)).body as Output<
      (typeof endpoints)['hiveList']
    >;
    const other = hives.find(({ id, siteName }) => siteName === 'Home orchard' && !planned.includes(id))!;
    await tomasz.get(pathOf(endpoints.preparedVisit, { session, hive: other.id })).expect(200);
    await tomasz
      .post(endpoints.startVisit.path)
      .send({ id: uuid(), session, hive: other.id, startedAt: at(0) })
      .expect(200);
  });
});
