import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideEffects } from '@ngrx/effects';
import { Store, provideState, provideStore } from '@ngrx/store';
import { ChangeQueue } from './change-queue';
import * as viewsEffects from './views.effects';
import { type Change, ViewEvents, viewsFeature } from './views.feature';
import { WHO } from './who';

const { loadView, readAgain, retryChanges, sendChange, showChange } = viewsEffects;
const tap: Change = {
  id: '01-tap',
  endpoint: 'tapAlive',
  sent: { params: { hive: 'h4' }, body: { state: 'alive', date: '2026-02-14' } },
  view: 'aliveRound',
  answers: true,
  person: 'ruth',
};

describe('views and changes on their way', () => {
  let store: Store;
  let http: HttpTestingController;
  const who = signal<string | null>('ruth');
  const state = () => {
    let found!: ReturnType<typeof viewsFeature.selectViewsState>;
    store
      .select(viewsFeature.selectViewsState)
      .subscribe((each) => (found = each))
      .unsubscribe();
    return found;
  };

  beforeEach(() => {
    localStorage.clear();
    who.set('ruth');
    TestBed.resetTestingModule().configureTestingModule({
      providers: [
        provideHttpClient(),
        provideHttpClientTesting(),
        provideStore(),
        provideState(viewsFeature),
        { provide: WHO, useValue: who },
        provideEffects({ loadView, readAgain, retryChanges, sendChange, showChange }),
      ],
    });
    store = TestBed.inject(Store) as Store;
    http = TestBed.inject(HttpTestingController);
  });

  it('read a view with what it asks for; a newer question makes an older answer void', () => {
    store.dispatch(ViewEvents.wanted({ view: 'forage', sent: { query: { site: 'a' } } }));
    store.dispatch(ViewEvents.wanted({ view: 'forage', sent: { query: { site: 'b' } } }));
    const requests = http.match((request) => request.url === '/api/season/forage');
    expect(requests.map((each) => [each.request.params.get('site'), each.cancelled])).toEqual([
      ['a', true],
      ['b', false],
    ]);
    requests[1]!.flush({ plants: ['b'] });
    expect(state().views.forage?.data).toEqual({ plants: ['b'] });
  });

  it('a change is on the device before it is sent, and goes from it once the server has it', () => {
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    expect(TestBed.inject(ChangeQueue).all('ruth')).toEqual([tap]);
    http.expectOne('/api/season/alive-round/h4').flush({ survival: { alive: 1 } });
    expect(TestBed.inject(ChangeQueue).all('ruth')).toEqual([]);
    expect(state().views.aliveRound?.data).toEqual({ survival: { alive: 1 } });
  });

  it.each([
    ['no-connection', 0],
    ['no sign-in', 401],
    ['a server in trouble', 503],
  ])('with %s it waits on the device', (_name, status) => {
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    const request = http.expectOne('/api/season/alive-round/h4');
    if (status === 0) request.error(new ProgressEvent('error'));
    else request.flush({ problem: 'x', message: 'x' }, { status, statusText: 'x' });
    expect(state().waiting).toEqual([tap.id]);
    expect(TestBed.inject(ChangeQueue).all('ruth')).toEqual([tap]);
  });

  it('refused, it is told and not tried again', () => {
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    http
      .expectOne('/api/season/alive-round/h4')
      .flush({ problem: 'in-the-future', message: 'That date is in the future.' }, { status: 422, statusText: 'x' });
    expect(state().refused).toMatchObject([{ view: 'aliveRound', message: 'That date is in the future.' }]);
    expect(TestBed.inject(ChangeQueue).all('ruth')).toEqual([]);
  });

  it('changes are sent one after another, in order', () => {
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    store.dispatch(
      ViewEvents.changeAsked({ change: { ...tap, id: '02-tap', sent: { params: { hive: 'h5' }, body: {} } } }),
    );
    http.expectNone('/api/season/alive-round/h5');
    http.expectOne('/api/season/alive-round/h4').flush({});
    http.expectOne('/api/season/alive-round/h5').flush({});
    expect(state().sending).toEqual([]);
  });

  it('a change whose answer is not the view makes the view be read again', () => {
    store.dispatch(ViewEvents.wanted({ view: 'forecastTrust', sent: { query: { site: 'home' } } }));
    http.expectOne((request) => request.url === '/api/weather/trust').flush({ missing: 0 });
    const change: Change = { ...tap, endpoint: 'setLimits', sent: { body: {} }, view: 'forecastTrust', answers: false };
    store.dispatch(ViewEvents.changeAsked({ change }));
    http.expectOne('/api/weather/limits').flush({ kept: true });
    expect(http.match((request) => request.url === '/api/weather/trust')).toHaveLength(1);
  });

  it('a change shows in whatever else is on the screen', () => {
    store.dispatch(ViewEvents.wanted({ view: 'messages', sent: {} }));
    http.expectOne('/api/people/messages').flush({});
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    http.expectOne('/api/season/alive-round/h4').flush({ survival: {} });
    expect(http.match(() => true).map(({ request }) => request.urlWithParams)).toEqual(['/api/people/messages']);
  });

  it('what waits is sent when it may be, by whoever made it only', () => {
    store.dispatch(ViewEvents.changeAsked({ change: tap }));
    http.expectOne('/api/season/alive-round/h4').error(new ProgressEvent('error'));
    who.set('tomasz');
    store.dispatch(ViewEvents.mayBeSent());
    http.expectNone('/api/season/alive-round/h4');
    who.set('ruth');
    store.dispatch(ViewEvents.mayBeSent());
    http.expectOne('/api/season/alive-round/h4').flush({ survival: {} });
    expect(state().waiting).toEqual([]);
  });

  it('all that is on the screen is read again when everything has become another', () => {
    store.dispatch(ViewEvents.wanted({ view: 'forage', sent: { query: { site: 'a' } } }));
    store.dispatch(ViewEvents.wanted({ view: 'messages', sent: {} }));
    store.dispatch(ViewEvents.wanted({ view: 'coverage', sent: {} }));
    store.dispatch(ViewEvents.left({ view: 'coverage' }));
    http.match(() => true).forEach((request) => request.flush({}));
    store.dispatch(ViewEvents.outdated({}));
    expect(http.match(() => true).map(({ request }) => request.urlWithParams)).toEqual([
      '/api/season/forage?site=a',
      '/api/people/messages',
    ]);
  });
});
