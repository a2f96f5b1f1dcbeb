import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import type { Increase } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { IncreaseScreen } from './increase';

const DATA: Increase = {
  site: { id: 'home', name: 'Home orchard' },
  sites: [{ id: 'home', name: 'Home orchard' }],
  today: '2026-05-14',
  combs: {
    inHives: 120,
    inStore: 8,
    foundation: 20,
    goal: 160,
    short: 32,
    buy: 12,
    worthKg: 77,
    reached: true,
    says: '32 drawn combs short: 8 combs in each of 4 strong colonies by 20 Jul',
    unread: ['12'],
  },
  plan: {
    source: 'graft',
    wanted: 2,
    readyBy: null,
    steps: [
      { key: 'feed', from: '2026-05-14', to: '2026-05-15', title: 'Feed thin syrup', why: 'Nurse bees' },
      { key: 'graft', from: '2026-05-16', to: '2026-05-16', title: 'Graft larvae', why: 'Of a day' },
    ],
    laying: { from: '2026-06-04', to: '2026-06-10' },
    proven: '2026-07-01',
    givers: [
      { number: '4', units: 2, says: '2 units: 11 frames of bees, 6.5 of brood' },
      { number: '7', units: 0, says: 'none: mites come first' },
    ],
    units: 2,
    not: null,
    minds: ['No queen or cell at hand, no division'],
    otherSchool: 'buys queens.',
  },
  trials: [
    {
      id: 't1',
      question: 'Super on top or beneath?',
      one: 'on top',
      other: 'beneath',
      measure: 'honey',
      begun: '2026-05-01',
      revisit: '2026-06-01',
      ended: null,
      by: 'Morag Selkirk',
      pairs: [{ one: { number: '1', begin: 0, now: 4.5 }, other: { number: '2', begin: 0, now: null } }],
      measured: 0,
      difference: null,
      verdict: 'open',
      says: 'Nothing measured yet on 1 pair',
    },
  ],
  hives: [
    { hive: 'h1', number: '1', bees: 8, brood: 4 },
    { hive: 'h2', number: '2', bees: 8.5, brood: 4 },
    { hive: 'h3', number: '3', bees: 4, brood: 2 },
  ],
};

describe('increase', () => {
  it('shows the way to new colonies, what each can give, and asks again for another way', async () => {
    const { element, fixture } = await showView(IncreaseScreen, 'increase', DATA);
    const text = textOf(element);
    expect(text).toContain('Laying 4 Jun to 10 Jun. Proven, to be sold or taught with, from 1 Jul.');
    expect([...element.querySelectorAll('.steps li b')].map(textOf)).toEqual([
      'Thu 14 May to Fri 15 May',
      'Sat 16 May',
    ]);
    expect(text).toContain('What these colonies can give: 2 units');
    expect(textOf(element.querySelector('details'))).toContain('Hive 7 none: mites come first');
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const source = await loader.getHarness(MatSelectHarness.with({ ancestor: '.wish' }));
    await source.open();
    await source.clickOptions({ text: 'bought laying' });
    const [wanted] = await loader.getAllHarnesses(MatInputHarness.with({ ancestor: '.wish' }));
    await wanted!.setValue('0');
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Work it out' }))).click();
    expect(textOf(element)).toContain('1 to 50');
    expect(fixture.componentInstance.asked()).toEqual({ source: 'graft', wanted: 2 });
    await wanted!.setValue('5');
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Work it out' }))).click();
    expect(fixture.componentInstance.asked()).toEqual({ source: 'buy-mated', wanted: 5 });
  });

  it('says why there is no way', async () => {
    const plan = { ...DATA.plan, steps: [], laying: null, proven: null, not: 'Disease is suspected in this yard' };
    const { element } = await showView(IncreaseScreen, 'increase', { ...DATA, plan });
    expect(textOf(element.querySelector('.caution'))).toBe('Disease is suspected in this yard.');
    expect(element.querySelector('.steps')).toBeNull();
  });

  it('takes the goal of drawn comb from the lead, and shows it to others', async () => {
    const { element, fixture, changes } = await showView(IncreaseScreen, 'increase', DATA);
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const inputs = await loader.getAllHarnesses(MatInputHarness.with({ ancestor: '.wish' }));
    await inputs.at(-1)!.setValue('200');
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Set the goal' }))).click();
    expect(changes()[0]).toMatchObject({ endpoint: 'setCombGoal', sent: { body: { goal: 200 } } });
    expect(element.querySelectorAll('.layout .drawn')).toHaveLength(8);
    expect(textOf(element)).toContain('Not counted, no comb read lately: hives 12.');
    const own = await showView(IncreaseScreen, 'increase', DATA, 'supervisor');
    expect(textOf(own.element)).not.toContain('Set the goal');
  });

  it('begins a trial with the hives that may take part, once all is said, and ends it', async () => {
    const { element, fixture, changes } = await showView(IncreaseScreen, 'increase', DATA);
    const loader = TestbedHarnessEnvironment.loader(fixture);
    expect(textOf(element.querySelector('.trial tbody'))).toContain('hive 1 0 kg, 4.5 kg hive 2 0 kg, –');
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Begin a trial' }))).click();
    const press = async () => (await loader.getHarness(MatButtonHarness.with({ text: 'Pair them and begin' }))).click();
    await press();
    expect(changes()).toEqual([]);
    expect(textOf(element)).toContain('Say what question the trial should answer.');
    const [question, one, other] = await loader.getAllHarnesses(MatInputHarness.with({ ancestor: '.begin' }));
    await question!.setValue('Candy or syrup?');
    await one!.setValue('candy');
    await other!.setValue('syrup');
    await press();
    expect(changes()[0]).toMatchObject({
      endpoint: 'beginTrial',
      sent: {
        params: { site: 'home' },
        body: { question: 'Candy or syrup?', measure: 'honey', hives: ['h1', 'h2', 'h3'] },
      },
    });
    await (await loader.getHarness(MatButtonHarness.with({ text: 'End the trial' }))).click();
    expect(changes()[1]).toMatchObject({
      endpoint: 'endTrial',
      sent: { params: { trial: 't1' }, body: { how: 'ended' } },
    });
  });
});
