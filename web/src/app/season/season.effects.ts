import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { catchError, ignoreElements, map, of, switchMap, tap, withLatestFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { ViewEvents } from '../api/views.feature';
import { SeasonEvents, seasonFeature } from './season.feature';

export const loadStrip = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), store = inject(Store)) =>
    actions.pipe(
      ofType(SeasonEvents.stripWanted, ViewEvents.outdated),
      withLatestFrom(store.select(seasonFeature.selectAsked)),
      switchMap(([, query]) =>
        client.call(endpoints.seasonStrip, { query }).pipe(
          map((strip) => SeasonEvents.stripLoaded({ strip })),
          catchError((fault: CallFault) => of(SeasonEvents.stripFailed({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** A day opens its day sheet; a day without a session says so. */
export const openDay = createEffect(
  (actions = inject(Actions), client = inject(ContractClient), store = inject(Store), router = inject(Router)) =>
    actions.pipe(
      ofType(SeasonEvents.dayOpened),
      withLatestFrom(store.select(seasonFeature.selectStrip)),
      switchMap(([{ date }, strip]) =>
        client.call(endpoints.sessionOn, { params: { date }, query: { site: strip?.site.id } }).pipe(
          // A day without a session has hours all the same: the verdict of another day does not stay under its column.
          tap(({ session }) => void router.navigate(session ? ['/ahead', session] : ['/ahead/day', date])),
          ignoreElements(),
          catchError((fault: CallFault) => of(SeasonEvents.stripFailed({ fault }))),
        ),
      ),
    ),
  { functional: true },
);
