import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, fromEvent, map, of, startWith, switchMap, tap } from 'rxjs';
import { ContractClient, type CallFault } from '../api/contract-client';
import { DeviceStore } from '../inspection/device-store';
import { type ClockState, PeopleEvents } from './people.feature';

const readNow = (clock: { now: string; demo: boolean }): ClockState => ({ ...clock, readAt: Date.now() });

const keepAhead = (device: DeviceStore, { now, demo }: { now: string; demo: boolean }): void =>
  device.keepClock(Date.parse(now) - Date.now(), demo);

export const recognise = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.applicationOpened),
      // What was told before a stretch without signal is asked again after it: the time above all.
      switchMap((opened) =>
        fromEvent(globalThis, 'online').pipe(
          map(() => opened),
          startWith(opened),
        ),
      ),
      switchMap(() =>
        client.call(endpoints.whoAmI, {}).pipe(
          tap(({ person, clock }) => {
            void device.keepPerson(person);
            keepAhead(device, clock);
          }),
          map(({ person, clock }) => PeopleEvents.personRecognised({ person, clock: readNow(clock) })),
          catchError(() =>
            // Without a connection the one who was here last goes on working; the server checks again when it is back.
            device
              .lastPerson()
              .then((person) => PeopleEvents.personRecognised({ person, clock: readNow(device.clock()) })),
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
          tap(({ person, clock }) => {
            void device.keepPerson(person);
            keepAhead(device, clock);
          }),
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
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoveAsked),
      exhaustMap(({ type: _, ...body }) => client.call(endpoints.moveClock, { body })),
      tap((clock) => keepAhead(device, clock)),
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
