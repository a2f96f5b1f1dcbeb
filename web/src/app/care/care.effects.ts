import { inject } from '@angular/core';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, concatMap, map, of, switchMap } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { SeasonEvents } from '../season/season.feature';
import { CareEvents } from './care.feature';

export const loadReview = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(CareEvents.reviewOpened, CareEvents.decided, CareEvents.decisionWithdrawn, CareEvents.entryKept),
      switchMap(({ visit }) =>
        client.call(endpoints.visitReview, { params: { visit } }).pipe(
          map((review) => CareEvents.reviewLoaded({ review })),
          catchError((fault: CallFault) => of(CareEvents.reviewFailed({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

export const decide = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(CareEvents.decisionMade),
      concatMap(({ visit, id, draft }) =>
        client.call(endpoints.decide, { params: { visit }, body: { id, ...draft } }).pipe(
          map(() => CareEvents.decided({ visit })),
          catchError((fault: CallFault) => of(CareEvents.decisionRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

export const withdraw = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(CareEvents.decisionWithdrawalAsked),
      concatMap(({ visit, decision }) =>
        client.call(endpoints.withdrawDecision, { params: { decision } }).pipe(
          map(() => CareEvents.decisionWithdrawn({ visit })),
          catchError((fault: CallFault) => of(CareEvents.decisionRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

export const addEntry = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(CareEvents.entryAdded),
      concatMap(({ visit, entry }) =>
        client.call(endpoints.recordEntries, { params: { visit }, body: { entries: [entry] } }).pipe(
          map(() => CareEvents.entryKept({ visit })),
          catchError((fault: CallFault) => of(CareEvents.decisionRefused({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** What was decided stands on the strip. */
export const showOnStrip = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(CareEvents.decided, CareEvents.decisionWithdrawn),
      map(() => SeasonEvents.stripOutdated()),
    ),
  { functional: true },
);
