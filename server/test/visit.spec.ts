import { inEnglish } from '../src/words';
import { type Review, endpoints } from '@brave-comb/contract';
import { type EntryBody, formatSide, parseSide } from '@brave-comb/core/inspection';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recordEntries } from '../src/acts/inspection/visits';
import { openingQuestions } from '../src/records/inspection';
import type { WeatherSource } from '../src/sources';
import { type School, entry, openSchool, openVisit, pathOf, today } from './school';

let school: School;
let tomasz: Awaited<ReturnType<School['signIn']>>;
beforeAll(async () => {
  school = await openSchool();
  tomasz = await school.signIn('tomasz');
});
afterAll(() => school.close());

interface Sheet {
  verdict: { word: string; chance: number; hours: unknown[]; gauges: unknown[]; nextBest: unknown };
  forecast: { issuedAt: string; problem: string | null };
  groups: {
    group: { name: string };
    hive: { number: string };
    why: string[];
    due: { question: string }[];
    lastTime: { brood: number; storesKg: number; frames: { low: unknown }[]; daysAgo: number } | null;
    stack: { kg: number | null }[];
    visit: { id: string } | null;
  }[];
  kit: unknown[];
}

const reading = (frame: number, face: 'low' | 'high', line: string) =>
  entry({ kind: 'frame-side-recorded', address: { box: 'brood box', frame, face }, side: parseSide(line), seen: null });
const crowded = Array.from({ length: 11 }, (_, index) => index + 1).flatMap((frame) => [
  reading(frame, 'low', frame < 3 || frame > 9 ? '4H 2N 2C B8' : '1H 1N 1P 4S 1L B8'),
  reading(frame, 'high', frame < 3 || frame > 9 ? '4H 2N 2C B7' : '1H 1N 1P 3S 1L 1E B8'),
]);
const review = async (visit: string) =>
  (await tomasz.get(pathOf(endpoints.visitReview, { visit })).expect(200)).body as Review;
const record = (visit: string, entries: unknown[]) =>
  tomasz.post(pathOf(endpoints.recordEntries, { visit })).send({ entries });

describe('the day sheet', () => {
  it('reads the forecast over HTTP and says go or not with its reasons', async () => {
    const { sheet } = await today(await school.signIn('morag'));
    const { verdict, forecast, groups, kit } = sheet as unknown as Sheet;
    expect(forecast).toEqual({ issuedAt: '2026-05-14T06:10:00.000Z', problem: null });
    expect(verdict.word).toBe('go');
    expect(verdict.chance).toBeGreaterThan(0.7);
    expect(verdict.gauges).toHaveLength(5);
    expect(verdict.hours).toHaveLength(11);
    expect(verdict.nextBest).not.toBeNull();
    expect(groups.map(({ group, hive }) => `${group.name} ${hive.number}`)).toEqual([
      'Curlew 4',
      'Dipper 7',
      'Lapwing 6',
    ]);
    for (const group of groups) {
      expect(group.why.length).toBeGreaterThan(0);
      expect(group.due.length).toBeGreaterThan(0);
      expect(group.lastTime?.frames.length).toBeGreaterThan(9);
      expect(group.stack.some((part) => part.kg !== null)).toBe(true);
    }
    expect(kit.length).toBeGreaterThan(8);
  });

  it('tells what hive 4 was like nine days ago, from its recorded sides', async () => {
    const { sheet } = await today(tomasz);
    const four = (sheet as unknown as Sheet).groups.find((group) => group.hive.number === '4');
    expect(four?.lastTime).toMatchObject({ daysAgo: 9, brood: 3.5, storesKg: 4.7 });
  });

  it('goes on with the last forecast when the weather service does not answer', async () => {
    const deaf: WeatherSource = {
      forecast: () => Promise.reject(new TypeError('fetch failed')),
      observed: () => Promise.reject(new TypeError('fetch failed')),
    };
    const { forecastInUse, refreshWeather } = await import('../src/records/weather');
    const { siteById } = await import('../src/records/equipment/store');
    const { fixedClock } = await import('../src/clock/clock');
    const [row] = await school
      .db('sites')
      .where({ name: 'Home orchard' })
      .select<{ id: string; school: string }[]>('id', 'school');
    const site = (await siteById(school.db, row!.school, row!.id))!;
    const evening = { ...school.context, clock: fixedClock('2026-05-14T20:00:00Z') };
    await refreshWeather(evening, deaf, site);
    const later = await forecastInUse(evening, site);
    expect(later.ensemble?.issued).toBe('2026-05-14T06:10:00.000Z');
    expect(inEnglish(later.problem!)).toMatch(/did not answer.*14 hours ago/);
  });
});

describe('a visit', () => {
  it('is opened once, however often and by however many devices it is sent', async () => {
    const { session, hive } = await today(await school.signIn('ruth'), '6');
    const ruth = await school.signIn('ruth');
    const start = { id: uuid(), session, hive, startedAt: '2026-05-14T12:30:00.000Z' };
    const [first, second] = [
      await ruth.post(endpoints.startVisit.path).send(start),
      await ruth.post(endpoints.startVisit.path).send(start),
    ];
    expect(first.status).toBe(200);
    expect(second.body).toEqual(first.body);
    const joined = await ruth
      .post(endpoints.startVisit.path)
      .send({ ...start, id: uuid() })
      .expect(200);
    expect((joined.body as { id: string }).id).toBe(start.id);
    expect(await school.db('visits').where({ session, hive })).toHaveLength(1);
  });

  it('can be prepared for a start without signal', async () => {
    const leilani = await school.signIn('leilani');
    const { session, hive } = await today(leilani, '7');
    const { body } = await leilani.get(pathOf(endpoints.preparedVisit, { session, hive })).expect(200);
    const file = body as {
      visit: { id: string; questions: string[] };
      entries: unknown[];
      last: object | null;
      trainees: unknown[];
    };
    expect(file).toMatchObject({ entries: [], visit: { questions: expect.arrayContaining(['laying']) as string[] } });
    expect(file.trainees).toHaveLength(6);
    const start = { id: file.visit.id, session, hive, startedAt: '2026-05-14T12:30:00.000Z' };
    await leilani.post(endpoints.startVisit.path).send(start).expect(200);
  });

  it('takes a batch twice without harm, also when both arrive at once', async () => {
    const visit = await openVisit(tomasz);
    const batch = [reading(1, 'low', '8H'), reading(1, 'high', '6H 2N')];
    const answers = await Promise.all([record(visit, batch), record(visit, batch), record(visit, batch)]);
    const outcomes = answers.flatMap((answer) =>
      (answer.body as { verdicts: { outcome: string }[] }).verdicts.map((each) => each.outcome),
    );
    expect(outcomes.filter((outcome) => outcome === 'kept')).toHaveLength(2);
    expect(outcomes.filter((outcome) => outcome === 'known-already')).toHaveLength(4);
    const ids = batch.map((each) => each.id);
    expect(await school.db('visit_entries').whereIn('id', ids)).toHaveLength(2);
  });

  it('keeps nothing of a batch that fails half way', async () => {
    const visit = await openVisit(tomasz);
    const before = await school.db('visit_entries').where({ visit });
    const [actorRow] = await school
      .db('people')
      .where({ sign_in: 'tomasz' })
      .select<{ id: string; school: string; name: string }[]>();
    let calls = 0;
    const clock = {
      ...school.context.clock,
      now: () => {
        calls += 1;
        if (calls > 2) throw Object.assign(new Error('power cut'), { code: 'ECONNRESET' });
        return new Date('2026-05-14T12:00:00Z');
      },
    };
    const actor = { ...actorRow!, role: 'supervisor' as const, schoolName: '' };
    await expect(
      recordEntries({ ...school.context, clock }, actor, visit, [reading(2, 'low', '8H'), reading(2, 'high', '8H')]),
    ).rejects.toThrow('power cut');
    expect(await school.db('visit_entries').where({ visit })).toHaveLength(before.length);
  });

  it.each([
    ['that a column does not take', { code: 'ER_DATA_TOO_LONG', sqlMessage: 'Data too long' }, /too long/],
    ['that nobody foresaw', {}, /server log says why/],
  ])('sets one entry of a batch aside %s, and keeps the others', async (_what, fault, says) => {
    const [actorRow] = await school
      .db('people')
      .where({ sign_in: 'tomasz' })
      .select<{ id: string; school: string; name: string }[]>();
    const visit = await openVisit(tomasz);
    const [good, bad] = [reading(3, 'low', '8H'), reading(3, 'high', '8H')];
    let calls = 0;
    const clock = {
      ...school.context.clock,
      now: () => {
        calls += 1;
        // Asked once for each batch and once for each entry: the second entry fails, in the batch and alone.
        if (calls === 3 || calls === 7) throw Object.assign(new Error('fault'), fault);
        return new Date('2026-05-14T12:00:00Z');
      },
    };
    const actor = { ...actorRow!, role: 'supervisor' as const, schoolName: '' };
    const { verdicts } = await recordEntries({ ...school.context, clock }, actor, visit, [good, bad]);
    expect(inEnglish(verdicts)).toMatchObject([
      { id: good.id, outcome: 'kept' },
      { id: bad.id, outcome: 'refused', problem: { message: expect.stringMatching(says) as string } },
    ]);
  });

  it('is set beside the last one, adds up, and is advised on with numbers', async () => {
    const visit = await openVisit(tomasz);
    await record(visit, crowded).expect(200);
    const seen = await review(visit);
    expect(seen.last).not.toBeNull();
    expect(seen.changes).toHaveLength(11);
    expect(seen.inWords.join(' ')).toMatch(/Nectar lies among brood/);
    const bees = seen.measures.find((row) => row.measure === 'Frames of bees');
    expect(bees).toMatchObject({ word: 'more' });
    expect(bees?.now?.value).toBe(10.75);
    const space = seen.advice.find(({ advice }) => advice.kind === 'add-space');
    expect(space?.advice.title).toBe('Put a second super on');
    expect(space?.advice.reasons[0]?.text).toMatch(/Bees on 10\.8 of 11 frames/);
  });

  it('turns a decision into a follow-up on the strip, once, and takes it back', async () => {
    const visit = await openVisit(tomasz);
    await record(visit, crowded).expect(200);
    const decision = { id: uuid(), advice: 'add-space', verdict: 'accepted' };
    const decide = () => tomasz.post(pathOf(endpoints.decide, { visit })).send(decision).expect(200);
    await decide();
    await decide();
    const decided = await review(visit);
    expect(decided.followUps).toHaveLength(1);
    const [followUp] = decided.followUps;
    const strip = (await tomasz.get(endpoints.seasonStrip.path).expect(200)).body as {
      due: { question: string; due: string; hive: string }[];
    };
    expect(strip.due).toContainEqual(
      expect.objectContaining({ hive: '4', question: followUp?.question, due: followUp?.due }),
    );
    const otherwise = {
      id: uuid(),
      advice: 'add-space',
      verdict: 'otherwise',
      action: 'wait for the lime',
      reason: 'no drawn combs',
      due: '2026-05-20',
    };
    await tomasz.post(pathOf(endpoints.decide, { visit })).send(otherwise).expect(200);
    const changed = await review(visit);
    expect(changed.followUps).toMatchObject([{ due: '2026-05-20' }]);
    expect(changed.advice.find(({ advice }) => advice.kind === 'add-space')?.decision).toMatchObject({
      verdict: 'otherwise',
    });
    await tomasz
      .post(pathOf(endpoints.withdrawDecision, { decision: otherwise.id }))
      .send({})
      .expect(200);
    expect((await review(visit)).followUps).toEqual([]);
  });

  describe('what is decided', () => {
    interface Task {
      readonly hiveNumber: string;
      readonly what: string;
      readonly due: string;
    }
    const decide = (visit: string, body: object) =>
      tomasz.post(pathOf(endpoints.decide, { visit })).send({ id: uuid(), advice: 'add-space', ...body });
    const tasks = async () => {
      const book = (await tomasz.get(endpoints.yardBook.path).expect(200)).body as { tasks: Task[] };
      return book.tasks.filter(({ hiveNumber, what }) => hiveNumber === '4' && /super|lime/.test(what));
    };
    const decisionOn = async (visit: string) =>
      (await review(visit)).advice.find(({ advice }) => advice.kind === 'add-space')!.decision!;

    it('is to be done by the day that the advice names, until somebody does it or takes the decision back', async () => {
      const visit = await openVisit(tomasz);
      await record(visit, crowded).expect(200);
      const { advice } = (await review(visit)).advice.find((each) => each.advice.kind === 'add-space')!;
      await decide(visit, { verdict: 'accepted' }).expect(200);
      expect(await tasks()).toMatchObject([{ what: 'Put a second super on', due: advice.by }]);
      expect(await decisionOn(visit)).toMatchObject({ on: null, group: null });
      await tomasz
        .post(pathOf(endpoints.withdrawDecision, { decision: (await decisionOn(visit)).id }))
        .send({})
        .expect(200);
      expect(await tasks()).toEqual([]);
    });

    it('is done on the day and with the group that were chosen, and what is looked at again moves along', async () => {
      const visit = await openVisit(tomasz);
      await record(visit, crowded).expect(200);
      const { groups, advice } = await review(visit);
      const lapwing = groups.find(({ name }) => name === 'Lapwing')!;
      await decide(visit, { verdict: 'accepted', on: '2026-05-19', group: lapwing.id }).expect(200);
      expect(await tasks()).toMatchObject([{ due: '2026-05-19' }]);
      expect(await decisionOn(visit)).toMatchObject({ verdict: 'accepted', on: '2026-05-19', group: 'Lapwing' });
      const advised = advice.find((each) => each.advice.kind === 'add-space')!.advice;
      const later = daysBetween(advised.by, '2026-05-19');
      expect((await review(visit)).followUps).toMatchObject([{ due: addDays(advised.followUps[0].due, later) }]);
      await decide(visit, { verdict: 'otherwise', action: 'wait for the lime', reason: 'no combs' }).expect(200);
      expect(await tasks()).toMatchObject([{ what: 'wait for the lime', due: advised.by }]);
      await decide(visit, { verdict: 'declined', reason: 'flow is over' }).expect(200);
      expect(await tasks()).toEqual([]);
    });

    it('opens the hive for what was decided on, whatever words its follow-up is told in', async () => {
      const visit = await openVisit(tomasz);
      await record(visit, crowded).expect(200);
      await decide(visit, { verdict: 'accepted' }).expect(200);
      const row = await school.db('visits').where({ id: visit }).first<{ hive: string; school: string }>();
      await school
        .db('follow_ups')
        .where({ hive: row.hive })
        .update({ question: JSON.stringify('As it should be?') });
      expect(await openingQuestions(school.db, row.school, row.hive)).toEqual(['laying', 'room']);
      await tomasz
        .post(pathOf(endpoints.withdrawDecision, { decision: (await decisionOn(visit)).id }))
        .send({})
        .expect(200);
    });

    it('cannot lie before the visit, nor fall to a group of another school', async () => {
      const visit = await openVisit(tomasz);
      await record(visit, crowded).expect(200);
      await decide(visit, { verdict: 'declined', reason: 'flow is over' }).expect(200);
      const before = await decisionOn(visit);
      const past = await decide(visit, { verdict: 'accepted', on: '2026-05-01' }).expect(422);
      expect((past.body as { message: string }).message).toMatch(/is before the visit/);
      await decide(visit, { verdict: 'accepted', group: uuid() }).expect(404);
      expect(await decisionOn(visit)).toEqual(before);
    });

    it('tells how many hours of the coming days are fit', async () => {
      const visit = await openVisit(tomasz);
      const { ahead } = await review(visit);
      expect(ahead.length).toBeGreaterThanOrEqual(7);
      expect(ahead[0]!.date).toBe('2026-05-14');
      expect(ahead.every(({ lid, full }) => full >= 0 && lid >= full && lid <= 24)).toBe(true);
    });
  });

  it('answers what was due when it is closed, and opens it again when the closing is undone', async () => {
    const visit = await openVisit(tomasz);
    const due = async () => (await today(tomasz)).sheet.groups as { hive: { number: string }; due: unknown[] }[];
    const ofFour = async () => (await due()).find((group) => group.hive.number === '4')?.due.length;
    const before = await ofFour();
    expect(before).toBeGreaterThan(0);
    const close = entry({ kind: 'visit-closed', reason: 'question-answered', note: '' });
    await record(visit, [close]).expect(200);
    expect(await ofFour()).toBe(0);
    expect((await review(visit)).closedAt).toBe(close.at);
    await record(visit, [entry({ kind: 'entry-undone', entry: close.id })]).expect(200);
    expect(await ofFour()).toBe(before);
    expect((await review(visit)).closedAt).toBeNull();
  });

  it('keeps late entries of another device after it was closed', async () => {
    const visit = await openVisit(tomasz);
    await record(visit, [entry({ kind: 'visit-closed', reason: 'time', note: '' })]).expect(200);
    const late: EntryBody = { kind: 'note-written', text: 'one bee in the veil' };
    await record(visit, [entry(late)]).expect(200);
  });
});

describe('the season strip', () => {
  it('runs three weeks, observed before today and forecast from today on', async () => {
    const { body } = await tomasz.get(endpoints.seasonStrip.path).expect(200);
    const strip = body as {
      days: { date: string; observed: boolean; hours: object | null }[];
      bloom: { plant: string }[];
      sessions: { status: string }[];
      today: string;
    };
    expect(strip.days).toHaveLength(21);
    expect(strip.days[0]?.date).toBe('2026-05-08');
    expect(strip.days.filter((day) => day.observed)).toHaveLength(6);
    expect(strip.days.every((day) => day.hours !== null)).toBe(true);
    expect(strip.bloom.map((each) => each.plant)).toContain('Sycamore');
  });

  it('shows the other hemisphere its own zone and bloom', async () => {
    const { body } = await (await school.signIn('ines')).get(endpoints.seasonStrip.path).expect(200);
    expect(body).toMatchObject({
      site: { name: 'Saltpan Road', zone: 'Etc/GMT-11' },
      bloom: expect.arrayContaining([expect.objectContaining({ plant: 'Ivy' })]) as unknown,
    });
  });
});

describe('the demo', () => {
  it('is invented data loaded once: 14 hives of four types, 19 trainees, 4 supervisors, and the second school', async () => {
    const { loadDemo } = await import('../src/demo/load');
    await loadDemo(school.context);
    const hives = await school.db('hives').select<{ type: string; school: string }[]>();
    const [brenna] = await school.db('schools').where('name', 'like', 'Brenna%').select<{ id: string }[]>('id');
    const ours = hives.filter((hive) => hive.school === brenna?.id);
    expect(ours).toHaveLength(14);
    expect(new Set(ours.map((hive) => hive.type)).size).toBe(4);
    const people = await school.db('people').where({ school: brenna?.id }).select<{ role: string }[]>();
    expect(people.filter((person) => person.role === 'trainee')).toHaveLength(19);
    expect(people.filter((person) => person.role === 'supervisor')).toHaveLength(4);
    expect(await school.db('schools')).toHaveLength(2);
  });

  it('writes sides that read back as they were described', async () => {
    const visit = await school
      .db('visits')
      .join('hives', 'hives.id', 'visits.hive')
      .where({ 'hives.number': '4' })
      .orderBy('started_at')
      .select<{ id: string; started_at: Date }[]>('visits.id', 'started_at');
    const fifthOfMay = visit.find((each) => each.started_at.toISOString().startsWith('2026-05-05'));
    const rows = await school
      .db('visit_entries')
      .where({ visit: fifthOfMay?.id })
      .orderBy('seq')
      .select<{ body: EntryBody }[]>('body');
    const first = rows
      .map((row) => row.body)
      .find((body) => body.kind === 'frame-side-recorded' && body.address.box === 'brood box');
    expect(first?.kind === 'frame-side-recorded' && formatSide(first.side)).toBe('3H 5C B3');
  });
});
