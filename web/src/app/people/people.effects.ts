import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, map, of, switchMap, tap } from 'rxjs';
import { ContractClient, type CallFault } from '../api/contract-client';
import { DeviceStore } from '../inspection/device-store';
import { type ClockState, PeopleEvents } from './people.feature';

const readNow = (clock: { now: string; demo: boolean }): ClockState => ({ ...clock, readAt: Date.now() });

export const recognise = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.applicationOpened),
      switchMap(() =>
        client.call(endpoints.whoAmI, {}).pipe(
          tap(({ person }) => void device.keepPerson(person)),
          map(({ person, clock }) => PeopleEvents.personRecognised({ person, clock: readNow(clock) })),
          catchError(() =>
            // Without a connection the one who was here last goes on working; the server checks again when it is back.
            device.lastPerson().then((person) => {
              const now = { now: new Date().toISOString(), demo: false };
              return PeopleEvents.personRecognised({ person, clock: readNow(now) });
            }),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const signIn = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.signInSubmitted),
      exhaustMap(({ name, password }) =>
        client.call(endpoints.signIn, { body: { name, password } }).pipe(
          tap(({ person }) => void device.keepPerson(person)),
          map(({ person, clock }) => PeopleEvents.signedIn({ person, clock: readNow(clock) })),
          catchError((fault: CallFault) => of(PeopleEvents.signInRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

export const signOut = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.signOutAsked),
      exhaustMap(() =>
        client.call(endpoints.signOut, {}).pipe(
          catchError(() => of(null)),
          tap(() => void device.keepPerson(null)),
          map(() => PeopleEvents.signedOut()),
        ),
      ),
    ),
  { functional: true },
);

export const moveClock = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoveAsked),
      exhaustMap(({ type: _, ...body }) => client.call(endpoints.moveClock, { body })),
      map((clock) => PeopleEvents.clockMoved({ clock: readNow(clock) })),
    ),
  { functional: true },
);

export const goHome = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(PeopleEvents.signedIn),
      tap(() => void router.navigateByUrl(router.parseUrl(router.url).queryParamMap.get('back') ?? '/')),
    ),
  { functional: true, dispatch: false },
);

export const leave = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(PeopleEvents.signedOut),
      tap(() => void router.navigateByUrl('/sign-in')),
    ),
  { functional: true, dispatch: false },
);
