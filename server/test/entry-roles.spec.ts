import { EntryBody as Entries, type VisitFile, endpoints } from '@brave-comb/contract';
import {
  type EntryBody,
  CHECK_IDS,
  DEFECT_IDS,
  EVIDENCE_IDS,
  FINDING_IDS,
  GUARD_IDS,
  STRAY_CAUSES,
  STRAY_PLACES,
} from '@brave-comb/core/inspection';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, entry, openSchool, openVisit, pathOf, sideOf, today } from './school';

/** Who may make which kind of entry in a visit, tried with an entry of each kind. A kind without a line does not compile. */

type Kind = EntryBody['kind'];
type Agent = Awaited<ReturnType<School['signIn']>>;

let school: School;
let [morag, tomasz, salma, nadia, ines]: Agent[] = [];
let visit: string;
let file: VisitFile;
let ids: { salma: string; nadia: string; hoa: string };

beforeAll(async () => {
  school = await openSchool('', 'kinds');
  const names = ['morag', 'tomasz', 'salma', 'nadia', 'ines'];
  const agents: Agent[] = [];
  for (const name of names) agents.push(await school.signIn(name));
  [morag, tomasz, salma, nadia, ines] = agents;
  visit = await openVisit(tomasz!);
  file = (await tomasz!.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as VisitFile;
  const idOf = async (name: string) =>
    (await school.db('people').where({ sign_in: name }).first<{ id: string }>('id')).id;
  ids = { salma: await idOf('salma'), nadia: await idOf('nadia'), hoa: await idOf('hoa') };
});
afterAll(() => school.close());

const send = (agent: Agent | undefined, entries: object[], where = visit) =>
  agent!.post(pathOf(endpoints.recordEntries, { visit: where })).send({ entries });
const messageOf = ({ body }: { body: unknown }) => (body as { message?: string }).message ?? '';
const address = { box: 'brood box', frame: 5, face: 'low' } as const;
const side = () => sideOf({ S: 8 });
const comb = () => file.combs[0]!.combs[0]!;

/** A reading that is there to be settled, doubted, undone. */
const reading = async (): Promise<string> => {
  const made = entry({ kind: 'frame-side-recorded', address: { ...address, frame: 9 }, side: side(), seen: null });
  await send(tomasz, [made]).expect(200);
  return made.id;
};

interface Line {
  /** Who: whoever keeps the record, also a trainee of the group, or its supervisor and leads. */
  readonly by: 'the record' | 'supervisors';
  readonly of: () => object | Promise<object>;
}
const record = (of: Line['of']): Line => ({ by: 'the record', of });
const supervisors = (of: Line['of']): Line => ({ by: 'supervisors', of });

const LINES: Readonly<Record<Kind, Line>> = {
  'step-reached': record(() => ({ step: 'smoke' })),
  'depth-chosen': record(() => ({ depth: 'full' })),
  'outside-seen': record(() => ({
    when: 'before',
    look: { traffic: 'steady', pollenIn: true, deadBees: false, intruders: false, note: '' },
  })),
  'role-given': record(() => ({ role: 'smoke', person: ids.salma })),
  checked: record(() => ({ check: CHECK_IDS[0], ok: true, person: null })),
  'smoke-given': record(() => ({ place: 'entrance', puffs: 2 })),
  'part-taken-off': record(() => ({ part: file.stack.at(-1)!.id })),
  'part-put-back': record(() => ({ part: file.stack.at(-1)!.id })),
  'box-opened': record(() => ({ box: 'brood box' })),
  'box-tipped': record(() => ({ box: 'brood box' })),
  'seams-counted': record(() => ({ box: 'brood box', seams: 7 })),
  'box-summed-up': record(() => ({
    box: 'brood box',
    summary: { seams: 7, brood: 6, food: 3, drawn: 10, bare: 1, note: '' },
  })),
  'frame-lifted': record(() => ({ box: 'brood box', frame: 5 })),
  'frame-set-back': record(() => ({ box: 'brood box', frame: 5 })),
  'comb-moved': record(() => ({ comb: comb(), to: { in: 'store', store: 'drawn-reserve' }, reason: 'room' })),
  'frame-side-recorded': record(() => ({ address: { ...address, frame: 3 }, side: side(), seen: null })),
  'side-guessed': record(() => ({ person: ids.salma, address: { ...address, frame: 4 }, letters: ['S'] })),
  'side-read-by-trainee': record(() => ({ person: ids.salma, address: { ...address, frame: 4 }, side: side() })),
  'confirmed-afterwards': record(() => ({ address, letter: 'E', there: true })),
  'queen-mark-seen': record(() => ({ colour: 'none' })),
  'queen-accounted-for': record(() => ({ how: 'not-seen-again' })),
  'evidence-ticked': record(() => ({ evidence: EVIDENCE_IDS[0], seen: true })),
  'finding-noted': record(() => ({
    finding: FINDING_IDS[0],
    found: false,
    count: null,
    sure: null,
    spot: null,
    note: '',
  })),
  measured: record(() => ({ measure: { what: 'nest-temperature', celsius: 35 } })),
  'mood-noted': record(() => ({ mood: 2 })),
  'sign-noticed': record(() => ({ sign: 'running' })),
  'sting-counted': record(() => ({ person: null })),
  'sting-asked-after': record(() => ({ person: ids.salma, reaction: 'well' })),
  'defect-noted': record(() => ({ part: 'brood box', defect: DEFECT_IDS[0], forNow: '', until: 'next-visit' })),
  'stray-comb-noted': record(() => ({
    part: 'brood box',
    place: STRAY_PLACES[0],
    content: 'empty',
    cause: STRAY_CAUSES[0],
    removed: false,
  })),
  'task-settled': record(async () => ({ task: await taskOfHive(), done: true })),
  'incident-noted': record(() => ({ what: 'other', person: null, text: 'a strap tore' })),
  'note-written': record(() => ({ text: 'calm' })),
  'question-asked': record(() => ({ text: 'Why?', person: null, spot: null, photo: null, sure: null })),
  'photo-taken': record(() => ({ photo: uuid(), of: 'eggs', spot: null })),
  'voice-recorded': record(() => ({ recording: uuid(), seconds: 4, spot: null })),
  'summed-up': record(() => ({ summary: { bees: 'many', brood: 'sound', food: 'enough', health: 'well' } })),
  'stop-said': record(() => ({ reason: 'weather', note: '' })),
  'entry-undone': supervisors(async () => ({ entry: await reading() })),
  'skill-judged': supervisors(() => ({ trainee: ids.salma, skill: 'finds-eggs', level: 'alone' })),
  'reading-settled': supervisors(async () => ({ address: { ...address, frame: 9 }, keep: await reading() })),
  'doubt-looked-at-again': supervisors(() => ({ address, sound: true, found: '' })),
  'guard-overridden': supervisors(() => ({ guard: GUARD_IDS[0], reason: 'short' })),
  'stack-changed': supervisors(() => ({
    change: { do: 'add', layer: { id: `feeder ${uuid().slice(-6)}`, kind: 'feeder' }, on: file.stack.at(-2)!.id },
    reason: 'feed',
  })),
  'visit-closed': supervisors(() => ({ reason: 'time', note: '' })),
};

async function taskOfHive(): Promise<string> {
  const hive = await school.db('hives').where({ id: file.visit.hive }).first<{ id: string; school: string }>();
  const id = uuid();
  await school.db('follow_ups').insert({
    id,
    school: hive.school,
    hive: hive.id,
    task: `a task ${id}`,
    question: JSON.stringify('A task'),
    from_date: '2026-05-01',
    due: '2026-05-30',
  });
  return id;
}

describe('entries by kind and role', () => {
  it('of every kind have a line', () => {
    const kinds = Entries.options.map((option) => option.shape.kind.value);
    expect(Object.keys(LINES).sort()).toEqual(kinds.toSorted());
  });

  for (const [kind, line] of Object.entries(LINES) as [Kind, Line][])
    it(`${kind}: by ${line.by}`, async () => {
      const make = async () => entry({ kind, ...(await line.of()) } as EntryBody);
      const count = async () => Number((await school.db('visit_entries').where({ visit }).count('* as n'))[0]?.n);
      const one = await make();
      const before = await count();
      for (const stranger of [nadia, ines]) expect((await send(stranger, [one])).status).toBe(404);
      const trainee = await send(salma, [one]);
      if (line.by === 'supervisors') {
        expect([trainee.status, messageOf(trainee)]).toEqual([422, expect.stringMatching(/supervisor/)]);
        expect(await count()).toBe(before);
      } else {
        expect(trainee.status, messageOf(trainee)).toBe(200);
        expect(await count()).toBe(before + 1);
      }
      for (const agent of [tomasz, morag]) {
        const answer = await send(agent, [await make()]);
        expect(answer.status, messageOf(answer)).toBe(200);
      }
    });
});

describe('what was entered', () => {
  it('is taken back by a trainee where it is their own and the visit is open, by its supervisor otherwise', async () => {
    const own = entry({ kind: 'mood-noted', mood: 3 });
    const theirs = [
      entry({ kind: 'incident-noted', what: 'sting-reaction', person: null, text: 'swollen' }),
      entry({ kind: 'frame-side-recorded', address, side: side(), seen: null }),
    ];
    await send(tomasz, theirs).expect(200);
    await send(salma, [own]).expect(200);
    await send(salma, [entry({ kind: 'entry-undone', entry: own.id })]).expect(200);
    for (const { id } of theirs) {
      const answer = await send(salma, [entry({ kind: 'entry-undone', entry: id })]);
      expect([answer.status, messageOf(answer)]).toEqual([422, expect.stringMatching(/Somebody else made that entry/)]);
    }
    for (const { id } of theirs) await send(tomasz, [entry({ kind: 'entry-undone', entry: id })]).expect(200);
  });

  it('by a trainee long ago in a closed visit is not taken back any more, whatever the device’s clock says', async () => {
    const at = '2026-05-14T12:21:00.000Z';
    const own = entry({ kind: 'note-written', text: 'mine' }, at);
    const fresh = await school
      .db('visit_entries')
      .where({ visit })
      .whereRaw("json_value(body, '$.kind') = 'visit-closed'");
    expect(fresh.length).toBeGreaterThan(0);
    await school.db('visit_entries').insert({
      id: own.id,
      visit,
      by_person: ids.salma,
      made_at: new Date(at),
      recorded_at: new Date(at),
      body: JSON.stringify(own.body),
    });
    await school.context.clock.moveTo(new Date('2026-05-22T09:00:00Z'));
    const answer = await send(salma, [entry({ kind: 'entry-undone', entry: own.id }, '2026-05-14T12:19:00.000Z')]);
    expect([answer.status, messageOf(answer)]).toEqual([422, expect.stringMatching(/visit is closed/)]);
    await school.context.clock.moveTo(new Date('2026-05-14T12:30:00Z'));
  });

  it('as a reading by a trainee stands beside a supervisor’s and does not replace it, seen or not', async () => {
    const where = { box: 'brood box', frame: 7, face: 'high' } as const;
    const first = entry({ kind: 'frame-side-recorded', address: where, side: sideOf({ S: 8 }), seen: null });
    await send(tomasz, [first]).expect(200);
    const second = entry(
      { kind: 'frame-side-recorded', address: where, side: sideOf({ L: 8 }), seen: first.id },
      '2026-05-14T12:15:00.000Z',
    );
    await send(salma, [second]).expect(200);
    const now = (await tomasz!.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as VisitFile;
    const kept = now.entries.find(({ id }) => id === second.id);
    expect(kept?.body).toMatchObject({ seen: null });
  });

  it('judges nobody of a group that the supervisor has not led', async () => {
    const judged = (trainee: string) => entry({ kind: 'skill-judged', trainee, skill: 'finds-eggs', level: 'alone' });
    const answer = await send(tomasz, [judged(ids.nadia)]);
    expect([answer.status, messageOf(answer)]).toEqual([422, expect.stringMatching(/group that you have led/)]);
    await send(morag, [judged(ids.nadia)]).expect(200);
  });

  it('names no comb of another school, and does not touch it', async () => {
    const moved = entry({
      kind: 'comb-moved',
      comb: { ...comb(), id: uuid() },
      to: { in: 'store', store: 'freezer' },
      reason: '',
    });
    await send(tomasz, [moved]).expect(200);
    const id = (moved.body as { comb: { id: string } }).comb.id;
    const before = await school.db('combs').where({ id }).first<object>();
    const saltpan = (await school.db('people').where({ sign_in: 'ines' }).first<{ school: string }>('school')).school;
    await school.db('combs').where({ id }).update({ school: saltpan });
    const stolen = entry({
      kind: 'comb-moved',
      comb: { ...comb(), id, label: 'STOLEN' },
      to: { in: 'store', store: 'burnt' },
      reason: '',
    } as never);
    const answer = await send(tomasz, [stolen]);
    expect([answer.status, messageOf(answer)]).toEqual([422, expect.stringMatching(/does not belong to this school/)]);
    expect(await school.db('combs').where({ id }).first<object>()).toEqual({ ...before, school: saltpan });
  });
});

describe('sent at the same moment', () => {
  const six = <T>(make: (at: number) => PromiseLike<T>) => Promise.all(Array.from({ length: 6 }, (_, at) => make(at)));

  it('six starts of one hive are one visit, with one id or with six', async () => {
    const { session, hive } = await today(morag!, '7');
    const start = (id: string) =>
      morag!.post(endpoints.startVisit.path).send({ id, session, hive, startedAt: '2026-05-14T12:10:00.000Z' });
    const same = uuid();
    const answers = [...(await six(() => start(same))), ...(await six(() => start(uuid())))];
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 12 }, () => 200));
    expect(new Set(answers.map(({ body }) => (body as { id: string }).id)).size).toBe(1);
    expect(await school.db('visits').where({ session, hive })).toHaveLength(1);
  });

  it('season events, colony events and entries are kept once and answered alike', async () => {
    const site = (await school.db('hives').where({ id: file.visit.hive }).first<{ site: string }>('site')).site;
    const [season, colony] = [uuid(), uuid()];
    const date = '2026-05-13';
    const event = await six(() =>
      morag!.post(pathOf(endpoints.logSeasonEvent, { site })).send({ id: season, kind: 'wasps', date }),
    );
    const queen = await six(() =>
      morag!
        .post(pathOf(endpoints.logColonyEvent, { hive: file.visit.hive }))
        .send({ id: colony, date, detail: { kind: 'eggs-seen' } }),
    );
    const mood = entry({ kind: 'mood-noted', mood: 1 });
    const entries = await six(() => send(morag, [mood]));
    expect([...event, ...queen, ...entries].map(({ status, text }) => (status === 200 ? 200 : text))).toEqual(
      Array.from({ length: 18 }, () => 200),
    );
    expect(await school.db('season_events').where({ id: season })).toHaveLength(1);
    expect(await school.db('colony_events').where({ id: colony })).toHaveLength(1);
    expect(await school.db('visit_entries').where({ id: mood.id })).toHaveLength(1);
  });
});
