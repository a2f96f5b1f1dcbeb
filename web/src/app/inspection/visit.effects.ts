import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import {
  EMPTY,
  catchError,
  concatMap,
  exhaustMap,
  filter,
  from,
  interval,
  map,
  mergeMap,
  of,
  repeat,
  switchMap,
  takeUntil,
  tap,
  withLatestFrom,
} from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { DeviceStore } from '../device/device-store';
import { InspectionEvents } from './inspection.events';
import { inspectionFeature } from './inspection.feature';
import { Outbox } from './outbox';

/** What the device knows comes first, so that a visit opens without signal; the server's file follows once the start has reached it. */
export const openVisit = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(InspectionEvents.visitOpened),
      switchMap(({ visit }) =>
        from(Promise.all([device.file(visit), device.entries(visit)])).pipe(
          map(([file, waiting]) =>
            InspectionEvents.visitFoundOnDevice({
              file: file ?? null,
              waiting,
              draft: device.draft(visit),
              step: device.step(visit),
            }),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const loadFile = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), device = inject(DeviceStore), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(InspectionEvents.visitOpened),
      switchMap(({ visit }) =>
        from(outbox.send()).pipe(
          switchMap(() => client.call(endpoints.visitFile, { params: { visit } })),
          tap((file) => void device.keepFile(file)),
          map((file) => InspectionEvents.visitFileLoaded({ file })),
          catchError((fault: CallFault) => of(InspectionEvents.visitFileFailed({ visit, fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** How often it is asked what other devices entered in the visit, ms. */
const LISTEN = 4_000;

/** Two devices on one visit see each other's entries while there is a signal. */
export const hearOthers = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), store = inject(Store)) =>
    actions.pipe(
      ofType(InspectionEvents.visitFileLoaded),
      switchMap(() => interval(LISTEN)),
      withLatestFrom(store.select(inspectionFeature.selectFile)),
      exhaustMap(([, file]) =>
        file && navigator.onLine
          ? client
              .call(endpoints.visitEntries, { params: { visit: file.visit.id }, query: { after: `${file.heard}` } })
              .pipe(
                map(({ entries, heard }) =>
                  InspectionEvents.entriesHeard({
                    visit: file.visit.id,
                    entries: entries,
                    heard,
                  }),
                ),
                catchError(() => EMPTY),
              )
          : EMPTY,
      ),
      takeUntil(actions.pipe(ofType(InspectionEvents.visitLeft))),
      repeat(),
    ),
  { functional: true },
);

/** An entry is on the device before anything else is done with it. */
export const keepEntry = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore), store = inject(Store), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(InspectionEvents.entryMade),
      withLatestFrom(store.select(inspectionFeature.selectVisit), store.select(inspectionFeature.selectOwnStep)),
      mergeMap(async ([{ entry }, visit, step]) => {
        if (!visit) return;
        if (entry.body.kind === 'frame-side-recorded') device.forgetDraft(visit);
        device.keepStep(visit, entry.body.kind === 'visit-closed' ? null : step);
        await device.keepEntry({ id: entry.id, visit, entry, problem: null });
        void outbox.send();
      }),
    ),
  { functional: true, dispatch: false },
);

export const keepDraft = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore), store = inject(Store)) =>
    actions.pipe(
      ofType(InspectionEvents.sideChanged, InspectionEvents.sideChangeUndone, InspectionEvents.sideChangeRedone),
      withLatestFrom(
        store.select(inspectionFeature.selectVisit),
        store.select(inspectionFeature.selectAddress),
        store.select(inspectionFeature.selectEntry),
      ),
      tap(([, visit, address, entry]) => {
        if (visit && address) device.keepDraft({ visit, address, entry });
      }),
    ),
  { functional: true, dispatch: false },
);

/** The kept file follows what was acknowledged, so that a reload without signal shows the same. */
export const keepAcknowledged = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore), store = inject(Store)) =>
    actions.pipe(
      ofType(InspectionEvents.entriesKept, InspectionEvents.entriesHeard),
      withLatestFrom(store.select(inspectionFeature.selectFile)),
      concatMap(async ([, file]) => {
        if (file) await device.keepFile(file);
      }),
    ),
  { functional: true, dispatch: false },
);

/** A visit that was joined to another before its page was open, or by an old address. */
export const findJoined = createEffect(
  (actions = inject(Actions), device = inject(DeviceStore)) =>
    actions.pipe(
      ofType(InspectionEvents.visitOpened),
      map(({ visit }) => ({ from: visit, to: device.joined(visit) })),
      filter((joined): joined is { from: string; to: string } => joined.to !== null),
      map((joined) => InspectionEvents.visitJoined(joined)),
    ),
  { functional: true },
);

export const followJoined = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(InspectionEvents.visitJoined),
      filter(({ from: left }) => router.url.includes(left)),
      tap(({ to }) => void router.navigate(['/at-the-hive/visit', to], { replaceUrl: true })),
    ),
  { functional: true, dispatch: false },
);
