import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { ViewEvents } from '../api/views.feature';
import { showView } from '../../testing/ahead';
import { controlsOf } from '../../testing/controls';
import { SCHOOL_CLOCK } from '../../testing/school-clock';
import { textOf } from '../../testing/text';
import { ByHandScreen } from './by-hand';

const hive = (id: string, number: string, more: object = {}) => ({
  id,
  number,
  minutes: 40,
  barred: false,
  says: null,
  asks: null,
  ...more,
});
const DAY = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [{ id: 'home', name: 'Home orchard' }],
  date: '2026-05-15',
  today: '2026-05-14',
  from: '11:30',
  to: '13:30',
  depth: 'full',
  spans: [
    { depth: null, from: '00:00', to: '09:20', chance: 1 },
    { depth: 'lid', from: '09:20', to: '11:20', chance: 0.8 },
    { depth: 'full', from: '11:20', to: '13:50', chance: 0.7 },
    { depth: null, from: '13:50', to: '00:00', chance: 1 },
  ],
  turns: 'turns 13:50: gusts',
  fit: 0.7,
  groups: [
    {
      id: 'dipper',
      name: 'Dipper',
      size: 6,
      comes: null,
      next: null,
      hives: [
        hive('h5', '5', { asks: 'feed' }),
        hive('h8', '8'),
        hive('h2', '2', { barred: true, says: 'Hive 2 rests.' }),
      ],
      hive: 'h5',
      supervisor: 'leilani',
    },
    {
      id: 'curlew',
      name: 'Curlew',
      size: 7,
      comes: 'not on this weekday',
      next: '2026-05-17T11:00:00Z',
      hives: [hive('h5', '5'), hive('h8', '8')],
      hive: null,
      supervisor: null,
    },
    { id: 'empty', name: 'Plover', size: 0, comes: null, next: null, hives: [], hive: null, supervisor: null },
  ],
  supervisors: [
    { id: 'leilani', name: 'Leilani', away: null },
    { id: 'tomasz', name: 'Tomasz', away: 'exam' },
  ],
};
const settle = async (fixture: { whenStable(): Promise<unknown> }) => {
  await new Promise((done) => setTimeout(done));
  await fixture.whenStable();
};
const sent = () =>
  TestBed.inject(HttpTestingController).expectOne(({ method, url }) => method === 'POST' && url.includes('by-hand'));

describe('a session by hand', () => {
  const shown = async (inputs: object = {}) => {
    const view = await showView(ByHandScreen, 'handSession', DAY, 'lead', { ...inputs }, SCHOOL_CLOCK);
    const group = (name: string) => view.element.querySelector(`[role="group"][aria-label="${name}"]`)!;
    return { ...view, group, ...controlsOf(view.fixture) };
  };

  it('proposes who can come with a rested hive, and says why not of the others', async () => {
    const { element, group } = await shown();
    expect(textOf(element.querySelector('h1'))).toBe('A session on Fri 15 May');
    expect(group('Dipper').querySelector('input')!.checked).toBe(true);
    expect(textOf(group('Dipper').querySelector('.fits'))).toContain('Rested, about 40 min.');
    expect(group('Curlew').querySelector('input')!.checked).toBe(false);
    expect(textOf(group('Curlew').querySelector('.fits'))).toBe(
      'not on this weekday Next for them: Sun 17 May, 12:00.',
    );
    expect(group('Plover').querySelector('input')!.disabled).toBe(true);
    const band = element.querySelector('bc-hand-hours [role="img"]')!;
    expect(band.getAttribute('aria-label')).toContain('11:20 to 13:50: full');
  });

  it('is sent as it stands; where something does not fit it asks why it is held anyway', async () => {
    const { element, fixture, press, write } = await shown();
    await write(/^Message/, 'Veils on at the gate.');
    await press(/^Add and tell them$/);
    const first = sent();
    expect(first.request.body).toMatchObject({
      version: 0,
      date: '2026-05-15',
      from: '11:30',
      to: '13:30',
      depth: 'full',
      parts: [{ group: 'dipper', hive: 'h5', supervisor: 'leilani' }],
      anyway: '',
      tell: true,
      word: 'Veils on at the gate.',
    });
    const message = 'Hive 5 is opened on Thu 14 May too. Change it, or say why it is held anyway.';
    first.flush({ problem: 'does-not-fit', message }, { status: 422, statusText: 'no' });
    await settle(fixture);
    expect(textOf(element.querySelector('[role="alert"]'))).toBe(message);
    await write(/^Why it is held anyway$/, 'The inspector comes.');
    const go = vi.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
    await press(/^Add and tell them$/);
    const again = sent();
    // The same session, however often it is sent.
    expect(again.request.url).toBe(first.request.url);
    expect(again.request.body).toMatchObject({ anyway: 'The inspector comes.' });
    again.flush({ session: 's', told: 7 });
    await settle(fixture);
    expect(go).toHaveBeenCalledWith(again.request.url.replace('/api/planning/by-hand/', '/ahead/'));
  });

  it('is moved a quarter of an hour by a button, which asks for that hour’s weather', async () => {
    const { element, press } = await shown();
    const asked: unknown[] = [];
    const store = TestBed.inject(Store);
    const send = store.dispatch.bind(store) as (action: object) => void;
    store.dispatch = ((action: { type: string; sent?: unknown }) => {
      if (action.type === ViewEvents.wanted.type) asked.push(action.sent);
      send(action);
    }) as never;
    await press(/^A quarter of an hour later$/);
    expect(asked).toContainEqual({ query: { from: '11:45', to: '13:45' } });
    expect(element.querySelector('bc-hand-hours')).not.toBeNull();
  });

  it('is called off with a word; one that was begun is changed no more', async () => {
    const { fixture, element, press, write } = await shown({ session: 's1' });
    const before = {
      id: 's1',
      version: 3,
      site: 'home',
      date: '2026-05-15',
      from: '11:30',
      to: '13:30',
      depth: 'full',
      status: 'planned',
      begun: false,
      byHand: true,
      off: null,
      parts: [
        {
          group: 'dipper',
          hive: 'h8',
          supervisor: 'leilani',
          groupName: 'Dipper',
          number: '8',
          supervisorName: 'Leilani',
        },
      ],
      told: 7,
    };
    const tell = async (view: 'plannedSession' | 'handSession', data: object) => {
      TestBed.inject(Store).dispatch(ViewEvents.loaded({ view, data }));
      await settle(fixture);
    };
    await tell('plannedSession', before);
    await tell('handSession', DAY);
    expect(textOf(element)).toContain('Call off and tell 7');
    await write(/^Message$/, 'Saturday instead.');
    await press(/^Call off and tell 7$/);
    const call = sent();
    expect(call.request.url).toMatch(/s1\/call-off$/);
    expect(call.request.body).toEqual({ off: true, why: 'weather', tell: true, word: 'Saturday instead.' });
    call.flush({ session: 's1', told: 7 });
    await settle(fixture);
    await press(/^Save and tell them$/);
    expect(sent().request.body).toMatchObject({ version: 3, parts: [{ hive: 'h8' }] });
    await tell('plannedSession', { ...before, begun: true });
    expect(textOf(element)).toContain('it is changed no more');
    expect(textOf(element)).not.toContain('Call off');
  });
});
