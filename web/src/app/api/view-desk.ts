import { DestroyRef, Injectable, type Signal, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import type { Output, endpoints } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import type { AnySent, CallFault, Sent } from './contract-client';
import { type Asked, type ChangeName, type ViewData, ViewEvents, type ViewName, viewsFeature } from './views.feature';
import { WHO } from './who';

/** One view as a screen sees it. */
export interface Watched<V extends ViewName> {
  /** What it answered; while the same address is asked otherwise, what it answered before, until the new answer or a fault comes. */
  readonly data: Signal<ViewData<V> | null>;
  /** Whether that is still the answer to what was asked before. */
  readonly former: Signal<boolean>;
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
  private readonly who = inject(WHO);
  private readonly answer = this.store.selectSignal(viewsFeature.selectLastAnswer);
  /** How many components on the screen show a view. */
  private readonly watching = new Map<ViewName, number>();
  readonly sending = computed(() => this.store.selectSignal(viewsFeature.selectSending)().length > 0);
  readonly waiting = this.store.selectSignal(viewsFeature.selectWaiting);

  /**
   * Watches a view from inside a component, reading it whenever what it asks for changes.
   *
   * @param view which
   * @param ask what to send, from signals; `null` while that is not known yet
   * @returns its data, fault and state
   */
  watch<V extends ViewName>(view: V, ask: () => Asked<V> | null): Watched<V> {
    const asked = computed((): AnySent | null => ask(), { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) });
    const load = (sent: AnySent) => this.store.dispatch(ViewEvents.wanted({ view, sent }));
    effect(() => {
      const sent = asked();
      if (sent) untracked(() => load(sent));
    });
    this.watching.set(view, (this.watching.get(view) ?? 0) + 1);
    inject(DestroyRef).onDestroy(() => {
      const left = (this.watching.get(view) ?? 1) - 1;
      this.watching.set(view, left);
      if (left === 0) this.store.dispatch(ViewEvents.left({ view }));
    });
    const own = computed(() => {
      const shown = this.views()[view];
      return shown && JSON.stringify(shown.sent) === JSON.stringify(asked()) ? shown : undefined;
    });
    const answered = computed(() => (own()?.data ?? null) as ViewData<V> | null);
    const none = computed(() => asked() === null || (own()?.fault ?? null) !== null);
    const address = computed(() => JSON.stringify(asked()?.params ?? null));
    const data = linkedSignal<{ now: ViewData<V> | null; none: boolean; address: string }, ViewData<V> | null>({
      source: () => ({ now: answered(), none: none(), address: address() }),
      computation: (each, before) =>
        each.now ?? (each.none || each.address !== before?.source.address ? null : before.value),
    });
    return {
      data: data.asReadonly(),
      former: computed(() => data() !== null && answered() === null),
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
  change<C extends ChangeName>(endpoint: C, sent: Sent<(typeof endpoints)[C]>, view: ViewName, answers = true): void {
    const person = this.who();
    if (person === null) return;
    const change = { id: uuid(), endpoint, sent: sent as AnySent, view, answers, person };
    this.store.dispatch(ViewEvents.changeAsked({ change }));
  }

  /** Reads what is shown again, when something else has changed it. */
  refresh(): void {
    this.store.dispatch(ViewEvents.outdated({}));
  }

  /** The answer to the last change of one kind, `null` when the last one was another. */
  lastAnswer<C extends ChangeName>(endpoint: C): Signal<Output<(typeof endpoints)[C]> | null> {
    const before = untracked(this.answer);
    return computed(() => {
      const last = this.answer();
      return last?.endpoint === endpoint && last !== before ? (last.answer as Output<(typeof endpoints)[C]>) : null;
    });
  }

  newId(): string {
    return uuid();
  }
}
