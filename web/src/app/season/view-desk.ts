import { Injectable, type Signal, computed, effect, inject, untracked } from '@angular/core';
import type { endpoints } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import type { CallFault } from '../api/contract-client';
import { peopleFeature } from '../people/people.feature';
import { SeasonEvents, seasonFeature } from './season.feature';
import { type Sent, type ViewData, ViewEvents, type ViewName, viewsFeature } from './views.feature';

/** One view as a screen sees it. */
export interface Watched<V extends ViewName> {
  readonly data: Signal<ViewData<V> | null>;
  readonly fault: Signal<CallFault | null>;
  readonly loading: Signal<boolean>;
  /** Refusals of changes made on this view. */
  readonly refused: Signal<readonly { readonly id: string; readonly message: string }[]>;
  /** Reads it again. */
  reload(): void;
}

/** Lets screens watch views and write changes. */
@Injectable({ providedIn: 'root' })
export class ViewDesk {
  private readonly store = inject(Store);
  private readonly views = this.store.selectSignal(viewsFeature.selectViews);
  private readonly allRefused = this.store.selectSignal(viewsFeature.selectRefused);
  private readonly strip = this.store.selectSignal(seasonFeature.selectStrip);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly answer = this.store.selectSignal(viewsFeature.selectLastAnswer);
  readonly sending = computed(() => this.store.selectSignal(viewsFeature.selectSending)().length > 0);
  readonly waiting = this.store.selectSignal(viewsFeature.selectWaiting);
  /** Site chosen on the strip. */
  readonly site = computed(() => this.strip()?.site.id ?? null);

  /**
   * Watches a view from inside a component, reading it whenever what it asks for changes.
   *
   * @param view which
   * @param ask what to send, from signals; `null` while that is not known yet
   * @returns its data, fault and state
   */
  watch<V extends ViewName>(view: V, ask: () => Sent | null): Watched<V> {
    const asked = computed(ask, { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) });
    const load = (sent: Sent) => this.store.dispatch(ViewEvents.wanted({ view, sent }));
    effect(() => {
      const sent = asked();
      if (sent) untracked(() => load(sent));
    });
    const own = computed(() => {
      const shown = this.views()[view];
      return shown && JSON.stringify(shown.sent) === JSON.stringify(asked()) ? shown : undefined;
    });
    return {
      data: computed(() => (own()?.data ?? null) as ViewData<V> | null),
      fault: computed(() => own()?.fault ?? null),
      loading: computed(() => own()?.loading ?? true),
      refused: computed(() => this.allRefused().filter((each) => each.view === view)),
      reload: () => {
        const sent = asked();
        if (sent) load(sent);
      },
    };
  }

  /**
   * Writes a change: kept on this device until the server has it.
   *
   * @param endpoint the contract's, by name
   * @param sent parameters and body
   * @param view view that shows it
   * @param answers whether the answer is that view itself
   */
  change(endpoint: keyof typeof endpoints, sent: Sent, view: ViewName, answers = true): void {
    const person = this.person();
    if (!person) return;
    const change = { id: uuid(), endpoint, sent, view, answers, person: person.id };
    this.store.dispatch(ViewEvents.changeAsked({ change }));
  }

  /** Reads a view again that something else has changed, and the strip with it. */
  refresh(view: ViewName): void {
    const shown = this.views()[view];
    if (shown) this.store.dispatch(ViewEvents.wanted({ view, sent: shown.sent }));
    this.store.dispatch(SeasonEvents.stripOutdated());
  }

  /** The answer to the last change of one kind, `null` when the last one was another. */
  lastAnswer(endpoint: keyof typeof endpoints): Signal<object | null> {
    const before = untracked(this.answer);
    return computed(() => {
      const last = this.answer();
      return last?.endpoint === endpoint && last !== before ? last.answer : null;
    });
  }

  newId(): string {
    return uuid();
  }
}
