import { type Output, endpoints } from '@brave-comb/contract';
import { EMPTY_SIDE } from '@brave-comb/core/inspection';
import { type Answer, type TopicId, bestReading, makeDrill, momentSays } from '@brave-comb/core/practice';
import { DEFAULT_LIMITS } from '@brave-comb/core/weather';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, earlyVisit, entry, openSchool, pathOf, cameraPhoto } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
type Practice = Output<(typeof endpoints)['practice']>;
type Kept = Output<(typeof endpoints)['recordPractice']>;
type Polls = Output<(typeof endpoints)['polls']>;
type Bank = Output<(typeof endpoints)['photoBank']>;
type Plan = Output<(typeof endpoints)['indoorPlan']>;
type Passport = Output<(typeof endpoints)['passport']>;

let school: School;
let [morag, tomasz, salma, ife, ines]: Agent[] = [];
const NOW = '2026-05-14T06:00:00.000Z';

const practice = async (agent = salma!) => (await agent.get(endpoints.practice.path).expect(200)).body as Practice;
const sent = (topic: TopicId, answer: Answer, more: object = {}) => ({
  id: uuid(),
  topic,
  level: 3,
  seed: 12345,
  at: NOW,
  seconds: 20,
  answer,
  recorded: null,
  photo: null,
  ...more,
});
const record = async (body: object, agent = salma!, status = 200) =>
  (await agent.post(endpoints.recordPractice.path).send(body).expect(status)).body as Kept;
const rightStop = (seed: number): Answer => {
  const drill = makeDrill('stop', 3, seed, { limits: DEFAULT_LIMITS });
  if (drill.kind !== 'stop') throw new Error('no stop drill');
  return { kind: 'stop', answer: momentSays(drill).answer };
};

beforeAll(async () => {
  school = await openSchool('', 'practice');
  [morag, tomasz, salma, ife, ines] = [
    await school.signIn('morag'),
    await school.signIn('tomasz'),
    await school.signIn('salma'),
    await school.signIn('ife'),
    await school.signIn('ines'),
  ];
});
afterAll(() => school.close());

describe('an answer', () => {
  it('is marked by the server from the same seed, kept once, and shown to nobody else', async () => {
    const body = sent('stop', rightStop(12345));
    expect(await record(body)).toMatchObject({ kept: true, score: 1, right: true, grade: 'easy' });
    expect(await record(body)).toMatchObject({ kept: false, score: 1, right: true });
    const own = await practice();
    expect(own.results.filter(({ id }) => id === body.id)).toHaveLength(1);
    expect((await practice(ife)).results).toEqual([]);
    // Somebody else’s id is told apart.
    await record(body, ife, 409);
  });

  it('cannot be claimed right: what was answered is marked, not what the device says', async () => {
    const wrong = ['go-on', 'close-now'].find((each) => each !== (rightStop(99) as { answer: string }).answer)!;
    const kept = await record({
      ...sent('stop', { kind: 'stop', answer: wrong as 'go-on' }, { seed: 99 }),
      right: true,
    });
    expect(kept.right).toBe(false);
  });

  it('keeps a comb as read and as it was', async () => {
    const drill = makeDrill('comb-brood', 3, 777, { limits: DEFAULT_LIMITS });
    if (drill.kind !== 'comb') throw new Error('no comb');
    const best = bestReading(drill.side.truth);
    const eighths = Object.fromEntries(Object.entries(best).filter(([, each]) => Number.isInteger(each)));
    const body = sent('comb-brood', { kind: 'comb', side: { ...EMPTY_SIDE, eighths } }, { seed: 777 });
    expect((await record(body)).right).toBe(true);
    const [kept] = (await practice()).results.filter(({ id }) => id === body.id);
    expect(kept?.read).toEqual(eighths);
    expect(kept?.truth?.S).toBeCloseTo(drill.side.truth.S ?? 0, 4);
    expect(kept?.ground).toBe(drill.ground);
  });

  it('is refused from the future and for another kind of drill, and says what to do', async () => {
    const future = sent('stop', rightStop(5), { at: '2027-01-01T00:00:00.000Z' });
    const told = (await salma!.post(endpoints.recordPractice.path).send(future).expect(422)).body as {
      message: string;
    };
    expect(told.message).toContain('Check the clock');
    const other = sent('weather', rightStop(5));
    await record(other, salma, 422);
    await record(sent('weather', { kind: 'given-up' }));
  });
});

describe('weak evidence', () => {
  it('comes of a good answer, once a day for each skill, and counts up to the skill’s rule', async () => {
    // Moments in which what was read decides; a hive that is closed because of rain shows nothing of this skill.
    const [a, b] = Array.from({ length: 60 }, (_, seed) => seed).filter((seed) => {
      const answer = rightStop(seed);
      return answer.kind === 'stop' && ['go-on', 'enough-seen'].includes(answer.answer);
    });
    const [first, second] = [sent('stop', rightStop(a!), { seed: a! }), sent('stop', rightStop(b!), { seed: b! })];
    const trainee = ife!;
    const shown = (await record(first, trainee)).evidence;
    expect(shown).toContain('decides when enough has been seen');
    expect((await record(second, trainee)).evidence).toEqual([]);
    const { person } = await practice(trainee);
    const passport = (await trainee.get(pathOf(endpoints.passport, { trainee: person })).expect(200)).body as Passport;
    const skill = passport.skills.find(({ id }) => id === 'knows-enough')!;
    expect(skill.evidence.filter(({ source }) => source === 'practice')).toHaveLength(1);
    expect(skill.standing.state).not.toBe('shown');
  });

  it('does not come of a comb that was read from its table of counts', async () => {
    const drill = makeDrill('comb-brood', 3, 777, { limits: DEFAULT_LIMITS });
    if (drill.kind !== 'comb') throw new Error('no comb');
    const best = bestReading(drill.side.truth);
    const eighths = Object.fromEntries(Object.entries(best).filter(([, each]) => Number.isInteger(each)));
    const answer: Answer = { kind: 'comb', side: { ...EMPTY_SIDE, eighths } };
    const told = await record(sent('comb-brood', answer, { seed: 777, asTable: true }), ife);
    expect(told).toMatchObject({ kept: true, right: true, evidence: [] });
  });

  it('does not come of an easy drill, a slow answer, or a supervisor’s practice', async () => {
    expect((await record(sent('stop', rightStop(12345), { level: 3, seconds: 400 }))).evidence).toEqual([]);
    const easy = makeDrill('stop', 1, 41, { limits: DEFAULT_LIMITS });
    if (easy.kind !== 'stop') throw new Error('no stop drill');
    const answer: Answer = { kind: 'stop', answer: momentSays(easy).answer };
    expect((await record(sent('stop', answer, { level: 1, seed: 41 }))).evidence).toEqual([]);
    expect((await record(sent('stop', rightStop(31), { seed: 31 }), tomasz)).evidence).toEqual([]);
  });
});

describe('drills from the record', () => {
  it('show a recorded side and mark it against the supervisor’s reading', async () => {
    const { records } = await practice(morag);
    expect(records.length).toBeGreaterThan(0);
    const visit = records.find(({ sides }) => sides.some(({ side }) => (side.eighths.S ?? 0) >= 3))!;
    const found = visit.sides.find(({ side }) => (side.eighths.S ?? 0) >= 3)!;
    const side = { ...EMPTY_SIDE, eighths: found.side.eighths, trace: found.side.trace };
    const body = sent(
      'comb-record',
      { kind: 'comb', side },
      { recorded: { visit: visit.visit, address: found.address } },
    );
    expect((await record(body, morag)).right).toBe(true);
    // Its answer is known now: a second one is marked, and not kept.
    expect(await record({ ...body, id: uuid() }, morag)).toMatchObject({ kept: false, right: true });
    expect((await practice(morag)).results.filter(({ recorded }) => recorded?.visit === visit.visit)).toHaveLength(1);
    const nowhere = { visit: visit.visit, address: { ...found.address, frame: 40 } };
    await record(sent('comb-record', { kind: 'comb', side }, { recorded: nowhere }), morag, 404);
    await record(body, ines, 409).catch(() => record({ ...body, id: uuid() }, ines, 404));
    await record({ ...body, id: uuid() }, ines, 404);
  });

  it('ask what a recorded colony needs and know what the judges said', async () => {
    const { records } = await practice(morag);
    const [colony] = records;
    expect(colony!.lines.join(' ')).toMatch(/frames read/);
    const [advice] = colony!.advice;
    const recorded = { visit: colony!.visit, address: null };
    expect((await record(sent('next', { kind: 'next', advice: advice!.kind }, { recorded }), morag)).score).toBe(1);
  });

  it('are of visits that one may see', async () => {
    const own = await practice(salma);
    const all = await practice(morag);
    const foreign =
      all.records.find(({ visit }) => !own.records.some((each) => each.visit === visit)) ??
      expect.fail('nobody else’s record is there to be tried');
    const recorded = { visit: foreign.visit, address: null };
    await record(sent('next', { kind: 'next', advice: 'feed' }, { recorded }), salma, 404);
  });
});

describe('own photos', () => {
  it('become drills, are answered, and are asked no more', async () => {
    const visit = await earlyVisit(tomasz!);
    const attachment = uuid();
    const content = await cameraPhoto();
    await tomasz!
      .post(pathOf(endpoints.keepAttachment, { visit }))
      .send({ id: attachment, takenAt: NOW, type: 'image/jpeg', content })
      .expect(200);
    await tomasz!
      .post(pathOf(endpoints.recordEntries, { visit }))
      .send({ entries: [entry({ kind: 'photo-taken', photo: attachment, of: 'eggs', spot: null }, NOW)] })
      .expect(200);
    const bank = async (agent = tomasz!) => (await agent.get(endpoints.photoBank.path).expect(200)).body as Bank;
    expect((await bank()).photos.map(({ id }) => id)).toContain(attachment);
    await salma!.get(endpoints.photoBank.path).expect(403);

    const drill = {
      id: uuid(),
      attachment,
      question: 'What stands on the floor of the cell?',
      choices: ['an egg', 'a young larva', 'nothing'],
      answer: 0,
      says: 'One, upright: laid today.',
    };
    const make = (body: object, status = 200) => tomasz!.post(endpoints.makePhotoDrill.path).send(body).expect(status);
    await make({ ...drill, choices: ['an egg', 'An Egg'] }, 422);
    await make({ ...drill, answer: 3 }, 422);
    await make({ ...drill, attachment: uuid() }, 404);
    await make(drill);
    const { photos } = await practice(salma);
    expect(photos).toMatchObject([{ id: drill.id, answer: 0 }]);
    const answered = sent('photos', { kind: 'photo', choice: 0 }, { photo: drill.id });
    expect((await record(answered)).right).toBe(true);
    await tomasz!
      .post(pathOf(endpoints.retirePhotoDrill, { drill: drill.id }))
      .send({})
      .expect(200);
    expect((await practice(salma)).photos).toEqual([]);
    // Whoever answers without signal is marked all the same.
    expect((await record(sent('photos', { kind: 'photo', choice: 1 }, { photo: drill.id }))).right).toBe(false);
  });
});

describe('a session indoors', () => {
  it('is planned from what the group is weakest at, for those who lead it', async () => {
    const { groups } = await practice(tomasz);
    const curlew = groups.find(({ name }) => name === 'Curlew')!;
    const plan = (
      await tomasz!.get(`${pathOf(endpoints.indoorPlan, { group: curlew.id })}?minutes=60&stations=2`).expect(200)
    ).body as Plan;
    expect(plan).toMatchObject({ group: { name: 'Curlew' }, trainees: 7, minutes: 60 });
    expect(plan.stations).toHaveLength(2);
    for (const { pairs, how } of plan.stations) {
      expect(pairs.flat()).toHaveLength(7);
      expect(how).not.toBe('');
    }
    const lead = await practice(morag);
    const dipper = lead.groups.find(({ name }) => name === 'Dipper');
    if (dipper && !groups.some(({ id }) => id === dipper.id))
      await tomasz!.get(pathOf(endpoints.indoorPlan, { group: dipper.id })).expect(404);
    await salma!.get(pathOf(endpoints.indoorPlan, { group: curlew.id })).expect(403);
    await ines!.get(pathOf(endpoints.indoorPlan, { group: curlew.id })).expect(404);
  });

  it('is set out for a group: its trainees see stations and pairs without the reasons, once, until it is taken back', async () => {
    const curlew = (await practice(tomasz)).groups.find(({ name }) => name === 'Curlew')!;
    const path = pathOf(endpoints.setOutIndoorPlan, { group: curlew.id });
    const body = { id: uuid(), day: '2026-05-16', minutes: 60, stations: 2 };
    await salma!.post(path).send(body).expect(403);
    await ines!.post(path).send(body).expect(404);
    await tomasz!
      .post(path)
      .send({ ...body, day: '2026-09-16' })
      .expect(422);
    await tomasz!.post(path).send(body).expect(200);
    await tomasz!.post(path).send(body).expect(200);
    const seen = (await practice(salma)).plans;
    expect(seen).toHaveLength(1);
    expect(seen[0]).toMatchObject({ group: { name: 'Curlew' }, day: '2026-05-16', minutes: 60, by: 'Tomasz Wierzba' });
    expect(seen[0]!.stations).toHaveLength(2);
    expect(Object.keys(seen[0]!.stations[0]!).sort()).toEqual(['how', 'minutes', 'pairs', 'topic']);
    expect((await practice(salma)).groups).toEqual([]);
    expect((await practice(await school.signIn('ravi'))).plans).toEqual([]);
    expect((await practice(ines)).plans).toEqual([]);

    // What they practise afterwards changes no plan that was set out.
    await record(sent(seen[0]!.stations[0]!.topic, { kind: 'given-up' }));
    expect((await practice(salma)).plans[0]!.stations).toEqual(seen[0]!.stations);
    // A second one for the same day takes its place.
    const again = { id: uuid(), day: '2026-05-16', minutes: 90, stations: 3 };
    await morag!.post(path).send(again).expect(200);
    expect((await practice(salma)).plans.map(({ id }) => id)).toEqual([again.id]);
    const back = (plan: string) => pathOf(endpoints.takeBackIndoorPlan, { plan });
    await salma!.post(back(again.id)).expect(403);
    await ines!.post(back(again.id)).expect(404);
    await tomasz!.post(back(again.id)).expect(200);
    expect((await practice(salma)).plans).toEqual([]);
  });
});

describe('a poll before and after a lesson', () => {
  const polls = async (agent: Agent) => (await agent.get(endpoints.polls.path).expect(200)).body as Polls;

  it('is asked by whoever leads the group, answered by its trainees, and changed by answering again', async () => {
    const { sessions } = await polls(tomasz!);
    const session = sessions.find(({ groupName }) => groupName === 'Curlew')!;
    expect(session.suggested.length).toBeGreaterThan(0);
    const body = { id: uuid(), session: session.id, group: session.group, questions: session.suggested };
    await salma!.post(endpoints.askPoll.path).send(body).expect(403);
    await tomasz!
      .post(endpoints.askPoll.path)
      .send({ ...body, questions: [] })
      .expect(422);
    await tomasz!.post(endpoints.askPoll.path).send(body).expect(200);
    await tomasz!.post(endpoints.askPoll.path).send(body).expect(200);
    const mine = (await polls(salma!)).polls.filter(({ id }) => id === body.id);
    expect(mine).toHaveLength(1);
    expect(mine[0]).toMatchObject({ group: 'Curlew', moment: 'before' });
    // How the others answered is shown once one has answered.
    expect(mine[0]!.questions[0]).toMatchObject({ own: {}, counts: null });

    const answer = (agent: Agent, said: 'yes' | 'no' | 'unsure', moment = 'before', status = 200) =>
      agent
        .post(pathOf(endpoints.answerPoll, { poll: body.id }))
        .send({ moment, answers: [{ question: 0, answer: said }] })
        .expect(status);
    await answer(salma!, 'unsure');
    await answer(ife!, 'no');
    await answer(ife!, 'yes');
    await answer(salma!, 'yes', 'after', 422);
    await answer(tomasz!, 'yes', 'before', 403);
    const [shown] = (await polls(tomasz!)).polls.filter(({ id }) => id === body.id);
    expect(shown!.questions[0]!.counts).toEqual({ before: { yes: 1, no: 0, unsure: 1 } });
    expect(shown!.questions[0]!.says).toBe('Not ready: 1 of 2.');
    const outside = await school.signIn('chloe');
    expect((await polls(outside)).polls.map(({ id }) => id)).not.toContain(body.id);
    await answer(outside, 'yes', 'before', 404);
    await ines!
      .post(endpoints.askPoll.path)
      .send({ ...body, id: uuid() })
      .expect(404);
  });
});
