import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatPaginatorHarness } from '@angular/material/paginator/testing';
import { MatSortHarness } from '@angular/material/sort/testing';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { CombsScreen } from './combs';

const comb = (label: string, grade: string, more: object = {}) => ({
  comb: { id: label, kind: 'drawn', since: 2023, donor: null, label },
  hiveNumber: '4',
  box: 'brood box',
  place: 1,
  store: null,
  donorNumber: null,
  since: '2026-05-01',
  grade,
  why: 'looks sound',
  ...more,
});
const ledger = (combs: readonly object[], more: object = {}) => ({
  stock: [{ store: 'food-reserve', kind: 'food', count: 3 }],
  shortfall: [{ kind: 'foundation', need: 6, have: 2, hives: ['4', '7'] }],
  combs,
  moves: [{ at: '2026-05-05T12:00:00Z', visit: 'v', label: '4-3', from: 'hive 4', to: 'hive 7', reason: 'brood' }],
  ...more,
});
const rows = (element: HTMLElement) => [...element.querySelectorAll('tbody tr')].map(textOf);

describe('the comb store', () => {
  it('calls kinds and stores by their names and days by the calendar', async () => {
    const { element } = await showView(CombsScreen, 'combLedger', ledger([comb('4-1', 'keep')]));
    const text = textOf(element);
    expect(text).toContain('3 food comb food reserve');
    expect(text).toContain('Short of undrawn foundation: 6 needed by hives 4, 7, 2 in store.');
    expect(text).toContain('5 May 4-3 from hive 4 to hive 7: brood');
    expect(rows(element)).toEqual(['4-1 drawn comb, 2023 hive 4, brood box, place 1 looks sound']);
  });

  it('opens on the worst grade that has any, never on an empty one', async () => {
    const pressed = async (combs: readonly object[]) => {
      const { element } = await showView(CombsScreen, 'combLedger', ledger(combs));
      return textOf(element.querySelector('[aria-pressed=true]'));
    };
    expect(await pressed([comb('a', 'keep'), comb('b', 'edge')])).toBe('edge (1)');
    expect(await pressed([comb('a', 'keep'), comb('b', 'replace')])).toBe('replace (1)');
    expect(await pressed([comb('a', 'keep')])).toBe('keep (1)');
    expect(await pressed([])).toBe('replace (0)');
  });

  it('sorts hives by number and pages what is long; another grade begins at its first page', async () => {
    const many = Array.from({ length: 60 }, (_, at) => comb(`c${at}`, 'keep', { hiveNumber: `${60 - at}` }));
    const stored = comb('store', 'edge', { hiveNumber: null, box: null, place: null, store: 'freezer' });
    const { element, fixture, press } = await showView(CombsScreen, 'combLedger', ledger([...many, stored]));
    const loader = TestbedHarnessEnvironment.loader(fixture);
    expect(rows(element)).toEqual(['store drawn comb, 2023 freezer looks sound']);
    await press(/^keep \(60\)/);
    const pages = await loader.getHarness(MatPaginatorHarness);
    expect(await pages.getRangeLabel()).toBe('1 to 50 of 60');
    const heads = await (await loader.getHarness(MatSortHarness)).getSortHeaders({ label: 'Where' });
    await heads[0]!.click();
    expect(rows(element)[0]).toMatch(/^c59 .*hive 1,/);
    expect(rows(element)[1]).toMatch(/^c58 .*hive 2,/);
    await pages.goToNextPage();
    expect(rows(element)).toHaveLength(10);
    await press(/^edge/);
    await press(/^keep/);
    expect(rows(element)).toHaveLength(50);
  });
});
