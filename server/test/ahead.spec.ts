import { inEnglish } from '../src/words';
import {
  type Calendars,
  type DaySheet,
  type Forage,
  type Happenings,
  type Strip,
  type Trust,
  type Year,
  endpoints,
} from '@brave-comb/contract';
import { daysBetween } from '@brave-comb/core/units';
import ICAL from 'ical.js';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type ServerResponse, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { HOUR } from '@brave-comb/core/weather';
import { fixedClock } from '../src/clock/clock';
import { refresh } from '../src/jobs/refresh/refresher';
import { addSite } from '../src/records/equipment/service';
import { seasonYear } from '../src/views/season/year';
import { dayPage } from '../src/views/weather/day-page';
import { httpWeather } from '../src/records/weather/http-source';
import { forecastInUse, refreshWeather } from '../src/records/weather';
import type { Sources, WeatherSource } from '../src/sources';
import { type SiteRow, sitesOf } from '../src/records/equipment/store';
import { type School, openSchool, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;
let ruth: Agent;
let trainee: Agent;
let sites: { home: string; moor: string };

beforeAll(async () => {
  school = await openSchool('', 'ahead');
  morag = await school.signIn('morag');
  ruth = await school.signIn('ruth');
  trainee = await school.signIn('aroha');
  const { body } = await morag.get(endpoints.seasonStrip.path).expect(200);
  const named = (body as Strip).sites;
  sites = {
    home: named.find((site) => site.name === 'Home orchard')!.id,
    moor: named.find((site) => site.name === 'Moor edge')!.id,
  };
});
afterAll(() => school.close());

const read = async <T>(agent: Agent, path: string, query: Record<string, string> = {}): Promise<T> =>
  (await agent.get(path).query(query).expect(200)).body as T;
const forage = () => read<Forage>(morag, endpoints.forage.path, { site: sites.home });
const calendars = () => read<Calendars>(morag, endpoints.colonyCalendars.path, { site: sites.home });
const hive = async (number: string) => (await calendars()).colonies.find((each) => each.number === number)!;

describe('the season', () => {
  it('has the year of growth with phases, weather, bloom, flow, deadlines and every hive', async () => {
    const year = await read<Year>(morag, endpoints.seasonYear.path, { site: sites.home });
    expect(year).toMatchObject({ from: '2025-12-21', to: '2026-12-20', today: '2026-05-14' });
    expect(year.days).toHaveLength(365);
    expect(year.days.filter((day) => day.known === 'observed')).toHaveLength(daysBetween(year.from, year.today));
    expect(year.days.some((day) => day.known === 'forecast')).toBe(true);
    expect(year.now?.phase.phase).toBe('swarm-season');
    expect(year.now?.interval).toEqual([7, 7]);
    expect(year.colonies.map((colony) => colony.hive)).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9']);
    expect(year.scales[0]?.events.map((event) => event.kind)).toContain('flow');
    expect(year.deadlines.length).toBeGreaterThanOrEqual(5);
  });

  it('turns round in the southern school', async () => {
    const ines = await school.signIn('ines');
    const year = await read<Year>(ines, endpoints.seasonYear.path);
    expect(year.from).toBe('2025-06-21');
    expect(year.now?.phase.phase).toMatch(/winter|closing/);
  });

  it('shows trainees no dues, but the season itself', async () => {
    const strip = await read<Strip>(trainee, endpoints.seasonStrip.path, { site: sites.home });
    expect(strip.due).toEqual([]);
    expect(strip.phases.length).toBeGreaterThan(0);
    const year = await read<Year>(trainee, endpoints.seasonYear.path, { site: sites.home });
    expect(year.colonies).toEqual([]);
  });

  it('does not show another school’s site', async () => {
    const ines = await school.signIn('ines');
    await ines.get(endpoints.seasonYear.path).query({ site: sites.home }).expect(404);
    await ines
      .post(pathOf(endpoints.seeBloom, { site: sites.home }))
      .send({ plant: 'hawthorn', which: 'first', date: '2026-05-14' })
      .expect(404);
  });
});

describe('the forage calendar', () => {
  it('is corrected by bloom seen today, carries to the plants behind it, and can be taken back', async () => {
    const before = await forage();
    const of = (all: Forage, id: string) => all.plants.find((plant) => plant.id === id)!.bloom!;
    const path = pathOf(endpoints.seeBloom, { site: sites.home });
    const { body } = await trainee
      .post(path)
      .send({ plant: 'hawthorn', which: 'first', date: '2026-05-12' })
      .expect(200);
    const after = body as Forage;
    expect(of(after, 'hawthorn')).toMatchObject({ from: '2026-05-12', state: 'seen', giveOrTake: 0 });
    expect(daysBetween(of(after, 'white-clover').from, of(before, 'white-clover').from)).toBeGreaterThanOrEqual(1);
    await trainee.post(path).send({ plant: 'hawthorn', which: 'first', date: null }).expect(200);
    expect(of(await forage(), 'hawthorn').from).toBe(of(before, 'hawthorn').from);
  });

  it('refuses a bloom of tomorrow, an end before the beginning, and a plant that is not there', async () => {
    const path = pathOf(endpoints.seeBloom, { site: sites.home });
    const refused = async (body: object) =>
      ((await ruth.post(path).send(body).expect(422)).body as { message: string }).message;
    expect(await refused({ plant: 'hawthorn', which: 'first', date: '2026-05-15' })).toMatch(/in the future/);
    expect(await refused({ plant: 'sycamore', which: 'last', date: '2026-05-01' })).toMatch(/before its first bloom/);
    expect(await refused({ plant: 'palm', which: 'first', date: '2026-05-01' })).toMatch(/Add it first/);
  });

  it('takes plants from the general list, changes and drops them', async () => {
    const before = await forage();
    const phacelia = before.list.find((plant) => plant.id === 'phacelia')!;
    const { latin: _latin, ...plant } = phacelia;
    const keep = pathOf(endpoints.keepPlant, { site: sites.home });
    const added = (await ruth.post(keep).send(plant).expect(200)).body as Forage;
    expect(added.plants.some((each) => each.id === 'phacelia')).toBe(true);
    expect(added.list.some((each) => each.id === 'phacelia')).toBe(false);
    await ruth
      .post(keep)
      .send({ ...plant, model: { kind: 'dates', opens: '07-01', days: 30 } })
      .expect(200);
    expect((await forage()).plants.find((each) => each.id === 'phacelia')?.bloom?.usual.from).toBe('2026-07-01');
    await ruth
      .post(pathOf(endpoints.dropPlant, { site: sites.home }))
      .send({ plant: 'phacelia' })
      .expect(200);
    await ruth
      .post(pathOf(endpoints.dropPlant, { site: sites.home }))
      .send({ plant: 'phacelia' })
      .expect(200);
  });

  it('offers the whole list to a site without plants, and some sixty in all', async () => {
    const all = await forage();
    expect(all.list.length + all.plants.length).toBeGreaterThanOrEqual(60);
  });
});

describe('season events', () => {
  const log = (agent: Agent, body: object) =>
    agent.post(pathOf(endpoints.logSeasonEvent, { site: sites.home })).send(body);

  it('make dated tasks for every colony of the site, once, and take back those that nobody answered', async () => {
    const id = uuid();
    const frost = { id, kind: 'first-frost', date: '2026-05-13' };
    const first = (await log(ruth, frost).expect(200)).body as Happenings;
    expect(first.events.find((event) => event.id === id)).toMatchObject({ kind: 'first-frost', tasks: 9 });
    expect(
      ((await log(ruth, frost).expect(200)).body as Happenings).events.find((event) => event.id === id)?.tasks,
    ).toBe(9);
    const due = (await hive('5')).dues.find((each) => each.title.startsWith('Entrance guards on'));
    expect(due).toMatchObject({ from: '2026-05-13', due: '2026-05-27', bring: 'guards, pins, straps' });
    await ruth
      .post(pathOf(endpoints.withdrawSeasonEvent, { event: id }))
      .send({})
      .expect(200);
    expect((await hive('5')).dues.some((each) => each.title.startsWith('Entrance guards on'))).toBe(false);
  });

  it('never come of a date alone', async () => {
    const dues = (await calendars()).colonies.flatMap((colony) => colony.dues.map((each) => each.title));
    expect(dues.some((title) => /autumn feed|Supers on, feeders off|Entrance guards/.test(title))).toBe(false);
  });

  it('a first bloom also corrects the forage calendar, and needs its plant', async () => {
    await log(ruth, { id: uuid(), kind: 'first-bloom', date: '2026-05-13' }).expect(422);
    const id = uuid();
    await log(ruth, { id, kind: 'first-bloom', plant: 'hawthorn', date: '2026-05-13' }).expect(200);
    expect((await forage()).plants.find((plant) => plant.id === 'hawthorn')?.bloom).toMatchObject({
      from: '2026-05-13',
      state: 'seen',
    });
    await ruth
      .post(pathOf(endpoints.seeBloom, { site: sites.home }))
      .send({ plant: 'hawthorn', which: 'first', date: null })
      .expect(200);
    await ruth
      .post(pathOf(endpoints.withdrawSeasonEvent, { event: id }))
      .send({})
      .expect(200);
  });

  it('set going what the lead decides', async () => {
    const all = await read<Happenings>(morag, endpoints.happenings.path, { site: sites.home });
    const off = all.triggers.map((trigger) => ({ ...trigger, active: false }));
    await ruth.post(endpoints.setTriggers.path).send({ triggers: off }).expect(403);
    await morag.post(endpoints.setTriggers.path).send({ triggers: off }).expect(200);
    const id = uuid();
    const logged = (await log(ruth, { id, kind: 'wasps', date: '2026-05-13' }).expect(200)).body as Happenings;
    expect(logged.events.find((event) => event.id === id)?.tasks).toBe(0);
    await morag.post(endpoints.setTriggers.path).send({ triggers: all.triggers }).expect(200);
  });
});

describe('flow, pollen and the alive round', () => {
  it('moves toward a dearth with the signs ticked, and counts a second sending once', async () => {
    const before = await read<Happenings>(ruth, endpoints.happenings.path, { site: sites.moor });
    const signs = ['robbing', 'syrup', 'wax'].map((sign) => ({ id: uuid(), sign, says: 'dearth' }));
    const send = () =>
      ruth
        .post(pathOf(endpoints.tickFlowSigns, { site: sites.moor }))
        .send({ date: '2026-05-14', signs })
        .expect(200);
    const after = (await send()).body as Happenings;
    expect(after.flow.chance).toBeLessThan(before.flow.chance);
    expect(((await send()).body as Happenings).flow.chance).toBeCloseTo(after.flow.chance, 10);
  });

  it('keeps an unknown colour until somebody settles it, and learns from that', async () => {
    const id = uuid();
    const body = { id, colour: 'purple', date: '2026-05-14' };
    const seen = (
      await trainee
        .post(pathOf(endpoints.seePollen, { site: sites.home }))
        .send(body)
        .expect(200)
    ).body as Happenings;
    expect(seen.pollen.seen.find((each) => each.id === id)?.plant).toBeNull();
    await trainee
      .post(pathOf(endpoints.settlePollen, { seen: id }))
      .send({ plant: 'Sycamore' })
      .expect(403);
    const settled = (
      await ruth
        .post(pathOf(endpoints.settlePollen, { seen: id }))
        .send({ plant: 'Sycamore' })
        .expect(200)
    ).body as Happenings;
    expect(settled.pollen.key.find((key) => key.colour === 'purple')?.guesses[0]?.plant).toBe('Sycamore');
  });

  it('counts survivors and their set-ups, and takes a tap back', async () => {
    const six = await hive('6');
    const tap = (state: string | null) =>
      ruth
        .post(pathOf(endpoints.tapAlive, { hive: six.hive }))
        .send({ state, date: '2026-05-14' })
        .expect(200);
    const { body } = await tap('dead');
    expect(body).toMatchObject({ survival: { alive: 8, dead: 1, share: 8 / 9 } });
    expect((body as { bySetUp: unknown[] }).bySetUp.length).toBeGreaterThan(0);
    expect((await tap(null)).body).toMatchObject({ survival: { alive: 8, dead: 0 } });
    await tap('alive');
  });
});

describe('the colony calendar', () => {
  it('asks for cells every seven days, and keeps a young queen alone', async () => {
    const four = await hive('4');
    expect(four.dues.find((due) => due.id.startsWith('ordinary:'))).toMatchObject({
      title: 'Look for queen cells',
      due: '2026-05-12',
      strict: 'must',
    });
    const { body } = await ruth
      .post(pathOf(endpoints.logColonyEvent, { hive: (await hive('5')).hive }))
      .send({ id: uuid(), date: '2026-05-12', detail: { kind: 'queen', start: 'cell-sealed' } })
      .expect(200);
    const five = (body as Calendars).colonies.find((each) => each.number === '5')!;
    expect(five.rests.some((rest) => rest.strict === 'must')).toBe(true);
    expect(five.dues.find((due) => due.id.startsWith('queen-worry:'))?.strict).toBe('must');
    await ruth
      .post(pathOf(endpoints.withdrawColonyEvent, { event: five.events[0]!.id }))
      .send({})
      .expect(200);
    expect((await hive('5')).rests.some((rest) => rest.strict === 'must')).toBe(false);
  });

  it('tells how a swarm of four days ago is to be treated', async () => {
    const all = await read<Calendars>(morag, endpoints.colonyCalendars.path, { site: sites.moor });
    const fourteen = all.colonies.find((each) => each.number === '14')!;
    expect(fourteen.dues.find((due) => due.title.startsWith('Peek for eggs'))).toMatchObject({
      from: '2026-05-13',
      due: '2026-05-14',
    });
    expect(fourteen.dues.find((due) => due.title === 'First full check')?.due).toBe('2026-06-02');
  });

  it('expects a state of each colony with ranges, and refuses dates to come and a second colony’s id', async () => {
    const one = await hive('1');
    expect(one.expected!.bees.low).toBeLessThan(one.expected!.bees.value);
    expect(one.expected!.days).toBe(4);
    const path = pathOf(endpoints.logColonyEvent, { hive: one.hive });
    const fed = { id: uuid(), date: '2026-05-13', detail: { kind: 'feed', what: 'thin-syrup', kg: 3 } };
    await ruth
      .post(path)
      .send({ ...fed, date: '2026-05-15' })
      .expect(422);
    await ruth.post(path).send(fed).expect(200);
    await ruth.post(path).send(fed).expect(200);
    expect((await hive('1')).events).toHaveLength(one.events.length + 1);
    await ruth
      .post(pathOf(endpoints.logColonyEvent, { hive: (await hive('3')).hive }))
      .send(fed)
      .expect(409);
    expect((await hive('1')).expected!.storesKg.value).toBeGreaterThan(one.expected!.storesKg.value + 2);
  });

  it('keeps each medicine with its own end and withdrawal, and locks what stood on', async () => {
    const eight = await hive('8');
    const log = async (detail: object, date = '2026-05-01') => {
      const sent = { id: uuid(), date, detail };
      const { body } = await ruth
        .post(pathOf(endpoints.logColonyEvent, { hive: eight.hive }))
        .send(sent)
        .expect(200);
      return (body as Calendars).colonies.find((each) => each.number === '8')!;
    };
    const label = { kind: 'treatment', repeatAfter: null, doses: 1 };
    await log({ ...label, medicine: 'amitraz strips', removeAfter: 42, withdrawal: 30 }, '2026-04-20');
    const after = await log(
      { ...label, medicine: 'oxalic acid trickle', removeAfter: null, withdrawal: 0 },
      '2026-05-10',
    );
    expect(after.dues.map(({ title }) => title)).toEqual(
      expect.arrayContaining(['amitraz strips: take it out', 'amitraz strips: withdrawal ends']),
    );
    expect(after.honey.superOnFrom).toBe('2026-07-01');
    expect(after.inHive).toEqual(['amitraz strips']);
    const inside = await log({ kind: 'super-on', holdsKg: 12 }, '2026-05-14');
    expect(inside.dues.find(({ title }) => title.startsWith('Super inside a withdrawal'))?.strict).toBe('must');
    expect(inside.dues.some(({ title }) => title.startsWith('Super full'))).toBe(false);
    expect(inside.honey.locked.length).toBeGreaterThan(0);
    const out = await log({ kind: 'treatment-out', medicine: 'amitraz strips' }, '2026-05-14');
    expect(out.honey.superOnFrom).toBe('2026-06-13');
    for (const { id } of out.events)
      await ruth
        .post(pathOf(endpoints.withdrawColonyEvent, { event: id }))
        .send({})
        .expect(200);
    expect((await hive('8')).honey.superOnFrom).toBeNull();
  });

  it('expects no eggs of a virgin, and says so', async () => {
    const nine = await hive('9');
    const { body } = await ruth
      .post(pathOf(endpoints.logColonyEvent, { hive: nine.hive }))
      .send({ id: uuid(), date: '2026-05-14', detail: { kind: 'queen', start: 'virgin-emerged' } })
      .expect(200);
    const now = (body as Calendars).colonies.find((each) => each.number === '9')!;
    expect(now.expected?.eggs).toEqual({ value: 0, low: 0, high: 0 });
    expect(now.expected?.larvae.value).toBeLessThan(0.3);
    expect(now.expected?.because.join()).toMatch(/cannot lay before/);
    await ruth
      .post(pathOf(endpoints.withdrawColonyEvent, { event: now.events[0]!.id }))
      .send({})
      .expect(200);
  });

  it('is the one source of what is due: the day sheet says the same as the calendar', async () => {
    const { session } = await read<{ session: string }>(morag, endpoints.nextSession.path, {});
    const sheet = await read<DaySheet>(morag, pathOf(endpoints.daySheet, { session }), {});
    const all = await read<Calendars>(morag, endpoints.colonyCalendars.path, {});
    for (const card of sheet.groups) {
      const own = all.colonies.find((each) => each.number === card.hive.number)!;
      const open = own.dues.filter(({ from }) => from <= sheet.session.date);
      expect(card.due.map(({ question, due }) => [question, due])).toEqual(open.map(({ title, due }) => [title, due]));
      for (const { due, daysLeft } of card.due)
        expect(daysLeft).toBe(Math.round((Date.parse(due) - Date.parse(sheet.session.date)) / 86_400_000));
    }
  });

  it('follows house practice: rest, load and the other school', async () => {
    const practice = {
      catchCells: false,
      swarmIntervalDays: 7,
      restDays: 0,
      load: { openings: 2, minutes: 500, stings: 50 },
    };
    await ruth.post(endpoints.setCalendarPractice.path).send(practice).expect(403);
    await morag.post(endpoints.setCalendarPractice.path).send(practice).expect(200);
    const four = await hive('4');
    expect(four.load.over).toEqual(['openings']);
    expect(four.openFrom > '2026-05-14').toBe(true);
    expect(four.dues.find((due) => due.id.startsWith('ordinary:'))?.title).toBe('Ordinary look');
    await morag
      .post(endpoints.setCalendarPractice.path)
      .send({ catchCells: true, swarmIntervalDays: 7, restDays: 4, load: { openings: 4, minutes: 120, stings: 12 } })
      .expect(200);
  });

  it('plans a move to the heather and puts it on the calendars once', async () => {
    const targets = await read<{ targets: { plant: string; site: string }[] }>(ruth, endpoints.movePlan.path, {
      from: sites.home,
    });
    const heather = targets.targets.find((target) => target.plant === 'Heather')!;
    const one = await hive('1');
    const body = { id: uuid(), from: sites.home, to: heather.site, plant: 'Heather', hives: [one.hive] };
    const first = await ruth.post(endpoints.scheduleMove.path).send(body).expect(200);
    await ruth.post(endpoints.scheduleMove.path).send(body).expect(200);
    const moves = (await hive('1')).dues.filter((due) => due.title.includes('Heather'));
    expect(moves).toHaveLength((first.body as { tasks: number }).tasks);
    const [stranger] = (await read<Calendars>(ruth, endpoints.colonyCalendars.path, { site: sites.moor })).colonies;
    await ruth
      .post(endpoints.scheduleMove.path)
      .send({ ...body, id: uuid(), hives: [stranger!.hive] })
      .expect(422);
  });
});

describe('the day page and the forecast’s record', () => {
  it('says in words from when to when what may be opened, and what turns it', async () => {
    const { body } = await morag
      .get(pathOf(endpoints.dayPage, { date: '2026-05-14' }))
      .query({ site: sites.home })
      .expect(200);
    const page = body as {
      spans: { words: string; from: string; to: string }[];
      hours: unknown[];
      people: object;
      fire: object;
    };
    expect(page.spans.some((span) => /^\d\d:\d\d–\d\d:\d\d fit for full inspection/.test(span.words))).toBe(true);
    page.spans.slice(1).forEach((span, index) => expect(span.from).toBe(page.spans[index]!.to));
    expect(page.people).not.toBeNull();
    expect(page.fire).not.toBeNull();
  });

  it('shows a day that has been as it was, and one out of reach without hours', async () => {
    const past = await morag
      .get(pathOf(endpoints.dayPage, { date: '2026-05-10' }))
      .query({ site: sites.home })
      .expect(200);
    expect(past.body).toMatchObject({ observed: true });
    expect((past.body as { hours: unknown[] }).hours).toHaveLength(24);
    const far = await morag
      .get(pathOf(endpoints.dayPage, { date: '2026-09-10' }))
      .query({ site: sites.home })
      .expect(200);
    expect((far.body as { hours: unknown[] }).hours).toEqual([]);
  });

  it('has 23 and 25 hours on the days on which the clocks change', async () => {
    const hours = async (date: string) =>
      (
        (await morag.get(pathOf(endpoints.dayPage, { date })).query({ site: sites.home }).expect(200)).body as {
          hours: unknown[];
        }
      ).hours.length;
    expect(await hours('2026-03-29')).toBe(23);
    expect(await hours('2025-10-26')).toBe(25);
  });

  it('scores the forecast by lead day: near days better than far ones', async () => {
    const look = () => read<Trust>(morag, endpoints.forecastTrust.path, { site: sites.home });
    expect((await look()).missing).toBeGreaterThan(0);
    const home = (await sitesOf(school.db, (await school.db('schools').first<{ id: string }>('id')).id)).find(
      ({ id }) => id === sites.home,
    )!;
    for (let turn = 0; turn < 20; turn += 1) await refreshWeather(school.context, school.sources.weather, home);
    await school.wrote();
    const trust = await look();
    expect(trust.missing).toBe(0);
    const of = (lead: number) => trust.scores.find((score) => score.lead === lead)!;
    expect(of(1).days).toBeGreaterThanOrEqual(40);
    expect(of(1).error).toBeLessThan(of(8).error);
    expect(of(1).brier).toBeLessThan(of(9).brier);
    expect(trust.trust.plan).toBeGreaterThanOrEqual(2);
  });
});

describe('weather entered by hand', () => {
  const importing = (text: string) => ruth.post(pathOf(endpoints.importWeather, { site: sites.moor })).send({ text });

  it('takes the place of what was reckoned: a day of 30 °C moves the degree days', async () => {
    const lines = Array.from(
      { length: 24 },
      (_, hour) => `2026-05-10T${`${hour}`.padStart(2, '0')}:00Z,${30 + hour / 10},0`,
    );
    const { body } = await importing(`time,temperature,rain\n${lines.join('\n')}\nnonsense,1,2\n`).expect(200);
    expect(body).toMatchObject({ kept: 24, bad: [{ line: 26 }] });
    const year = await read<Year>(morag, endpoints.seasonYear.path, { site: sites.moor });
    expect(year.days.find((day) => day.date === '2026-05-10')!.high).toBeGreaterThan(31);
  });

  it('refuses what has not been yet and what is no weather, keeping nothing', async () => {
    const ahead = await importing('time,temperature\n2026-05-14T01:00Z,12\n2026-06-01T01:00Z,12\n').expect(422);
    expect((ahead.body as { message: string }).message).toMatch(/in the future.*nothing was kept/);
    expect(((await importing('a,b\n1,2').expect(422)).body as { message: string }).message).toMatch(
      /“time” among them/,
    );
  });

  it('an observation of this hour shows at once in every member', async () => {
    await ruth
      .post(pathOf(endpoints.enterObservation, { site: sites.moor }))
      .send({
        at: '2026-05-14T06:30:00Z',
        temperature: 27.5,
        wind: null,
        gust: null,
        rain: null,
        cloud: null,
        thunder: true,
      })
      .expect(200);
    const moor = (await sitesOf(school.db, (await school.db('schools').first<{ id: string }>('id')).id)).find(
      (site) => site.id === sites.moor,
    )!;
    const { ensemble } = await forecastInUse(school.context, moor);
    const hour = Math.round((Date.parse('2026-05-14T06:00:00Z') - Date.parse(ensemble!.start)) / 3_600_000);
    for (const member of ensemble!.members) expect(member[hour]).toMatchObject({ temperature: 27.5, thunder: 1 });
    await ruth
      .post(pathOf(endpoints.enterObservation, { site: sites.moor }))
      .send({
        at: '2026-05-14T06:30:00Z',
        temperature: null,
        wind: null,
        gust: null,
        rain: null,
        cloud: null,
        thunder: null,
      })
      .expect(422);
  });

  it('refuses a typical year of the other half of the globe', async () => {
    const rows = Array.from({ length: 8760 }, (_, hour) => {
      const date = new Date(Date.UTC(2001, 0, 1, hour));
      return `2001,${date.getUTCMonth() + 1},${date.getUTCDate()},${(hour % 24) + 1},0,x,12.0,${'0,'.repeat(27)}0`;
    });
    const file = (latitude: number) =>
      [
        `LOCATION,Made-up Hill,-,XXX,made,0,${latitude},-3.3,0,180`,
        ...Array.from({ length: 7 }, () => 'HEAD'),
        ...rows,
      ].join('\n');
    const send = (latitude: number) =>
      morag.post(pathOf(endpoints.importClimate, { site: sites.moor })).send({ text: file(latitude) });
    expect(((await send(-40).expect(422)).body as { message: string }).message).toMatch(/other half of the globe/);
    expect((await send(55.2).expect(200)).body).toMatchObject({ place: 'Made-up Hill, XXX' });
    const year = await read<Year>(morag, endpoints.seasonYear.path, { site: sites.moor });
    expect(year.climate.from).toMatch(/Made-up Hill/);
  });
});

describe('the weather service in trouble', () => {
  const home = async () => (await sitesOf(school.db, (await school.db('schools').first<{ id: string }>('id')).id))[0]!;
  /** The forecast in use some hours on, when the service does something else than answer well. */
  const inTrouble = async (hoursOn: number, source: WeatherSource, site?: SiteRow) => {
    const now = new Date(school.context.clock.now().getTime() + hoursOn * 3_600_000);
    const context = { ...school.context, clock: fixedClock(now.toISOString()) };
    const where = site ?? (await home());
    await refreshWeather(context, source, where, true);
    return forecastInUse(context, where);
  };
  /** A site of which nobody has asked for a forecast yet. */
  const newSite = async (name: string) => {
    const id = await addSite(school.context, { ...(await home()), name, latitude: 48.2, longitude: 9.1 });
    return (await sitesOf(school.db, (await home()).school)).find((each) => each.id === id)!;
  };
  const down: WeatherSource = {
    forecast: () => Promise.reject(new TypeError('fetch failed')),
    observed: () => Promise.reject(new TypeError('fetch failed')),
  };
  const spread = (ensemble: { members: readonly (readonly { temperature: number }[])[] }, hour: number) => {
    const values = ensemble.members.map((member) => member[hour]!.temperature);
    return Math.max(...values) - Math.min(...values);
  };

  it('is asked by one process for all who look, and again when its forecast has grown old', async () => {
    const asked: string[] = [];
    const slow: Sources = {
      ...school.sources,
      weather: {
        ...school.sources.weather,
        forecast: async (place, at) => {
          asked.push(`${place.latitude} ${at.toISOString()}`);
          await new Promise((done) => setTimeout(done, 20));
          return school.sources.weather.forecast(place, at);
        },
      },
    };
    const site = await newSite('Asked by many');
    const inHours = (hours: number) => ({
      ...school.context,
      clock: fixedClock(new Date(school.context.clock.now().getTime() + hours * HOUR).toISOString()),
    });
    const newest = () =>
      asked.filter((each) => each.startsWith('48.2') && each.endsWith(inHours(0).clock.now().toISOString()));
    const turns = await Promise.all(Array.from({ length: 6 }, () => refresh(school.context, slow, uuid())));
    expect(turns.filter(Boolean).length).toBeGreaterThanOrEqual(1);
    expect(newest()).toHaveLength(1);
    const all = await Promise.all(Array.from({ length: 6 }, () => forecastInUse(school.context, site)));
    expect(new Set(all.map(({ ensemble }) => ensemble)).size).toBe(1);
    await refresh(inHours(1), slow, uuid());
    expect(newest()).toHaveLength(1);
    expect(inEnglish((await forecastInUse(inHours(8), site)).problem!)).toMatch(/requested and has not arrived yet/);
    await refresh(inHours(8), slow, uuid());
    expect((await forecastInUse(inHours(8), site)).problem).toBeNull();
  });

  it('three days old: the last good forecast stays with its age shown, and its odds get wider', async () => {
    const good = await forecastInUse(school.context, await home());
    const old = await inTrouble(72, down);
    expect(inEnglish(old.problem!)).toMatch(/forecast of 3 days ago, with wider odds/);
    expect(spread(old.ensemble!, 100)).toBeGreaterThan(spread(good.ensemble!, 100));
  });

  it('down from the start: says so, and every view still stands on the usual year', async () => {
    const site = await newSite('Away from all');
    const nothing = await inTrouble(0, down, site);
    expect(inEnglish(nothing)).toEqual({
      ensemble: null,
      problem: 'The weather service did not answer. No earlier forecast is kept.',
    });
    const actor = { id: uuid(), name: 'x', role: 'lead' as const, school: site.school, schoolName: '' };
    const { context } = school;
    const year = await seasonYear(context, actor, { site: site.id });
    expect(year.days.every((day) => day.known === 'usual')).toBe(true);
    expect(inEnglish(year.climate.from)).toMatch(/rough guess.*Import a typical year/);
    expect(year.bloom.length).toBeGreaterThan(5);
    expect((await dayPage(context, actor, '2026-05-14', site.id)).spans).toEqual([]);
  });

  const answering = async (answer: (response: ServerResponse) => void, use: (url: string) => Promise<void>) => {
    const server = createServer((_request, response) => answer(response));
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    try {
      await use(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    } finally {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    }
  };

  it.each([
    ['a web page', (response: ServerResponse) => response.end('<html>maintenance</html>')],
    ['half an answer', (response: ServerResponse) => response.end('{"type":"Coverage","issued":"2026-')],
    ['an error', (response: ServerResponse) => response.writeHead(503).end()],
    ['nothing for a long time', () => undefined],
  ])('%s instead of a forecast leaves the last good one in use', async (name, answer) => {
    const id = await addSite(school.context, { ...(await home()), name: `Site with ${name}` });
    const site = (await sitesOf(school.db, (await home()).school)).find((each) => each.id === id)!;
    await refreshWeather(school.context, school.sources.weather, site);
    await answering(
      (response) => void answer(response),
      async (url) => {
        const used = await inTrouble(30, httpWeather(url), site);
        expect(used.ensemble?.members.length).toBeGreaterThanOrEqual(20);
        expect(inEnglish(used.problem!)).toMatch(/Still in use: the forecast of 3[01] hours ago/);
      },
    );
  });
});

describe('places at the edge', () => {
  const lead = async () => {
    const row = await school.db('people').where({ sign_in: 'morag' }).first<{ id: string; school: string }>();
    return { id: row.id, name: 'Morag', role: 'lead' as const, school: row.school, schoolName: '' };
  };
  const at = async (name: string, latitude: number, longitude: number, zone: string) => {
    const actor = await lead();
    const [home] = await sitesOf(school.db, actor.school);
    const id = await addSite(school.context, { ...home!, name, latitude, longitude, altitude: 20, zone });
    const site = (await sitesOf(school.db, actor.school)).find((each) => each.id === id)!;
    expect(await refreshWeather(school.context, school.sources.weather, site)).toBe(true);
    return { actor, id };
  };

  it('66° N: the sun does not set in June, and the year still has all its days and phases', async () => {
    const { actor, id } = await at('Far north', 66, 20, 'Europe/Stockholm');
    const page = await dayPage(school.context, actor, '2026-06-21', id);
    expect(page.sun).toMatchObject({ rise: null, set: null, hours: 24 });
    const year = await seasonYear(school.context, actor, { site: id });
    expect(year.days).toHaveLength(365);
    expect(year.days.every((day) => Number.isFinite(day.sun))).toBe(true);
    expect(year.phases.some((span) => span.phase === 'swarm-season')).toBe(true);
    const midwinter = await dayPage(school.context, actor, '2025-12-21', id);
    expect(midwinter.sun.eggs).toBeNull();
    expect(midwinter.spans.every((span) => span.depth === null || span.depth === 'outside')).toBe(true);
  });

  it('the date line: today is the civil date of the site, and its noon is by its own sun', async () => {
    const west = await at('West of the line', -17, -179.9, 'Pacific/Fiji');
    const east = await at('East of the line', -17, 179.9, 'Pacific/Fiji');
    const pages = await Promise.all(
      [west, east].map(({ actor, id }) => dayPage(school.context, actor, '2026-05-14', id)),
    );
    expect(pages[0]!.today).toBe('2026-05-14');
    const [a, b] = pages.map((page) => Date.parse(page.sun.noon as string));
    expect(Math.abs(a! - b!)).toBeLessThan(3 * 60_000);
    expect(new Date(a!).toISOString().slice(0, 13)).toBe('2026-05-13T23');
  });
});

describe('a person’s calendar feed', () => {
  it('opens with its secret address only, is valid iCalendar, and stops when revoked', async () => {
    const { body } = await ruth.post(endpoints.createCalendarFeed.path).send({}).expect(200);
    const { path } = body as { path: string };
    const text = (
      await ruth
        .get(path)
        .expect(200)
        .expect('content-type', /text\/calendar/)
    ).text;
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    expect(events.some((event) => /^[A-Z].*hives? \d+.*Home orchard: /.test(event.summary))).toBe(true);
    expect(events.some((event) => event.summary === 'Hive 4, Home orchard: Look for queen cells')).toBe(true);
    const uids = events.map((event) => event.uid);
    expect(new Set(uids).size).toBe(uids.length);
    const session = events.find((event) => event.summary.includes('Curlew'))!;
    expect(session.description).toMatch(/Curlew: hive \d+, with Tomasz/);
    const again = await ruth.post(endpoints.createCalendarFeed.path).send({}).expect(200);
    await ruth.get(path).expect(404);
    await ruth.get((again.body as { path: string }).path).expect(200);
    await ruth.post(endpoints.revokeCalendarFeed.path).send({}).expect(200);
    await ruth.get((again.body as { path: string }).path).expect(404);
    expect((await ruth.get(endpoints.calendarFeed.path).expect(200)).body).toEqual({ since: null });
  });

  it('shows a trainee the own sessions only', async () => {
    const { path } = (await trainee.post(endpoints.createCalendarFeed.path).send({}).expect(200)).body as {
      path: string;
    };
    const text = (await trainee.get(path).expect(200)).text;
    expect(text).toMatch(/BEGIN:VEVENT/);
    expect(text).not.toMatch(/queen cells/);
  });

  it('keeps no secret in the database', async () => {
    const { path } = (await ruth.post(endpoints.createCalendarFeed.path).send({}).expect(200)).body as { path: string };
    const rows = JSON.stringify(await school.db('calendar_feeds').select());
    expect(rows).not.toContain(path.slice(10, 42));
  });
});
