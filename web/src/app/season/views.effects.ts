import { inject } from '@angular/core';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import {
  type Observable,
  catchError,
  concatMap,
  filter,
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
import { type CallFault, ContractClient } from '../api/contract-client';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { ChangeQueue } from './change-queue';
import { SeasonEvents } from './season.feature';
import { type Sent, ViewEvents, viewsFeature } from './views.feature';

const RETRY = 15_000;

/** The contract checks what is sent, so a call made by name is as good as one made by hand. */
function call(client: ContractClient, name: keyof typeof endpoints, sent: Sent): Observable<object> {
  return client.call(endpoints[name] as never, sent as never);
}

export const loadView = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(ViewEvents.wanted),
      groupBy(({ view }) => view),
      mergeMap((wanted) =>
        wanted.pipe(
          switchMap(({ view, sent }) =>
            call(client, view, sent).pipe(
              map((data) => ViewEvents.loaded({ view, data })),
              catchError((fault: CallFault) => of(ViewEvents.failed({ view, fault }))),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** A moved clock changes every view that is open. */
export const reloadViews = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoved),
      withLatestFrom(store.select(viewsFeature.selectViews)),
      mergeMap(([, views]) =>
        from(
          (Object.entries(views) as [keyof typeof views, { sent: Sent }][]).map(([view, { sent }]) =>
            ViewEvents.wanted({ view, sent }),
          ),
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
        call(client, change.endpoint, change.sent).pipe(
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

/** What a change did shows in its view and on the strip. */
export const showChange = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(ViewEvents.changed),
      withLatestFrom(store.select(viewsFeature.selectViews)),
      mergeMap(([{ change, answer }, views]) => {
        const sent = views[change.view]?.sent;
        const shown = change.answers
          ? [ViewEvents.loaded({ view: change.view, data: answer })]
          : sent
            ? [ViewEvents.wanted({ view: change.view, sent })]
            : [];
        return from([...shown, SeasonEvents.stripOutdated()]);
      }),
    ),
  { functional: true },
);

/** Tries again what waits: after sign-in, when the connection comes back, and every now and then. */
export const retryChanges = createEffect(
  (actions = inject(Actions), store = inject(Store), queue = inject(ChangeQueue)) =>
    merge(
      actions.pipe(ofType(PeopleEvents.signedIn, PeopleEvents.personRecognised)),
      fromEvent(globalThis, 'online'),
      interval(RETRY),
    ).pipe(
      withLatestFrom(store.select(peopleFeature.selectPerson), store.select(viewsFeature.selectSending)),
      filter(([, person]) => person !== null),
      mergeMap(([, person, sending]) =>
        from(queue.all(person!.id).filter((change) => !sending.includes(change.id))).pipe(
          map((change) => ViewEvents.changeAsked({ change })),
        ),
      ),
    ),
  { functional: true },
);
