import { HttpTestingController } from '@angular/common/http/testing';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatDialog } from '@angular/material/dialog';
import type { DaySheet } from '@brave-comb/contract';
import { Store, provideState } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { DeviceStore } from '../device/device-store';
import { PreparedVisits } from '../inspection/prepared-visits';
import { Clock } from '../people/clock';
import { PlanningEvents, planningFeature } from '../planning/planning.feature';
import { HiveStart } from './hive-start';

const group = (number: string, name: string, startsAt: string, visit: { id: string; closed: boolean } | null) => ({
  hive: { id: `h${number}`, number, stand: 'B' },
  group: { id: name.toLowerCase(), name },
  supervisor: { id: 't', name: 'Tomasz Wierzba' },
  size: 7,
  why: [],
  due: [{ id: 'q', question: `What of ${number}?`, due: '2026-05-17', daysLeft: 3, strict: 'must' }],
  alone: null,
  startsAt,
  visit,
});
const SHEET = {
  session: {
    id: 's1',
    startsAt: '2026-05-14T12:10:00Z',
    endsAt: '2026-05-14T14:30:00Z',
    zone: 'Europe/London',
    site: { id: 'home', name: 'Home orchard' },
  },
  mayStart: true,
  mine: null,
  emergency: {
    number: '112',
    place: 'The yard gate on the lane',
    grid: '55.1000° N, 3.3000° W',
    signal: 'At the gate',
    school: '555 0100',
    kit: 'Red bag at the gate',
    steps: ['Walk them away.'],
    people: [{ name: 'Jun', note: 'carries a pen' }],
  },
  groups: [
    group('4', 'Curlew', '2026-05-14T12:10:00Z', { id: 'v4', closed: false }),
    group('7', 'Dipper', '2026-05-14T12:20:00Z', null),
    group('6', 'Lapwing', '2026-05-14T12:40:00Z', null),
  ],
} as unknown as DaySheet;
const visit = (number: string, id: string, closedAt: string | null) => ({
  id,
  hive: `h${number}`,
  hiveNumber: number,
  site: 'Home orchard',
  zone: 'Europe/London',
  group: { id: 'curlew', name: 'Curlew' },
  supervisor: { id: 't', name: 'Tomasz Wierzba' },
  startedAt: '2026-05-14T07:00:00Z',
  closedAt,
});
const hive = (number: string, stand: string) => ({
  id: `h${number}`,
  number,
  site: 'home',
  siteName: 'Home orchard',
  stand,
});

describe('at the hive, before a visit', () => {
  const open = async (sheet: DaySheet | null, waiting = 0) => {
    const opened: string[] = [];
    const shown = await showView(HiveStart, 'messages', { messages: [] }, 'supervisor', {}, [
      provideState(planningFeature),
      { provide: Clock, useValue: { now: signal(Date.parse('2026-05-14T12:30:00Z')), instant: () => '' } },
      { provide: DeviceStore, useValue: { unsent: signal(waiting) } },
      {
        provide: PreparedVisits,
        useValue: {
          ready: signal(null),
          open: (_: DaySheet, { hive }: DaySheet['groups'][number]) => {
            opened.push(hive.number);
            return Promise.resolve();
          },
        },
      },
    ]);
    const http = TestBed.inject(HttpTestingController);
    const answer = (path: string, body: object) =>
      http.match((asked) => asked.url === path).forEach((each) => each.flush(body));
    answer('/api/visits', {
      visits: [visit('4', 'v4', null), visit('1', 'v1', null), visit('9', 'v9', '2026-05-10T10:00:00Z')],
    });
    answer('/api/hives', { address: null, hives: [hive('1', 'A'), hive('4', 'B'), hive('7', 'B')] });
    TestBed.inject(Store).dispatch(sheet ? PlanningEvents.daySheetLoaded({ sheet }) : PlanningEvents.noSessionAhead());
    await shown.fixture.whenStable();
    return { ...shown, opened };
  };

  it('goes on with the open hive first, starts the others, and says who is late', async () => {
    const { element, press, opened } = await open(SHEET);
    const today = [...element.querySelectorAll('.today > .sheet')].map((each) => textOf(each));
    expect(today[0]).toMatch(/Curlew.* What of 4\? open now .*Go on/);
    expect(today[1]).toMatch(/Dipper.*planned 13:20, 10 min late: keep it short.*Start/);
    expect(today[2]).toMatch(/Lapwing.*planned 13:40.*Start/);
    expect([...element.querySelectorAll('.today .mat-mdc-unelevated-button')].map((each) => textOf(each))).toEqual([
      'Go on hive 4',
    ]);
    await press(/^Start hive 7$/);
    expect(opened).toEqual(['7']);
  });

  it('shows a visit that is open outside today’s session, and no closed one', async () => {
    const { element } = await open(SHEET);
    const links = [...element.querySelectorAll('.today a')].map((each) => each.getAttribute('href'));
    expect(links).toContain('/at-the-hive/visit/v1');
    expect(links).not.toContain('/at-the-hive/visit/v9');
    expect(links).not.toContain('/at-the-hive/visit/v4');
  });

  it('leads to any hive, by its stand, and says which are open or of today', async () => {
    const { element } = await open(SHEET);
    const side = textOf(element.querySelector('.side'));
    expect(side).toMatch(/Home orchard, A Hive 1 open Home orchard, B Hive 4 open Hive 7 13:20/);
  });

  it('without a session today says when the next one is, or none', async () => {
    const saturday = { ...SHEET, session: { ...SHEET.session, startsAt: '2026-05-16T12:10:00Z' } };
    const ahead = await open(saturday);
    expect(textOf(ahead.element)).toContain('No session today The next one is on Sat 16 May');
    const none = await open(null);
    expect(textOf(none.element)).toContain('None is planned ahead');
    expect(none.element.querySelectorAll('.side ul a')).toHaveLength(3);
  });

  it('tells a trainee to join, and lets nobody but staff start', async () => {
    const { element } = await open({ ...SHEET, mayStart: false });
    const buttons = [...element.querySelectorAll('.today > .sheet button')].map((each) => textOf(each));
    expect(buttons).toEqual(['Join hive 4']);
  });

  it('counts what waits on this device', async () => {
    expect(textOf((await open(SHEET, 3)).element)).toContain('3 entries wait. They go by themselves');
    expect(textOf((await open(SHEET)).element)).toContain('Everything entered here was sent.');
  });

  it('has the emergency card at hand before a hive is open', async () => {
    const { press } = await open(SHEET);
    await press(/^Emergency card/);
    const card = document.querySelector('bc-emergency-card')!;
    expect(card.querySelector<HTMLAnchorElement>('a')!.href).toBe('tel:112');
    expect(card.textContent).toMatch(/Walk them away.*55\.1000° N.*Jun.*carries a pen/);
    TestBed.inject(MatDialog).closeAll();
  });
});
