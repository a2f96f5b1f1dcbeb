import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatPaginatorHarness } from '@angular/material/paginator/testing';
import type { Coverage } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { CoverageScreen } from './coverage';

const next = { startsAt: '2026-05-17T11:30:00Z', zone: 'Europe/London', hive: '6', chance: 0.7, planned: true };
const DATA: Coverage = {
  today: '2026-05-14',
  groups: [
    { id: 'curlew', name: 'Curlew', size: 7 },
    { id: 'dipper', name: 'Dipper', size: 6 },
  ],
  skills: [
    {
      id: 'tells-cells',
      name: 'tells cup, fed and sealed queen cell',
      seasonal: true,
      window: { from: '2026-05-14', to: '2026-06-14' },
      offers: [],
      nobody: true,
      groups: [
        { group: 'curlew', seen: 0, since: 0, open: 7, next },
        { group: 'dipper', seen: 0, since: 0, open: 6, next: null },
      ],
    },
    {
      id: 'tells-lids',
      name: 'tells worker from drone cappings',
      seasonal: true,
      window: null,
      offers: [],
      nobody: false,
      groups: [
        { group: 'curlew', seen: 7, since: 7, open: 0, next: null },
        { group: 'dipper', seen: 6, since: 6, open: 0, next: null },
      ],
    },
    {
      id: 'states-aim',
      name: 'states the aim and the depth',
      seasonal: false,
      window: null,
      offers: [],
      nobody: false,
      groups: [
        { group: 'curlew', seen: 5, since: 5, open: 2, next },
        { group: 'dipper', seen: 6, since: 6, open: 1, next: { ...next, planned: false } },
      ],
    },
  ],
};
const rowsOf = (element: HTMLElement) => [...element.querySelectorAll('tbody tr')].map(textOf);

describe('coverage of the checklist', () => {
  it('says for each skill until when the season shows it, who was seen, and the next chance', async () => {
    const { element } = await showView(CoverageScreen, 'coverage', DATA);
    const rows = rowsOf(element);
    expect(rows[0]).toMatch(
      /queen cell nobody yet until Sun 14 Jun 0 of 7 seen, 7 open planned: Sun 17 May, 12:30, hive 6, 7 in 10/,
    );
    expect(rows[0]).toContain('no fair chance in these days');
    expect(rows[1]).toContain('not again this year');
    expect(rows[2]).toMatch(/at any opening .* could be: Sun 17 May/);
    expect(element.textContent).toMatch(/One skill has not been shown/);
  });

  it('shows on request only gaps: what nobody has seen, or what is open and not planned', async () => {
    const { element, fixture } = await showView(CoverageScreen, 'coverage', DATA);
    element.querySelector<HTMLInputElement>('.only input')!.click();
    await fixture.whenStable();
    expect(rowsOf(element).map((row) => row.slice(0, 10))).toEqual(['tells cup,', 'states the']);
  });

  it('names first what each group lacks whose chance ends first, and pages the rest', async () => {
    const more = Array.from({ length: 20 }, (_, at) => ({ ...DATA.skills[2]!, id: `more ${at}`, name: `skill ${at}` }));
    const { element, fixture } = await showView(CoverageScreen, 'coverage', {
      ...DATA,
      skills: [...DATA.skills, ...more],
    });
    const [curlew] = [...element.querySelectorAll('.urgent > li')].map(textOf);
    expect(curlew).toMatch(
      /^Curlew tells cup, fed and sealed queen cell 7 need it, until Sun 14 Jun planned: Sun 17 May, 12:30, hive 6, 7 in 10 states the aim/,
    );
    expect(rowsOf(element)).toHaveLength(15);
    const pages = await TestbedHarnessEnvironment.loader(fixture).getHarness(MatPaginatorHarness);
    expect(await pages.getRangeLabel()).toBe('1 to 15 of 23');
    await pages.goToNextPage();
    expect(rowsOf(element)).toHaveLength(8);
    expect(await pages.getRangeLabel()).toBe('16 to 23 of 23');
  });
});
