import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { EMPTY, filter, map, merge, mergeMap, of, switchMap, tap } from 'rxjs';
import { ViewEvents } from '../api/views.feature';
import { PeopleEvents } from '../people/people.feature';
import { DeviceStore } from '../device/device-store';
import { InspectionEvents } from './inspection.events';
import { Outbox } from './outbox';

/** What somebody entered is sent as soon as they are here, and as nobody else. */
export const sendOnArrival = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(PeopleEvents.signedIn, PeopleEvents.personRecognised),
      filter(({ person }) => person !== null),
      tap(() => void outbox.send()),
    ),
  { functional: true, dispatch: false },
);

export const keepAdded = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(InspectionEvents.entryAdded),
      mergeMap(async ({ visit, entry }) => {
        await device.keepEntry({ id: entry.id, visit, entry, problem: null });
        void outbox.send();
      }),
    ),
  { functional: true, dispatch: false },
);

/** Whoever went on to another page before an entry was kept sees there what it changed. */
export const showKept = createEffect(
  (actions = inject(Actions)) =>
    merge(
      actions.pipe(ofType(InspectionEvents.visitOpened, InspectionEvents.visitLeft)),
      of(InspectionEvents.visitLeft()),
    ).pipe(
      switchMap(({ type }) =>
        type === InspectionEvents.visitLeft.type ? actions.pipe(ofType(InspectionEvents.entriesKept)) : EMPTY,
      ),
      map(() => ViewEvents.outdated({})),
    ),
  { functional: true },
);

export const forgetRefused = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(InspectionEvents.refusedEntrySettled),
      tap(({ id }) => void device.forgetEntries([id])),
    ),
  { functional: true, dispatch: false },
);
