import type { AliveRound as Round, Happenings } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { AliveRound } from './alive-round';
import { FlowSigns } from './flow-signs';
import { PollenKey } from './pollen-key';
import { Seen } from './seen';
import { controlsOf } from '../../testing/controls';

const trigger = (id: string, on: string, plant: string | null, task: string, active = true) => ({
  id,
  on,
  plant,
  task,
  question: 'Done?',
  bring: '',
  from: 0,
  due: 5,
  why: 'because',
  active,
});
const all = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [],
  today: '2026-05-14',
  events: [{ id: 'e1', kind: 'drones-flying', plant: null, date: '2026-05-02', by: 'Leilani', tasks: 0 }],
  triggers: [
    trigger('look', 'first-bloom', 'goat-willow', 'First look'),
    trigger('super', 'first-bloom', 'dandelion', 'First super'),
    trigger('frost', 'first-frost', null, 'Entrance guards on'),
    trigger('off', 'first-frost', null, 'Nothing of this', false),
  ],
  meanings: [
    { kind: 'first-bloom', means: 'First open flowers' },
    { kind: 'first-frost', means: 'First night of frost' },
  ],
  plants: [
    { id: 'dandelion', name: 'Dandelion' },
    { id: 'goat-willow', name: 'Goat willow' },
  ],
  flow: {
    state: 'dearth',
    chance: 0.1,
    reasons: [{ text: 'robbing', says: 'dearth', weight: 1 }],
    advice: 'Short openings.',
  },
  pollen: {
    seen: [
      { id: 'p1', colour: 'grey', date: '2026-05-10', plant: null, by: 'Ruth' },
      { id: 'p2', colour: 'orange', date: '2026-05-10', plant: 'Dandelion', by: 'Ruth' },
    ],
    key: [
      { colour: 'orange', shade: '#e07f1c', guesses: [{ plant: 'Dandelion', share: 0.9, why: 'in bloom' }] },
      { colour: 'blue', shade: '#46618f', guesses: [] },
    ],
  },
  scales: [],
  mayEdit: true,
} as unknown as Happenings;
const text = (element: Element) => element.textContent.replace(/\s+/g, ' ');

describe('events seen at a site', () => {
  it('say beforehand what they would set going, by plant and by house practice', async () => {
    const { element, fixture } = await showView(Seen, 'happenings', all);
    const sets = () => text(element.querySelector('.sets')!);
    expect(sets()).toMatch(/No task is linked to it in your house practice before a plant is chosen/);
    await controlsOf(fixture).choose(/^Plant$/, 'Dandelion');
    expect(sets()).toMatch(/Starts: first super \(day 0 to 5\)/);
    expect(sets()).not.toMatch(/first look/);
    await controlsOf(fixture).choose(/^Event$/, 'first frost');
    expect(sets()).toMatch(/entrance guards on/);
    expect(sets()).not.toMatch(/nothing of this/);
  });

  it('are logged with a plant only where one is meant, and taken back by their id', async () => {
    const { fixture, changes, press } = await showView(Seen, 'happenings', all);
    await controlsOf(fixture).choose(/^Plant$/, 'Dandelion');
    await press(/^Log it/);
    await controlsOf(fixture).choose(/^Event$/, 'first frost');
    await press(/^Log it/);
    await press(/^undo drones flying/);
    const [bloom, frost, back] = changes();
    expect(bloom?.sent.body).toMatchObject({ kind: 'first-bloom', plant: 'dandelion', date: '2026-05-14' });
    expect(frost?.sent.body).toMatchObject({ kind: 'first-frost', plant: null });
    expect(back?.sent.params).toEqual({ event: 'e1' });
  });

  it('show the flow with every reason, for and against', async () => {
    const { element } = await showView(Seen, 'happenings', all);
    expect(text(element)).toMatch(/Flow or dearth: dearth/);
    expect(text(element)).toMatch(/against: robbing/);
  });
});

describe('signs of a flow', () => {
  const inputs = { site: 'home', date: '2026-05-14', hive: 'hive-4' };

  it('go in pairs: one or the other, or neither', async () => {
    const { element, press, changes } = await showView(FlowSigns, 'happenings', all, 'supervisor', inputs);
    const pressed = () => [...element.querySelectorAll('[aria-pressed="true"]')].map((each) => each.textContent.trim());
    await press(/^gentle bees/);
    await press(/^sharp, following bees/);
    expect(pressed()).toEqual(['sharp, following bees']);
    await press(/^sharp, following bees/);
    expect(pressed()).toEqual([]);
    await press(/^white new wax/);
    await press(/^robbing or fighting/);
    await press(/^Save 2 signs/);
    expect(changes()[0]?.sent).toMatchObject({
      params: { site: 'home' },
      body: {
        date: '2026-05-14',
        hive: 'hive-4',
        signs: [
          { sign: 'wax', says: 'flow' },
          { sign: 'robbing', says: 'dearth' },
        ],
      },
    });
    expect(pressed()).toEqual([]);
  });
});

describe('the pollen key', () => {
  it('names likely plants with reasons, keeps the unknown, and settles it later', async () => {
    const { element, press, changes, fixture } = await showView(PollenKey, 'happenings', all, 'lead', { all });
    await press(/^orange/);
    expect(text(element.querySelector('.answer')!)).toMatch(/Dandelion, 9 in 10 ?in bloom/);
    await press(/^it was this/);
    await press(/^blue/);
    expect(text(element.querySelector('.answer')!)).toMatch(/Nothing that blooms here now fits/);
    await press(/^Unknown, ask later/);
    await controlsOf(fixture).choose(/^Plant of the/, 'Dandelion');
    expect(changes().map((change) => [change.endpoint, change.sent.body])).toMatchObject([
      ['seePollen', { colour: 'orange', plant: 'Dandelion', date: '2026-05-14' }],
      ['seePollen', { colour: 'blue', plant: null }],
      ['settlePollen', { plant: 'Dandelion' }],
    ]);
    expect(changes()[2]?.sent.params).toEqual({ seen: 'p1' });
  });
});

describe('the all-alive round', () => {
  const survival = { alive: 7, dead: 1, unsure: 1, share: 7 / 8, low: 0.53, high: 0.98 };
  const hive = (number: string, state: string | null) => ({
    id: `hive-${number}`,
    number,
    stand: 'A',
    state,
    date: state && '2026-02-14',
    setUp: {},
  });
  const round = {
    site: all.site,
    sites: [],
    today: '2026-02-20',
    year: '2025-12-21',
    hives: [hive('1', 'alive'), hive('2', null)],
    survival,
    bySetUp: [{ name: 'brood boxes', value: '2', survival }],
    earlier: [
      {
        year: '2024-12-21',
        survival: { ...survival, alive: 4, dead: 4, unsure: 0, share: 0.5, low: 0.22, high: 0.78 },
      },
    ],
  } as unknown as Round;

  it('gives the share with its range, by set-up and by year', async () => {
    const { element } = await showView(AliveRound, 'aliveRound', round, 'lead', { site: 'home' });
    expect(text(element)).toMatch(/7 of 8 alive, 1 unsure: 88 % \(likely 53 to 98 %\)/);
    expect(text(element)).toMatch(/brood boxes: 2 ?7 of 8 ?53 to 98 %/);
    expect(text(element)).toMatch(/Winter to 2024: 4 of 8 alive: 50 %/);
  });

  it('taps a hive, and takes the tap back with a second one', async () => {
    const { element, changes, fixture } = await showView(AliveRound, 'aliveRound', round, 'lead', { site: 'home' });
    const buttons = [...element.querySelectorAll<HTMLButtonElement>('.hives button')];
    buttons[0]!.click();
    buttons[4]!.click();
    await fixture.whenStable();
    expect(changes().map((change) => change.sent)).toEqual([
      { params: { hive: 'hive-1' }, body: { state: null, date: '2026-02-20' } },
      { params: { hive: 'hive-2' }, body: { state: 'dead', date: '2026-02-20' } },
    ]);
  });

  it('is only looked at by trainees', async () => {
    const { element } = await showView(AliveRound, 'aliveRound', round, 'trainee', { site: 'home' });
    expect([...element.querySelectorAll<HTMLButtonElement>('.hives button')].every((each) => each.disabled)).toBe(true);
  });
});
