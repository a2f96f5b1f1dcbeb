import { inject } from '@angular/core';
import { endpoints } from './endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import {
  catchError,
  concatMap,
  from,
  fromEvent,
  groupBy,
  interval,
  map,
  merge,
  mergeMap,
  of,
  switchMap,
  tap,
  withLatestFrom,
} from 'rxjs';
import { type AnySent, type CallFault, ContractClient } from './contract-client';
import { ChangeQueue } from './change-queue';
import { type ViewName, ViewEvents, viewsFeature } from './views.feature';
import { WHO } from './who';

const RETRY = 15_000;

export const loadView = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(ViewEvents.wanted),
      groupBy(({ view }) => view),
      mergeMap((wanted) =>
        wanted.pipe(
          switchMap(({ view, sent }) =>
            client.send(endpoints[view], sent).pipe(
              map((data) => ViewEvents.loaded({ view, data })),
              catchError((fault: CallFault) => of(ViewEvents.failed({ view, fault }))),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** What is shown is read again when it may have become another. */
export const readAgain = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(ViewEvents.outdated),
      withLatestFrom(store.select(viewsFeature.selectViews)),
      mergeMap(([{ but }, views]) =>
        from(
          (Object.entries(views) as [ViewName, { sent: AnySent; shown: boolean }][])
            .filter(([, { shown }]) => shown)
            .filter(([view]) => view !== but)
            .map(([view, { sent }]) => ViewEvents.wanted({ view, sent })),
        ),
      ),
    ),
  { functional: true },
);

/** Changes are kept on the device first and sent one after another; without a connection they wait. */
export const sendChange = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), queue = inject(ChangeQueue)) =>
    actions.pipe(
      ofType(ViewEvents.changeAsked),
      tap(({ change }) => queue.keep(change)),
      concatMap(({ change }) =>
        client.send(endpoints[change.endpoint], change.sent).pipe(
          tap(() => queue.drop(change.id)),
          map((answer) => ViewEvents.changed({ change, answer })),
          catchError((fault: CallFault) => {
            const later = fault.status === 0 || fault.status === 401 || fault.status >= 500;
            if (later) return of(ViewEvents.changeWaits({ change }));
            queue.drop(change.id);
            return of(ViewEvents.changeRefused({ change, fault }));
          }),
        ),
      ),
    ),
  { functional: true },
);

/** What a change did shows in its view, and in whatever else is on the screen. */
export const showChange = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(ViewEvents.changed),
      mergeMap(({ change: { view, answers }, answer }) =>
        answers
          ? [ViewEvents.loaded({ view, data: answer }), ViewEvents.outdated({ but: view })]
          : [ViewEvents.outdated({})],
      ),
    ),
  { functional: true },
);

/** Tries again what waits: after sign-in, when the connection comes back, and every now and then. */
export const retryChanges = createEffect(
  (actions = inject(Actions), store = inject(Store), queue = inject(ChangeQueue), who = inject(WHO)) =>
    merge(actions.pipe(ofType(ViewEvents.mayBeSent)), fromEvent(globalThis, 'online'), interval(RETRY)).pipe(
      withLatestFrom(store.select(viewsFeature.selectSending)),
      mergeMap(([, sending]) => {
        const person = who();
        const waiting = person === null ? [] : queue.all(person).filter(({ id }) => !sending.includes(id));
        return from(waiting.map((change) => ViewEvents.changeAsked({ change })));
      }),
    ),
  { functional: true },
);
