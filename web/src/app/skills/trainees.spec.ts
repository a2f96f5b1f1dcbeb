import { BreakpointObserver } from '@angular/cdk/layout';
import { TestBed } from '@angular/core/testing';
import { STANDING_STATES } from '@brave-comb/core/skills';
import { Store } from '@ngrx/store';
import { of } from 'rxjs';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { ViewEvents } from '../api/views.feature';
import type { Matrix } from './matrix-rows';
import { TraineesScreen } from './trainees';

const state = (name: (typeof STANDING_STATES)[number]) => STANDING_STATES.indexOf(name);
const trainee = (id: string, standings: Matrix['groups'][number]['trainees'][number]['standings']) => ({
  id,
  name: id.slice(0, 1).toUpperCase() + id.slice(1),
  visits: 1,
  held: 1,
  smoked: 0,
  standings,
});
const MATRIX: Matrix = {
  today: '2026-05-14',
  skills: ['finds-eggs', 'sums-up'].map((id) => ({
    id,
    name: id.replace('-', ' '),
    phase: 'read' as const,
    gate: false,
    level: 'alone' as const,
    window: id === 'finds-eggs' ? { from: '2026-05-14', to: '2026-06-10' } : null,
    seasonal: id === 'finds-eggs',
  })),
  groups: [
    {
      id: 'curlew',
      name: 'Curlew',
      until: '2026-07-12',
      trainees: [
        trainee('salma', [
          [state('in-progress'), 1, null],
          [state('not-met'), -1, null],
        ]),
      ],
    },
    {
      id: 'dipper',
      name: 'Dipper',
      until: null,
      trainees: [
        trainee('chloe', [
          [state('shown'), 3, '2026-06-01'],
          [state('not-met'), -1, null],
        ]),
      ],
    },
  ],
  claims: [],
};
const PASSPORT = {
  trainee: { id: 'salma', name: 'Salma' },
  school: 'Brenna Fell',
  groups: ['Curlew'],
  supervisors: [],
  today: '2026-05-14',
  version: 1,
  skills: MATRIX.skills.map(({ id, name }) => ({
    id,
    name,
    phase: 'read',
    shownBy: 'seen',
    rule: 'Alone twice.',
    asked: 'alone',
    sounds: [],
    standing: {
      state: id === 'finds-eggs' ? 'in-progress' : 'not-met',
      level: null,
      counted: [],
      missing: [],
      until: null,
      last: null,
      progress: 0,
    },
    says: 'alone twice more',
    evidence: [],
    signOffs: [],
    waitsFor: [],
  })),
  earlier: [],
  checkWords: '',
  gates: [],
  hives: [],
  held: 1,
  visits: 1,
};
const next = (startsAt: string, planned: boolean) => ({
  startsAt,
  zone: 'Europe/London',
  hive: '4',
  chance: 0.6,
  planned,
});
const COVERAGE = {
  today: '2026-05-14',
  groups: [],
  skills: [
    {
      id: 'finds-eggs',
      groups: [
        { group: 'curlew', seen: 1, open: 1, next: next('2026-05-17T13:00:00.000Z', true) },
        { group: 'dipper', seen: 1, open: 0, next: next('2026-05-16T13:00:00.000Z', true) },
      ],
      offers: [],
    },
    {
      id: 'sums-up',
      groups: [
        { group: 'curlew', seen: 0, open: 1, next: null },
        { group: 'dipper', seen: 0, open: 1, next: next('2026-05-19T13:00:00.000Z', false) },
      ],
      offers: [],
    },
  ],
};

describe('trainees', () => {
  const open = async (providers: Parameters<typeof showView>[5] = []) => {
    const shown = await showView(TraineesScreen, 'traineeMatrix', MATRIX, 'lead', {}, providers);
    const send = async (view: 'coverage' | 'passport', data: object) => {
      TestBed.inject(Store).dispatch(ViewEvents.loaded({ view, data }));
      await shown.fixture.whenStable();
    };
    const foot = () => [...shown.element.querySelectorAll('.chance')].map((each) => textOf(each));
    return { ...shown, send, foot };
  };

  it('do not wait for the planner, and show the next chances once it has answered', async () => {
    const { element, send, foot } = await open();
    expect(textOf(element)).toContain('Still needed for sign-off: 3');
    expect(foot()).toEqual([]);
    await send('coverage', COVERAGE);
    expect(foot()).toEqual(['17', '19']);
    expect([...element.querySelectorAll('.chance')].map((each) => each.getAttribute('aria-label'))).toEqual([
      'finds eggs: Sun 17 May, hive 4, 6 in 10',
      'sums up: Tue 19 May, hive 4, 6 in 10, not planned yet',
    ]);
  });

  it('are narrowed to a group, with its own chances and counts', async () => {
    const { element, press, send, foot } = await open();
    await send('coverage', COVERAGE);
    await press(/^Dipper 1$/);
    expect(textOf(element)).toContain('Still needed for sign-off: 1');
    expect(textOf(element)).toContain('Needs refreshing: 1');
    expect(foot()).toEqual(['19']);
    await press(/^All skills 2$/);
    expect(foot()).toEqual(['–', '19']);
    await press(/^Curlew 1$/);
    expect(foot()).toEqual(['17', 'no']);
    await press(/^All 2$/);
    expect(textOf(element)).toContain('Still needed for sign-off: 3');
  });

  it('bring out one thing at a time, or nothing', async () => {
    const { element, press } = await open();
    const outstanding = () => element.querySelectorAll('.cell.out').length;
    expect(element.querySelector('.filtered')).toBeNull();
    await press(/^Still needed for sign-off: 3$/);
    expect(outstanding()).toBe(3);
    await press(/^Shown by nobody: 1$/);
    expect(outstanding()).toBe(2);
    await press(/^Shown by nobody: 1$/);
    expect(element.querySelector('.filtered')).toBeNull();
  });

  it('open one beside the matrix, with what is missing and when it can be shown', async () => {
    const { element, press, send, fixture } = await open();
    await send('coverage', COVERAGE);
    [...element.querySelectorAll<HTMLElement>('[role=rowheader]')]
      .find((each) => each.textContent === 'Salma')
      ?.click();
    await fixture.whenStable();
    await send('passport', PASSPORT);
    const side = element.querySelector('bc-trainee-side')!;
    expect(textOf(side)).toContain('0 of 2 skills met, 2 still needed for sign-off');
    expect(textOf(side.querySelector('.open'))).toContain('finds eggs alone twice more Sun 17 May, hive 4, 6 in 10');
    expect(textOf(side.querySelector('.open'))).toContain('sums up alone twice more no fair chance in these days');
    expect(side.querySelector('a[href^="/trainees/"]')!.getAttribute('href')).toBe('/trainees/salma');
    await press(/^Close$/);
    expect(element.querySelector('bc-trainee-side')).toBeNull();
  });

  it('are a list on a phone, by skill or by person; the matrix is one press away', async () => {
    const phone = { observe: () => of({ matches: true }), isMatched: () => true };
    const { element, press, send, fixture } = await open([{ provide: BreakpointObserver, useValue: phone }]);
    await send('coverage', COVERAGE);
    await fixture.whenStable();
    const lines = () => [...element.querySelectorAll('bc-needs-list li')].map(textOf);
    expect(lines()[0]).toMatch(/^finds eggs 4 weeks left Salma next: Sun 17 May, hive 4, 6 in 10$/);
    expect(lines()[1]).toMatch(/2 of 2 not begun next: Tue 19 May, hive 4, 6 in 10, not planned yet$/);
    await press(/^Curlew 1$/);
    expect(lines()[1]).toMatch(/ 1 not begun no date in this plan$/);
    await press(/^By person$/);
    expect(lines().join()).toBe('Salma 2 skills open finds eggs four headings');
    await press(/^Salma$/);
    expect(element.querySelector('bc-trainee-side')).not.toBeNull();
    await press(/^Matrix$/);
    expect(element.querySelector('bc-matrix-grid')).not.toBeNull();
  });
});
