import type { DaySheet } from '@brave-comb/contract';
import { parseSide } from '@brave-comb/core/inspection';
import { TestBed } from '@angular/core/testing';
import { Store, provideState } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { PlanningEvents, planningFeature } from '../planning/planning.feature';
import { RecordSheets } from './record-sheets';

const box = (id: string) => ({
  layer: { id, kind: 'box', box: 'national-brood', frames: 11, dummy: false },
  kg: null,
  lift: null,
});
const group = (number: string, lastTime: object | null, frameCount = 11) => ({
  hive: { id: `h${number}`, number, stand: 'B', type: 'British National' },
  group: { id: 'g', name: 'Curlew' },
  supervisor: { id: 't', name: 'Tomasz Wierzba' },
  frameCount,
  lastTime,
  stack: [box('brood box'), box('super 1')],
  due: [
    {
      id: 'a',
      question: 'Two cups held eggs: are the cells sealed now?',
      due: '2026-05-14',
      daysLeft: 0,
      strict: 'must',
    },
  ],
  rota: [
    {
      fromFrame: 1,
      toFrame: 4,
      roles: { frames: ['Salma'], smoke: ['Ife'], record: ['Salma'], clock: [], watch: ['Jun'] },
    },
  ],
});
const last = { daysAgo: 9, frames: [{ low: parseSide('3H 5C'), high: parseSide('2E 4S 2H') }] };
const SHEET = {
  session: {
    id: 's1',
    date: '2026-05-14',
    startsAt: '2026-05-14T12:10:00Z',
    endsAt: '2026-05-14T14:30:00Z',
    zone: 'Europe/London',
    site: { id: 'home', name: 'Home orchard' },
  },
  groups: [group('4', last), group('12', null, 10)],
  emergency: { number: '112', grid: '55.1000° N, 3.3000° W' },
} as unknown as DaySheet;

const open = async (sheet: DaySheet) => {
  const shown = await showView(RecordSheets, 'messages', { messages: [] }, 'supervisor', { session: 's1' }, [
    provideState(planningFeature),
  ]);
  TestBed.inject(Store).dispatch(PlanningEvents.daySheetLoaded({ sheet }));
  await shown.fixture.whenStable();
  return [...shown.element.querySelectorAll('article')];
};

describe('the record sheets', () => {
  it('are a page a hive: whose it is, what it is opened for, when to close and whom to call', async () => {
    const pages = await open(SHEET);
    expect(pages).toHaveLength(2);
    const text = textOf(pages[0]!);
    expect(text).toMatch(
      /^hive 4 Curlew, stand B, with Tomasz Wierzba Thursday 14 May 2026, Home orchard, Brenna Fell/,
    );
    expect(text).toContain('One super on 11 frames. Close by 15:30 .');
    expect(text).toContain('Emergency 112 , 55.1000° N, 3.3000° W');
    expect(text).toContain('Two cups held eggs: are the cells sealed now? yes no not seen');
  });

  it('have a row a side in the order of the frames, with what the last visit wrote there under its letter', async () => {
    const [four, twelve] = await open(SHEET);
    const rows = [...four!.querySelectorAll('tbody:not(.shown tbody) tr')].slice(0, 22);
    expect(rows).toHaveLength(22);
    expect(textOf(rows[0]!)).toMatch(/^1 to the wall/);
    expect(textOf(rows[21]!)).toMatch(/^to the wall/);
    // Columns: E L S D P N H C F X.
    const figures = (row: Element) =>
      [...row.querySelectorAll('td')].slice(0, 10).map((cell) => cell.textContent.trim());
    expect(figures(rows[0]!)).toEqual(['', '', '', '', '', '', '3', '5', '', '']);
    expect(figures(rows[1]!)).toEqual(['2', '', '4', '', '', '', '2', '', '', '']);
    expect(textOf(four!)).toContain('Grey: as on Tue 5.');
    expect(textOf(twelve!)).not.toContain('Grey');
    expect(twelve!.querySelectorAll('tbody [scope=rowgroup]')).toHaveLength(10);
  });

  it('name each trainee of the group once, with a box for each level', async () => {
    const [page] = await open(SHEET);
    const people = [...page!.querySelectorAll('.shown tbody tr')];
    expect(people.map((row) => textOf(row))).toEqual(['Ife', 'Salma', 'Jun']);
    expect(people[0]!.querySelectorAll('.box')).toHaveLength(5);
  });
});
