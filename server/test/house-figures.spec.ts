import { type HousePracticeForm, type TriedPractice, endpoints } from '@brave-comb/contract';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { type School, openSchool } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;

beforeAll(async () => {
  school = await openSchool('', 'house_figures');
  morag = await school.signIn('morag');
}, 120_000);
afterAll(() => school.close());
beforeEach(async () => {
  await school.db('schools').update({ practice: '{}' });
  await school.wrote();
});

const form = async (agent = morag) =>
  (await agent.get(endpoints.housePractice.path).expect(200)).body as HousePracticeForm;
const figure = async (id: string, agent = morag) =>
  (await form(agent)).chapters.flatMap(({ figures }) => figures).find((each) => each.id === id) ?? expect.fail(id);
const keep = (changes: object, was: object, agent = morag) =>
  agent.post(endpoints.keepHousePractice.path).send({ changes, was });
const attempt = async (changes: object) =>
  (await morag.post(endpoints.tryHousePractice.path).send({ changes }).expect(200)).body as TriedPractice;
const message = ({ body }: { body: unknown }) => (body as { message: string }).message;

describe('figures of the house practice', () => {
  it('are told with meaning, default, and what others do and why; trainees read them', async () => {
    const salma = await school.signIn('salma');
    expect((await form(salma)).mayChange).toBe(false);
    const { chapters } = await form();
    expect(chapters.map(({ name }) => name)).toContain('Weather and hours');
    expect(await figure('full-warmth')).toMatchObject({
      name: 'Full opening from',
      ours: 15,
      standard: 15,
      usual: [14, 21],
      measure: 'temperature',
      changed: null,
    });
    expect((await figure('mites')).others.map(({ why }) => why)).toEqual(
      expect.arrayContaining([expect.stringContaining('count first')]),
    );
  });

  it('when they are changed, change what is judged, planned and said, and stand under Changes with who', async () => {
    await keep({ 'full-warmth': 21, 'brood-boxes': '2', openings: 2, 'work-to': 18 }, { 'full-warmth': 15 }).expect(
      200,
    );
    expect(await figure('full-warmth')).toMatchObject({ ours: 21, standard: 15, changed: { by: 'Morag Selkirk' } });
    expect(await figure('brood-boxes')).toMatchObject({ ours: '2' });
    const trust = (await morag.get(endpoints.forecastTrust.path).expect(200)).body as {
      limits: Record<string, { warmth: number; gust: number }>;
    };
    expect(trust.limits.full).toMatchObject({ warmth: 21, gust: 30 });
    expect(trust.limits.lid!.warmth).toBe(2);
    const { practice } = await school
      .db('schools')
      .where({ name: 'Brenna Fell School of Beekeeping' })
      .first<{ practice: { calendar: object; openingLimit: number; workingHours: number[] } }>('practice');
    expect(practice).toMatchObject({
      openingLimit: 2,
      calendar: { load: { openings: 2, minutes: 120 } },
      workingHours: [8, 18],
    });
    const log = (await morag.get(endpoints.changeLog.path).query({ doors: 'without' })).body as {
      lines: { thing: string; parts: object[] }[];
    };
    expect(log.lines.find(({ thing }) => thing === 'schools')?.parts).toContainEqual({
      field: 'Full opening from',
      was: '15',
      is: '21',
    });
    expect(await figure('full-warmth', await school.signIn('ines'))).toMatchObject({ ours: 15, changed: null });
  });

  it('that cannot be are refused by name, all of them together, and nothing is kept', async () => {
    const answer = await keep({ 'group-size': 6, 'frame-warmth': 20 }, {}).expect(422);
    expect(message(answer)).toBe(
      'Full opening from: “Full opening from” may not be below “One frame from”. Nothing was changed.',
    );
    expect((await figure('group-size')).ours).toBe(7);
    await keep({ 'group-size': 99 }, {}).expect(422);
    await keep({ nonsense: 3 }, {}).expect(422);
    await keep({}, {}).expect(422);
  });

  it('that another changed meanwhile are not written over', async () => {
    await keep({ 'rest-days': 6 }, { 'rest-days': 4 }).expect(200);
    const answer = await keep({ 'rest-days': 3, 'group-size': 5 }, { 'rest-days': 4, 'group-size': 7 }).expect(409);
    expect(message(answer)).toContain('Morag Selkirk');
    expect((await figure('group-size')).ours).toBe(7);
    // Sent twice, it is kept once; another figure is nobody's business.
    await keep({ 'rest-days': 6 }, { 'rest-days': 4 }).expect(200);
    await keep({ 'group-size': 5 }, { 'group-size': 7 }).expect(200);
    const lines = await school.db('record_changes').where({ thing: 'schools' }).whereRaw("`is` like '%rest-days%'");
    expect(lines).toHaveLength(1);
  });

  it('two at once: one is kept, the other is told', async () => {
    const answers = await Promise.all([keep({ suits: 20 }, { suits: 30 }), keep({ suits: 24 }, { suits: 30 })]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
  });

  it('can be tried: the hours and sessions that they cost, and nothing is kept', async () => {
    const tried = await attempt({ 'full-warmth': 19 });
    const sum = (which: 'before' | 'after') =>
      tried.sites.flatMap(({ days }) => days).reduce((all, day) => all + day[which], 0);
    expect(sum('before')).toBeGreaterThan(sum('after'));
    expect(tried.sites[0]!.days.length).toBeGreaterThan(8);
    expect(tried.sites[0]!.days.every(({ before, after }) => after <= before)).toBe(true);
    expect(tried.sessions.length).toBeGreaterThan(0);
    expect(tried.sessions.every(({ before, after }) => after < before)).toBe(true);
    expect((await figure('full-warmth')).ours).toBe(15);
    expect(await attempt({ 'winter-food': 20 })).toMatchObject({ sessions: [] });
    const refused = await attempt({ 'full-warmth': 2 });
    expect(refused.troubles).toContainEqual({
      figure: 'full-warmth',
      refused: true,
      says: 'From 5 °C to 30 °C can be kept.',
    });
    expect((await attempt({ 'lift-one': 30, 'lift-two': 40 })).troubles.map(({ says }) => says).join()).toContain(
      'hurts backs',
    );
  });

  it('that are changed on a form beside the work stand under Changes too, and in every place that says the same', async () => {
    const intervals = { 'build-up': [8, 10] };
    await school
      .db('schools')
      .where({ name: 'Brenna Fell School of Beekeeping' })
      .update({ practice: JSON.stringify({ calendar: { intervals } }) });
    await school.wrote();
    const calendar = {
      catchCells: true,
      swarmIntervalDays: 9,
      restDays: 4,
      load: { openings: 3, minutes: 120, stings: 12 },
    };
    await morag.post(endpoints.setCalendarPractice.path).send(calendar).expect(200);
    expect(await figure('swarm-days')).toMatchObject({ ours: 9, changed: { by: 'Morag Selkirk' } });
    expect(await figure('openings')).toMatchObject({ ours: 3 });
    const { practice } = await school
      .db('schools')
      .where({ name: 'Brenna Fell School of Beekeeping' })
      .first<{ practice: object }>('practice');
    // What the form does not ask for stays.
    expect(practice).toMatchObject({ openingLimit: 3, care: { swarmIntervalDays: 9 }, calendar: { intervals } });
    await morag.post(endpoints.setCombGoal.path).send({ goal: 120 }).expect(200);
    expect(await figure('comb-goal')).toMatchObject({ ours: 120, changed: { by: 'Morag Selkirk' } });
  });

  it('are none of them lost where two forms are sent at once', async () => {
    const { limits } = (await morag.get(endpoints.forecastTrust.path).expect(200)).body as { limits: { full: object } };
    const answers = await Promise.all([
      morag.post(endpoints.setLimits.path).send({ ...limits, full: { ...limits.full, warmth: 17 } }),
      morag.post(endpoints.setCombGoal.path).send({ goal: 40 }),
      keep({ 'group-size': 5 }, { 'group-size': 7 }),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const ours = await Promise.all(
      ['full-warmth', 'comb-goal', 'group-size'].map(async (id) => (await figure(id)).ours),
    );
    expect(ours).toEqual([17, 40, 5]);
  });
});
