import { inject } from '@angular/core';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { catchError, filter, map, of, switchMap, tap, withLatestFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { ViewEvents } from '../api/views.feature';
import { PreparedVisits } from '../inspection/prepared-visits';
import { PeopleEvents } from '../people/people.feature';
import { PlanningEvents, planningFeature } from './planning.feature';

export const loadDaySheet = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PlanningEvents.daySheetOpened, PlanningEvents.daySheetOutdated),
      switchMap(({ session }) =>
        (session ? of(session) : client.call(endpoints.nextSession, {}).pipe(map((next) => next.session))).pipe(
          switchMap((chosen) =>
            chosen
              ? client
                  .call(endpoints.daySheet, { params: { session: chosen } })
                  .pipe(map((sheet) => PlanningEvents.daySheetLoaded({ sheet })))
              : of(PlanningEvents.noSessionAhead()),
          ),
          catchError((fault: CallFault) => of(PlanningEvents.daySheetFailed({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** A moved clock may change the forecast and the day; what was changed meanwhile shows on the sheet in view. */
export const reload = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(PeopleEvents.clockMoved, ViewEvents.outdated),
      withLatestFrom(store.select(planningFeature.selectPlanningState)),
      filter(
        ([{ type }, { status, shown }]) => status !== 'loading' && (shown || type === PeopleEvents.clockMoved.type),
      ),
      map(([, { session }]) => PlanningEvents.daySheetOutdated({ session })),
    ),
  { functional: true },
);

/** Puts on the device what is needed to start this day's visits without signal. */
export const prepareVisits = createEffect(
  (actions = inject(Actions), prepared = inject(PreparedVisits)) =>
    actions.pipe(
      ofType(PlanningEvents.daySheetLoaded),
      filter(({ sheet }) => sheet.mayStart),
      tap(({ sheet }) => void prepared.prepare(sheet)),
    ),
  { functional: true, dispatch: false },
);
