import { type Output, type Review, type VisitFile, endpoints } from '@brave-comb/contract';
import { EMPTY_LOOK, parseSide } from '@brave-comb/core/inspection';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, earlyVisit, entry, openSchool, pathOf, preparedFile, today } from './school';

type YardBook = Output<(typeof endpoints)['yardBook']>;
type Predictions = Output<(typeof endpoints)['predictions']>;

let school: School;
let morag: Awaited<ReturnType<School['signIn']>>;
let salma: Awaited<ReturnType<School['signIn']>>;
let visit: string;
beforeAll(async () => {
  school = await openSchool('', 'leaves');
  [morag, salma] = [await school.signIn('morag'), await school.signIn('salma')];
  visit = await earlyVisit(morag);
});
afterAll(() => school.close());

const record = (entries: readonly ReturnType<typeof entry>[], agent = morag) =>
  agent.post(pathOf(endpoints.recordEntries, { visit })).send({ entries });
const undo = (id: string) => record([entry({ kind: 'entry-undone', entry: id })]).expect(200);
const prepared = (number = '4') => preparedFile(morag, number);
const yardBook = async () => (await morag.get(endpoints.yardBook.path).expect(200)).body as YardBook;
/** Those of hive 4: others left theirs before. */
const tasks = async () => (await yardBook()).tasks.filter(({ hiveNumber }) => hiveNumber === '4');
const review = async (agent = morag) =>
  (await agent.get(pathOf(endpoints.visitReview, { visit })).expect(200)).body as Review;
const address = { box: 'brood box', frame: 5, face: 'low' as const };
const read = (line: string) => entry({ kind: 'frame-side-recorded', address, side: parseSide(line), seen: null });
const gap = entry({
  kind: 'defect-noted',
  part: 'super 1',
  defect: 'gap',
  forNow: 'tape over it',
  until: 'before-winter',
});

describe('a task that a visit leaves', () => {
  it('stands in the yard book, at the hive, among what to bring, and on the strip', async () => {
    await record([gap]).expect(200);
    const [task] = await tasks();
    expect(task).toMatchObject({ hiveNumber: '4', bring: 'tape, a box that fits', visit, settled: null });
    expect(task!.due > '2026-08-01' && task!.due < '2026-12-21').toBe(true);
    const file = await prepared();
    expect(file.tasks).toEqual([{ id: task!.id, what: task!.what, due: task!.due, bring: 'tape, a box that fits' }]);
    expect(file.asked).not.toContain(task!.what);
    expect(file.kit).toContain('tape, a box that fits');
    expect((await review()).followUps.map(({ question }) => question)).toContain(task!.what);
    const { sheet } = await today(morag);
    expect((sheet.kit as { what: string; hives: string[] }[]).find(({ what }) => what.startsWith('tape'))).toEqual({
      count: 1,
      what: 'tape, a box that fits',
      hives: ['4'],
    });
  });

  it('is made once however often its entry is sent, goes with it, and comes again with it', async () => {
    await record([gap]).expect(200);
    expect(await tasks()).toHaveLength(1);
    const no = entry({ kind: 'entry-undone', entry: gap.id });
    await record([no]).expect(200);
    expect(await tasks()).toEqual([]);
    await undo(no.id);
    expect(await tasks()).toHaveLength(1);
  });

  it('is not answered by closing a visit, only by somebody who did it', async () => {
    const closed = entry({ kind: 'visit-closed', reason: 'time', note: '' });
    await record([closed]).expect(200);
    expect((await prepared()).tasks).toHaveLength(1);
    await undo(closed.id);
  });

  it('is settled at the hive and opened again when that is taken back', async () => {
    const [task] = await tasks();
    const done = entry({ kind: 'task-settled', task: task!.id, done: true });
    await record([done], salma).expect(200);
    expect((await tasks())[0]?.settled).toMatchObject({ by: expect.stringMatching(/^Salma/) as string });
    expect((await prepared()).tasks).toEqual([]);
    await undo(done.id);
    expect((await tasks())[0]?.settled).toBeNull();
  });

  it('is settled from the yard book; a trainee does not see that book, and a task of another hive is refused', async () => {
    const [task] = await tasks();
    const settle = (agent: typeof morag, done: boolean) =>
      agent.post(pathOf(endpoints.settleTask, { task: task!.id })).send({ done });
    await settle(salma, true).expect(403);
    await settle(morag, true).expect(200);
    expect((await tasks())[0]?.settled).toMatchObject({ by: expect.stringMatching(/^Morag/) as string });
    await settle(morag, false).expect(200);
    const { status, body } = await record([entry({ kind: 'task-settled', task: uuid(), done: true })]);
    expect([status, (body as { message: string }).message]).toEqual([422, expect.stringMatching(/no such task/)]);
    const theirs = await school.signIn('ines');
    await settle(theirs, true).expect(404);
  });
});

describe('a task that somebody leaves by hand', () => {
  const leave = (agent: typeof morag, hive: string, body: object) =>
    agent.post(pathOf(endpoints.addTask, { hive })).send(body);
  const own = async () => (await yardBook()).tasks.filter(({ source }) => source === 'by-hand');

  it('is on the list of the hive once, however often it is sent, and stays until it is settled', async () => {
    const { hives, today } = await yardBook();
    const { id: hive } = hives.find(({ number }) => number === '4')!;
    const body = { id: uuid(), what: '  Swap the floor ', due: today };
    await leave(morag, hive, body).expect(200);
    await leave(morag, hive, body).expect(200);
    expect(await own()).toMatchObject([{ hiveNumber: '4', what: 'Swap the floor', visit: null, due: today }]);
    expect((await prepared()).tasks.map(({ what }) => what)).toContain('Swap the floor');
    await morag
      .post(pathOf(endpoints.settleTask, { task: body.id }))
      .send({ done: true })
      .expect(200);
    expect(await own()).toMatchObject([{ settled: { by: expect.stringMatching(/^Morag/) as string } }]);
    expect((await prepared()).tasks.map(({ what }) => what)).not.toContain('Swap the floor');
  });

  it('is refused without words, for a day that is past, from a trainee, and at a hive of another school', async () => {
    const { hives, today } = await yardBook();
    const { id: hive } = hives.find(({ number }) => number === '4')!;
    const before = (await yardBook()).tasks.length;
    const body = { id: uuid(), what: 'Swap the floor', due: today };
    const said = async (sent: object) => ((await leave(morag, hive, sent)).body as { message: string }).message;
    expect(await said({ ...body, what: ' ' })).toContain('Say what is to be done.');
    expect(await said({ ...body, due: '2026-05-01' })).toBe('1 May 2026 is past. Choose today or a later day.');
    await leave(salma, hive, body).expect(403);
    await leave(await school.signIn('ines'), hive, body).expect(404);
    expect((await yardBook()).tasks).toHaveLength(before);
  });
});

describe('the books that fill along the way', () => {
  it('add wax up by session day, keep stray comb with its cause, and how stuck a hive was last', async () => {
    const stuck = (grade: number, at: string) =>
      entry({ kind: 'measured', measure: { what: 'stuck', part: 'brood box', grade } }, at);
    await record([
      entry({ kind: 'measured', measure: { what: 'scraps', kg: 0.25 } }),
      entry({ kind: 'measured', measure: { what: 'scraps', kg: 0.1 } }),
      entry({
        kind: 'stray-comb-noted',
        part: 'brood box',
        place: 'beside-the-last-frame',
        content: 'nectar-or-honey',
        cause: 'missing-frame',
        removed: true,
      }),
      stuck(1, '2026-05-14T12:21:00.000Z'),
      stuck(3, '2026-05-14T12:22:00.000Z'),
    ]).expect(200);
    const book = await yardBook();
    expect(book.scraps).toEqual([{ date: '2026-05-14', kg: 0.35, hives: ['4'] }]);
    expect(book.strayCombs).toEqual([
      expect.objectContaining({ where: 'beside the last frame, brood box', cause: 'missing-frame', removed: true }),
    ]);
    expect(book.stuck).toEqual([expect.objectContaining({ hiveNumber: '4', grade: 3 })]);
  });

  it('tell which combs planned jobs ask for that no store holds', async () => {
    const ledger = async () =>
      (await morag.get(endpoints.combLedger.path).expect(200)).body as Output<(typeof endpoints)['combLedger']>;
    expect((await ledger()).shortfall).toEqual([]);
    const [row] = await school.db('visits').where({ id: visit }).select<{ school: string; hive: string }[]>('*');
    await school.db('follow_ups').insert({
      id: uuid(),
      school: row!.school,
      hive: row!.hive,
      question: JSON.stringify('Hang a drawn comb beside the brood'),
      from_date: '2026-05-20',
      due: '2026-05-24',
    });
    await school.wrote();
    expect((await ledger()).shortfall).toEqual([{ kind: 'drawn', need: 1, have: 0, hives: ['4'] }]);
  });
});

describe('parts changed at the hive', () => {
  const layer = { id: 'super 2', kind: 'box' as const, box: 'national-super' as const, frames: 10, dummy: false };
  const added = entry({ kind: 'stack-changed', change: { do: 'add', layer, on: 'super 1' }, reason: 'full seams' });
  const parts = (file: VisitFile) => file.stack.map(({ id }) => id);

  it('stand on the hive from then on, with their history, and their sides can be read at once', async () => {
    const side = entry({
      kind: 'frame-side-recorded',
      address: { box: 'super 2', frame: 1, face: 'low' },
      side: parseSide('8C'),
      seen: null,
    });
    await record([added, side]).expect(200);
    expect(parts(await prepared())).toEqual([
      'floor',
      'brood box',
      'excluder',
      'super 1',
      'super 2',
      'crown board',
      'roof',
    ]);
    expect((await yardBook()).stackChanges).toEqual([
      expect.objectContaining({
        hiveNumber: '4',
        words: 'super 2 put on super 1 (British National super, 10 frames)',
        reason: 'full seams',
      }),
    ]);
    const combs = (await prepared()).combs.find(({ box }) => box === 'super 2');
    expect(combs?.combs).toHaveLength(10);
  });

  it('are refused in words when they do not fit', async () => {
    const dadant = { ...layer, id: 'super 3', box: 'dadant-super' as const };
    const { status, body } = await record([
      entry({ kind: 'stack-changed', change: { do: 'add', layer: dadant, on: 'super 1' }, reason: '' }),
    ]);
    expect([status, (body as { message: string }).message]).toEqual([422, expect.stringMatching(/own type/)]);
  });

  it('are as before when the change is taken back', async () => {
    await undo(added.id);
    expect(parts(await prepared())).not.toContain('super 2');
    expect((await yardBook()).stackChanges).toEqual([]);
  });

  it('make the review show the upper brood box when that is the one that was read', async () => {
    const upper = { ...layer, id: 'brood box 2', box: 'national-brood' as const, frames: 11 };
    const doubled = entry({ kind: 'stack-changed', change: { do: 'add', layer: upper, on: 'brood box' }, reason: '' });
    const sides = (['low', 'high'] as const).map((face) =>
      entry({
        kind: 'frame-side-recorded',
        address: { box: 'brood box 2', frame: 6, face },
        side: parseSide('5S 3H B7'),
        seen: null,
      }),
    );
    await record([doubled, ...sides]).expect(200);
    const seen = await review();
    expect(seen.box).toBe('brood box 2');
    expect(seen.frames[5]?.high?.eighths).toEqual({ S: 5, H: 3 });
    expect(seen.last?.frames.every(({ low, high }) => low === null && high === null)).toBe(true);
    await undo(doubled.id);
    expect((await review()).box).toBe('brood box');
  });

  it('of an earlier visit leave alone what a later one did', async () => {
    const { session, hive } = await today(morag, '7');
    const start = async (at: string, id = uuid()) =>
      (
        (await morag.post(endpoints.startVisit.path).send({ id, session, hive, startedAt: at }).expect(200)).body as {
          id: string;
        }
      ).id;
    const seven = await start('2026-05-14T05:20:00.000Z');
    const [row] = await school.db('visits').where({ id: seven }).select<object[]>('*');
    const { stack, questions, combs, rota, ...rest } = row as Record<string, unknown>;
    await school.db('visits').insert({
      ...rest,
      id: uuid(),
      stack: JSON.stringify(stack),
      questions: JSON.stringify(questions),
      combs: JSON.stringify(combs),
      rota: JSON.stringify(rota),
      started_at: new Date('2026-05-14T06:20:00.000Z'),
    });
    const taken = entry({ kind: 'stack-changed', change: { do: 'take', part: 'crown board' }, reason: '' });
    await morag
      .post(pathOf(endpoints.recordEntries, { visit: seven }))
      .send({ entries: [taken] })
      .expect(200);
    const [{ stack: now }] = (await school.db('hives').where({ id: hive }).select('stack')) as [
      { stack: { id: string }[] },
    ];
    expect(now.map(({ id }) => id)).toContain('crown board');
  });
});

describe('a voice note', () => {
  const WEBM = Buffer.from([0x1a, 0x45, 0xdf, 0xa3, 1, 2, 3]).toString('base64');
  const send = (type: string, content: string) =>
    morag
      .post(pathOf(endpoints.keepAttachment, { visit }))
      .send({ id: uuid(), takenAt: '2026-05-14T12:20:00Z', type, content });

  it('is kept as what it is, and refused as what it is not', async () => {
    await send('audio/webm', WEBM).expect(200);
    await send('audio/ogg', Buffer.from('OggS rest').toString('base64')).expect(200);
    await send('audio/mp4', Buffer.from('0000ftypM4A ').toString('base64')).expect(200);
    const { status, body } = await send('audio/ogg', WEBM);
    expect([status, (body as { message: string }).message]).toEqual([
      422,
      expect.stringMatching(/Record the note again/),
    ]);
    await send('text/html', WEBM).expect(422);
  });
});

describe('the review of a visit', () => {
  it('tells how it went, what it adds up to, who is due, and what photos there are', async () => {
    const trainee = (await prepared()).trainees[0]!.id;
    const photo = uuid();
    await record([
      entry({ kind: 'outside-seen', when: 'before', look: { ...EMPTY_LOOK, pollenIn: true, pollens: ['orange'] } }),
      entry({ kind: 'mood-noted', mood: 2 }),
      entry({ kind: 'side-guessed', person: trainee, address, letters: ['S'] }),
      read('6S 2H B7'),
      entry({ kind: 'photo-taken', photo, of: 'eggs', spot: { part: 'brood box', frame: 5, face: 'low' } }),
      entry({ kind: 'sting-counted', person: trainee }),
    ]).expect(200);
    const seen = await review();
    expect(seen.told.map(({ title }) => title)).toEqual(
      expect.arrayContaining(['Before and around', 'Mood and stings', 'Predicted, read first', 'Parts and combs']),
    );
    expect(JSON.stringify(seen.told)).toMatch(/frame 5 toward 4: sealed worker/);
    expect(seen.sums.map(({ topic }) => topic)).toEqual(expect.arrayContaining(['entrance', 'strength', 'pollen']));
    expect(seen.youngBees).toHaveLength(21);
    expect(seen.attachments).toEqual([
      expect.objectContaining({ id: photo, kind: 'photo', of: 'eggs', where: 'brood box, frame 5 toward 4' }),
    ]);
    expect(seen.temper).toMatch(/Temper .*2/);
    expect(seen.queen.verdict).not.toBe('queenright');
  });

  it('turns queenright when a photo shows eggs afterwards', async () => {
    await record([entry({ kind: 'confirmed-afterwards', address, letter: 'E', there: true })]).expect(200);
    const seen = await review();
    expect(seen.queen).toMatchObject({ verdict: 'queenright', laid: { from: '2026-05-11', to: '2026-05-14' } });
    expect(seen.frames[4]?.low?.trace).toEqual(['E']);
    expect(JSON.stringify(seen.told)).toMatch(/eggs on frame 5 toward 4: there, confirmed afterwards/);
  });

  it('says what was asked and not seen, and what helped a trainee', async () => {
    const trainee = (await prepared()).trainees[0]!.id;
    const judged = { kind: 'skill-judged' as const, trainee, skill: 'finds-eggs', level: 'helped' as const };
    await record([
      entry(judged),
      entry({ ...judged, prompt: 'pointed', note: 'sun behind her' }),
      entry({ kind: 'evidence-ticked', evidence: 'queen-cells', seen: true }),
    ]).expect(200);
    const { missing, judgements } = await review();
    expect(missing).toEqual(expect.arrayContaining(['young-larvae', 'healthy-brood']));
    expect(missing).not.toContain('eggs');
    expect(missing).not.toContain('queen-cells');
    expect(judgements).toEqual([
      expect.objectContaining({ level: 'helped', prompt: 'pointed', note: 'sun behind her' }),
    ]);
  });

  it('keeps stings, guesses and reasons of others from a trainee', async () => {
    const trainees = (await prepared()).trainees;
    const other = trainees.find(({ name }) => !name.startsWith('Salma'))!;
    await record([
      entry({ kind: 'sting-counted', person: other.id }),
      entry({ kind: 'guard-overridden', guard: 'do-not-open', reason: 'swarm on the branch' }),
    ]).expect(200);
    const [all, hers] = [JSON.stringify((await review()).told), JSON.stringify((await review(salma)).told)];
    expect(all).toContain(other.name);
    expect(all).toContain('swarm on the branch');
    expect(hers).not.toContain(other.name);
    expect(hers).not.toContain('swarm on the branch');
  });

  it('scores predictions visit by visit; a trainee sees only the own ones', async () => {
    const of = async (agent: typeof morag) =>
      ((await agent.get(endpoints.predictions.path).expect(200)).body as Predictions).people;
    const [person] = await of(morag);
    expect(person?.visits).toEqual([
      expect.objectContaining({ visit, hiveNumber: '4', guesses: 1, score: 0.75, missed: ['capped honey'] }),
    ]);
    const hers = await of(salma);
    expect(hers.every(({ name }) => name.startsWith('Salma'))).toBe(true);
  });
});

describe('a sting', () => {
  it('is told to the lead until somebody has asked after it', async () => {
    const { session } = await today(morag);
    const person = (await prepared()).trainees[1]!.id;
    const ask = (reaction: 'elsewhere-too' | 'well', at: string) =>
      entry({ kind: 'sting-asked-after', person, reaction }, at);
    const now = school.context.clock.now();
    const minutes = (ago: number) => new Date(now.getTime() - ago * 60_000).toISOString();
    const warnings = async () => {
      const { body } = await morag.get(pathOf(endpoints.liveSession, { session })).expect(200);
      return (body as { visits: { visit: string; warnings: string[] }[] }).visits.find((each) => each.visit === visit)!
        .warnings;
    };
    await record([entry({ kind: 'sting-counted', person }, minutes(12))]).expect(200);
    expect((await warnings()).join()).toMatch(/Stung, ask now/);
    await record([ask('elsewhere-too', minutes(1))]).expect(200);
    expect((await warnings())[0]).toBe('Sting reaction reported');
  });
});
