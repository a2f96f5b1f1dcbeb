import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { ViewDesk } from './view-desk';
import { WHO } from './who';
import { type Change, ViewEvents, viewsFeature } from './views.feature';

describe('the answer to the last change', () => {
  const change: Change = {
    id: '1',
    endpoint: 'enforceChecklist',
    sent: {},
    view: 'checklist',
    answers: false,
    person: 'ruth',
  };
  const open = () => {
    TestBed.configureTestingModule({
      providers: [provideStore(), provideState(viewsFeature), { provide: WHO, useValue: signal('ruth') }],
    });
    const store = TestBed.inject(Store);
    const answered = (endpoint: Change['endpoint'], answer: object) => {
      store.dispatch(ViewEvents.changed({ change: { ...change, endpoint }, answer }));
    };
    return { desk: TestBed.inject(ViewDesk), answered };
  };

  it('is told to who asked for its kind, and gone with the next change of another', () => {
    const { desk, answered } = open();
    const last = desk.lastAnswer('enforceChecklist');
    expect(last()).toBeNull();
    answered('enforceChecklist', { version: 2 });
    expect(last()).toEqual({ version: 2 });
    answered('discardDraft', { discarded: true });
    expect(last()).toBeNull();
  });

  it('of an earlier visit to the screen is not told again, the same one given anew is', () => {
    const { desk, answered } = open();
    answered('enforceChecklist', { version: 2 });
    const later = desk.lastAnswer('enforceChecklist');
    expect(later()).toBeNull();
    answered('enforceChecklist', { version: 2 });
    expect(later()).toEqual({ version: 2 });
  });
});
