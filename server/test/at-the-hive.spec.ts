import { inEnglish } from '../src/words';
import { type AskedQuestion, type LiveSession, type VisitFile, endpoints } from '@brave-comb/contract';
import { type EntryBody, parseSide } from '@brave-comb/core/inspection';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { watchSession } from '../src/views/inspection/live';
import {
  type School,
  earlyVisit,
  entry,
  openSchool,
  openVisit,
  pathOf,
  preparedFile,
  today,
  cameraPhoto,
} from './school';

let school: School;
let morag: Awaited<ReturnType<School['signIn']>>;
let salma: Awaited<ReturnType<School['signIn']>>;
let visit: string;
beforeAll(async () => {
  school = await openSchool('', 'hive');
  [morag, salma] = [await school.signIn('morag'), await school.signIn('salma')];
  visit = await earlyVisit(morag);
});
afterAll(() => school.close());

const record = (entries: readonly ReturnType<typeof entry>[], agent = morag, of = visit) =>
  agent.post(pathOf(endpoints.recordEntries, { visit: of })).send({ entries });
const fileOf = async (agent = morag, of = visit) =>
  (await agent.get(pathOf(endpoints.visitFile, { visit: of })).expect(200)).body as VisitFile;
const prepared = (number = '4') => preparedFile(morag, number);
const broodOf = (file: VisitFile) => file.combs.find(({ box }) => box === 'brood box')!.combs;
const labels = (file: VisitFile) => broodOf(file).map(({ label }) => label);
const read = (frame: number, line: string) =>
  entry({
    kind: 'frame-side-recorded',
    address: { box: 'brood box', frame, face: 'low' },
    side: parseSide(line),
    seen: null,
  });

describe('what a device is given for a visit', () => {
  it('names every comb, says how deep and why, and what each super weighs', async () => {
    const file = await fileOf();
    expect(broodOf(file)).toHaveLength(11);
    expect(new Set(broodOf(file).map(({ id }) => id)).size).toBe(11);
    expect(file.depth).toEqual({ allowed: 'full', why: expect.stringMatching(/at 13:10$/) as string });
    expect(file.limits).toMatchObject({ openMinutes: 25, because: [] });
    expect(file.lifting.map(({ layer }) => layer.id)).toEqual(['super 1']);
    expect(file.lock).toBeNull();
    expect(file.neighbours.map(({ number }) => number)).not.toContain('4');
  });

  it('names the same combs on every device, also before anything is written', async () => {
    expect(labels(await prepared('7'))).toEqual(labels(await prepared('7')));
    expect(broodOf(await prepared('7')).map(({ id }) => id)).toEqual(broodOf(await prepared('7')).map(({ id }) => id));
  });

  it('warns where a young queen may be out mating at this hour', async () => {
    // A virgin was seen in hive 7 nine days ago, and it is opened after noon.
    expect((await prepared('7')).cautions.join(' ')).toMatch(/may be out mating at this hour \(11 to 16/);
    expect((await prepared('4')).cautions.join(' ')).not.toMatch(/mating/);
  });

  it('locks a colony whose young queen must be left alone, and names a suspicion', async () => {
    const { hive } = await today(morag, '7');
    const log = (detail: object) =>
      morag
        .post(pathOf(endpoints.logColonyEvent, { hive }))
        .send({ id: uuid(), date: '2026-05-06', detail })
        .expect(200);
    await log({ kind: 'queen', start: 'cell-sealed' });
    await log({ kind: 'suspicion', of: 'foulbrood' });
    const file = await prepared('7');
    expect(file.lock).toMatch(/young queen.*until \d+ May/);
    expect(file.suspicion).toBe('foulbrood');
    expect(file.cautions.join(' ')).toMatch(/no frame leaves it/);
  });
});

describe('a trainee who keeps the record', () => {
  it('sees the visit without what is private to others', async () => {
    const seven = await openVisit(morag, '7');
    const chloe = await school.signIn('chloe');
    const [all, hers] = [await fileOf(morag, seven), await fileOf(chloe, seven)];
    expect(all.emergency.people.map(({ name }) => name)).toContain('Nadia');
    expect(hers.emergency.people).toEqual([]);
    expect(hers.trainees.flatMap(({ name, note }) => (note ? [name] : []))).toEqual([]);
    expect(labels(hers)).toEqual(labels(all));
  });

  it('enters sides, but does not judge, settle or end', async () => {
    await record([read(1, '8H')], salma).expect(200);
    const trainee = (await fileOf()).trainees[0]!.id;
    const barred: EntryBody[] = [
      { kind: 'skill-judged', trainee, skill: 'finds-eggs', level: 'alone' },
      { kind: 'guard-overridden', guard: 'do-not-open', reason: 'because' },
      { kind: 'visit-closed', reason: 'time', note: '' },
    ];
    for (const body of barred) {
      const { status, body: said } = await record([entry(body)], salma);
      expect(status).toBe(422);
      expect((said as { message: string }).message).toMatch(/supervisor/);
    }
  });

  it('hears what others enter, but not how they are judged', async () => {
    const { heard, trainees } = await fileOf(salma);
    const judged = entry({ kind: 'skill-judged', trainee: trainees[0]!.id, skill: 'finds-eggs', level: 'alone' });
    await record([read(2, '6H 2N'), judged]).expect(200);
    const path = `${pathOf(endpoints.visitEntries, { visit })}?after=${heard}`;
    const kinds = async (agent: typeof morag) => {
      const { body } = await agent.get(path).expect(200);
      const { entries, heard: now } = body as { entries: { body: EntryBody }[]; heard: number };
      expect(now).toBe(heard + 2);
      return entries.map((each) => each.body.kind);
    };
    expect(await kinds(morag)).toEqual(['frame-side-recorded', 'skill-judged']);
    expect(await kinds(salma)).toEqual(['frame-side-recorded']);
  });
});

describe('questions and photos', () => {
  const questions = async (agent = morag) =>
    ((await agent.get(endpoints.askedQuestions.path).expect(200)).body as { questions: AskedQuestion[] }).questions;
  const photo = uuid();

  it('keeps a photo once and gives it only to those who may see the visit', async () => {
    const send = (content: string, id = photo, agent = salma) =>
      agent
        .post(pathOf(endpoints.keepAttachment, { visit }))
        .send({ id, takenAt: '2026-05-14T12:20:00Z', type: 'image/jpeg', content });
    const taken = await cameraPhoto();
    await send(taken).expect(200);
    await send(taken).expect(200);
    for (const junk of [Buffer.from('no photo at all'), Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3])])
      expect((await send(junk.toString('base64'), uuid())).status).toBe(422);
    const { body } = await morag.get(pathOf(endpoints.attachment, { attachment: photo })).expect(200);
    const kept = await sharp(Buffer.from((body as { content: string }).content, 'base64')).metadata();
    expect(kept).toMatchObject({ format: 'jpeg', width: 64, height: 48 });
    // Where and by whom it was taken is nobody's business.
    expect((await sharp(Buffer.from(taken, 'base64')).metadata()).exif).toBeDefined();
    expect(kept.exif).toBeUndefined();
    const stranger = await school.signIn('chloe');
    expect((await stranger.get(pathOf(endpoints.attachment, { attachment: photo }))).status).toBe(404);
  });

  it('puts what was asked on the list, answers it, and takes it off again with its entry', async () => {
    const asked = entry({
      kind: 'question-asked',
      text: 'Is there too little brood?',
      person: (await fileOf()).trainees[0]!.id,
      spot: { part: 'brood box', frame: 4, face: 'low' },
      photo,
      sure: 70,
    });
    await record([asked], salma).expect(200);
    const [first] = await questions(salma);
    expect(first).toMatchObject({ id: asked.id, text: 'Is there too little brood?', photo, sure: 70, answer: null });
    const answer = (agent: typeof morag) =>
      agent.post(pathOf(endpoints.answerQuestion, { question: asked.id })).send({ text: 'Normal before the flow.' });
    expect((await answer(salma)).status).toBe(403);
    await answer(morag).expect(200);
    expect((await questions(salma))[0]?.answer?.text).toBe('Normal before the flow.');
    expect((await prepared('4')).answers).toEqual([
      { question: 'Is there too little brood?', answer: 'Normal before the flow.' },
    ]);
    await record([entry({ kind: 'entry-undone', entry: asked.id })]).expect(200);
    expect(await questions()).toEqual([]);
  });
});

describe('room for photos', () => {
  it('ends for a person and for a school, in words, and what was kept stays', async () => {
    const bytesOf = (value: number) => school.db('attachments').update({ bytes: value });
    const id = uuid();
    const send = async () =>
      salma
        .post(pathOf(endpoints.keepAttachment, { visit }))
        .send({ id, takenAt: '2026-05-14T12:20:00Z', type: 'image/jpeg', content: await cameraPhoto() });
    await bytesOf(700 * 1024 * 1024);
    const { status, body } = await send();
    expect([status, (body as { message: string }).message]).toEqual([
      422,
      expect.stringMatching(/as there is room for/),
    ]);
    await bytesOf(1000);
    expect((await send()).status).toBe(200);
  });
});

describe('combs that move', () => {
  it('keeps each comb known wherever it goes, with the colony that gave it', async () => {
    const before = await fileOf();
    const [, second, third] = broodOf(before);
    const { hive: seven } = await today(morag, '7');
    const fresh = { id: uuid(), kind: 'foundation' as const, since: 2026, donor: null, label: 'new one' };
    await record([
      read(3, '4S 4H'),
      entry({
        kind: 'comb-moved',
        comb: second!,
        to: { in: 'hive', hive: seven, box: 'brood box', place: 5 },
        reason: 'share brood',
      }),
      entry({ kind: 'comb-moved', comb: third!, to: { in: 'store', store: 'melting' }, reason: 'old comb out' }),
      entry({ kind: 'comb-moved', comb: fresh, to: { in: 'box', box: 'brood box', place: 2 }, reason: 'room' }),
      entry({ kind: 'visit-closed', reason: 'question-answered', note: '' }),
    ]).expect(200);

    const after = await prepared('4');
    expect(labels(after).slice(0, 3)).toEqual(['4-brood box-1', 'new one', '4-brood box-4']);
    const received = broodOf(await prepared('7'));
    expect(received[4]).toMatchObject({ id: second!.id, label: second!.label });
    expect(received[4]?.donor).not.toBeNull();

    const { body } = await morag.get(endpoints.combLedger.path).expect(200);
    const ledger = body as {
      stock: { store: string; count: number }[];
      combs: { comb: { id: string }; hiveNumber: string | null; donorNumber: string | null; store: string | null }[];
      moves: { label: string; to: string; reason: string }[];
    };
    expect(ledger.stock).toEqual([{ store: 'melting', kind: 'drawn', count: 1 }]);
    expect(ledger.combs.find(({ comb }) => comb.id === second!.id)).toMatchObject({
      hiveNumber: '7',
      donorNumber: '4',
    });
    expect(ledger.moves.map(({ to }) => to).sort()).toEqual([
      'hive 4, brood box, place 2',
      'hive 7, brood box, place 5',
      'melting',
    ]);
  });

  it('lets readings of last time follow their comb to its new place', async () => {
    const { last } = await prepared('4');
    const low = (frame: number) =>
      last!.sides.find(
        ({ address }) => address.box === 'brood box' && address.frame === frame && address.face === 'low',
      )?.side;
    expect(low(1)?.eighths).toEqual({ H: 8 });
    expect(low(2)).toBeUndefined();
    expect(last!.sides.some(({ side }) => side.eighths.S === 4)).toBe(false);
  });

  it('is put right when a move is taken back', async () => {
    const { entries } = await fileOf();
    const moved = entries.filter(({ body }) => body.kind === 'comb-moved').map(({ id }) => id);
    await record(moved.map((id) => entry({ kind: 'entry-undone', entry: id }))).expect(200);
    expect(labels(await prepared('4')).slice(0, 3)).toEqual(['4-brood box-1', '4-brood box-2', '4-brood box-3']);
    const { body } = await morag.get(endpoints.combLedger.path).expect(200);
    expect((body as { moves: unknown[]; stock: unknown[] }).moves).toEqual([]);
    expect((body as { stock: unknown[] }).stock).toEqual([]);
  });
});

describe('the session live', () => {
  it('shows every hive with what wants the lead, again whenever an entry comes', async () => {
    const { session } = await today(morag);
    const lead = { role: 'lead', id: uuid(), name: '', schoolName: '' } as const;
    const [{ school: id }] = (await school.db('sessions').where({ id: session }).select('school')) as [
      { school: string },
    ];
    const stream = watchSession(school.context, { ...lead, school: id }, session);
    const next = async () => inEnglish((await stream.next()).value) as LiveSession;
    const first = await next();
    expect(first.visits.find((each) => each.visit === visit)).toMatchObject({ hiveNumber: '4', sides: 22 });
    expect(first.waiting.length).toBeGreaterThan(0);
    const six = await openVisit(morag, '6');
    await record(
      [entry({ kind: 'part-taken-off', part: 'roof' }), entry({ kind: 'mood-noted', mood: 5 })],
      morag,
      six,
    ).expect(200);
    const second = await next();
    expect(second.visits.find((each) => each.visit === six)).toMatchObject({
      hiveNumber: '6',
      mood: 5,
      warnings: ['Bees are defensive: close up'],
    });
    await stream.return(undefined);
  });
});
