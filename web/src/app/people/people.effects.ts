import { DOCUMENT, inject } from '@angular/core';
import { Router } from '@angular/router';
import type { Output, Person, endpoints as Table } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import {
  catchError,
  concatMap,
  exhaustMap,
  filter,
  firstValueFrom,
  fromEvent,
  map,
  of,
  startWith,
  switchMap,
  tap,
} from 'rxjs';
import { ContractClient, type CallFault } from '../api/contract-client';
import { ViewEvents } from '../api/views.feature';
import { DeviceStore } from '../device/device-store';
import { keepUnits } from '../language/units';
import { keepClock, keptClock } from './kept-clock';
import { type ClockState, PeopleEvents, peopleFeature } from './people.feature';

const readNow = (clock: { now: string; demo: boolean }): ClockState => ({ ...clock, readAt: Date.now() });

/** Signs out at the server whoever signed out here without signal; true when nothing is owed any more. */
async function payOwedSignOut(client: ContractClient, device: DeviceStore): Promise<boolean> {
  if (!device.owesSignOut()) return true;
  try {
    await firstValueFrom(client.call(endpoints.signOut, {}));
  } catch (fault) {
    if ((fault as CallFault).status !== 401) return false;
  }
  device.oweSignOut(false);
  return true;
}

/** Who is signed in here. Whoever looks at an open page goes on looking at it: what they enter there stays theirs. */
async function whoIsHere(client: ContractClient, device: DeviceStore, looking: Person | null) {
  const signedOut = !(await payOwedSignOut(client, device));
  try {
    const { person, clock, door, beginning } = await firstValueFrom(client.call(endpoints.whoAmI, {}));
    keepClock(Date.parse(clock.now), clock.demo);
    if (looking && person?.id !== looking.id)
      return PeopleEvents.signInEnded({ end: person ? 'somebody-else' : 'over' });
    const here = signedOut ? null : person;
    await device.belongTo(here);
    return PeopleEvents.personRecognised({ person: here, clock: readNow(clock), door, beginning });
  } catch {
    // Without a connection the one who was here last goes on working; the server checks again when it is back.
    const person = signedOut ? null : await device.lastPerson();
    await device.belongTo(person);
    return PeopleEvents.personRecognised({ person, clock: readNow(keptClock()), door: null });
  }
}

export const recognise = createEffect(
  (
    actions = inject(Actions),
    client = inject(ContractClient),
    device = inject(DeviceStore),
    looking = inject(Store).selectSignal(peopleFeature.selectPerson),
  ) =>
    actions.pipe(
      ofType(PeopleEvents.applicationOpened),
      // What was told before a stretch without signal is asked again after it: the time above all.
      switchMap((opened) =>
        fromEvent(globalThis, 'online').pipe(
          map(() => opened),
          startWith(opened),
        ),
      ),
      switchMap(() => whoIsHere(client, device, looking())),
    ),
  { functional: true },
);

/** The device is theirs who has just come in. */
async function goesIn(device: DeviceStore, { person, clock }: Output<(typeof Table)['signIn']>) {
  device.oweSignOut(false);
  keepClock(Date.parse(clock.now), clock.demo);
  await device.belongTo(person);
  return PeopleEvents.signedIn({ person, clock: readNow(clock) });
}

export const signIn = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.signInSubmitted),
      exhaustMap(({ name, password }) =>
        client.call(endpoints.signIn, { body: { name, password } }).pipe(
          concatMap((answer) => goesIn(device, answer)),
          catchError((fault: CallFault) => of(PeopleEvents.signInRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** Who opens the first school is signed in with it. */
export const beginSchool = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.schoolBegun),
      exhaustMap(({ wish }) =>
        client.call(endpoints.beginSchool, { body: wish }).pipe(
          concatMap((answer) => goesIn(device, answer)),
          catchError((fault: CallFault) => of(PeopleEvents.signInRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** Who comes by an invitation is signed in with it. */
export const acceptInvitation = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.invitationAccepted),
      exhaustMap(({ wish }) =>
        client.call(endpoints.acceptInvitation, { body: wish }).pipe(
          concatMap((answer) => goesIn(device, answer)),
          catchError((fault: CallFault) => of(PeopleEvents.signInRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** Somebody with other units than this page shows: it is opened anew in theirs. */
export const inOwnUnits = createEffect(
  (actions = inject(Actions), page = inject(DOCUMENT)) =>
    actions.pipe(
      ofType(PeopleEvents.personRecognised, PeopleEvents.signedIn, PeopleEvents.unitsChosen),
      tap(({ person }) => {
        if (person && keepUnits(person.units.own ?? person.units.school)) page.location.reload();
      }),
    ),
  { functional: true, dispatch: false },
);

/** Signing out works on the device at once; a server that cannot be reached hears of it at the next contact. */
export const signOut = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.signOutAsked),
      exhaustMap(async () => {
        device.oweSignOut(true);
        await device.belongTo(null);
        void payOwedSignOut(client, device);
        return PeopleEvents.signedOut();
      }),
    ),
  { functional: true },
);

/** Where the same person signed out in another window, this one shows nothing of theirs any more either. */
export const leaveWithTheOthers = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.signInEnded),
      concatMap(() => device.lastPerson()),
      filter((person) => person === null),
      map(() => PeopleEvents.signedOut()),
    ),
  { functional: true },
);

export const moveClock = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoveAsked),
      exhaustMap(({ type: _, ...body }) => client.call(endpoints.moveClock, { body })),
      tap(({ now, demo }) => keepClock(Date.parse(now), demo)),
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

export const beginDemoAgain = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(PeopleEvents.demoAgainAsked),
      exhaustMap(() =>
        client.call(endpoints.beginDemoAgain, {}).pipe(
          concatMap(async () => {
            await device.belongTo(null);
            return PeopleEvents.signedOut();
          }),
          catchError((fault: CallFault) => of(PeopleEvents.demoAgainRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** Everything that is shown goes by the clock. */
export const readAllAgain = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoved),
      map(() => ViewEvents.outdated({})),
    ),
  { functional: true },
);

/** What this person entered here and could not be sent. */
export const sendWhatWaits = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(PeopleEvents.signedIn, PeopleEvents.personRecognised),
      map(() => ViewEvents.mayBeSent()),
    ),
  { functional: true },
);
