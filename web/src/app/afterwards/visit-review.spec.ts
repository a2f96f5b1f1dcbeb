import { provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { type Action, Store, provideState, provideStore } from '@ngrx/store';
import { signal } from '@angular/core';
import { ViewEvents, viewsFeature } from '../api/views.feature';
import { WHO } from '../api/who';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { peopleFeature } from '../people/people.feature';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { VisitDesk } from '../inspection/visit-desk';
import { VisitReview } from './visit-review';

const VISIT = '01a20000-0000-7000-8000-0000000000f1';
const side = (eighths: object) => ({ eighths, trace: [], bees: 6, queen: false, cells: 0, doubtful: false });
const frames = [
  { low: side({ H: 8 }), high: side({ H: 6, P: 2 }) },
  { low: side({ S: 5, H: 3 }), high: side({ S: 6, H: 2 }) },
];
const REVIEW = {
  visit: VISIT,
  hive: '4',
  hiveId: 'hive-4',
  zone: 'Europe/London',
  group: 'Curlew',
  supervisor: 'Tomasz Wierzba',
  openedAt: '2026-05-14T12:10:00.000Z',
  closedAt: '2026-05-14T12:31:00.000Z',
  stopReason: 'time',
  missing: ['room', 'healthy-brood'] as const,
  frameKind: 'British National deep',
  last: null,
  frames,
  changes: ['not-read', 'new-brood'] as const,
  inWords: ['Brood on frame 2.'],
  measures: [],
  storesWhereFrom: { steps: [], source: '' },
  finding: null,
  advice: [],
  followUps: [],
  judgements: [
    {
      trainee: 'Ife',
      skill: 'finds eggs',
      level: 'helped' as const,
      by: 'Tomasz',
      at: '2026-05-14T12:20:00.000Z',
      prompt: 'pointed',
      note: '',
    },
    {
      trainee: 'Jun',
      skill: 'finds eggs',
      level: 'alone' as const,
      by: 'Tomasz',
      at: '2026-05-14T12:22:00.000Z',
      prompt: '',
      note: '',
    },
  ],
  told: [],
  sums: [],
  feed: { feed: 'no' as const, why: '8.4 kg found, at least 5 wanted; lasts about 20 days without any income' },
  queen: { verdict: 'not-known' as const, says: 'No side was read.', laid: null },
  groups: [],
  ahead: [],
  youngBees: Array<number>(21).fill(0),
  temper: 'No temper noted yet.',
  box: 'brood box',
  attachments: [],
  mayDecide: true,
  next: null,
};

const ADVISED = {
  advice: {
    kind: 'feed',
    title: 'Feed 8 L of thin syrup',
    by: '2026-05-17',
    pressing: 0.7,
    reasons: [],
    otherSchool: 'leaves them to forage.',
    whereFrom: { figure: '8 L', rule: 'wanted less found', steps: [], source: 'House practice' },
    from: '2026-05-14',
    confidence: 'likely',
    climate: { band: 'cool-maritime', holding: 'holds', says: 'Holds in a cool maritime climate as it stands' },
    cautions: ['Nothing spilled: it sets off robbing.'],
    turns: ['Nectar coming in: leave it.'],
    ifItFails: 'Not taken in a week: candy over the nest.',
    followUps: [{ question: 'Feed taken?', from: '2026-05-21', due: '2026-05-24' }],
  },
  decision: null,
};

describe('the review of a visit', () => {
  const review = async (change: object = {}) => {
    const fixture = await show(VisitReview, { visit: VISIT }, [
      provideHttpClientTesting(),
      provideRouter([]),
      provideStore(),
      provideState(viewsFeature),
      provideState(inspectionFeature),
      { provide: WHO, useValue: signal('tomasz') },
      provideState(peopleFeature),
    ]);
    const store = TestBed.inject(Store);
    store.dispatch(ViewEvents.loaded({ view: 'visitReview', data: { ...REVIEW, ...change } }));
    await fixture.whenStable();
    const dispatched: Action[] = [];
    const send = store.dispatch.bind(store) as (action: Action) => void;
    store.dispatch = ((action: Action) => {
      dispatched.push(action);
      send(action);
    }) as typeof store.dispatch;
    return { fixture, element: elementOf(fixture), dispatched, store };
  };

  it('says where a comb stood, and what changed on each of its sides', async () => {
    const last = {
      visit: 'earlier',
      at: '2026-05-05T12:10:00.000Z',
      frames: [frames[0], { low: side({ S: 3, H: 5 }), high: side({ S: 6, H: 2 }) }],
      moved: [{ frame: 2, was: 'was 7' }],
    };
    const { element } = await review({ last });
    expect(textOf(element.querySelectorAll('.frame')[1]!)).toContain('was 7');
    expect(textOf(element.querySelector('.close'))).toMatch(/sealed worker \+2 .*−2 eighths\..*As last time\./i);
  });

  it('opens on the frame that changed most, names the visit and what it left unanswered', async () => {
    const { element } = await review();
    const words = textOf(element);
    expect(words).toContain('Frame 2: new brood');
    expect(words).toMatch(/opened Thu 14 May, 13:10 to 13:31 by Curlew with Tomasz Wierzba/);
    expect(words).toMatch(/Partial visit: room, healthy brood not answered/);
  });

  it('does not call a visit partial that is still open, or that answered what was asked', async () => {
    expect(textOf((await review({ closedAt: null })).element)).not.toContain('Partial visit');
    expect(textOf((await review({ missing: [] })).element)).not.toContain('Partial visit');
  });

  it('says whether they are fed and why, also where nothing is advised', async () => {
    const { element } = await review();
    expect(textOf(element)).toContain('Feed: no. 8.4 kg found, at least 5 wanted; lasts about 20 days');
  });

  it('says what helped whoever was judged, and nothing where nothing did', async () => {
    const { element } = await review();
    const [ife, jun] = [...element.querySelectorAll('.skills li')].map(textOf);
    expect(ife).toMatch(/Ife finds eggs: helped pointed/);
    expect(jun).toBe('Jun finds eggs: alone');
  });

  it('puts a question about the frame in view on the list, once and not when it is empty', async () => {
    const { element, dispatched, fixture, store } = await review();
    const form = element.querySelector('form.ask')!;
    const field = form.querySelector('input')!;
    const ask = async (text: string) => {
      field.value = text;
      form.dispatchEvent(new Event('submit', { cancelable: true }));
      await fixture.whenStable();
    };
    await ask('   ');
    expect(dispatched).toEqual([]);
    await ask(' Is that too little brood? ');
    const [added, ...more] = dispatched as ReturnType<typeof InspectionEvents.entryAdded>[];
    expect(more).toEqual([]);
    expect(added?.visit).toBe(VISIT);
    expect(added?.entry.body).toEqual({
      kind: 'question-asked',
      text: 'Is that too little brood?',
      person: null,
      spot: { part: 'brood box', frame: 2, face: null },
      photo: null,
      sure: null,
    });
    expect(field.value).toBe('');
    expect(textOf(element)).toContain('saved on this device');
    expect(textOf(element)).not.toContain('Sent.');
    store.dispatch(InspectionEvents.entriesKept({ entries: [added!.entry] }));
    await fixture.whenStable();
    expect(textOf(element)).toContain('Sent.');
  });

  it('does not say that a question is on the list when it was refused', async () => {
    const { element, fixture, store } = await review();
    const id = TestBed.inject(VisitDesk).add(VISIT, { kind: 'step-reached', step: 'outside' });
    store.dispatch(InspectionEvents.entriesKept({ entries: [] }));
    expect(store.selectSignal(inspectionFeature.selectAdded)()).toEqual({ id, fate: 'waits' });
    const form = element.querySelector('form.ask')!;
    form.querySelector('input')!.value = 'Why?';
    form.dispatchEvent(new Event('submit', { cancelable: true }));
    const asked = store.selectSignal(inspectionFeature.selectAdded)()!.id;
    const problem = { problem: 'not-in-the-group' as const, message: 'Not in the group.' };
    store.dispatch(InspectionEvents.entriesRefused({ entries: [{ id: asked, problem }] as never }));
    await fixture.whenStable();
    expect(textOf(element)).toContain('It could not be sent. It is still saved on this device.');
  });

  it('keeps a decision on this device, shows the visit meanwhile, and says what was refused', async () => {
    const { element, fixture, store, dispatched } = await review({ advice: [ADVISED] });
    const button = [...element.querySelectorAll('button')].find((each) => textOf(each) === 'Decide');
    button!.click();
    const { change } = dispatched.at(-1) as ReturnType<typeof ViewEvents.changeAsked>;
    expect(change).toMatchObject({ endpoint: 'decide', person: 'tomasz', sent: { params: { visit: VISIT } } });
    store.dispatch(ViewEvents.outdated({}));
    await fixture.whenStable();
    expect(textOf(element)).toContain('Frame 2: new brood');
    const fault = { status: 422, problem: 'not-in-the-group' as const, message: 'Not in the group.', details: [] };
    store.dispatch(ViewEvents.changeRefused({ change, fault }));
    await fixture.whenStable();
    expect(element.querySelector('[role=alert]')?.textContent).toContain('Not in the group.');
  });
});
