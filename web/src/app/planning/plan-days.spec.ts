import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { MatActionListHarness } from '@angular/material/list/testing';
import type { PlanItem } from '@brave-comb/core/planning';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { PlanDays } from './plan-days';
import type { Cell, Row, Token } from './plan-rows';

const head = (id: string, day: string) => ({
  id,
  date: id,
  day,
  hours: '13:10–15:30',
  site: 'Home orchard',
  odds: 'fit 9 in 10',
});
const token = (number: string, state: Token['state'] = 'both'): Token => ({
  hive: `hive ${number}`,
  number,
  pinned: false,
  state,
  headline: 'Look for queen cells',
  adds: 1,
  costs: 0,
  label: `Hive ${number}`,
});
const cell = (group: string | null, slot: string, supervisor: string, ...tokens: Token[]): Cell => ({
  slot,
  group,
  tokens,
  supervisor,
  away: null,
  unsure: slot === 'tue',
});
const ROWS: readonly Row[] = [
  {
    id: 'curlew',
    name: 'Curlew',
    about: [],
    cells: [cell('curlew', 'thu', 'Tomasz', token('4')), cell('curlew', 'tue', '')],
  },
  {
    id: 'dipper',
    name: 'Dipper',
    about: [],
    cells: [
      cell('dipper', 'thu', 'Leilani', token('7'), token('9', 'there')),
      cell('dipper', 'tue', 'Tomasz', token('3')),
    ],
  },
  { id: null, name: 'Staff', about: [], cells: [cell(null, 'thu', ''), cell(null, 'tue', '', token('12'))] },
];
const open = async (own: string) => {
  const fixture = await show(PlanDays, {
    slots: [head('thu', 'Thu 14'), head('tue', 'Tue 19'), head('sat', 'Sat 23')],
    rows: ROWS,
    own,
  });
  const chosen: PlanItem[] = [];
  fixture.componentInstance.opened.subscribe((item) => chosen.push(item));
  const loader = TestbedHarnessEnvironment.loader(fixture);
  const days = () => [...elementOf(fixture).querySelectorAll('section')].map(textOf);
  const whose = async (text: string) => (await loader.getHarness(MatButtonToggleHarness.with({ text }))).check();
  return { fixture, loader, chosen, days, whose };
};

describe('the plan by day', () => {
  it('shows a supervisor the sessions that they lead first, and every day’s by choice', async () => {
    const { days, whose } = await open('Tomasz');
    expect(days()).toEqual([
      'Thu 14 13:10–15:30, Home orchard fit 9 in 10 Curlew: hive 4, Tomasz Look for queen cells',
      'Tue 19 13:10–15:30, Home orchard fit 9 in 10 Dipper: hive 3, Tomasz Look for queen cells',
    ]);
    await whose('All');
    expect(days()[0]).toMatch(/Curlew: hive 4, Tomasz .* Dipper: hive 7, Leilani/);
    expect(days()[1]).toContain('Staff: hive 12');
    expect(days().join()).not.toMatch(/hive 9|Sat 23/);
    await whose('Curlew');
    expect(days()).toHaveLength(1);
  });

  it('opens what is known of a hive, a group’s or the staff’s', async () => {
    const { loader, chosen } = await open('');
    for (const list of await loader.getAllHarnesses(MatActionListHarness))
      for (const item of await list.getItems()) await item.click();
    expect(chosen).toEqual([
      { kind: 'hive', group: 'curlew', slot: 'thu', hive: 'hive 4' },
      { kind: 'hive', group: 'dipper', slot: 'thu', hive: 'hive 7' },
      { kind: 'hive', group: 'dipper', slot: 'tue', hive: 'hive 3' },
      { kind: 'staff', slot: 'tue', hive: 'hive 12' },
    ]);
  });

  it('says that one leads nothing in these days', async () => {
    const { fixture } = await open('Ruth');
    expect(textOf(elementOf(fixture))).toContain('You lead no session in these days.');
  });
});
