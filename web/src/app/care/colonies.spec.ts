import type { ColonyLine, ColonyList, ColonyStory } from '@brave-comb/contract';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { textOf } from '../../testing/text';
import { showView } from '../../testing/ahead';
import { Colonies } from './colonies';
import { Colony } from './colony';
import { Forecaster } from './forecaster';
import { type ForecastAsked, foresee } from './foreseen';

const ask = (what: string, by: string, toDecide: boolean): ColonyLine['asks'][number] => ({
  key: what,
  what,
  why: 'because',
  from: '2026-05-07',
  by,
  strict: 'must',
  toDecide,
  errand: { minutes: 10, when: 'day', opens: true, brings: [] },
  bring: null,
});
const line = (number: string, more: Partial<ColonyLine> = {}): ColonyLine => ({
  hive: `hive-${number}`,
  number,
  site: { id: 'home', name: 'Home orchard' },
  stand: 'B',
  temper: 2,
  frames: [{ low: null, high: null }],
  queen: { year: 2025, colour: 'blue', marked: true, says: 'eggs on 9 May' },
  course: [
    { date: '2026-04-26', bees: 6, brood: 3 },
    { date: '2026-05-09', bees: 8, brood: 4 },
  ],
  bees: { value: 9, low: 8, high: 10 },
  brood: { value: 4.4, low: 4, high: 5 },
  storesKg: { value: 7.5, low: 6, high: 9 },
  foodDays: 31,
  gaining: false,
  mites: null,
  miteLimit: 3,
  attention: 'this-week',
  asks: [ask('Look for queen cells', '2026-05-16', false)],
  decideAt: null,
  next: null,
  mind: [],
  opened: { times: 2, limit: 4 },
  forNovices: true,
  ...more,
});
const all: ColonyList = {
  today: '2026-05-14',
  zone: 'Europe/London',
  sites: [
    { id: 'home', name: 'Home orchard' },
    { id: 'moor', name: 'Moor edge' },
  ],
  colonies: [
    line('6', {
      attention: 'now',
      asks: [ask('Put a super on', '2026-05-09', true)],
      decideAt: 'visit-6',
      mind: [{ text: 'Disease suspected: uneven cappings', level: 'stop' }],
      forNovices: false,
      opened: { times: 5, limit: 4 },
    }),
    line('4', {
      mites: {
        date: '2026-04-26',
        method: 'wash',
        bees: 300,
        mites: 10,
        inHundred: { value: 3.3, low: 1.8, high: 6 },
      },
    }),
    line('12', { site: { id: 'moor', name: 'Moor edge' }, bees: null, storesKg: null, attention: 'nothing', asks: [] }),
  ],
};
const rows = (element: HTMLElement) =>
  [...element.querySelectorAll('tbody tr')].map((row) => row.textContent.replace(/\s+/g, ' ').trim());
const toggle = async (element: HTMLElement, name: string, settled: () => Promise<unknown>) => {
  [...element.querySelectorAll<HTMLButtonElement>('mat-button-toggle button')]
    .find((button) => button.textContent.trim().startsWith(name))!
    .click();
  await settled();
};

describe('all colonies', () => {
  it('stand under the day by which they need somebody, with what each asks for', async () => {
    const { element } = await showView(Colonies, 'colonyList', all);
    expect(rows(element)[0]).toBe('By Sat 16 May within two days, or already late');
    expect(rows(element)[1]).toMatch(/Hive 6.*Put a super on.*Disease suspected.*5 of 4/);
    expect(rows(element)[3]).toMatch(/3\.3.*26 Apr.*Look for queen cells/);
    expect(rows(element)[5]).toMatch(/Hive 12.*not known now.*not counted.*nothing/);
    expect(element.querySelector('a[href="/afterwards/visit-6"]')!.textContent).toBe('Put a super on');
    expect(element.querySelector('a[href="/colonies/hive-4"]')).not.toBeNull();
  });

  it('are narrowed to a site, or to those for people who are new to it', async () => {
    const { element, fixture } = await showView(Colonies, 'colonyList', all);
    await toggle(element, 'Moor edge', () => fixture.whenStable());
    expect(rows(element)).toHaveLength(2);
    await toggle(element, 'Fit for novices 2', () => fixture.whenStable());
    expect(rows(element).some((row) => row.includes('Hive 6'))).toBe(false);
    expect(rows(element).some((row) => row.includes('Hive 4'))).toBe(true);
  });

  it('are set side by side, figure by figure, when two are picked', async () => {
    const { element, fixture } = await showView(Colonies, 'colonyList', all);
    const boxes = [...element.querySelectorAll<HTMLInputElement>('mat-checkbox input')];
    boxes[0]!.click();
    await fixture.whenStable();
    expect(element.querySelector('bc-colony-compare')).toBeNull();
    boxes[2]!.click();
    await fixture.whenStable();
    const compare = element.querySelector('bc-colony-compare')!.textContent.replace(/\s+/g, ' ');
    expect(compare).toMatch(/Expected today ?Hive 6 ?Hive 12/);
    expect(compare).toMatch(/Bees, frames 9 not known/);
  });
});

const day = {
  laying: 1200,
  life: 36,
  broodPerBees: 0.6,
  incomeKg: 0.03,
  fedKg: 0,
  clustered: false,
  drones: 0.05,
  mitesKilled: 0,
};
const seen = (at: number, bees: number) => ({
  day: at,
  bees: { value: bees, low: bees - 0.5, high: bees + 0.5 },
  eggs: { value: 0.5, low: 0.4, high: 0.6 },
  larvae: { value: 1, low: 0.9, high: 1.1 },
  sealed: { value: 2, low: 1.8, high: 2.2 },
  storesKg: { value: 7, low: 6, high: 8 },
  sample: null,
  frames: 11,
  holdsKg: 25,
  foodMoved: false,
});
const visit = (id: string, date: string, bees: number): ColonyStory['visits'][number] => ({
  id,
  date,
  look: 'full',
  frames: [],
  bees: { value: bees, low: bees - 0.5, high: bees + 0.5 },
  brood: { value: 3.5, low: 3, high: 4 },
  storesKg: { value: 7, low: 6, high: 8 },
  superKg: 2,
  temper: 1,
  queen: 'eggs',
  open: id === 'second',
});
const story: ColonyStory = {
  aim: 'growth',
  stock: { verdict: 'keep', reasons: [{ text: 'Noted on 1 day: gentle on the comb', weight: 0.5, sense: 'for' }] },
  hive: 'hive-4',
  number: '4',
  site: { id: 'home', name: 'Home orchard' },
  stand: 'B',
  zone: 'Europe/London',
  today: '2026-05-14',
  says: 'One box of 11 frames, no super.',
  line: all.colonies[1]!,
  stack: [],
  combs: [
    { place: 5, year: 2022, says: '4 years in use', toRenew: true },
    { place: 6, year: null, says: 'age not known, looks sound', toRenew: false },
  ],
  noForecast: null,
  forecast: {
    first: '2026-04-26',
    facts: {
      seen: [seen(0, 6), seen(10, 7)],
      days: Array.from({ length: 61 }, () => day),
      nest: { cellsPerFrame: 5400, beesPerFrame: 1700 },
      draws: 60,
      seed: 1,
    },
  },
  limits: { roomFrames: 11, leastKg: 5, mites: 3 },
  phases: [{ phase: 'swarm-season', from: '2026-05-01', to: '2026-06-20' }],
  visits: [visit('first', '2026-04-26', 6), visit('second', '2026-05-06', 7)],
  samples: [],
  weights: [],
  courses: [
    {
      medicine: 'thymol, gel',
      from: '2026-04-20',
      end: '2026-05-01',
      ended: true,
      freeFrom: '2026-05-10',
      supersAllowed: false,
      worked: null,
    },
  ],
  events: [{ date: '2026-05-05', kind: 'feed', words: '2 kg of thin syrup', by: 'Ruth' }],
  decisions: [],
  planned: [],
  before: null,
  after: { hive: 'hive-5', number: '5' },
};
/** Reckons where it is asked, as there are no workers here. */
class AtOnce {
  reckon = (asked: ForecastAsked) => Promise.resolve(foresee(asked));
}
const shown = (of: ColonyStory) =>
  showView(Colony, 'colonyStory', of, 'lead', { hive: 'hive-4' }, [{ provide: Forecaster, useClass: AtOnce }]);

describe('the story of a colony', () => {
  it('says what it is kept for and what its queen’s stock is worth; a lead changes that, a trainee reads it', async () => {
    const { element, fixture, changes } = await shown(story);
    expect(textOf(element.querySelector('bc-stock-card'))).toContain('Keep this queen as she is.');
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const aim = await loader.getHarness(
      MatSelectHarness.with({ ancestor: 'bc-stock-card', selector: ':not(.note *)' }),
    );
    expect(await aim.getValueText()).toBe('more colonies');
    await aim.open();
    await aim.clickOptions({ text: 'a queen in reserve' });
    expect(changes()[0]).toMatchObject({
      endpoint: 'logColonyEvent',
      sent: { params: { hive: 'hive-4' }, body: { detail: { kind: 'aim', of: 'reserve' } } },
    });
    const trait = await loader.getHarness(MatSelectHarness.with({ ancestor: '.note' }));
    await trait.open();
    await trait.clickOptions({ text: 'swarms while still small' });
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Record it' }))).click();
    expect(changes()[1]).toMatchObject({ sent: { body: { detail: { kind: 'trait', trait: 'swarms-small' } } } });
    const read = await showView(Colony, 'colonyStory', story, 'trainee', { hive: 'hive-4' }, [
      { provide: Forecaster, useClass: AtOnce },
    ]);
    const card = read.element.querySelector('bc-stock-card')!;
    expect(textOf(card)).toContain('Kept for: more colonies');
    expect(card.querySelector('mat-select, button')).toBeNull();
  });

  it('says what is foreseen, and sets each visit beside what was', async () => {
    const { element } = await shown(story);
    const text = element.textContent.replace(/\s+/g, ' ');
    expect(text).toMatch(/All room covered within six weeks: /);
    expect(text).toMatch(/Mites: not counted lately/);
    expect(text).toMatch(/here \d of 3 did/);
    const [latest, first] = rows(element);
    expect(latest).toMatch(/^Wed 6 May ?7 ?\d.* to \d/);
    expect(first).toMatch(/^Sun 26 Apr ?6 ?3.5 9 kg eggs 1$/);
    expect(element.querySelector('a[href="/afterwards/second"]')).not.toBeNull();
    expect(element.querySelector('a[href="/afterwards/first"]')).toBeNull();
  });

  it('draws medicines with the days that they bind honey, feeds, and the part that is foreseen', async () => {
    const { element } = await shown(story);
    const chart = element.querySelector('bc-story-chart')!;
    expect(chart.textContent).toMatch(/thymol, gel/);
    expect(chart.textContent).toMatch(/2 kg of thin syrup/);
    expect(chart.querySelector('[fill="url(#story-locked)"]')).not.toBeNull();
    expect(chart.querySelectorAll('path[stroke-dasharray="5 3"]').length).toBeGreaterThan(2);
    expect(chart.querySelector('svg')!.getAttribute('aria-label')).toMatch(/^Hive 4: 2 visits, 0 mite counts/);
  });

  it('moves along the axis and looks closer by keys', async () => {
    const { element, fixture } = await shown({ ...story, visits: [visit('old', '2025-09-01', 8), ...story.visits] });
    const slider = element.querySelector('bc-story-brush svg')!;
    const window = () => slider.getAttribute('aria-valuetext')!;
    const before = window();
    const key = async (name: string) => {
      slider.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
      await fixture.whenStable();
    };
    await key('ArrowLeft');
    const moved = window();
    expect(moved < before).toBe(true);
    await key('+');
    expect(window() > moved).toBe(true);
    await key('ArrowRight');
    await key('ArrowRight');
    expect(window().endsWith('2026-06-25')).toBe(true);
  });

  it('names combs to renew and counts those of unknown age', async () => {
    const { element } = await shown(story);
    const combs = [...element.querySelectorAll('.combs li')].map((each) =>
      each.textContent.replace(/\s+/g, ' ').trim(),
    );
    expect(combs).toEqual(['5 2022 4 years in use', 'One comb of unknown age']);
  });

  it('says why there is no forecast', async () => {
    const { element } = await shown({ ...story, forecast: null, noForecast: 'There is nothing to foresee from.' });
    expect(element.textContent).toMatch(/There is nothing to foresee from\./);
    expect(element.textContent).not.toMatch(/All room covered within/);
  });
});
