import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import type { Forage } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { ForageEditor } from './forage-editor';
import { controlsOf } from '../../testing/controls';

const bloom = (from: string, to: string, more: object = {}) => ({
  from,
  to,
  giveOrTake: 3,
  toGiveOrTake: 4,
  state: 'expected',
  ended: false,
  usual: { from, to },
  movedBy: 0,
  sum: { now: 120, needed: 390, base: 5 },
  ...more,
});
const plant = (id: string, name: string, more: object = {}) => ({
  id,
  name,
  nectar: 3,
  pollen: 2,
  latin: `${name} latin`,
  model: { kind: 'degree-days', base: 5, sum: 390, days: 21 },
  seen: [],
  ...more,
});
const seen = (first: string, last: string | null, year = '2025-12-21') => ({
  plant: 'x',
  year,
  first,
  last,
  by: 'Ruth',
});
const all = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [],
  today: '2026-05-14',
  turn: '12-21',
  method: 'single-sine',
  plants: [
    plant('hawthorn', 'Hawthorn', { bloom: bloom('2026-05-17', '2026-06-07', { movedBy: -7 }) }),
    plant('dandelion', 'Dandelion', {
      bloom: bloom('2026-04-16', '2026-05-26', { state: 'seen', giveOrTake: 0 }),
      seen: [seen('2025-04-20', null, '2024-12-21'), seen('2026-04-16', null)],
    }),
    plant('gorse', 'Gorse', {
      nectar: 0,
      bloom: bloom('2026-03-05', '2026-05-12', { state: 'seen', ended: true }),
      seen: [seen('2026-03-05', '2026-05-12')],
    }),
    plant('palm', 'Palm', { bloom: null }),
  ],
  list: [plant('borage', 'Borage'), plant('thyme', 'Thyme')],
  mayEdit: true,
} as unknown as Forage;
const row = (element: HTMLElement, name: string) =>
  [...element.querySelectorAll('tbody tr')]
    .find((each) => each.textContent.includes(name))!
    .textContent.replace(/\s+/g, ' ');

describe('the forage calendar', () => {
  it('tells of each plant what is seen, expected or over, and what it rests on', async () => {
    const { element } = await showView(ForageEditor, 'forage', all);
    expect(row(element, 'Hawthorn')).toMatch(/expected 17 May, 3 days either way/);
    expect(row(element, 'Hawthorn')).toMatch(
      /120 of 390 degree days over 5 °C; 7 days earlier, going by other plants this year/,
    );
    expect(row(element, 'Dandelion')).toMatch(/seen 16 Apr, to about 26 May/);
    expect(row(element, 'Dandelion')).toMatch(/2 years known/);
    expect(row(element, 'Gorse')).toMatch(/over since 12 May/);
    expect(row(element, 'Palm')).toMatch(/not warm enough here/);
  });

  it('says the worth of nectar and pollen in words to those who do not see the dots', async () => {
    const { element } = await showView(ForageEditor, 'forage', all);
    const gorse = [...element.querySelectorAll('tbody tr')].find((each) => each.textContent.includes('Gorse'))!;
    expect([...gorse.querySelectorAll('.dots')].map((dots) => dots.getAttribute('aria-label'))).toEqual([
      'none',
      'useful',
    ]);
  });

  it('notes bloom seen today, and its end, for the right plant', async () => {
    const { changes, press } = await showView(ForageEditor, 'forage', all);
    await press(/^Bloom seen today.*Hawthorn/);
    await press(/^Over today.*Dandelion/);
    await press(/^undo last bloom of Gorse/);
    expect(changes().map((change) => change.sent)).toEqual([
      { params: { site: 'home' }, body: { plant: 'hawthorn', which: 'first', date: '2026-05-14' } },
      { params: { site: 'home' }, body: { plant: 'dandelion', which: 'last', date: '2026-05-14' } },
      { params: { site: 'home' }, body: { plant: 'gorse', which: 'last', date: null } },
    ]);
  });

  it('takes back from the bar below what was just noted or removed', async () => {
    const { changes, press, fixture } = await showView(ForageEditor, 'forage', all);
    const undo = async () => {
      const bar = await TestbedHarnessEnvironment.documentRootLoader(fixture).getHarness(MatSnackBarHarness);
      const says = await bar.getMessage();
      await bar.dismissWithAction();
      return says;
    };
    await press(/^undo last bloom of Gorse/);
    expect(await undo()).toBe('What was seen of Gorse was taken back.');
    await press(/^remove Palm/);
    expect(await undo()).toBe('Palm was removed from the list.');
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent.body])).toEqual([
      ['seeBloom', { plant: 'gorse', which: 'last', date: null }],
      ['seeBloom', { plant: 'gorse', which: 'last', date: '2026-05-12' }],
      ['dropPlant', { plant: 'palm' }],
      ['keepPlant', { id: 'palm', name: 'Palm', nectar: 3, pollen: 2, model: all.plants[3]!.model }],
    ]);
  });

  it('finds plants of the general list by either name and adds them as they are', async () => {
    const { element, changes, press, fixture } = await showView(ForageEditor, 'forage', all);
    const search = element.querySelector<HTMLInputElement>('input[type="search"]')!;
    search.value = 'thyme LAT';
    search.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(
      [...element.querySelectorAll('.list li')].map((each) => each.querySelector('span')!.textContent.trim()),
    ).toEqual(['Thyme Thyme latin']);
    await press(/^add Thyme/);
    expect(changes()[0]).toMatchObject({ endpoint: 'keepPlant', sent: { body: { id: 'thyme', nectar: 3 } } });
    expect(changes()[0]?.sent.body).not.toHaveProperty('latin');
  });

  it('changes a plant in a form that refuses what cannot be', async () => {
    const { element, changes, press, fixture } = await showView(ForageEditor, 'forage', all);
    await press(/^change Hawthorn/);
    const set = async (name: string, value: string) => {
      const input = element.querySelector<HTMLInputElement>(`form [formcontrolname="${name}"]`)!;
      input.value = value;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    await set('days', '500');
    expect([...element.querySelectorAll<HTMLButtonElement>('form button')][0]!.disabled).toBe(true);
    await set('days', '24');
    await set('sum', '410');
    await press(/^Save$/);
    expect(changes()[0]?.sent.body).toEqual({
      id: 'hawthorn',
      name: 'Hawthorn',
      nectar: 3,
      pollen: 2,
      model: { kind: 'degree-days', base: 5, sum: 410, days: 24 },
    });
    expect(element.querySelector('bc-plant-form')).toBeNull();
  });

  it('asks for dates or for degree days, as is chosen', async () => {
    const { element, press, fixture } = await showView(ForageEditor, 'forage', all);
    await press(/^change Hawthorn/);
    const asked = () => ['sum', 'opens'].filter((name) => element.querySelector(`form [formcontrolname="${name}"]`));
    const { choose, chosen } = controlsOf(fixture);
    expect(await chosen(/^Blooms by$/)).toBe('degree days');
    await choose(/^Blooms by$/, 'dates');
    expect(asked()).toEqual(['opens']);
    await choose(/^Blooms by$/, 'degree days');
    expect(asked()).toEqual(['sum']);
  });

  it('lets trainees see and tell what blooms, and change nothing else', async () => {
    const { element } = await showView(ForageEditor, 'forage', { ...all, mayEdit: false }, 'trainee');
    const buttons = [...element.querySelectorAll('button')].map((each) => each.textContent.replace(/\s+/g, ' ').trim());
    expect(buttons.some((text) => text.startsWith('Bloom seen today'))).toBe(true);
    expect(buttons.some((text) => /^(change|take off|add|Another plant)/.test(text))).toBe(false);
  });
});
