import { TestBed } from '@angular/core/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { ViewEvents, viewsFeature } from '../api/views.feature';
import { PeopleEvents, forgetOnSignOut, peopleFeature } from './people.feature';

const clock = { now: '2026-05-14T06:40:00Z', demo: true, readAt: 0 };
const person = {
  id: 'ruth',
  name: 'Ruth',
  role: 'supervisor' as const,
  school: { id: 's', name: 'S' },
  owner: false,
  units: { own: null, school: 'metric' as const },
};

describe('what one person was shown', () => {
  it.each([
    ['signs out', PeopleEvents.signedOut()],
    ['makes room for the next who signs in', PeopleEvents.signedIn({ person, clock })],
  ])('is gone when that person %s', (_name, event) => {
    TestBed.configureTestingModule({
      providers: [
        provideStore({}, { metaReducers: [forgetOnSignOut] }),
        provideState(peopleFeature),
        provideState(viewsFeature),
      ],
    });
    const store = TestBed.inject(Store);
    const views = store.selectSignal(viewsFeature.selectViews);
    store.dispatch(ViewEvents.loaded({ view: 'colonyCalendars', data: { colonies: ['secret'] } }));
    expect(JSON.stringify(views())).toContain('secret');
    store.dispatch(event);
    expect(JSON.stringify(views())).not.toContain('secret');
  });
});
