import { type Calendars, type Strip, type Trust, endpoints } from '@brave-comb/contract';
import type { ColonyEvent } from '@brave-comb/core/care';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;
let ruth: Agent;

beforeAll(async () => {
  school = await openSchool();
  morag = await school.signIn('morag');
  ruth = await school.signIn('ruth');
});
afterAll(() => school.close());

const strip = async () => (await morag.get(endpoints.seasonStrip.path).expect(200)).body as Strip;
const trust = async () => (await morag.get(endpoints.forecastTrust.path).expect(200)).body as Trust;
const calendars = async () => (await ruth.get(endpoints.colonyCalendars.path).expect(200)).body as Calendars;

describe('house limits', () => {
  it('change the hours that are fit, for all, at once, and only by the lead', async () => {
    const before = await strip();
    const { limits } = await trust();
    const stricter = { ...limits, full: { ...limits.full, warmth: 21 } };
    await ruth.post(endpoints.setLimits.path).send(stricter).expect(403);
    await morag.post(endpoints.setLimits.path).send(stricter).expect(200);
    const after = await strip();
    const hours = (of: Strip) => of.days.reduce((sum, day) => sum + (day.hours?.full[1] ?? 0), 0);
    expect(hours(before)).toBeGreaterThan(10);
    expect(hours(after)).toBeLessThan(hours(before) / 2);
    const lids = (of: Strip) => of.days.map((day) => day.hours?.lid[1]);
    expect(lids(after)).toEqual(lids(before));
    await morag.post(endpoints.setLimits.path).send(limits).expect(200);
    expect(hours(await strip())).toBe(hours(before));
  });

  it('leave what another school set alone', async () => {
    const ines = await school.signIn('ines');
    const { limits } = await trust();
    await morag
      .post(endpoints.setLimits.path)
      .send({ ...limits, lid: { ...limits.lid, gust: 22 } })
      .expect(200);
    const other = (await ines.get(endpoints.forecastTrust.path).expect(200)).body as Trust;
    expect(other.limits.lid.gust).toBe(45);
    await morag.post(endpoints.setLimits.path).send(limits).expect(200);
  });

  it('that cannot be are refused with the figure that is wrong', async () => {
    const { limits } = await trust();
    const { body } = await morag
      .post(endpoints.setLimits.path)
      .send({ ...limits, full: { ...limits.full, gust: -5 } })
      .expect(422);
    expect((body as { details: { path: string }[] }).details[0]?.path).toBe('full.gust');
  });
});

describe('a colony’s log', () => {
  const detail = (event: Omit<ColonyEvent, 'date'> & Record<string, unknown>) => event;
  const KINDS = [
    detail({ kind: 'hived', as: 'nucleus' }),
    detail({ kind: 'queen', start: 'cell-put-in' }),
    detail({ kind: 'eggs-seen' }),
    detail({ kind: 'treatment', medicine: 'formic acid', repeatAfter: null, doses: 1, removeAfter: 7, withdrawal: 0 }),
    detail({ kind: 'treatment-out' }),
    detail({ kind: 'feed', what: 'fondant', kg: 2.5 }),
    detail({ kind: 'patty', kg: 0.45 }),
    detail({ kind: 'feeder-empty' }),
    detail({ kind: 'super-on', holdsKg: 12 }),
    detail({ kind: 'super-off' }),
    detail({ kind: 'drone-comb-in' }),
    detail({ kind: 'drone-comb-out' }),
    detail({ kind: 'brood-stopped' }),
    detail({ kind: 'suspicion', of: 'chalk-brood' }),
    detail({ kind: 'suspicion-settled' }),
  ];

  it.each(KINDS.map((each) => [each.kind as string, each]))(
    'takes "%s", tells it in words, and takes it back',
    async (kind, what) => {
      const nine = (await calendars()).colonies.find((colony) => colony.number === '9')!;
      const id = uuid();
      const logged = (
        await ruth
          .post(pathOf(endpoints.logColonyEvent, { hive: nine.hive }))
          .send({ id, date: '2026-05-13', detail: what })
          .expect(200)
      ).body as Calendars;
      const event = logged.colonies.find((colony) => colony.number === '9')!.events.find((each) => each.id === id)!;
      expect(event).toMatchObject({ kind, date: '2026-05-13', by: 'Ruth Okafor' });
      expect(event.words).toMatch(/^[A-Za-z0-9]/);
      const back = (
        await ruth
          .post(pathOf(endpoints.withdrawColonyEvent, { event: id }))
          .send({})
          .expect(200)
      ).body as Calendars;
      expect(back.colonies.find((colony) => colony.number === '9')!.events.some((each) => each.id === id)).toBe(false);
    },
  );

  it.each([
    ['a feed of nothing', { kind: 'feed', what: 'fondant', kg: 0 }],
    [
      'a medicine without a name',
      { kind: 'treatment', medicine: ' ', repeatAfter: null, doses: 1, removeAfter: null, withdrawal: null },
    ],
    ['an unknown kind', { kind: 'shouted at' }],
    ['a queen that begins with nothing', { kind: 'queen', start: 'magic' }],
  ])('refuses %s and keeps nothing', async (_name, what) => {
    const before = await calendars();
    const nine = before.colonies.find((colony) => colony.number === '9')!;
    await ruth
      .post(pathOf(endpoints.logColonyEvent, { hive: nine.hive }))
      .send({ id: uuid(), date: '2026-05-13', detail: what })
      .expect(422);
    const after = (await calendars()).colonies.find((colony) => colony.number === '9')!;
    expect(after.events).toEqual(nine.events);
  });

  it('answers a dearth by the strain that was set, and asks less of a resting colony', async () => {
    const nine = (await calendars()).colonies.find((colony) => colony.number === '9')!;
    const path = pathOf(endpoints.setColony, { hive: nine.hive });
    const resting = (
      (await ruth.post(path).send({ class: 'resting', strain: 'stops' }).expect(200)).body as Calendars
    ).colonies.find((colony) => colony.number === '9')!;
    expect(resting).toMatchObject({ class: 'resting', strain: 'stops' });
    const due = (colony: typeof nine) => colony.dues.find((each) => each.id.startsWith('ordinary:'))!.due;
    expect(due(resting) > due(nine)).toBe(true);
    await ruth.post(path).send({ class: nine.class, strain: nine.strain }).expect(200);
  });
});

describe('the strip', () => {
  it('holds the dues of the colony calendar, each with its reason, and the sun of each day', async () => {
    const [shown, all] = await Promise.all([strip(), calendars()]);
    const open = shown.due.filter((due) => !due.done);
    const first = shown.days[0]!.date;
    const last = shown.days.at(-1)!.date;
    const expected = all.colonies.flatMap((colony) =>
      colony.dues
        .filter((due) => due.due >= first && due.from <= last)
        .map((due) => `${colony.number} ${due.title} ${due.due}`),
    );
    expect(open.map((due) => `${due.hive} ${due.question} ${due.due}`).sort()).toEqual(expected.sort());
    expect(open.every((due) => due.why !== '')).toBe(true);
    for (const day of shown.days) expect(day.sun.hours).toBeGreaterThan(15);
    expect(shown.phases.map((span) => span.phase)).toEqual(['swarm-season']);
  });
});
