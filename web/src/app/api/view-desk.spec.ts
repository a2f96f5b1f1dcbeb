import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
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

@Component({ template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class Screen {
  readonly site = signal<string | null>('home');
  readonly forage = inject(ViewDesk).watch('forage', () => {
    const site = this.site();
    return site === null ? null : { query: { site } };
  });
}

@Component({ selector: 'bc-colony-screen', template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class ColonyScreen {
  readonly hive = signal('4');
  readonly colony = inject(ViewDesk).watch('colonyStory', () => ({ params: { hive: this.hive() } }));
}

describe('a view of one thing, when another is asked for', () => {
  it('never shows the first under the address of the second', () => {
    TestBed.configureTestingModule({
      providers: [provideStore(), provideState(viewsFeature), { provide: WHO, useValue: signal('ruth') }],
    });
    const { componentInstance: screen } = TestBed.createComponent(ColonyScreen);
    const store = TestBed.inject(Store);
    TestBed.tick();
    store.dispatch(ViewEvents.loaded({ view: 'colonyStory', data: { hive: '4' } }));
    expect(screen.colony.data()).toEqual({ hive: '4' });
    screen.hive.set('7');
    TestBed.tick();
    expect([screen.colony.data(), screen.colony.loading()]).toEqual([null, true]);
  });
});

describe('a view that is asked for otherwise', () => {
  const fault = { status: 404, problem: 'not-found' as const, message: 'There is no such site.', details: [] };
  const open = () => {
    TestBed.configureTestingModule({
      providers: [provideStore(), provideState(viewsFeature), { provide: WHO, useValue: signal('ruth') }],
    });
    const { componentInstance: screen } = TestBed.createComponent(Screen);
    const store = TestBed.inject(Store);
    TestBed.tick();
    const come = (data: object) => store.dispatch(ViewEvents.loaded({ view: 'forage', data }));
    const go = (site: string | null) => {
      screen.site.set(site);
      TestBed.tick();
    };
    const seen = () => [screen.forage.data(), screen.forage.former(), screen.forage.loading()];
    return { come, go, seen, screen, fail: () => store.dispatch(ViewEvents.failed({ view: 'forage', fault })) };
  };

  it('shows what was there, as that, until the new answer comes', () => {
    const { come, go, seen } = open();
    expect(seen()).toEqual([null, false, true]);
    come({ site: 'home' });
    expect(seen()).toEqual([{ site: 'home' }, false, false]);
    go('moor');
    expect(seen()).toEqual([{ site: 'home' }, true, true]);
    come({ site: 'moor' });
    expect(seen()).toEqual([{ site: 'moor' }, false, false]);
  });

  it('shows nothing of it when the new answer is a fault, or nothing is asked any more', () => {
    const { come, go, seen, screen, fail } = open();
    come({ site: 'home' });
    go('moor');
    fail();
    expect(seen()).toEqual([null, false, false]);
    expect(screen.forage.fault()).toEqual(fault);
    go('home');
    come({ site: 'home' });
    go(null);
    expect(seen()[0]).toBeNull();
  });
});
